/** What was done and what is in stock: log, wear, care, parts, settings, checks. */
import {
	NewEntrySchema,
	CorrectSchema,
	ImportLogSchema,
	NewPartSchema,
	NewSetSchema,
	SaveStockSchema,
	UnfitPartSchema,
	SeveralSchema,
	UndoManySchema,
	UndoSchema,
	UnfitSetSchema
} from '../bodies/records';
import { SaveOwnChecksSchema, SaveSettingsSchema } from '../bodies/house';
import type { Operation } from './operation';

export const RECORDS: readonly Operation[] = [
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
	}
];
