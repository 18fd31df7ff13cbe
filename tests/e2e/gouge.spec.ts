import type { Page } from '@playwright/test';
import { expect, openStage, test } from './demo';

const strings = (page: Page) => page.getByTestId('strings-count');

test('a weld is picked, planned, stopped by the supply, and made to hold with fewer amps', async ({
	page,
	demo
}) => {
	await page.goto(`/gouge?bench=${await demo.benchId('Bay 2')}`);
	await expect(page.locator('[data-station="gouge"]')).toContainText('none asked for');
	await page.getByRole('button', { name: /^Fillet weld/ }).click();
	await page.getByLabel('Leg', { exact: true }).first().fill('8');
	await page.keyboard.press('Enter');
	await page.getByRole('textbox', { name: 'Length' }).fill('400 mm');
	await page.keyboard.press('Enter');
	await expect(strings(page)).toHaveText('2strings');
	await expect(page.locator('[data-station="gouge"]')).toContainText('holds');
	// Twelve of them are more than the cutter bears in one go.
	await page.getByText('Pieces, metal, what stays').click();
	await page.getByLabel('Pieces', { exact: true }).fill('12');
	await page.keyboard.press('Enter');
	await expect(page.locator('[data-station="gouge"]')).toContainText('cutter stops');
	await expect(page.getByText(/Cutter stops it after .* at 45 A/)).toBeVisible();
	const choices = page.getByTestId('choices');
	await choices.scrollIntoViewIfNeeded();
	await page.getByRole('button', { name: /What the supply holds/ }).click();
	await expect(page.locator('[data-station="gouge"]')).toContainText('holds');
	await expect(page.getByLabel('Amps, empty: full')).toHaveValue(/^(3\d|4[0-4]) A$/);
	await expect(strings(page)).toHaveText(/^[2-9]strings$/);
	await expect(page).toHaveURL(/gx=fillet/);
	// The same weld by its throat, as some drawings size it.
	await page.getByLabel('or throat', { exact: true }).fill('5');
	await page.keyboard.press('Enter');
	await expect(page.getByLabel('Leg', { exact: true }).first()).toHaveValue('7.07 mm');
	await page.getByLabel('Leg', { exact: true }).first().fill('8');
	await page.keyboard.press('Enter');
	// What was planned stands in the link.
	await page.reload();
	await expect(page.locator('[data-station="gouge"]')).toContainText('holds');
});

test('string by string by keys: the drawing and the seconds follow', async ({ page }) => {
	await page.goto('/gouge?groove=1&gx=back&gd=5&gt=16');
	const list = page.getByTestId('strings');
	await list.getByRole('button', { name: /^String 1/ }).focus();
	await page.keyboard.press('ArrowRight');
	await expect(list.getByRole('button', { name: /^String 2/ })).toHaveAttribute(
		'aria-pressed',
		'true'
	);
	await expect(list.getByRole('button', { name: /^String 2/ })).toBeFocused();
	await expect(list.getByRole('button', { name: /^String 1 ✓/ })).toBeVisible();
	for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowRight');
	await expect(list.getByRole('button', { name: /^Afterwards/ })).toHaveAttribute(
		'aria-pressed',
		'true'
	);
	// The handles on the drawings by keys: half a millimetre, ten along it.
	const slider = page.getByRole('slider', { name: 'Depth' });
	await slider.focus();
	await page.keyboard.press('ArrowDown');
	await expect(slider).toHaveAttribute('aria-valuetext', '5.5 mm');
	await expect(page).toHaveURL(/gd=5\.5/);
	const length = page.getByRole('slider', { name: 'Length' });
	await length.focus();
	await page.keyboard.press('ArrowRight');
	await expect(length).toHaveAttribute('aria-valuetext', '310 mm');
	await expect(page.getByRole('textbox', { name: 'Length' })).toHaveValue('310 mm');
});

test('what cannot be made is refused with a way out, and loses nothing', async ({ page }) => {
	await page.goto('/gouge?groove=1&gd=8&gw=9&gt=3');
	await expect(page.getByTestId('gouge-none')).toHaveText('Not as asked');
	await expect(page.getByText(/of 3 mm plate at most 1 mm deep/)).toBeVisible();
	await expect(page.getByRole('button', { name: /as done/ })).toHaveCount(0);
	await page.getByLabel('Depth', { exact: true }).fill('90');
	await page.keyboard.press('Enter');
	await expect(page.getByText(/0\.3 mm to 40 mm is accepted/)).toBeVisible();
	await expect(page.getByLabel('Depth', { exact: true })).toHaveValue('90');
	await page.getByLabel('Depth', { exact: true }).fill('2.5');
	await page.keyboard.press('Enter');
	await page.getByLabel('Plate', { exact: true }).fill('12');
	await page.keyboard.press('Enter');
	await expect(strings(page)).toBeVisible();
});

test('a bench without a gouging nozzle tries no string, and throws nothing out', async ({
	page,
	demo
}) => {
	await page.goto(`/gouge?bench=${await demo.benchId('Towpath trolley')}&groove=1`);
	await expect(page.getByTestId('gouge-none')).toHaveText('Not as asked');
	await expect(page.getByTestId('stage-test-groove')).toHaveCount(0);
	await expect(page.getByTestId('stage-comes-from')).not.toContainText('thrown out while');
	await page.goto(`/gouge?bench=${await demo.benchId('Bay 2')}&groove=1`);
	await expect(page.getByTestId('stage-test-groove')).toBeVisible();
	await expect(page.getByTestId('stage-comes-from')).toContainText('thrown out while');
});

test('a hand that drags a size too far stops where a groove still is, and goes back', async ({
	page,
	demo
}) => {
	await page.goto(`/gouge?bench=${await demo.benchId('Bay 2')}&t=6&groove=1`);
	const slider = page.getByRole('slider', { name: 'Depth' });
	const flag = (await slider.locator('rect').last().boundingBox())!;
	const [x, y] = [flag.x + 20, flag.y + 20];
	await page.mouse.move(x, y);
	await page.mouse.down();
	// At once, then bit by bit; a grip counts from its first move.
	await page.mouse.move(x, y + 1);
	await page.mouse.move(x, y + 250);
	await expect(slider).toHaveAttribute('aria-valuenow', '4');
	await page.mouse.move(x, y);
	for (let by = 0; by <= 250; by += 25) await page.mouse.move(x, y + by);
	// Of 6 mm plate 2 mm stay; the drawing is still under the hand.
	await expect(slider).toHaveAttribute('aria-valuenow', '4');
	for (let by = 250; by >= 0; by -= 25) await page.mouse.move(x, y + by);
	await page.mouse.up();
	await expect(slider).toHaveAttribute('aria-valuenow', '2.5');
	for (let i = 0; i < 5; i++) await slider.press('ArrowDown');
	await expect(slider).toHaveAttribute('aria-valuenow', '4');
	await expect(slider).toBeFocused();
	await expect(page).toHaveURL(/gd=4/);
	// Typed, it is refused with the reason.
	await page.getByRole('textbox', { name: 'Depth', exact: true }).fill('4.5');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('at most 4 mm deep');
});

test('a test groove moves strings and seconds, a logged piece the electrode; both are taken back', async ({
	page,
	demo
}) => {
	await page.goto(
		`/gouge?bench=${await demo.benchId('Bay 2')}&groove=1&gx=back&gd=5&gt=16&gm=stainless`
	);
	const before = await page.getByLabel('Gouging card').textContent();
	await openStage(page, 'test-groove');
	const form = page.getByRole('region', { name: 'Test groove' });
	await form.getByRole('button', { name: 'Take the test groove' }).click();
	await expect(form.getByRole('alert')).toContainText('all four are needed');
	for (const [field, value] of [
		['Width', '9'],
		['Depth in its middle', '3.4'],
		['took', '10']
	]) {
		await form.getByLabel(field!, { exact: true }).fill(value!);
		await page.keyboard.press('Tab');
	}
	await form.getByRole('button', { name: 'Take the test groove' }).click();
	const notice = page.getByTestId('notice');
	await expect(notice).toContainText('Test groove taken');
	await expect(page.getByTestId('groove-taken')).toContainText('1 groove so far');
	expect(await page.getByLabel('Gouging card').textContent()).not.toBe(before);
	await notice.getByRole('button', { name: /Undo/ }).click();
	await expect(notice).toContainText('Taken back.');
	await expect(page.getByTestId('groove-taken')).toContainText('None yet');

	const wear = page.locator('[data-station="wear"]');
	const left = (await wear.textContent())!;
	await page.getByRole('button', { name: 'Log it as done' }).click();
	await expect(notice).toContainText(/Groove of .* logged/);
	await notice.getByRole('button', { name: /Undo/ }).click();
	await expect(notice).toContainText('Taken back.');
	await expect(wear).toHaveText(left);
});

test('the groove is read: one thing to change, with its figure', async ({ page }) => {
	await page.goto('/gouge?groove=1#read-groove');
	await page.getByRole('button', { name: 'Too shallow' }).click();
	await expect(page.getByTestId('correction')).toContainText('Torch steeper: 45° from the plate.');
	await page.getByRole('button', { name: 'Walls undercut' }).click();
	await expect(page.getByTestId('correction')).toContainText(/Faster, about [\d.]+ mm\/s/);
});

test('a string is paced as a dry run, with the angle to hold', async ({ page }) => {
	await page.goto('/gouge?groove=1#pace-groove');
	const pacer = page.getByRole('region', { name: 'Pacer' });
	await expect(pacer).toContainText('Hold 40° from the plate all along');
	await expect(pacer.getByTestId('pacer')).toHaveText(/^3\d(\.\d)? s$/);
	await pacer.getByRole('button', { name: /Pace me/ }).click();
	await expect(pacer.getByRole('button', { name: /Stop/ })).toBeVisible();
});

test('its card prints on one A6 sheet, with the change-over of the parts', async ({ page }) => {
	await page.goto('/gouge?groove=1&gx=fillet&gz=8&gl=420&gt=12&gn=4&gi=40');
	await page.getByRole('link', { name: 'Print card' }).click();
	const card = page.getByTestId('print-gouge');
	await expect(card).toContainText('8 mm fillet weld');
	await expect(card).toContainText('40A');
	await expect(card).toContainText('cutting pair aside');
	const spills = await card.evaluate((el) => el.scrollHeight > el.clientHeight + 1);
	expect(spills).toBe(false);
	const footer = await card.locator('footer').boundingBox();
	const last = await card.locator('.line').last().boundingBox();
	expect(last!.y + last!.height).toBeLessThanOrEqual(footer!.y + 1);
	await page.getByRole('link', { name: 'Back to Gouge' }).click();
	await expect(page).toHaveURL(/\/gouge\?.*gx=fillet/);
});

test('on a phone it is planned by thumb, and nothing scrolls sideways', async ({ page }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await page.goto('/gouge');
	await page.getByRole('button', { name: /^Butt cap/ }).click();
	await expect(strings(page)).toBeVisible();
	const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
	expect(wide).toBeLessThanOrEqual(0);
});

test('a spot is burnt upright: its drawing, its card and its cautions say nothing of pushing', async ({
	page
}) => {
	await page.goto('/gouge?groove=1&gx=tack');
	const drawing = page.getByTestId('gouge-spot');
	await expect(drawing).toContainText('upright');
	await expect(page.getByLabel('Gouging card')).not.toContainText(/push|Pull|50°/i);
	await expect(page.getByText(/^Safety\. Metal flies to all sides/)).toBeVisible();
	// A dent goes into the plate, so what must stay of it is drawn.
	await expect(drawing).not.toContainText('must stay');
	await page.getByLabel('Take out').selectOption('dimple');
	await expect(drawing).toContainText('must stay: 2 mm');
	await page.goto('/card/gouge?groove=1&gx=tack');
	await expect(page.getByTestId('print-gouge')).toContainText('metal flies all round');
	await page.goto('/checks?groove=1&gx=tack&for=groove');
	await expect(page.getByText('Torch upright, small gap')).toBeVisible();
});

test('legs that differ are dragged on the drawing, each along its plate', async ({ page }) => {
	await page.goto('/gouge?groove=1&gx=fillet&gz=8&gt=12&gl=400');
	const area = () => page.getByTestId('strings').textContent();
	const before = await area();
	const drag = async (name: string, dx: number, dy: number) => {
		const box = (await page.getByRole('slider', { name }).locator('rect').boundingBox())!;
		const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
		await page.mouse.move(x, y);
		await page.mouse.down();
		await page.mouse.move(x + dx / 2, y + dy / 2);
		await page.mouse.move(x + dx, y + dy);
		await page.mouse.up();
	};
	const [leg, other] = ['Leg', 'Other leg'].map((name) =>
		page.getByRole('slider', { name, exact: true })
	);
	// Both follow while nobody told them apart.
	await expect(other!).toHaveAttribute('aria-valuetext', '8 mm');
	await drag('Other leg', 0, -60);
	await expect(leg!).toHaveAttribute('aria-valuetext', '8 mm');
	expect(Number(await other!.getAttribute('aria-valuenow'))).toBeGreaterThan(9);
	await expect(page).toHaveURL(/gu=/);
	await expect(page.getByLabel('Gouging card')).toContainText(/8 × [\d.]+ mm fillet weld/);
	expect(await area()).not.toBe(before);
	// A throat moves both alike.
	const up = Number(await other!.getAttribute('aria-valuenow'));
	await page.getByLabel('or throat', { exact: true }).fill('4');
	await page.keyboard.press('Enter');
	const now = await Promise.all([leg!, other!].map((one) => one.getAttribute('aria-valuenow')));
	expect(Number(now[1]) / Number(now[0])).toBeCloseTo(up / 8, 2);
});

test('a groove goes on the shelf, prints with its own numbers, and comes onto the list as a groove', async ({
	page
}) => {
	await page.goto('/gouge?groove=1&gx=fillet&gz=8&gt=12&gl=420&gi=40');
	await openStage(page, 'shelf');
	const shelf = page.getByRole('region', { name: 'Shelf of cards' });
	await shelf.getByLabel(/Save this card/).fill('Sill bead');
	await shelf.getByRole('button', { name: 'Save' }).click();
	const notice = page.getByTestId('notice');
	await expect(notice).toContainText('Sill bead is on the shelf');
	await shelf.getByRole('link', { name: 'Sill bead', exact: true }).click();
	const card = page.getByTestId('print-gouge');
	await expect(card).toContainText('Sill bead');
	await expect(card).toContainText('40A');
	await expect(card).toContainText('all strings of 420 mm');
	await expect(page.getByTestId('saved')).toContainText('says the same');
	await page.getByRole('link', { name: 'A4 with its reasons' }).click();
	await expect(page.getByTestId('saved')).toContainText('Sill bead');
	await page.goto('/card/shelf');
	await expect(page.getByTestId('print-gouge')).toHaveCount(1);
	await expect(page.getByTestId('print-card')).toHaveCount(3);
	await page.goto('/job');
	await page.getByLabel('A card').selectOption({ label: 'Sill bead' });
	const item = page
		.getByRole('list', { name: 'Items' })
		.getByRole('listitem')
		.filter({ hasText: 'Sill bead' });
	await expect(item).toContainText(/gouge\s+40 A · 6 mm\/s/);
	await page.getByRole('button', { name: 'Undo', exact: false }).first().click();
	await expect(item).toHaveCount(0);
	// Seen from Setup it says what it is for.
	await page.goto('/setup');
	await openStage(page, 'shelf');
	await expect(shelf.getByTestId('shelf')).toContainText('for a groove');
	await shelf.getByRole('button', { name: 'Take Sill bead off the shelf' }).click();
	await expect(shelf.getByTestId('shelf')).not.toContainText('Sill bead');
});
