import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { BAY_2, TROLLEY } from '../../../scripts/demo/benches';

interface Handler {
	(event: never): Response | Promise<Response>;
}
const json = (body: unknown, params: Record<string, string> = {}) =>
	({
		params,
		url: new URL('http://test/'),
		request: new Request('http://test/', {
			method: 'POST',
			body: typeof body === 'string' ? body : JSON.stringify(body)
		})
	}) as never;

const folder = mkdtempSync(join(tmpdir(), 'steady-arc-api-'));
let api: Record<
	| 'plan'
	| 'benches'
	| 'bench'
	| 'log'
	| 'undo'
	| 'undoMany'
	| 'several'
	| 'correct'
	| 'find'
	| 'take'
	| 'parts'
	| 'unfit'
	| 'stock'
	| 'openapi'
	| 'schema',
	Record<string, Handler>
>;
let close: () => void;
let benchId = '';

async function ask(handler: Handler, event: never) {
	const response = await handler(event);
	return { status: response.status, body: (await response.json()) as Record<string, unknown> };
}

beforeAll(async () => {
	vi.stubEnv('STEADY_ARC_DATA', folder);
	const at = async (path: string) => (await import(path)) as Record<string, Handler>;
	api = {
		plan: await at('./plan/+server.ts'),
		benches: await at('./benches/+server.ts'),
		bench: await at('./benches/[id]/+server.ts'),
		log: await at('./log/+server.ts'),
		undo: await at('./log/[id]/undo/+server.ts'),
		undoMany: await at('./log/undo/+server.ts'),
		several: await at('./log/several/+server.ts'),
		correct: await at('./log/[id]/correct/+server.ts'),
		find: await at('./log/find/+server.ts'),
		take: await at('./log/import/+server.ts'),
		parts: await at('./parts/+server.ts'),
		stock: await at('./stock/+server.ts'),
		unfit: await at('./parts/[id]/unfit/+server.ts'),
		openapi: await at('./openapi.json/+server.ts'),
		schema: await at('./schema/bench.json/+server.ts')
	};
	close = (await import('$lib/server/current')).closeStore;
	const { body } = await ask(api.benches.POST!, json({ opId: 'api-bench-1', bench: BAY_2 }));
	benchId = body.id as string;
});
afterAll(() => {
	close();
	rmSync(folder, { recursive: true });
});

describe('POST /api/plan', () => {
	it('plans a whole input, and a stored bench by its id, alike', async () => {
		const whole = await ask(api.plan.POST!, json({ bench: BAY_2, cut: { thicknessMm: 8 } }));
		const stored = await ask(api.plan.POST!, json({ benchId, cut: { thicknessMm: 8 } }));
		expect(whole.status).toBe(200);
		expect(stored.body).toEqual(whole.body);
	});

	it('gives the working of a figure that is asked for', async () => {
		const { body } = await ask(
			api.plan.POST!,
			json({ bench: TROLLEY, cut: {}, explain: ['supply.voltageV'] })
		);
		expect(body.workings).toMatchObject([
			{ id: 'supply.voltageV', formula: '(V_0 + sqrt(V_0^2 - 4*S*R))/2', basis: 'M' }
		]);
	});

	const change = (path: string, value: unknown) => {
		const bench = structuredClone(BAY_2) as Record<string, unknown>;
		const keys = path.split('.');
		const last = keys.pop()!;
		const node = keys.reduce<Record<string, unknown>>(
			(o, k) => o[k] as Record<string, unknown>,
			bench
		);
		node[last] = value;
		return { bench, cut: {} };
	};

	it.each([
		['malformed JSON', '{"bench":', 'not JSON', 400],
		['an unknown bench', { benchId: 'nobody', cut: {} }, 'no bench "nobody"', 404],
		['neither bench nor id', { cut: {} }, 'either benchId', 400],
		[
			'a number typed as a word',
			{ benchId: 'x', cut: { thicknessMm: 'six' } },
			'cut.thicknessMm: a number from 0.3 to 100 mm, got "six"',
			400
		],
		[
			'a cord of no length',
			change('supply.cord.lengthM', 0),
			'bench.supply.cord.lengthM: 0.1 to 100 m, got 0',
			400
		],
		[
			'cut-in above cut-out',
			change('air.compressor.cutInBar', 9),
			'above the cut-in pressure',
			400
		],
		[
			'delivery that rises with pressure',
			change('air.compressor.points.1.flowLpm', 900),
			'deliveries that fall as pressure rises',
			400
		],
		[
			'a voltage the plate has not',
			change('supply.nominalV', 400),
			'a voltage that the data plate lists',
			400
		],
		['a nozzle that is not there', change('torch.fittedA', 99), 'one of the cutting nozzles', 400],
		['an empty name', change('name', '   '), 'bench.name', 400],
		['control characters in a name', change('name', 'a\u0000b'), 'one line of text', 400],
		['Infinity', '{"benchId":"x","cut":{"lengthMm":1e999}}', 'cut.lengthMm', 400]
	] as const)('refuses %s with the field and what is accepted', async (_, body, told, status) => {
		const answer = await ask(api.plan.POST!, json(body));
		expect(answer.status).toBe(status);
		expect(answer.body.message).toContain(told);
	});

	it('answers what cannot work with a plan that says so, not with an error', async () => {
		const { status, body } = await ask(
			api.plan.POST!,
			json({
				...change('supply.wire', { size: 'mm2-1', lengthM: 300, method: 'conduit' }),
				cut: { thicknessMm: 60 }
			})
		);
		expect(status).toBe(200);
		expect(body.verdict).toBe('stops');
		const texts = (body.findings as { text: string }[]).map((f) => f.text).join(' ');
		expect(texts).toContain('cannot deliver');
		expect(texts).toContain('22 mm is the most');
	});
});

describe('writing', () => {
	it('logs once per op_id, returns the evidence, and undoes', async () => {
		const entry = { kind: 'start', arcS: 1, start: 'edge' };
		const post = () => ask(api.log.POST!, json({ opId: 'api-log-01', benchId, entry }));
		const first = await post();
		const again = await post();
		expect(first.body).toMatchObject({
			outcome: 'logged',
			evidence: { wear: { electrode: { total: { starts: 1 } } } }
		});
		expect(again.body).toMatchObject({ outcome: 'already', id: first.body.id });
		const undo = await ask(
			api.undo.POST!,
			json({ opId: 'api-undo-1' }, { id: String(first.body.id) })
		);
		expect(undo.body).toMatchObject({
			evidence: { wear: { electrode: { total: { starts: 0 } } } }
		});
	});

	it('logs what a gesture makes together: all or none, once, in its order', async () => {
		const start = { kind: 'start', arcS: 1, start: 'edge' };
		const cut = {
			kind: 'cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			lengthMm: 300,
			outputA: 45,
			arcS: 14,
			starts: 9,
			start: 'edge'
		};
		const log = (opId: string, entries: unknown[]) =>
			ask(api.several.POST!, json({ opId, benchId, entries, whatFor: 'paddle gear' }));
		const url = new URL(`http://test/?bench=${benchId}&q=paddle`);
		const found = async () => (await ask(api.find.GET!, { url } as never)).body;
		for (const entries of [[], [cut, { ...start, arcS: -1 }], [cut, 7], Array(201).fill(start)])
			expect((await log('api-several-0', entries)).status).toBe(400);
		expect(await found()).toMatchObject({ found: { count: 0 } });
		const made = await log('api-several-1', [cut, start]);
		expect(made.body).toMatchObject({
			ids: [expect.any(Number), expect.any(Number)],
			evidence: { wear: { electrode: { total: { starts: 10 } } } }
		});
		expect((await log('api-several-1', [cut, start])).body).toEqual(made.body);
		expect(await found()).toMatchObject({
			found: { count: 2, starts: 10 },
			entries: [{ entry: { kind: 'start' } }, { entry: { kind: 'cut', nozzleA: 45 } }]
		});
		const { status } = await ask(
			api.undoMany.POST!,
			json({ opId: 'api-several-2', ids: made.body.ids })
		);
		expect(status).toBe(200);
	});

	it('takes what a gesture wrote back together: all or none, once, and of one bench', async () => {
		const entry = { kind: 'start', arcS: 1, start: 'edge' };
		const log = async (opId: string, bench = benchId) =>
			(await ask(api.log.POST!, json({ opId, benchId: bench, entry }))).body.id as number;
		const ids = [await log('api-many-01'), await log('api-many-02')];
		const starts = async (body: object) => {
			const { status, body: told } = await ask(api.undoMany.POST!, json(body));
			const { evidence, message } = told as {
				evidence?: { wear: { electrode: { total: { starts: number } } } };
				message?: string;
			};
			return [status, evidence?.wear.electrode.total.starts ?? message];
		};
		// One that there is not: none goes.
		expect((await starts({ opId: 'api-back-0', ids: [...ids, 99_999] }))[0]).toBe(404);
		expect((await starts({ opId: 'api-back-0', ids: [] }))[0]).toBe(400);
		expect((await starts({ opId: 'api-back-0', ids: [ids[0], 1.5] }))[0]).toBe(400);
		const { body: other } = await ask(
			api.benches.POST!,
			json({ opId: 'api-bench-many', bench: { ...BAY_2, name: 'Bay 3' } })
		);
		const strange = await log('api-many-03', other.id as string);
		const [status, why] = await starts({ opId: 'api-back-0', ids: [...ids, strange] });
		expect([status, why]).toEqual([400, 'ids.2: an entry of the same bench as the first']);
		const third = await log('api-many-04');
		expect(await starts({ opId: 'api-back-1', ids })).toEqual([200, 1]);
		// The same again takes back nothing more; neither does somebody else's.
		expect(await starts({ opId: 'api-back-1', ids })).toEqual([200, 1]);
		expect(await starts({ opId: 'api-back-2', ids: [...ids, third] })).toEqual([200, 0]);
		const url = new URL(`http://test/?bench=${benchId}`);
		const { body: page } = await ask(api.find.GET!, { url } as never);
		expect(page.found).toMatchObject({ starts: 0 });
	});

	it('corrects by another row, finds it, and refuses a time that has not been', async () => {
		const logged = await ask(
			api.log.POST!,
			json({
				opId: 'api-log-find-1',
				benchId,
				entry: { kind: 'pit', pitMm: 0.9 },
				whatFor: 'sluice hangers'
			})
		);
		const params = { id: String(logged.body.id) };
		const pit = (pitMm: number) => ({ kind: 'pit', pitMm });
		const future = await ask(
			api.correct.POST!,
			json({ opId: 'api-correct-0', at: '2099-01-01T00:00:00Z', entry: pit(0.8) }, params)
		);
		expect(future.status).toBe(400);
		const made = await ask(
			api.correct.POST!,
			json({ opId: 'api-correct-1', entry: pit(0.8) }, params)
		);
		expect(made.body).toMatchObject({ outcome: 'corrected' });
		const again = await ask(
			api.correct.POST!,
			json({ opId: 'api-correct-2', entry: pit(0.7) }, params)
		);
		expect(again.status).toBe(409);
		const url = new URL(`http://test/?bench=${benchId}&q=${encodeURIComponent('pit SLUICE')}`);
		const found = await ask(api.find.GET!, { url } as never);
		expect(found.body).toMatchObject({
			found: { count: 1 },
			entries: [{ entry: { pitMm: 0.8 }, was: { entry: { pitMm: 0.9 } } }],
			next: null
		});
		for (const spoiled of ['before=yesterday', 'sort=name', 'sort=']) {
			const asked = new URL(`http://test/?bench=${benchId}&${spoiled}`);
			expect((await ask(api.find.GET!, { url: asked } as never)).status, spoiled).toBe(400);
		}
		await ask(api.log.POST!, json({ opId: 'api-order-1', benchId, entry: pit(0.9) }));
		const oldest = new URL(`http://test/?bench=${benchId}&sort=at&limit=1`);
		const newest = new URL(`http://test/?bench=${benchId}&sort=-at&limit=1`);
		const idOf = async (url: URL) =>
			((await ask(api.find.GET!, { url } as never)).body.entries as { id: number }[])[0]!.id;
		expect(await idOf(oldest)).toBeLessThan(await idOf(newest));
	});

	it('takes the rows of a file whole or not at all, and once', async () => {
		const row = (at: string) => ({ at, entry: { kind: 'look', seen: 'clean' } });
		const take = (opId: string, ...rows: unknown[]) =>
			ask(api.take.POST!, json({ opId, benchId, rows }));
		const bad = await take(
			'api-import-1',
			row('2026-11-02T08:00:00Z'),
			row('2099-11-02T08:00:00Z')
		);
		expect(bad.status).toBe(400);
		expect(bad.body.message).toContain('rows.1.at');
		const good = [row('2026-11-02T08:00:00Z'), row('2026-11-02T09:00:00Z')];
		expect((await take('api-import-2', ...good)).body).toMatchObject({ logged: 2, already: 0 });
		expect((await take('api-import-2', ...good)).body).toMatchObject({ logged: 0, already: 2 });
	});

	it('puts a part in over what was known of the torch, and takes it out again', async () => {
		const put = (opId: string, revision: number) =>
			ask(api.parts.POST!, json({ opId, benchId, kind: 'shield', revision, why: 'worn' }));
		const first = await put('api-part-1', 0);
		expect(first.body).toMatchObject({
			revision: 1,
			evidence: { wear: { starts: { shield: 0, cap: null } } }
		});
		expect((await put('api-part-2', 0)).status).toBe(409);
		const { id } = first.body.part as { id: string };
		const out = await ask(api.unfit.POST!, json({ opId: 'api-part-3' }, { id }));
		expect(out.body).toMatchObject({ evidence: { wear: { starts: { shield: null } } } });
		expect((await ask(api.unfit.POST!, json({ opId: 'api-part-4' }, { id }))).status).toBe(404);
		const odd = await ask(
			api.parts.POST!,
			json({ opId: 'api-part-5', benchId, kind: 'flux capacitor' })
		);
		expect(odd.body.message).toContain('nozzle, ring, cap, shield');
	});

	it('counts the drawer over a known revision; what is put in comes out of it, and goes back', async () => {
		const get = async (kind: string) => {
			const url = new URL(`http://test/?bench=${benchId}`);
			const { body } = await ask(api.stock.GET!, { url } as never);
			return (body.stock as { kind: string; stock: { count: number }; revision: number }[]).find(
				(one) => one.kind === kind
			)!;
		};
		const stock = { count: 1, pack: 5, leadWeeks: 2, minimum: 0, price: 7, supplier: 'the basin' };
		const put = (opId: string, revision: number, over = {}) =>
			ask(
				api.stock.PUT!,
				json({ opId, benchId, kind: 'cap', revision, stock: { ...stock, ...over } })
			);
		expect(await get('cap')).toMatchObject({ revision: 0, stock: { count: 0 } });
		expect((await put('api-stock-1', 0)).status).toBe(200);
		expect((await put('api-stock-2', 0, { count: 9 })).status).toBe(409);
		const below = await put('api-stock-3', 1, { count: -1 });
		expect(below.status).toBe(400);
		expect(below.body.message).toContain('0 to');
		const fit = async (opId: string) => {
			const { body } = await ask(api.parts.POST!, json({ opId, benchId, kind: 'cap' }));
			return (body.part as { id: string }).id;
		};
		const first = await fit('api-stock-4');
		expect((await get('cap')).stock.count).toBe(0);
		// The drawer is empty: the next one came from elsewhere, and nothing goes back for it.
		const second = await fit('api-stock-5');
		expect((await get('cap')).stock.count).toBe(0);
		await ask(api.unfit.POST!, json({ opId: 'api-stock-6' }, { id: second }));
		expect((await get('cap')).stock.count).toBe(0);
		await ask(api.unfit.POST!, json({ opId: 'api-stock-7' }, { id: first }));
		expect((await get('cap')).stock.count).toBe(1);
	});

	it.each([
		[
			'an impossible drain',
			{ kind: 'drain', fromBar: 5, toBar: 7, seconds: 10 },
			'below the first reading'
		],
		[
			'volts that rise under load',
			{ kind: 'volts', idleV: 220, arcV: 230, outputA: 45, clampA: null },
			'below the idle reading'
		],
		['an unknown kind', { kind: 'party' }, 'entry.kind'],
		['a pit of nonsense', { kind: 'pit', pitMm: -1 }, '0 to 5 mm']
	])('refuses %s', async (_, entry, told) => {
		const { status, body } = await ask(api.log.POST!, json({ opId: 'api-log-02', benchId, entry }));
		expect(status).toBe(400);
		expect(body.message).toContain(told);
	});

	it('gives both versions on a stale save', async () => {
		const put = (opId: string, revision: number, name: string) =>
			ask(api.bench.PUT!, json({ opId, revision, bench: { ...BAY_2, name } }, { id: benchId }));
		expect((await put('api-put-01', 1, 'first')).status).toBe(200);
		const stale = await put('api-put-02', 1, 'second');
		expect(stale.status).toBe(409);
		expect(stale.body).toMatchObject({
			theirs: { bench: { name: 'first' } },
			yours: { name: 'second' }
		});
	});
});

describe('documents', () => {
	it('describe the API in OpenAPI 3.1 from the schemas that check it', async () => {
		const { body } = await ask(api.openapi.GET!, json({}));
		expect(body.openapi).toBe('3.1.0');
		const text = JSON.stringify(body);
		expect(text).toContain('"/api/plan"');
		expect(text).toContain('"thicknessMm":{"type":"number","minimum":0.3,"maximum":100');
	});

	it('publish the bench file as JSON Schema', async () => {
		const { body } = await ask(api.schema.GET!, json({}));
		expect(JSON.stringify(body)).toContain('"const":"steady-arc/bench"');
	});
});
