/** Bodies about the log, parts, the drawer and pictures. */
import * as v from 'valibot';
import { STOCK_KINDS, StockSchema } from '$lib/core/stock/drawer';
import { PART_KINDS, WHYS } from '$lib/core/wear/parts';
import { PICTURE_BYTES_MOST } from '../pictures';
import { EntrySchema } from '$lib/core';
import { IdSchema, AtSchema, OpIdSchema, revision } from './common';

/** Who did it, and what for: nobody has to say. */
export const said = {
	who: v.optional(v.pipe(v.string(), v.trim(), v.maxLength(60, 'at most 60 characters'))),
	whatFor: v.optional(v.pipe(v.string(), v.trim(), v.maxLength(200, 'at most 200 characters')))
};
/** Rows of the log that a screen shows at once. */
export const LOG_SHOWN = 25;
const ofGesture = {
	benchId: IdSchema,
	at: v.optional(AtSchema),
	inputsHash: v.optional(v.pipe(v.string(), v.regex(/^[0-9a-f]{1,16}$/, 'the hash of a plan'))),
	...said
};
export const NewEntrySchema = v.object({ opId: OpIdSchema, ...ofGesture, entry: EntrySchema });
/** A write of several rows numbers them behind its own id. */
const ManyOpIdSchema = v.pipe(OpIdSchema, v.maxLength(50, '8 to 50 characters'));
/** What one gesture logs or takes back, together. */
const SEVERAL_MOST = 200;
export const SeveralSchema = v.object({
	opId: ManyOpIdSchema,
	...ofGesture,
	entries: v.pipe(
		v.array(EntrySchema),
		v.minLength(1, 'at least one entry'),
		v.maxLength(SEVERAL_MOST, `at most ${SEVERAL_MOST} entries`)
	)
});
export const CorrectSchema = v.object({
	opId: OpIdSchema,
	/** When it was really done; left out: as the row says. */
	at: v.optional(AtSchema),
	entry: EntrySchema,
	...said
});
/** Rows of a log that were read from a file; all of them go in or none. */
export const IMPORT_MOST = 5000;
export const ImportLogSchema = v.object({
	opId: ManyOpIdSchema,
	benchId: IdSchema,
	rows: v.pipe(
		v.array(v.object({ at: AtSchema, entry: EntrySchema, ...said })),
		v.minLength(1, 'at least one row'),
		v.maxLength(IMPORT_MOST, `at most ${IMPORT_MOST} rows`)
	)
});
export const UndoSchema = v.object({ opId: OpIdSchema, at: v.optional(AtSchema) });
export const UndoManySchema = v.object({
	opId: ManyOpIdSchema,
	at: v.optional(AtSchema),
	ids: v.pipe(
		v.array(v.pipe(v.number('a whole number'), v.safeInteger('a whole number'))),
		v.minLength(1, 'at least one entry'),
		v.maxLength(SEVERAL_MOST, `at most ${SEVERAL_MOST} entries`)
	)
});
const why = v.picklist(WHYS, `one of ${WHYS.join(', ')}`);
export const NewSetSchema = v.object({
	opId: OpIdSchema,
	benchId: IdSchema,
	name: v.pipe(
		v.string('text'),
		v.trim(),
		v.minLength(1, '1 to 60 characters'),
		v.maxLength(60, '1 to 60 characters')
	),
	at: v.optional(AtSchema),
	/** Of what was in the torch; left out: put in whatever was there. */
	revision: v.optional(revision),
	/** Why each of the pair came out. */
	why: v.optional(v.object({ electrode: v.optional(why), nozzle: v.optional(why) })),
	/** The electrode alone; the nozzle stays in. */
	alone: v.optional(v.boolean('true or false'))
});
export const SaveStockSchema = v.object({
	opId: OpIdSchema,
	benchId: IdSchema,
	kind: v.picklist(STOCK_KINDS, `one of ${STOCK_KINDS.join(', ')}`),
	revision,
	stock: StockSchema
});
export const NewPartSchema = v.object({
	opId: OpIdSchema,
	benchId: IdSchema,
	kind: v.picklist(PART_KINDS, `one of ${PART_KINDS.join(', ')}`),
	at: v.optional(AtSchema),
	revision: v.optional(revision),
	/** Why the one before came out. */
	why: v.optional(why)
});
export const UnfitPartSchema = v.object({ opId: OpIdSchema });
export const UnfitSetSchema = v.object({ opId: OpIdSchema, previousId: v.nullable(IdSchema) });
/** A photo beside the entry that the write `entryOp` made. */
export const KeepPictureSchema = v.object({
	opId: OpIdSchema,
	entryOp: OpIdSchema,
	at: v.optional(AtSchema),
	jpeg: v.pipe(
		v.string('a JPEG picture, base64'),
		v.maxLength(Math.ceil(PICTURE_BYTES_MOST / 3) * 4, 'at most 600 kB'),
		v.base64('base64')
	)
});
/** A page of the log. */
export const LOG_PAGE_MOST = 1000;
export const LOG_PAGE = 200;
