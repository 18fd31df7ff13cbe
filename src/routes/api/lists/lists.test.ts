import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import ICAL from 'ical.js';
import { BAY_2 } from '../../../../scripts/demo/benches';
import type { Store } from '$lib/server/store';

type Body = Record<string, unknown>;
type Handler = Record<'GET' | 'POST' | 'PUT', (event: never) => Promise<Response> | Response>;
const folder = mkdtempSync(join(tmpdir(), 'steady-arc-lists-'));
let one: Handler, all: Handler, ticks: Handler, calendar: Handler, run: Handler;
let benches: Handler, learnt: Handler;
let store: () => Store;
let leave: () => Promise<void>;
let benchId = '';

const ask = async (
	handler: (event: never) => Promise<Response> | Response,
	id: string,
	body?: unknown,
	query = ''
) => {
	const response = await handler({
		params: { id },
		url: new URL(`http://test/${query}`),
		setHeaders: () => undefined,
		request: new Request('http://test/', {
			method: 'POST',
			body: body === undefined ? null : JSON.stringify(body)
		})
	} as never);
	const text = await response.text();
	return {
		status: response.status,
		text,
		body: (text.startsWith('{') ? JSON.parse(text) : {}) as Body
	};
};

beforeAll(async () => {
	vi.stubEnv('STEADY_ARC_DATA', folder);
	one = await import('./[id]/+server');
	all = (await import('./+server')) as unknown as Handler;
	ticks = (await import('./[id]/ticks/+server')) as unknown as Handler;
	calendar = (await import('./[id]/calendar/+server')) as unknown as Handler;
	run = (await import('../run/+server')) as unknown as Handler;
	benches = (await import('../run/benches/+server')) as unknown as Handler;
	learnt = (await import('./learnt/+server')) as unknown as Handler;
	({ store, leave } = await import('$lib/server/current'));
	const at = '2026-11-27T07:00:00.000Z';
	benchId = store().benches.add({ opId: 'list-bench-1', id: 'bay', bench: BAY_2, at }).id;
});
afterAll(async () => {
	await leave();
	rmSync(folder, { recursive: true });
});

const LIST = {
	name: 'Thursday',
	items: [
		{ id: 'bars', name: 'Bars', what: 'cut', search: 't=8&len=60', pieces: 4 },
		{
			id: 'plates',
			name: 'Plates',
			what: 'cut',
			search: 't=6&len=300',
			pieces: 2,
			linesEach: 4,
			after: ['bars']
		}
	]
};
let made = 0;
const save = (id: string, revision: number, list: unknown = LIST, opId = `save-list-${++made}`) =>
	ask(one.PUT, id, { opId, benchId, revision, list });

describe('a day’s list', () => {
	it('is made, changed over its revision, and never overwritten by a stale one', async () => {
		expect((await save('l1', 0)).body).toMatchObject({ id: 'l1', revision: 1 });
		const renamed = { ...LIST, name: 'Friday' };
		expect((await save('l1', 1, renamed)).body).toMatchObject({
			revision: 2,
			list: { name: 'Friday' }
		});
		const stale = await save('l1', 1, { ...LIST, name: 'Mine' });
		expect(stale.status).toBe(409);
		expect(stale.body).toMatchObject({
			code: 'stale',
			theirs: { list: { name: 'Friday' } },
			yours: { name: 'Mine' }
		});
		expect((await ask(one.GET, 'l1')).body).toMatchObject({ revision: 2, ticks: [] });
		// The same press again stores nothing.
		const twice = { opId: 'twice-list-1', benchId, revision: 2, list: LIST };
		await ask(one.PUT, 'l1', twice);
		expect((await ask(one.PUT, 'l1', twice)).body).toMatchObject({ revision: 3 });
		expect((await ask(one.GET, 'l1')).body).toMatchObject({ revision: 3 });
	});

	it('is refused with its place, and what is not there is told', async () => {
		const bad = await save('l2', 0, { ...LIST, items: [{ ...LIST.items[0], pieces: 0 }] });
		expect(bad.status).toBe(400);
		expect(bad.text).toContain('list.items.0.pieces');
		expect((await ask(one.GET, 'l2')).status).toBe(404);
		expect((await save('l3', 4)).status).toBe(404);
		expect((await save('x'.repeat(80), 0)).status).toBe(404);
		expect((await ask(all.GET, '', undefined, '?bench=nobody')).status).toBe(404);
	});

	it('is put away and comes out again', async () => {
		await save('l4', 0);
		const away = await ask(one.POST, 'l4', { opId: 'away-list-1', revision: 1, archived: true });
		expect(away.body.archivedAt).toEqual(expect.any(String));
		const lists = (await ask(all.GET, '', undefined, `?bench=${benchId}`)).body.lists as Body[];
		expect(lists.at(-1)).toMatchObject({ id: 'l4' });
		const out = await ask(one.POST, 'l4', { opId: 'away-list-2', revision: 2, archived: false });
		expect(out.body).toMatchObject({ archivedAt: null, list: { name: 'Thursday' } });
	});

	it('goes into a calendar that another reader opens', async () => {
		const { text } = await ask(calendar.GET, 'l1', undefined, '?day=2026-12-01');
		const event = new ICAL.Event(
			new ICAL.Component(ICAL.parse(text) as never).getFirstSubcomponent('vevent')!
		);
		expect(event.startDate.toString()).toBe('2026-12-01T08:00:00');
		expect(event.summary).toContain(BAY_2.name);
		expect(event.endDate.toJSDate().getTime()).toBeGreaterThan(
			event.startDate.toJSDate().getTime()
		);
		expect((await ask(calendar.GET, 'nobody')).status).toBe(404);
	});

	it('is planned without a screen', async () => {
		const { body, status } = await ask(run.POST, '', { benchId, list: LIST });
		expect(status).toBe(200);
		const plans = body.plans as { id: string; outputA: number }[];
		expect(plans.map(({ id }) => id)).toEqual(['bars', 'plates']);
		expect(body.run).toMatchObject({ changes: 0, restS: 0, exact: true });
		expect((await ask(run.POST, '', { benchId: 'nobody', list: LIST })).status).toBe(404);
	});
});

describe('ticks', () => {
	const cut = {
		kind: 'cut',
		metal: 'mild-steel',
		thicknessMm: 8,
		outputA: 45,
		lengthMm: 60,
		arcS: 5,
		starts: 1,
		start: 'edge'
	};
	const cuts = () =>
		[...store().log.everything()].filter(({ entry, undone }) => entry.kind === 'cut' && !undone)
			.length;

	it('go into the log, once, and out of it again', async () => {
		await save('t1', 0);
		const before = cuts();
		const tick = { opId: 'tick-list-0001', item: 'bars', kind: 'done', entry: cut };
		const first = await ask(ticks.POST, 't1', tick);
		expect(first.body).toMatchObject({
			outcome: 'ticked',
			ticks: [{ opId: tick.opId, item: 'bars', kind: 'done' }]
		});
		expect((await ask(ticks.POST, 't1', tick)).body.outcome).toBe('already');
		expect(cuts()).toBe(before + 1);
		const undo = { opId: 'tick-list-0002', kind: 'undo', undoes: tick.opId };
		expect((await ask(ticks.POST, 't1', undo)).body).toMatchObject({
			outcome: 'undone',
			ticks: []
		});
		expect((await ask(ticks.POST, 't1', undo)).body.outcome).toBe('already');
		expect(cuts()).toBe(before);
	});

	it('an undo that comes before its tick holds that one back; only where it says that it may', async () => {
		await save('t4', 0);
		const before = cuts();
		const tick = { opId: 'tick-list-0020', item: 'bars', kind: 'done', entry: cut };
		const undo = { opId: 'tick-list-0021', kind: 'undo', undoes: tick.opId };
		expect((await ask(ticks.POST, 't4', undo)).status).toBe(404);
		const early = await ask(ticks.POST, 't4', { ...undo, early: true });
		expect(early.body).toMatchObject({ outcome: 'undone', ticks: [], presses: 0 });
		const late = await ask(ticks.POST, 't4', tick);
		expect(late.body).toMatchObject({ outcome: 'already', ticks: [], presses: 0 });
		expect(cuts()).toBe(before);
		// Held back on this list alone, and only this one.
		await save('t4-other', 0);
		expect((await ask(ticks.POST, 't4-other', tick)).status).toBe(409);
		const next = { ...tick, opId: 'tick-list-0022' };
		expect((await ask(ticks.POST, 't4', next)).body).toMatchObject({
			outcome: 'ticked',
			presses: 1
		});
		// One that had come is taken back as ever.
		const after = { opId: 'tick-list-0023', kind: 'undo', undoes: next.opId, early: true };
		expect((await ask(ticks.POST, 't4', after)).body).toMatchObject({
			outcome: 'undone',
			ticks: [],
			presses: 2
		});
		expect(cuts()).toBe(before);
	});

	it('of another list, of nobody, or of a reused name are refused, and nothing is half-written', async () => {
		await save('t2', 0);
		const before = cuts();
		const wrong = { ...cut, thicknessMm: -3 };
		expect(
			(
				await ask(ticks.POST, 't2', {
					opId: 'tick-list-0003',
					item: 'bars',
					kind: 'done',
					entry: wrong
				})
			).status
		).toBe(400);
		expect(
			(
				await ask(ticks.POST, 't2', {
					opId: 'tick-list-0004',
					kind: 'undo',
					undoes: 'tick-list-0001'
				})
			).status
		).toBe(404);
		expect(
			(await ask(ticks.POST, 'nobody', { opId: 'tick-list-0005', item: '', kind: 'pause' })).status
		).toBe(404);
		const reused = await ask(ticks.POST, 't2', {
			opId: 'tick-list-0001',
			item: 'bars',
			kind: 'failed'
		});
		expect(reused.status).toBe(409);
		expect(cuts()).toBe(before);
		expect(store().dayLists.ticks('t2')).toEqual([]);
	});

	it('two people on one list: each press counts once, in the order of its time', async () => {
		await save('t3', 0);
		const at = (s: number) => new Date(Date.parse('2026-11-20T08:00:00Z') + 1000 * s).toISOString();
		await ask(ticks.POST, 't3', {
			opId: 'tick-list-0010',
			item: 'bars',
			kind: 'done',
			at: at(200)
		});
		await ask(ticks.POST, 't3', {
			opId: 'tick-list-0011',
			item: 'bars',
			kind: 'done',
			at: at(100)
		});
		expect(
			store()
				.dayLists.ticks('t3')
				.map(({ opId }) => opId)
		).toEqual(['tick-list-0011', 'tick-list-0010']);
	});

	it('tell the next list what was learnt: pieces that were timed, and those that failed', async () => {
		await save('t5', 0);
		const from = Date.parse('2026-11-21T08:00:00Z');
		const press = (k: number, kind: string, s: number) =>
			ask(ticks.POST, 't5', {
				opId: `tick-learn-${k}0`,
				item: kind === 'on' ? '' : 'bars',
				kind,
				at: new Date(from + 1000 * s).toISOString()
			});
		await press(0, 'on', 0);
		for (let k = 1; k <= 6; k++) await press(k, 'done', 70 * k);
		await press(7, 'failed', 450);
		const { status, text } = await ask(learnt.GET, '', undefined, `?bench=${benchId}`);
		expect(status).toBe(200);
		const [kind] = JSON.parse(text) as {
			made: number;
			failed: number;
			handlingS: { middle: number };
		}[];
		expect(kind!.made).toBeGreaterThanOrEqual(6);
		expect(kind!.failed).toBeGreaterThanOrEqual(1);
		expect(kind!.handlingS.middle).toBeGreaterThan(20);
		expect(kind!.handlingS.middle).toBeLessThan(70);
		expect((await ask(learnt.GET, '', undefined, '?bench=nobody')).status).toBe(404);
	});

	it('leave with the whole shop’s file', async () => {
		const { shopFile } = await import('$lib/server/shopFile');
		const file = (await new Response(shopFile(store())).json()) as {
			dayLists: { id: string; ticks: unknown[] }[];
		};
		expect(file.dayLists.find(({ id }) => id === 't3')!.ticks).toHaveLength(2);
	});
});

describe('a list on the other benches', () => {
	it('is answered for each of them, and refused with its place', async () => {
		const at = '2026-11-27T07:00:00.000Z';
		const twin = { ...BAY_2, name: 'Bay 1' };
		const other = store().benches.add({ opId: 'list-bench-2', id: 'bay1', bench: twin, at }).id;
		const told = await ask(benches.POST, '', { benchId, list: LIST });
		expect(told.status).toBe(200);
		expect(told.body.alone).toMatchObject([{ id: other, name: 'Bay 1', cannot: [] }]);
		// Plates wait for bars: they stay together, so nothing can be split.
		expect(told.body.split).toBeNull();
		expect((await ask(benches.POST, '', { benchId: 'nobody', list: LIST })).status).toBe(404);
		const bad = await ask(benches.POST, '', { benchId, list: { ...LIST, endsAt: 'late' } });
		expect(bad.status).toBe(400);
		expect(bad.text).toContain('list.endsAt');
	});
});
