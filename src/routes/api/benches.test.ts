/** Benches of the shop: asked together, taken away with what is theirs, put back. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { BenchAnswer } from '$lib/formats/bodies/planned';
import { BAY_2, TROLLEY } from '../../../tests/support/inputs';

type Handler = (event: never) => Response | Promise<Response>;
const json = (body: unknown, params: Record<string, string> = {}) =>
	({
		params,
		request: new Request('http://test/', { method: 'POST', body: JSON.stringify(body) })
	}) as never;
const folder = mkdtempSync(join(tmpdir(), 'steady-arc-benches-'));
let api: Record<'benches' | 'bench' | 'kept' | 'canCut' | 'log', Record<string, Handler>>;
let close: () => void;
let [bay, trolley] = ['', ''];

async function ask(handler: Handler, event: never) {
	const response = await handler(event);
	return { status: response.status, body: (await response.json()) as Record<string, unknown> };
}
const names = async () =>
	(
		(await ask(api.benches.GET!, undefined as never)).body.benches as {
			bench: { name: string };
		}[]
	).map(({ bench }) => bench.name);

beforeAll(async () => {
	vi.stubEnv('STEADY_ARC_DATA', folder);
	const at = async (path: string) => (await import(path)) as Record<string, Handler>;
	api = {
		benches: await at('./benches/+server.ts'),
		bench: await at('./benches/[id]/+server.ts'),
		kept: await at('./benches/[id]/kept/+server.ts'),
		canCut: await at('./can-cut/+server.ts'),
		log: await at('./log/+server.ts')
	};
	close = (await import('$lib/server/current')).closeStore;
	const add = async (opId: string, bench: unknown) =>
		(await ask(api.benches.POST!, json({ opId, bench }))).body.id as string;
	bay = await add('benches-op-1', BAY_2);
	trolley = await add('benches-op-2', TROLLEY);
});
afterAll(() => {
	close();
	rmSync(folder, { recursive: true });
});

describe('POST /api/can-cut', () => {
	it('has the answer of every bench, the best first', async () => {
		const { body } = await ask(api.canCut.POST!, json({ cut: { thicknessMm: 8 } }));
		const answers = body.benches as BenchAnswer[];
		expect(answers.map(({ name, verdict }) => [name, verdict])).toEqual([
			['Bay 2', 'holds'],
			['Towpath trolley', expect.stringMatching(/tight|stops/)]
		]);
		expect(answers[0]!.lineS!).toBeLessThan(answers[1]!.lineS!);
		const thick = await ask(api.canCut.POST!, json({ cut: { thicknessMm: 40 } }));
		for (const answer of thick.body.benches as BenchAnswer[])
			expect([answer.outputA, answer.lineS, answer.verdict]).toEqual([null, null, 'stops']);
	});
	it('counts a single cut apart from the same over and over', async () => {
		const of = async (once: boolean) =>
			(
				(await ask(api.canCut.POST!, json({ cut: { thicknessMm: 14 }, once }))).body
					.benches as BenchAnswer[]
			).find(({ id }) => id === bay)!;
		// 45 A over and over heats the cutter; one cut does not.
		expect((await of(false)).verdict).toBe('stops');
		expect((await of(true)).verdict).toBe('tight');
	});
	it('refuses a cut that cannot be, and names the field', async () => {
		const { status, body } = await ask(api.canCut.POST!, json({ cut: { thicknessMm: 400 } }));
		expect(status).toBe(400);
		expect(body.message).toContain('thicknessMm');
	});
});

describe('a bench that is taken away', () => {
	it('goes with its log and comes back with it; a repeat does it once', async () => {
		const entry = { kind: 'start', arcS: 3, start: 'edge' };
		await ask(api.log.POST!, json({ opId: 'benches-op-3', benchId: trolley, entry }));
		const away = { opId: 'benches-op-4', kept: false, revision: 1 };
		const gone = await ask(api.kept.PUT!, json(away, { id: trolley }));
		expect(gone.body).toEqual({ kept: false, revision: 2 });
		expect((await ask(api.kept.PUT!, json(away, { id: trolley }))).body).toEqual(gone.body);
		expect(await names()).toEqual(['Bay 2']);
		const found = async () => (await api.bench.GET!(json({}, { id: trolley }))).status;
		await expect(found()).resolves.toBe(404);
		const { body } = await ask(api.canCut.POST!, json({ cut: {} }));
		expect((body.benches as BenchAnswer[]).map(({ id }) => id)).toEqual([bay]);
		const save = { opId: 'benches-op-5', revision: 2, bench: TROLLEY };
		expect((await ask(api.bench.PUT!, json(save, { id: trolley }))).status).toBe(404);
		const back = { opId: 'benches-op-6', kept: true, revision: 2 };
		expect((await ask(api.kept.PUT!, json(back, { id: trolley }))).body.revision).toBe(3);
		expect(await names()).toEqual(['Bay 2', 'Towpath trolley']);
		const { store } = await import('$lib/server/current');
		expect(
			store()
				.log.newest(trolley, 10)
				.map((row) => row.entry.kind)
		).toEqual(['start']);
	});
	it('is not taken away over what somebody else did, nor when there is no such bench', async () => {
		const late = await ask(
			api.kept.PUT!,
			json({ opId: 'benches-op-7', kept: false, revision: 1 }, { id: trolley })
		);
		expect([late.status, late.body.code]).toEqual([409, 'stale']);
		const none = await ask(
			api.kept.PUT!,
			json({ opId: 'benches-op-8', kept: false, revision: 1 }, { id: 'no-such' })
		);
		expect(none.status).toBe(404);
		expect(await names()).toHaveLength(2);
	});
	it('is never the last one', async () => {
		const first = { opId: 'benches-op-9', kept: false, revision: 3 };
		expect((await ask(api.kept.PUT!, json(first, { id: trolley }))).status).toBe(200);
		const last = await ask(
			api.kept.PUT!,
			json({ opId: 'benches-op-10', kept: false, revision: 1 }, { id: bay })
		);
		expect([last.status, last.body.message]).toEqual([
			422,
			'This is the only bench. Make another one first.'
		]);
		expect(await names()).toEqual(['Bay 2']);
	});
});
