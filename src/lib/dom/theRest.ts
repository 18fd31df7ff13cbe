/** So long after the page answers to hands nothing else is fetched, unless a hand moves, ms. */
const QUIET_MS = 3000;
const HANDS = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const;

/** Whoever waits for room in the page is let in after so long all the same, ms. */
const PATIENCE_MS = 200;

let last: Promise<void> | undefined;

/**
 * When what is not on the first screen may come: once somebody is at it, or after a while, and one after
 * another where the page has room, so that the first touch does not wait for all of it. Asked for in the
 * browser only.
 */
export function theRest(): Promise<void> {
	return (last = (last ?? somebody()).then(room));
}

function somebody(): Promise<void> {
	return new Promise((resolve) => {
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
	});
}

/** A task of its own, when the page has nothing better to do. Not every browser tells when that is. */
function room(): Promise<void> {
	return new Promise((resolve) => {
		if ('requestIdleCallback' in window)
			requestIdleCallback(() => resolve(), { timeout: PATIENCE_MS });
		else setTimeout(resolve);
	});
}
