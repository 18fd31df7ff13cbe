import { expect, test } from './demo';

test('a value that cannot be is told at its field and changes nothing', async ({ page }) => {
	await page.goto('/bench');
	await page.locator('[data-part="cord"]').click();
	const length = page.getByLabel('Length, one way');
	for (const [typed, told] of [
		['-3', '0.1 to 100 m'],
		['ten metres', 'such as 12 m'],
		['12 bar', 'a value in mm, cm, m']
	] as const) {
		await length.fill(typed);
		await length.blur();
		await expect(page.getByRole('alert')).toContainText(told);
		await expect(length).toHaveValue(typed);
	}
	await expect(page.getByTestId('draft-bar')).toBeHidden();
	await length.fill('10 m');
	await length.blur();
	await expect(page.getByRole('alert')).toBeHidden();
});

test('too thick, and too thick to pierce, say what would work', async ({ page }) => {
	await page.goto('/setup?t=40');
	await expect(
		page.getByRole('alert').filter({ hasText: '22 mm is the most at 45 A' })
	).toBeVisible();
	await expect(page.getByTestId('too-thick')).toBeVisible();
	await expect(page.getByTestId('line-seconds')).toBeHidden();
	await expect(page.locator('body')).not.toContainText(/[-−]\d+(\.\d+)? mm\/s/);
	await page.locator('[data-station="wear"]').click();
	await expect(page.getByRole('button', { name: /Log this cut/ })).toHaveCount(0);
	await expect(page.getByText('there is nothing to log')).toBeVisible();
	await page.goto('/cut?t=15&start=pierce');
	await expect(page.getByRole('alert').filter({ hasText: 'start on an edge' })).toBeVisible();
});

test('a bench file is shown before it is written, and a bad one is refused with the field', async ({
	page,
	demo
}) => {
	const id = await demo.benchId('Bay 2');
	await page.goto(`/bench?bench=${id}`);
	const file = await (await page.request.get(`/api/benches/${id}/export`)).text();
	const give = (text: string) =>
		page.getByLabel('Bench file to import').setInputFiles({
			name: 'bench.json',
			mimeType: 'application/json',
			buffer: Buffer.from(text)
		});
	const alert = page.getByRole('region', { name: 'Bench file' }).getByRole('alert');
	await give('{"half":');
	await expect(alert).toContainText('not JSON');
	await give(file.replace(/"version": \d+/, '"version": 9'));
	await expect(alert).toContainText('version 9');
	await give(file.replace(/"ratingA": 32/, '"ratingA": "lots"'));
	await expect(alert).toContainText('bench.supply.breaker.ratingA');
	await give(file.replace('"name": "Bay 2"', '"name": "<img src=x onerror=alert(1)>"'));
	await expect(page.getByText('Nothing is written yet.')).toBeVisible();
	await expect(page.getByText('<img src=x onerror=alert(1)>')).toBeVisible();
	await page.getByRole('button', { name: 'Leave it' }).click();
});
