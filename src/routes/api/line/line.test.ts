import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { BAY_2 } from '../../../../scripts/demo/benches';
import { play, type Pull } from '../../../../scripts/device/play';
import type { Reading } from '$lib/core/arcline/batch';
import type { LineState } from '$lib/formats/arcLine';
import type { BatchTaken } from '$lib/server/arcLines';
import type { Store } from '$lib/server/store';

type Handler = (event: never) => Promise<Response> | Response;
const folder = mkdtempSync(join(tmpdir(), 'steady-arc-line-'));
let line: Record<'GET' | 'POST' | 'PUT', Handler>;
let pair: { POST: Handler }, take: { POST: Handler };
let store: () => Store;
let leave: () => Promise<void>;
let bench = '';
let token = '';
const START = Date.parse('2026-11-27T09:00:00Z');

async function ask<T = Record<string, unknown>>(
	handler: Handler,
	body?: unknown,
	of: { id?: string; token?: string } = {}
): Promise<{ status: number; text: string; body: T }> {
	const response = await handler({
		params: { bench: of.id ?? bench },
		request: new Request('http://test/', {
			method: 'POST',
			headers: of.token === undefined ? {} : { authorization: `Bearer ${of.token}` },
			body: body === undefined ? null : JSON.stringify(body)
		})
	} as never);
	const text = await response.text();
	return { status: response.status, text, body: JSON.parse(text) as T };
}

beforeAll(async () => {
	vi.stubEnv('STEADY_ARC_DATA', folder);
	vi.useFakeTimers({ now: START, toFake: ['Date'] });
	line = await import('./[bench]/+server');
	pair = await import('./[bench]/pair/+server');
	take = await import('./[bench]/take/+server');
	({ store, leave } = await import('$lib/server/current'));
	const at = new Date(START).toISOString();
	bench = store().benches.add({ opId: 'line-bench-1', id: 'bay', bench: BAY_2, at }).id;
	token = (await ask<{ token: string }>(pair.POST, { opId: 'pair-op-0001' })).body.token;
});
afterAll(async () => {
	vi.useRealTimers();
	await leave();
	rmSync(folder, { recursive: true });
});

/** The columns of some readings, sent `behindMs` after the last by a clock that is `skewMs` slow. */
function batchOf(readings: readonly Reading[], n: number, { boot = 'one', skewMs = 0 } = {}) {
	const of = (key: keyof Reading) => readings.map((one) => one[key]);
	return {
		boot,
		n,
		sentAtMs: readings.at(-1)!.atMs - skewMs + 50,
		atMs: readings.map(({ atMs }) => atMs - skewMs),
		arcA: of('arcA'),
		inletBar: of('inletBar'),
		tankBar: of('tankBar'),
		mainsA: of('mainsA'),
		hotLamp: of('hotLamp')
	};
}
/** Plays work from now on and sends it batch by batch; the clock follows. */
async function sent(pulls: Pull[], { boot = 'one', skewMs = 0, size = 100, twice = false } = {}) {
	const startMs = Date.now();
	const { readings, truth, endMs } = play(pulls, { startMs, seed: 3 });
	for (let k = 0; k < readings.length; k += size) {
		const part = readings.slice(k, k + size);
		vi.setSystemTime(part.at(-1)!.atMs + 50);
		const body = batchOf(part, k, { boot, skewMs });
		const first = await ask<BatchTaken>(line.POST, body, { token });
		expect(first.status).toBe(200);
		if (twice) {
			const again = await ask<BatchTaken>(line.POST, body, { token });
			expect(again.body).toMatchObject({ stored: 0, repeated: part.length });
		}
	}
	// Silent for long enough that nothing is open any more.
	vi.setSystemTime(endMs + 60_000);
	return { truth, readings: readings.length };
}
const state = async () => (await ask<LineState>(line.GET)).body;
const arcsOf = ({ offered }: LineState) => offered.filter(({ seen }) => seen.kind === 'arc');

describe('who may send', () => {
	it('only the token of this bench, which a new pairing ends', async () => {
		const batch = { boot: 'x', n: 0, sentAtMs: START, atMs: [START], arcA: [0] };
		expect((await ask(line.POST, batch)).status).toBe(401);
		expect((await ask(line.POST, batch, { token: 'x'.repeat(32) })).status).toBe(401);
		expect((await ask(line.POST, batch, { id: 'nobody', token })).status).toBe(401);
		const before = token;
		token = (await ask<{ token: string }>(pair.POST, { opId: 'pair-op-0002' })).body.token;
		expect((await ask(line.POST, batch, { token: before })).status).toBe(401);
		expect((await ask(line.POST, batch, { token })).status).toBe(200);
		expect((await ask(pair.POST, { opId: 'pair-op-0003' }, { id: 'nobody' })).status).toBe(404);
	});
	it('a batch with a fault is refused with its place, and nothing of it is written', async () => {
		const batch = { boot: 'y', n: 0, sentAtMs: START, atMs: [START, START - 5], arcA: [0, 0] };
		const back = await ask(line.POST, batch, { token });
		expect(back.status).toBe(400);
		expect(back.text).toContain('atMs');
		const future = { ...batch, atMs: [START, START + 60_000] };
		expect((await ask(line.POST, future, { token })).text).toContain('future');
		expect(
			store().db.prepare("SELECT count(*) FROM arc_boots WHERE boot = 'y'").pluck().get()
		).toBe(0);
	});
});

describe('a morning at the cutter', () => {
	it('every arc and every failed start is offered once, by the server’s clock, whatever comes twice', async () => {
		const pulls = [
			{ restS: 20, pilotS: 1, arcS: 12, arcA: 44 },
			{ restS: 20, pilotS: 1.5, arcS: 0, arcA: 0 },
			{ restS: 20, pilotS: 1, arcS: 8, arcA: 42 }
		];
		const { truth } = await sent(pulls, { boot: 'two', skewMs: 7000, twice: true });
		const told = await state();
		const arcs = arcsOf(told);
		expect(arcs).toHaveLength(2);
		for (const [k, { seen }] of arcs.entries())
			expect(Math.abs(seen.fromMs - truth.arcs[k]!.fromMs)).toBeLessThan(160);
		expect(told.offered.filter(({ seen }) => seen.kind === 'failed')).toHaveLength(1);
		expect(told.now!.aheadMs).toBeCloseTo(7000, 0);
		expect(told.now!.missing).toBe(0);
		// Looked at again it is no more than it was.
		vi.setSystemTime(Date.now() + 5000);
		expect((await state()).offered).toHaveLength(3);
	});

	it('a slow way does not move its clock; batches that change places within a second lose nothing', async () => {
		const startMs = Date.now();
		const { readings } = play([{ restS: 16, pilotS: 1, arcS: 4, arcA: 40 }], { startMs });
		const parts = Array.from({ length: Math.ceil(readings.length / 5) }, (_, k) =>
			readings.slice(5 * k, 5 * k + 5)
		);
		const order = parts.map((_, k) =>
			k > 0 && k + 1 < parts.length ? (k % 2 ? k + 1 : k - 1) : k
		);
		for (const [step, k] of order.entries()) {
			// The newest that has left by now; every tenth takes half a second to come.
			const leftMs = Math.max(
				parts[k]!.at(-1)!.atMs,
				parts[order[Math.max(0, step - 1)]!]!.at(-1)!.atMs
			);
			vi.setSystemTime(leftMs + (step % 10 === 0 ? 500 : 50));
			const body = batchOf(parts[k]!, 5 * k, { boot: 'swap' });
			const { body: taken } = await ask<BatchTaken>(line.POST, body, { token });
			if (step > 0) expect(taken.aheadMs).toBeLessThan(60);
			if (step % 3 === 0) await state();
		}
		vi.setSystemTime(Date.now() + 30_000);
		const told = await state();
		expect(told.now).toMatchObject({ boot: 'swap', late: 0, missing: 0 });
		const mine = arcsOf(told).filter(({ seen }) => seen.fromMs > startMs);
		expect(mine).toHaveLength(1);
		const ids = mine.map(({ id }) => id);
		await ask(take.POST, { opId: 'take-op-swap', kind: 'take', ids, entries: [] });
	});

	it('a network that is gone for a minute in the middle of an arc makes no second start', async () => {
		const startMs = Date.now();
		const { readings } = play([{ restS: 16, pilotS: 1, arcS: 80, arcA: 40 }], { startMs });
		for (let k = 0; k < readings.length; k += 100) {
			const part = readings.slice(k, k + 100);
			// Batches four to nine come all at once, when it is back.
			const held = k >= 400 && k < 900;
			vi.setSystemTime((held ? readings[900]! : part.at(-1)!).atMs + 50);
			if (k === 400) await state();
			await ask(line.POST, batchOf(part, k, { boot: 'gone' }), { token });
			await state();
		}
		vi.setSystemTime(Date.now() + 30_000);
		const mine = arcsOf(await state()).filter(({ seen }) => seen.fromMs > startMs);
		expect(mine.map(({ seen }) => seen.kind === 'arc' && seen.whole)).toEqual([true]);
		const ids = mine.map(({ id }) => id);
		await ask(take.POST, { opId: 'take-op-gone', kind: 'take', ids, entries: [] });
	});

	it('is taken into the log in one press, once; two people do not take it twice; it can be given back', async () => {
		const ids = arcsOf(await state()).map(({ id }) => id);
		const entry = {
			kind: 'cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 43,
			lengthMm: 400,
			arcS: 20,
			starts: 2,
			start: 'edge'
		};
		const press = { opId: 'take-op-0001', kind: 'take', ids, entries: [entry] };
		const rows = () =>
			Number(
				store()
					.db.prepare("SELECT count(*) FROM log WHERE kind = 'cut' AND undone = 0")
					.pluck()
					.get()
			);
		expect((await ask(take.POST, press)).body.outcome).toBe('taken');
		expect(rows()).toBe(1);
		expect((await ask(take.POST, press)).body.outcome).toBe('already');
		const other = await ask(take.POST, { ...press, opId: 'take-op-0002' });
		expect(other.status).toBe(409);
		expect(rows()).toBe(1);
		expect(arcsOf(await state())).toHaveLength(0);
		const back = { opId: 'take-op-0003', kind: 'undo', undoes: 'take-op-0001' };
		expect((await ask(take.POST, back)).body.outcome).toBe('undone');
		expect((await ask(take.POST, back)).body.outcome).toBe('already');
		expect(rows()).toBe(0);
		expect(arcsOf(await state())).toHaveLength(2);
		const wrong = { ...press, opId: 'take-op-0004', entries: [{ ...entry, starts: 0 }] };
		expect((await ask(take.POST, wrong)).status).toBe(400);
		expect(arcsOf(await state())).toHaveLength(2);
	});

	it('what is left is offered no more, and writes nothing', async () => {
		const ids = (await state()).offered.map(({ id }) => id);
		const press = { opId: 'take-op-0010', kind: 'take', ids, entries: [] };
		expect((await ask(take.POST, press)).body.outcome).toBe('taken');
		expect((await state()).offered).toEqual([]);
		expect(Number(store().db.prepare('SELECT count(*) FROM log').pluck().get())).toBe(2);
	});

	it('numbers that never came are told; a batch that comes late counts as late, not as an arc', async () => {
		const startMs = Date.now();
		const { readings } = play([{ restS: 30, pilotS: 1, arcS: 5, arcA: 40 }], { startMs });
		const parts = [readings.slice(0, 100), readings.slice(100, 200), readings.slice(200)];
		for (const [k, part] of parts.entries()) {
			if (k === 1) continue;
			vi.setSystemTime(part.at(-1)!.atMs + 50);
			const body = batchOf(part, 100 * k, { boot: 'three' });
			await ask(line.POST, body, { token });
		}
		vi.setSystemTime(Date.now() + 60_000);
		const holed = await state();
		expect(holed.now!.missing).toBe(100);
		expect(holed.lately.some(({ seen }) => seen.kind === 'gap')).toBe(true);
		await ask(line.POST, { ...batchOf(parts[1]!, 100, { boot: 'three' }) }, { token });
		const { now } = await state();
		expect(now).toMatchObject({ missing: 0, late: 100 });
	});

	it('raw readings go after thirty days, what was seen stays', async () => {
		const count = () =>
			Number(store().db.prepare('SELECT count(*) FROM arc_readings').pluck().get());
		const seen = () => Number(store().db.prepare('SELECT count(*) FROM arc_seen').pluck().get());
		expect(count()).toBeGreaterThan(500);
		const before = seen();
		vi.setSystemTime(Date.now() + 31 * 86_400_000);
		await sent([{ restS: 16, pilotS: 1, arcS: 5, arcA: 40 }], { boot: 'later' });
		await state();
		expect(count()).toBeLessThan(500);
		expect(seen()).toBe(before + 1);
	});

	it('is let go with its raw readings; an unknown bench is told', async () => {
		expect(
			(await ask<LineState>(line.PUT, { opId: 'rule-op-0001', byRule: true })).body.line
		).toMatchObject({ byRule: true });
		const gone = await ask<LineState>(line.PUT, { opId: 'rule-op-0002', paired: false });
		expect(gone.body).toMatchObject({ line: null, now: null });
		expect(gone.body.lately.length).toBeGreaterThan(0);
		expect(Number(store().db.prepare('SELECT count(*) FROM arc_readings').pluck().get())).toBe(0);
		expect((await ask(line.GET, undefined, { id: 'nobody' })).status).toBe(404);
		expect((await ask(line.PUT, { opId: 'rule-op-0003' })).status).toBe(404);
	});
});
