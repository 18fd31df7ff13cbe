import type { Warmth } from '../session/node';

import type { TripCurve } from '../circuit/breaker';
import { HOT_SPOT_C } from '../cutter/duty';
import { firstCrossing, settledPeak } from '../session/node';
import { runSession } from '../session/run';
import type { WarmNode } from '../session/node';
import type { Run, RunInputs } from '../session/runTypes';
import { patternOf } from '../session/schedule';
import type { PlanInputs } from '../inputs/planInputs';
import type { AirStore } from '../air/workings';
import type { Draw } from '../circuit/workings';
import type { Wiring } from '../circuit/wiring';
import { IDLE_A } from '../cutter/plate';
import type { HeatWorkings } from '../cutter/heat';

export interface SessionWorkings {
	/** The breaker by its earliest and its latest curve, in (I/In)²; the cutter, °C. */
	earliest: Warmth;
	latest: Warmth;
	cutter: Warmth;
	/** The run behind them; undefined: closed forms did. */
	run: Run | undefined;
}

export function sessionNodes(
	inputs: PlanInputs,
	w: Wiring,
	d: Draw,
	heat: HeatWorkings
): [WarmNode, WarmNode, WarmNode] {
	const heatOf = (amps: number) => (amps / w.breakerA) ** 2;
	const idle = IDLE_A + w.steadyA;
	const arc = d.inputA + w.steadyA;
	const breaker = (curve: TripCurve): WarmNode => ({
		tauS: curve.tauS,
		targets: [heatOf(idle), heatOf(idle + w.compressorA), heatOf(arc), heatOf(arc + w.compressorA)],
		start: 0,
		limit: curve.tripHeat
	});
	const { shopC } = inputs.work;
	const hot = shopC + heat.riseK;
	return [
		breaker(w.curves.earliest),
		breaker(w.curves.latest),
		{ tauS: heat.tauS, targets: [shopC, shopC, hot, hot], start: shopC, limit: HOT_SPOT_C }
	];
}

/** What the run of this work is made of; the trace and the pause plan take the same. */
export function runInputsOf(
	inputs: PlanInputs,
	w: Wiring,
	air: AirStore,
	d: Draw,
	heat: HeatWorkings
): RunInputs {
	return {
		pattern: patternOf(inputs.work, inputs.bench.torch.postFlowS),
		air: air.store && { tank: air.store, useLpm: air.flowLpm, neededBar: air.storeNeededBar },
		nodes: sessionNodes(inputs, w, d, heat)
	};
}

function closedForm(node: WarmNode, inputs: PlanInputs): Warmth {
	const { arcS, restS } = inputs.work;
	const pattern = {
		tauS: node.tauS,
		onTarget: node.targets[2],
		offTarget: node.targets[0],
		onS: arcS,
		offS: restS,
		start: node.start
	};
	const crossing = firstCrossing(pattern, node.limit);
	return {
		node,
		peak: settledPeak(pattern),
		from: undefined,
		crossing: crossing && {
			atS: crossing.atS,
			startS: crossing.phaseStartS,
			level: crossing.phaseStartLevel,
			target: pattern.onTarget
		}
	};
}

/**
 * Breaks only cool. So what never reaches its limit without them does not with them, and what reaches
 * it before the first break has not felt one: the closed form of the plain pattern then stands.
 */
function holdsWithBreaks({ crossing }: Warmth, { work }: PlanInputs): boolean {
	return !work.shift || !crossing || crossing.atS <= work.shift.spellMin * 60;
}

/**
 * Closed forms where they are exact; a compressor on the same breaker, which comes and goes, or a limit
 * that comes after a break, need the run.
 */
export function sessionWorkings(
	inputs: PlanInputs,
	w: Wiring,
	air: AirStore,
	d: Draw,
	heat: HeatWorkings
): SessionWorkings {
	if (w.compressorA === 0) {
		const plain = sessionNodes(inputs, w, d, heat).map((node) => closedForm(node, inputs)) as [
			Warmth,
			Warmth,
			Warmth
		];
		if (plain.every((warmth) => holdsWithBreaks(warmth, inputs))) {
			const [earliest, latest, cutter] = plain;
			return { earliest, latest, cutter, run: undefined };
		}
	}
	return sessionRun(inputs, w, air, d, heat);
}

/** The same by the run alone: of work that ends, what it reaches by then counts, not what it would settle at. */
export function sessionRun(
	inputs: PlanInputs,
	w: Wiring,
	air: AirStore,
	d: Draw,
	heat: HeatWorkings
): SessionWorkings {
	const given = runInputsOf(inputs, w, air, d, heat);
	// Only a compressor on this breaker ties the electric side to the tank.
	const run = runSession(w.compressorA > 0 ? given : { ...given, air: undefined });
	const [earliest, latest, cutter] = run.nodes.map((node, k) => ({
		node: given.nodes[k]!,
		peak: node.peak,
		from: node.peakFrom,
		crossing: node.crossing
	})) as [Warmth, Warmth, Warmth];
	return { earliest, latest, cutter, run };
}
