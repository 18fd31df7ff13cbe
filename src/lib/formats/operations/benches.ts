/** Benches of the shop. */
import { KeepBenchSchema, NewBenchSchema, SaveBenchSchema } from '../bodies/benches';
import type { Operation } from './operation';

export const BENCHES: readonly Operation[] = [
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
	}
];
