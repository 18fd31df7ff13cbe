/**
 * Filter shades for plasma cutting, by amps. All from memory; the darkest that applies is the default.
 * A bound shared by two rows takes the darker.
 */
interface ShadeRow {
	/** Up to but not including, A. */
	belowA: number;
	least: number;
	suggested: number;
}

/** ANSI Z49.1 / AWS F2.2, plasma arc cutting. */
const ANSI_Z49_1: readonly ShadeRow[] = [
	{ belowA: 20, least: 4, suggested: 4 },
	{ belowA: 40, least: 5, suggested: 5 },
	{ belowA: 60, least: 6, suggested: 6 },
	{ belowA: 80, least: 8, suggested: 8 },
	{ belowA: 300, least: 8, suggested: 9 },
	{ belowA: 400, least: 9, suggested: 12 },
	{ belowA: Infinity, least: 10, suggested: 14 }
];

/** EN 169 / ISO 16321, plasma jet cutting; the table as remembered starts at 60 A. */
const EN_169: readonly (ShadeRow & { fromA: number })[] = [
	{ fromA: 60, belowA: 150, least: 11, suggested: 11 },
	{ fromA: 150, belowA: 250, least: 12, suggested: 12 },
	{ fromA: 250, belowA: 400, least: 13, suggested: 13 }
];

export interface Shades {
	ansiLeast: number;
	ansiSuggested: number;
	/** OSHA 29 CFR 1910.133(a)(5): 8 below 300 A with the arc in sight, lighter where the work hides it. */
	osha: number;
	en169: number | undefined;
	/** EN 169 where the supply system asks for it, else 0. */
	european: number;
	/** The darkest of those that apply to the supply system. */
	advised: number;
}

export function shades(outputA: number, system: 'north-america' | 'iec'): Shades {
	const ansi = ANSI_Z49_1.find((row) => outputA < row.belowA)!;
	const osha = outputA < 300 ? 8 : outputA < 400 ? 9 : 10;
	const en169 = EN_169.find((row) => outputA >= row.fromA && outputA < row.belowA)?.least;
	const european = system === 'iec' ? (en169 ?? 0) : 0;
	return {
		ansiLeast: ansi.least,
		ansiSuggested: ansi.suggested,
		osha,
		en169,
		european,
		advised: Math.max(ansi.suggested, osha, european)
	};
}

/** Clear combustibles this far (NFPA 51B, 35 ft), m, and watch for fire afterwards, min. */
export const CLEAR_RADIUS_M = 35 * 0.3048;
/** As it is said: both are round where they are used. */
export const CLEAR_WORDS = '11 m (35 ft)';
/** How far sparks were seen to carry (common practice). */
export const SPARKS_WORDS = '12 m (40 ft)';
export const FIRE_WATCH_MIN = { osha: 30, nfpa51b: 60 } as const;
