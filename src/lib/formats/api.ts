/** Bodies of the API. The same schemas check requests and write the OpenAPI document. */
import { FaultFileSchema } from '$lib/core/faults/file';
import { LISTS } from '$lib/core/preflight/item';
import { DayListSchema } from '$lib/core/list/inputs';
import { OwnChecksSchema } from '$lib/core/preflight/own';
import { STOCK_KINDS, StockSchema } from '$lib/core/stock/drawer';
import { PART_KINDS, WHYS } from '$lib/core/wear/parts';
import { PICTURE_BYTES_MOST } from './pictures';
import * as v from 'valibot';
import type { CanCut } from '$lib/core/studies/canCut';
import { ContoursSchema, TemplateSchema } from '$lib/core/shape/schema';
import {
	BenchSchema,
	CHART_ROWS_MOST,
	ChartRowSchema,
	CutSchema,
	EntrySchema,
	EvidenceSchema,
	FIGURE_IDS,
	SettingsSchema,
	WorkSchema
} from '$lib/core';

/** Made by the client, once per gesture: sending the same one again stores nothing. */
export const OpIdSchema = v.pipe(
	v.string('8 to 64 characters'),
	v.regex(/^[A-Za-z0-9_-]{8,64}$/, '8 to 64 letters, digits, - or _')
);
const IdSchema = v.pipe(v.string('text'), v.regex(/^[A-Za-z0-9_-]{1,64}$/, 'an id'));
/** 31 February is written like a date and is none; without a zone it is another time on every machine. */
function exists(text: string): boolean {
	const [, year, month, day] = /^(\d{4})-(\d\d)-(\d\d)/.exec(text) ?? [];
	const days = new Date(Date.UTC(Number(year), Number(month), 0)).getUTCDate();
	const zoned = /(Z|[+-]\d\d:?\d\d)$/.test(text);
	const time = Date.parse(text);
	return zoned && Number(day) >= 1 && Number(day) <= days && time >= 0 && time < TIME_END;
}
const TIME_END = Date.UTC(2100, 0);
export const AtSchema = v.pipe(
	v.string('a time'),
	v.isoTimestamp('an ISO 8601 time with zone, such as 2026-11-25T08:30:00Z'),
	v.check(exists, 'a date that exists, with a zone, from 1970 to 2100'),
	v.transform((text) => new Date(text).toISOString())
);
const revision = v.pipe(
	v.number('a whole number'),
	v.integer('a whole number'),
	v.minValue(0, '0 or more')
);

/** A whole input, or the id of a stored bench whose evidence and settings then count. */
export const PlanRequestSchema = v.pipe(
	v.object({
		benchId: v.optional(IdSchema),
		bench: v.optional(BenchSchema),
		cut: CutSchema,
		evidence: v.optional(EvidenceSchema),
		work: v.optional(WorkSchema),
		settings: v.optional(SettingsSchema),
		/** Rows of a cut chart; a stored bench brings its own. */
		chart: v.optional(v.array(ChartRowSchema)),
		/** Figures whose working is wanted too. */
		explain: v.optional(v.array(v.picklist(FIGURE_IDS, 'a figure id')))
	}),
	v.forward(
		v.check(
			(body) => (body.benchId === undefined) !== (body.bench === undefined),
			'either benchId of a stored bench or a whole bench, not both'
		),
		['benchId']
	)
);

/** What is to be looked at before the arc, of the plan of such a request. */
export const PreflightRequestSchema = v.object({
	list: v.picklist(LISTS, `one of ${LISTS.join(', ')}`),
	plan: PlanRequestSchema
});
const faultId = v.pipe(v.string('text'), v.maxLength(60, '60 characters at most'));
/** A fault being looked for: what was seen, answered, and mended in vain; with what the plan's bench knows. */
export const FindFaultSchema = v.object({
	symptom: faultId,
	answers: v.optional(
		v.pipe(
			v.array(
				v.object({ look: faultId, said: v.picklist(['yes', 'no', 'unsure'], 'yes, no or unsure') })
			),
			v.maxLength(200, 'at most 200')
		),
		[]
	),
	inVain: v.optional(v.pipe(v.array(faultId), v.maxLength(100, 'at most 100')), []),
	plan: v.optional(PlanRequestSchema)
});

export type PlanRequest = v.InferOutput<typeof PlanRequestSchema>;

export const NewBenchSchema = v.object({ opId: OpIdSchema, bench: BenchSchema });
export const SaveBenchSchema = v.object({ opId: OpIdSchema, revision, bench: BenchSchema });
/** Who did it, and what for: nobody has to say. */
const said = {
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
	/** 0: nobody has counted yet. */
	revision: v.pipe(v.number(), v.integer(), v.minValue(0)),
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
export const SaveSettingsSchema = v.object({
	opId: OpIdSchema,
	revision,
	settings: SettingsSchema
});

/** A list that a shop writes, over a known revision; 0: nobody has written one. */
const listRevision = v.pipe(v.number('a number'), v.integer('a whole number'), v.minValue(0));
export const SaveOwnChecksSchema = v.object({
	opId: OpIdSchema,
	revision: listRevision,
	own: OwnChecksSchema
});
export const SaveFaultsSchema = v.object({
	opId: OpIdSchema,
	revision: listRevision,
	/** null: the file that comes with the program. */
	faults: v.nullable(FaultFileSchema)
});

export const SaveDayListSchema = v.object({
	opId: OpIdSchema,
	benchId: IdSchema,
	/** 0: it is new. */
	revision: listRevision,
	list: DayListSchema
});
/** A list on a stored bench, for those who plan without a screen. */
export const RunRequestSchema = v.object({ benchId: IdSchema, list: DayListSchema });
/** Benches that one list is tried on besides its own. */
export const LIST_BENCHES_MOST = 8;
export const ArchiveDayListSchema = v.object({
	opId: OpIdSchema,
	revision: listRevision,
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

const NameSchema = v.pipe(
	v.string('text'),
	v.trim(),
	v.minLength(1, '1 to 60 characters'),
	v.maxLength(60, '1 to 60 characters')
);
/** A whole chart in place of the one before; no rows take it away. */
export const PutChartSchema = v.object({
	opId: OpIdSchema,
	name: NameSchema,
	rows: v.pipe(v.array(ChartRowSchema), v.maxLength(CHART_ROWS_MOST, 'at most 10 000 rows')),
	/** Of the chart it is put in place of; 0 or left out: there is none yet. */
	revision: v.optional(revision)
});
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
/** A bench is taken away with its log, or put back. */
export const KeepBenchSchema = v.object({
	opId: OpIdSchema,
	kept: v.boolean('true or false'),
	revision
});
export const TEMPLATE_FILES = ['svg', 'dxf', 'pdf', 'json'] as const;
export const PAPERS = ['A4', 'letter'] as const;
/** A template from an outline, as a file or as plain data. */
export const TemplateRequestSchema = v.object({
	...TemplateSchema.entries,
	name: v.optional(NameSchema, 'template'),
	as: v.picklist(TEMPLATE_FILES, `one of ${TEMPLATE_FILES.join(', ')}`),
	/** Of the printed template. */
	paper: v.optional(v.picklist(PAPERS, 'A4 or letter'), 'A4')
});

/** Which other benches of the shop part a cut. */
export const ElsewhereSchema = v.object({ benchId: IdSchema, cut: CutSchema });
/** One that does, at its full amps. */
export interface AbleBench {
	id: string;
	name: string;
	outputA: number;
	speedMmS: number;
}

/** One question to every bench of the shop. */
export const CanCutSchema = v.object({
	cut: CutSchema,
	/** Once, with the machine rested; else over and over as each bench is usually worked. */
	once: v.optional(v.boolean('true or false'), true)
});
/** More benches than this are not asked. */
export const BENCHES_ASKED_MOST = 200;
/** What one bench answers. */
export interface BenchAnswer extends CanCut {
	id: string;
	name: string;
	revision: number;
	cutterName: string;
	nominalV: number;
}

/** A page of the log. */
export const LOG_PAGE_MOST = 1000;
export const LOG_PAGE = 200;

/** What two people can change, each with its revision. */
export interface Revisions {
	bench: number;
	parts: number;
	log: number;
	chart: number;
	cards: number;
	settings: number;
	/** How many benches there are. */
	benches: number;
}

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
