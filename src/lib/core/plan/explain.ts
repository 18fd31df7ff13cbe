import type { Basis } from '../figure/types';
import type { PlanInputs } from '../inputs/planInputs';
import type { Told } from '../figure/finding';
import type { Quantity } from '../quantity/units';
import { plainOf } from './plain';
import { REASONS } from './reasons';
import { isFigureId, NAMES, type FigureId } from './names';
import { REGISTRY } from './rooms';
import { trusted, trustedInput } from './trust';
import { workings } from './workings';

/** One input of a working, with its own trust; `from` when it is a figure with a working of its own. */
export interface ExplainedInput {
	symbol: string;
	label: string;
	quantity: Quantity;
	value: number;
	basis: Basis;
	from?: FigureId;
}

export interface Explanation {
	id: FigureId;
	label: string;
	quantity: Quantity;
	value: number | null;
	basis: Basis;
	formula: string;
	source: string;
	/** The same in one plain sentence, its values to be said in the units of the device. */
	plain: Told;
	inputs: ExplainedInput[];
}

/** Works out the working of one figure: formula, inputs each with its own basis, source. */
export function explain(inputs: PlanInputs, id: FigureId): Explanation {
	const w = workings(inputs);
	const def = REGISTRY[id];
	const way = def.way(w);
	const { formula, source, inputs: symbols } = REASONS[id][way]!;
	const explained = Object.entries(symbols).map(([symbol, from]): ExplainedInput => {
		if (typeof from !== 'string') {
			const given = from(w);
			const basis = trustedInput(given.basis, w, (watched) => from(watched).value);
			return { symbol, ...given, basis };
		}
		if (!isFigureId(from)) throw new Error(`${id}: no figure ${from}`);
		const other = REGISTRY[from];
		return {
			symbol,
			label: NAMES[from].label,
			quantity: NAMES[from].quantity,
			value: other.value(w) ?? NaN,
			basis: trusted(other.basis[other.way(w)]!, w, other.value, other.way),
			from
		};
	});
	const value = def.value(w);
	const sentence = plainOf(id, way);
	const values = Object.fromEntries(
		[
			...explained,
			...(value === null ? [] : [{ symbol: 'value', quantity: NAMES[id].quantity, value }])
		].map(({ symbol, quantity, value: of }) => [symbol, { value: of, quantity }])
	);
	return {
		id,
		label: NAMES[id].label,
		quantity: NAMES[id].quantity,
		value,
		basis: trusted(def.basis[way]!, w, def.value, def.way),
		plain: typeof sentence === 'string' ? { text: sentence, values } : sentence(w),
		formula,
		source,
		inputs: explained
	};
}
