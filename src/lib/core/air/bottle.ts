import { FREE_AIR_BAR } from '../quantity/units';

/** Gas in steel bottles, behind a regulator of their own. */
export interface Bottle {
	gas: 'air' | 'nitrogen';
	/** Water volume of one bottle, l. */
	waterL: number;
	count: number;
	/** Pressure now, and the pressure to leave in it, bar gauge. */
	fillBar: number;
	reserveBar: number;
	/** Regulator on the bottle, bar gauge. */
	outletBar: number;
}

/**
 * By how much a bottle holds less than pressure times volume: 1 at low pressure, 1.06 at 200 bar,
 * 1.1 at 300 bar, air and nitrogen alike near 20 °C [handbook, from memory; within 2 %].
 */
export function compressibility(pressureBar: number): number {
	const p = Math.max(0, pressureBar);
	return 1 + 2e-4 * p + 5e-7 * p ** 2;
}

/** Free gas down to the reserve, l: V·(p − p_r)/(p_n·Z). */
export function bottleFreeL(b: Bottle, z = compressibility(b.fillBar)): number {
	return (b.waterL * b.count * Math.max(0, b.fillBar - b.reserveBar)) / (FREE_AIR_BAR * z);
}
