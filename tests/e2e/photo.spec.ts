import exifr from 'exifr';
import jpeg from 'jpeg-js';
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { edgePicture } from '../pictures/edge';
import { kerfPicture } from '../pictures/kerf';
import type { Picture } from '../pictures/lens';
import { nozzlePicture } from '../pictures/nozzle';
import { faultsOf } from './axe';
import { expect, openStage, test } from './demo';

/** Ends what hangs; a machine that does something else as well reads a picture in more than five seconds. */
const coded = ({ rgba, width, height }: Picture, quality = 90): Buffer =>
	Buffer.from(jpeg.encode({ data: rgba, width, height }, quality).data);
const CALM = {
	soot: 0.2,
	wallLight: 0.2,
	glare: null,
	nickMm: 0,
	tiltDeg: 5,
	shift: [0, 0] as [number, number]
};
/** Nozzles as the demo's bench has them: a face of 9 mm, a bore of 1 mm when new. */
const nozzle = (change: Parameters<typeof nozzlePicture>[2] = {}) =>
	nozzlePicture(11, null, {
		faceMm: 9,
		boreMm: 1.07,
		ovalMm: 0.03,
		pxPerMm: 34,
		blurPx: 1.1,
		noise: 0.01,
		quality: null,
		background: 0.05,
		...CALM,
		...change
	});

const choose = (page: Page, name: string, buffer: Buffer, mimeType = 'image/jpeg') =>
	page.locator('input[type=file]').setInputFiles({ name, mimeType, buffer });
const bore = (page: Page) => page.getByTestId('bore-read');
const edge = (page: Page) => page.getByTestId('edge-read');
async function boreOf(page: Page): Promise<number> {
	await expect(bore(page)).toHaveAttribute('data-value', /\d/);
	return Number(await bore(page).getAttribute('data-value'));
}
const nozzleLeft = (page: Page) =>
	page
		.getByRole('listitem')
		.filter({ hasText: /^\s*Nozzle/ })
		.first();

test.afterEach(async ({ page, demo }) => {
	// Others find the bench as it was.
	const bench = await demo.benchId('Bay 2');
	const log = (await (await fetch(`${demo.url}/api/log?bench=${bench}&limit=6`)).json()) as {
		entries: { id: number; at: string; undone: boolean }[];
	};
	for (const { id, at, undone } of log.entries) {
		// The demo was logged in the past; what a test wrote is of today.
		if (undone || Date.now() - Date.parse(at) > 10 * 60_000) continue;
		await fetch(`${demo.url}/api/log/${id}/undo`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ opId: `photo-spec-${id}-${Date.now()}`, at: new Date().toISOString() })
		});
	}
	await page.close();
});

test('a worn nozzle is read from its photo, its life falls, and the picture stays beside the entry', async ({
	page
}) => {
	await page.goto('/wear');
	const before = await nozzleLeft(page).textContent();
	await page.getByRole('link', { name: 'Bore from a photo' }).click();
	await expect(page.getByRole('heading', { name: 'The bore, from a photo' })).toBeVisible();
	const { picture, truth } = nozzle();
	await choose(page, 'nozzle.jpg', coded(picture));
	expect(Math.abs((await boreOf(page)) - truth.boreMm)).toBeLessThan(0.03);
	await expect(bore(page)).toContainText('pixels to the millimetre');
	await page.getByText('Keep the picture beside it').click();
	// Pressed twice in a hurry it is one entry.
	await page.getByRole('button', { name: 'Log the bore' }).dblclick();
	await expect(page.getByText(/Bore of 1\.0\d mm taken/)).toBeVisible();
	const kept = page.getByTestId('kept').getByRole('img').first();
	await expect(kept).toBeVisible();
	await expect
		.poll(() => kept.evaluate((img: HTMLImageElement) => img.naturalWidth))
		.toBeGreaterThan(100);
	await page.goto('/log');
	await expect(page.getByRole('link', { name: 'picture' })).toHaveCount(1);
	await expect(
		page.getByRole('row').filter({ hasText: 'bore 1.0' }).filter({ hasText: 'picture' })
	).toHaveCount(1);
	await page.goto('/wear');
	await expect(nozzleLeft(page)).not.toHaveText(before!);
	await page.goto('/photo');
	await page
		.getByRole('button', { name: /^Let go: picture/ })
		.first()
		.click();
	await page
		.getByRole('button', { name: /^Really let go/ })
		.first()
		.click();
	await expect(page.getByTestId('kept')).toHaveCount(0);
});

test('an edge that was cut too fast slows the card down', async ({ page }) => {
	await page.goto('/photo?of=edge');
	const setup = page.getByRole('link', { name: /Setup/ }).first();
	const speedOf = async () =>
		Number(/([\d.]+)\s*mm\/s/.exec((await setup.textContent()) ?? '')?.[1]);
	const before = await speedOf();
	expect(before).toBeGreaterThan(5);
	const { picture, truth } = edgePicture(12, null, {
		thicknessMm: 6,
		lengthMm: 30,
		slope: 0.6,
		curve: 0.3,
		way: 1,
		pxPerMm: 30,
		dross: 'hard',
		lines: 0.3,
		quality: null
	});
	await choose(page, 'edge.jpg', coded(picture));
	await expect(edge(page)).toHaveAttribute('data-value', /\d/);
	expect(Math.abs(Number(await edge(page).getAttribute('data-value')) - truth.lagDeg)).toBeLessThan(
		3
	);
	await expect(edge(page)).toContainText('Too fast');
	await expect(page.getByTestId('edge-correction')).toContainText('Go slower');
	await page.getByRole('button', { name: 'Log it as a test cut' }).click();
	await expect(page.getByText('Taken as a test cut').first()).toBeVisible();
	await expect.poll(speedOf).toBeLessThan(before);
});

test('the edge of thin sheet tells nothing of the speed by its lag, and says so', async ({
	page
}) => {
	await page.goto('/photo?of=edge&t=2');
	const { picture } = edgePicture(12, null, {
		thicknessMm: 2,
		lengthMm: 12,
		slope: 0.6,
		curve: 0.3,
		way: 1,
		pxPerMm: 70,
		dross: 'none',
		lines: 0.3,
		quality: null
	});
	await choose(page, 'edge.jpg', coded(picture));
	await expect(edge(page)).toHaveAttribute('data-value', /\d/);
	await expect(edge(page)).toContainText('In sheet under 3 mm it tells nothing of the speed');
	await expect(edge(page)).not.toContainText('Too fast');
	// Nor is an angle asked for where a test cut is typed in.
	await page.goto('/setup?t=2#test-cuts');
	const told = page.getByRole('region', { name: 'Test cuts' });
	await expect(told.getByRole('radio', { name: 'Cut well' })).toBeVisible();
	await expect(told.getByRole('radio', { name: 'Spark angle' })).toHaveCount(0);
	await page.goto('/setup?t=6#test-cuts');
	await expect(told.getByRole('radio', { name: 'Spark angle' })).toBeVisible();
});

test('a slot with a rule across it tells the kerf, and the guide goes by it', async ({ page }) => {
	await page.goto('/cut');
	await openStage(page, 'scrap');
	await page.getByRole('link', { name: 'Kerf from a photo' }).click();
	const cut = page.getByRole('link', { name: /Cut/ }).first();
	const before = (await cut.textContent())!;
	const read = page.getByTestId('kerf-read');
	const { picture, truth } = kerfPicture(3, null, {
		kerfMm: 2.6,
		pxPerMm: 22,
		wanderMm: 0.02,
		pitchDeg: 2,
		yawDeg: 1,
		spatter: 2,
		ruleMm: 0.5
	});
	await choose(page, 'slot.jpg', coded(picture));
	await expect(read).toHaveAttribute('data-value', /\d/);
	const kerf = async () => Number(await read.getAttribute('data-value'));
	expect(Math.abs((await kerf()) - truth.kerfMm)).toBeLessThan(0.08);
	await expect(page.getByTestId('kerf-meaning')).toContainText('Wider than');
	// A rule of other lines is another scale.
	const whole = await kerf();
	await page.getByRole('radio', { name: '½ mm' }).check();
	await expect.poll(kerf).toBeCloseTo(whole / 2, 2);
	await page.getByRole('radio', { name: '1 mm' }).check();
	await expect.poll(kerf).toBeCloseTo(whole, 6);
	// One of paper is none before it was measured; then it is as long as it came out of the printer.
	await page.getByRole('radio', { name: 'Paper' }).check();
	await expect(page.getByRole('alert')).toContainText('How long is the paper rule');
	await expect(read).toBeHidden();
	const measures = page.getByLabel('0 to 100, by a steel rule');
	await measures.fill('40');
	await measures.press('Enter');
	await expect(page.getByText('90 mm to 110 mm is accepted')).toBeVisible();
	await measures.fill('97');
	await measures.press('Enter');
	await expect.poll(kerf).toBeCloseTo(0.97 * whole, 2);
	await page.getByRole('radio', { name: '1 mm' }).check();
	await expect.poll(kerf).toBeCloseTo(whole, 6);
	// By hand, with the keys.
	await page.getByRole('button', { name: 'Lay the sides on by hand' }).click();
	const side = page.getByRole('button', { name: 'Right side, top' });
	await side.focus();
	for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
	await expect.poll(kerf).toBeGreaterThan(whole + 0.02);
	await page.getByRole('button', { name: 'As they were found' }).click();
	await expect.poll(kerf).toBeCloseTo(whole, 6);
	await page.getByRole('button', { name: 'Use this kerf' }).click();
	await expect(page.getByTestId('notice')).toContainText(/Kerf of 2\.\d+ mm taken/);
	await expect(cut).not.toHaveText(before);
	await page.goto('/cut');
	await openStage(page, 'scrap');
	await expect(page.getByText(/kerf 2\.\d+ mm, mild steel/).first()).toBeVisible();
});

test('the paper rule prints in true size, and what it measured stays on the device', async ({
	page
}) => {
	await page.goto('/photo?of=kerf');
	await page.getByRole('radio', { name: 'Paper' }).check();
	const measures = page.getByLabel('0 to 100, by a steel rule');
	await measures.fill('98.5');
	await measures.press('Enter');
	await page.getByRole('link', { name: 'Print the rule' }).click();
	await page.emulateMedia({ media: 'print' });
	const strip = page.getByRole('img', { name: /^Paper rule/ }).first();
	// 96 CSS pixels to the inch: 160 mm of rule and 5 mm at either end.
	await expect
		.poll(async () => (await strip.boundingBox())!.width)
		.toBeCloseTo((170 * 96) / 25.4, 0);
	const at = async (mm: number) => (await strip.locator('line').nth(mm).boundingBox())!.x;
	expect((await at(100)) - (await at(0))).toBeCloseTo((100 * 96) / 25.4, 0);
	await page.emulateMedia({ media: null });
	await page.getByRole('link', { name: 'Back to the photo' }).click();
	await page.getByRole('radio', { name: 'Paper' }).check();
	await expect(measures).toHaveValue('98.5 mm');
});

test('a phone’s picture that says which way is up is read like one that is upright', async ({
	page
}) => {
	const { picture } = nozzle({ ovalMm: 0.12 });
	await page.goto('/photo');
	await choose(page, 'upright.jpg', coded(picture));
	const upright = await boreOf(page);
	// Turned by a quarter, with the note that a quarter back is up (Exif orientation 6).
	const { width: w, height: h, rgba } = picture;
	const turned = new Uint8Array(rgba.length);
	for (let y = 0; y < h; y++)
		for (let x = 0; x < w; x++)
			turned.set(rgba.subarray(4 * (y * w + x), 4 * (y * w + x) + 4), 4 * ((w - 1 - x) * h + y));
	const plain = coded({ width: h, height: w, rgba: turned });
	const tiff = [
		0x4d, 0x4d, 0, 42, 0, 0, 0, 8, 0, 1, 1, 0x12, 0, 3, 0, 0, 0, 1, 0, 6, 0, 0, 0, 0, 0, 0
	];
	const body = [...Buffer.from('Exif\0\0'), ...tiff];
	const noted = Buffer.concat([
		plain.subarray(0, 2),
		Buffer.from([0xff, 0xe1, 0, body.length + 2, ...body]),
		plain.subarray(2)
	]);
	expect(await exifr.orientation(noted)).toBe(6);
	await choose(page, 'turned.jpg', noted);
	await expect(page.getByText('Another picture')).toBeVisible();
	await expect.poll(() => boreOf(page)).toBeCloseTo(upright, 2);
});

test('what cannot be read is refused in words, and what was read before is not mistaken for it', async ({
	page
}) => {
	await page.goto('/photo');
	const alert = page.getByRole('alert');
	const files: [string, Buffer, RegExp][] = [
		[
			'a.svg',
			Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'),
			/Only JPEG/
		],
		[
			'a.heic',
			Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheicmif1heic')]),
			/set the camera to JPEG/
		],
		['a.jpg', readFileSync('static/examples/nozzle.jpg').subarray(0, 9000), /cut short/],
		['b.jpg', Buffer.alloc(0), /empty/]
	];
	for (const [name, buffer, words] of files) {
		await choose(page, name, buffer);
		await expect(alert).toContainText(words);
		await expect(bore(page)).toHaveCount(0);
	}
	await choose(page, 'far.jpg', coded(nozzle({ pxPerMm: 6, room: 4 }).picture));
	await expect(bore(page)).toContainText(/too small|No nozzle/);
	await choose(page, 'aslant.jpg', coded(nozzle({ tiltDeg: 33 }).picture));
	await expect(bore(page)).toContainText('from aside');
	await expect(page.getByRole('button', { name: 'Log the bore' })).toHaveCount(0);
	// Fine enough to be seen, too coarse for a tenth of a millimetre.
	await choose(page, 'coarse.jpg', coded(nozzle({ pxPerMm: 15, blurPx: 0.7 }).picture));
	await expect(page.getByTestId('bore-verdict')).toContainText('Come closer');
	await expect(page.getByRole('button', { name: 'Log the bore' })).toHaveCount(0);
});

test('rings are laid on by hand with the keys, and the face is asked for where nobody told it', async ({
	page,
	demo
}) => {
	await page.goto('/photo');
	await page.getByRole('button', { name: 'Try a drawn one' }).click();
	const found = await boreOf(page);
	await page.getByRole('button', { name: 'Lay the rings on by hand' }).click();
	await page.getByRole('button', { name: 'How wide the bore is' }).focus();
	await page.keyboard.press('Shift+ArrowRight');
	await page.keyboard.press('ArrowRight');
	expect(await boreOf(page)).toBeGreaterThan(found + 0.1);
	await page.getByRole('button', { name: 'As it was found' }).click();
	expect(await boreOf(page)).toBeCloseTo(found, 6);
	await page.goto(`/photo?bench=${await demo.benchId('Towpath trolley')}`);
	await choose(page, 'nozzle.jpg', coded(nozzle().picture));
	await expect(page.getByRole('alert')).toContainText('How wide is the flat face');
	await page.getByLabel('Flat face, across').fill('9 mm');
	await page.getByLabel('Flat face, across').press('Enter');
	await choose(page, 'nozzle.jpg', coded(nozzle().picture));
	expect(await boreOf(page)).toBeGreaterThan(1);
	// It is an edit of the bench like any other: saved when the person saves it.
	await expect(page.getByRole('button', { name: /^Save/ }).first()).toBeVisible();
});

test.describe('on a phone, in the dark', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
	test('nozzle and edge are read, nothing scrolls sideways, axe finds nothing', async ({
		page,
		context,
		demo
	}) => {
		await context.addCookies([{ name: 'theme', value: 'hood-down', url: demo.url }]);
		for (const of of ['nozzle', 'edge', 'end'] as const) {
			await page.goto(`/photo?of=${of}`);
			await page.getByRole('button', { name: 'Try a drawn one' }).click();
			const id = { nozzle: 'bore-read', edge: 'edge-read', end: 'end-read' }[of];
			await expect(page.getByTestId(id)).toHaveAttribute('data-value', /\d/);
			if (of === 'end')
				await expect(page.getByTestId('end-meaning')).toContainText('More than the usual');
			expect(
				await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
			).toBeLessThanOrEqual(0);
			expect(await faultsOf(page)).toEqual([]);
			if (of === 'end') continue;
			await page.getByRole('button', { name: /^Lay the (rings|lines) on by hand/ }).click();
			await expect(
				page.getByRole('button', { name: /Where the bore is|Top edge, left/ })
			).toBeVisible();
		}
	});
});
