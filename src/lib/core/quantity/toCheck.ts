/** Values as they stand beside a sum that somebody works out again with a pencil. */
import type { UnitSystem } from './systems';
import { KG_PER_LB, MM_PER_IN } from './units';

/** A size with as many digits as it takes to work a sum out again: "0.359 mm". */
export function sayToCheck(mm: number, units: UnitSystem): string {
	return units === 'metric' ? `${mm.toFixed(3)} mm` : `${(mm / MM_PER_IN).toFixed(4)} in`;
}

/** Plate by weight and its price each, to be worked out again: "12.34 kg", "1.60"; by the pound where inches are used. */
export function plateToCheck(
	kg: number,
	pricePerKg: number | null,
	units: UnitSystem
): { mass: string; price: string } {
	const [unit, each] = units === 'metric' ? (['kg', 1] as const) : (['lb', KG_PER_LB] as const);
	const price = pricePerKg === null ? '?' : (pricePerKg * each).toFixed(4).replace(/0{1,2}$/, '');
	return { mass: `${(kg / each).toFixed(2)} ${unit}`, price };
}
