import type { Caution } from '../safety/cautions';
import type { Quantity } from '../quantity/units';
import type { FigureId } from './registry';
import type { WarpRisk } from '../cut/heat';
import type { StartMethod, StartOption } from '../cut/start';
import type { PartChange } from '../torch/assembly';

/**
 * How far to trust a figure, as the letter in its balloon: test cuts and measurements T, cut chart C,
 * data plate D, standard S, handbook H, rule of thumb R, own model M.
 */
export type Basis = 'T' | 'C' | 'D' | 'S' | 'H' | 'R' | 'M';
export const BASIS_WORDS: Record<Basis, string> = {
	T: 'measured here',
	C: 'cut chart',
	D: 'data plate',
	S: 'standard',
	H: 'handbook',
	R: 'rule of thumb',
	M: 'our own model'
};

export type Verdict = 'stops' | 'tight' | 'holds' | 'not set';
export type Station = 'supply' | 'setup' | 'cut' | 'gouge' | 'wear';
export const STATIONS: readonly Station[] = ['supply', 'setup', 'cut', 'gouge', 'wear'];

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
export interface Check {
	id: FigureId;
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

export interface Finding {
	kind: 'refusal' | 'caution' | 'safety' | 'advice';
	station: Station;
	text: string;
}

export interface StationVerdict {
	verdict: Verdict;
	/** Words for the line: "tight at 45 A", "stops 6:58" is completed by `stopsAtS`. */
	word: string;
	stopsAtS?: number;
	part?: string;
}

export interface Plan {
	modelVersion: string;
	inputsHash: string;
	figures: Record<FigureId, Figure>;
	checks: Check[];
	verdict: Verdict;
	/** Among stops the earliest; exactly one at most. */
	firstLimit: Check | null;
	/** Among tights the smallest margin, when nothing stops; exactly one at most. */
	weakestLink: Check | null;
	stations: Record<Station, StationVerdict>;
	findings: Finding[];
	/** What belongs on card and cut whatever the figures say. */
	cautions: Caution[];
	/** Choices the Plan made, as words rather than numbers. */
	choices: {
		nozzleFits: 'fits' | 'too small' | 'far too big' | 'none';
		startMethod: StartMethod;
		/** Every way to start this cut, and what it costs. */
		starts: StartOption[];
		/** "guide": tilted too far to rest on the plate; only a stand-off guide or rollers hold it. */
		standoff: 'drag' | 'touch' | 'gap' | 'guide';
		/** Least amps of this machine that part it, when these do not; null: none do. */
		partsFromA: number | null;
		/** The work is the planned cut; else a pattern of its own. */
		workIsCut: boolean;
		/** Of the air: told, measured, only a lower bound, or none of the shop's. */
		flow: 'measured' | 'plate' | 'bound' | 'built-in';
		/** What to change in the torch first, musts first. */
		changes: PartChange[];
		/** Thin sheet that warps because a hand cannot keep up. */
		warp: WarpRisk;
		gougeNozzle: boolean;
	};
}
