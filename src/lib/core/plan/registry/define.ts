import type { Quantity } from '../../quantity/units';
import type { Basis } from '../types';
import type { Workings } from '../workings';
import type { FigureId } from './ids';

/** One number that goes into a formula, with its own trust. */
export interface GivenInput {
	label: string;
	quantity: Quantity;
	basis: Basis;
	value: number;
}

/** A symbol of the formula stands for another figure, or for something given. */
export type InputSource = FigureId | ((w: Workings) => GivenInput);

/** One way to a figure. Its basis is the letter in the balloon. */
export interface Way {
	basis: Basis;
	/**
	 * In plain algebra (`log` natural, angles in radians). A figure that never comes about has a
	 * condition here instead, which is then true.
	 */
	formula: string;
	source: string;
	inputs: Record<string, InputSource>;
}

export interface FigureDef {
	label: string;
	quantity: Quantity;
	/** Read from the workings; nothing is computed here. */
	value: (w: Workings) => number | null;
	way: (w: Workings) => string;
	ways: Record<string, Way>;
	/** Eight times in ten inside. */
	band?: (w: Workings) => [number, number] | undefined;
}

/** Something given, read from the workings. */
export function given(
	label: string,
	quantity: Quantity,
	basis: Basis,
	read: (w: Workings) => number
): InputSource {
	return (w) => ({ label, quantity, basis, value: read(w) });
}

/** A stated number of the model. */
export function stated(
	label: string,
	quantity: Quantity,
	value: number,
	basis: Basis = 'M'
): InputSource {
	return () => ({ label, quantity, basis, value });
}

/** A figure with one way only. */
export function single(
	label: string,
	quantity: Quantity,
	value: (w: Workings) => number | null,
	way: Way
): FigureDef {
	return { label, quantity, value, way: () => 'only', ways: { only: way } };
}

/** A figure with several ways, the one taken read from the workings. */
export function several(
	label: string,
	quantity: Quantity,
	value: (w: Workings) => number | null,
	way: (w: Workings) => string,
	ways: Record<string, Way>
): FigureDef {
	return { label, quantity, value, way, ways };
}

/** Half-width of "eight times in ten" in standard deviations of a normal. */
const EIGHT_IN_TEN = 1.2816;

/** Band of a figure that was measured; `scale` where the figure is a multiple of what was measured. */
export function measuredBand(
	read: (w: Workings) => { mean: number; spread: number } | null,
	scale: (w: Workings) => number = () => 1,
	value?: (w: Workings) => number
): (w: Workings) => [number, number] | undefined {
	return (w) => {
		const stat = read(w);
		if (!stat) return undefined;
		const half = EIGHT_IN_TEN * stat.spread * scale(w);
		const middle = value ? value(w) : stat.mean;
		return [Math.max(0, middle - half), middle + half];
	};
}

/** A figure with a band. */
export function banded(def: FigureDef, band: FigureDef['band']): FigureDef {
	return { ...def, band };
}
