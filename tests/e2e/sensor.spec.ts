import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import type { Page } from '@playwright/test';
import { play, type Pull } from '../../scripts/device/play';
import { expect, test } from './demo';

interface Demo {
	url: string;
	benchId: (name: string) => Promise<string>;
}
const call = async (demo: Demo, method: string, path: string, body: unknown, token?: string) => {
	const response = await fetch(`${demo.url}${path}`, {
		method,
		headers: {
			'content-type': 'application/json',
			...(token ? { authorization: `Bearer ${token}` } : {})
		},
		body: JSON.stringify(body)
	});
	return { status: response.status, body: (await response.json()) as Record<string, unknown> };
};
let made = 0;
const opId = () => `sensor-spec-${Date.now()}-${++made}`;

/** Plays work that has just been, and sends it as a device would; the last batch leaves now. */
async function sends(
	demo: Demo,
	token: string,
	pulls: readonly Pull[],
	{ cutMs = 0 } = {}
): Promise<void> {
	const bench = await demo.benchId('Bay 2');
	const { readings, endMs } = play(pulls, { seed: 5 });
	const startMs = Date.now() - endMs + cutMs;
	const sent = readings.filter(({ atMs }) => atMs <= endMs - cutMs);
	const boot = opId();
	for (let n = 0; n < sent.length; n += 500) {
		const part = sent.slice(n, n + 500);
		const of = (key: keyof (typeof part)[number]) => part.map((one) => one[key]);
		const told = await call(
			demo,
			'POST',
			`/api/line/${bench}`,
			{
				boot,
				n,
				sentAtMs: Date.now(),
				atMs: part.map(({ atMs }) => startMs + atMs),
				arcA: of('arcA'),
				inletBar: of('inletBar'),
				tankBar: of('tankBar'),
				mainsA: of('mainsA'),
				hotLamp: of('hotLamp')
			},
			token
		);
		expect(told.status).toBe(200);
	}
}
const word = (page: Page) => page.getByTestId('sensor-word');
const offers = (page: Page) => page.getByTestId('sensor-offers');

/** The sensor is let go, and what was taken is taken back: others find the bench as it was. */
test.afterEach(async ({ demo }) => {
	const bench = await demo.benchId('Bay 2');
	await call(demo, 'PUT', `/api/line/${bench}`, { opId: opId(), paired: false });
	const state = (await (await fetch(`${demo.url}/api/line/${bench}`)).json()) as {
		offered: { id: number }[];
	};
	const { lists } = (await (await fetch(`${demo.url}/api/lists?bench=${bench}`)).json()) as {
		lists: { id: string; revision: number; archivedAt: string | null }[];
	};
	for (const { id, revision, archivedAt } of lists) {
		const { ticks } = (await (await fetch(`${demo.url}/api/lists/${id}`)).json()) as {
			ticks: { opId: string }[];
		};
		for (const tick of ticks.toReversed())
			await call(demo, 'POST', `/api/lists/${id}/ticks`, {
				opId: opId(),
				kind: 'undo',
				undoes: tick.opId
			});
		if (id !== 'demo-lock-gate-3' && !archivedAt)
			await call(demo, 'POST', `/api/lists/${id}`, { opId: opId(), revision, archived: true });
	}
	const ids = state.offered.map(({ id }) => id);
	if (ids.length)
		await call(demo, 'POST', `/api/line/${bench}/take`, {
			opId: opId(),
			kind: 'take',
			ids,
			entries: []
		});
});

async function paired(page: Page): Promise<string> {
	await page.goto('/sensor');
	await expect(page.getByRole('heading', { name: 'No sensor at this cutter' })).toBeVisible();
	await page.getByRole('button', { name: 'Pair a sensor' }).click();
	const token = await page.getByTestId('sensor-token').innerText();
	expect(token).toMatch(/^[\w-]{32}$/);
	return token;
}

test('a sensor is paired, its arcs are offered, taken by one press into the log and wear, and given back', async ({
	page,
	demo
}) => {
	const token = await paired(page);
	await expect(word(page)).toHaveText('Waiting for its first reading');
	const left = Number(
		await (async () => {
			await page.goto('/wear');
			return page.getByTestId('cuts-left').getAttribute('data-value');
		})()
	);
	await sends(demo, token, [
		{ restS: 20, pilotS: 1, arcS: 14, arcA: 43 },
		{ restS: 20, pilotS: 1.5, arcS: 0, arcA: 0 },
		{ restS: 20, pilotS: 1, arcS: 16, arcA: 43 }
	]);
	await page.keyboard.press('s');
	await expect(page).toHaveURL(/\/sensor/);
	await expect(offers(page)).toContainText(/2 arcs, 0:30 of arc at 4[23](\.\d)? A/);
	await expect(offers(page)).toContainText('1 failed start');
	await expect(offers(page)).toContainText(/tank \d\.?\d* bar, inlet 5\.\d/);
	await page.getByRole('button', { name: 'Take both' }).click();
	await expect(page.getByText('2 arcs logged, 0:30')).toBeVisible();
	await expect(offers(page)).toHaveCount(0);
	await expect(page.getByTestId('sensor-arcs')).toContainText('in the log');
	await page.goto('/wear');
	const after = Number(await page.getByTestId('cuts-left').getAttribute('data-value'));
	expect(after).toBeLessThan(left);
	await page.goto('/log');
	await expect(page.getByText(/42\.9\sA|43\sA|43\.1\sA/).first()).toBeVisible();
	// And back: each of the three entries.
	await page.goto('/wear');
	const log = page.getByRole('list', { name: 'Log' });
	const gone = log.getByText('taken back', { exact: true });
	// Others were taken back before this test.
	const before = await gone.count();
	for (let k = 1; k <= 3; k++) {
		await log
			.getByRole('button', { name: /Take back/ })
			.first()
			.click();
		// Until it is struck out the next press would meet the same entry once more.
		await expect(gone).toHaveCount(before + k);
	}
	await expect(page.getByTestId('cuts-left')).toHaveAttribute('data-value', String(left));
});

test('while it burns: the arc counts up, the inlet under the window is told, and a slow, silent device is', async ({
	page,
	demo
}) => {
	const token = await paired(page);
	// Still burning as the batch leaves: post-flow and rest are cut off.
	await sends(demo, token, [{ restS: 16, pilotS: 1, arcS: 12, arcA: 43 }], { cutMs: 14_000 });
	await expect(word(page)).toHaveText(/^Arc on 0:\d\d/);
	await expect(page.getByTestId('sensor-live')).toContainText('Work lead');
	await expect(word(page)).toHaveText(/^Silent for/);
	await expect(page.getByText('its power, the network, its token?')).toBeVisible();
});

test('the device plays the demo’s list, loses batches and sends them twice; the run sheet ticks what was made', async ({
	page,
	demo
}) => {
	await paired(page);
	await page.goto('/job');
	await page.getByRole('button', { name: 'Copy', exact: true }).click();
	await expect(page.getByTestId('job').getByRole('heading', { level: 1 })).toHaveText(/Done by/);
	const bench = await demo.benchId('Bay 2');
	const { lists } = (await (await fetch(`${demo.url}/api/lists?bench=${bench}`)).json()) as {
		lists: { id: string }[];
	};
	const at = new Date(Date.now() - 3_600_000).toISOString();
	const on = { opId: opId(), item: '', kind: 'on', at };
	await call(demo, 'POST', `/api/lists/${lists[0]!.id}/ticks`, on);
	const script = ['tsx', 'scripts/device/main.ts', '--fast', '--bench', 'Bay 2', '--url', demo.url];
	const how = ['--pulls', '7', '--failed', '0', '--lost', '0.3', '--twice', '0.3', '--seed', '4'];
	const { stdout } = await promisify(execFile)('npx', [...script, ...how]);
	expect(stdout).toContain('7 arcs and 0 failed starts');
	expect(stdout).toMatch(/All sent: .* 0 missing/);
	await page.goto(`/job/run?list=${lists[0]!.id}`);
	const now = page.getByTestId('run-now');
	const seen = page.getByTestId('seen-tick');
	const table = page.getByTestId('run-table');
	const first = await now.locator('b').first().innerText();
	await expect(seen).toHaveText(/It saw\s+3\s+pieces: tick them/, { timeout: 40_000 });
	await seen.click();
	await expect(table.getByRole('row').filter({ hasText: first })).toContainText('3 of 3');
	await expect(seen).toHaveText(/It saw\s+4\s+pieces: tick them/);
	await seen.click();
	await expect(table).toContainText('4 of 24');
	await expect(seen).toHaveCount(0);
	await page.goto('/sensor');
	await expect(page.getByTestId('sensor-arcs')).toContainText('left, or ticked');
	await expect(offers(page)).toHaveCount(0);
});

test.describe('by thumb', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

	test('on the run sheet the pieces that it saw are ticked by one press, with their own seconds, once', async ({
		page,
		demo
	}) => {
		const token = await paired(page);
		await page.goto('/job');
		await page.getByRole('button', { name: 'Copy', exact: true }).click();
		await expect(page.getByTestId('job').getByRole('heading', { level: 1 })).toHaveText(/Done by/);
		// Begun five minutes ago, on another device.
		const bench = await demo.benchId('Bay 2');
		const { lists } = (await (await fetch(`${demo.url}/api/lists?bench=${bench}`)).json()) as {
			lists: { id: string }[];
		};
		const at = new Date(Date.now() - 300_000).toISOString();
		const on = { opId: opId(), item: '', kind: 'on', at };
		await call(demo, 'POST', `/api/lists/${lists[0]!.id}/ticks`, on);
		await page.goto(`/job/run?list=${lists[0]!.id}`);
		const now = page.getByTestId('run-now');
		await now.getByLabel('Another item first').selectOption('Screen bars');
		await expect(now.locator('.nth')).toHaveText('1');
		const one = now.locator('dl div').filter({ hasText: 'One cut takes' }).locator('dd');
		const arcS = parseFloat(await one.innerText());
		await sends(demo, token, [
			{ restS: 20, pilotS: 1, arcS, arcA: 43 },
			{ restS: 20, pilotS: 1, arcS: 1.05 * arcS, arcA: 43 }
		]);
		const seen = page.getByTestId('seen-tick');
		await expect(seen).toHaveText(/It saw 2\s+pieces: tick them/, { timeout: 40_000 });
		// The server is away: what is pressed counts once, is not offered again, and is sent later.
		await page.route('**/api/**', (route) =>
			route.request().method() === 'POST' ? route.abort() : route.continue()
		);
		await seen.click();
		await expect(now.locator('.nth')).toHaveText('3');
		await expect(seen).toHaveCount(0);
		// Two looks later it still stands at two.
		await page.waitForResponse('**/api/line/*');
		await page.waitForResponse('**/api/line/*');
		await expect(now.locator('.nth')).toHaveText('3');
		await page.unroute('**/api/**');
		await expect
			.poll(
				async () => {
					const told = await fetch(`${demo.url}/api/lists/${lists[0]!.id}`);
					const { ticks } = (await told.json()) as { ticks: { kind: string }[] };
					return ticks.filter(({ kind }) => kind === 'done').length;
				},
				{ timeout: 40_000 }
			)
			.toBe(2);
		await page.reload();
		await expect(page.getByTestId('run-table')).toContainText(/2 of 24/);
	});
});
