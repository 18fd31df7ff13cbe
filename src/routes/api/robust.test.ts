/** What must never be answered by a fault of ours. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { parse } from 'content-disposition';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { BAY_2 } from '../../../scripts/demo/benches';
import { DATABASE_FILE } from '$lib/server/restore';
import type { Store } from '$lib/server/store';

type Handler = (event: never) => Response | Promise<Response>;
type Body = Record<string, unknown>;

const folder = mkdtempSync(join(tmpdir(), 'steady-arc-robust-'));
let api: Record<string, Record<string, Handler>>;
let store: () => Store;
let leave: () => Promise<void>;
let benchId = '';

const ask = async (
	handler: Handler,
	body: unknown,
	params: Record<string, string> = {},
	query = ''
) => {
	const response = await handler({
		params,
		url: new URL(`http://test/${query}`),
		setHeaders: () => undefined,
		request: new Request('http://test/', {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: typeof body === 'string' ? body : JSON.stringify(body)
		})
	} as never);
	const text = await response.clone().text();
	return {
		status: response.status,
		headers: response.headers,
		text,
		body: (text.startsWith('{') ? JSON.parse(text) : {}) as Body
	};
};

beforeAll(async () => {
	vi.stubEnv('STEADY_ARC_DATA', folder);
	const at = async (path: string) => (await import(path)) as Record<string, Handler>;
	api = {
		benches: await at('./benches/+server.ts'),
		bench: await at('./benches/[id]/+server.ts'),
		file: await at('./benches/[id]/export/+server.ts'),
		log: await at('./log/+server.ts'),
		undo: await at('./log/[id]/undo/+server.ts'),
		sets: await at('./sets/+server.ts'),
		unfit: await at('./sets/[id]/unfit/+server.ts'),
		cards: await at('./cards/+server.ts'),
		charts: await at('./charts/[id]/+server.ts'),
		settings: await at('./settings/+server.ts'),
		plan: await at('./plan/+server.ts'),
		supply: await at('./supply/+server.ts'),
		advice: await at('./advice/+server.ts'),
		elsewhere: await at('./elsewhere/+server.ts'),
		template: await at('./template/+server.ts'),
		outlines: await at('./outlines/+server.ts'),
		export: await at('./export/+server.ts'),
		backup: await at('./backup/+server.ts'),
		restore: await at('./restore/+server.ts'),
		revisions: await at('./revisions/+server.ts')
	};
	({ store, leave } = await import('$lib/server/current'));
	const made = await ask(api.benches!.POST!, { opId: 'robust-bench-1', bench: BAY_2 });
	benchId = made.body.id as string;
});
afterAll(async () => {
	await leave();
	rmSync(folder, { recursive: true });
});

const START = { kind: 'start', arcS: 1, start: 'edge' };
const entry = (opId: string, more: Body = {}) => ({ opId, benchId, entry: START, ...more });

describe('arrays where objects are due, and the like', () => {
	const shapes: unknown[] = [
		[],
		[[]],
		null,
		3,
		'"text"',
		{},
		[{ opId: 'x' }],
		{ opId: [] },
		{ entry: [] }
	];
	const writes = [
		'benches',
		'log',
		'sets',
		'cards',
		'plan',
		'supply',
		'advice',
		'elsewhere',
		'template',
		'outlines'
	];
	it.each(writes)('POST %s answers 400 with a field, whatever comes', async (name) => {
		for (const shape of shapes) {
			const { status, body } = await ask(api[name]!.POST!, shape);
			expect(status, JSON.stringify(shape)).toBe(400);
			expect(body).toMatchObject({ code: 'bad-input' });
			expect((body.fields as unknown[]).length).toBeGreaterThan(0);
		}
		expect((await ask(api[name]!.POST!, '{"a":')).body).toMatchObject({ code: 'bad-json' });
	});
	it('nested too deep is no fault either', async () => {
		const deep = `${'['.repeat(200_000)}${']'.repeat(200_000)}`;
		expect((await ask(api.plan!.POST!, `{"bench":${deep},"cut":{}}`)).status).toBe(400);
	});
});

describe('names in any script', () => {
	it.each([
		'Werkbank – Süd',
		'工作台二号',
		'верстак',
		'bench "two" / three',
		'🔥 torch',
		'a\u202Eb'
	])('%s leaves as a file of that name', async (name) => {
		const opId = `robust-name-${Buffer.from(name).toString('hex')}`.slice(0, 60);
		const made = await ask(api.benches!.POST!, { opId, bench: { ...BAY_2, name } });
		if (made.status !== 200) {
			expect(made.body).toMatchObject({ code: 'bad-input' });
			return;
		}
		const out = await ask(api.file!.GET!, {}, { id: made.body.id as string });
		expect(out.status).toBe(200);
		const said = parse(out.headers.get('content-disposition')!);
		expect(said.parameters.filename).toMatch(/\.json$/);
	});
	it('also a template, whatever it is called', async () => {
		const square = [0, 80].flatMap((x) => (x ? [80, 0] : [0, 80]).map((y) => ({ x, y, bulge: 0 })));
		for (const name of ['крышка', 'lid\u0007', '../../etc', '盖']) {
			const body = { contours: [square], shieldRadiusMm: 11, kerfMm: 1.5, as: 'svg', name };
			const made = await ask(api.template!.POST!, body);
			expect(made.status, made.text.slice(0, 200)).toBe(200);
			expect(parse(made.headers.get('content-disposition')!).parameters.filename).not.toMatch(
				/[/\\]/
			);
		}
	});
});

describe('times', () => {
	it.each([
		'2026-02-31T08:00:00Z',
		'2026-13-01T08:00:00Z',
		'2026-11-00T08:00:00Z',
		'2026-11-25T08:00:00',
		'1969-11-25T08:00:00Z',
		'9999-11-25T08:00:00Z',
		'yesterday',
		'0'
	])('%s is refused by its field', async (at) => {
		const { status, body } = await ask(api.log!.POST!, entry('robust-at-1', { at }));
		expect(status).toBe(400);
		expect(body.message).toContain('at:');
	});
	it('a day that exists is taken, and a clock that runs ahead is not believed', async () => {
		const leap = await ask(
			api.log!.POST!,
			entry('robust-at-2', { at: '2024-02-29T08:00:00+01:00' })
		);
		expect(store().log.find(leap.body.id as number)!.at).toBe('2024-02-29T07:00:00.000Z');
		const ahead = await ask(api.log!.POST!, entry('robust-at-3', { at: '2090-01-01T00:00:00Z' }));
		expect(Date.parse(store().log.find(ahead.body.id as number)!.at)).toBeLessThanOrEqual(
			Date.now()
		);
	});
});

describe('the log in pages', () => {
	it('gives every entry once, newest first, and refuses a page that is none', async () => {
		for (let i = 0; i < 5; i++) await ask(api.log!.POST!, entry(`robust-page-${i}`));
		const seen: number[] = [];
		let next: number | null = Number.MAX_SAFE_INTEGER;
		while (next !== null) {
			const query: string = `?bench=${benchId}&limit=2&before=${next}`;
			const { body } = await ask(api.log!.GET!, {}, {}, query);
			seen.push(...(body.entries as { id: number }[]).map(({ id }) => id));
			next = body.next as number | null;
		}
		expect(seen.length).toBeGreaterThanOrEqual(5);
		expect(seen).toEqual([...new Set(seen)].sort((a, b) => b - a));
		for (const bad of ['limit=0', 'limit=1001', 'before=x', 'limit=1e3.5', 'before=-1']) {
			const { status, body } = await ask(api.log!.GET!, {}, {}, `?bench=${benchId}&${bad}`);
			expect(status, bad).toBe(400);
			expect(body.message).toContain('a whole number from 1');
		}
	});
});

describe('op_ids, two people, and what is not there', () => {
	it('an op_id of another write is told, never taken for done', async () => {
		await ask(api.log!.POST!, entry('robust-op-1'));
		const pit = await ask(
			api.log!.POST!,
			entry('robust-op-1', { entry: { kind: 'pit', pitMm: 1 } })
		);
		expect(pit).toMatchObject({ status: 409, body: { code: 'reused' } });
		const fit = await ask(api.sets!.POST!, { opId: 'robust-op-1', benchId, name: 'Pair' });
		expect(fit.status).toBe(409);
		const other = await ask(api.log!.POST!, entry('robust-op-2'));
		const undo = await ask(api.undo!.POST!, { opId: 'robust-op-1' }, { id: String(other.body.id) });
		expect(undo.status).toBe(409);
		expect(store().log.find(other.body.id as number)!.undone).toBe(false);
	});
	it('two pairs at once: the second is shown the first', async () => {
		const fit = (opId: string, name: string, revision: number) =>
			ask(api.sets!.POST!, { opId, benchId, name, revision });
		const { revision } = store().sets.fitted(benchId);
		expect((await fit('robust-fit-1', 'Mine', revision)).status).toBe(200);
		const late = await fit('robust-fit-2', 'Theirs', revision);
		expect(late).toMatchObject({
			status: 409,
			body: { code: 'stale', theirs: { set: { name: 'Mine' } }, yours: { name: 'Theirs' } }
		});
		const id = store().sets.current(benchId)!.id;
		const wrong = await ask(
			api.unfit!.POST!,
			{ opId: 'robust-unfit-1', previousId: 'nobody' },
			{ id }
		);
		expect(wrong.status).toBe(409);
		const gone = await ask(
			api.unfit!.POST!,
			{ opId: 'robust-unfit-2', previousId: null },
			{ id: 'no' }
		);
		expect(gone.status).toBe(404);
	});
});

describe('the store when it cannot write', () => {
	it('locked by another program: 503 at once, with when to come again, and nothing half', async () => {
		const other = new Database(join(folder, DATABASE_FILE));
		other.exec('BEGIN IMMEDIATE');
		const before = store().ledger.revisionOf(benchId);
		const answer = await ask(api.log!.POST!, entry('robust-busy-1'));
		expect(answer).toMatchObject({ status: 503, body: { code: 'busy' } });
		expect(answer.headers.get('retry-after')).toBe('1');
		other.exec('ROLLBACK');
		other.close();
		expect(store().ledger.revisionOf(benchId)).toBe(before);
		expect((await ask(api.log!.POST!, entry('robust-busy-1'))).body.outcome).toBe('logged');
	});
	it('a full disk: 507 with what to do, and it goes on when there is room', async () => {
		const pages = store().db.pragma('page_count', { simple: true }) as number;
		store().db.pragma(`max_page_count = ${pages}`);
		let answer = await ask(api.log!.POST!, entry('robust-full-0'));
		for (let i = 1; i < 400 && answer.status === 200; i++) {
			answer = await ask(api.log!.POST!, entry(`robust-full-${i}`));
		}
		expect(answer).toMatchObject({ status: 507, body: { code: 'busy' } });
		expect(answer.body.message).toContain('make room');
		store().db.pragma('max_page_count = 1073741823');
		expect((await ask(api.log!.POST!, entry('robust-full-again'))).status).toBe(200);
	});
});

describe('templates that would hold the server', () => {
	it.each([
		[
			'four arcs of bulge 1000',
			[
				[0, 0],
				[1, 0],
				[1, 1],
				[0, 1]
			].map(([x, y]) => ({ x, y, bulge: 1000 })),
			'arc of more than'
		],
		[
			'two thousand crossing points',
			Array.from({ length: 2000 }, (_, i) => ({ x: (i * 7919) % 1000, y: (i * 104_729) % 997 })),
			'crosses itself'
		]
	])('%s: refused by its field', async (_, contour, told) => {
		const body = { contours: [contour], shieldRadiusMm: 11, kerfMm: 1.5, as: 'json' };
		const { status, body: problem } = await ask(api.template!.POST!, body);
		expect(status).toBe(400);
		expect(problem.message).toContain('contours.0');
		expect(problem.message).toContain(told);
	});
});

describe('everything as a file, and back', () => {
	it('the export is whole JSON, with every entry, written piece by piece', async () => {
		const { text } = await ask(api.export!.GET!, {});
		const shop = JSON.parse(text) as Record<string, unknown[]> & { format: string };
		expect(shop.format).toBe('steady-arc/shop');
		expect(shop.log).toHaveLength([...store().log.everything()].length);
		expect(shop.benches!.length).toBeGreaterThan(1);
	});
	it('a backup restores; what was written since is kept aside; nonsense changes nothing', async () => {
		const copy = await (await api.backup!.GET!(undefined as never)).arrayBuffer();
		const { id } = (await ask(api.log!.POST!, entry('robust-since-1'))).body;
		expect(store().log.find(id as number)).toBeDefined();
		const put = (body: BodyInit) =>
			api.restore!.POST!({
				request: new Request('http://test/', { method: 'POST', body })
			} as never) as Promise<Response>;
		const nonsense = await put('not a store');
		expect(nonsense.status).toBe(400);
		expect(((await nonsense.json()) as Body).message).toContain('Nothing was changed');
		expect(store().log.find(id as number)).toBeDefined();
		const done = (await (await put(copy)).json()) as { kept: string; counts: { benches: number } };
		expect(store().log.find(id as number)).toBeUndefined();
		expect(done.counts.benches).toBe(store().benches.count());
		const aside = new Database(done.kept, { readonly: true });
		expect(aside.prepare('SELECT count(*) FROM log WHERE id = ?').pluck().get(id)).toBe(1);
		aside.close();
	});
});
