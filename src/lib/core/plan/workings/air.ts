import { altitudeFactor } from '../../air/altitude';
import {
	chokedFlowLpm,
	COUPLING_EQUIVALENT_M,
	hoseSquareDropBar2,
	inletBarFor,
	outletBar
} from '../../air/flow';
import {
	deliveryLpm,
	longestCut,
	runningLaw,
	type Compressor,
	type LongestCut
} from '../../air/tank';
import { runTank, type TankRun } from '../../session/tankRun';
import type { Bench, Evidence, Nozzle, Work } from '../inputs';

/** A nozzle's own flow is about a third of the whole; the rest cools and shields (common practice). */
export const BORE_FLOW_MULTIPLE = 3;

export interface AirWorkings {
	flowLpm: number;
	flowWay: 'measured' | 'plate' | 'bore';
	/** Through the bore alone, a lower bound. */
	boreFlowLpm: number;
	altitudeFactor: number;
	deliveryFactor: number;
	compressor: Compressor;
	deliveryAtCutInLpm: number;
	deliveryAtNeededLpm: number;
	/** dp/dt = a − b·p with compressor and cutter running. */
	running: { a: number; b: number };
	hoseEquivalentM: number;
	hoseSquareDropBar2: number;
	hoseLossBar: number;
	filterLossBar: number;
	dryerLossBar: number;
	/** Tank pressure at which the inlet just stays in the window, bar. */
	tankNeededBar: number;
	longest: LongestCut;
	run: TankRun;
	/** Inlet pressure at the lowest point of the session, bar; undefined: the hose chokes. */
	inletLowBar: number | undefined;
	/** Inlet with the tank at cut-in, air flowing: what the gauges along the line show. */
	afterDryerBar: number;
	afterFilterBar: number;
	afterHoseBar: number | undefined;
	/** Air used over the pattern, l/min. */
	averageUseLpm: number;
	/** Set-point inside the plate's window. */
	setPointInWindow: boolean;
}

function lossBar(element: { lossBar: number; atLpm: number } | null, flowLpm: number): number {
	return element ? element.lossBar * (flowLpm / element.atLpm) ** 2 : 0;
}

/** Air while the cutter runs. Independent of the amps: the plate states one flow. */
export function airWorkings(
	bench: Bench,
	nozzle: Nozzle,
	evidence: Evidence,
	work: Work
): AirWorkings {
	const { air, cutter, torch } = bench;
	const boreFlowLpm = chokedFlowLpm(nozzle.boreMm, air.setPointBar);
	const [flowLpm, flowWay] = evidence.flowLpm
		? ([evidence.flowLpm.mean, 'measured'] as const)
		: cutter.airFlowLpm !== null
			? ([cutter.airFlowLpm, 'plate'] as const)
			: ([BORE_FLOW_MULTIPLE * boreFlowLpm, 'bore'] as const);
	const altitude = altitudeFactor(air.altitudeM);
	const deliveryFactor = evidence.deliveryFactor?.mean ?? 1;
	const share = altitude * deliveryFactor;
	const compressor: Compressor = {
		...air.compressor,
		q1Lpm: air.compressor.q1Lpm * share,
		q2Lpm: air.compressor.q2Lpm * share,
		tankL: air.tankL
	};
	const hoseEquivalentM = air.hose.lengthM + COUPLING_EQUIVALENT_M * air.hose.couplings;
	const squareDrop = hoseSquareDropBar2({
		boreMm: air.hose.boreMm,
		lengthM: hoseEquivalentM,
		flowLpm
	});
	const filterLossBar = lossBar(air.filter, flowLpm);
	const dryerLossBar = lossBar(air.dryer, flowLpm);
	const elementsBar = filterLossBar + dryerLossBar;
	const hoseLossBar = inletBarFor(cutter.airMinBar, squareDrop) - cutter.airMinBar;
	const tankNeededBar = cutter.airMinBar + hoseLossBar + elementsBar;
	const useS = work.arcS + Math.min(torch.postFlowS, work.restS);
	const run = runTank(
		compressor,
		{ useLpm: flowLpm, useS, restS: work.arcS + work.restS - useS },
		tankNeededBar
	);
	const atInlet = (tankBar: number) => {
		const bar = outletBar(tankBar - elementsBar, squareDrop);
		return bar === undefined ? undefined : Math.min(air.setPointBar, bar);
	};
	const atCutIn = Math.max(compressor.cutInBar, 0);
	return {
		flowLpm,
		flowWay,
		boreFlowLpm,
		altitudeFactor: altitude,
		deliveryFactor,
		compressor,
		deliveryAtCutInLpm: deliveryLpm(compressor, compressor.cutInBar),
		deliveryAtNeededLpm: deliveryLpm(compressor, tankNeededBar),
		running: runningLaw(compressor, flowLpm),
		hoseEquivalentM,
		hoseSquareDropBar2: squareDrop,
		hoseLossBar,
		filterLossBar,
		dryerLossBar,
		tankNeededBar,
		longest: longestCut(compressor, flowLpm, tankNeededBar),
		run,
		inletLowBar: atInlet(Math.max(run.lowestBar, 0)),
		afterDryerBar: atCutIn - dryerLossBar,
		afterFilterBar: atCutIn - elementsBar,
		afterHoseBar: outletBar(atCutIn - elementsBar, squareDrop),
		averageUseLpm: (flowLpm * useS) / (work.arcS + work.restS),
		setPointInWindow: air.setPointBar >= cutter.airMinBar && air.setPointBar <= cutter.airMaxBar
	};
}
