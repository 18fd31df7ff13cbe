import { outletBar } from '../air/flow';
import { safePauses, type PausePlan } from '../session/pauses';
import { HORIZON_S } from '../session/schedule';
import { traceSession } from '../session/trace';
import type { PlanInputs } from '../inputs/planInputs';
import { inputsHash } from '../plan/plan';
import type { Check } from '../figure/types';
import { worst } from '../figure/verdict';
import { supplyChecks } from '../plan/rooms';
import { workings, type Workings } from '../plan/workings';
import { runInputsOf } from '../plan/session';

/** The session in time, for the chart and its table. Columns in step; nothing is rounded. */
export interface SessionTrace {
	timeS: number[];
	/** Tank, or bottles; null: the cutter's own compressor. */
	tankBar: number[] | null;
	/** While air flows; null otherwise. */
	inletBar: (number | null)[];
	/** Heat over the trip heat, by the earliest and the latest curve. */
	breakerTouchy: number[];
	breakerLazy: number[];
	cutterC: number[];
	arc: boolean[];
	compressorOn: boolean[];
	/** The first limit of Supply, when something stops within the trace. */
	limit: { atS: number; check: Check['id']; word: string } | null;
	/** How far the chart reaches; the columns end at the limit. */
	untilS: number;
}

export interface SessionStudy {
	inputsHash: string;
	trace: SessionTrace;
	pauses: PausePlan;
}

/** At least this long, and so many cycles, so that the pattern is seen, s. */
const LEAST_S = 600;
const LEAST_CYCLES = 6;
const POINTS = 900;

function traceOf(w: Workings): SessionTrace {
	const { inputs, air } = w;
	const given = runInputsOf(inputs, w.wiring, air.line, w.draw, w.heat);
	const limit = worst(supplyChecks(w).filter((c) => c.verdict === 'stops'));
	const cycleS = inputs.work.arcS + inputs.work.restS;
	const plain = Math.max(LEAST_S, LEAST_CYCLES * cycleS);
	const untilS = Math.min(
		HORIZON_S,
		inputs.work.shift
			? inputs.work.shift.hours * 3600
			: limit?.stopsAtS
				? Math.max(plain, 1.15 * limit.stopsAtS)
				: plain
	);
	// The work stops at its first limit, and so does the trace.
	const trace = traceSession(given, Math.min(untilS, limit?.stopsAtS || untilS), untilS / POINTS);
	const lineBar = (tankBar: number) =>
		inputs.bench.air.source === 'bottle'
			? Math.min(inputs.bench.air.bottle?.outletBar ?? 0, tankBar)
			: tankBar;
	const inlet = (tankBar: number): number | null => {
		if (!air.line.store) return inputs.bench.air.setPointBar;
		const bar = outletBar(
			lineBar(tankBar) - air.line.filterLossBar - air.line.dryerLossBar,
			air.line.hoseSquareDropBar2
		);
		return bar === undefined ? 0 : Math.min(inputs.bench.air.setPointBar, bar);
	};
	const [touchy, lazy] = [given.nodes[0]!.limit, given.nodes[1]!.limit];
	return {
		timeS: trace.timeS,
		tankBar: air.line.store ? trace.tankBar : null,
		inletBar: trace.tankBar.map((bar, i) => (trace.air[i] ? inlet(bar) : null)),
		breakerTouchy: trace.levels[0]!.map((level) => level / touchy),
		breakerLazy: trace.levels[1]!.map((level) => level / lazy),
		cutterC: trace.levels[2]!,
		arc: trace.arc,
		compressorOn: trace.compressorOn,
		limit: limit ? { atS: limit.stopsAtS ?? 0, check: limit.id, word: limit.word } : null,
		untilS
	};
}

/** What takes longer than a frame: the trace for the chart, and where pauses must go. */
export function studySession(inputs: PlanInputs): SessionStudy {
	const w = workings(inputs, { solveAmps: false });
	const given = runInputsOf(w.inputs, w.wiring, w.air.line, w.draw, w.heat);
	const pauses = safePauses(given, Array<number>(inputs.work.cuts).fill(w.inputs.work.arcS));
	return { inputsHash: inputsHash(inputs), trace: traceOf(w), pauses };
}
