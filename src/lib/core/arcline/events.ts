/** What is seen in readings. */
import type { Reading } from './batch';

export interface ArcSeen {
	kind: 'arc';
	fromMs: number;
	toMs: number;
	arcS: number;
	/** One standard deviation of arcS, from the rate alone, s. */
	errorS: number;
	/** Mean, its first and last reading left out where there are more; null: none to be believed. */
	meanA: number | null;
	/** Mean while it burnt, from half a second on, bar. */
	inletBar: number | null;
	/** Mean of the tank over the same readings, and its lowest, bar. */
	tankBar: number | null;
	tankLowBar: number | null;
	/** Begun and ended in sight; else readings are missing, and it teaches nothing. */
	whole: boolean;
}
export interface FailedSeen {
	kind: 'failed';
	fromMs: number;
	toMs: number;
	by: 'inlet' | 'mains';
}
export interface LampSeen {
	kind: 'lamp';
	fromMs: number;
	toMs: number;
	/** Came on in an arc that began in sight: when; null: it did not. */
	arcFromMs: number | null;
	meanA: number | null;
}
export interface GapSeen {
	kind: 'gap';
	fromMs: number;
	toMs: number;
}
export type Seen = ArcSeen | FailedSeen | LampSeen | GapSeen;

export interface Segmented {
	seen: Seen[];
	/** Before this nothing is open any more: readings up to it need not be looked at again. */
	quietMs: number;
	/** As it stands at the last reading. */
	now: {
		arcSinceMs: number | null;
		flowing: boolean;
		hotSinceMs: number | null;
		last: Reading | null;
	};
	/** Usual distance of two readings, s; null: fewer than two. */
	intervalS: number | null;
	/** Values that cannot be, up to `quietMs`, and after it. */
	implausible: number;
	implausibleSince: number;
}
