/** Bodies about benches, their charts and their sensors. */
import * as v from 'valibot';
import { BenchSchema, CHART_ROWS_MOST, ChartRowSchema, EntrySchema } from '$lib/core';
import { OpIdSchema, revision, NameSchema, AtSchema } from './common';
import { said } from './records';

export const NewBenchSchema = v.object({ opId: OpIdSchema, bench: BenchSchema });
export const SaveBenchSchema = v.object({ opId: OpIdSchema, revision, bench: BenchSchema });
/** A whole chart in place of the one before; no rows take it away. */
export const PutChartSchema = v.object({
	opId: OpIdSchema,
	name: NameSchema,
	rows: v.pipe(v.array(ChartRowSchema), v.maxLength(CHART_ROWS_MOST, 'at most 10 000 rows')),
	/** Of the chart it is put in place of; 0 or left out: there is none yet. */
	revision: v.optional(revision)
});
/** A bench is taken away with its log, or put back. */
export const KeepBenchSchema = v.object({
	opId: OpIdSchema,
	kept: v.boolean('true or false'),
	revision
});
/** What a sensor saw, taken into the log or left; or one such press that is taken back. */
export const TAKE_MOST = 500;
export const TakeSeenSchema = v.variant('kind', [
	v.object({
		opId: OpIdSchema,
		kind: v.literal('take'),
		at: v.optional(AtSchema),
		ids: v.pipe(
			v.array(v.pipe(v.number('a number'), v.integer('a whole number'))),
			v.minLength(1, 'at least one'),
			v.maxLength(TAKE_MOST, `at most ${TAKE_MOST}`)
		),
		/** None: they are left, and not offered again. */
		entries: v.pipe(v.array(EntrySchema), v.maxLength(10, 'at most 10')),
		...said
	}),
	v.object({
		opId: OpIdSchema,
		kind: v.literal('undo'),
		undoes: OpIdSchema,
		at: v.optional(AtSchema)
	})
]);
export const PairSchema = v.object({ opId: OpIdSchema });
export const LineRuleSchema = v.object({
	opId: OpIdSchema,
	/** Whether what fits the piece that comes now is ticked without a thumb. */
	byRule: v.optional(v.boolean('true or false')),
	/** false: the sensor is let go. */
	paired: v.optional(v.literal(false))
});
