/** How a room gives its reasons: the formula of each way to a figure, its inputs and its source. */
import type { Told } from './finding';
import type { Quantity } from '../quantity/units';
import type { Basis } from './types';

/** One number that goes into a formula, with its own trust. */
export interface GivenInput {
	label: string;
	quantity: Quantity;
	basis: Basis;
	value: number;
}

/** A symbol of the formula stands for another figure, by its id, or for something given. */
export type InputSource<W> = string | ((w: W) => GivenInput);

/** One way to a figure, told. */
export interface Reason<W> {
	/**
	 * In plain algebra (`log` natural, angles in radians). A figure that never comes about has a
	 * condition here instead, which is then true.
	 */
	formula: string;
	source: string;
	inputs: Record<string, InputSource<W>>;
}

/** The names of the ways to a figure. */
export type WayOf<F> = F extends { basis: Readonly<Record<infer Way extends string, Basis>> }
	? Way
	: never;

/** A reason for every way to every figure of a room, checked by the compiler. */
export type ReasonsOf<Figures, W> = {
	[Id in keyof Figures]: Record<WayOf<Figures[Id]>, Reason<W>>;
};

/** A sentence in plain words: `{I}` stands for an input by its symbol, `{value}` for the figure itself. */
export type Sentence<W> = string | ((w: W) => Told);

/** One sentence for every way to every figure of a room; a sentence alone is for all of its ways. */
export type PlainOf<Figures, W> = {
	[Id in keyof Figures]: Sentence<W> | Record<Exclude<WayOf<Figures[Id]>, 'ownAir'>, Sentence<W>>;
};

/** The words in which a room that reads `W` tells what goes into its formulas. */
export function reasonsFor<W>() {
	return {
		/** Something given, read from the workings. */
		given:
			(
				label: string,
				quantity: Quantity,
				basis: Basis,
				read: (w: W) => number
			): ((w: W) => GivenInput) =>
			(w) => ({ label, quantity, basis, value: read(w) }),

		/** A stated number of the model. */
		stated:
			(
				label: string,
				quantity: Quantity,
				value: number,
				basis: Basis = 'M'
			): ((w: W) => GivenInput) =>
			() => ({ label, quantity, basis, value })
	};
}
