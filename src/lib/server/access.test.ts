import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Access } from '../../../server/access.js';
import { tooLarge } from '../../../server/limits.js';
import { allowedHosts, originsFor } from '../../../server/reach.js';

let folder: string;
let access: Access;
beforeEach(() => {
	folder = mkdtempSync(join(tmpdir(), 'steady-arc-access-'));
	access = new Access(folder);
});
afterEach(() => {
	vi.useRealTimers();
	rmSync(folder, { recursive: true });
});

interface Asked {
	method?: string;
	path: string;
	cookie?: string;
	bearer?: string;
	form?: Record<string, string>;
	from?: string;
}
/** What becomes of a request: its role, or how it was answered. */
async function ask({ method = 'GET', path, cookie, bearer, form, from = '192.168.7.9' }: Asked) {
	const sent: { status?: number; headers: Record<string, string> } = { headers: {} };
	const request = Object.assign(
		Readable.from(form ? [Buffer.from(String(new URLSearchParams(form)))] : []),
		{
			method,
			url: path,
			headers: { cookie, ...(bearer ? { authorization: `Bearer ${bearer}` } : {}) },
			socket: { remoteAddress: from }
		}
	);
	const response = {
		writeHead: (status: number, headers: Record<string, string>) => {
			sent.status = status;
			Object.assign(sent.headers, headers);
		},
		setHeader: (name: string, value: string) => (sent.headers[name] = value),
		end: () => undefined
	};
	const role = await access.admit(request, response, path.split('?')[0]!);
	return { role, ...sent, cookie: sent.headers['set-cookie']?.split(';')[0] };
}
const enter = (passcode: string, more: Partial<Asked> & { to?: string } = {}) =>
	ask({ method: 'POST', path: '/enter', form: { passcode, to: more.to ?? '/cut' }, ...more });

describe('the passcode', () => {
	it('is not asked for by a page where a file was to be saved', async () => {
		await access.set('lock-gate 7');
		for (const path of ['/shopping/list.csv?set=all', '/care.ics', '/api/backup'])
			expect(await ask({ path })).toMatchObject({ role: undefined, status: 401 });
		// A page’s own data goes on to the page that asks.
		expect((await ask({ path: '/setup/__data.json' })).status).toBe(303);
		const { cookie } = await enter('lock-gate 7');
		expect((await ask({ path: '/care.ics', cookie })).role).toBe('full');
	});
	it('is asked for from the network, not from this machine', async () => {
		await access.set('lock-gate 7');
		expect(await ask({ path: '/setup?t=6' })).toMatchObject({
			role: undefined,
			status: 303,
			headers: { location: '/enter?to=%2Fsetup%3Ft%3D6' }
		});
		expect(await ask({ path: '/api/benches' })).toMatchObject({ status: 401 });
		expect(await ask({ path: '/api/log', method: 'POST' })).toMatchObject({ status: 401 });
		for (const from of ['127.0.0.1', '::1', '::ffff:127.0.0.1']) {
			expect((await ask({ path: '/api/log', method: 'POST', from })).role).toBe('full');
		}
		expect((await ask({ path: '/_app/x.js' })).role).toBe('none');
	});

	it('opens for a year by a signed cookie, which nobody makes up, and which a new passcode ends', async () => {
		await access.set('lock-gate 7');
		const { cookie, headers } = await enter('lock-gate 7');
		expect(headers.location).toBe('/cut');
		expect(headers['set-cookie']).toContain('HttpOnly');
		expect((await ask({ path: '/api/log', method: 'POST', cookie })).role).toBe('full');
		const forged = cookie!.replace(/full\.(\d+)/, (_, until) => `full.${Number(until) + 1}`);
		expect((await ask({ path: '/cut', cookie: forged })).status).toBe(303);
		expect((await ask({ path: '/cut', cookie: cookie!.replace('full', 'look') })).status).toBe(303);
		vi.useFakeTimers({ now: Date.now() + 366 * 86_400_000 });
		expect((await ask({ path: '/cut', cookie })).status).toBe(303);
		vi.useRealTimers();
		await access.set('sluice 12');
		expect((await ask({ path: '/cut', cookie })).status).toBe(303);
	});

	it('is chosen by the first who comes when there is none, and never too short', async () => {
		expect((await ask({ path: '/cut' })).headers.location).toContain('new=1');
		expect((await enter('short')).headers.location).toContain('why=short');
		expect(access.isSet).toBe(false);
		expect((await enter('lock-gate 7')).cookie).toBeDefined();
		expect((await enter('another one')).headers.location).toContain('why=wrong');
	});

	it('takes five wrong tries from one address in ten minutes, thirty from all', async () => {
		await access.set('lock-gate 7');
		for (let i = 0; i < 5; i++) expect((await enter('wrong!')).headers.location).toContain('wrong');
		expect((await enter('lock-gate 7')).headers.location).toContain('why=wait');
		expect((await enter('lock-gate 7', { from: '192.168.7.10' })).cookie).toBeDefined();
		for (let i = 0; i < 25; i++) await enter('wrong!', { from: `10.0.0.${i}` });
		const blocked = await enter('lock-gate 7', { from: '192.168.7.10' });
		expect(blocked.headers.location).toContain('why=wait');
		expect(Number(blocked.headers['retry-after'])).toBeGreaterThan(500);
		vi.useFakeTimers({ now: Date.now() + 11 * 60_000, toFake: ['Date'] });
		expect((await enter('lock-gate 7')).cookie).toBeDefined();
	});

	it('leads on to a place of this shop only', async () => {
		await access.set('lock-gate 7');
		for (const to of ['//evil.example', 'http://evil.example', '/\\evil.example', 'cut']) {
			expect((await enter('lock-gate 7', { to })).headers.location).toBe('/');
		}
		expect((await enter('lock-gate 7', { to: '/wear?t=6' })).headers.location).toBe('/wear?t=6');
	});

	it('is kept hashed, for its owner’s eyes, and a damaged file is told', async () => {
		await access.set('lock-gate 7');
		const file = join(folder, 'access.json');
		expect(readFileSync(file, 'utf8')).not.toContain('lock-gate');
		expect(statSync(file).mode & 0o077).toBe(0);
		expect(new Access(folder).isSet).toBe(true);
		writeFileSync(file, '{"salt":1}');
		expect(() => new Access(folder)).toThrow(/npm run passcode/);
	});

	it('a sensor’s batch comes through to its own token; nothing else of the line does', async () => {
		await access.set('lock-gate 7');
		const bearer = 'abcdefgh';
		const post = (path: string, more = {}) => ask({ path, method: 'POST', ...more });
		expect((await post('/api/line/bay', { bearer })).role).toBe('none');
		expect((await post('/api/line/bay')).status).toBe(401);
		expect((await post('/api/line/bay/pair', { bearer })).status).toBe(401);
		expect((await post('/api/line/bay/take', { bearer })).status).toBe(401);
		expect((await ask({ path: '/api/line/bay', bearer })).status).toBe(401);
		expect((await post('/api/log', { bearer })).status).toBe(401);
	});

	it('the wall link looks and works things out, and writes nothing', async () => {
		await access.set('lock-gate 7');
		expect((await ask({ path: '/wall/guess' })).headers.location).toBe('/enter');
		const { cookie } = await ask({ path: String(access.wallPath) });
		expect((await ask({ path: '/supply', cookie })).role).toBe('look');
		expect((await ask({ path: '/api/plan', method: 'POST', cookie })).role).toBe('look');
		for (const path of ['/api/log', '/api/restore', '/api/outlines']) {
			expect((await ask({ path, method: 'POST', cookie })).status).toBe(403);
		}
	});
});

describe('bodies and names', () => {
	it('a body is refused by its told length, with the limit', () => {
		expect(tooLarge('/api/log', { 'content-length': '16384' })).toBeUndefined();
		expect(tooLarge('/api/log', { 'content-length': '16385' })).toEqual({
			status: 413,
			message: 'At most 16 KiB are taken here, got 16385 bytes.'
		});
		expect(tooLarge('/api/log/import', { 'content-length': '4194304' })).toBeUndefined();
		expect(tooLarge('/api/charts/x', { 'content-length': '4194304' })).toBeUndefined();
		expect(tooLarge('/api/plan', { 'transfer-encoding': 'chunked' })).toMatchObject({
			status: 411
		});
		expect(tooLarge('/api/plan', { 'content-length': '1e3' })).toMatchObject({ status: 411 });
	});
	it('this machine is asked by its own names only, and tells phones where it is', () => {
		expect([...allowedHosts('127.0.0.1')]).not.toContain('192.168.7.2');
		expect([...allowedHosts('192.168.7.2', ' shop.local ,')]).toEqual(
			expect.arrayContaining(['192.168.7.2', 'shop.local', 'localhost'])
		);
		expect(originsFor('127.0.0.1', 4173)).toEqual([]);
		expect(originsFor('192.168.7.2', 4173)).toEqual(['http://192.168.7.2:4173']);
	});
});
