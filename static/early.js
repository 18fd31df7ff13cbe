/** Until the page answers, what is pressed or filled in is held here, and done then. */
(() => {
	const page = document.documentElement;
	if (page.dataset.ready) return;
	/** By what was touched: who sees nothing happen presses again, and means it once. */
	const held = new Map();
	const hold = (event) => {
		const { target, type } = event;
		const { value } = target;
		let on = target;
		let act = () => {
			on.value = value;
			for (const one of new Set(['input', type]))
				on.dispatchEvent(new Event(one, { bubbles: true }));
		};
		if (type === 'click') {
			// What the browser does by itself it goes on doing: links, fields, forms that are sent.
			on = target.closest('button, a, summary, input, select, textarea, label');
			if (!on?.matches('button, label, [type=radio], [type=checkbox]')) return;
			if (on.form?.method === 'post') return;
			event.preventDefault();
			act = () => on.click();
		} else if (/radio|checkbox|file/.test(on.type)) return;
		held.set(on, act);
		on.dataset.held = '';
	};
	const types = ['click', 'input', 'change'];
	for (const type of types) addEventListener(type, hold, true);
	new MutationObserver((_, watch) => {
		if (!page.dataset.ready) return;
		watch.disconnect();
		for (const type of types) removeEventListener(type, hold, true);
		for (const [on, act] of held) {
			delete on.dataset.held;
			act();
		}
	}).observe(page, { attributes: true });
})();
