import { phaseFactor } from '../cutter/plate';

/** Conductors in the voltage loop: there and back for one phase, one line for three. */
export function loopConductors(phases: 1 | 3): number {
	return phases === 3 ? 1 : 2;
}

export interface Delivered {
	ok: true;
	voltageV: number;
	currentA: number;
}
export interface NotDelivered {
	ok: false;
	/** The most apparent power the loop can pass at all, V²/(4R). */
	mostVA: number;
}

/**
 * Voltage at a constant-power load: V = (V0 + √(V0² − 4·S·R))/2, the higher root of
 * V² − V0·V + S·R = 0. An inverter draws more current as the volts sag, so the plain V0 − I·R is
 * never used. With three phases V is line to line and R one line, which gives the same equation.
 */
export function voltageUnderLoad(input: {
	sourceV: number;
	apparentVA: number;
	resistanceOhm: number;
	phases: 1 | 3;
}): Delivered | NotDelivered {
	const { sourceV, apparentVA, resistanceOhm, phases } = input;
	const radicand = sourceV ** 2 - 4 * apparentVA * resistanceOhm;
	if (!(radicand >= 0)) return { ok: false, mostVA: sourceV ** 2 / (4 * resistanceOhm) };
	const voltageV = (sourceV + Math.sqrt(radicand)) / 2;
	return { ok: true, voltageV, currentA: apparentVA / (phaseFactor(phases) * voltageV) };
}

/** Starting over running current of a motor across the line, about six times [common practice]. */
export const MOTOR_START_MULTIPLE = 6;

/**
 * NEC Table 630.11(A), machines without motor-generator: duty cycle (%) → share of the rated
 * primary current for which the conductors are sized. From memory.
 */
const NEC_630_11_A: readonly [dutyPercent: number, multiplier: number][] = [
	[100, 1],
	[90, 0.95],
	[80, 0.89],
	[70, 0.84],
	[60, 0.78],
	[50, 0.71],
	[40, 0.63],
	[30, 0.55],
	[20, 0.45]
];

/** Multiplier of the table row at or above this duty cycle (share); 0.45 at 20 % and below. */
export function necDutyMultiplier(dutyShare: number): number {
	const percent = dutyShare * 100;
	let multiplier = 1;
	for (const [rowPercent, rowMultiplier] of NEC_630_11_A) {
		if (rowPercent >= percent - 1e-9) multiplier = rowMultiplier;
	}
	return multiplier;
}
