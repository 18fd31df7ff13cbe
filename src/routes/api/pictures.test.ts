import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jpeg from 'jpeg-js';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { BAY_2 } from '../../../scripts/demo/benches';
import { PICTURES_BYTES_MOST, type KeptPicture } from '$lib/formats/pictures';
import type { Store } from '$lib/server/store';

type Handler = (event: never) => Response | Promise<Response>;
const folder = mkdtempSync(join(tmpdir(), 'steady-arc-pictures-'));
let api: Record<string, Record<string, Handler>>;
let store: Store;
let close: () => void;
let benchId = '';

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
	const bytes = Buffer.from(await response.arrayBuffer());
	const isJson = response.headers.get('content-type')?.includes('json');
	return {
		status: response.status,
		headers: response.headers,
		bytes,
		body: (isJson ? JSON.parse(bytes.toString()) : undefined) as T
	};
}

beforeAll(async () => {
	vi.stubEnv('STEADY_ARC_DATA', folder);
	const at = async (path: string) => (await import(path)) as Record<string, Handler>;
	api = {
		benches: await at('./benches/+server.ts'),
		log: await at('./log/+server.ts'),
		undo: await at('./log/[id]/undo/+server.ts'),
		pictures: await at('./pictures/+server.ts'),
		picture: await at('./pictures/[id]/+server.ts'),
		export: await at('./export/+server.ts')
	};
	const current = await import('$lib/server/current');
	close = current.closeStore;
	store = current.store();
	const made = await ask(api.benches!.POST!, { body: { opId: 'pict-bench-1', bench: BAY_2 } });
	benchId = made.body.id as string;
});
afterAll(() => {
	close();
	rmSync(folder, { recursive: true });
});

const picture = (width = 64, height = 48, grain = 37): Buffer =>
	Buffer.from(
		jpeg.encode(
			{
				data: Uint8Array.from({ length: 4 * width * height }, (_, i) => (i * grain) % 251),
				width,
				height
			},
			70
		).data
	);
const logged = (opId: string) =>
	ask<{ id: number }>(api.log!.POST!, {
		body: { opId, benchId, at: '2026-11-26T10:00:00.000Z', entry: { kind: 'bore', boreMm: 1.06 } }
	});
const keep = (opId: string, entryOp: string, bytes: Uint8Array = picture()) =>
	ask<{ id: number; code: string; message: string }>(api.pictures!.POST!, {
		body: { opId, entryOp, jpeg: Buffer.from(bytes).toString('base64') }
	});
const list = (query = '') =>
	ask<{ pictures: KeptPicture[]; next: number | null; used: { bytes: number; count: number } }>(
		api.pictures!.GET!,
		{ query: `bench=${benchId}${query}` }
	);

describe('a picture beside an entry', () => {
	it('is kept once however often it is sent, comes back byte by byte, and is let go', async () => {
		const entry = await logged('pict-entry-1');
		const first = await keep('pict-keep-01', 'pict-entry-1');
		const again = await keep('pict-keep-01', 'pict-entry-1');
		expect([first.status, again.status]).toEqual([200, 200]);
		expect(again.body.id).toBe(first.body.id);
		const { pictures, used } = (await list()).body;
		expect(pictures).toMatchObject([
			{ id: first.body.id, logId: entry.body.id, width: 64, height: 48, bytes: picture().length }
		]);
		expect(used).toEqual({ bytes: picture().length, count: 1 });
		const params = { id: String(first.body.id) };
		const shown = await ask(api.picture!.GET!, { params });
		expect(shown.bytes.equals(picture())).toBe(true);
		expect(shown.headers.get('content-type')).toBe('image/jpeg');
		expect(shown.headers.get('x-content-type-options')).toBe('nosniff');
		expect((await list(`&entries=${entry.body.id},7`)).body.pictures).toHaveLength(1);
		for (const wrong of [
			'',
			'x',
			`${entry.body.id},x`,
			'1,,2',
			'-1',
			'1e3',
			'7,'.repeat(100) + '7'
		])
			expect((await list(`&entries=${wrong}`)).status, wrong).toBe(400);
		expect((await ask(api.picture!.DELETE!, { params })).body).toEqual({ gone: true, was: true });
		expect((await ask(api.picture!.DELETE!, { params })).body).toEqual({ gone: true, was: false });
		expect((await ask(api.picture!.GET!, { params })).status).toBe(404);
		expect((await list()).body.used.count).toBe(0);
	});
	it('is kept without what a camera wrote beside it', async () => {
		await logged('pict-entry-9');
		const comment = Buffer.from([0xff, 0xfe, 0, 10, ...Buffer.from('my house')]);
		const told = Buffer.concat([picture().subarray(0, 2), comment, picture().subarray(2)]);
		const { body } = await keep('pict-keep-09', 'pict-entry-9', told);
		const params = { id: String(body.id) };
		expect((await ask(api.picture!.GET!, { params })).bytes.equals(picture())).toBe(true);
		await ask(api.picture!.DELETE!, { params });
	});
	it('stays when its entry is taken back', async () => {
		const { body } = await logged('pict-entry-2');
		await keep('pict-keep-02', 'pict-entry-2');
		await ask(api.undo!.POST!, {
			params: { id: String(body.id) },
			body: { opId: 'pict-undo-02', at: '2026-11-26T10:01:00.000Z' }
		});
		expect((await list()).body.pictures).toHaveLength(1);
	});
	it('goes with the export, as it is', async () => {
		const { bytes } = await ask(api.export!.GET!);
		const shop = JSON.parse(bytes.toString()) as { pictures: { jpeg: string; width: number }[] };
		expect(shop.pictures).toHaveLength(1);
		expect(Buffer.from(shop.pictures[0]!.jpeg, 'base64').equals(picture())).toBe(true);
	});
	it('holds up nobody who writes while an export is on its way', () => {
		const exported = store.pictures.everything();
		expect(exported.next().done).toBe(false);
		store.db.prepare('UPDATE pictures SET kept_at = kept_at').run();
		expect(exported.next().done).toBe(true);
	});
	it('is listed page by page', async () => {
		await logged('pict-entry-3');
		for (let i = 0; i < 5; i++)
			await keep(`pict-keep-1${i}`, 'pict-entry-3', picture(64, 48, 11 + i));
		const one = (await list('&limit=4')).body;
		expect(one.pictures).toHaveLength(4);
		const two = (await list(`&limit=4&before=${one.next}`)).body;
		expect(two.pictures.map(({ id }) => id)).not.toContain(one.pictures[3]!.id);
		expect(two.pictures).toHaveLength(2);
	});
	it('is refused in words: no entry, no JPEG, too long, not base64, another write’s id; nothing is kept', async () => {
		const before = (await list()).body.used;
		const nobody = await keep('pict-keep-21', 'pict-entry-nobody');
		expect([nobody.status, nobody.body.code]).toEqual([404, 'unknown']);
		const text = await keep('pict-keep-22', 'pict-entry-3', Buffer.from('<svg onload="x()"/>'));
		expect([text.status, text.body.message]).toEqual([400, 'That is no whole JPEG picture.']);
		const cut = await keep('pict-keep-23', 'pict-entry-3', picture().subarray(0, 300));
		expect(cut.status).toBe(400);
		const long = await keep('pict-keep-24', 'pict-entry-3', picture(1700, 40));
		expect(long.body.message).toContain('1600 pixels');
		const odd = await ask(api.pictures!.POST!, {
			body: { opId: 'pict-keep-25', entryOp: 'pict-entry-3', jpeg: '@@@' }
		});
		expect(odd.status).toBe(400);
		const reused = await keep('pict-entry-3', 'pict-entry-3');
		expect(reused.status).toBe(409);
		expect((await list()).body.used).toEqual(before);
	});
	it('is refused when the pictures fill their room, and fits once one is let go', async () => {
		const { id } = (await list()).body.pictures[0]!;
		store.db.prepare('UPDATE pictures SET bytes = ? WHERE id = ?').run(PICTURES_BYTES_MOST, id);
		const full = await keep('pict-keep-31', 'pict-entry-3');
		expect([full.status, full.body.message]).toEqual([
			507,
			'The kept pictures fill their 200 MB. Let some go first; nothing was changed.'
		]);
		await ask(api.picture!.DELETE!, { params: { id: String(id) } });
		expect((await keep('pict-keep-31', 'pict-entry-3')).status).toBe(200);
	});
});
