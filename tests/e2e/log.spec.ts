import { expect, test } from './demo';

test('fourteen cuts, five of them pierced, are logged by two fields and one press, and taken back by one', async ({
	page,
	demo
}) => {
	await page.goto(`/wear?bench=${await demo.benchId('Bay 2')}&t=4`);
	const left = page.locator('[data-station="wear"]');
	const before = (await left.textContent())!;
	await page.getByLabel('Such cuts', { exact: true }).fill('14');
	await page.getByLabel('pierced, of them', { exact: true }).fill('5');
	await page.keyboard.press('Enter');
	await page.getByRole('button', { name: /Log 14 cuts, 4\.2 m/ }).click();
	const notice = page.getByTestId('notice');
	await expect(notice).toContainText('14 cuts logged, 5 of them pierced.');
	await expect(page.getByTestId('last-entry')).toContainText('of 4 mm mild steel, 5 starts');
	await expect(left).not.toHaveText(before);
	// The counter stands at one again, so that the next press is one cut.
	await expect(page.getByRole('button', { name: /^Log this cut, 300 mm/ })).toBeVisible();
	await notice.getByRole('button', { name: /Undo/ }).click();
	await expect(notice).toContainText('Taken back.');
	await expect(left).toHaveText(before);
});

test('a day of fourteen cuts, five pierced and one start that failed: three fields and one press', async ({
	page,
	demo
}) => {
	await page.goto(`/wear?bench=${await demo.benchId('Bay 2')}&t=4`);
	const left = page.locator('[data-station="wear"]');
	const before = (await left.textContent())!;
	await page.getByLabel('Such cuts', { exact: true }).fill('14');
	await page.getByLabel('pierced, of them', { exact: true }).fill('5');
	await page.getByRole('button', { name: 'More: failed starts, besides' }).click();
	await page.getByRole('button', { name: /Log 14 cuts, .* and 1 failed start/ }).click();
	const notice = page.getByTestId('notice');
	await expect(notice).toContainText('14 cuts logged, 5 of them pierced, and one failed start.');
	await notice.getByRole('button', { name: /Undo/ }).click();
	await expect(left).toHaveText(before);
});

test('the counter goes by keys, stays within what can be, and L logs what the button says', async ({
	page
}) => {
	await page.goto('/wear?t=4');
	const cuts = page.getByLabel('Such cuts', { exact: true });
	await page.getByRole('button', { name: 'More: Such cuts' }).press('Enter');
	await expect(cuts).toHaveValue('2');
	for (const typed of ['999', '0', 'many', '2.5']) {
		await cuts.fill(typed);
		await cuts.press('Enter');
		await expect(page.getByRole('alert')).toContainText('1 to 200, whole numbers');
		await expect(cuts).toHaveValue(typed);
		await expect(page.getByRole('button', { name: /Log 2 cuts/ })).toBeVisible();
	}
	await cuts.fill('3');
	await cuts.press('Enter');
	await expect(page.getByRole('alert')).toHaveCount(0);
	await page.getByRole('heading', { name: 'Log it' }).click();
	await page.keyboard.press('l');
	const notice = page.getByTestId('notice');
	await expect(notice).toContainText('3 cuts, 900 mm logged.');
	await page.keyboard.press('z');
	await expect(notice).toContainText('Taken back.');
});
