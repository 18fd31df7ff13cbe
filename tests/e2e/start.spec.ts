import { faultsOf } from './axe';
import { answering, expect, test } from './demo';

test.use({ locale: 'en-GB' });

/** The shop is left as it was found. */
test.afterEach(async ({ request, demo }) => {
	const { benches } = (await (await request.get('/api/benches')).json()) as {
		benches: { id: string; revision: number; bench: { name: string } }[];
	};
	for (const { id, revision, bench } of benches) {
		if (bench.name !== 'My bench') continue;
		const opId = `start-${id}`;
		const answer = await request.put(`${demo.url}/api/benches/${id}/kept`, {
			data: { opId, kept: false, revision }
		});
		expect(answer.status()).toBe(200);
	}
});

/** Every "where from" letter on the page, figures and label alike. */
const letters = (page: import('@playwright/test').Page) => page.locator('main .wf, header .wf');

test('the first hour by keyboard: twelve answers at most, then a true card that says what to check', async ({
	page
}) => {
	await page.goto('/start');
	const heading = page.getByRole('heading', { level: 1 });
	await expect(heading).toHaveText('How many amps, at most?');
	let answers = 0;
	const press = async (...keys: string[]) => {
		for (const key of keys) await page.keyboard.press(key);
		answers++;
	};
	const typed = async (text: string) => {
		await page.keyboard.type(text);
		await page.keyboard.press('Enter');
		answers++;
	};
	// Arrow keys choose among the answers and take nothing yet.
	await page.getByRole('radio', { name: /^25 A/ }).focus();
	await page.keyboard.press('ArrowDown');
	await expect(heading).toHaveText('How many amps, at most?');
	await press('ArrowDown', 'Enter');
	await expect(page.getByTestId('cell-amps')).toContainText('40 A');
	await expect(heading).toHaveText('Which outlet does it plug into?');
	await expect(page.getByRole('radio', { name: /^230 V/ })).toBeFocused();
	await press('Space', 'Enter');
	await typed('22');
	await expect(page.getByTestId('cell-draws')).toContainText('22 A');
	await press('n');
	await expect(page.getByTestId('cell-clean')).toContainText('typical, not yet checked');
	await press('n');
	await press('ArrowDown', 'Enter');
	await press('n');
	await press('ArrowDown', 'Enter');
	await press('n');
	await press('n');
	await press('n');
	await expect(heading).toHaveText('What will you cut first?');
	await expect(page.getByRole('textbox', { name: 'Thickness' })).toBeFocused();
	await page.keyboard.press('ControlOrMeta+a');
	await typed('8');
	expect(answers).toBeLessThanOrEqual(12);
	await expect(page).toHaveURL(/\/first\?bench=/);
	await expect(heading).toContainText('Check');
	await expect(page.getByLabel('Setting card')).toContainText('8 mm mild steel');
	const checks = page.getByTestId('check-first');
	await expect(checks.first()).toContainText('typical, not yet checked');
	await expect(checks.first()).toContainText(/With .+ this (holds|is tight|stops)/);
	await expect(page.getByTestId('check-test-cut')).toContainText('mm/s');
});

test('a card of nothing but “I don’t know” shows no D anywhere', async ({ page }) => {
	await page.goto('/start');
	for (let i = 0; i < 11; i++) {
		const before = await page.getByRole('heading', { level: 1 }).textContent();
		await page.getByRole('button', { name: /I don’t know/ }).click();
		await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(before!);
	}
	await page.getByRole('button', { name: 'Show the card', exact: false }).last().click();
	await expect(page).toHaveURL(/\/first/);
	const search = new URL(page.url()).search;
	for (const path of ['/first', '/setup', '/supply', '/cut', '/gouge', '/wear', '/bench']) {
		await page.goto(path + search);
		await expect(page.getByRole('link', { name: 'Steady Arc' })).toBeVisible();
		for (let y = 0; y < 4; y++) await page.mouse.wheel(0, 900);
		await page.waitForLoadState('networkidle');
		const seen = await letters(page).allTextContents();
		expect(
			seen.filter((letter) => letter.trim() === 'D'),
			path
		).toEqual([]);
	}
	// What is typed then is a label's, and only that.
	await page.goto(`/start${search}&ask=nozzle`);
	await page.getByRole('radio', { name: /^40 A/ }).click();
	await page.getByRole('button', { name: 'Show the card now' }).click();
	await expect(page).toHaveURL(/\/first/);
	await expect(
		page
			.getByLabel('Setting card')
			.getByRole('button', { name: /Where from\? Nozzle: label or typed in/ })
	).toBeVisible();
});

test('what was answered is there again tomorrow, a refused answer stays as typed, by thumb', async ({
	page
}) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await page.goto('/start');
	await page.getByLabel('Another').fill('450 kg');
	await page.getByRole('button', { name: 'Next' }).click();
	await expect(page.getByRole('alert').first()).toContainText('450 kg');
	await expect(page.getByLabel('Another')).toHaveValue('450 kg');
	await page.getByRole('radio', { name: /^45 A/ }).click();
	await page.getByRole('button', { name: 'Next' }).click();
	await page.getByRole('radio', { name: /^230 V/ }).click();
	await page.getByRole('button', { name: 'Next' }).click();
	await expect(page.getByText('Question 3 of 12')).toBeVisible();
	await page.reload();
	await expect(page.getByText('Question 3 of 12')).toBeVisible();
	await expect(page.getByTestId('cell-amps')).toHaveAttribute('data-state', 'known');
	// Severs less than it cuts clean: told in words, nothing is taken.
	await page.getByRole('button', { name: /I don’t know/ }).click();
	await page.getByLabel('Clean to').fill('12');
	await page.getByRole('button', { name: 'Next' }).click();
	await page.getByLabel('Severs to').fill('8');
	await page.getByRole('button', { name: 'Next' }).click();
	await expect(page.getByRole('alert').first()).toContainText('thicker than the clean rating');
	await expect(page.getByLabel('Severs to')).toHaveValue('8 mm');
	await expect(page.getByTestId('cell-severs')).toHaveAttribute('data-state', 'to come');
	// A value that was taken is not taken again for one that cannot be read.
	await page.getByRole('button', { name: 'Back' }).click();
	await page.getByLabel('Clean to').fill('twelve');
	await page.getByRole('button', { name: 'Next' }).click();
	await expect(page.getByLabel('Clean to')).toHaveValue('twelve');
	await expect(page.getByText('Question 4 of 12')).toBeVisible();
	await page.getByRole('button', { name: 'Begin again' }).click();
	await expect(page.getByTestId('cell-amps')).toHaveAttribute('data-state', 'to come');
});

test('a server that fails keeps the answers, and the second press makes one bench', async ({
	page,
	demo
}) => {
	await page.goto('/start');
	await page.getByRole('radio', { name: /^45 A/ }).click();
	await page.getByRole('button', { name: 'Next' }).click();
	let lost = true;
	await page.route('**/api/benches', async (route) => {
		if (!lost) return route.continue();
		lost = false;
		// Taken, and the answer lost on the way.
		await route.fetch();
		await route.abort();
	});
	await page.getByRole('button', { name: 'Show the card now' }).click();
	await expect(page.getByRole('alert').first()).toContainText('Your answers are kept');
	await page.getByRole('button', { name: 'Show the card now' }).click();
	await expect(page).toHaveURL(/\/first/);
	const { benches } = (await (await page.request.get(`${demo.url}/api/benches`)).json()) as {
		benches: { bench: { name: string } }[];
	};
	const mine = benches.filter(({ bench }) => bench.name === 'My bench');
	expect(new Set(mine.map((one) => JSON.stringify(one))).size).toBe(mine.length);
	expect(mine.length).toBeGreaterThan(0);
	const id = new URL(page.url()).searchParams.get('bench');
	expect(mine.filter((one) => (one as unknown as { id: string }).id === id)).toHaveLength(1);
});

test('inches and North American outlets where the browser is from there', async ({
	browser,
	demo
}) => {
	const context = await browser.newContext({ locale: 'en-US' });
	const page = answering(await context.newPage());
	await page.goto(`${demo.url}/start`);
	await expect(page.getByRole('radio', { name: '120 / 240 V' })).toBeChecked();
	await expect(page.getByRole('radio', { name: 'inch' })).toBeChecked();
	await page.getByRole('radio', { name: /^45 A/ }).click();
	await page.getByRole('button', { name: 'Next' }).click();
	await expect(page.getByRole('radio', { name: /^240 V one phase/ })).toBeVisible();
	await expect(page.getByLabel('Your card so far')).toContainText('in/min');
	await context.close();
});

test('the path and its end are accessible by day and in the dark', async ({ page, demo }) => {
	for (const theme of ['bench-day', 'hood-down']) {
		await page.context().addCookies([{ name: 'theme', value: theme, url: demo.url }]);
		await page.goto('/start?ask=duty');
		await page.getByRole('button', { name: /I don’t know/ }).click();
		expect(await faultsOf(page)).toEqual([]);
	}
});
