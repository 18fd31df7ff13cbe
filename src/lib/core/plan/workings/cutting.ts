import { ladderA } from '../../cut/amps';
import { handSpeedMmS, warpRisk, type WarpRisk } from '../../cut/heat';
import { KERF_PER_BORE } from '../../cut/guide';
import {
	startCapacity,
	startMethod,
	throughS,
	type StartCapacity,
	type StartMethod
} from '../../cut/start';
import {
	AIM_FACTORS,
	FASTEST_FACTOR,
	lagDegFromRatio,
	LAG_WINDOW_DEG,
	metalLaw,
	speedMmMin,
	speedRatioFromLag,
	steelLaw,
	SEVER_MM_MIN,
	thicknessMmAtSpeed,
	CLEAN_MM_MIN,
	type SpeedLaw
} from '../../cutter/speed';
import {
	chartGroups,
	chartSpeed,
	nearestPoint,
	nearestRow,
	type Chart,
	type ChartRow,
	type ChartSpeed
} from '../../cutter/chart';
import { arcThicknessMm } from '../../cut/thickness';
import {
	chartSigma,
	PRIOR_SIGMA,
	speedCorrection,
	speedKey,
	type SpeedCorrection
} from '../../evidence/speedCorrection';
import { METALS, type Metal } from '../../metal/metals';
import { changeOver, NOZZLE_LEAST_SHARE, type PartChange } from '../../torch/assembly';
import { shades, type Shades } from '../../safety/shade';
import type { Bench, Cut, Evidence, Nozzle, PlateInput, Stat } from '../inputs';
import type { Plan } from '../types';
import { arcVoltageV } from './electric';
import { guided, type Guiding } from './guiding';

export interface CuttingWorkings extends Guiding {
	metal: Metal;
	/** What the arc goes through. */
	arcMm: number;
	/** From the chart; undefined: none, or outside of it. */
	chart: ChartSpeed | undefined;
	/** A chart is there for this metal, but does not reach this cut. */
	outsideChart: boolean;
	/** Outside of the chart: its nearest point, and the arc power there over full power. */
	near: { speedMmS: number; thicknessMm: number; share: number } | undefined;
	chartRow: ChartRow | undefined;
	/** Chart or plate model, before any test cut, mm/s. */
	baseMmS: number;
	priorSigma: number;
	ladderA: number;
	outputA: number;
	nozzle: Nozzle;
	nozzleFits: Plan['choices']['nozzleFits'];
	/** What to change in the torch first. */
	changes: PartChange[];
	steel: SpeedLaw;
	law: SpeedLaw;
	powerShare: number;
	correction: SpeedCorrection;
	/** Ratings of this metal at these amps, mm. */
	cleanMm: number;
	severMm: number;
	/** mm/s; 0 or less: it does not go through. */
	referenceMmS: number;
	modelMmS: number;
	speedMmS: number;
	fastestMmS: number;
	aimFactor: number;
	lagDeg: number;
	lagLowMmS: number;
	lagHighMmS: number;
	/** Seconds for the line; null when it does not go through. */
	lineS: number | null;
	kerfMm: number;
	heatKJM: number | null;
	/** As fast as asked, or as fast as a hand goes, mm/s. */
	handMmS: number;
	/** Heat into the line at that. */
	handHeatKJM: number | null;
	warp: WarpRisk;
	start: StartCapacity;
	startMethod: StartMethod;
	/** Least whole amps at which the start that was asked goes through; undefined: none do, or these do. */
	startNeedsA: number | undefined;
	/** Expected time to break through, s. */
	throughS: number | null;
	standoff: Plan['choices']['standoff'];
	standoffMm: number;
	/** Set-point while flowing: of the chart's row, else of the bench. */
	airBar: number;
	/** From scrap; null: never measured for this metal and nozzle. */
	measuredKerf: Stat | null;
	shades: Shades;
}

/**
 * Amps by the school asked for, whole amps inside what plate and knob allow. `carriedA`: the most that
 * circuit and cutter run on for this work.
 */
export function chosenAmps(
	cut: Cut,
	bench: Bench,
	plate: PlateInput,
	capacity: number,
	carriedA: number | undefined
): number {
	const least = bench.cutter.outputMinA;
	if (cut.school === 'full') return plate.outputMaxA;
	const wanted =
		cut.school === 'matched'
			? Math.round(ladderA(arcThicknessMm(cut) / capacity))
			: cut.school === 'circuit'
				? (carriedA ?? least)
				: cut.typedA;
	return Math.min(plate.outputMaxA, Math.max(least, wanted));
}

/** The smallest cutting nozzle that bears these amps, else the largest there is. */
export function nozzleFor(nozzles: readonly Nozzle[], outputA: number): Nozzle {
	const cutting = nozzles.filter((n) => n.kind === 'cut').sort((x, y) => x.ratingA - y.ratingA);
	return cutting.find((n) => n.ratingA >= outputA) ?? cutting[cutting.length - 1]!;
}

/** The cutting nozzle in the torch; the bench schema makes sure that it is listed. */
export function fittedNozzle(torch: Bench['torch']): Nozzle {
	return torch.nozzles.find((n) => n.kind === 'cut' && n.ratingA === torch.fittedA)!;
}

function nozzleFit(fittedA: number, outputA: number): Plan['choices']['nozzleFits'] {
	if (outputA > fittedA) return 'too small';
	return outputA < NOZZLE_LEAST_SHARE * fittedA ? 'far too big' : 'fits';
}

/**
 * Arc power at these amps over the power that the ratings were found at: the machine's largest output,
 * whatever this supply allows.
 */
function powerShareOf(bench: Bench, outputA: number): number {
	const ratedA = Math.max(...bench.cutter.inputs.map((input) => input.outputMaxA));
	return (outputA * arcVoltageV(bench, outputA)) / (ratedA * arcVoltageV(bench, ratedA));
}

/** Speed before any test cut: from the chart where it reaches, else from the plate model. */
export function baseSpeed(
	bench: Bench,
	chart: Chart | null,
	at: { metal: Cut['metal']; outputA: number; arcMm: number; nozzleA: number }
) {
	const { cutter } = bench;
	const metal = METALS[at.metal];
	const power = (amps: number) => amps * arcVoltageV(bench, amps);
	const powerShare = powerShareOf(bench, at.outputA);
	const steel = steelLaw(cutter.cleanMm, cutter.severMm);
	const law = metalLaw(steel, cutter.cleanMm, metal.capacity, metal.thinSpeed);
	const modelMmS = speedMmMin(law, powerShare, at.arcMm) / 60;
	const place = { outputA: at.outputA, thicknessMm: at.arcMm, nozzleA: at.nozzleA };
	const groups = chart ? chartGroups(chart, at.metal) : [];
	const charted = chartSpeed(groups, place, power);
	const point = charted ? undefined : nearestPoint(groups, place);
	const share = point && powerShareOf(bench, point.outputA);
	const pointModelMmS = point ? speedMmMin(law, share!, point.thicknessMm) / 60 : 0;
	const near = point && modelMmS > 0 && pointModelMmS > 0 ? { ...point, share: share! } : undefined;
	const carried = near ? (near.speedMmS * modelMmS) / pointModelMmS : modelMmS;
	return {
		powerShare,
		steel,
		law,
		modelMmS,
		chart: charted,
		near,
		outsideChart: groups.length > 0 && !charted,
		baseMmS: charted?.speedMmS ?? carried,
		priorSigma: charted ? chartSigma(0) : near ? chartSigma(near.far) : PRIOR_SIGMA
	};
}

export function cuttingWorkings(
	bench: Bench,
	cut: Cut,
	evidence: Evidence,
	chart: Chart | null,
	{ outputA, mostA: mostAmps }: { outputA: number; mostA: number }
): CuttingWorkings {
	const { torch } = bench;
	const metal = METALS[cut.metal];
	const arcMm = arcThicknessMm(cut);
	const nozzle = nozzleFor(torch.nozzles, outputA);
	const at = { metal: cut.metal, outputA, arcMm, nozzleA: nozzle.ratingA };
	const base = baseSpeed(bench, chart, at);
	const { law, powerShare, baseMmS } = base;
	const power = outputA * arcVoltageV(bench, outputA);
	const correction = speedCorrection(
		evidence.speed[speedKey(cut.metal, nozzle.ratingA)],
		base.priorSigma
	);
	const referenceMmS = baseMmS * correction.factor;
	const aimFactor = AIM_FACTORS[cut.aim];
	const speedMmS = referenceMmS * aimFactor;
	const severMm = thicknessMmAtSpeed(law, powerShare, SEVER_MM_MIN);
	const cleanMm = thicknessMmAtSpeed(law, powerShare, CLEAN_MM_MIN);
	const chartRow = chart ? nearestRow(chart, { ...at, thicknessMm: arcMm }) : undefined;
	const measuredKerf = evidence.scrap.kerf[speedKey(cut.metal, nozzle.ratingA)] ?? null;
	const kerfMm = measuredKerf?.mean ?? chartRow?.kerfMm ?? KERF_PER_BORE * nozzle.boreMm;
	const start = startCapacity(cleanMm, severMm);
	const method = startMethod(cut.start, arcMm, start);
	const methodS = throughS(method, arcMm, referenceMmS);
	const capacityAt = (amps: number) => {
		const share = powerShareOf(bench, amps);
		return startCapacity(
			thicknessMmAtSpeed(law, share, CLEAN_MM_MIN),
			thicknessMmAtSpeed(law, share, SEVER_MM_MIN)
		);
	};
	const through = speedMmS > 0;
	const drags = torch.dragShield && torch.shieldIn !== 'none';
	const standoff = drags ? 'drag' : outputA <= torch.bareTouchA ? 'touch' : 'gap';
	const standoffMm = standoff === 'gap' ? (chartRow?.standoffMm ?? torch.standoffMm) : 0;
	const handMmS = handSpeedMmS(speedMmS, cut.guide);
	const mostA = Math.floor(mostAmps);
	const goesThrough = (amps: number) => startMethod(cut.start, arcMm, capacityAt(amps)) !== 'none';
	return {
		metal,
		arcMm,
		...base,
		chartRow,
		ladderA: ladderA(arcMm / metal.capacity),
		outputA,
		nozzle,
		nozzleFits: nozzleFit(torch.fittedA, outputA),
		changes: changeOver(torch, at),
		correction,
		cleanMm,
		severMm,
		referenceMmS,
		speedMmS,
		fastestMmS: referenceMmS * FASTEST_FACTOR,
		aimFactor,
		lagDeg: lagDegFromRatio(aimFactor),
		lagLowMmS: referenceMmS * speedRatioFromLag(LAG_WINDOW_DEG[0]),
		lagHighMmS: referenceMmS * speedRatioFromLag(LAG_WINDOW_DEG[1]),
		lineS: through ? cut.lengthMm / speedMmS : null,
		kerfMm,
		heatKJM: through ? power / speedMmS : null,
		handMmS,
		handHeatKJM: through ? power / handMmS : null,
		warp: warpRisk(cut.thicknessMm, speedMmS, handMmS),
		start,
		startMethod: method,
		startNeedsA: method === 'none' ? leastAmps(outputA, mostA, goesThrough) : undefined,
		throughS: method === 'pierce' ? (chartRow?.pierceS ?? methodS) : methodS,
		standoff,
		standoffMm,
		airBar: chartRow?.pressureBar ?? bench.air.setPointBar,
		...guided(bench, cut, evidence, { kerfMm, standoffMm }),
		measuredKerf,
		shades: shades(outputA, bench.supply.system)
	};
}

/** Least whole amps above these for which something holds; undefined: none up to the most. */
function leastAmps(
	outputA: number,
	mostA: number,
	holds: (amps: number) => boolean
): number | undefined {
	for (let amps = Math.floor(outputA) + 1; amps <= mostA; amps++) if (holds(amps)) return amps;
	return undefined;
}
