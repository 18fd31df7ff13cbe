import { answering, expect, test } from './demo';

test('the demo is what it says: two benches, a dozen cuts, three pairs, measurements', async ({
	request
}) => {
	const shop = (await (await request.get('/api/export')).json()) as {
		benches: { bench: { name: string } }[];
		sets: { removedAt: string | null }[];
		log: { entry: { kind: string } }[];
	};
	expect(shop.benches.map((b) => b.bench.name)).toEqual(['Bay 2', 'Towpath trolley']);
	const kinds = shop.log.map((row) => row.entry.kind);
	expect(kinds.filter((kind) => kind === 'cut').length).toBeGreaterThanOrEqual(12);
	expect(kinds.filter((kind) => kind === 'pit').length).toBeGreaterThanOrEqual(3);
	expect(shop.sets.filter((set) => set.removedAt === null)).toHaveLength(2);
});

test('harder work stops the cutter: when, which amps run on, and the same on every station', async ({
	page
}) => {
	await page.goto('/supply');
	await page.getByRole('radio', { name: 'a pattern of its own' }).check();
	const arc = page.getByLabel('Arc on');
	await arc.fill('2 min');
	await arc.blur();
	await page.getByRole('textbox', { name: 'Pause' }).fill('10');
	await page.getByRole('textbox', { name: 'Pause' }).blur();
	await page.getByRole('textbox', { name: 'Shop' }).fill('95 °F');
	await page.getByRole('textbox', { name: 'Shop' }).blur();
	await expect(page.getByRole('textbox', { name: 'Shop' })).toHaveValue('35 °C');
	await expect(page.getByTestId('answer')).toContainText(/45 A stops \d+:\d\d: (cutter heat|air)/);
	await expect(page.getByText('first limit', { exact: true })).toHaveCount(1);
	await expect(page).toHaveURL(/arc=120&rest=10&shop=35.*work=pattern/);
	const supply = page.locator('[data-station="supply"]');
	const word = await supply.textContent();
	await page.keyboard.press('Escape');
	await page.locator('[data-station="wear"]').click();
	await expect(supply).toHaveAttribute('data-verdict', 'stops');
	expect(await supply.textContent()).toBe(word);
	await page.reload();
	expect(await supply.textContent()).toBe(word);
});

test('a part can be taken out and put back, chosen from a list, and undone step by step', async ({
	page
}) => {
	await page.goto('/bench');
	await page.locator('[data-part="cord"]').click();
	const editor = page.getByTestId('part-editor');
	await editor.getByRole('radio', { name: 'none' }).check();
	await expect(editor.getByLabel('Length, one way')).toBeHidden();
	await editor.getByRole('radio', { name: 'fitted' }).check();
	await expect(editor.getByLabel('Length, one way')).toHaveValue('7.6 m');
	await page.locator('[data-part="wire"]').click();
	await editor.getByLabel('Size').selectOption({ label: '2.5 mm²' });
	await page.locator('[data-station="supply"]').click();
	await page.locator('[data-part="wire"]').click();
	await expect(page.getByText('does not protect a 2.5 mm² wire')).toBeVisible();
	const bar = page.getByTestId('draft-bar');
	for (let step = 0; step < 3; step++) await bar.getByRole('button', { name: 'Undo' }).click();
	await expect(bar).toBeHidden();
	await expect(page.getByText('does not protect')).toBeHidden();
});

test('a bench is saved, stays after a reload, and goes back', async ({ page }) => {
	await page.goto('/bench');
	const save = async (name: string) => {
		await page.getByLabel('This bench is called').fill(name);
		await page.getByLabel('This bench is called').blur();
		await page.getByRole('button', { name: 'Save bench' }).click();
		await expect(page.getByTestId('notice')).toContainText('Bench saved');
	};
	await save('Bay 2, north wall');
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Bay 2, north wall' })).toBeVisible();
	await expect(page.getByLabel('Bench', { exact: true })).toContainText('Bay 2, north wall');
	await save('Bay 2');
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Bay 2', exact: true })).toBeVisible();
});

test('an imported bench is added, picked, and planned for', async ({ page }) => {
	await page.goto('/bench');
	const file = await (await page.request.get(await exportLink(page))).text();
	await page.getByLabel('Bench file to import').setInputFiles({
		name: 'bay-3.bench.json',
		mimeType: 'application/json',
		buffer: Buffer.from(file.replace('"name": "Bay 2"', '"name": "Bay 3"'))
	});
	await page.getByRole('button', { name: 'Add it as a new bench' }).click();
	await expect(page.getByRole('heading', { name: 'Bay 3' })).toBeVisible();
	await page.locator('[data-station="setup"]').click();
	await expect(page.getByRole('region', { name: 'Setting card' })).toContainText('45');
	await page.getByLabel('Bench', { exact: true }).selectOption({ label: 'Bay 2' });
	await expect(page.getByLabel('Bench', { exact: true })).toHaveValue(/.+/);
	await expect(page).toHaveTitle(/Bay 2/);
});
async function exportLink(page: import('@playwright/test').Page): Promise<string> {
	return (await page.getByRole('link', { name: 'Export this bench' }).getAttribute('href'))!;
}

test('a new pair starts fresh and can be taken out again; the schools of the shop move the life', async ({
	page
}) => {
	await page.goto('/wear');
	const left = page.getByTestId('cuts-left');
	const before = Number(await left.getAttribute('data-value'));
	await page.getByRole('button', { name: 'A new pair is in' }).click();
	await expect(page.getByText('Pair C, in since')).toBeVisible();
	expect(Number(await left.getAttribute('data-value'))).toBeGreaterThan(before);
	await page.getByTestId('notice').getByRole('button', { name: /Undo/ }).click();
	await expect(page.getByText('Pair B, in since')).toBeVisible();
	await expect(left).toHaveAttribute('data-value', String(before));

	await page.goto('/bench');
	await page.getByRole('radio', { name: /^1 mm .*cautious/ }).check();
	await page.locator('[data-station="wear"]').click();
	await expect.poll(async () => Number(await left.getAttribute('data-value'))).toBeLessThan(before);
	await page.goto('/bench');
	await page.getByRole('radio', { name: '1.5 mm (1/16")' }).check();
	await page.locator('[data-station="wear"]').click();
	await expect(left).toHaveAttribute('data-value', String(before));
});

test('keys: units, theme, amps, aim; and none of them while typing or when turned off', async ({
	page
}) => {
	await page.goto('/setup');
	const card = page.getByRole('region', { name: 'Setting card' });
	await page.keyboard.press('u');
	await expect(card).toContainText('in/min');
	await page.keyboard.press('u');
	await page.keyboard.press('u');
	await expect(card).toContainText('mm/s');
	await page.keyboard.press('t');
	await expect(page.locator('html')).toHaveAttribute('data-theme', 'hood-down');
	await page.keyboard.press('t');
	await page.keyboard.press('-');
	await page.keyboard.press('-');
	await expect(page.getByRole('textbox', { name: 'Amps' })).toHaveValue('43 A');
	await page.keyboard.press('a');
	await expect(card).toContainText('just sever');
	await page.keyboard.press('a');

	const thickness = page.getByRole('textbox', { name: 'Thickness' });
	await thickness.fill('');
	await thickness.pressSequentially('8 mm');
	await thickness.press('Enter');
	await expect(card).toContainText('8 mm mild steel');
	await thickness.blur();
	await page.keyboard.press('Shift+?');
	await page.getByLabel('Single keys are on').uncheck();
	await page.keyboard.press('Escape');
	await page.keyboard.press('m');
	await expect(card).toContainText('mild steel');
});

test('the card prints on one A6 page, black on white', async ({ page }) => {
	await page.goto('/card?t=10');
	const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
	const [, width, height] = /\/MediaBox\s*\[0 0 ([\d.]+) ([\d.]+)\]/.exec(pdf)!;
	// A6 landscape, 148 × 105 mm, in points.
	expect(Number(width)).toBeCloseTo((148 / 25.4) * 72, -1);
	expect(Number(height)).toBeCloseTo((105 / 25.4) * 72, -1);
	expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
	await page.emulateMedia({ media: 'print' });
	await expect(page.getByRole('button', { name: 'Print, A6' })).toBeHidden();
	const card = page.getByTestId('print-card');
	await expect(card).toHaveCSS('background-color', 'rgb(255, 255, 255)');
	await expect(card).toHaveCSS('color', 'rgb(0, 0, 0)');
});

test('a shared link opens the same numbers', async ({ page, browser, demo }) => {
	await page.goto('/setup?metal=stainless&t=4&aim=sever&school=typed&a=38&len=500');
	const said = await page.getByTestId('line-seconds').textContent();
	await page.getByRole('link', { name: /Print card/ }).click();
	await page.waitForURL(/\/card/);
	const link = page.url();
	const stranger = answering(await browser.newPage());
	await stranger.goto(link);
	expect(new URL(link).host).toBe(new URL(demo.url).host);
	await expect(stranger.getByTestId('print-card')).toContainText('4 mm stainless, just sever');
	await expect(stranger.getByTestId('print-card')).toContainText(said!);
	await stranger.close();
});
