import { expect, test } from './demo';
import { SCREENS } from './screens';
import { METRIC_WORDS, unclear } from './words';

/** States of a page that say something else, and need no looking at by axe of their own. */
const MORE = [
	'/cut?guide=circle',
	'/gouge?groove=1&gx=fillet',
	'/gouge?groove=1&gx=dimple',
	'/fault?of=sputters',
	'/start?ask=volts',
	'/start?ask=breaker',
	'/start?ask=compressor'
];

// The last file, and long: both workers take of it.
test.describe.configure({ mode: 'parallel' });

for (const [bench, pages] of [
	['Towpath trolley', [...SCREENS.filter((path) => !path.startsWith('/card/')), ...MORE]],
	// Bay 2 comes first: its screens are read where access is tried on them.
	['Bay 2', MORE]
] as const) {
	test(`no page says a word that was not understood or leaves a choice unexplained, folded steps included: ${bench}`, async ({
		page,
		demo
	}) => {
		test.slow();
		const id = await demo.benchId(bench);
		// The trolley came from where plates are in inches.
		const inInches = bench === 'Towpath trolley';
		if (inInches)
			await page.context().addCookies([{ name: 'units', value: 'imperial', url: demo.url }]);
		for (const path of pages) {
			const { pathname, search, hash } = new URL(path, demo.url);
			await page.goto(`${pathname}${search ? `${search}&` : '?'}bench=${id}${hash}`);
			expect(await unclear(page, inInches ? METRIC_WORDS : []), path).toEqual([]);
		}
	});
}

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
