import type { PlateInput } from './inputs';

/**
 * What the cutter asks of the supply, and how far the volts fall.
 * Symbols: U2 arc voltage, P output power, S apparent input power, V volts, R ohms there and back.
 */

/**
 * Conventional load voltage of plasma cutting, V.
 * U2 = 80 + 0.4·I to 165 A, 130 + 0.1·I to 500 A (IEC 60974-1, from memory).
 */
export function loadVoltageV(outputA: number): number {
	return outputA <= 165 ? 80 + 0.4 * outputA : 130 + 0.1 * outputA;
}

/** √3 for three phases, 1 for one: S = factor·V·I. */
export function phaseFactor(phases: 1 | 3): number {
	return phases === 3 ? Math.sqrt(3) : 1;
}

/** I1eff = √(I1²·X + I0²·(1 − X)), A, X as a share (IEC 60974-1). */
export function effectiveCurrentA(onA: number, idleA: number, onShare: number): number {
	return Math.sqrt(onA ** 2 * onShare + idleA ** 2 * (1 - onShare));
}

/** Fan and electronics between cuts, A [own]. */
export const IDLE_A = 0.5;

export const REGULATORS = ['itself', 'set', 'none'] as const;

/**
 * A plate input is the one meant within this share of its voltage (400 V on a 460 V input). Whether the
 * machine takes so much off its own volts is judged by the plan.
 */
const INPUT_TOLERANCE = 0.15;

/** The data plate's entry for the supply, or undefined when it has none. */
export function plateInput(bench: {
	supply: { nominalV: number; phases: 1 | 3 };
	cutter: { inputs: readonly PlateInput[] };
}): PlateInput | undefined {
	const { nominalV, phases: supplyPhases } = bench.supply;
	const off = (input: PlateInput) => Math.abs(input.voltageV - nominalV) / input.voltageV;
	return bench.cutter.inputs
		.filter((input) => input.phases === supplyPhases && off(input) <= INPUT_TOLERANCE)
		.sort((x, y) => off(x) - off(y))[0];
}
