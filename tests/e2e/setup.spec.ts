import type { Page } from '@playwright/test';
import { expect, openStage, test } from './demo';

const CSV = `Werkstoff,Stromstärke,Blech in mm,Vorschub,Fuge
mild steel,27,3,"31,5","1,2"
mild steel,27,6.35,"10,8","1,3"
mild steel,27,9.5,"5,1","1,4"`;

async function chooseChart(page: Page, text: string, name = 'chart.csv'): Promise<void> {
	await page
		.getByLabel('Chart file')
		.setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
}
/** Slow and fast end of the band that is told, in the unit that is shown. */
async function bandOf(page: Page): Promise<number> {
	const told = (await page.getByTestId('speed-band').textContent())!;
	const [, low, high] = /between\s+([\d.]+) \S+\s+and\s+([\d.]+)/.exec(told)!;
	return Number(high) / Number(low);
}

test('a chart with headers of its own is mapped by hand, looked at, taken, and taken back', async ({
	page,
	demo,
	request
}) => {
	const id = await demo.benchId('Towpath trolley');
	const stored = async () =>
		((await (await request.get(`/api/charts/${id}`)).json()) as { rows: unknown[] }).rows.length;
	await page.goto(`/chart?bench=${id}`);
	await expect(page.getByRole('heading', { name: '8 rows' })).toBeVisible();
	await chooseChart(page, CSV);
	const preview = page.getByTestId('chart-preview');
	await expect(preview).toContainText('no column for speed');
	const put = preview.getByRole('button', { name: 'Put in place of the chart' });
	await expect(put).toBeDisabled();
	await preview.getByLabel('Metal').selectOption('Werkstoff');
	await preview.getByLabel('Amps').selectOption('Stromstärke');
	await preview.getByLabel('Thickness').selectOption('Blech in mm');
	await preview.getByLabel('Speed').selectOption('Vorschub');
	await preview.getByLabel('Kerf').selectOption('Fuge');
	await expect(preview).toContainText('3 rows can be taken');
	await expect(preview).toContainText('10.8 mm/s');
	const unit = preview.getByLabel('Unit of speed');
	await unit.selectOption('in/min');
	await expect(preview).toContainText('4.57 mm/s');
	await unit.selectOption('mm/s');
	await expect(preview).toContainText('10.8 mm/s');
	expect(await stored()).toBe(8);
	await put.click();
	await expect(page.getByTestId('notice')).toContainText('3 rows now');
	expect(await stored()).toBe(3);

	await page.getByRole('link', { name: 'Back to Setup' }).click();
	const thickness = page.getByRole('textbox', { name: 'Thickness', exact: true });
	await thickness.fill('1/4"');
	await thickness.blur();
	await expect(page.getByRole('region', { name: 'Setting card' })).toContainText('11mm/s');
	await expect(page.locator('[data-figure="setup.speedMmS"]').first()).toHaveText('C');
	await page.getByTestId('notice').getByRole('button', { name: /Undo/ }).click();
	await expect.poll(stored).toBe(8);
});

test('bad charts are refused or questioned with the row named, and nothing is written', async ({
	page
}) => {
	await page.goto('/chart');
	const messages = page.getByTestId('chart-messages');
	const head = 'metal,amps,thickness (mm),speed (mm/s)';
	const put = page.getByRole('button', { name: 'Put in place of the chart' });
	for (const [text, told] of [
		['', 'There is no table in it'],
		[`${head}\nmild steel,45,6,9000`, 'row 2, speed: 0.2 to 500 mm/s is accepted, got 9000'],
		[`${head}\n\ncheese,45,6,20`, 'row 3, metal'],
		[`${head}\nmild steel,45,6,=B2*2`, 'a formula, not a value']
	] as const) {
		await chooseChart(page, text);
		await expect(messages).toContainText(told);
		await expect(put).toBeDisabled();
	}
	await chooseChart(page, `${head}\nmild steel,45,6,20\nmild steel,45,8,26\nmild steel,45,x,9`);
	await expect(messages).toContainText('row 3, speed: faster than the thinner plate');
	await expect(page.getByTestId('chart-preview')).toContainText(
		'2 rows can be taken, 1 are left out'
	);
	await expect(put).toBeDisabled();
	await page.getByLabel(/I have looked at/).check();
	await expect(put).toBeEnabled();
	await page.getByRole('button', { name: 'Leave it' }).click();
	await chooseChart(page, 'x'.repeat(6_000_000), 'huge.csv');
	await expect(page.getByRole('alert')).toContainText(
		'huge.csv has 6 MB; a chart has at most 5 MB. Nothing was read.'
	);
	await expect(page.getByRole('heading', { name: '24 rows' })).toBeVisible();
});

test('the grid takes any unit, keeps what it refuses, sorts, and goes back as it was', async ({
	page
}) => {
	await page.goto('/chart');
	const speed = page.getByLabel('Speed, row 1', { exact: true });
	await speed.fill('170 ipm');
	await speed.blur();
	await expect(speed).toHaveValue('72 mm/s');
	await speed.fill('fast');
	await speed.blur();
	await expect(speed).toHaveValue('fast');
	await expect(page.getByRole('alert')).toBeVisible();
	const third = page.getByLabel('Speed, row 3');
	await third.fill('90');
	await third.blur();
	await expect(page.getByTestId('rising')).toContainText('Row 3');
	await page.getByRole('button', { name: 'Thickness' }).click();
	await expect(page.getByRole('columnheader', { name: /Thickness/ })).toHaveAttribute(
		'aria-sort',
		'ascending'
	);
	await expect(page.getByRole('region', { name: 'Rows of the chart' })).toContainText('10');
	await page.getByRole('button', { name: 'Add a row' }).click();
	await expect(page.getByRole('heading', { name: '25 rows' })).toBeVisible();
	await page.getByRole('button', { name: 'Undo the changes' }).click();
	await expect(page.getByRole('heading', { name: '24 rows' })).toBeVisible();
	await expect(page.getByTestId('rising')).toBeHidden();
});

test('quarter-inch steel: the schools side by side, and the one chosen goes everywhere', async ({
	page
}) => {
	await page.goto('/setup');
	await page
		.getByRole('radiogroup', { name: 'Units' })
		.getByRole('radio', { name: 'inch' })
		.check();
	const thickness = page.getByRole('textbox', { name: 'Thickness' });
	await thickness.fill('.25');
	await thickness.blur();
	await expect(thickness).toHaveValue('1/4 in');
	await openStage(page, 'how-many-amps');
	await openStage(page, 'torch-parts');
	await openStage(page, 'aims');
	const schools = page.getByRole('region', { name: 'How many amps?' });
	await expect(schools.getByRole('columnheader')).toHaveCount(4);
	const match = schools.getByRole('button', { name: /By thickness, \d+ A/ });
	const amps = /(\d+) A/.exec((await match.textContent())!)![1]!;
	expect(Number(amps)).toBeLessThan(30);
	await expect(page.getByTestId('school-advice')).toContainText('Both can be held');
	await match.click();
	const card = page.getByRole('region', { name: 'Setting card' });
	await expect(card).toContainText(`${amps}A`);
	await expect(page).toHaveURL(/school=matched/);
	await expect(page.locator('[data-station="setup"]')).toContainText(`${amps} A`);
	await expect(page.getByTestId('changes')).toContainText('the 30 A nozzle');
	await page.getByRole('button', { name: 'Take 45 A for fastest' }).click();
	await expect(card).toContainText('1/4 in mild steel, fastest');
	await page.getByTestId('notice').getByRole('button', { name: /Undo/ }).click();
	await expect(card).toContainText(`${amps}A`);
	await page.getByRole('radiogroup', { name: 'Units' }).getByRole('radio', { name: 'mm' }).check();
});

test('the drawing tells no angle of sparks in sheet, where there is none to go by', async ({
	page
}) => {
	await page.goto('/setup?t=2.9');
	const section = page.getByRole('group', { name: 'Side section of the cut' });
	await expect(section).toContainText('sparks tell nothing');
	await expect(section).not.toContainText('°');
	await expect(page.getByRole('region', { name: 'Speed window' })).toContainText(
		'amber: about right'
	);
	await page.goto('/setup?t=3');
	await expect(section).toContainText(/\d+°.*sparks trail/s);
});

test('three test cuts tighten the band and are taken back one by one; one that fails slows it', async ({
	page
}) => {
	await page.goto('/setup?t=8');
	await openStage(page, 'test-cuts');
	const cuts = page.getByRole('region', { name: 'Test cuts' });
	const first = await bandOf(page);
	const speedLetter = page.locator('[data-figure="setup.speedMmS"]').first();
	await expect(speedLetter).toHaveText('C');
	const widths = [first];
	for (const seconds of ['6.5', '6.2', '6.4']) {
		const took = cuts.getByLabel('took');
		await took.fill(seconds);
		await took.blur();
		const count = await cuts.getByTestId('measured').getByRole('listitem').count();
		await cuts.getByRole('button', { name: /Log this cut/ }).click();
		await expect(cuts.getByTestId('measured').getByRole('listitem')).toHaveCount(count + 1);
		widths.push(await bandOf(page));
	}
	await expect(speedLetter).toHaveText('T');
	// Shown in whole mm/s: three say no less than one.
	expect(widths[3]!).toBeLessThanOrEqual(widths[1]!);
	expect(widths[3]!).toBeLessThanOrEqual(widths[0]!);
	await expect(cuts.getByTestId('moved')).toBeVisible();

	const seconds = page.getByTestId('line-seconds');
	const before = parseFloat((await seconds.textContent())!);
	await cuts.getByRole('radio', { name: 'Not through' }).check();
	await cuts.getByLabel('took').fill('5');
	await cuts.getByLabel('took').blur();
	await cuts.getByRole('button', { name: /Log this cut/ }).click();
	await expect(cuts.getByTestId('measured')).toContainText('not through');
	expect(parseFloat((await seconds.textContent())!)).toBeGreaterThan(before);
	for (let i = 0; i < 4; i++) {
		const takeBack = cuts.getByRole('button', { name: /Take back: test cut, 8 mm mild/ });
		const left = await takeBack.count();
		await takeBack.first().click();
		await expect(takeBack).toHaveCount(left - 1);
	}
	await expect(speedLetter).toHaveText('C');
	expect(await bandOf(page)).toBeCloseTo(first, 6);
});

test('a card is saved, reopened with its own numbers whatever the bench has learnt, and taken off', async ({
	page
}) => {
	await page.goto('/setup?t=12');
	const seconds = (await page.getByTestId('line-seconds').textContent())!;
	await openStage(page, 'shelf');
	await openStage(page, 'test-cuts');
	const shelf = page.getByRole('region', { name: 'Shelf of cards' });
	await shelf.getByLabel(/Save this card/).fill('Sill plate');
	await shelf.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByTestId('notice')).toContainText('Sill plate is on the shelf');

	const cuts = page.getByRole('region', { name: 'Test cuts' });
	await cuts.getByLabel('took').fill('18');
	await cuts.getByLabel('took').blur();
	await cuts.getByRole('button', { name: /Log this cut/ }).click();
	await expect(page.getByTestId('line-seconds')).not.toHaveText(seconds);

	await shelf.getByRole('link', { name: 'Sill plate', exact: true }).click();
	await expect(page.getByTestId('print-card')).toContainText('Sill plate');
	await expect(page.getByTestId('print-card')).toContainText('12 mm mild steel, clean edge');
	await expect(page.getByTestId('print-card')).toContainText(seconds);
	await expect(page.getByTestId('saved')).toContainText(/Travel: .* then, .* today/);
	const link = page.url();
	await page.goto('/setup?t=12');
	await openStage(page, 'test-cuts');
	await cuts.getByRole('button', { name: /Take back: test cut, 12 mm/ }).click();
	await expect(page.getByTestId('line-seconds')).toHaveText(seconds);
	await page.goto(link);
	await expect(page.getByTestId('saved')).toContainText('says the same');

	await page.goto('/setup');
	await openStage(page, 'shelf');
	await shelf.getByRole('button', { name: 'Take Sill plate off the shelf' }).click();
	await expect(shelf.getByTestId('shelf')).not.toContainText('Sill plate');
	await page.getByTestId('notice').getByRole('button', { name: /Undo/ }).click();
	await expect(shelf.getByTestId('shelf')).toContainText('Sill plate');
	await shelf.getByRole('button', { name: 'Take Sill plate off the shelf' }).click();
	await expect(shelf.getByTestId('shelf')).not.toContainText('Sill plate');
	expect((await page.goto('/card?saved=nobody'))!.status()).toBe(404);
});

test('cards print on A4 with their reasons, and the shelf four to a sheet', async ({ page }) => {
	const sheet = async (path: string) => {
		await page.goto(path);
		const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
		const [, width, height] = /\/MediaBox\s*\[0 0 ([\d.]+) ([\d.]+)\]/.exec(pdf)!;
		const mm = (points: string | undefined) => Math.round((Number(points) * 25.4) / 72);
		return { size: [mm(width), mm(height)], pages: pdf.match(/\/Type\s*\/Page\b/g)!.length };
	};
	expect(await sheet('/card/a4?t=10')).toEqual({ size: [210, 297], pages: 1 });
	await expect(page.getByRole('region', { name: 'Where the numbers come from' })).toContainText(
		'Your cut chart'
	);
	expect(await sheet('/card/shelf')).toEqual({ size: [297, 210], pages: 1 });
	await expect(page.getByTestId('print-card')).toHaveCount(3);
	await expect(page.getByTestId('print-card').first()).toContainText('Paddle plate');
});

test('the pacer counts in, keeps the beat, and starts and stops by a pedal that sends a space', async ({
	page
}) => {
	await page.goto('/setup?len=60');
	const pacer = page.getByTestId('pacer');
	await expect(pacer).toHaveText('2.7 s');
	await page.locator('h2', { hasText: 'Dry run' }).scrollIntoViewIfNeeded();
	await page.keyboard.press(' ');
	await expect(page.getByRole('button', { name: /Stop/ })).toBeVisible();
	// A slow machine may show it first when the count is under way.
	await expect(pacer).toHaveText(/^[321]$/);
	await expect(pacer).toContainText('of 6');
	await page.keyboard.press(' ');
	await expect(page.getByRole('button', { name: /Pace me/ })).toBeVisible();
	await page.getByRole('radio', { name: 'Light only' }).check();
	await page.keyboard.press(' ');
	await expect(pacer).toHaveText('end');

	await page.getByRole('button', { name: /Match the screen/ }).click();
	const bar = page.getByTestId('ruler').locator('.ruler');
	const nominal = (await bar.boundingBox())!.width;
	await page.getByLabel('Size of the bar').fill('5');
	expect((await bar.boundingBox())!.width).toBeCloseTo(250, 0);
	expect(nominal).toBeCloseTo((50 * 96) / 25.4, 0);
	await page.reload();
	await page.getByRole('button', { name: /Screen matched/ }).click();
	expect((await bar.boundingBox())!.width).toBeCloseTo(250, 0);
});

test('what no hand follows is timed, paced, practised and printed at the pace of a hand', async ({
	page
}) => {
	const sheet = 't=1.5&school=full&guide=kept&len=300';
	await page.goto(`/setup?${sheet}`);
	await expect(page.getByTestId('line-seconds')).toHaveText('6 s');
	await expect(page.getByRole('region', { name: 'Setting card' })).toContainText(
		'for your 300 mm line, at a hand’s 50 mm/s'
	);
	await expect(page.getByTestId('pacer')).toHaveText('6 s');
	await expect(page.getByRole('region', { name: 'Pacer' })).toContainText(
		'as fast as a hand goes, 50 mm/s'
	);
	await page.goto(`/cut?${sheet}`);
	const beside = page.locator('aside').filter({ hasText: 'Travel asked' });
	await expect(beside).toContainText(/As fast as a hand goes\s*50 mm\/s/);
	await expect(beside).toContainText(/Your line\s*6 s/);
	await page.goto(`/practice?${sheet}`);
	await expect(page.getByTestId('to-hold')).toContainText(
		/hold 50 mm\/s, between 43 mm\/s and 58 mm\/s\.\s+The amps ask for [\d.]+ mm\/s/
	);
	// Sparks tell nothing in sheet, so none are drawn.
	const hand = page.getByRole('region', { name: 'Under the hand' });
	await expect(hand).toContainText('go by the marks');
	await expect(hand.locator('svg')).toHaveCount(0);
	await page.goto(`/card?${sheet}`);
	await expect(page.getByTestId('print-card')).toContainText('6 s for 300 mm, at a hand’s 50 mm/s');

	await page.goto(`/setup?${sheet.replace('1.5', '8')}`);
	await expect(page.getByTestId('pacer')).not.toHaveText('6 s');
	await page.goto(`/cut?${sheet.replace('1.5', '8')}`);
	await expect(page.locator('aside')).not.toContainText('asked');
	await page.goto(`/setup?${sheet.replace('1.5', '8')}`);
	await expect(page.locator('main')).not.toContainText('a hand’s');
	await page.goto(`/practice?${sheet.replace('1.5', '8')}`);
	await expect(hand.locator('svg')).toHaveCount(1);
	await expect(page.getByTestId('to-hold')).not.toContainText('ask');
});

test('wrong parts in the torch refuse the cut with the reason, and the torch is told how to go together', async ({
	page
}) => {
	await page.goto('/bench');
	await page.locator('[data-part="torch"]').click();
	const editor = page.getByTestId('part-editor');
	const most = editor.getByLabel('to', { exact: true });
	await most.fill('30');
	await most.blur();
	await editor
		.getByLabel('How it goes together')
		.selectOption({ label: 'swirl ring goes in first' });
	await page.locator('[data-station="setup"]').click();
	await expect(page.getByRole('alert').filter({ hasText: 'swirl ring' })).toContainText(
		'Power off, fit the swirl ring for 45 A'
	);
	await expect(page.locator('[data-station="setup"]')).toHaveAttribute('data-verdict', 'stops');
	await openStage(page, 'torch-parts');
	const parts = page.getByRole('region', { name: 'Parts in the torch' });
	await expect(parts.getByRole('listitem').filter({ hasText: 'no ring, no arc' })).toContainText(
		'2'
	);
	// Before the arc it is told with what else stops, and where it is mended.
	const thickness = page.getByRole('textbox', { name: 'Thickness' });
	await thickness.fill('40');
	await thickness.press('Enter');
	await page.locator('[data-station="checks"]').click();
	const no = page.getByTestId('plan-says-no');
	await expect(no).toContainText('change the swirl ring');
	await expect(no).toContainText('too thick');
	await no.getByRole('link', { name: 'setup' }).first().click();
	await thickness.fill('6');
	await thickness.press('Enter');
	await page.getByTestId('draft-bar').getByRole('button', { name: 'Undo' }).click();
	await page.getByTestId('draft-bar').getByRole('button', { name: 'Undo' }).click();
	await expect(page.locator('[data-station="setup"]')).toHaveAttribute('data-verdict', 'holds');
});

test('stack, bevel, mesh and coatings change the plan, warn, and stay in the address', async ({
	page
}) => {
	await page.goto('/setup?t=4');
	const seconds = page.getByTestId('line-seconds');
	const plain = parseFloat((await seconds.textContent())!);
	await page.getByTestId('more').click();
	await page.getByLabel('Sheets').selectOption('2');
	const bevel = page.getByLabel('Bevel');
	await bevel.fill('75');
	await bevel.blur();
	await expect(page.getByRole('alert').first()).toContainText('0° to 60° is accepted');
	await bevel.fill('30');
	await bevel.blur();
	await page.getByLabel('On the back').selectOption({ label: 'zinc' });
	await page.getByRole('radio', { name: 'Mesh' }).check();
	await expect(page.getByTestId('more')).toHaveText(
		'Plate: 2 sheets, 30° bevel, mesh, zinc on the back'
	);
	const card = page.getByRole('region', { name: 'Setting card' });
	await expect(card).toContainText('2 × 4 mm mild steel, clean edge, 30° bevel');
	expect(parseFloat((await seconds.textContent())!)).toBeGreaterThan(2 * plain);
	await expect(page.getByText('On the back: Zinc fume makes ill')).toBeVisible();
	const said = await seconds.textContent();
	await page.reload();
	await expect(seconds).toHaveText(said!);
	await expect(page.getByTestId('more')).toHaveText(
		'Plate: 2 sheets, 30° bevel, mesh, zinc on the back'
	);
});

test('a plate too thick to part is drawn to scale, and its handle stays under the hand', async ({
	page,
	demo
}) => {
	await page.goto(`/setup?bench=${await demo.benchId('Bay 2')}&t=40`);
	await expect(page.locator('[data-station=setup]')).toHaveAttribute('data-verdict', 'stops');
	// No travel, and nothing on the bar: neither amber nor what it would mean.
	const bar = page.getByRole('region', { name: 'Speed window' });
	await expect(bar.getByRole('img', { name: 'no speed, it does not go through' })).toBeVisible();
	await expect(bar).not.toContainText('amber');
	// What is not seen is not reached either: no balloon of a travel, of a kerf or of sparks that there are not.
	const card = page.getByRole('region', { name: 'Setting card' });
	const [tooThick, seconds] = [card.getByTestId('too-thick'), card.getByTestId('line-seconds')];
	const kerf = page.locator('svg [data-figure="setup.kerfMm"]');
	await expect(tooThick).toBeVisible();
	await expect(seconds).toBeHidden();
	await expect(card.getByRole('button', { name: /^Where from\? Travel/ })).toHaveCount(0);
	await expect(kerf).toBeHidden();
	const handle = page.getByTestId('thickness-handle');
	const reach = async () => Number(await handle.getAttribute('aria-valuemax'));
	const before = await reach();
	expect(before).toBeGreaterThanOrEqual(40);
	await expect(handle).toHaveAttribute('aria-valuenow', '40');
	// Up, past what would change the scale: the flag follows the hand, and the scale only when it lets go.
	const flag = handle.locator('rect').last();
	const box = (await flag.boundingBox())!;
	const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
	await page.mouse.move(x, y);
	await page.mouse.down();
	await page.mouse.move(x, y - 90, { steps: 6 });
	expect(await reach()).toBe(before);
	const moved = (await flag.boundingBox())!;
	expect(Math.abs(moved.y + moved.height / 2 - (y - 90))).toBeLessThan(6);
	const held = Number(await handle.getAttribute('aria-valuenow'));
	expect(held).toBeLessThan(22);
	await expect(seconds).toBeVisible();
	await expect(seconds).not.toHaveText('–');
	await expect(tooThick).toHaveCSS('opacity', '0');
	await page.mouse.up();
	await expect(tooThick).toBeHidden();
	await expect(card.getByRole('button', { name: /^Where from\? Travel/ })).toHaveCount(1);
	await expect(kerf).toBeVisible();
	await expect.poll(reach).toBeLessThan(before);
	await expect(handle).toHaveAttribute('aria-valuenow', String(held));
	// And back by keys, one step over what is parted at a time, not down to it.
	await page.goto(`/setup?bench=${await demo.benchId('Bay 2')}&t=40`);
	await handle.focus();
	await page.keyboard.press('ArrowDown');
	await expect(handle).toHaveAttribute('aria-valuenow', /^(39.5|40.5)$/);
});

test('speed against thickness is drawn, and stands there as a table', async ({ page }) => {
	await page.goto('/setup');
	const region = page.getByRole('region', { name: 'Speed against thickness' });
	// What is not in view is not loaded.
	await expect(region.locator('canvas')).toHaveCount(0);
	await region.getByRole('heading').scrollIntoViewIfNeeded();
	await page.mouse.wheel(0, 400);
	await region.locator('canvas').waitFor();
	await region.getByText('As a table').click();
	const row = page.getByTestId('speed-table').getByRole('row', { name: /^6 mm/ });
	await expect(row).toContainText('22 mm/s');
	await page.locator('[data-station="wear"]').click();
	await page.locator('[data-station="setup"]').click();
	await region.getByText('Speed against thickness').scrollIntoViewIfNeeded();
	await page.mouse.wheel(0, 400);
	await region.locator('canvas').waitFor();
});

test('on a phone the chart, its file and Setup are no wider than the screen', async ({ page }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	const wider = () =>
		page.evaluate(
			() => document.documentElement.scrollWidth - document.documentElement.clientWidth
		);
	await page.goto('/chart');
	expect(await wider()).toBe(0);
	await chooseChart(page, CSV);
	await expect(page.getByTestId('chart-preview')).toBeVisible();
	expect(await wider()).toBe(0);
	await page.goto('/setup?layers=2&bevel=20');
	await page.getByTestId('more').click();
	expect(await wider()).toBe(0);
	await page.goto('/cut');
	expect(await wider()).toBe(0);
});

test('pressed before the page can plan, with the server gone just then: the press counts, and is caught up with', async ({
	page
}) => {
	let gone = true;
	const refused: string[] = [];
	await page.route('**/*.js', async (route) => {
		// What the first screen asks for comes; what comes after it does not.
		const answers = () => document.documentElement.dataset.ready !== undefined;
		if (gone && (await page.evaluate(answers).catch(() => false))) {
			refused.push(route.request().url());
			return route.abort();
		}
		return route.continue();
	});
	await page.goto('/setup?t=6');
	const main = page.locator('main');
	const card = page.getByRole('region', { name: 'Setting card' });
	const speed = async () => /([\d.]+)mm\/s/.exec((await card.textContent())!)![1];
	const of6 = await speed();
	await expect.poll(() => refused.length).toBeGreaterThan(0);
	await expect(main).toHaveAttribute('aria-busy', 'false');

	await page.getByRole('slider', { name: 'Thickness' }).focus();
	await page.keyboard.press('ArrowDown');
	await expect(main).toHaveAttribute('aria-busy', 'true');
	await expect(main).toHaveCSS('opacity', '0.4');
	await expect(page.getByRole('navigation', { name: 'The line' })).toHaveCSS('opacity', '0.4');
	expect(await speed()).toBe(of6);
	// What plans is asked for again and again, and so is what looks for changes of others.
	const often = () => [...new Set(refused)].filter((url) => count(url) > 2).length;
	const count = (url: string) => refused.filter((other) => other === url).length;
	await expect.poll(often).toBeGreaterThan(3);

	const looks = page.waitForRequest(/\/api\/revisions/);
	gone = false;
	await looks;
	await expect(main).toHaveAttribute('aria-busy', 'false');
	await expect(main).toHaveCSS('opacity', '1');
	await expect.poll(speed).not.toBe(of6);
	// Also what only follows a hand that rests.
	const bar = page.getByRole('img', { name: 'Speed bar' });
	await expect(bar).toHaveAccessibleName(`Speed bar: ${await speed()} mm/s`);
	const thickness = page.getByRole('slider', { name: 'Thickness' });
	const mm = Number(await thickness.getAttribute('aria-valuenow'));
	expect(mm).not.toBe(6);
	// The same as of a page that comes with that cut.
	const caughtUp = await speed();
	await page.goto(`/setup?t=${mm}`);
	expect(await speed()).toBe(caughtUp);
});
