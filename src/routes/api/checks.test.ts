import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { BAY_2 } from '../../../scripts/demo/benches';
import type { Evidence, Plan } from '$lib/core';
import { SHIPPED_FAULTS } from '$lib/core/faults/shipped';

type Handler = (event: never) => Response | Promise<Response>;
const folder = mkdtempSync(join(tmpdir(), 'steady-arc-checks-'));
let api: Record<string, Record<string, Handler>>;
let close: () => void;
let benchId = '';
let op = 0;

async function ask<T = Record<string, unknown>>(handler: Handler, body?: unknown, query = '') {
	const init = body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) };
	const response = await handler({
		params: {},
		url: new URL(`http://test/?${query}`),
		request: new Request('http://test/', init)
	} as never);
	return { status: response.status, headers: response.headers, body: (await response.json()) as T };
}
const opId = () => `checks-op-${++op}-aaaa`;

beforeAll(async () => {
	vi.stubEnv('STEADY_ARC_DATA', folder);
	const at = async (path: string) => (await import(path)) as Record<string, Handler>;
	api = {
		benches: await at('./benches/+server.ts'),
		faults: await at('./faults/+server.ts'),
		checks: await at('./checks/+server.ts'),
		log: await at('./log/+server.ts'),
		plan: await at('./plan/+server.ts'),
		find: await at('./faults/find/+server.ts'),
		preflight: await at('./preflight/+server.ts'),
		care: await at('./care/+server.ts'),
		calendar: await at('../care.ics/+server.ts')
	};
	close = (await import('$lib/server/current')).closeStore;
	const made = await ask(api.benches!.POST!, { opId: opId(), bench: BAY_2 });
	benchId = made.body.id as string;
});
afterAll(() => {
	close();
	rmSync(folder, { recursive: true });
	vi.unstubAllEnvs();
});

describe('the file of faults over the wire', () => {
	it('comes as it is shipped, goes out as a file, comes back extended, and goes back to the shipped one', async () => {
		const first = await ask<{ revision: number; own: boolean; faults: typeof SHIPPED_FAULTS }>(
			api.faults!.GET!
		);
		expect(first.body).toEqual({ revision: 0, own: false, faults: SHIPPED_FAULTS });
		const out = await ask<typeof SHIPPED_FAULTS>(api.faults!.GET!, undefined, 'download');
		expect(out.headers.get('content-disposition')).toContain('faults.json');
		const mine = structuredClone(out.body);
		mine.causes.push({ ...mine.causes[0]!, id: 'wet-plate', name: 'Wet plate' });
		const saved = await ask(api.faults!.PUT!, { opId: opId(), revision: 0, faults: mine });
		expect(saved).toMatchObject({ status: 200, body: { revision: 1, own: true } });
		const stale = await ask(api.faults!.PUT!, { opId: opId(), revision: 0, faults: null });
		expect(stale).toMatchObject({ status: 409, body: { theirs: { own: true } } });
		const back = await ask(api.faults!.PUT!, { opId: opId(), revision: 1, faults: null });
		expect(back.body).toEqual({ revision: 2, own: false, faults: SHIPPED_FAULTS });
	});
	it('is refused with the place of what is wrong, and nothing is half-written', async () => {
		const bad = structuredClone(SHIPPED_FAULTS);
		bad.looks[0]!.after = bad.looks[0]!.id;
		(bad.causes[2]!.shows as Record<string, string>)['no-pilot'] = '90 %';
		const { status, body } = await ask<{ fields: { field: string; message: string }[] }>(
			api.faults!.PUT!,
			{
				opId: opId(),
				revision: 2,
				faults: bad
			}
		);
		expect(status).toBe(400);
		expect(body.fields.map(({ field, message }) => `${field} ${message}`).join('\n')).toMatch(
			/causes\.2\.shows\.no-pilot.*one of/
		);
		expect((await ask(api.faults!.GET!)).body).toMatchObject({ revision: 2, own: false });
		for (const faults of ['text', 4, [], {}])
			expect((await ask(api.faults!.PUT!, { opId: opId(), revision: 2, faults })).status).toBe(400);
	});
});

describe('checks of the shop, and what is found wrong', () => {
	it('are kept over a revision; a check of ours cannot be overwritten', async () => {
		const own = [{ id: 'own-gate', list: 'day', ask: 'Gate key back', why: '', verdict: 'tight' }];
		const saved = await ask(api.checks!.PUT!, { opId: opId(), revision: 0, own });
		expect(saved.body).toEqual({ revision: 1, own });
		const clamp = [{ ...own[0], id: 'clamp' }];
		expect((await ask(api.checks!.PUT!, { opId: opId(), revision: 1, own: clamp })).status).toBe(
			400
		);
		expect((await ask(api.checks!.PUT!, { opId: opId(), revision: 0, own: [] })).status).toBe(409);
	});
	it('a refused tick holds up the plan of the bench until it is mended, whoever asks', async () => {
		const entry = {
			kind: 'check',
			item: 'behind',
			word: 'behind the plate',
			station: 'cut',
			verdict: 'stops',
			so: false
		};
		const log = (e: object) =>
			ask<{ evidence: Evidence }>(api.log!.POST!, { opId: opId(), benchId, entry: e });
		const planned = async () => (await ask<Plan>(api.plan!.POST!, { benchId, cut: {} })).body;
		expect((await planned()).stations.cut.verdict).toBe('holds');
		expect((await log(entry)).body.evidence.checks).toHaveLength(1);
		expect((await planned()).firstLimit).toMatchObject({ word: 'behind the plate' });
		await log({ ...entry, so: true });
		expect((await planned()).stations.cut.verdict).toBe('holds');
	});
	it.each([
		[{ item: 'Not An Id' }],
		[{ word: '' }],
		[{ word: 'x'.repeat(61) }],
		[{ station: 'moon' }],
		[{ verdict: 'holds' }],
		[{ so: 'yes' }],
		[{ looks: -1 }]
	])('refuses %j', async (over) => {
		const entry = {
			kind: 'check',
			item: 'gel',
			word: 'gel',
			station: 'supply',
			verdict: 'tight',
			so: false,
			...over
		};
		expect((await ask(api.log!.POST!, { opId: opId(), benchId, entry })).status).toBe(400);
	});
	it.each([
		[{ day: 'today' }],
		[{ ticked: [] }],
		[{ list: 'week' }],
		[{ key: '' }],
		[{ ticked: Array(41).fill('x') }]
	])('refuses a sign-off with %j', async (over) => {
		const entry = {
			kind: 'signed',
			list: 'day',
			key: 'abc',
			day: '2026-11-27',
			ticked: ['Breaker off'],
			...over
		};
		expect((await ask(api.log!.POST!, { opId: opId(), benchId, entry })).status).toBe(400);
	});
});

describe('looking after a bench', () => {
	it('asks nobody to drain a tank that is not there, on the page and in the calendar', async () => {
		const bench = { ...BAY_2, name: 'Own air', air: { ...BAY_2.air, source: 'built-in' } };
		const made = await ask(api.benches!.POST!, { opId: opId(), bench });
		const kindsOf = async (id: string) =>
			(
				await ask<{ care: { kind: string }[] }>(api.care!.GET!, undefined, `bench=${id}`)
			).body.care.map(({ kind }) => kind);
		expect(await kindsOf(made.body.id as string)).not.toContain('drain');
		expect(await kindsOf(benchId)).toContain('drain');
		expect((await ask(api.care!.GET!, undefined, 'bench=none')).status).toBe(404);
		const calendar = await api.calendar!.GET!({} as never);
		const summaries = (await calendar.text()).match(/SUMMARY:.*/g)!;
		expect(summaries.filter((one) => one.includes('Own air'))).toHaveLength(3);
		expect(summaries.some((one) => /Drain the tank.*Bay 2/.test(one))).toBe(true);
	});
});

describe('lists and finder without the screen', () => {
	it('gives the list of a stored bench in words and values, the shop’s own checks after ours', async () => {
		const { status, body } = await ask<{ items: { id: string; ask: string; held: object }[] }>(
			api.preflight!.POST!,
			{ list: 'day', plan: { benchId, cut: {} } }
		);
		expect(status).toBe(200);
		expect(body.items[0]).toMatchObject({ id: 'power', ask: 'Breaker off, plug in, breaker on' });
		expect(body.items.map(({ ask: words }) => words).join()).toContain(
			'5.5 bar at the shop’s regulator'
		);
		expect(body.items.at(-1)!.id).toBe('own-gate');
		const bad = await ask(api.preflight!.POST!, { list: 'week', plan: { benchId, cut: {} } });
		expect(bad.status).toBe(400);
		expect(
			(await ask(api.preflight!.POST!, { list: 'day', plan: { benchId: 'gone', cut: {} } })).status
		).toBe(404);
	});
	it('finds as the screen does: with a bench it starts from what that knows', async () => {
		interface Answered {
			beliefs: { cause: string; share: number }[];
			next: { look: { id: string } };
			outcome: string;
			known: { id: string; text: string }[];
		}
		const alone = (await ask<Answered>(api.find!.POST!, { symptom: 'pressure-falls' })).body;
		const here = (
			await ask<Answered>(api.find!.POST!, {
				symptom: 'pressure-falls',
				plan: { benchId, cut: {} }
			})
		).body;
		const share = (a: Answered, cause: string) => a.beliefs.find((b) => b.cause === cause)!.share;
		expect(alone.known).toEqual([]);
		expect(here.known.map(({ id }) => id)).toContain('air-lasts');
		expect(share(here, 'compressor-small')).toBeLessThan(share(alone, 'compressor-small'));
		const found = await ask<Answered>(api.find!.POST!, {
			symptom: 'no-transfer',
			answers: [{ look: 'clamp-bright', said: 'no' }]
		});
		expect(found.body.outcome).toBe('called');
		expect(found.body.beliefs[0]!.cause).toBe('clamp-paint');
		expect((await ask(api.find!.POST!, { symptom: 'it hums' })).status).toBe(404);
		expect(
			(await ask(api.find!.POST!, { symptom: 'no-pilot', answers: [{ look: 'x', said: 'maybe' }] }))
				.status
		).toBe(400);
	});
});
