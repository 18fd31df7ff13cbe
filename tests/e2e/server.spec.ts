import { request as rawRequest } from 'node:http';
import { DemoServer, expect, test } from './demo';

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

test('killed with -9 while logging, no acknowledged entry is lost and none is doubled', async () => {
	const server = new DemoServer(4197);
	await server.start();
	await server.load();
	const benchId = await server.benchId('Bay 2');
	const entry = { kind: 'start', arcS: 1, start: 'edge' };
	const acknowledged: string[] = [];
	let sending = true;
	const writer = (async () => {
		for (let i = 0; sending && i < 500; i++) {
			const opId = `kill-test-${i}`;
			const response = await fetch(`${server.url}/api/log`, {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify({ opId, benchId, entry })
			}).catch(() => undefined);
			if (response?.ok && (await response.json().catch(() => undefined))) acknowledged.push(opId);
			else if (!response) return opId;
		}
		return undefined;
	})();
	await expect.poll(() => acknowledged.length).toBeGreaterThan(20);
	await server.stop('SIGKILL');
	sending = false;
	const unanswered = await writer;

	const again = new DemoServer(4197, server.folder);
	await again.start();
	const post = (opId: string) =>
		fetch(`${again.url}/api/log`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ opId, benchId, entry })
		});
	if (unanswered) expect((await post(unanswered)).ok).toBe(true);
	const { entries } = (await (await fetch(`${again.url}/api/log?bench=${benchId}`)).json()) as {
		entries: { opId: string }[];
	};
	const stored = entries.map((e) => e.opId).filter((opId) => opId.startsWith('kill-test'));
	expect(stored).toEqual(expect.arrayContaining(acknowledged));
	expect(new Set(stored).size).toBe(stored.length);
	await again.remove();
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

test('an empty shop starts with a choice of benches', async ({ browser }) => {
	const server = new DemoServer(4196);
	await server.start();
	const page = await browser.newPage();
	await page.goto(server.url);
	await page.getByRole('button', { name: /120 V, 20 A circuit/ }).click();
	await expect(page).toHaveURL(/\/bench/);
	await page.goto(`${server.url}/wear`);
	await expect(page.getByText('log 20 starts to narrow the band')).toBeVisible();
	await page.close();
	await server.remove();
});
