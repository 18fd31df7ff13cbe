import type { Page } from '@playwright/test';
import { expect, test } from './demo';

const cutsLeft = async (page: Page) =>
	Number(await page.getByTestId('cuts-left').getAttribute('data-value'));

/** Verdict and words of each station as the line tells them. */
async function lineStates(page: Page): Promise<string[]> {
	return page
		.getByRole('navigation', { name: 'The line' })
		.getByRole('link')
		.evaluateAll((links) => links.map((link) => `${link.dataset.station} ${link.dataset.verdict}`));
}

test('by mouse: from the bench to the setting card, the cut, the gouge and the parts', async ({
	page
}) => {
	await page.goto('/');
	await expect(page).toHaveURL(/\/supply/);

	await page.getByRole('link', { name: 'This bench', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Bay 2' })).toBeVisible();
	await page.locator('[data-part="cord"]').click();
	const length = page.getByLabel('Length, one way');
	await length.fill('75 ft');
	await length.blur();
	await expect(length).toHaveValue('22.9 m');
	await expect(page.getByTestId('draft-bar')).toContainText('not saved');

	const nav = page.getByRole('navigation', { name: 'The line' });
	await nav.locator('[data-station="supply"]').click();
	await expect(page.getByTestId('answer')).toContainText('45 A');
	const cutter = page.locator('.cutter');
	const voltsWithLongCord = await cutter.textContent();
	await page.getByTestId('draft-bar').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByTestId('draft-bar')).toBeHidden();
	expect(await cutter.textContent()).not.toBe(voltsWithLongCord);

	await nav.locator('[data-station="setup"]').click();
	const card = page.getByRole('region', { name: 'Setting card' });
	await expect(card).toContainText('6 mm mild steel, clean edge');
	await expect(page.getByTestId('line-seconds')).toHaveText('13.6 s');
	const thickness = page.getByRole('textbox', { name: 'Thickness' });
	await thickness.fill('1/4"');
	await thickness.blur();
	await expect(card).toContainText('6.4 mm mild steel');
	await expect(page).toHaveURL(/t=6\.35/);
	await page.reload();
	await expect(card).toContainText('6.4 mm mild steel');

	const handle = page.getByTestId('thickness-handle');
	const box = (await handle.boundingBox())!;
	await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
	await page.mouse.down();
	await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 40, { steps: 6 });
	await page.mouse.up();
	const dragged = Number(await handle.getAttribute('aria-valuenow'));
	expect(dragged).toBeGreaterThan(8);

	await card.getByRole('link', { name: /Print card/ }).click();
	await expect(page.getByTestId('print-card')).toContainText('check on scrap first');
	await page.getByRole('link', { name: 'Back to Setup' }).click();

	await nav.locator('[data-station="cut"]').click();
	// The chart's kerf near this thickness, about 1.6 mm: half of it less than the shield radius of 12.
	await expect(page.getByRole('img', { name: /Plan of the cut/ })).toHaveAccessibleName(/11\.2 mm/);
	await page.getByRole('radio', { name: 'On the waste' }).check();
	await expect(page.getByRole('img', { name: /Plan of the cut/ })).toHaveAccessibleName(/12\.8 mm/);

	await nav.locator('[data-station="gouge"]').click();
	await page.getByRole('button', { name: /^Groove/ }).click();
	await expect(page.getByRole('region', { name: 'Gouging card' })).toContainText('1string');

	await nav.locator('[data-station="wear"]').click();
	const before = await cutsLeft(page);
	await page.getByRole('button', { name: /Log this cut/ }).click();
	await expect(page.getByTestId('notice')).toContainText('logged');
	expect(await cutsLeft(page)).toBeLessThan(before);
	await page.getByTestId('notice').getByRole('button', { name: /Undo/ }).click();
	await expect(page.getByTestId('notice')).toContainText('Taken back');
	expect(await cutsLeft(page)).toBe(before);
});

test('by keyboard alone: the same way, with the working opened and closed', async ({ page }) => {
	await page.goto('/bench');
	await page.keyboard.press('1');
	await expect(page).toHaveURL(/\/supply/);
	await page.keyboard.press('2');
	await expect(page).toHaveURL(/\/setup/);
	const card = page.getByRole('region', { name: 'Setting card' });
	await page.keyboard.press(']');
	await expect(card).toContainText('6.5 mm');
	await page.keyboard.press('[');
	await expect(card).toContainText('6 mm');
	await page.keyboard.press('m');
	await expect(card).toContainText('stainless');
	for (let i = 0; i < 7; i++) await page.keyboard.press('m');
	await expect(card).toContainText('mild steel');

	await page.keyboard.press('w');
	await expect(page.locator('main button.wf:focus')).toHaveCount(1);
	await page.keyboard.press('Tab');
	await expect(page.locator('main button.wf:focus')).toHaveCount(1);
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('working')).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByTestId('working')).toBeHidden();

	await page.keyboard.press('p');
	await expect(page.getByTestId('print-card')).toBeVisible();
	await page.goBack();
	await expect(card).toBeVisible();
	await page.keyboard.press('3');
	await expect(page).toHaveURL(/\/cut/);
	await page.keyboard.press('4');
	await expect(page).toHaveURL(/\/gouge/);
	await page.keyboard.press(']');
	await expect(page.getByRole('slider', { name: 'Depth' })).toHaveAttribute('aria-valuenow', '3');
	await page.keyboard.press('5');
	await expect(page).toHaveURL(/\/wear/);
	const before = await cutsLeft(page);
	await page.keyboard.press('l');
	await expect(page.getByTestId('notice')).toContainText('logged');
	expect(await cutsLeft(page)).toBeLessThan(before);
	await page.keyboard.press('z');
	await expect(page.getByTestId('notice')).toContainText('Taken back');
	expect(await cutsLeft(page)).toBe(before);
});

test.describe('at phone size', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

	test('by touch: the same way, and nothing is wider than the screen', async ({ page }) => {
		await page.goto('/bench');
		await page.locator('[data-part="tank"]').tap();
		await expect(page.getByLabel('Volume')).toHaveValue('90 l');
		const nav = page.getByRole('navigation', { name: 'The line' });
		const fits = async () =>
			expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
				390
			);
		await fits();
		await nav.locator('[data-station="supply"]').tap();
		await expect(page.getByTestId('answer')).toContainText('45 A');
		await fits();
		await nav.locator('[data-station="setup"]').tap();
		await page.getByRole('button', { name: 'Thicker' }).tap();
		await expect(page.getByRole('region', { name: 'Setting card' })).toContainText('6.5 mm');
		await page
			.getByRole('button', { name: /Where from\? Travel/ })
			.first()
			.tap();
		await expect(page.getByTestId('working')).toBeVisible();
		await page.getByTestId('working').getByRole('button', { name: /Close/ }).tap();
		await fits();
		await page.getByRole('link', { name: /Print card/ }).tap();
		await expect(page.getByTestId('print-card')).toBeVisible();
		await fits();
		await page.getByRole('link', { name: 'Back to Setup' }).tap();
		for (const station of ['Cut', 'Gouge', 'Wear']) {
			await nav.locator(`[data-station="${station.toLowerCase()}"]`).tap();
			await expect(page).toHaveURL(new RegExp(`/${station.toLowerCase()}`));
			await fits();
		}
		const before = await cutsLeft(page);
		await page.getByRole('button', { name: /Log this cut/ }).tap();
		await expect(page.getByTestId('notice')).toContainText('logged');
		expect(await cutsLeft(page)).toBeLessThan(before);
		await page.getByTestId('notice').getByRole('button', { name: /Undo/ }).tap();
		await expect(page.getByTestId('notice')).toContainText('Taken back');
		expect(await cutsLeft(page)).toBe(before);
	});
});

test('verdicts agree on every station, on the card and through the API', async ({
	page,
	demo,
	request
}) => {
	const benchId = await demo.benchId('Towpath trolley');
	const plan = (await (await request.post('/api/plan', { data: { benchId, cut: {} } })).json()) as {
		verdict: string;
		weakestLink: { part: string; word: string };
		stations: Record<string, { verdict: string }>;
	};
	expect(plan.verdict).toBe('tight');
	const expected = Object.entries(plan.stations).map(([station, s]) => `${station} ${s.verdict}`);
	for (const path of ['supply', 'setup', 'cut', 'gouge', 'wear', 'bench']) {
		await page.goto(`/${path}?bench=${benchId}`);
		expect(await lineStates(page), path).toEqual(expected);
	}
	await page.goto(`/supply?bench=${benchId}`);
	await expect(page.getByText('weakest link')).toHaveCount(1);
	await page.goto(`/card?bench=${benchId}`);
	await expect(page.getByTestId('print-card')).toContainText(`tight: ${plan.weakestLink.word}`);
});
