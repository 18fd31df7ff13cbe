import { expect, openStage, test } from './demo';

test('a volts reading goes before the model and shows the T balloon, until it is taken back', async ({
	page,
	demo
}) => {
	await page.goto(`/supply?bench=${await demo.benchId('Towpath trolley')}`);
	const balloon = page.locator('[data-figure="supply.resistanceOhm"]');
	await expect(balloon).toHaveText('M');
	await openStage(page, 'measure');
	await page.getByRole('textbox', { name: 'Idle' }).fill('121');
	await page.getByRole('textbox', { name: 'Under arc' }).fill('117');
	await page.getByRole('textbox', { name: 'Clamp meter' }).fill('25');
	await page.getByRole('textbox', { name: 'Clamp meter' }).blur();
	await page.getByRole('button', { name: 'Log the reading', exact: true }).click();
	await expect(balloon).toHaveText('T');
	await balloon.click();
	await expect(page.getByTestId('working')).toContainText('measured');
	await expect(page.getByTestId('working')).toContainText('0.16 Ω');
	// Volts no longer are the weakest link; the heat of the cutter is.
	await expect(page.getByTestId('answer')).toContainText('tight: cutter heat');
	await page.keyboard.press('Escape');
	await page.getByTestId('notice').getByRole('button', { name: /Undo/ }).click();
	await expect(balloon).toHaveText('M');
	await expect(page.getByTestId('answer')).toContainText('tight: low volts');
});

test('a timed fill lowers the delivery, a timed drain sets the flow', async ({ page, demo }) => {
	await page.goto(`/supply?bench=${await demo.benchId('Towpath trolley')}`);
	await page.locator('[data-part="compressor"]').click();
	const delivery = page.locator('[data-figure="air.deliveryLpm"]').first();
	await expect(delivery).toHaveText('D');
	await openStage(page, 'measure');
	await page.getByLabel('Test', { exact: true }).selectOption('Timed fill');
	await page.getByLabel('From', { exact: true }).fill('4');
	await page.getByLabel('Up to').fill('100 psi');
	await page.getByLabel('In', { exact: true }).fill('70 s');
	await page.getByLabel('In', { exact: true }).blur();
	await page.getByRole('button', { name: 'Log the reading', exact: true }).click();
	await expect(delivery).toHaveText('T');
	await page.getByTestId('notice').getByRole('button', { name: /Undo/ }).click();
	await expect(delivery).toHaveText('D');

	await openStage(page, 'measure');
	await page.getByLabel('Test', { exact: true }).selectOption('Timed drain');
	await page.getByLabel('From', { exact: true }).fill('7');
	await page.getByRole('textbox', { name: 'Down to' }).fill('8');
	await page.getByLabel('In', { exact: true }).fill('20');
	await page.getByLabel('In', { exact: true }).blur();
	await page.getByRole('button', { name: 'Log the reading', exact: true }).click();
	await expect(page.getByTestId('notice')).toContainText('below the first reading');
	await expect(page.getByRole('textbox', { name: 'Down to' })).toHaveValue('8 bar');
});

test('a pit reading moves the life left', async ({ page }) => {
	await page.goto('/wear');
	const left = page.getByTestId('cuts-left');
	const before = Number(await left.getAttribute('data-value'));
	await page.getByLabel('Depth gauge reads').fill('0.9');
	await page.getByLabel('Depth gauge reads').blur();
	await page.getByRole('button', { name: 'Log the pit', exact: true }).click();
	await expect(page.getByTestId('notice')).toContainText('Pit of 0.9 mm');
	expect(Number(await left.getAttribute('data-value'))).toBeLessThan(before);
	await page.getByTestId('notice').getByRole('button', { name: /Undo/ }).click();
	await expect(left).toHaveAttribute('data-value', String(before));
});

test('units switch everywhere at once and the first paint keeps them', async ({ page }) => {
	await page.goto('/setup?t=1.519');
	await page.getByRole('radio', { name: 'gauge' }).check();
	await expect(page.getByRole('region', { name: 'Setting card' })).toContainText(
		'16 ga mild steel'
	);
	await expect(page.getByRole('navigation', { name: 'The line' })).toContainText('in/min');
	const html = await (await page.context().request.get('/setup?t=1.519')).text();
	expect(html).toContain('16 ga mild steel');
	await page.getByRole('radio', { name: 'Dark' }).check();
	expect(await (await page.context().request.get('/setup')).text()).toContain(
		'data-theme="hood-down"'
	);
});
