/** So long after the page answers to hands nothing else is fetched, unless a hand moves, ms. */
const QUIET_MS = 3000;
const HANDS = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const;

let rest: Promise<void> | undefined;

/**
 * When what is not on the first screen may come: as soon as somebody is at it, or after a while. Asked for
 * in the browser only.
 */
export function theRest(): Promise<void> {
	return (rest ??= new Promise((resolve) => {
		const stop = new AbortController();
		const now = () => {
			stop.abort();
			clearTimeout(timer);
			resolve();
		};
		const timer = setTimeout(now, QUIET_MS);
		for (const event of HANDS) {
			window.addEventListener(event, now, { passive: true, signal: stop.signal });
		}
	}));
}
