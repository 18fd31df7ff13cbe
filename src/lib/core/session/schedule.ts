/** What the work does in time: arc, post-flow, pause, over and over, with breaks in a shift. */
export interface Phase {
	arc: boolean;
	/** Air flows: arc and post-flow. */
	air: boolean;
	durationS: number;
}

export interface Shift {
	hours: number;
	/** Work between breaks, and the break, min. */
	spellMin: number;
	breakMin: number;
}

export interface Pattern {
	arcS: number;
	/** Air after the arc, inside the pause. */
	postS: number;
	restS: number;
	shift: Shift | null;
}

/** Without a shift the pattern is looked at for this long. */
export const HORIZON_S = 8 * 3600;

/** The pattern of some work: post-flow ends with the pause at the latest. */
export function patternOf(
	work: { arcS: number; restS: number; shift: Shift | null },
	postFlowS: number
): Pattern {
	const { arcS, restS, shift } = work;
	return { arcS, restS, shift, postS: Math.min(postFlowS, restS) };
}

/** One cycle, without phases of no length. */
export function cycleOf(p: Pattern): Phase[] {
	return [
		{ arc: true, air: true, durationS: p.arcS },
		{ arc: false, air: true, durationS: p.postS },
		{ arc: false, air: false, durationS: p.restS - p.postS }
	].filter((phase) => phase.durationS > 0);
}

export const cycleS = (p: Pattern): number => p.arcS + p.restS;
export const endS = (p: Pattern): number => (p.shift ? p.shift.hours * 3600 : HORIZON_S);

/** Cycles of one spell of work: those that start within it. */
export function cyclesPerSpell(p: Pattern): number {
	return p.shift ? Math.max(1, Math.ceil((p.shift.spellMin * 60) / cycleS(p) - 1e-9)) : Infinity;
}

const RATE_S = 600;
/** Pause that makes so many cuts of this arc in ten minutes, s; none where they do not fit. */
export function restForRateS(arcS: number, cutsInTenMin: number): number | undefined {
	const restS = RATE_S / cutsInTenMin - arcS;
	return restS >= 0 ? restS : undefined;
}
export const cutsInTenMin = (arcS: number, restS: number): number => RATE_S / (arcS + restS);
