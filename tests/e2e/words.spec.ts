import type { Page } from '@playwright/test';
import { expect, test } from './demo';

/** Said once, and not understood by those who tried the program for the first time. */
const NOT_UNDERSTOOD = [
	/^Match$|Match,/m,
	/^Mine$/m,
	/^Circuit$/m,
	/\+ One plate/,
	/What stands there/,
	/Schools of this shop/,
	/tight: water\b/,
	/eight times in ten/,
	/^Take it\b/m,
	/^As it was$/m,
	/touchiest|laziest/i,
	/Lamp lights after/,
	/Of the electrode\b/,
	/starts a life/,
	/gone astray/,
	/arc at the ring/,
	/Slow down to be safe/
];
const PAGES = [
	'/supply',
	'/setup',
	'/cut',
	'/cut?guide=circle',
	'/gouge',
	'/gouge?groove=1&gx=fillet',
	'/gouge?groove=1&gx=dimple',
	'/wear',
	'/log',
	'/shopping',
	'/checks',
	'/job',
	'/job/run',
	'/job/quote',
	'/job/plates',
	'/sensor',
	'/photo',
	'/photo?of=edge',
	'/photo?of=kerf',
	'/fault',
	'/fault?of=sputters',
	'/hot-work',
	'/paper-rule',
	'/bench',
	'/benches',
	'/beside',
	'/chart',
	'/template',
	'/practice',
	'/card',
	'/first',
	'/start',
	'/start?ask=volts',
	'/start?ask=breaker',
	'/start?ask=compressor'
];

// The last file, and long: both workers take of it.
test.describe.configure({ mode: 'parallel' });

for (const bench of ['Bay 2', 'Towpath trolley']) {
	test(`no page says a word that was not understood or leaves a choice unexplained, folded steps included: ${bench}`, async ({
		page,
		demo
	}) => {
		test.slow();
		const id = await demo.benchId(bench);
		const missing: string[] = [];
		for (const path of PAGES) {
			await page.goto(`${path}${path.includes('?') ? '&' : '?'}bench=${id}`);
			await page.evaluate(() => {
				for (const fold of document.querySelectorAll('details')) fold.open = true;
			});
			await page.waitForLoadState('networkidle');
			const text = await page.locator('body').innerText();
			const found = NOT_UNDERSTOOD.filter((words) => words.test(text)).map(String);
			expect(found, path).toEqual([]);
			missing.push(...(await unexplained(page)).map((name) => `${name}: ${path}`));
		}
		expect(missing, 'choices without a line of help').toEqual([]);
	});
}

/** Choices whose words say it alone. */
const PLAIN = ['Units', 'Theme', 'Currency', 'Words or keys'];
/** Choices without a line of help for what is chosen. */
const unexplained = (page: Page): Promise<string[]> =>
	page.locator('[role=radiogroup][aria-label]').evaluateAll(
		(groups, plain) =>
			groups
				.filter((group) => group.querySelector(':checked'))
				.filter((group) => !group.parentElement!.querySelector('[data-testid="help"]'))
				.map((group) => group.getAttribute('aria-label')!)
				.filter((name) => !plain.includes(name)),
		PLAIN
	);

test('each choice says in one line what the chosen one means', async ({ page }) => {
	await page.goto('/setup');
	const amps = page.getByRole('radiogroup', { name: 'Amps' });
	for (const [name, help] of [
		['By thickness', 'Only the amps that this thickness asks for'],
		['By outlet', 'surely carries without tripping'],
		['My own', 'The amps that you type in below'],
		['Full', 'The most the cutter gives']
	] as const) {
		await amps.getByRole('radio', { name, exact: true }).check();
		await expect(page.getByTestId('help').filter({ hasText: help })).toBeVisible();
	}
	await page.goto('/cut');
	const guide = page.getByRole('radiogroup', { name: 'Guide', exact: true });
	for (const name of ['On the part', 'On the waste', 'Circle', 'Roller', 'Freehand']) {
		await guide.getByRole('radio', { name }).check();
		await expect(page.getByTestId('help').first()).not.toBeEmpty();
	}
});

test('nothing is said of a cord that is not there', async ({ page, demo }) => {
	await page.goto(`/bench?bench=${await demo.benchId('Bay 2')}`);
	await page.locator('[data-part="cord"]').click();
	const editor = page.getByTestId('part-editor');
	await editor.getByRole('radio', { name: 'none' }).check();
	await expect(editor).not.toContainText('never');
	await page.getByTestId('draft-bar').getByRole('button', { name: 'Undo' }).click();
});
