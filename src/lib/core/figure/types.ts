import type { Told } from './finding';
import type { Quantity } from '../quantity/units';

/**
 * How far to trust a figure, as the letter in its balloon: asked for A, test cuts and measurements T, cut
 * chart C, rating label or typed in by the person D, standard S, handbook H, rule of thumb R, own model M.
 */
export type Basis = 'A' | 'T' | 'C' | 'D' | 'S' | 'H' | 'R' | 'M';

export const BASIS_WORDS: Record<Basis, string> = {
	A: 'asked for',
	T: 'measured here',
	C: 'cut chart',
	D: 'label or typed in',
	S: 'standard',
	H: 'handbook',
	R: 'typical',
	M: 'our own model'
};

export type Verdict = 'stops' | 'tight' | 'holds' | 'not set';

export type Station = 'supply' | 'setup' | 'cut' | 'gouge' | 'wear' | 'checks';

export const STATIONS: readonly Station[] = ['supply', 'setup', 'cut', 'gouge', 'wear', 'checks'];

/** One figure of the Plan. `null`: there is no such value (it never happens, or it cannot be). */
export interface Figure {
	value: number | null;
	basis: Basis;
	/** Which of the registry's ways to it was taken. */
	way: string;
	/** Eight times in ten it lies between these. */
	band?: [number, number];
	/** Relative margin of the check it carries, and its verdict. */
	margin?: number;
	verdict?: Verdict;
}

/** One question asked of the bench and the cut, and its answer. */
export interface Check<Id extends string = string> {
	/** The figure it is asked of. */
	id: Id;
	station: Station;
	/** The thing that is tight or stops: "Wire". */
	part: string;
	verdict: Verdict;
	/** Spare share: of the current, of the permitted span, of the life. Negative: short of it. */
	margin: number;
	/** Spare in the figure's own unit, signed. */
	spare: { value: number; quantity: Quantity };
	/** When it stops, s from the first start; 0: before the arc is lit. */
	stopsAtS?: number;
	/** The reason in a few words: "edge start only". */
	word: string;
}

export interface Finding extends Told {
	kind: 'refusal' | 'caution' | 'safety' | 'advice';
	station: Station;
}

export interface StationVerdict {
	verdict: Verdict;
	/** Words for the line: "tight at 45 A", "stops 6:58" is completed by `stopsAtS`. */
	word: string;
	stopsAtS?: number;
	part?: string;
}
