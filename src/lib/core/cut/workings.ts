import { wholeAmps } from '../cutter/power';

import { ladderA } from './amps';
import { bevelGapMm, GAP_MOST_MM } from './guide';
import { handSpeedMmS, warpRisk, type WarpRisk } from './heat';
import { chartKerfPull, kerfKey, modelKerfMm } from './kerf';
import { startCapacity, startMethod, type StartCapacity, type StartMethod } from './start';
import {
	CLEAN_AIMS,
	lagDegFromRatio,
	LAG_WINDOW_DEG,
	speedRatioFromLag,
	type SparkSchool
} from '../speed/speed';
import { chartReach } from '../speed/chart';
import { type Chart, type ChartRow } from '../speed/chartSchema';
import type { LawAt } from '../speed/speedLaw';
import { arcThicknessMm } from './thickness';
import { METALS, type Metal } from '../metal/metals';
import { changeOver, NOZZLE_LEAST_SHARE, type PartChange } from '../torch/assembly';
import { EIGHT_IN_TEN } from '../solve/normal';
import { shades, type Shades } from '../safety/shade';
import type { AirView } from '../air/workings';
import type { ShopBench } from '../air/inputs';
import type { CircuitView } from '../circuit/workings';
import type { SpeedEvidence } from '../speed/inputs';
import type { CutEvidence } from './inputs';
import type { LineCut } from './lineCut';
import type { Nozzle } from '../torch/inputs';
import type { PlateInput } from '../cutter/inputs';
import type { Stat } from '../quantity/stat';
import { arcVoltageV } from '../cutter/power';
import { guided, type Guiding } from './guiding';
import { nozzleFor } from '../torch/nozzle';
import { chartRowOf, lawOfCut, started, travelOf, type LawAsk } from './travel';

/** How the nozzle in the torch suits the amps. */
export type NozzleFit = 'fits' | 'too small' | 'far too big';
/** "guide": tilted too far to rest on the plate; only a stand-off guide or rollers hold it. */
export type StandoffWay = 'drag' | 'touch' | 'gap' | 'guide';

export interface CuttingWorkings extends Guiding {
	metal: Metal;
	/** What the arc goes through. */
	arcMm: number;
	/** Whether a chart of this metal and nozzle reaches this cut. */
	chartReach: 'none' | 'inside' | 'outside';
	chartRow: ChartRow | undefined;
	law: LawAt;
	/** Test cuts of this metal on this nozzle that speak in it. */
	tests: number;
	/** What lies on the metal slows the travel by this. */
	coatingFactor: number;
	ladderA: number;
	outputA: number;
	nozzle: Nozzle;
	nozzleFits: NozzleFit;
	/** What to change in the torch first. */
	changes: PartChange[];
	/** Ratings of this metal at these amps, mm. */
	cleanMm: number;
	severMm: number;
	/** Spread of ln(sever limit). */
	severSpread: number;
	/** It parts at these amps. All that goes by the travel is null when it does not. */
	parts: boolean;
	/** Before any test cut, mm/s. */
	baseMmS: number | null;
	referenceMmS: number | null;
	speedMmS: number | null;
	fastestMmS: number | null;
	aimFactor: number;
	lagDeg: number;
	lagLowMmS: number | null;
	lagHighMmS: number | null;
	/** Way of the torch: the line, or once round the circle, mm. */
	lineMm: number;
	/** Seconds for the line, as a hand goes. */
	lineS: number | null;
	/** Arc of one such cut: until it is through, and then the line. */
	arcS: number | null;
	kerfMm: number;
	kerfPull: number;
	heatKJM: number | null;
	/** As fast as asked, or as fast as a hand goes, mm/s. */
	handMmS: number | null;
	/** Heat into the line at that. */
	handHeatKJM: number | null;
	warp: WarpRisk;
	start: StartCapacity;
	startMethod: StartMethod;
	/** Least whole amps at which the start that was asked goes through; undefined: none do, or these do. */
	startNeedsA: number | undefined;
	/** Least whole amps of this machine that part this thickness; undefined: none. */
	partsFromA: number | undefined;
	/** Expected time to break through, s. */
	throughS: number | null;
	standoff: StandoffWay;
	standoffMm: number;
	/** What the tilt alone lifts the nozzle off the plate, along its axis. */
	bevelGapMm: number;
	/** From scrap; null: never measured for this metal and nozzle. */
	measuredKerf: Stat | null;
	shades: Shades;
}

/** The fewest whole amps for which something holds; undefined: none. */
const fewest = (amps: readonly number[], holds: (amps: number) => boolean) => amps.find(holds);

/** Whether the start that was asked for goes through at these amps. */
function startsAt(ask: LawAsk & { cut: LineCut }, outputA: number): boolean {
	const { cleanMm, severMm } = lawOfCut(ask, outputA).limits(outputA);
	return startMethod(ask.cut, arcThicknessMm(ask.cut), startCapacity(cleanMm, severMm)) !== 'none';
}

/**
 * Amps matched to the cut: the fewest whose clean limit covers its thickness for an aim that wants a clean
 * edge, the fewest that sever it for the others, and at which the start that was asked goes through; the most
 * where none do.
 */
export function matchedA(ask: LawAsk & { cut: LineCut }, plate: PlateInput): number {
	const arcMm = arcThicknessMm(ask.cut);
	const clean = CLEAN_AIMS.includes(ask.cut.aim);
	const covers = (amps: number) => {
		const { cleanMm, severMm, spread } = lawOfCut(ask, amps).limits(amps);
		return arcMm <= (clean ? cleanMm : surelySeversMm(severMm, spread));
	};
	const amps = wholeAmps(ask.bench, plate);
	return fewest(amps, (one) => covers(one) && startsAt(ask, one)) ?? plate.outputMaxA;
}

/** It severs up to here nine times in ten: thicker is tight. */
export const surelySeversMm = (severMm: number, spread: number): number =>
	severMm * Math.exp(-EIGHT_IN_TEN * spread);

/**
 * Amps by the school asked for, whole amps inside what plate and knob allow. `carriedA`: the most that
 * circuit and cutter surely run on for this work.
 */
export function chosenAmps(
	ask: LawAsk & { cut: LineCut },
	plate: PlateInput,
	carriedA: () => number | undefined
): number {
	const { cut, bench } = ask;
	const least = bench.cutter.outputMinA;
	if (cut.school === 'full') return plate.outputMaxA;
	const wanted =
		cut.school === 'matched'
			? matchedA(ask, plate)
			: cut.school === 'circuit'
				? (carriedA() ?? least)
				: cut.typedA;
	return Math.min(plate.outputMaxA, Math.max(least, wanted));
}

function nozzleFit(fittedA: number, outputA: number): NozzleFit {
	if (outputA > fittedA) return 'too small';
	return outputA < NOZZLE_LEAST_SHARE * fittedA ? 'far too big' : 'fits';
}

/** How the torch is held off the plate, and how far along its axis. */
function standoffOf(
	bench: ShopBench,
	cut: LineCut,
	outputA: number,
	chartRow: ChartRow | undefined
): Pick<CuttingWorkings, 'standoff' | 'standoffMm' | 'bevelGapMm'> {
	const { torch } = bench;
	const tilted = bevelGapMm(torch.faceRadiusMm, cut.bevelDeg);
	const drags = torch.dragShield && torch.shieldIn !== 'none';
	const touches = drags || outputA <= torch.bareTouchA;
	const held = touches ? 0 : (chartRow?.standoffMm ?? torch.standoffMm);
	// On its rim, a tilted torch stands off by more than anyone holds.
	const way = tilted > GAP_MOST_MM ? 'guide' : drags ? 'drag' : touches ? 'touch' : 'gap';
	return {
		standoff: way,
		standoffMm: way === 'guide' ? torch.standoffMm : Math.max(held, tilted),
		bevelGapMm: tilted
	};
}

export function cuttingWorkings(
	bench: ShopBench,
	cut: LineCut,
	evidence: SpeedEvidence & CutEvidence,
	chart: Chart | null,
	settings: { sparks: SparkSchool },
	{ outputA, plate }: { outputA: number; plate: PlateInput }
): CuttingWorkings {
	const { torch } = bench;
	const metal = METALS[cut.metal];
	const ask = { bench, chart, evidence, cut, settings };
	const travel = travelOf(ask, outputA);
	const { arcMm, law, referenceMmS, speedMmS } = travel;
	const nozzle = nozzleFor(torch.nozzles, outputA);
	const place = { metal: cut.metal, outputA, nozzleA: nozzle.ratingA, thicknessMm: arcMm };
	const power = outputA * arcVoltageV(bench, outputA);
	const chartRow = chartRowOf(ask, outputA);
	const standoff = standoffOf(bench, cut, outputA, chartRow);
	const measuredKerf = evidence.scrap.kerf[kerfKey(cut.metal, nozzle.ratingA)] ?? null;
	const kerfPull = chartKerfPull(chart, { ...place, boreMm: nozzle.boreMm });
	const kerfMm =
		measuredKerf?.mean ??
		modelKerfMm({
			boreMm: nozzle.boreMm,
			speedRatio: travel.aimFactor,
			standoffMm: standoff.standoffMm
		}) * Math.exp(kerfPull);
	const begun = started(cut, travel, () => chartRow);
	const more = wholeAmps(bench, plate).filter((amps) => amps > outputA);
	const limitsAt = (amps: number) => lawOfCut(ask, amps).limits(amps);
	const guide = guided(bench, cut, evidence, { kerfMm, standoffMm: standoff.standoffMm });
	const handMmS = speedMmS === null ? null : handSpeedMmS(speedMmS, cut.guide);
	const lineS = handMmS === null ? null : guide.lineMm / handMmS;
	const at = (deg: number) =>
		referenceMmS === null ? null : referenceMmS * speedRatioFromLag(deg);
	const [lagLow, lagHigh] = LAG_WINDOW_DEG[settings.sparks];
	// Written out, as wherever a frame plans: what is spread into the middle of a record is copied the slow way.
	return {
		metal,
		arcMm: travel.arcMm,
		law: travel.law,
		coatingFactor: travel.coatingFactor,
		parts: travel.parts,
		baseMmS: travel.baseMmS,
		referenceMmS: travel.referenceMmS,
		fastestMmS: travel.fastestMmS,
		aimFactor: travel.aimFactor,
		speedMmS: travel.speedMmS,
		chartReach: chartReach(chart, place),
		chartRow,
		tests: lawOfCut(ask, outputA).tests,
		ladderA: ladderA(arcMm / metal.capacity),
		outputA,
		nozzle,
		nozzleFits: nozzleFit(torch.fittedA, outputA),
		changes: changeOver(torch, { outputA, nozzleA: nozzle.ratingA }),
		cleanMm: law.cleanMm,
		severMm: law.severMm,
		severSpread: law.severSpread,
		lagDeg: lagDegFromRatio(travel.aimFactor),
		lagLowMmS: at(lagLow),
		lagHighMmS: at(lagHigh),
		lineS,
		arcS: lineS === null || begun.throughS === null ? null : begun.throughS + lineS,
		kerfMm,
		kerfPull,
		heatKJM: speedMmS === null ? null : power / speedMmS,
		handMmS,
		handHeatKJM: handMmS === null ? null : power / handMmS,
		warp: speedMmS === null ? 'none' : warpRisk(cut.thicknessMm, speedMmS, handMmS!),
		start: begun.start,
		startMethod: begun.startMethod,
		throughS: begun.throughS,
		startNeedsA:
			begun.startMethod === 'none' ? fewest(more, (amps) => startsAt(ask, amps)) : undefined,
		partsFromA: law.parts ? undefined : fewest(more, (amps) => arcMm <= limitsAt(amps).severMm),
		standoff: standoff.standoff,
		standoffMm: standoff.standoffMm,
		bevelGapMm: standoff.bevelGapMm,
		guideWay: guide.guideWay,
		otherWay: guide.otherWay,
		offsetMm: guide.offsetMm,
		otherSideOffsetMm: guide.otherSideOffsetMm,
		kerfTopMm: guide.kerfTopMm,
		lineMm: guide.lineMm,
		measuredRadius: guide.measuredRadius,
		radiusMm: guide.radiusMm,
		bottomShiftMm: guide.bottomShiftMm,
		aimShiftMm: guide.aimShiftMm,
		measuredKerf,
		shades: shades(outputA, bench.supply.system)
	};
}

/** What the room of the cut reads of the Plan's workings. */
export interface CutView extends CircuitView, AirView {
	inputs: CircuitView['inputs'] &
		AirView['inputs'] & {
			cut: LineCut;
			evidence: SpeedEvidence & CutEvidence;
			settings: { sparks: SparkSchool };
			chart: Chart | null;
		};
	cutting: CuttingWorkings;
	/** Air for the line, l; null when it does not go through, or nobody knows the flow. */
	lineAirL: number | null;
}
