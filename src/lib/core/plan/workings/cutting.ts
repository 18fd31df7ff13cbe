import { ladderA, NOZZLE_LEAST_SHARE } from '../../cut/amps';
import { guideOffsetMm, KERF_PER_BORE } from '../../cut/guide';
import { easiestPierce, startCapacity, type StartCapacity } from '../../cut/start';
import {
	FASTEST_FACTOR,
	lagDegFromRatio,
	LAG_WINDOW_DEG,
	metalLaw,
	SEVER_SPEED_FACTOR,
	speedMmMin,
	speedRatioFromLag,
	steelLaw,
	SEVER_MM_MIN,
	thicknessMmAtSpeed,
	CLEAN_MM_MIN,
	type SpeedLaw
} from '../../cutter/speed';
import { speedCorrection, type SpeedCorrection } from '../../evidence/speedCorrection';
import { METALS, type Metal } from '../../metal/metals';
import { shades, type Shades } from '../../safety/shade';
import type { Bench, Cut, Evidence, Nozzle, PlateInput } from '../inputs';
import type { Plan } from '../types';
import { arcVoltageV } from './electric';

export interface CuttingWorkings {
	metal: Metal;
	ladderA: number;
	outputA: number;
	nozzle: Nozzle;
	nozzleFits: Plan['choices']['nozzleFits'];
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
	start: StartCapacity;
	startMethod: Plan['choices']['startMethod'];
	standoff: Plan['choices']['standoff'];
	standoffMm: number;
	/** Freehand is drawn with the line a guide on the kept side would give. */
	guideSide: 'kept' | 'waste';
	offsetMm: number;
	otherSideOffsetMm: number;
	shades: Shades;
}

/** Amps by the school asked for, whole amps inside what plate and knob allow. */
export function chosenAmps(cut: Cut, bench: Bench, plate: PlateInput, capacity: number): number {
	if (cut.school === 'full') return plate.outputMaxA;
	const wanted =
		cut.school === 'matched' ? Math.round(ladderA(cut.thicknessMm / capacity)) : cut.typedA;
	return Math.min(plate.outputMaxA, Math.max(bench.cutter.outputMinA, wanted));
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

export function cuttingWorkings(
	bench: Bench,
	plate: PlateInput,
	cut: Cut,
	evidence: Evidence
): CuttingWorkings {
	const { cutter, torch } = bench;
	const metal = METALS[cut.metal];
	const outputA = chosenAmps(cut, bench, plate, metal.capacity);
	const power = (amps: number) => amps * arcVoltageV(bench, amps);
	// The ratings were found at the machine's largest output, whatever this supply allows.
	const ratedA = Math.max(...cutter.inputs.map((input) => input.outputMaxA));
	const powerShare = power(outputA) / power(ratedA);
	const steel = steelLaw(cutter.cleanMm, cutter.severMm);
	const law = metalLaw(steel, cutter.cleanMm, metal.capacity, metal.thinSpeed);
	const correction = speedCorrection(evidence.speed[cut.metal]);
	const modelMmS = speedMmMin(law, powerShare, cut.thicknessMm) / 60;
	const referenceMmS = modelMmS * correction.factor;
	const aimFactor = cut.aim === 'sever' ? SEVER_SPEED_FACTOR : 1;
	const speedMmS = referenceMmS * aimFactor;
	const severMm = thicknessMmAtSpeed(law, powerShare, SEVER_MM_MIN);
	const cleanMm = thicknessMmAtSpeed(law, powerShare, CLEAN_MM_MIN);
	const nozzle = nozzleFor(torch.nozzles, outputA);
	const kerfMm = KERF_PER_BORE * nozzle.boreMm;
	const start = startCapacity(cleanMm, severMm);
	const possible = easiestPierce(cut.thicknessMm, start);
	const side = cut.guide === 'waste' ? 'waste' : 'kept';
	const through = speedMmS > 0;
	const standoff = torch.dragShield ? 'drag' : outputA <= torch.bareTouchA ? 'touch' : 'gap';
	return {
		metal,
		ladderA: ladderA(cut.thicknessMm / metal.capacity),
		outputA,
		nozzle,
		nozzleFits: nozzleFit(torch.fittedA, outputA),
		steel,
		law,
		powerShare,
		correction,
		cleanMm,
		severMm,
		referenceMmS,
		modelMmS,
		speedMmS,
		fastestMmS: referenceMmS * FASTEST_FACTOR,
		aimFactor,
		lagDeg: lagDegFromRatio(aimFactor),
		lagLowMmS: referenceMmS * speedRatioFromLag(LAG_WINDOW_DEG[0]),
		lagHighMmS: referenceMmS * speedRatioFromLag(LAG_WINDOW_DEG[1]),
		lineS: through ? cut.lengthMm / speedMmS : null,
		kerfMm,
		heatKJM: through ? power(outputA) / speedMmS : null,
		start,
		startMethod: cut.start === 'edge' && possible !== 'none' ? 'edge' : pierceOnly(possible),
		standoff,
		standoffMm: standoff === 'gap' ? torch.standoffMm : 0,
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
