import { altitudeFactor } from './altitude';
import { bottleFreeL, compressibility } from './bottle';
import { DELIVERED_OVER_DISPLACED, deliveryLine } from '../session/delivery';
import {
	chokedFlowLpm,
	COUPLING_EQUIVALENT_M,
	hoseSquareDropBar2,
	inletBarFor,
	outletBar
} from './flow';
import { stageCoefficient } from './stages';
import { longestCut, tankDeliveryLpm, type LongestCut, type Tank } from '../session/tank';
import { runSession } from '../session/run';
import { type Run } from '../session/runTypes';
import { patternOf } from '../session/schedule';

import type { AirEvidence, ShopBench } from './inputs';
import type { Nozzle } from '../torch/inputs';
import type { Work } from '../session/inputs';

/** A gauge is good to this, bar: either end of a window is tight within it (common practice, ±2 psi). */
export const GAUGE_BAR = 0.1;
/** From this share of the window upwards a set-point is as good as any [own; common practice]. */
export const PLENTY_SHARE = 1 / 3;

/** The set-point from which more is not better, bar. */
export const plentyBar = (cutter: { airMinBar: number; airMaxBar: number }): number =>
	cutter.airMinBar + PLENTY_SHARE * (cutter.airMaxBar - cutter.airMinBar);

/** What the air is taken from, and how fast. */
export interface AirStore {
	/** Tank or bottles; undefined: the cutter's own compressor. */
	store: Tank | undefined;
	/** Pressure below which the store no longer serves: the tank's need, the bottle's reserve. */
	storeNeededBar: number;
	flowLpm: number;
}

export interface AirLine extends AirStore {
	/** "bound": nobody has told it; what the bore alone takes, the whole is more. */
	flowWay: 'measured' | 'plate' | 'bound' | 'built-in';
	/** Through the bore alone, a lower bound. */
	boreFlowLpm: number;
	leakLpm: number;
	altitudeFactor: number;
	deliveryFactor: number;
	/** Delivered over displaced; 1 for a delivery on the plate. */
	displacedShare: number;
	/** The shop's tank with its compressor, whether or not the air comes from it. */
	tank: Tank;
	bottleFreeL: number;
	bottleZ: number;
	deliveryAtCutInLpm: number;
	deliveryAtNeededLpm: number;
	hoseEquivalentM: number;
	/** What the gauge found over the model of the line's loss; 1 without it. */
	lineFactor: number;
	hoseSquareDropBar2: number;
	hoseLossBar: number;
	/** Loss over flow squared of what dries, and of what filters, bar/(l/min)². */
	dryerCoefficient: number;
	filterCoefficient: number;
	filterLossBar: number;
	dryerLossBar: number;
	elementsBar: number;
	/** Tank pressure at which the inlet just stays in the window, bar. */
	tankNeededBar: number;
	longest: LongestCut;
	leadSquareDropBar2: number;
	/** Inlet with the tank at cut-in, air flowing: what the gauges along the line show. */
	afterDryerBar: number;
	afterFilterBar: number;
	/** What the torch works at, by whoever sets it; null: not told. */
	workingBar: number | null;
}

/** What some work makes of the line. */
export interface AirWorkings {
	line: AirLine;
	run: Run;
	/** Pressure that enters the line at the lowest point of the session, bar. */
	lineLowBar: number;
	/** Inlet then, bar; undefined: the hose chokes. */
	inletLowBar: number | undefined;
	/** In the torch head then; undefined: the lead chokes. */
	torchBar: number | undefined;
	/** Air used over the pattern, leaks left out, l/min. */
	averageUseLpm: number;
}

/** The tank and its compressor, altitude and measurements included. */
function tankOf(bench: ShopBench, share: number, leakLpm: number): Tank {
	const { compressor, tankL } = bench.air;
	return {
		line: deliveryLine(compressor.points, share),
		cutInBar: compressor.cutInBar,
		cutOutBar: compressor.cutOutBar,
		startBar: compressor.cutOutBar,
		volumeL: tankL,
		leakLpm
	};
}

/** Bottles are a tank that nothing fills; what they hold less by Z is taken off their volume. */
function bottlesOf(bench: ShopBench, z: number, leakLpm: number): Tank | undefined {
	const { bottle } = bench.air;
	return (
		(bottle && {
			line: deliveryLine([{ flowLpm: 0, atBar: 0 }]),
			cutInBar: -Infinity,
			cutOutBar: bottle.fillBar,
			startBar: bottle.fillBar,
			volumeL: (bottle.waterL * bottle.count) / z,
			leakLpm
		}) ??
		undefined
	);
}

/** Air while the cutter runs. Independent of amps and work: the plate states one flow. */
export function airLine(bench: ShopBench, nozzle: Nozzle, evidence: AirEvidence): AirLine {
	const { air, cutter, torch } = bench;
	const boreFlowLpm = chokedFlowLpm(nozzle.boreMm, air.setPointBar);
	const leakLpm = evidence.leakLpm?.mean ?? 0;
	const [flowLpm, flowWay] = (
		air.source === 'built-in'
			? [boreFlowLpm, 'built-in']
			: evidence.flowLpm
				? [Math.max(1, evidence.flowLpm.mean - leakLpm), 'measured']
				: cutter.airFlowLpm !== null
					? [cutter.airFlowLpm, 'plate']
					: [boreFlowLpm, 'bound']
	) satisfies [number, AirLine['flowWay']];
	const altitude = altitudeFactor(air.altitudeM);
	const deliveryFactor = evidence.deliveryFactor?.mean ?? 1;
	const displacedShare = air.compressor.rating === 'displaced' ? DELIVERED_OVER_DISPLACED : 1;
	const tank = tankOf(bench, altitude * deliveryFactor * displacedShare, leakLpm);

	const lineFactor = evidence.lineFactor?.mean ?? 1;
	const hoseEquivalentM = air.hose.lengthM + COUPLING_EQUIVALENT_M * air.hose.couplings;
	const squareDrop =
		lineFactor * hoseSquareDropBar2({ boreMm: air.hose.boreMm, lengthM: hoseEquivalentM, flowLpm });
	const coefficient = (dries: boolean) =>
		lineFactor *
		air.stages
			.filter((stage) => (stage.kind === 'desiccant') === dries)
			.reduce((sum, stage) => sum + stageCoefficient(stage), 0);
	const [dryerCoefficient, filterCoefficient] = [coefficient(true), coefficient(false)];
	const dryerLossBar = dryerCoefficient * flowLpm ** 2;
	const filterLossBar = filterCoefficient * flowLpm ** 2;
	const elementsBar = filterLossBar + dryerLossBar;
	const hoseLossBar = inletBarFor(cutter.airMinBar, squareDrop) - cutter.airMinBar;
	const tankNeededBar = cutter.airMinBar + hoseLossBar + elementsBar;

	const z = compressibility(air.bottle?.fillBar ?? 0);
	const bottled = air.source === 'bottle';
	const store =
		air.source === 'built-in' ? undefined : bottled ? bottlesOf(bench, z, leakLpm) : tank;
	const storeNeededBar = bottled ? (air.bottle?.reserveBar ?? 0) : tankNeededBar - GAUGE_BAR;
	const { cutInBar } = tank;
	return {
		flowLpm,
		flowWay,
		boreFlowLpm,
		leakLpm,
		altitudeFactor: altitude,
		deliveryFactor,
		displacedShare,
		tank,
		store,
		storeNeededBar,
		bottleFreeL: air.bottle ? bottleFreeL(air.bottle, z) : 0,
		bottleZ: z,
		deliveryAtCutInLpm: tankDeliveryLpm(tank, cutInBar),
		deliveryAtNeededLpm: tankDeliveryLpm(tank, tankNeededBar),
		hoseEquivalentM,
		lineFactor,
		hoseSquareDropBar2: squareDrop,
		hoseLossBar,
		dryerCoefficient,
		filterCoefficient,
		filterLossBar,
		dryerLossBar,
		elementsBar,
		tankNeededBar,
		longest: longestCut(tank, flowLpm, tankNeededBar),
		leadSquareDropBar2: hoseSquareDropBar2({
			boreMm: torch.leadBoreMm,
			lengthM: torch.leadM,
			flowLpm
		}),
		afterDryerBar: cutInBar - dryerLossBar,
		afterFilterBar: cutInBar - elementsBar,
		workingBar: cutter.regulator === 'none' ? air.setPointBar : cutter.workingBar
	};
}

/** The same over some work. */
export function airWorkings(bench: ShopBench, line: AirLine, work: Work): AirWorkings {
	const { air, torch } = bench;
	const { store, flowLpm, storeNeededBar, elementsBar, hoseSquareDropBar2: squareDrop } = line;
	const bottled = air.source === 'bottle';
	const pattern = patternOf(work, torch.postFlowS);
	const run = runSession({
		pattern,
		air: store && { tank: store, useLpm: flowLpm, neededBar: storeNeededBar },
		nodes: []
	});
	const lineLowBar = bottled
		? Math.min(air.bottle?.outletBar ?? 0, run.lowestBar)
		: Math.max(run.lowestBar, 0);
	const throughLine = outletBar(lineLowBar - elementsBar, squareDrop);
	const inletLowBar = store
		? throughLine === undefined
			? undefined
			: Math.min(air.setPointBar, throughLine)
		: air.setPointBar;
	const averageUseLpm = (flowLpm * (pattern.arcS + pattern.postS)) / (work.arcS + work.restS);
	const enters =
		inletLowBar === undefined ? undefined : Math.min(inletLowBar, line.workingBar ?? Infinity);
	return {
		line,
		run,
		lineLowBar,
		inletLowBar,
		torchBar: enters === undefined ? undefined : outletBar(enters, line.leadSquareDropBar2),
		averageUseLpm
	};
}

/** What the air's room reads of the Plan's workings. */
export interface AirView {
	inputs: { bench: ShopBench; evidence: AirEvidence; work: Work };
	air: AirWorkings;
	/** Cutting nozzle in the torch now. */
	fittedNozzle: Nozzle;
}
