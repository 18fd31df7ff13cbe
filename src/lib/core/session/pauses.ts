import { bisect } from '../solve/bisect';
import { runSession } from './run';
import { type RunInputs } from './runTypes';

/** Which limit asks for a pause: the store of air, or a node by its place in the run. */
export type PauseReason = 'air' | number;

export interface Pause {
	/** The cut it comes before, counted from 1. */
	beforeCut: number;
	/** In all, the usual pause included, s. */
	waitS: number;
	atS: number;
	because: PauseReason;
}

export type PausePlan =
	| {
			ok: true;
			cuts: number;
			totalS: number;
			arcS: number;
			pauses: Pause[];
			/** One cut alone may trip the breaker, even from rest: these are for what surely trips. */
			mayTrip: boolean;
	  }
	/** Even one cut from cold and full does not go through. */
	| { ok: false; because: PauseReason; afterCuts: number };

/** Nobody waits longer than this for one cut, s. */
const WAIT_MOST_S = 2 * 3600;
const CLOSE_S = 0.5;

interface Standing {
	bar: number;
	compressorOn: boolean;
	levels: readonly number[];
}

/**
 * Where pauses must go so that nothing stops: the work goes on at its usual pace, and before a cut
 * that could not be finished it waits just as long as that cut needs. `arcsS`: arc of each cut. Waits are found to half a second.
 */
export function planPauses(inputs: RunInputs, arcsS: readonly number[]): PausePlan {
	const { pattern, nodes, air } = inputs;
	const { postS, restS } = pattern;
	const attempt = (from: Standing, waitS: number, arcS: number) => {
		const run = runSession({
			...inputs,
			air: air && { ...air, tank: { ...air.tank, startBar: from.bar } },
			nodes: nodes.map((node, k) => ({ ...node, start: from.levels[k]! })),
			compressorOn: from.compressorOn,
			phases: [
				{ arc: false, air: false, durationS: waitS },
				{ arc: true, air: true, durationS: arcS },
				{ arc: false, air: true, durationS: postS }
			]
		});
		const hot = run.nodes.findIndex((node) => node.crossing !== undefined);
		const because: PauseReason | undefined = run.shortFrom ? 'air' : hot >= 0 ? hot : undefined;
		return { because, end: run.end };
	};

	let standing: Standing = {
		bar: air?.tank.startBar ?? 0,
		compressorOn: false,
		levels: nodes.map((node) => node.start)
	};
	let timeS = 0;
	const pauses: Pause[] = [];
	for (const [i, arcS] of arcsS.entries()) {
		const n = i + 1;
		let waitS = n === 1 ? 0 : Math.max(0, restS - postS);
		let tried = attempt(standing, waitS, arcS);
		const { because } = tried;
		if (because !== undefined) {
			tried = attempt(standing, WAIT_MOST_S, arcS);
			if (tried.because !== undefined) return { ok: false, because, afterCuts: n - 1 };
			const lets = (s: number) => {
				const at = attempt(standing, s, arcS);
				if (at.because === undefined) tried = at;
				return at.because === undefined;
			};
			waitS = bisect(WAIT_MOST_S, waitS, lets, (yes, no) => yes - no <= CLOSE_S);
			pauses.push({ beforeCut: n, waitS: waitS + (n === 1 ? 0 : postS), atS: timeS, because });
		}
		standing = tried.end;
		timeS += waitS + arcS + postS;
	}
	const arcS = arcsS.reduce((sum, one) => sum + one, 0);
	return { ok: true, cuts: arcsS.length, totalS: timeS - postS, arcS, pauses, mayTrip: false };
}

/**
 * The same by the earliest curve, so that nothing may trip, and by the latest where even one cut
 * might. The nodes of the run are those two and the cutter.
 */
export function safePauses(run: RunInputs, arcsS: readonly number[]): PausePlan {
	const [touchy, lazy, cutter] = run.nodes;
	const safe = planPauses({ ...run, nodes: [touchy!, cutter!] }, arcsS);
	if (safe.ok) return safe;
	const sure = planPauses({ ...run, nodes: [lazy!, cutter!] }, arcsS);
	return sure.ok ? { ...sure, mayTrip: true } : sure;
}
