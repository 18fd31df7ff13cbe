/** Times and distances of the sheet that hangs beside hot work. */
import { CLEAR_RADIUS_M, FIRE_WATCH_MIN } from '../safety/shade';

export const WATCHES = ['nfpa51b', 'osha'] as const;
export type Watch = (typeof WATCHES)[number];

export interface HotWork {
	clearM: number;
	watchMin: number;
	/** ms since 1970: the arc is out, the watch is over. */
	arcOutMs: number;
	watchUntilMs: number;
}

/** From the first start and the minutes that the work takes, rests included. */
export function hotWork({
	startMs,
	workMin,
	watch
}: {
	startMs: number;
	workMin: number;
	watch: Watch;
}): HotWork {
	const arcOutMs = startMs + Math.max(0, workMin) * 60_000;
	const watchMin = FIRE_WATCH_MIN[watch];
	return {
		clearM: CLEAR_RADIUS_M,
		watchMin,
		arcOutMs,
		watchUntilMs: arcOutMs + watchMin * 60_000
	};
}
