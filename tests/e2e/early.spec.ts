/** What is pressed before the page answers: its scripts are held back until the hand has pressed. */
import type { Browser, Page } from '@playwright/test';
import { expect, test } from './demo';

const READY = 'html[data-ready]';

/** A page as it stands before any script of it came, and what lets them come. */
async function unanswering(
	browser: Browser,
	url: string,
	size = { width: 1280, height: 800 }
): Promise<{ page: Page; letCome: () => Promise<void>; close: () => Promise<void> }> {
	const context = await browser.newContext({ viewport: size });
	const page = await context.newPage();
	let come = () => {};
	const held = new Promise<void>((resolve) => (come = resolve));
	await page.route('**/_app/**/*.js', async (route) => {
		await held;
		await route.continue();
	});
	const ears = page.waitForResponse('**/early.js');
	await page.goto(url, { waitUntil: 'commit' });
	await (await ears).finished();
	await page.getByRole('contentinfo').or(page.locator('main')).first().waitFor();
	await expect(page.locator(READY)).toHaveCount(0);
	return {
		page,
		letCome: async () => {
			come();
			await page.locator(READY).waitFor({ state: 'attached' });
		},
		close: () => context.close()
	};
}

test('a choice and a number given before the page answers are taken once it does', async ({
	browser,
	demo
}) => {
	const { page, letCome, close } = await unanswering(browser, `${demo.url}/setup?t=6`);
	const school = page.getByRole('radio', { name: 'By thickness' });
	const card = page.getByRole('region', { name: 'Setting card' });
	await page.locator('label', { has: school }).or(school).first().click();
	await page.getByRole('textbox', { name: 'Thickness' }).fill('3');
	await page.getByRole('textbox', { name: 'Thickness' }).press('Enter');
	// Nothing has happened yet, and what was pressed shows that it waits.
	await expect(card).toContainText('6 mm');
	await expect(page.locator('[data-held]')).toHaveCount(2);

	await letCome();
	await expect(school).toBeChecked();
	await expect(card).toContainText('3 mm mild steel');
	await expect(page.locator('[data-held]')).toHaveCount(0);
	// From here on it hears by itself: one press is one step.
	await page.getByRole('radio', { name: 'Full' }).click();
	await expect(page.getByRole('radio', { name: 'Full' })).toBeChecked();
	await close();
});

test('who sees nothing happen and presses again is taken at his word once', async ({
	browser,
	demo
}) => {
	const { page, letCome, close } = await unanswering(browser, `${demo.url}/setup?t=6`, {
		width: 390,
		height: 844
	});
	const dock = page.getByRole('group', { name: 'Thickness' });
	for (let i = 0; i < 3; i++) await dock.getByRole('button', { name: 'Thicker' }).click();
	await expect(dock).toContainText('6 mm');
	await letCome();
	await expect(dock).toContainText('6.5 mm');
	await dock.getByRole('button', { name: 'Thicker' }).click();
	await expect(dock).toContainText('7 mm');
	await close();
});

test('a link goes where it goes without waiting for any script', async ({ browser, demo }) => {
	const { page, letCome, close } = await unanswering(browser, `${demo.url}/setup?t=6`);
	await page.getByRole('navigation', { name: 'The line' }).getByText('Supply').click();
	await expect(page).toHaveURL(/\/supply/);
	await letCome();
	await close();
});
