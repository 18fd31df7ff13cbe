/** Bodies about lists of the day, cards and outlines. */
import * as v from 'valibot';
import { DayListSchema } from '$lib/core/list/inputs';
import { ContoursSchema } from '$lib/core/shape/schema';
import { EntrySchema } from '$lib/core';
import { OpIdSchema, IdSchema, revision, AtSchema, NameSchema } from './common';
import { said } from './records';

export const SaveDayListSchema = v.object({
	opId: OpIdSchema,
	benchId: IdSchema,
	/** 0: it is new. */
	revision,
	list: DayListSchema
});
/** A list on a stored bench, for those who plan without a screen. */
export const RunRequestSchema = v.object({ benchId: IdSchema, list: DayListSchema });
/** Benches that one list is tried on besides its own. */
export const LIST_BENCHES_MOST = 8;
export const ArchiveDayListSchema = v.object({
	opId: OpIdSchema,
	revision,
	archived: v.boolean('true or false')
});
export const TICK_KINDS = ['done', 'failed', 'pause', 'on'] as const;
export const TickSchema = v.variant('kind', [
	v.object({
		opId: OpIdSchema,
		kind: v.picklist(TICK_KINDS, `one of ${TICK_KINDS.join(', ')}`),
		item: v.pipe(v.string('text'), v.regex(/^[\w-]{0,40}$/, 'the id of an item')),
		at: v.optional(AtSchema),
		/** What it writes into the log for wear and evidence; left out: nothing. */
		entry: v.optional(EntrySchema),
		...said
	}),
	v.object({
		opId: OpIdSchema,
		kind: v.literal('undo'),
		/** The `opId` of the tick that is taken back. */
		undoes: OpIdSchema,
		at: v.optional(AtSchema),
		/** It may overtake its tick, which is on its way: then that one counts as taken back when it comes. */
		early: v.optional(v.boolean())
	})
]);
export const NewCardSchema = v.object({
	opId: OpIdSchema,
	benchId: IdSchema,
	name: NameSchema,
	/** What the card is for. */
	what: v.optional(v.picklist(['cut', 'groove'], 'cut or groove'), 'cut'),
	/** The planned cut as in the address; a groove stands in it too. */
	search: v.pipe(v.string('a query'), v.maxLength(1000, 'at most 1000 characters'))
});
export const ShelveCardSchema = v.object({
	opId: OpIdSchema,
	onShelf: v.boolean('true or false'),
	revision: v.optional(revision)
});
export const NewOutlineSchema = v.object({
	opId: OpIdSchema,
	name: NameSchema,
	contours: ContoursSchema
});
export const KeepOutlineSchema = v.object({
	opId: OpIdSchema,
	kept: v.boolean('true or false'),
	revision: v.optional(revision)
});
