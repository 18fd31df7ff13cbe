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

test('a stale save shows both versions and overwrites nothing', async ({ page, demo, request }) => {
	const id = await demo.benchId('Bay 2');
	await page.goto(`/bench?bench=${id}`);
	await page.getByLabel('This bench is called').fill('Bay two');
	await page.getByLabel('This bench is called').blur();
	const { revision, bench } = (await (await request.get(`/api/benches/${id}`)).json()) as {
		revision: number;
		bench: { air: { tankL: number } };
	};
	const other = { ...bench, air: { ...bench.air, tankL: 120 } };
	await request.put(`/api/benches/${id}`, {
		data: { opId: `stale-${revision}-abc`, revision, bench: other }
	});

	await page.getByRole('button', { name: 'Save bench' }).click();
	await expect(
		page.getByRole('alert').filter({ hasText: 'Somebody saved this bench' })
	).toBeVisible();
	const kept = (await (await request.get(`/api/benches/${id}`)).json()) as typeof bench;
	expect(kept).toMatchObject({ bench: { name: 'Bay 2', air: { tankL: 120 } } });
	await page.getByRole('button', { name: 'Take theirs' }).click();
	await expect(page.getByRole('heading', { name: 'Bay 2' })).toBeVisible();
	// Back to the demo's own tank.
	await request.put(`/api/benches/${id}`, {
		data: { opId: `restore-${revision}-abc`, revision: revision + 1, bench }
	});
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
	await give(file.replace('"version": 3', '"version": 9'));
	await expect(alert).toContainText('version 9');
	await give(file.replace(/"ratingA": 32/, '"ratingA": "lots"'));
	await expect(alert).toContainText('bench.supply.breaker.ratingA');
	await give(file.replace('"name": "Bay 2"', '"name": "<img src=x onerror=alert(1)>"'));
	await expect(page.getByText('Nothing is written yet.')).toBeVisible();
	await expect(page.getByText('<img src=x onerror=alert(1)>')).toBeVisible();
	await page.getByRole('button', { name: 'Leave it' }).click();
});

test('with the server away a cut is kept on the device and sent once when it is back', async ({
	page,
	demo
}) => {
	await page.goto(`/wear?bench=${await demo.benchId('Bay 2')}`);
	await page.context().setOffline(true);
	await page.getByRole('button', { name: /Log this cut/ }).click();
	await expect(page.getByText('1 kept on this device, not sent yet.')).toBeVisible();
	await page.context().setOffline(false);
	await expect(page.getByTestId('notice')).toContainText('now sent');
	await page.reload();
	const before = Number(await page.getByTestId('cuts-left').getAttribute('data-value'));
	await page.getByRole('button', { name: 'Take it back' }).click();
	await expect(page.getByTestId('notice')).toContainText('Taken back');
	expect(Number(await page.getByTestId('cuts-left').getAttribute('data-value'))).toBeGreaterThan(
		before
	);
});
