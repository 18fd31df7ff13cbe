/** Single keys of one page: before those of all pages, off while somebody types. */
const TYPED = ['INPUT', 'TEXTAREA', 'SELECT'];
const PRESSED = ['BUTTON', 'A', 'SUMMARY'];

/** `act` may give false: the key was not for it. Gives what ends it. */
export function singleKeys(keys: Record<string, () => unknown>): () => void {
	const listen = (event: KeyboardEvent) => {
		const { target, ctrlKey, metaKey, altKey } = event;
		if (ctrlKey || metaKey || altKey || document.documentElement.dataset.keys === 'off') return;
		if (target instanceof HTMLElement) {
			const radio = (target as HTMLInputElement).type === 'radio';
			if (
				target.isContentEditable ||
				(TYPED.includes(target.tagName) && !(radio && event.key === 'n'))
			)
				return;
			// Space and Enter press what has the focus.
			if (event.key === ' ' && PRESSED.includes(target.tagName)) return;
			if (document.querySelector('dialog[open]')) return;
		}
		const act = keys[event.key.length === 1 ? event.key.toLowerCase() : event.key];
		if (!act || act() === false) return;
		event.preventDefault();
		event.stopPropagation();
	};
	window.addEventListener('keydown', listen, { capture: true });
	return () => window.removeEventListener('keydown', listen, { capture: true });
}
