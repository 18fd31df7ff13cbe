/** What the groove tells, and the one thing to change (common practice; the figures are the Plan's). */

export const GROOVE_FAULTS = [
	'shallow',
	'deep',
	'undercut',
	'slag',
	'black',
	'out',
	'blow-back'
] as const;
export type GrooveFault = (typeof GROOVE_FAULTS)[number];

/** Of a spot, which has no walls, and over which nothing is pushed. */
export const SPOT_FAULTS: readonly GrooveFault[] = ['shallow', 'deep', 'black', 'out', 'blow-back'];

export interface GrooveNow {
	angleFromPlateDeg: number;
	/** null: it is not made as lines. */
	speedMmS: number | null;
	/** On each spot; null: it is made as lines. */
	spotS: number | null;
	outputA: number;
	airBar: number | null;
}
/** One change: what, and to which value where there is one. */
export interface Correction {
	what:
		'slower' | 'faster' | 'longer' | 'shorter' | 'steeper' | 'flatter' | 'push' | 'air' | 'closer';
	value: number | null;
}

/** One step of travel, time or angle; more than that at a time tells nothing [own]. */
const PACE_STEP = 0.15;
const ANGLE_STEP_DEG = 5;
const [FLATTEST, STEEPEST] = [30, 50] as const;

/** Travel first while a hand can hold it, then the angle; never past the angles of a groove. */
export function correctionFor(fault: GrooveFault, now: GrooveNow): Correction {
	const { angleFromPlateDeg: angle, speedMmS, spotS } = now;
	const slower = speedMmS === null ? null : speedMmS * (1 - PACE_STEP);
	const faster = speedMmS === null ? null : speedMmS * (1 + PACE_STEP);
	if (spotS !== null && fault === 'shallow')
		return { what: 'longer', value: spotS * (1 + PACE_STEP) };
	if (spotS !== null && (fault === 'deep' || fault === 'blow-back'))
		return { what: 'shorter', value: spotS * (1 - PACE_STEP) };
	switch (fault) {
		case 'shallow':
			return angle + ANGLE_STEP_DEG <= STEEPEST - 5
				? { what: 'steeper', value: angle + ANGLE_STEP_DEG }
				: { what: 'slower', value: slower };
		case 'deep':
			return angle - ANGLE_STEP_DEG >= FLATTEST
				? { what: 'flatter', value: angle - ANGLE_STEP_DEG }
				: { what: 'faster', value: faster };
		case 'undercut':
			return { what: 'faster', value: faster };
		case 'slag':
			return { what: 'push', value: null };
		case 'black':
			return { what: 'air', value: now.airBar };
		case 'out':
			return { what: 'closer', value: null };
		case 'blow-back':
			return { what: 'flatter', value: Math.max(FLATTEST, angle - ANGLE_STEP_DEG) };
	}
}
