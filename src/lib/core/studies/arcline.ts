/** What the arcs that were really seen say: how hot the cutter is by them, and what the log may take them for. */
import type { Planned } from '../arcline/propose';
import type { PlanInputs } from '../inputs/planInputs';
import { runInputsOf } from '../plan/session';
import type { Plan } from '../plan/types';
import { workings } from '../plan/workings';

export interface HeatNow {
	/** Warmth over the shop's air, of what lights the lamp; 1: it lights. */
	share: number;
	/** An arc from now on may last so long, s; null: it may go on. */
	leftS: number | null;
}

/** Heat of longer ago has gone: five time constants leave less than a hundredth. */
const TAUS = 5;

/**
 * By the plan's own node of the cutter, at the planned amps, from the air of the shop on. `arcs`: in order, ms
 * of the same clock as `nowMs`; one that still burns ends at `nowMs`.
 */
export function heatNow(
	base: PlanInputs,
	arcs: readonly { fromMs: number; toMs: number }[],
	nowMs: number
): HeatNow {
	const w = workings(base, { solveAmps: false });
	const { tauS, targets, start, limit } = runInputsOf(
		w.inputs,
		w.wiring,
		w.air.line,
		w.draw,
		w.heat
	).nodes[2]!;
	const [cold, , hot] = targets;
	const towards = (level: number, target: number, ms: number) =>
		target + (level - target) * Math.exp(-Math.max(0, ms) / 1000 / tauS);
	let [level, at] = [start, nowMs - TAUS * 1000 * tauS];
	for (const { fromMs, toMs } of arcs) {
		if (toMs <= at) continue;
		level = towards(level, cold, fromMs - at);
		level = towards(level, hot, toMs - Math.max(at, fromMs));
		at = toMs;
	}
	level = towards(level, cold, nowMs - at);
	const share = (level - start) / (limit - start);
	if (level >= limit) return { share, leftS: 0 };
	return {
		share,
		leftS: hot > limit ? tauS * Math.log((hot - level) / (hot - limit)) : null
	};
}

/** Duty is told over ten minutes (IEC 60974-1), ms. */
const DUTY_MS = 600_000;

/** Share of the last ten minutes in which an arc burnt. `arcs` as above. */
export const runShare = (
	arcs: readonly { fromMs: number; toMs: number }[],
	nowMs: number
): number =>
	arcs.reduce(
		(sum, { fromMs, toMs }) =>
			sum + Math.max(0, Math.min(nowMs, toMs) - Math.max(nowMs - DUTY_MS, fromMs)),
		0
	) / DUTY_MS;

/** What is planned while the arcs burn; their seconds become a length at the pace of a hand. */
export function plannedOf(
	{ figures, choices: { startMethod } }: Plan,
	{ cut, bench: { torch } }: Pick<PlanInputs, 'cut' | 'bench'>
): Planned {
	return {
		metal: cut.metal,
		thicknessMm: cut.thicknessMm,
		mesh: cut.mesh,
		start: startMethod === 'none' ? 'edge' : startMethod,
		outputA: figures['setup.currentA'].value ?? torch.fittedA,
		speedMmS: figures['setup.handMmS'].value,
		lengthMm: figures['setup.lineMm'].value ?? cut.lengthMm,
		nozzleA: torch.fittedA
	};
}
