import { ladderA } from '../../cut/amps';
import { handSpeedMmS, warpRisk, type WarpRisk } from '../../cut/heat';
import { guideOffsetMm, KERF_PER_BORE } from '../../cut/guide';
import { easiestPierce, startCapacity, type StartCapacity } from '../../cut/start';
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
import type { Bench, Cut, Evidence, Nozzle, PlateInput } from '../inputs';
import type { Plan } from '../types';
import { arcVoltageV } from './electric';

export interface CuttingWorkings {
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
	startMethod: Plan['choices']['startMethod'];
	standoff: Plan['choices']['standoff'];
	standoffMm: number;
	/** Set-point while flowing: of the chart's row, else of the bench. */
	airBar: number;
	/** Freehand is drawn with the line a guide on the kept side would give. */
	guideSide: 'kept' | 'waste';
	offsetMm: number;
	otherSideOffsetMm: number;
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

/** Speed before any test cut: from the chart where it reaches, else from the plate model. */
export function baseSpeed(
	bench: Bench,
	chart: Chart | null,
	at: { metal: Cut['metal']; outputA: number; arcMm: number; nozzleA: number }
) {
	const { cutter } = bench;
	const metal = METALS[at.metal];
	const power = (amps: number) => amps * arcVoltageV(bench, amps);
	// The ratings were found at the machine's largest output, whatever this supply allows.
	const ratedA = Math.max(...cutter.inputs.map((input) => input.outputMaxA));
	const powerShare = power(at.outputA) / power(ratedA);
	const steel = steelLaw(cutter.cleanMm, cutter.severMm);
	const law = metalLaw(steel, cutter.cleanMm, metal.capacity, metal.thinSpeed);
	const modelMmS = speedMmMin(law, powerShare, at.arcMm) / 60;
	const place = { outputA: at.outputA, thicknessMm: at.arcMm, nozzleA: at.nozzleA };
	const groups = chart ? chartGroups(chart, at.metal) : [];
	const charted = chartSpeed(groups, place, power);
	const point = charted ? undefined : nearestPoint(groups, place);
	const share = point && power(point.outputA) / power(ratedA);
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
	outputA: number
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
	const kerfMm = chartRow?.kerfMm ?? KERF_PER_BORE * nozzle.boreMm;
	const start = startCapacity(cleanMm, severMm);
	const possible = easiestPierce(arcMm, start);
	const side = cut.guide === 'waste' ? 'waste' : 'kept';
	const through = speedMmS > 0;
	const drags = torch.dragShield && torch.shieldIn !== 'none';
	const standoff = drags ? 'drag' : outputA <= torch.bareTouchA ? 'touch' : 'gap';
	const handMmS = handSpeedMmS(speedMmS, cut.guide);
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
		startMethod: cut.start === 'edge' && possible !== 'none' ? 'edge' : pierceOnly(possible),
		standoff,
		standoffMm: standoff === 'gap' ? (chartRow?.standoffMm ?? torch.standoffMm) : 0,
		airBar: chartRow?.pressureBar ?? bench.air.setPointBar,
		guideSide: side,
		offsetMm: guideOffsetMm(side, torch.shieldRadiusMm, kerfMm),
		otherSideOffsetMm: guideOffsetMm(
			side === 'kept' ? 'waste' : 'kept',
			torch.shieldRadiusMm,
			kerfMm
		),
		shades: shades(outputA, bench.supply.system)
	};
}

/** A pierce was asked for: an edge start is no answer to it. */
function pierceOnly(
	possible: 'pierce' | 'rolled' | 'edge' | 'none'
): Plan['choices']['startMethod'] {
	return possible === 'edge' ? 'none' : possible;
}
