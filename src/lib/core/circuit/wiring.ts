/** Service, wire, cord and breaker: what of the circuit does not depend on the amps chosen. */
import {
	curveBetween,
	magneticBand,
	ratingAtAmbientA,
	tripCurves,
	type TripCurve
} from './breaker';
import {
	ampacityA,
	copperTemperatureFactor,
	ratedConductorC,
	resistanceOhmKm20
} from './conductors';
import { phaseFactor } from '../cutter/plate';
import { loopConductors, necDutyMultiplier } from './draw';
import { cordGuard, wireGuard, type Guard } from './protection';
import { generatorOhm } from './generator';
import { plateInput } from '../cutter/plate';
import type { PlateInput } from '../cutter/inputs';
import type { CircuitBench, CircuitEvidence, Load, Supply } from './inputs';
import { M_PER_FT } from '../quantity/units';
import { effectiveMostA, inputMaxA } from '../cutter/power';

/** Service to the panel when nobody has measured it, Ω there and back [own, stated]. */
export const DEFAULT_SERVICE_OHM: Record<Supply['system'], number> = {
	'north-america': 0.08,
	iec: 0.2
};
/** A cord no longer than this, by rule of thumb: 25 ft (common practice). */
export const CORD_MOST_M = 25 * M_PER_FT;

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
	/** Loads on the same circuit: all the time, and with the compressor. */
	steadyA: number;
	compressorA: number;
	/** At the receptacle with those loads on and the cutter idle: they share service and wire. */
	sharedV: number;
	/** Volts that the machine takes, loaded and idle. */
	leastV: number;
	mostV: number;
	spanV: number;
	/** I1eff: on the label, or the largest over its duty pairs. */
	inputEffA: number;
	/** Nearest in front of the cord: the breaker, or a fuse in the plug. */
	nearestA: number;
	breakerA: number;
	curves: { earliest: TripCurve; latest: TripCurve };
	wireCarriesA: number;
	/** By its conductors, or by the label of a listed set. */
	cordCarriesA: number;
	wireGuard: Guard;
	/** undefined: no cord. */
	cordGuard: Guard | undefined;
	/** Largest current at a switch-on on this circuit, the rest running, A; and the load that makes it. */
	startA: number;
	startOf: string;
	/** Currents between which the breaker trips at once, A. */
	magneticA: readonly [number, number];
}

/** Loads that count while this air source works: without its compressor none starts with it. */
export function loadsOf(bench: CircuitBench): Load[] {
	return bench.supply.loads.filter(
		(load) => load.when === 'always' || bench.air.source === 'compressor'
	);
}

/** Ohms of wire and cord by the model, and of the whole loop. */
export function modelledOhm(
	supply: Supply
): Pick<Wiring, 'serviceOhm' | 'wireOhmKm' | 'wireOhm' | 'cordOhmKm' | 'cordOhm' | 'modelOhm'> {
	const loop = loopConductors(supply.phases);
	const hot = (size: Supply['wire']['size'], use: 'wire' | 'cord') =>
		resistanceOhmKm20(size, use) * copperTemperatureFactor(ratedConductorC(size));
	const serviceOhm = supply.generator
		? generatorOhm(supply.generator, supply.nominalV)
		: (supply.serviceOhm ?? DEFAULT_SERVICE_OHM[supply.system]);
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

/** The largest start on this circuit, everything else on it running; the cutter's own switch-on too. */
function largestStart(bench: CircuitBench, onCircuit: readonly Load[], cutterA: number) {
	const running = onCircuit.reduce((sum, load) => sum + load.currentA, 0);
	let [startA, startOf] = [running + cutterA, 'the arc'];
	for (const load of onCircuit) {
		const amps = running + cutterA + load.currentA * (load.startMultiple - 1);
		if (amps > startA) [startA, startOf] = [amps, load.name];
	}
	const { inrushA } = bench.cutter;
	if (inrushA !== null && running + inrushA > startA) {
		[startA, startOf] = [running + inrushA, 'switching the cutter on'];
	}
	return { startA, startOf };
}

/** Whether wire and cord are protected by the device nearest in front of them. */
function guardsOf(
	bench: CircuitBench,
	w: { inputMaxA: number; neededA: number; nearestA: number }
) {
	const { supply } = bench;
	const { breaker, cord, wire } = supply;
	const alone = loadsOf(bench).every((load) => load.on !== supply.circuit || load.currentA === 0);
	return {
		wireGuard: wireGuard({
			system: supply.system,
			size: wire.size,
			method: wire.method,
			deviceA: breaker.ratingA,
			machineOnly: alone ? { inputMaxA: w.inputMaxA, neededA: w.neededA } : null
		}),
		cordGuard: cord ? cordGuard({ system: supply.system, ...cord, deviceA: w.nearestA }) : undefined
	};
}

export function wiring(bench: CircuitBench, evidence: CircuitEvidence): Wiring {
	const { supply } = bench;
	const { breaker } = supply;
	const plate = plateInput(bench)!;
	const model = modelledOhm(supply);
	const measured = evidence.loopOhm;
	const resistanceOhm = measured
		? Math.max(1e-4, measured.mean + model.modelOhm - measured.modelOhm)
		: model.modelOhm;
	const onCircuit = loadsOf(bench).filter((load) => load.on === supply.circuit);
	const sum = (when: Load['when']) =>
		onCircuit.filter((l) => l.when === when).reduce((total, l) => total + l.currentA, 0);
	const [steadyA, compressorA] = [sum('always'), sum('compressor')];
	const sourceV = evidence.sourceV?.mean ?? supply.nominalV;
	const curves = tripCurves(breaker.standard, breaker.ratingA);
	const seen = evidence.trip;
	const mostA = inputMaxA(bench, plate);
	const band = magneticBand(breaker.standard, breaker.curve);
	const span = plate.voltageV * bench.cutter.toleranceShare;
	const dutyShare = Math.max(...plate.duty.map((pair) => pair.dutyShare));
	const nearestA = Math.min(breaker.ratingA, supply.plugFuseA ?? Infinity);
	const guards = guardsOf(bench, {
		inputMaxA: mostA,
		neededA: mostA * necDutyMultiplier(dutyShare),
		nearestA
	});
	const largest = largestStart(bench, onCircuit, mostA);
	return {
		plate,
		inputMaxA: mostA,
		phaseFactor: phaseFactor(supply.phases),
		loopConductors: loopConductors(supply.phases),
		serviceOhm: model.serviceOhm,
		wireOhmKm: model.wireOhmKm,
		wireOhm: model.wireOhm,
		cordOhmKm: model.cordOhmKm,
		cordOhm: model.cordOhm,
		modelOhm: model.modelOhm,
		resistanceOhm,
		sourceV,
		steadyA,
		compressorA,
		sharedV:
			sourceV -
			phaseFactor(supply.phases) *
				(steadyA + compressorA) *
				Math.max(0, resistanceOhm - model.cordOhm),
		leastV: plate.voltageV - span,
		mostV: plate.voltageV + span,
		spanV: span,
		inputEffA: effectiveMostA(bench, plate),
		nearestA,
		wireGuard: guards.wireGuard,
		cordGuard: guards.cordGuard,
		breakerA: ratingAtAmbientA(breaker.standard, breaker.ratingA, supply.ambientC),
		curves: seen
			? {
					earliest: curveBetween(curves, seen.lowShare),
					latest: curveBetween(curves, seen.highShare)
				}
			: curves,
		wireCarriesA: ampacityA(supply.wire.size, 'wire', supply.wire.method),
		cordCarriesA: supply.cord
			? (supply.cord.labelA ?? ampacityA(supply.cord.size, 'cord', 'clipped'))
			: Infinity,
		startA: largest.startA,
		startOf: largest.startOf,
		magneticA: [band[0] * breaker.ratingA, band[1] * breaker.ratingA]
	};
}
