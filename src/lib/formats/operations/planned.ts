/** Planning, and what is kept of it: charts, cards, templates, outlines, pictures. */
import {
	CanCutSchema,
	ElsewhereSchema,
	PlanRequestSchema,
	TemplateRequestSchema
} from '../bodies/planned';
import {
	KeepOutlineSchema,
	NewCardSchema,
	NewOutlineSchema,
	ShelveCardSchema
} from '../bodies/work';
import { KeepPictureSchema } from '../bodies/records';
import { PutChartSchema } from '../bodies/benches';
import type { Operation } from './operation';

export const PLANNED: readonly Operation[] = [
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
	{
		path: '/api/charts/{id}/{hash}',
		method: 'get',
		summary: 'Rows of a chart by their hash',
		params: ['id', 'hash'],
		refusals: [404]
	}
];
