/** Pixels of one millimetre on this screen, matched once to a rule; kept on this device. */
const KEY = 'px-per-mm';
/** CSS says 96 px to the inch; screens differ. */
export const NOMINAL_PX_PER_MM = 96 / 25.4;
export const PX_PER_MM = { min: 2, max: 12 };

export function screenScale(): { pxPerMm: number; matched: boolean } {
	try {
		const kept = Number(localStorage.getItem(KEY));
		if (kept >= PX_PER_MM.min && kept <= PX_PER_MM.max) return { pxPerMm: kept, matched: true };
	} catch {
		// Storage may be closed to the page; the nominal size then stands.
	}
	return { pxPerMm: NOMINAL_PX_PER_MM, matched: false };
}

export function keepScreenScale(pxPerMm: number): void {
	try {
		localStorage.setItem(KEY, String(pxPerMm));
	} catch {
		// As above: it holds until the page is left.
	}
}
