import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { learnServerTime, nowIso } from './clock';
import { newOpId } from './ids';
import { merged } from './merge';
import { getPath, setPath } from '$lib/core/inputs/path';
import { DragHandle, stepsOfKey } from './handle.svelte';

const kept = new Map<string, unknown>();
/** A browser that keeps nothing: without a database it throws, with a full disk it rejects. */
let closed: 'throws' | 'rejects' | undefined;
const inStore = <T>(work: () => T): Promise<T> => {
	if (closed === 'throws') throw new TypeError('indexedDB is not defined');
	return closed ? Promise.reject(new Error('QuotaExceededError')) : Promise.resolve(work());
};
vi.mock('idb-keyval', () => ({
	createStore: () => 'store',
	set: (key: string, value: unknown) => inStore(() => kept.set(key, value)),
	get: (key: string) => inStore(() => kept.get(key)),
	del: (key: string) => inStore(() => kept.delete(key)),
	entries: () => inStore(() => [...kept.entries()])
}));
const { drop, flush, retry, send, sendNow, waiting } = await import('./outbox');
const { duplicate } = await import('./benches');

const write = (opId: string) => ({
	method: 'POST' as const,
	path: '/api/log',
	body: { opId },
	words: opId
});
let online = true;
/** The server takes it and does not answer in time. */
let slow = false;
let status = 200;
let body = JSON.stringify({ message: 'told' });
const seen: string[] = [];

beforeEach(async () => {
	kept.clear();
	closed = undefined;
	// As a page does when it opens.
	await waiting();
	seen.length = 0;
	online = true;
	slow = false;
	status = 200;
	body = JSON.stringify({ message: 'told' });
	vi.stubGlobal('fetch', (_: string, init: { body: string }) => {
		if (!online) return Promise.reject(new TypeError('offline'));
		if (slow) return Promise.reject(new DOMException('too late', 'TimeoutError'));
		const { opId } = JSON.parse(init.body) as { opId: string };
		seen.push(opId);
		const code = opId.startsWith('bad') ? 400 : status;
		return Promise.resolve(new Response(body, { status: code }));
	});
});
afterEach(() => vi.unstubAllGlobals());

describe('the outbox', () => {
	it('sends at once where nothing is known to wait, so that a page that is closed loses nothing', async () => {
		const sent = send(write('at-once-1'));
		expect(seen).toEqual(['at-once-1']);
		await sent;
		// What waits goes first, whoever wrote it.
		kept.set('000-other-page', { key: '000-other-page', madeAt: '', write: write('other-page') });
		await waiting();
		expect((await send(write('after-it'))).outcome).toBe('waiting');
		expect(seen).toEqual(['at-once-1']);
		await flush();
		expect(seen).toEqual(['at-once-1', 'other-page', 'after-it']);
		void send(write('at-once-2'));
		expect(seen.at(-1)).toBe('at-once-2');
	});

	it.each(['throws', 'rejects'] as const)(
		'in a browser that keeps nothing (%s) sends all the same, and says so where it cannot',
		async (how) => {
			closed = how;
			expect(await waiting()).toEqual([]);
			expect((await send(write('no-store-1'))).outcome).toBe('done');
			online = false;
			expect(await send(write('no-store-2'))).toMatchObject({
				outcome: 'refused',
				problem: { message: expect.stringContaining('again') as string }
			});
			online = true;
			slow = true;
			expect(await send(write('no-store-late'))).toMatchObject({
				outcome: 'refused',
				problem: { message: expect.stringContaining('look whether it arrived') as string }
			});
			slow = false;
			status = 500;
			expect(await send(write('no-store-3'))).toMatchObject({
				outcome: 'refused',
				status: 500,
				problem: { message: 'told' }
			});
			expect(await flush()).toMatchObject({ sent: [], left: [] });
			// Once it can be read, what another page left there goes first again.
			closed = undefined;
			status = 200;
			kept.set('000-other-page', { key: '000-other-page', madeAt: '', write: write('other-page') });
			expect((await send(write('after-it'))).outcome).toBe('waiting');
		}
	);

	it('sends at once when the server answers, and keeps nothing', async () => {
		expect(await send(write('op-1'))).toEqual({ outcome: 'done', data: { message: 'told' } });
		expect(kept.size).toBe(0);
	});

	it('tells what was sent without an answer from what never went out, over a reload and a second try', async () => {
		slow = true;
		expect(await send(write('slow-1'))).toMatchObject({ outcome: 'waiting', late: true });
		// It waits behind that one and has not gone out itself.
		expect(await send(write('slow-2'))).toMatchObject({ outcome: 'waiting', late: false });
		const late = async () => (await waiting()).map((item) => item.late ?? false);
		expect(await late()).toEqual([true, false]);
		await drop((await waiting())[0]!.key);
		await flush();
		expect(await late()).toEqual([true]);
		slow = false;
		await flush();
		expect(await waiting()).toEqual([]);
	});

	const words = async () => (await waiting()).map((item) => item.write.words);

	it('keeps what nobody answered and sends it in order, once', async () => {
		online = false;
		expect((await send(write('op-1'))).outcome).toBe('waiting');
		await send(write('op-2'));
		expect(await flush()).toMatchObject({ sent: [], reached: false });
		expect(await words()).toEqual(['op-1', 'op-2']);
		online = true;
		// What comes later does not overtake.
		expect((await send(write('op-3'))).outcome).toBe('waiting');
		const [one, two] = await Promise.all([flush(), flush()]);
		expect(one.sent.map((item) => item.write.words)).toEqual(['op-1', 'op-2', 'op-3']);
		expect(two).toBe(one);
		expect(seen).toEqual(['op-1', 'op-2', 'op-3']);
		expect(await flush()).toEqual({ sent: [], aside: [], left: [], reached: true });
	});

	it.each([
		[400, 'refused', 0],
		[409, 'refused', 0],
		[500, 'aside', 1],
		[507, 'aside', 1],
		[503, 'waiting', 1],
		[429, 'waiting', 1]
	])('an answer of %i is %s', async (code, outcome, left) => {
		status = code;
		expect((await send(write('op-1'))).outcome).toBe(outcome);
		expect(kept.size).toBe(left);
	});

	it('a fault page that is no JSON is told all the same', async () => {
		status = 500;
		body = '<h1>Oh</h1>';
		expect(await send(write('op-1'))).toMatchObject({
			problem: { message: 'The server answered 500.' }
		});
	});

	it('keeps what was answered by a page of somebody in between, and sends it again', async () => {
		const page = '<h1>Sign in to this network</h1>';
		body = page;
		expect(await send(write('op-1'))).toMatchObject({ outcome: 'waiting', late: true });
		expect(await flush()).toMatchObject({ sent: [], reached: false });
		expect((await waiting()).map((item) => item.write.body.opId)).toEqual(['op-1']);
		body = JSON.stringify({ id: 1 });
		expect((await flush()).sent).toHaveLength(1);
		expect(await waiting()).toEqual([]);
		expect(seen).toEqual(['op-1', 'op-1', 'op-1']);
		body = page;
		expect(await sendNow(write('op-2'))).toMatchObject({ outcome: 'refused', status: 0 });
		expect(await waiting()).toEqual([]);
	});

	it('lets the others through when one is refused, and keeps that one in sight until somebody decides', async () => {
		online = false;
		for (const opId of ['op-1', 'bad-2', 'op-3']) await send(write(opId));
		online = true;
		const { sent, aside, left } = await flush();
		expect(sent.map((item) => item.write.words)).toEqual(['op-1', 'op-3']);
		expect(aside).toMatchObject([{ refusal: { status: 400, problem: { message: 'told' } } }]);
		expect(left).toEqual(aside);
		// It waits for nobody, and nobody waits for it.
		expect((await send(write('op-4'))).outcome).toBe('done');
		await flush();
		expect(seen.filter((opId) => opId === 'bad-2')).toHaveLength(1);
		await retry(left[0]!.key);
		expect((await flush()).aside).toHaveLength(1);
		expect(await drop(left[0]!.key)).toBe(true);
		expect(await drop(left[0]!.key)).toBe(false);
		expect(await waiting()).toEqual([]);
	});

	it('sends what an earlier program kept', async () => {
		kept.set('1764150000000-old-op-1', {
			method: 'POST',
			path: '/api/log',
			body: { opId: 'old-op-1' }
		});
		expect((await waiting())[0]).toMatchObject({ madeAt: '2025-11-26T09:40:00.000Z' });
		expect((await flush()).sent).toHaveLength(1);
		expect(seen).toEqual(['old-op-1']);
	});
});

describe('a copy of a bench', () => {
	it('is not made where the bench cannot be read, and says why', async () => {
		const answers: Response[] = [];
		vi.stubGlobal('fetch', () => Promise.resolve(answers.shift()!));
		answers.push(new Response('<h1>Bad gateway</h1>', { status: 502 }));
		expect(await duplicate('b')).toEqual({ ok: false, why: 'The server answered 502.' });
		answers.push(Response.json({ message: 'No such bench.' }, { status: 404 }));
		expect(await duplicate('b')).toEqual({ ok: false, why: 'No such bench.' });
		answers.push(Response.json({ revision: 3, bench: { name: 'Bay 2' } }));
		answers.push(Response.json({ id: 'c' }, { status: 201 }));
		expect(await duplicate('b')).toEqual({ ok: true, id: 'c', name: 'Bay 2 copy' });
	});
});

describe('two edits of one thing', () => {
	const base = {
		name: 'Bay',
		air: { tankL: 90, points: [1, 2] },
		cord: null as null | { m: number }
	};
	it('are put together when they changed different parts', () => {
		const mine = { ...base, air: { tankL: 120, points: [1, 2] } };
		const theirs = { ...base, name: 'Bay 2', air: { tankL: 90, points: [1, 3] } };
		expect(merged(base, mine, theirs)).toEqual({
			ok: true,
			value: { name: 'Bay 2', air: { tankL: 120, points: [1, 3] }, cord: null }
		});
	});
	it('are told where both changed the same to something else', () => {
		const mine = { ...base, air: { ...base.air, tankL: 120 }, cord: { m: 5 } };
		const theirs = { ...base, air: { ...base.air, tankL: 200 }, cord: { m: 9 } };
		expect(merged(base, mine, theirs)).toEqual({ ok: false, fields: ['air.tankL', 'cord'] });
		expect(merged(base, mine, mine)).toEqual({ ok: true, value: mine });
	});
	it('property: one that changed nothing gives the other, on either side', () => {
		const edit = fc.record({
			name: fc.string(),
			air: fc.record({ tankL: fc.nat(), points: fc.array(fc.nat(), { maxLength: 3 }) }),
			cord: fc.option(fc.record({ m: fc.nat() }))
		});
		fc.assert(
			fc.property(edit, edit, (a, b) => {
				expect(merged(a, a, b)).toEqual({ ok: true, value: b });
				expect(merged(a, b, a)).toEqual({ ok: true, value: b });
			})
		);
	});
});

describe('the server’s clock', () => {
	it('is what entries are stamped with, also after the device’s clock was wrong', () => {
		vi.useFakeTimers({ now: Date.parse('2020-01-01T00:00:10Z') });
		learnServerTime('2026-11-26T08:00:00Z', Date.now() - 2000, Date.now());
		expect(nowIso()).toBe('2026-11-26T08:00:01.000Z');
		vi.advanceTimersByTime(60_000);
		expect(nowIso()).toBe('2026-11-26T08:01:01.000Z');
		learnServerTime('nonsense', 0, 0);
		expect(nowIso()).toBe('2026-11-26T08:01:01.000Z');
		vi.useRealTimers();
	});
});

describe('paths', () => {
	const bench = {
		supply: { cord: { lengthM: 10 }, wire: { lengthM: 18 } },
		nozzles: [{ a: 1 }, { a: 2 }]
	};

	it('read and set deep values without touching the original', () => {
		const changed = setPath(bench, 'supply.cord.lengthM', 20);
		expect(getPath(changed, 'supply.cord.lengthM')).toBe(20);
		expect(bench.supply.cord.lengthM).toBe(10);
		expect(changed.supply.wire).toBe(bench.supply.wire);
	});

	it('go through arrays and to what is not there', () => {
		const changed = setPath(bench, 'nozzles.1.a', 9);
		expect(changed.nozzles).toEqual([{ a: 1 }, { a: 9 }]);
		expect(Array.isArray(changed.nozzles)).toBe(true);
		expect(getPath({ cord: null }, 'cord.lengthM')).toBeUndefined();
	});
});

describe('ids of gestures', () => {
	it('are what the API takes, and never the same', () => {
		const ids = Array.from({ length: 500 }, newOpId);
		expect(new Set(ids).size).toBe(500);
		for (const id of ids) expect(id).toMatch(/^[A-Za-z0-9_-]{8,64}$/);
	});
});

describe('a handle on a drawing', () => {
	const told: string[] = [];
	const svg = {
		getBoundingClientRect: () => ({ left: 40, width: 100, top: 100, height: 200 }),
		setPointerCapture: () => undefined
	} as unknown as SVGSVGElement;
	const handle = new DragHandle({
		svg: () => svg,
		axis: 'y',
		view: 400,
		began: () => told.push('began'),
		moved: (y) => told.push(String(y)),
		ended: () => told.push('ended')
	});
	const pointer = (clientY: number) =>
		({ clientY, pointerId: 1, preventDefault() {}, currentTarget: { focus() {} } }) as never;

	it('tells heights in the drawing’s own units, between grip and release only', () => {
		handle.move(pointer(150));
		handle.grip(pointer(120));
		handle.move(pointer(150));
		handle.move(pointer(300));
		handle.release();
		handle.move(pointer(150));
		handle.release();
		expect(told).toEqual(['began', '100', '400', 'ended']);
	});

	it('tells places along the drawing where it is dragged along', () => {
		const places: number[] = [];
		const along = new DragHandle({
			svg: () => svg,
			axis: 'x',
			view: 50,
			began: () => {},
			moved: (x) => places.push(x),
			ended: () => {}
		});
		along.grip(pointer(0));
		along.move({ clientX: 90, clientY: 700 } as never);
		expect(places).toEqual([25]);
	});

	it('steps by keys as a slider does', () => {
		const key = (name: string) => stepsOfKey({ key: name, preventDefault() {} } as KeyboardEvent);
		expect(['ArrowDown', 'ArrowUp', 'PageDown', 'a'].map(key)).toEqual([1, -1, 4, undefined]);
	});
});
