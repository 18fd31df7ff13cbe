/**
 * A Plan as it is kept beside a saved card: every figure with its basis, the verdicts and what was said.
 * Read leniently where the program may have learnt new figures since, so that it opens with the same
 * numbers for ever.
 */
import * as v from 'valibot';
import { CORE_UNIT, type Quantity } from '../quantity/units';

const text = v.pipe(v.string(), v.maxLength(2000));
const number = v.pipe(v.number(), v.finite());
const verdict = v.picklist(['stops', 'tight', 'holds', 'not set']);

const FigureSchema = v.object({
	value: v.nullable(number),
	basis: v.picklist(['A', 'T', 'C', 'D', 'S', 'H', 'R', 'M']),
	way: text,
	band: v.optional(v.tuple([number, number])),
	margin: v.optional(number),
	verdict: v.optional(verdict)
});

export const KeptPlanSchema = v.object({
	modelVersion: text,
	inputsHash: text,
	figures: v.record(text, FigureSchema),
	verdict,
	findings: v.pipe(
		v.array(
			v.object({
				kind: text,
				station: text,
				text,
				/** Quantities that the text names; a card of before has them written out in it. */
				values: v.optional(
					v.record(
						text,
						v.union([
							text,
							v.object({
								value: number,
								quantity: v.picklist(Object.keys(CORE_UNIT) as Quantity[])
							})
						])
					)
				)
			})
		),
		v.maxLength(200)
	)
});
export type KeptPlan = v.InferOutput<typeof KeptPlanSchema>;
