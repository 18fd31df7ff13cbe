const WASH_MS = 300;

/**
 * Attachment: a figure that changes gets a short wash behind it, so that one sees what moved.
 * Nothing is washed while a control is being dragged, nor with reduced motion.
 */
export function washOnChange(text: () => string, quiet: () => boolean) {
	return (element: HTMLElement) => {
		let before = text();
		$effect(() => {
			const now = text();
			if (now === before) return;
			before = now;
			if (quiet() || matchMedia('(prefers-reduced-motion: reduce)').matches) return;
			const wash = getComputedStyle(element).getPropertyValue('--arc-wash');
			element.animate([{ backgroundColor: wash }, { backgroundColor: 'transparent' }], WASH_MS);
		});
	};
}
