/** The day’s work: lists, sensors, faults, what to look at before. */
import { BatchSchema } from '$lib/core/arcline/batch';
import { FindFaultSchema, PreflightRequestSchema } from '../bodies/planned';
import { SaveFaultsSchema } from '../bodies/house';
import {
	ArchiveDayListSchema,
	RunRequestSchema,
	SaveDayListSchema,
	TickSchema
} from '../bodies/work';
import { LineRuleSchema, PairSchema, TakeSeenSchema } from '../bodies/benches';
import type { Operation } from './operation';

export const WORK: readonly Operation[] = [
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
	}
];
