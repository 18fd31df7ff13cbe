/**
 * What is drawn of something that hides: as it is now while it is shown, and as it was then while it is not.
 * Nobody sees it there, and each change would be styled and laid out.
 */
export function lastShown<T>(): (shown: boolean, now: T) => T {
	let last: { drawn: T } | undefined;
	return (shown, now) => {
		if (shown || !last) last = { drawn: now };
		return last.drawn;
	};
}
