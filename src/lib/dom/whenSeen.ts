import type { Attachment } from 'svelte/attachments';

/** So much of it must be in view, px: an edge at the bottom of the screen is not looked at. */
const INSIDE_PX = 120;

/** Calls once, when the element first comes into view: what is not seen is not loaded. */
export function whenSeen(seen: () => void): Attachment {
	return (node) => {
		const observer = new IntersectionObserver(
			(entries) => {
				if (!entries.some((entry) => entry.isIntersecting)) return;
				observer.disconnect();
				seen();
			},
			{ rootMargin: `0px 0px -${INSIDE_PX}px 0px` }
		);
		observer.observe(node);
		return () => observer.disconnect();
	};
}
