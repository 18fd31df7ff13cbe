import { toJsonSchema } from '@valibot/to-json-schema';
import * as v from 'valibot';
import {
	CanCutSchema,
	ElsewhereSchema,
	FindFaultSchema,
	KeepBenchSchema,
	KeepOutlineSchema,
	KeepPictureSchema,
	NewBenchSchema,
	NewCardSchema,
	NewEntrySchema,
	NewOutlineSchema,
	CorrectSchema,
	ImportLogSchema,
	NewPartSchema,
	NewSetSchema,
	SaveStockSchema,
	UnfitPartSchema,
	PlanRequestSchema,
	PreflightRequestSchema,
	PutChartSchema,
	SaveBenchSchema,
	SaveFaultsSchema,
	ArchiveDayListSchema,
	LineRuleSchema,
	PairSchema,
	RunRequestSchema,
	TakeSeenSchema,
	SaveDayListSchema,
	SaveOwnChecksSchema,
	TickSchema,
	SaveSettingsSchema,
	ShelveCardSchema,
	TemplateRequestSchema,
	SeveralSchema,
	UndoManySchema,
	UndoSchema,
	UnfitSetSchema
} from './api';
import { BatchSchema } from '$lib/core/arcline/batch';
import { BenchFileSchema } from './benchFile';

type Schema = v.GenericSchema;

/** JSON Schema (draft 2020-12) of what is accepted; refinements that it cannot say are left to the server. */
export function jsonSchema(schema: Schema): Record<string, unknown> {
	return toJsonSchema(schema, {
		typeMode: 'input',
		errorMode: 'ignore',
		target: 'draft-2020-12'
	}) as Record<string, unknown>;
}

interface Operation {
	path: string;
	method: 'get' | 'post' | 'put' | 'delete';
	summary: string;
	body?: Schema;
	params?: string[];
	query?: string[];
	optionalQuery?: string[];
	/** The body is a file of this type. */
	fileBody?: string;
	refusals?: number[];
}

const OPERATIONS: Operation[] = [
	{ path: '/api/health', method: 'get', summary: 'Whether the server and its store answer' },
	{
		path: '/api/plan',
		method: 'post',
		summary: 'The whole plan for a bench and a cut, with workings on request',
		body: PlanRequestSchema,
		refusals: [400, 404, 413]
	},
	{
		path: '/api/supply',
		method: 'post',
		summary: 'The session in time, where pauses must go, what would fix it, and sizes solved for',
		body: PlanRequestSchema,
		refusals: [400, 404, 413]
	},
	{
		path: '/api/advice',
		method: 'post',
		summary: 'Best amps for each aim, with the reason',
		body: PlanRequestSchema,
		refusals: [400, 404, 413]
	},
	{
		path: '/api/elsewhere',
		method: 'post',
		summary: 'Other benches of the shop that part a cut, with amps and speed',
		body: ElsewhereSchema,
		refusals: [400, 413]
	},
	{
		path: '/api/can-cut',
		method: 'post',
		summary:
			'Whether each bench of the shop makes a cut, with amps, seconds and the smallest change',
		body: CanCutSchema,
		refusals: [400, 413]
	},
	{
		path: '/api/charts/{id}',
		method: 'get',
		summary: 'Cut chart of a bench; as=csv gives the file',
		params: ['id'],
		optionalQuery: ['as'],
		refusals: [404]
	},
	{
		path: '/api/charts/{id}',
		method: 'put',
		summary: 'Put a whole cut chart in place of the one before; no rows take it away',
		params: ['id'],
		body: PutChartSchema,
		refusals: [400, 404, 409, 413]
	},
	{
		path: '/api/cards',
		method: 'get',
		summary: 'Setting cards on the shelf of a bench; as=csv gives a table',
		query: ['bench', 'as'],
		refusals: [404]
	},
	{
		path: '/api/cards',
		method: 'post',
		summary: 'Save the planned cut, or the groove that is asked for, as a card',
		body: NewCardSchema,
		refusals: [400, 404, 413]
	},
	{
		path: '/api/cards/{id}',
		method: 'get',
		summary: 'One card with everything it was planned from',
		params: ['id'],
		refusals: [404]
	},
	{
		path: '/api/cards/{id}',
		method: 'put',
		summary: 'Take a card off the shelf or put it back',
		params: ['id'],
		body: ShelveCardSchema,
		refusals: [400, 404, 409, 413]
	},
	{
		path: '/api/template',
		method: 'post',
		summary: 'A template from an outline: SVG, DXF or PDF in true millimetres, or plain data',
		body: TemplateRequestSchema,
		refusals: [400, 413, 422, 503]
	},
	{ path: '/api/outlines', method: 'get', summary: 'Saved outlines' },
	{
		path: '/api/outlines',
		method: 'post',
		summary: 'Save an outline',
		body: NewOutlineSchema,
		refusals: [400, 413]
	},
	{
		path: '/api/outlines/{id}',
		method: 'get',
		summary: 'One outline with its contours',
		params: ['id'],
		refusals: [404]
	},
	{
		path: '/api/outlines/{id}',
		method: 'put',
		summary: 'Put an outline away or take it back',
		params: ['id'],
		body: KeepOutlineSchema,
		refusals: [400, 404, 409, 413]
	},
	{
		path: '/api/pictures',
		method: 'get',
		summary: 'Pictures kept beside entries of a bench, newest first, or beside those named',
		query: ['bench', 'limit', 'before', 'entries'],
		refusals: [400, 404]
	},
	{
		path: '/api/pictures',
		method: 'post',
		summary: 'Keep a picture beside the entry that an earlier write made',
		body: KeepPictureSchema,
		refusals: [400, 404, 413, 507]
	},
	{
		path: '/api/pictures/{id}',
		method: 'get',
		summary: 'The picture itself, JPEG',
		params: ['id'],
		refusals: [404]
	},
	{
		path: '/api/pictures/{id}',
		method: 'delete',
		summary: 'Let a picture go; its entry stays',
		params: ['id']
	},
	{ path: '/api/benches', method: 'get', summary: 'All benches' },
	{
		path: '/api/benches/{id}/kept',
		method: 'put',
		summary: 'Take a bench away with its log, or put it back',
		params: ['id'],
		body: KeepBenchSchema,
		refusals: [400, 404, 409, 413, 422]
	},
	{
		path: '/api/benches',
		method: 'post',
		summary: 'Add a bench',
		body: NewBenchSchema,
		refusals: [400, 413]
	},
	{
		path: '/api/benches/{id}',
		method: 'get',
		summary: 'One bench',
		params: ['id'],
		refusals: [404]
	},
	{
		path: '/api/benches/{id}',
		method: 'put',
		summary: 'Save a bench over a known revision; 409 gives both versions',
		params: ['id'],
		body: SaveBenchSchema,
		refusals: [400, 404, 409, 413]
	},
	{
		path: '/api/benches/{id}/export',
		method: 'get',
		summary: 'The bench as a file',
		params: ['id'],
		refusals: [404]
	},
	{
		path: '/api/log',
		method: 'get',
		summary:
			'A page of the log of a bench, newest first; `next` is the `before` of the page after it',
		query: ['bench'],
		optionalQuery: ['before', 'limit'],
		refusals: [400, 404]
	},
	{
		path: '/api/log',
		method: 'post',
		summary: 'Append an entry',
		body: NewEntrySchema,
		refusals: [400, 404, 409, 413, 503, 507]
	},
	{
		path: '/api/log/several',
		method: 'post',
		summary: 'Append what one gesture logs: all of it or none',
		body: SeveralSchema,
		refusals: [400, 404, 409, 413, 503, 507]
	},
	{
		path: '/api/log/{id}/undo',
		method: 'post',
		summary: 'Take an entry back; it stays in the record',
		params: ['id'],
		body: UndoSchema,
		refusals: [400, 404, 409]
	},
	{
		path: '/api/log/undo',
		method: 'post',
		summary: 'Take several entries of a bench back together, as one gesture made them: all or none',
		body: UndoManySchema,
		refusals: [400, 404, 409]
	},
	{
		path: '/api/log/{id}/correct',
		method: 'post',
		summary: 'Put another entry in the place of one that was wrong; both stay in the record',
		params: ['id'],
		body: CorrectSchema,
		refusals: [400, 404, 409, 413]
	},
	{
		path: '/api/log/find',
		method: 'get',
		summary:
			'What stands in the log of a bench and meets the words of `q` (thickness, amps, metal, kind, start, date, name), with its sums, in the order of `sort` (at, length or arc; with a minus the newest or longest first, as when nothing is said); `next` is the `before` of the page after it',
		query: ['bench'],
		optionalQuery: ['q', 'sort', 'before', 'limit'],
		refusals: [400, 404]
	},
	{
		path: '/api/log/csv',
		method: 'get',
		summary: 'What is found in the log of a bench, as CSV',
		query: ['bench'],
		optionalQuery: ['q'],
		refusals: [404]
	},
	{
		path: '/api/log/import',
		method: 'post',
		summary: 'Rows from a file into the log: all of them or none',
		body: ImportLogSchema,
		refusals: [400, 404, 409, 413]
	},
	{
		path: '/api/wear',
		method: 'get',
		summary:
			'Pits and bores read on the parts in the torch, with the starts that each had made by then',
		query: ['bench'],
		refusals: [404]
	},
	{
		path: '/api/care',
		method: 'get',
		summary: 'What is to be looked after on a bench, the soonest first',
		query: ['bench'],
		refusals: [404]
	},
	{
		path: '/api/stock',
		method: 'get',
		summary:
			'What lies in the drawer of a bench, what it uses a week, when to order and when it runs out',
		query: ['bench'],
		refusals: [404]
	},
	{
		path: '/api/stock',
		method: 'put',
		summary: 'Count one kind of part, over a known revision',
		body: SaveStockSchema,
		refusals: [400, 404, 409]
	},
	{
		path: '/api/parts',
		method: 'post',
		summary: 'Put a nozzle, ring, cap or shield in; tells why the one before came out',
		body: NewPartSchema,
		refusals: [400, 404, 409]
	},
	{
		path: '/api/parts/{id}/unfit',
		method: 'post',
		summary: 'Take a part out again that was put in by mistake',
		params: ['id'],
		body: UnfitPartSchema,
		refusals: [400, 404]
	},
	{
		path: '/api/sets',
		method: 'post',
		summary: 'Fit a new electrode and nozzle, over a known revision of the parts',
		body: NewSetSchema,
		refusals: [400, 404, 409]
	},
	{
		path: '/api/sets/{id}/unfit',
		method: 'post',
		summary: 'Undo a fitting while nothing is logged on it',
		params: ['id'],
		body: UnfitSetSchema,
		refusals: [400, 404, 409]
	},
	{ path: '/api/settings', method: 'get', summary: 'Schools and prices of the shop' },
	{
		path: '/api/settings',
		method: 'put',
		summary: 'Save them over a known revision',
		body: SaveSettingsSchema,
		refusals: [400, 409]
	},
	{
		path: '/api/checks',
		method: 'get',
		summary: 'Checks that the shop asks besides ours; with ?bench= what was signed off there last',
		optionalQuery: ['bench']
	},
	{
		path: '/api/checks',
		method: 'put',
		summary: 'Save them over a known revision',
		body: SaveOwnChecksSchema,
		refusals: [400, 409]
	},
	{
		path: '/api/lists',
		method: 'get',
		summary: 'The day’s lists of a bench, by name',
		query: ['bench'],
		refusals: [404]
	},
	{
		path: '/api/lists/learnt',
		method: 'get',
		summary: 'What the newest lists of a bench took: handling and failures by kind of item',
		query: ['bench'],
		refusals: [404, 503]
	},
	{
		path: '/api/lists/{id}',
		method: 'get',
		summary: 'One list, and what was ticked of it',
		params: ['id'],
		refusals: [404]
	},
	{
		path: '/api/lists/{id}',
		method: 'put',
		summary: 'Save a list over a known revision; 0 makes it',
		params: ['id'],
		body: SaveDayListSchema,
		refusals: [400, 404, 409]
	},
	{
		path: '/api/lists/{id}',
		method: 'post',
		summary: 'Put a list away, or take it out again',
		params: ['id'],
		body: ArchiveDayListSchema,
		refusals: [400, 404, 409]
	},
	{
		path: '/api/lists/{id}/ticks',
		method: 'post',
		summary: 'One press on the run sheet, with its entry of the log; or one that is taken back',
		params: ['id'],
		body: TickSchema,
		refusals: [400, 404, 409]
	},
	{
		path: '/api/lists/{id}/calendar',
		method: 'get',
		summary: 'When the list runs, as an iCalendar file',
		params: ['id'],
		optionalQuery: ['day'],
		refusals: [404]
	},
	{
		path: '/api/line/{bench}',
		method: 'post',
		summary:
			'A batch of readings from the sensor of a bench, with its token (Authorization: Bearer): columns of equal length; the same batch again stores nothing',
		params: ['bench'],
		body: BatchSchema,
		refusals: [400, 401, 413]
	},
	{
		path: '/api/line/{bench}',
		method: 'get',
		summary: 'How the sensor stands, what it offers to the log, and what it saw in the last hours',
		params: ['bench'],
		refusals: [404]
	},
	{
		path: '/api/line/{bench}',
		method: 'put',
		summary: 'Whether the run sheet is ticked by rule; or the sensor let go with its raw readings',
		params: ['bench'],
		body: LineRuleSchema,
		refusals: [400, 404]
	},
	{
		path: '/api/line/{bench}/pair',
		method: 'post',
		summary: 'A new token for the sensor of a bench, told once; the one before no longer fits',
		params: ['bench'],
		body: PairSchema,
		refusals: [400, 404]
	},
	{
		path: '/api/line/{bench}/take',
		method: 'post',
		summary: 'What was seen goes into the log, or is left; or one such press is taken back',
		params: ['bench'],
		body: TakeSeenSchema,
		refusals: [400, 404, 409]
	},
	{
		path: '/api/run',
		method: 'post',
		summary: 'Plan a list on a stored bench: settings, order, rests, what it eats, the quote',
		body: RunRequestSchema,
		refusals: [400, 404, 503]
	},
	{
		path: '/api/run/benches',
		method: 'post',
		summary:
			'The same list on the other benches of the shop, and split over two where that is sooner',
		body: RunRequestSchema,
		refusals: [400, 404, 503]
	},
	{
		path: '/api/faults',
		method: 'get',
		summary: 'Symptoms, causes and looks of the fault finder, with how often in words',
		optionalQuery: ['download']
	},
	{
		path: '/api/faults/find',
		method: 'post',
		summary: 'What it can be, and the look that tells most for its trouble',
		body: FindFaultSchema,
		refusals: [400, 404]
	},
	{
		path: '/api/preflight',
		method: 'post',
		summary: 'What is to be looked at before the arc, made from the plan',
		body: PreflightRequestSchema,
		refusals: [400, 404]
	},
	{
		path: '/api/faults',
		method: 'put',
		summary:
			'A file of faults of the shop’s own over a known revision; null: the shipped one again',
		body: SaveFaultsSchema,
		refusals: [400, 409]
	},
	{
		path: '/api/revisions',
		method: 'get',
		summary: 'Revisions of everything two people can change on a bench, and the time of the server',
		query: ['bench'],
		refusals: [404]
	},
	{
		path: '/api/charts/{id}/{hash}',
		method: 'get',
		summary: 'Rows of a chart by their hash',
		params: ['id', 'hash'],
		refusals: [404]
	},
	{ path: '/api/export', method: 'get', summary: 'Everything the shop owns, as one JSON file' },
	{ path: '/api/backup', method: 'get', summary: 'The whole store as one SQLite file' },
	{
		path: '/api/restore',
		method: 'post',
		summary: 'Put a backup in the place of the store; what stood there is kept aside',
		fileBody: 'application/vnd.sqlite3',
		refusals: [400, 413]
	},
	{
		path: '/api/reach',
		method: 'get',
		summary: 'Addresses of this server on the shop’s network'
	},
	{ path: '/api/openapi.json', method: 'get', summary: 'This document' },
	{ path: '/api/schema/bench.json', method: 'get', summary: 'JSON Schema of a bench file' }
];

const REFUSAL_WORDS: Record<number, string> = {
	400: 'Bad input; names each field and what is accepted',
	404: 'Unknown id',
	409: 'Changed in between; nothing was overwritten',
	413: 'Body too large; tells the limit',
	422: 'Too intricate: it took too long and was stopped',
	503: 'Busy: nothing was changed, Retry-After says when to ask again',
	507: 'The disk is full or cannot be written; nothing was changed'
};

const PROBLEM = {
	type: 'object',
	required: ['code', 'message', 'fields'],
	properties: {
		code: { type: 'string' },
		message: { type: 'string' },
		fields: {
			type: 'array',
			items: {
				type: 'object',
				required: ['field', 'message', 'received'],
				properties: {
					field: { type: 'string' },
					message: { type: 'string' },
					received: { type: 'string' }
				}
			}
		}
	}
};

function operation(o: Operation): Record<string, unknown> {
	const json = (schema: unknown) => ({ 'application/json': { schema } });
	return {
		summary: o.summary,
		parameters: [
			...(o.params ?? []).map((name) => ({
				name,
				in: 'path',
				required: true,
				schema: { type: 'string' }
			})),
			...[...(o.query ?? []), ...(o.optionalQuery ?? [])].map((name) => ({
				name,
				in: 'query',
				required: o.query?.includes(name) ?? false,
				schema: { type: 'string' }
			}))
		],
		...(o.body && { requestBody: { required: true, content: json(jsonSchema(o.body)) } }),
		...(o.fileBody && {
			requestBody: {
				required: true,
				content: { [o.fileBody]: { schema: { type: 'string', format: 'binary' } } }
			}
		}),
		responses: {
			200: { description: 'Done', content: json({ type: 'object' }) },
			...Object.fromEntries(
				(o.refusals ?? []).map((status) => [
					status,
					{
						description: REFUSAL_WORDS[status]!,
						content: json({ $ref: '#/components/schemas/Problem' })
					}
				])
			)
		}
	};
}

/** The API in OpenAPI 3.1, from the schemas that check the requests. */
export function openApiDocument(version: string): Record<string, unknown> {
	const paths: Record<string, Record<string, unknown>> = {};
	for (const o of OPERATIONS) (paths[o.path] ??= {})[o.method] = operation(o);
	return {
		openapi: '3.1.0',
		info: {
			title: 'Steady Arc',
			version,
			description:
				'Planning and records for a hand-held air plasma cutter. Numbers are in the units of their names: thicknessMm, flowLpm (free air), pressureBar (gauge).'
		},
		paths,
		components: { schemas: { Problem: PROBLEM } }
	};
}

export function benchFileJsonSchema(): Record<string, unknown> {
	return { ...jsonSchema(BenchFileSchema), title: 'Steady Arc bench file' };
}
