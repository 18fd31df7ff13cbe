/** Two people, a server that comes and goes, and a device that keeps what it was told. */
import type { Page } from '@playwright/test';
import { answering, expect, fetchAhead, test } from './demo';

const notice = (page: Page) => page.getByTestId('notice');
const waiting = (page: Page) => page.getByTestId('waiting');
const logCut = (page: Page) => page.getByRole('button', { name: /Log this cut/ }).click();
const number = async (page: Page) =>
	Number(await page.getByTestId('cuts-left').getAttribute('data-value'));
const focus = (page: Page) => page.evaluate(() => void window.dispatchEvent(new Event('focus')));

test('a second browser sees what the first one did', async ({ page, demo, browser }) => {
	const address = `/wear?bench=${await demo.benchId('Bay 2')}`;
	await page.goto(address);
	const other = await browser.newPage({ baseURL: demo.url });
	await other.goto(demo.url + address);
	const before = await number(other);
	await logCut(page);
	await expect(notice(page)).toContainText('logged');
	await focus(other);
	await expect.poll(() => number(other)).toBeLessThan(before);
	await page.getByRole('button', { name: /^Undo/ }).click();
	await expect(notice(page)).toContainText('Taken back');
	await focus(other);
	await expect.poll(() => number(other)).toBe(before);
	await other.close();
});

test('two who fit a new pair at once: the second is told, and nothing is undone unseen', async ({
	page,
	demo,
	browser
}) => {
	const address = `/wear?bench=${await demo.benchId('Bay 2')}`;
	await page.goto(address);
	const other = answering(await browser.newPage());
	// The other browser looks for news once it is there; what comes after that it does not know.
	const looked = other.waitForResponse((response) => response.url().includes('/api/revisions'));
	await other.goto(demo.url + address);
	await looked;
	const fit = (on: Page) => on.getByRole('button', { name: 'A new pair is in' }).click();
	await fit(page);
	await expect(notice(page)).toContainText('is in the torch');
	await fit(other);
	await expect(notice(other)).toContainText('was put in in between. Nothing was changed.');
	await page.getByRole('button', { name: /^Undo/ }).click();
	await expect(notice(page)).toContainText('is back in');
	await other.close();
});

test('edits of two people are put together; where both changed the same, both are shown', async ({
	page,
	demo,
	request
}) => {
	const id = await demo.benchId('Bay 2');
	const path = `/api/benches/${id}`;
	type Stored = { revision: number; bench: { name: string; air: { tankL: number } } };
	const stored = async () => (await (await request.get(path)).json()) as Stored;
	const first = await stored();
	const other = async (tankL: number) => {
		const { revision, bench } = await stored();
		const data = {
			opId: `together-${revision}-${tankL}`,
			revision,
			bench: { ...bench, air: { ...bench.air, tankL } }
		};
		expect((await request.put(path, { data })).ok()).toBe(true);
	};
	const name = page.getByLabel('This bench is called');
	await page.goto(`/bench?bench=${id}`);
	await name.fill('Bay two');
	await name.blur();
	await other(120);
	await page.getByRole('button', { name: 'Save bench' }).click();
	await expect(notice(page)).toContainText('together with what somebody else changed');
	expect((await stored()).bench).toMatchObject({ name: 'Bay two', air: { tankL: 120 } });

	await page.locator('[data-part="tank"]').click();
	const tank = page.getByLabel('Volume, all tanks');
	await tank.fill('200 l');
	await tank.blur();
	await other(150);
	await page.getByRole('button', { name: 'Save bench' }).click();
	const alert = page.getByRole('alert').filter({ hasText: 'Somebody saved this bench' });
	await expect(alert).toContainText('air.tankL');
	expect((await stored()).bench.air.tankL).toBe(150);
	await page.getByRole('button', { name: 'Take theirs' }).click();
	await expect(alert).toBeHidden();
	// Back to the demo's own.
	const { revision } = await stored();
	await request.put(path, {
		data: { opId: `together-back-${revision}`, revision, bench: first.bench }
	});
});

test('who saves data is sent no station ahead, and without the server stays where the work is', async ({
	page
}) => {
	const scripts = new Set<string>();
	page.on('request', (asked) => asked.url().endsWith('.js') && scripts.add(asked.url()));
	await page.goto('/setup');
	await page.mouse.move(300, 300);
	// The comparison is the last that the page itself asks for.
	await expect(page.getByRole('heading', { name: 'How many amps?' })).toBeVisible();
	await page.waitForLoadState('networkidle');
	const own = scripts.size;
	await page.context().setOffline(true);
	await page.locator('[data-station="gouge"]').click();
	await expect(notice(page)).toContainText('This one stays open');
	await expect(page).toHaveURL(/\/setup/);
	await page.context().setOffline(false);

	await fetchAhead(page);
	scripts.clear();
	await page.reload();
	await page.mouse.move(310, 310);
	await page.locator('html[data-whole]').waitFor({ state: 'attached' });
	// Sixteen stations, most in several pieces.
	expect(scripts.size).toBeGreaterThan(own + 32);
});

test('who saves data and is known to be without the server may press the station that is open', async ({
	page
}) => {
	await page.goto('/wear');
	// The address names the bench from the start: what differs in it from its links would be asked of the server.
	await expect(page).toHaveURL(/\/wear\?bench=/);
	await page.context().setOffline(true);
	await logCut(page);
	await expect(waiting(page)).toContainText('1 waiting');
	await page.locator('[data-station="wear"]').click();
	await expect(page.getByRole('heading', { name: 'Log it' })).toBeVisible();
	await expect(page.getByText('This one stays open')).toBeHidden();
	await page.context().setOffline(false);
	await expect(waiting(page)).toBeHidden();
	await page.getByRole('button', { name: 'Take the last back' }).click();
	await expect(notice(page)).toContainText('Taken back');
});

test('without the server one goes on: every station opens, what was done waits in sight, and goes out once', async ({
	page
}) => {
	await fetchAhead(page);
	// Without a bench in the address, as somebody opens it.
	await page.goto('/wear');
	const before = await number(page);
	// The code of the other stations is fetched while the hand rests.
	await page.locator('html[data-whole]').waitFor({ state: 'attached' });
	await page.context().setOffline(true);
	await logCut(page);
	await expect(notice(page)).toContainText('Not logged yet');
	await expect(waiting(page)).toContainText('1 waiting on this device');
	for (const station of ['supply', 'setup', 'cut', 'gouge', 'wear']) {
		await page.locator(`[data-station="${station}"]`).click();
		await expect(page).toHaveURL(new RegExp(`/${station}`));
		await expect(waiting(page)).toContainText('1 waiting');
	}
	await expect(waiting(page)).toContainText('The server does not answer');
	// A page that comes from the server is not opened, and this one stays.
	await page.locator('[data-station="setup"]').click();
	await page
		.getByRole('link', { name: /beside|card/i })
		.first()
		.click();
	await expect(notice(page)).toContainText('This one stays open');
	await page.locator('[data-station="wear"]').click();

	await logCut(page);
	await expect(waiting(page)).toContainText('2 waiting');
	await notice(page).getByRole('button', { name: /^Undo/ }).click();
	await expect(notice(page)).toContainText('Taken back before it was sent');
	await expect(waiting(page)).toContainText('1 waiting');
	expect(await number(page)).toBe(before);

	await page.context().setOffline(false);
	await expect(notice(page)).toContainText('One entry from this device: now with the server');
	await expect(waiting(page)).toBeHidden();
	await expect.poll(() => number(page)).toBeLessThan(before);
	await page.getByRole('button', { name: 'Take the last back' }).click();
	await expect(notice(page)).toContainText('Taken back');
	await expect.poll(() => number(page)).toBe(before);
});

test('a write that the server fails at steps aside in sight, and the others go through', async ({
	page,
	demo
}) => {
	await page.goto(`/wear?bench=${await demo.benchId('Bay 2')}`);
	await page.route('**/api/log', (route) => route.fulfill({ status: 500, body: 'oh' }));
	await logCut(page);
	await expect(notice(page)).toContainText('set aside');
	await expect(waiting(page)).toContainText('1 not taken by the server: decide.');
	await expect(waiting(page)).toContainText('The server answered 500.');
	await page.unroute('**/api/log');
	await logCut(page);
	await expect(notice(page)).toContainText('logged.');
	await notice(page).getByRole('button', { name: /^Undo/ }).click();
	await expect(notice(page)).toContainText('Taken back');
	await waiting(page).getByRole('button', { name: 'Try again' }).click();
	await expect(notice(page)).toContainText('now with the server');
	await page.getByRole('button', { name: 'Take the last back' }).click();
	await expect(notice(page)).toContainText('Taken back');
});

test('an edit outlives a reload, and a slow server is not waited for without end', async ({
	page,
	demo
}) => {
	const id = await demo.benchId('Bay 2');
	await page.goto(`/bench?bench=${id}`);
	const name = page.getByLabel('This bench is called');
	await name.fill('Bay 2 by the lock');
	await name.blur();
	await expect(page.getByTestId('draft-bar')).toBeVisible();
	await page.reload();
	await expect(page.getByTestId('draft-bar')).toBeVisible();
	await expect(page.getByRole('heading', { name: 'Bay 2 by the lock' })).toBeVisible();
	await page.getByRole('button', { name: 'Discard' }).click();
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Bay 2', exact: true })).toBeVisible();
	await expect(page.getByTestId('draft-bar')).toBeHidden();
});

test('a backup is saved and put back from the bench page', async ({ browser }) => {
	const { DemoServer } = await import('./demo');
	const server = new DemoServer(4192);
	await server.start();
	await server.load();
	const page = answering(await browser.newPage());
	await page.goto(`${server.url}/bench?bench=${await server.benchId('Bay 2')}`);
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'Save a backup' }).click();
	const file = await (await download).path();
	await page.getByLabel('Backup to restore').setInputFiles(file);
	await expect(page.getByRole('region', { name: 'Backup' })).toContainText(
		'takes the place of all benches'
	);
	await page.getByRole('button', { name: 'Put it in place' }).click();
	await expect(notice(page)).toContainText('Restored: 2 benches');
	await notice(page).getByRole('button', { name: 'Close' }).click();
	await page.getByLabel('Backup to restore').setInputFiles({
		name: 'x.db',
		mimeType: 'application/octet-stream',
		buffer: Buffer.from('no store')
	});
	await page.getByRole('button', { name: 'Put it in place' }).click();
	await expect(page.getByRole('region', { name: 'Backup' }).getByRole('alert')).toContainText(
		'Nothing was changed'
	);
	await page.close();
	await server.remove();
});
