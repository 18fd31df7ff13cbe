/** Bodies of questions that write nothing. The same schemas check requests and write the OpenAPI document. */
import * as v from 'valibot';
import { LISTS } from '$lib/core/preflight/item';
import type { CanCut } from '$lib/core/studies/canCut';
import { TemplateSchema } from '$lib/core/shape/schema';
import {
	BenchSchema,
	ChartRowSchema,
	CutSchema,
	EvidenceSchema,
	FIGURE_IDS,
	SettingsSchema,
	WorkSchema
} from '$lib/core';
import { IdSchema, NameSchema } from './common';

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
