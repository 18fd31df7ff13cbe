import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { BAY_2 } from '../../../scripts/demo/benches';
import { EIGHT } from '../../../tests/support/eight';
import { DEFAULT_CUT, type Advice, type ChartRow, type Plan, type PlanInputs } from '$lib/core';
import type { AbleBench } from '$lib/formats/bodies/planned';
import { readChartCsv } from '$lib/formats/chartCsv';

type Handler = (event: never) => Response | Promise<Response>;
const folder = mkdtempSync(join(tmpdir(), 'steady-arc-setup-'));
let api: Record<string, Record<string, Handler>>;
let close: () => void;
let benchId = '';

/** Asks a handler as the server would; text answers come back as text. */
async function ask<T = Record<string, unknown>>(
	handler: Handler,
	{ body, params = {}, query = '' }: { body?: unknown; params?: object; query?: string } = {}
) {
	const init = body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) };
	const url = `http://test/?${query}`;
	const response = await handler({
		params,
		url: new URL(url),
		request: new Request(url, init)
	} as never);
	const text = await response.text();
	const isJson = response.headers.get('content-type')?.includes('json');
	return { status: response.status, text, body: (isJson ? JSON.parse(text) : undefined) as T };
}

beforeAll(async () => {
	vi.stubEnv('STEADY_ARC_DATA', folder);
	const at = async (path: string) => (await import(path)) as Record<string, Handler>;
	api = {
		benches: await at('./benches/+server.ts'),
		chart: await at('./charts/[id]/+server.ts'),
		byHash: await at('./charts/[id]/[hash]/+server.ts'),
		cards: await at('./cards/+server.ts'),
		card: await at('./cards/[id]/+server.ts'),
		plan: await at('./plan/+server.ts'),
		advice: await at('./advice/+server.ts'),
		elsewhere: await at('./elsewhere/+server.ts'),
		log: await at('./log/+server.ts'),
		export: await at('./export/+server.ts')
	};
	close = (await import('$lib/server/current')).closeStore;
	const made = await ask(api.benches!.POST!, { body: { opId: 'setup-bench-1', bench: BAY_2 } });
	benchId = made.body.id as string;
});
afterAll(() => {
	close();
	rmSync(folder, { recursive: true });
});

const row = (thicknessMm: number, speedMmS: number): ChartRow => ({
	metal: 'mild-steel',
	outputA: 45,
	nozzleA: 45,
	thicknessMm,
	speedMmS,
	pressureBar: 5.5,
	standoffMm: 1.5,
	kerfMm: 1.45,
	pierceMm: null,
	pierceS: null
});
const ROWS = [row(3, 48), row(6, 20), row(12, 8)];
const revision = async () =>
	(await ask<{ revision: number }>(api.chart!.GET!, { params: { id: benchId } })).body.revision;
const put = async (opId: string, rows: unknown, name = 'My chart') =>
	ask(api.chart!.PUT!, {
		body: { opId, name, rows, revision: await revision() },
		params: { id: benchId }
	});
const planned = (cut: object) => ask<Plan>(api.plan!.POST!, { body: { benchId, cut } });

describe('the cut chart of a bench', () => {
	it('is put whole, speaks for the speed with letter C, and comes back as it was', async () => {
		const before = (await planned({})).body.figures['setup.speedMmS'];
		expect(before.basis).toBe('M');
		expect((await put('chart-put-1', ROWS)).body).toMatchObject({ rows: 3 });
		const after = (await planned({})).body.figures;
		expect(after['setup.speedMmS'].basis).toBe('C');
		// Within a hundredth of its own row.
		expect(Math.abs(after['setup.speedMmS'].value! / 20 - 1)).toBeLessThan(0.01);
		expect(after['setup.kerfMm'].basis).toBe('C');
		// Its row stands off 1.5 mm, this shield rests: a little narrower.
		expect(after['setup.kerfMm'].value!).toBeLessThan(1.45);
		expect(after['setup.kerfMm'].value!).toBeGreaterThan(1.3);
		const stored = await ask(api.chart!.GET!, { params: { id: benchId } });
		expect(stored.body).toEqual({ name: 'My chart', revision: 1, rows: ROWS });
		const file = await ask(api.chart!.GET!, { params: { id: benchId }, query: 'as=csv' });
		expect(readChartCsv(file.text)).toMatchObject({ rows: ROWS, messages: [] });
	});

	it('stores once for one op_id, whatever comes the second time', async () => {
		await put('chart-put-2', ROWS);
		await put('chart-put-2', [row(3, 10)]);
		const stored = await ask<{ rows: ChartRow[] }>(api.chart!.GET!, { params: { id: benchId } });
		expect(stored.body.rows).toHaveLength(3);
	});

	it.each([
		['a row of nonsense', [{ ...row(3, 48), speedMmS: -1 }], 'rows.0.speedMmS'],
		['an unknown metal', [{ ...row(3, 48), metal: 'cheese' }], 'rows.0.metal'],
		['a missing thickness', [{ ...row(3, 48), thicknessMm: undefined }], 'rows.0.thicknessMm'],
		['no table', 'three', 'rows']
	])('refuses %s and keeps the chart it had', async (_, rows, told) => {
		const { status, body } = await put('chart-put-3', rows);
		expect(status).toBe(400);
		expect(body.message).toContain(told);
		expect((await planned({})).body.figures['setup.speedMmS'].basis).toBe('C');
	});

	it('goes away with no rows; test cuts stay what they saw, and then pull the label alone', async () => {
		const entry = {
			kind: 'test-cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 45,
			speedMmS: 20,
			lagDeg: null
		};
		type Speed = { evidence: { speed: { kind: string; lnMmMin: number }[] } };
		const body = { opId: 'test-cut-1', benchId, entry };
		const logged = await ask<Speed>(api.log!.POST!, { body });
		expect(logged.body.evidence.speed).toMatchObject([{ kind: 'fine', lnMmMin: Math.log(1200) }]);
		const charted = (await planned({})).body.figures['setup.speedMmS'].value!;
		const gone = await put('chart-put-4', []);
		expect((gone.body as unknown as Speed).evidence.speed).toEqual(logged.body.evidence.speed);
		const { basis, value } = (await planned({})).body.figures['setup.speedMmS'];
		expect(basis).toBe('T');
		// The label says faster than chart and cut did.
		expect(value!).toBeGreaterThan(charted);
	});

	it('is put over the one that was seen: somebody quicker is not overwritten', async () => {
		await put('chart-two-1', ROWS);
		const late = await ask(api.chart!.PUT!, {
			body: { opId: 'chart-two-2', name: 'Late', rows: [row(3, 10)], revision: 1 },
			params: { id: benchId }
		});
		expect(late.status).toBe(409);
		expect(late.body).toMatchObject({
			code: 'stale',
			theirs: { name: 'My chart', rows: ROWS },
			yours: { name: 'Late', rows: [row(3, 10)] }
		});
		await put('chart-two-3', []);
	});

	it('comes by its hash, to be kept for ever by a device, and never under another hash', async () => {
		await put('chart-hash-1', ROWS);
		const { hash } = (await put('chart-hash-1', ROWS)).body as { hash: string };
		const headers: Record<string, string>[] = [];
		const get = (of: string) =>
			api.byHash!.GET!({
				params: { id: benchId, hash: of },
				setHeaders: (h: Record<string, string>) => headers.push(h)
			} as never);
		expect(await (await get(hash)).json()).toEqual({ hash, rows: ROWS });
		expect(await (await get('gone')).json()).toMatchObject({ hash });
		expect(headers.map((h) => h['cache-control'])).toEqual([
			'private, max-age=31536000, immutable',
			'no-store'
		]);
		await put('chart-hash-2', []);
	});

	it('says when there is no such bench', async () => {
		expect((await ask(api.chart!.GET!, { params: { id: 'nobody' } })).status).toBe(404);
	});
});

describe('setting cards', () => {
	const save = (opId: string, name: string, search: string) =>
		ask(api.cards!.POST!, { body: { opId, benchId, name, search } });

	it('keep what they were planned from: later evidence moves the plan, not the card', async () => {
		await put('card-chart-1', ROWS);
		const saved = await save('card-save-1', 'Paddle plate', 't=6');
		expect(saved.body).toMatchObject({ name: 'Paddle plate', search: 't=6' });
		const now = (await planned({})).body;
		const hash = now.inputsHash;
		const speed = now.figures['setup.speedMmS'].value;
		expect(saved.body.inputsHash).toBe(hash);
		await put('card-chart-2', [row(3, 30), row(12, 5)]);
		const kept = await ask<{ inputs: object; plan: Plan | null }>(api.card!.GET!, {
			params: { id: saved.body.id as string }
		});
		expect(kept.body.plan!.figures['setup.speedMmS'].value).toBe(speed);
		const again = await ask<Plan>(api.plan!.POST!, {
			body: { ...kept.body.inputs, chart: ROWS }
		});
		expect(again.body.inputsHash).toBe(hash);
		expect((await planned({})).body.inputsHash).not.toBe(hash);
	});

	it('come as a table whose cells no spreadsheet takes for formulas', async () => {
		await save('card-save-2', '=1+1', 't=3&metal=aluminium');
		const { text } = await ask(api.cards!.GET!, { query: `bench=${benchId}&as=csv` });
		const { data } = Papa.parse<Record<string, string>>(text.trim(), { header: true });
		expect(data.map((r) => r.card)).toEqual(['Paddle plate', "'=1+1"]);
		expect(data[1]).toMatchObject({ metal: 'aluminium', 'thickness (mm)': '3' });
		expect(Number(data[0]!['speed (mm/s)'])).toBeGreaterThan(15);
		// The seconds are those of a hand, and the row tells which pace that is.
		const thin = (key: string) => Number(data[1]![key]);
		expect(thin('speed (mm/s)')).toBeGreaterThan(50);
		expect(thin('as a hand goes (mm/s)')).toBe(50);
		expect(thin('time (s)')).toBeCloseTo(thin('line (mm)') / 50, 6);
	});

	it('are for a groove too: its own numbers, one table for both, and none where no groove is asked for', async () => {
		const groove = (opId: string, search: string) =>
			ask<Record<string, unknown> & { id: string }>(api.cards!.POST!, {
				body: { opId, benchId, name: 'Pintle weld', what: 'groove', search }
			});
		expect((await groove('card-groove-1', 't=12')).status).toBe(400);
		const saved = await groove('card-groove-2', 'groove=1&gx=fillet&gz=8&gu=6&gt=12&gl=400&gi=30');
		expect(saved.body).toMatchObject({ what: 'groove' });
		const { body } = await ask<{ inputs: PlanInputs; plan: Plan }>(api.card!.GET!, {
			params: { id: saved.body.id }
		});
		expect(body.inputs.cut.gouge).toMatchObject({ legMm: 8, upLegMm: 6 });
		expect(body.plan.figures['gouge.currentA'].value).toBe(30);
		const { text } = await ask(api.cards!.GET!, { query: `bench=${benchId}&as=csv` });
		const { data } = Papa.parse<Record<string, string>>(text.trim(), { header: true });
		const row = data.find((r) => r.for === 'groove')!;
		expect(row).toMatchObject({ card: 'Pintle weld', aim: 'fillet', 'amps (A)': '30' });
		expect(Number(row['time (s)'])).toBeCloseTo(body.plan.figures['gouge.pieceS'].value!, 6);
		expect(data.find((r) => r.for === 'cut')!.strings).toBe('');
		await ask(api.card!.PUT!, {
			body: { opId: 'card-groove-3', onShelf: false, revision: 1 },
			params: { id: saved.body.id }
		});
	});

	it('leave the shelf and come back, and stay in the export', async () => {
		const { body } = await save('card-save-3', 'Strap', 't=10');
		const shelve = (opId: string, onShelf: boolean, of: number) =>
			ask(api.card!.PUT!, {
				body: { opId, onShelf, revision: of },
				params: { id: body.id as string }
			});
		const names = async () =>
			(
				await ask<{ cards: { name: string }[] }>(api.cards!.GET!, { query: `bench=${benchId}` })
			).body.cards.map((c) => c.name);
		expect(await names()).toContain('Strap');
		await shelve('card-off-1', false, 1);
		expect((await shelve('card-off-2', true, 1)).status).toBe(409);
		expect(await names()).not.toContain('Strap');
		const { text } = await ask(api.export!.GET!);
		expect(text).toContain('"Strap"');
		expect((await shelve('card-on-1', true, 2)).body).toMatchObject({ revision: 3 });
		expect(await names()).toContain('Strap');
	});

	it.each([
		['no name', '  ', '1 to 60 characters'],
		['a name of a novel', 'x'.repeat(61), '1 to 60 characters']
	])('refuse %s', async (_, name, told) => {
		const { status, body } = await save('card-save-4', name, 't=6');
		expect(status).toBe(400);
		expect(body.message).toContain(told);
	});
});

describe('POST /api/advice', () => {
	it('gives every aim its amps and reason', async () => {
		const { body } = await ask<{ advice: Advice[] }>(api.advice!.POST!, {
			body: { benchId, cut: { thicknessMm: 6 } }
		});
		expect(body.advice.map((a) => a.aim)).toEqual([
			'clean',
			'sever',
			'fastest',
			'cheapest',
			'easiest'
		]);
		expect(body.advice.find((a) => a.aim === 'fastest')).toMatchObject({
			outputA: 45,
			reason: 'full'
		});
	});
});

describe('other benches that part a cut', () => {
	it('tell the pace of a hand, the fewest amps first where all outrun it', async () => {
		for (const [k, name] of ['80 A, three kinds of filter', '45 A on a 32 A socket'].entries()) {
			const bench = EIGHT.find((one) => one.name === name)!;
			await ask(api.benches!.POST!, { body: { opId: `elsewhere-bench-${k}`, bench } });
		}
		const told = async (thicknessMm: number) => {
			const cut = { ...DEFAULT_CUT, thicknessMm, guide: 'kept' };
			const { body } = await ask<{ benches: AbleBench[] }>(api.elsewhere!.POST!, {
				body: { benchId, cut }
			});
			return body.benches.map(({ outputA, speedMmS }) => [outputA, Math.round(speedMmS)]);
		};
		expect(await told(1)).toEqual([
			[45, 50],
			[80, 50]
		]);
		const [quickest, slower] = await told(12);
		expect([quickest![0], slower![0]]).toEqual([80, 45]);
		expect(quickest![1]).toBeGreaterThan(slower![1]!);
	});
});
