import { effectiveCurrentA, phaseFactor } from '../cutter/plate';
import { necDutyMultiplier, voltageUnderLoad, type Delivered, type NotDelivered } from './draw';
import { generatorLoadShare } from './generator';
import { dutyShareAt, governingPair } from '../cutter/duty';
import type { Warmth } from '../session/node';
import type { CircuitBench, CircuitEvidence, Load } from './inputs';
import type { Work } from '../session/inputs';
import { apparentPowerVA, arcVoltageV } from '../cutter/power';
import { IDLE_A } from '../cutter/plate';
import { loadsOf, type Wiring } from './wiring';

/** What does depend on the amps. */
export interface Draw {
	outputA: number;
	arcVoltageV: number;
	outputPowerW: number;
	fullOutputPowerW: number;
	apparentVA: number;
	/** Active power from the wire under arc, W. */
	activeW: number;
	delivered: Delivered | NotDelivered;
	/** While cutting, A; at the source voltage when it cannot be delivered. */
	inputA: number;
	receptacleV: number;
	/** Share of the source voltage lost; 1 when it cannot be delivered. */
	dropShare: number;
	/** Share of the time with the arc on. */
	onShare: number;
	/** Averaged for heating over the pattern, other loads included, A. */
	effectiveA: number;
	/** Share of the generator's rating, every load of the shop counted; undefined: mains. */
	generatorShare: number | undefined;
	generatorVA: number;
	/** The plate's duty share at these amps. */
	plateDutyShare: number;
	/** NEC Table 630.11(A) for it. */
	dutyMultiplier: number;
	/** NEC: ampacity wanted of the wire by duty cycle, A; IEC: I1eff at the plate's duty. */
	neededA: number;
}

/**
 * Everything at these amps. `ratio` is what the clamp meter found over the model of the machine's draw.
 */
export function draw(
	bench: CircuitBench,
	w: Wiring,
	{ ratio, outputA, work }: { ratio: number; outputA: number; work: Pick<Work, 'arcS' | 'restS'> }
): Draw {
	const { supply } = bench;
	const arcV = arcVoltageV(bench, outputA);
	const apparentVA = ratio * apparentPowerVA(bench, w.plate, outputA);
	const delivered = voltageUnderLoad({
		sourceV: w.sharedV,
		apparentVA,
		resistanceOhm: w.resistanceOhm,
		phases: supply.phases
	});
	const inputA = delivered.ok ? delivered.currentA : apparentVA / (w.phaseFactor * w.sharedV);
	const sharedA = w.steadyA + w.compressorA;
	const onShare = work.arcS / (work.arcS + work.restS);
	const plateDutyShare = dutyShareAt(governingPair(w.plate.duty, outputA), outputA);
	const dutyMultiplier = necDutyMultiplier(plateDutyShare);
	const neededA =
		supply.system === 'north-america'
			? w.inputMaxA * dutyMultiplier
			: effectiveCurrentA(inputA, IDLE_A, plateDutyShare);
	const fullA = w.plate.outputMaxA;
	const outputPowerW = outputA * arcV;
	const otherVA = loadsOf(bench).reduce(
		(total, load) => total + load.currentA * voltsOf(bench, load),
		0
	);
	const activeW = Math.min(apparentVA, outputPowerW / bench.cutter.efficiency);
	return {
		outputA,
		arcVoltageV: arcV,
		outputPowerW,
		fullOutputPowerW: fullA * arcVoltageV(bench, fullA),
		apparentVA,
		activeW,
		delivered,
		inputA,
		receptacleV: w.sharedV - (w.resistanceOhm - w.cordOhm) * inputA * w.phaseFactor,
		dropShare: delivered.ok ? (w.sourceV - delivered.voltageV) / w.sourceV : 1,
		onShare,
		effectiveA: effectiveCurrentA(inputA + sharedA, IDLE_A + sharedA, onShare),
		generatorVA: apparentVA + otherVA,
		generatorShare: supply.generator
			? generatorLoadShare(supply.generator, apparentVA + otherVA, activeW + otherVA)
			: undefined,
		plateDutyShare,
		dutyMultiplier,
		neededA
	};
}

/** Volts (times √3 for three phases) of the circuit that a load is on. */
function voltsOf(bench: CircuitBench, load: Load): number {
	const { supply } = bench;
	const circuit = supply.elsewhere.find((c) => c.name === load.on) ?? supply;
	return phaseFactor(circuit.phases) * circuit.nominalV;
}

/** What the circuit's room reads of the Plan's workings. */
export interface CircuitView {
	inputs: { bench: CircuitBench; evidence: CircuitEvidence; work: Work };
	wiring: Wiring;
	draw: Draw;
	/** The breaker over the work, by its earliest and its latest curve, in (I/In)². */
	session: { earliest: Warmth; latest: Warmth };
	/** The arc time of the work is that of the planned cut. */
	workIsCut: boolean;
	/** Lowest whole amps above those that surely run on; undefined: none of the machine's. */
	firstFailingA: number | undefined;
	/** Largest whole amps that surely run on (earliest curve); undefined: not even the smallest do. */
	runsOnA: number | undefined;
	/** Largest that may (latest curve). */
	mayRunOnA: number | undefined;
}
