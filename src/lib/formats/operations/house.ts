/** The server itself: health, revisions, export and backup. */
import type { Operation } from './operation';

export const HOUSE: readonly Operation[] = [
	{ path: '/api/health', method: 'get', summary: 'Whether the server and its store answer' },
	{
		path: '/api/revisions',
		method: 'get',
		summary: 'Revisions of everything two people can change on a bench, and the time of the server',
		query: ['bench'],
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
