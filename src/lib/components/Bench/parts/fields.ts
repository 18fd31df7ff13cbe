/** What a part of the bench is to its editor: fields whose paths lead into the bench. */
import type { Bench, Check, FigureId, Quantity } from '$lib/core';
import { conductorLabel, conductorsFor } from '$lib/core/circuit/conductors';

export type PartId =
	| 'panel'
	| 'breaker'
	| 'wire'
	| 'receptacle'
	| 'cord'
	| 'compressor'
	| 'tank'
	| 'dryer'
	| 'filter'
	| 'hose'
	| 'cutter'
	| 'torch';

export interface QuantityFieldSpec {
	kind: 'quantity';
	path: string;
	label: string;
	quantity: Quantity;
	optional?: boolean;
	hint?: string;
}
/** `rare`: few labels tell it; it stands apart. */
export type Field = { rare?: boolean } & (
	| QuantityFieldSpec
	| { kind: 'text'; path: string; label: string }
	| {
			kind: 'choice';
			path: string;
			label: string;
			options: readonly { value: string | number | boolean; label: string; help?: string }[];
	  }
	/** A thing that may be missing: null, or `fitted`. */
	| { kind: 'fitted'; path: string; label: string; fitted: unknown }
	/** Several of a kind, each with fields of its own; `fresh` is what "add" adds. */
	| {
			kind: 'list';
			path: string;
			label: string;
			items: readonly { index: number; name: string; fields: readonly Field[] }[];
			fresh: unknown;
			least: number;
			most: number;
			add: string;
	  }
);

export interface Part {
	id: PartId;
	rail: 'electricity' | 'air' | 'cutter';
	/** Whether this bench has such a place at all. */
	shown?: (bench: Bench) => boolean;
	name: (bench: Bench) => string;
	/** Its name where what was entered stands under it, if the other says that as well. */
	bareName?: (bench: Bench) => string;
	about: string;
	/** What was entered, for the drawing of the bench. */
	entered: (bench: Bench) => { value: number; quantity: Quantity } | undefined;
	/** Its key figure on the rail; undefined: there is none of it. */
	figure: (bench: Bench) => FigureId | undefined;
	/** The check that carries its state. */
	check?: Check['id'];
	/** Other checks that are about this part. */
	also?: readonly Check['id'][];
	/** What is lost here. */
	loses?: FigureId;
	/** Figures told in the editor. */
	tells: FigureId[];
	fields: (bench: Bench) => Field[];
}

export const q = (
	path: string,
	label: string,
	quantity: Quantity,
	more: { optional?: boolean; hint?: string } = {}
): Field => ({ kind: 'quantity', path, label, quantity, ...more });
export const rare = (field: Field): Field => ({ ...field, rare: true });
export const text = (path: string, label: string): Field => ({ kind: 'text', path, label });
export const choice = (
	path: string,
	label: string,
	/** Value, label and, where the words do not say it alone, what it means. */
	options: readonly (readonly [value: string | number | boolean, label: string, help?: string])[]
): Field => ({
	kind: 'choice',
	path,
	label,
	options: options.map(([value, l, help]) => ({ value, label: l, help }))
});
export const conductors = (bench: Bench) =>
	conductorsFor(bench.supply.system).map((size) => [size, conductorLabel(size)] as const);
