import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { request as rawRequest } from 'node:http';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { fuzzRequests } from '../../scripts/fuzz/requests';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import { killWhileLogging } from '../../scripts/kill';
import { DemoServer, answering, expect, test } from './demo';

/** A request with headers that a browser would not let us set. */
function send(
	port: number,
	headers: Record<string, string>,
	method = 'GET',
	path = '/api/health'
): Promise<number> {
	return new Promise((resolve, reject) => {
		const request = rawRequest({ host: '127.0.0.1', port, path, method, headers }, (response) => {
			response.resume();
			resolve(response.statusCode!);
		});
		request.on('error', reject);
		request.end();
	});
}

test('killed with -9 twenty times while logging, no acknowledged entry is lost and none is doubled', async () => {
	test.setTimeout(240_000);
	const { acknowledged, lost, doubled, starts, readings } = await killWhileLogging(20, 7, 4261);
	expect(acknowledged).toBeGreaterThan(100);
	expect(lost).toEqual([]);
	expect(doubled).toEqual([]);
	expect(starts.kept).toBe(starts.logged);
	// A sensor beside it: what was answered is there, and nothing is there twice.
	expect(readings.acknowledged).toBeGreaterThan(0);
	expect(readings.kept).toBe(readings.acknowledged);
	expect(readings.keptInAll - readings.kept).toBeLessThanOrEqual(100);
});

test('a line to the server rests longer than pages and devices do between two questions', async ({
	demo
}) => {
	const { headers } = await fetch(`${demo.url}/api/health`);
	const restS = Number(/timeout=(\d+)/.exec(headers.get('keep-alive') ?? '')?.[1]);
	// Pages ask every 4 s, a busy machine later: a line that closes as it is used loses what is sent on it.
	expect(restS).toBeGreaterThan(30);
});

test('a thousand spoiled requests are answered, none by a fault', async ({ demo }) => {
	test.setTimeout(120_000);
	// A server of its own: what is taken of it stays there.
	const server = new DemoServer(4263);
	await server.start();
	await server.load();
	const { requests, faults, statuses } = await fuzzRequests(server.url, 20_261_126, 1000);
	expect(faults).toEqual([]);
	expect(requests).toBe(1000);
	expect(statuses[400]).toBeGreaterThan(100);
	expect(statuses[200]).toBeGreaterThan(100);
	await server.remove();
	expect(demo.url).not.toBe(server.url);
});

test('ended with SIGTERM the store is one file, and it opens again with everything in it', async () => {
	const server = new DemoServer(4195);
	await server.start();
	await server.load();
	await server.stop('SIGTERM');
	expect(readdirSync(server.folder).filter((name) => name.startsWith('steady-arc'))).toEqual([
		'steady-arc.db'
	]);
	expect(existsSync(join(server.folder, 'server.json'))).toBe(false);
	await server.start();
	expect(await server.benchId('Bay 2')).toBeTruthy();
	await server.remove();
});

test('a backup comes back by one command, with the server running and without', async () => {
	test.setTimeout(120_000);
	const server = new DemoServer(4194);
	const run = (script: string, ...args: string[]) => {
		const done = spawnSync('npx', ['tsx', `scripts/${script}.ts`, ...args], {
			env: { ...process.env, STEADY_ARC_DATA: server.folder },
			encoding: 'utf8'
		});
		return { code: done.status, said: done.stdout + done.stderr };
	};
	const entries = async () => {
		const id = await server.benchId('Bay 2');
		const answer = await fetch(`${server.url}/api/log?bench=${id}`);
		return ((await answer.json()) as { entries: unknown[] }).entries.length;
	};
	await server.start();
	await server.load();
	const before = await entries();
	const file = join(server.folder, 'kept.db');
	expect(run('backup', file).said).toContain('checked whole');
	const more = async (opId: string) =>
		fetch(`${server.url}/api/log`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({
				opId,
				benchId: await server.benchId('Bay 2'),
				entry: { kind: 'start', arcS: 1, start: 'edge' }
			})
		});
	await more('restore-more-1');
	expect(await entries()).toBe(before + 1);
	expect(run('restore', file)).toMatchObject({
		code: 0,
		said: expect.stringMatching(/is running/)
	});
	expect(await entries()).toBe(before);
	await more('restore-more-2');
	await server.stop('SIGKILL');
	// The log of the killed server lies beside the store: it must not get into the restored one.
	const cold = run('restore', file);
	expect(cold).toMatchObject({ code: 0, said: expect.stringMatching(/No server is running/) });
	expect(cold.said).toContain('is kept');
	expect(run('restore', join(server.folder, 'server.json'))).toMatchObject({ code: 1 });
	await server.start();
	expect(await entries()).toBe(before);
	await server.remove();
});

test('from the shop’s network a passcode is asked for; the wall link only looks', async ({
	browser
}) => {
	const server = new DemoServer(4193, undefined, { HOST: '0.0.0.0', ALLOW_HOSTS: 'shop.local' });
	await server.start();
	await server.load();
	// By its own address on the network, where there is one; by another name all the same.
	const own = Object.values(networkInterfaces())
		.flat()
		.find((one) => one && !one.internal && one.family === 'IPv4');
	test.skip(!own, 'this machine has no network');
	const shop = `http://${own!.address}:4193`;
	const context = await browser.newContext();
	const page = await context.newPage();
	await page.goto(`${shop}/wear`);
	await expect(page.getByRole('heading', { name: 'Choose the shop’s passcode' })).toBeVisible();
	await page.getByLabel('Passcode').fill('lock-gate 7');
	await page.keyboard.press('Enter');
	await expect(page).toHaveURL(/\/wear/);
	await expect(page.getByRole('heading', { name: /Bay 2|electrode/i }).first()).toBeVisible();

	// The code in the header says this very cut, to another program that reads such codes.
	await page.goto(`${shop}/setup?t=9`);
	await page.getByRole('button', { name: 'This cut on a phone' }).click();
	const code = page.getByRole('img', { name: /^Code that opens/ });
	const seen = PNG.sync.read(await code.screenshot());
	const read = jsQR(new Uint8ClampedArray(seen.data), seen.width, seen.height);
	const opened = new URL(read!.data);
	expect(opened.origin).toBe(shop);
	expect(opened.pathname).toBe('/setup');
	expect(opened.searchParams.get('t')).toBe('9');
	await page.goto(opened.href);
	await expect(page.getByRole('textbox', { name: 'Thickness' })).toHaveValue('9 mm');

	const stranger = await browser.newContext();
	const api = await stranger.request.get(`${shop}/api/benches`);
	expect(api.status()).toBe(401);
	// What the page that asks is made of, nothing of the shop.
	expect((await stranger.request.get(`${shop}/early.js`)).status()).toBe(200);
	const door = await stranger.newPage();
	await door.goto(`${shop}/setup`);
	for (let i = 0; i < 5; i++) {
		await door.getByLabel('Passcode').fill(`guess number ${i}`);
		await door.keyboard.press('Enter');
		await expect(door.getByRole('alert')).toContainText('not the passcode');
	}
	await door.getByLabel('Passcode').fill('lock-gate 7');
	await door.keyboard.press('Enter');
	await expect(door.getByRole('alert')).toContainText('Too many wrong tries');

	const { wallPath } = (await (await context.request.get(`${shop}/api/reach`)).json()) as {
		wallPath: string;
	};
	const wall = answering(await (await browser.newContext()).newPage());
	await wall.goto(shop + wallPath);
	await expect(wall).toHaveURL(/supply/);
	const write = await wall.request.post(`${shop}/api/benches`, { data: {} });
	expect(write.status()).toBe(403);
	expect((await wall.request.post(`${shop}/api/plan`, { data: { cut: {} } })).status()).toBe(400);
	// This machine itself is not asked.
	expect((await fetch(`${server.url}/api/benches`)).status).toBe(200);
	// The code on the bench page leads to the same bench from the network.
	await page.goto(`${shop}/bench`);
	await expect(
		page.getByRole('img', { name: new RegExp(`Code that opens ${shop}/bench`) })
	).toBeVisible();
	await server.remove();
});

test('the server entry keeps strangers out', async ({ demo }) => {
	const { port } = demo;
	expect(await send(port, { host: 'evil.example' })).toBe(421);
	expect(await send(port, { host: `127.0.0.1:${port}` })).toBe(200);
	const foreign = { host: `127.0.0.1:${port}`, origin: 'http://evil.example' };
	expect(await send(port, foreign, 'POST', '/api/log')).toBe(403);
	const huge = { host: `127.0.0.1:${port}`, 'content-length': '99999999' };
	expect(await send(port, huge, 'POST', '/api/log')).toBe(413);
});

test('pages carry a content security policy and never a 500', async ({ request }) => {
	const page = await request.get('/supply');
	expect(page.headers()['content-security-policy']).toContain("script-src 'self'");
	const hostile = await request.get(
		'/setup?t=abc&metal=unobtainium&arc=-5&len=1e999&gd=&aim=clean%00'
	);
	expect(hostile.status()).toBe(200);
	expect(await hostile.text()).toContain('6 mm mild steel');
	const unknown = await request.get('/setup?bench=%3Cscript%3Ealert(1)%3C/script%3E');
	expect(unknown.status()).toBe(404);
	expect(await unknown.text()).toContain('There is no bench "&lt;script>');
	expect((await request.get('/nowhere')).status()).toBe(404);
});

test('an empty shop begins with the first question, and a bench file opens it too', async ({
	browser
}) => {
	const server = new DemoServer(4196);
	await server.start();
	const page = answering(await browser.newPage());
	await page.goto(server.url);
	await expect(page).toHaveURL(/\/start/);
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('How many amps, at most?');
	const tour = page.getByRole('region', { name: 'Tour' });
	await expect(tour).toContainText('Station 1 of 6');
	await tour.getByRole('button', { name: 'Next' }).click();
	await expect(tour).toContainText('Setup');
	await tour.getByRole('button', { name: 'Skip the tour' }).click();
	await page.reload();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('How many amps, at most?');
	await expect(tour).toBeHidden();
	const file = { name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"half":') };
	await page.getByLabel('A bench file instead').setInputFiles(file);
	await expect(page.getByRole('alert').first()).toContainText('not JSON');
	await page.getByRole('button', { name: /I don’t know/ }).click();
	await page.getByRole('button', { name: 'Show the card now' }).click();
	await expect(page).toHaveURL(/\/first/);
	await page.goto(`${server.url}/wear`);
	await expect(page.getByText('log 20 starts to narrow the band')).toBeVisible();
	await page.close();
	await server.remove();
});
