import { ratingAtAmbientA, tripCurves, type TripCurve } from '../../circuit/breaker';
import {
	ampacityA,
	copperTemperatureFactor,
	ratedConductorC,
	resistanceOhmKm20
} from '../../circuit/conductors';
import {
	effectiveCurrentA,
	loadVoltageV,
	loopConductors,
	necDutyMultiplier,
	phaseFactor,
	voltageUnderLoad,
	type Delivered,
	type NotDelivered
} from '../../circuit/draw';
import { dutyShareAt, governingPair } from '../../cutter/duty';
import { firstCrossing, settledPeak, type Crossing, type NodePattern } from '../../session/node';
import {
	plateInput,
	type Bench,
	type Evidence,
	type PlateInput,
	type Supply,
	type Work
} from '../inputs';

/** Service to the panel when nobody has measured it, Ω there and back [own, stated]. */
export const DEFAULT_SERVICE_OHM: Record<Supply['system'], number> = {
	'north-america': 0.08,
	iec: 0.2
};
/** A machine takes ±10 % of its rated voltage (IEC 60974-1). */
export const VOLTAGE_SPAN = 0.1;
/** Fan and electronics between cuts, A [own]. */
export const IDLE_A = 0.5;

/** What does not depend on the amps chosen. */
export interface Wiring {
	plate: PlateInput;
	/** I1max. */
	inputMaxA: number;
	phaseFactor: number;
	loopConductors: number;
	serviceOhm: number;
	wireOhmKm: number;
	wireOhm: number;
	cordOhmKm: number;
	cordOhm: number;
	/** By the model. */
	modelOhm: number;
	/** By measurement where there is one. */
	resistanceOhm: number;
	sourceV: number;
	leastV: number;
	spanV: number;
	breakerA: number;
	curves: { earliest: TripCurve; latest: TripCurve };
	wireCarriesA: number;
	cordCarriesA: number;
	onShare: number;
}

/** Ohms of wire and cord by the model, and of the whole loop. */
export function modelledOhm(
	supply: Supply
): Pick<Wiring, 'serviceOhm' | 'wireOhmKm' | 'wireOhm' | 'cordOhmKm' | 'cordOhm' | 'modelOhm'> {
	const loop = loopConductors(supply.phases);
	const hot = (size: Supply['wire']['size'], use: 'wire' | 'cord') =>
		resistanceOhmKm20(size, use) * copperTemperatureFactor(ratedConductorC(size));
	const serviceOhm = supply.serviceOhm ?? DEFAULT_SERVICE_OHM[supply.system];
	const wireOhmKm = hot(supply.wire.size, 'wire');
	const wireOhm = (loop * supply.wire.lengthM * wireOhmKm) / 1000;
	const cordOhmKm = supply.cord ? hot(supply.cord.size, 'cord') : 0;
	const cordOhm = supply.cord ? (loop * supply.cord.lengthM * cordOhmKm) / 1000 : 0;
	return {
		serviceOhm,
		wireOhmKm,
		wireOhm,
		cordOhmKm,
		cordOhm,
		modelOhm: serviceOhm + wireOhm + cordOhm
	};
}

export function wiring(bench: Bench, evidence: Evidence, work: Work): Wiring {
	const { supply } = bench;
	const plate = plateInput(bench)!;
	const model = modelledOhm(supply);
	const measured = evidence.loopOhm;
	const resistanceOhm = measured
		? Math.max(1e-4, measured.mean + model.modelOhm - measured.modelOhm)
		: model.modelOhm;
	return {
		plate,
		inputMaxA: inputMaxA(bench, plate),
		phaseFactor: phaseFactor(supply.phases),
		loopConductors: loopConductors(supply.phases),
		...model,
		resistanceOhm,
		sourceV: evidence.sourceV?.mean ?? supply.nominalV,
		leastV: plate.voltageV * (1 - VOLTAGE_SPAN),
		spanV: plate.voltageV * VOLTAGE_SPAN,
		breakerA: ratingAtAmbientA(supply.breaker.standard, supply.breaker.ratingA, supply.ambientC),
		curves: tripCurves(supply.breaker.standard, supply.breaker.ratingA),
		wireCarriesA: ampacityA(supply.wire.size, 'wire', supply.wire.method),
		cordCarriesA: supply.cord ? ampacityA(supply.cord.size, 'cord', 'clipped') : Infinity,
		onShare: work.arcS / (work.arcS + work.restS)
	};
}

export interface BreakerHeat {
	pattern: NodePattern;
	/** Settled peak over the trip heat. */
	peakShare: number;
	trip: Crossing | undefined;
}

/** What does depend on the amps. */
export interface Draw {
	outputA: number;
	arcVoltageV: number;
	outputPowerW: number;
	fullOutputPowerW: number;
	apparentVA: number;
	delivered: Delivered | NotDelivered;
	/** While cutting, A; at the source voltage when it cannot be delivered. */
	inputA: number;
	receptacleV: number;
	/** Share of the source voltage lost; 1 when it cannot be delivered. */
	dropShare: number;
	/** Averaged for heating over the pattern, other loads included, A. */
	effectiveA: number;
	earliest: BreakerHeat;
	latest: BreakerHeat;
	/** The plate's duty share at these amps. */
	plateDutyShare: number;
	/** NEC Table 630.11(A) for it. */
	dutyMultiplier: number;
	/** NEC: ampacity wanted of the wire by duty cycle, A; IEC: I1eff at the plate's duty. */
	neededA: number;
}

export function arcVoltageV(bench: Bench, outputA: number): number {
	return bench.cutter.arcVoltageV ?? loadVoltageV(outputA);
}

/**
 * Apparent input power at these amps: the plate's largest supply current scaled by output power, or
 * P/(η·PF) when the plate gives none.
 */
export function apparentPowerVA(bench: Bench, plate: PlateInput, outputA: number): number {
	const power = outputA * arcVoltageV(bench, outputA);
	if (plate.inputMaxA === null) return power / (bench.cutter.efficiency * bench.cutter.powerFactor);
	const most = plate.outputMaxA * arcVoltageV(bench, plate.outputMaxA);
	return (phaseFactor(plate.phases) * plate.voltageV * plate.inputMaxA * power) / most;
}

/** Largest supply current: from the plate, or what full amps draw at its voltage. */
function inputMaxA(bench: Bench, plate: PlateInput): number {
	const fullVA = apparentPowerVA(bench, plate, plate.outputMaxA);
	return plate.inputMaxA ?? fullVA / (phaseFactor(plate.phases) * plate.voltageV);
}

export function draw(bench: Bench, w: Wiring, work: Work, outputA: number): Draw {
	const { supply } = bench;
	const arcV = arcVoltageV(bench, outputA);
	const apparentVA = apparentPowerVA(bench, w.plate, outputA);
	const delivered = voltageUnderLoad({
		sourceV: w.sourceV,
		apparentVA,
		resistanceOhm: w.resistanceOhm,
		phases: supply.phases
	});
	const inputA = delivered.ok ? delivered.currentA : apparentVA / (w.phaseFactor * w.sourceV);
	const totalA = inputA + supply.otherLoadA;
	const idleA = IDLE_A + supply.otherLoadA;
	const heat = (curve: TripCurve): BreakerHeat => {
		const pattern: NodePattern = {
			tauS: curve.tauS,
			onTarget: (totalA / w.breakerA) ** 2,
			offTarget: (idleA / w.breakerA) ** 2,
			onS: work.arcS,
			offS: work.restS,
			start: 0
		};
		return {
			pattern,
			peakShare: settledPeak(pattern) / curve.tripHeat,
			trip: firstCrossing(pattern, curve.tripHeat)
		};
	};
	const plateDutyShare = dutyShareAt(governingPair(w.plate.duty, outputA), outputA);
	const dutyMultiplier = necDutyMultiplier(plateDutyShare);
	const neededA =
		supply.system === 'north-america'
			? w.inputMaxA * dutyMultiplier
			: effectiveCurrentA(inputA, IDLE_A, plateDutyShare);
	const fullA = w.plate.outputMaxA;
	return {
		outputA,
		arcVoltageV: arcV,
		outputPowerW: outputA * arcV,
		fullOutputPowerW: fullA * arcVoltageV(bench, fullA),
		apparentVA,
		delivered,
		inputA,
		receptacleV:
			w.sourceV - (w.resistanceOhm - w.cordOhm) * inputA * (supply.phases === 3 ? Math.sqrt(3) : 1),
		dropShare: delivered.ok ? (w.sourceV - delivered.voltageV) / w.sourceV : 1,
		effectiveA: effectiveCurrentA(totalA, idleA, w.onShare),
		earliest: heat(w.curves.earliest),
		latest: heat(w.curves.latest),
		plateDutyShare,
		dutyMultiplier,
		neededA
	};
}
