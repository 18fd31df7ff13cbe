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
