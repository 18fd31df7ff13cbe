import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, openStage, test } from './demo';

const require = createRequire(import.meta.url);
/** An independent reader of DXF. */
const { Helper } = require('dxf') as {
	Helper: new (text: string) => {
		parsed: {
			header: { insUnits: number };
			entities: { type: string; layer: string; r?: number; x?: number; y?: number }[];
		};
	};
};

/** A flange as a drawing office would send it: inches, circles, a line of text, a loose line. */
const FLANGE_DXF = (() => {
	const circle = (x: number, y: number, r: number) =>
		`0\nCIRCLE\n8\n0\n10\n${x}\n20\n${y}\n40\n${r}\n`;
	const bolts = Array.from({ length: 6 }, (_, i) => {
		const a = (Math.PI / 3) * i;
		return circle(4 * Math.cos(a), 4 * Math.sin(a), 0.5);
	});
	const body = [circle(0, 0, 6), circle(0, 0, 2), ...bolts].join('');
	const left =
		'0\nTEXT\n8\n0\n10\n0\n20\n0\n40\n1\n1\nSLUICE\n0\nLINE\n8\n0\n10\n9\n20\n0\n11\n9.5\n21\n0\n';
	return `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n1\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${body}${left}0\nENDSEC\n0\nEOF\n`;
})();
const openDrawing = (page: Page, name: string, text: string) =>
	page
		.getByLabel('Open DXF or SVG')
		.setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });

test('every guide says what to set, and by how much a part is wrong when it is forgotten or mirrored', async ({
	page
}) => {
	await page.goto('/cut');
	const wrong = page.getByTestId('wrong');
	await expect(wrong).toContainText('straight edge on the line: wrong by 11.3 mm');
	await expect(wrong).toContainText('on the waste: wrong by 1.41 mm; from there it is 12.7 mm');
	const guide = page.getByRole('radiogroup', { name: 'Guide', exact: true });
	await guide.getByRole('radio', { name: 'Circle' }).check();
	await expect(page.getByRole('img', { name: /Circle guide: 49.3 mm/ })).toBeVisible();
	await expect(wrong).toContainText('the diameter is wrong by 1.41 mm');
	await expect(wrong).toContainText('the diameter is wrong by 2.82 mm');
	await page
		.getByRole('radiogroup', { name: 'What is kept' })
		.getByRole('radio', { name: 'A disc' })
		.check();
	await expect(page.getByRole('img', { name: /Circle guide: 50.7 mm/ })).toBeVisible();
	const diameter = page.getByLabel('Finished diameter');
	await diameter.fill('2');
	await diameter.press('Enter');
	await expect(page.getByText('10 mm to 5000 mm is accepted')).toBeVisible();
	await diameter.fill('8"');
	await diameter.press('Enter');
	await expect(page.getByRole('img', { name: /Circle guide: 102/ })).toBeVisible();
	await expect(page).toHaveURL(/dia=203.2/);
	await page.reload();
	await expect(page.getByRole('img', { name: /Circle guide: 102/ })).toBeVisible();
	await guide.getByRole('radio', { name: 'Freehand' }).check();
	await expect(wrong).toContainText('torch centre on the line: wrong by 0.7');
});

test('a start that cannot go through says which amps would, and each start tells its cost', async ({
	page
}) => {
	await page.goto('/cut?t=9&start=pierce&school=typed&a=32');
	await expect(page.getByRole('alert').filter({ hasText: 'turn up to' })).toContainText(
		/start on an edge, or drill a hole.*turn up to \d+ A/
	);
	await page.goto('/cut?t=4');
	await openStage(page, 'start');
	const start = page.getByRole('radiogroup', { name: 'Start' });
	await start.getByRole('radio', { name: 'Hover' }).check();
	await expect(page.getByText('about 12 mm (1/2 in) off, fire')).toBeVisible();
	const costs = page.getByRole('region', { name: 'What each start costs' });
	await expect(costs.getByRole('row')).toHaveCount(6);
	await expect(costs).toContainText('Through after about');
	// A start that does not go through takes nothing of the electrode.
	const takes = costs.locator('div, tr, li').filter({ hasText: 'Wears the electrode by' }).last();
	await expect(takes).toContainText('µm');
	await page.goto('/cut?t=9&start=pierce&school=typed&a=32#start');
	await expect(costs).toContainText('not at all');
	await expect(takes).not.toContainText('µm');
	// What does not part has no end either, and a circle has one of its own.
	await page.goto('/cut?t=45');
	await expect(page.getByTestId('stage-finish')).toHaveCount(0);
	// Nor a guide to set: no distance on the page, on the line or on the card.
	await expect(page.getByTestId('no-guide')).toBeVisible();
	// In a line of text a link is told from the text.
	const setup = page.getByRole('link', { name: 'Setup tells what would.' });
	await expect(setup).toHaveCSS('text-decoration-line', 'underline');
	await expect(page.getByTestId('wrong')).toHaveCount(0);
	await expect(page.getByRole('main')).not.toContainText(/\d mm off|wrong by/);
	const cell = page.locator('[data-station=cut]');
	await expect(cell).toContainText('no such cut');
	await expect(cell).not.toContainText(/\d mm/);
	await page.goto('/cut?t=45&bevel=30');
	await expect(page.getByTestId('no-guide')).toBeVisible();
	await expect(page.getByRole('region', { name: 'Bevel', exact: true })).toHaveCount(0);
	await page.goto('/card?t=45');
	await expect(page.locator('body')).toContainText('no guide: it does not go through');
	await page.goto('/cut?t=6&guide=circle');
	await openStage(page, 'finish');
	await expect(page.getByRole('region', { name: 'Finish' })).toContainText(
		'Come round into the slot where you began'
	);
});

test('a bevel is drawn across the cut, with its wider kerf and its bottom edge', async ({
	page
}) => {
	await page.goto('/cut?bevel=45');
	await expect(page.getByRole('img', { name: /Across the bevel.*6 mm apart/ })).toBeVisible();
	await expect(page.getByRole('region', { name: 'Bevel figures' })).toContainText(
		'Tilted shield stands off'
	);
	await expect(page.getByText('angle iron at 45°')).toBeVisible();
	// 45° on a face of 5 mm stands the shield 5 mm off: not dragged, but rolled.
	const refused = page.getByRole('alert').filter({ hasText: 'Do not drag it' });
	await expect(refused).toBeVisible();
	await page
		.getByRole('radiogroup', { name: 'Guide', exact: true })
		.getByRole('radio', { name: 'Roller' })
		.check();
	await expect(refused).toHaveCount(0);
});

test('one scrap piece gives the kerf and the shield radius, and is taken back', async ({
	page
}) => {
	await page.goto('/cut');
	await openStage(page, 'scrap');
	const offset = page.locator('[data-station="cut"]');
	await expect(offset).toContainText('11.3 mm');
	await page.getByLabel('Piece under the guide').fill('61.2');
	await page.getByLabel('Piece under the guide').press('Enter');
	await page.getByLabel('Other piece').fill('36.8');
	await page.getByLabel('Other piece').press('Tab');
	await expect(page.getByText('It tells a kerf of')).toContainText('2 mm');
	await page
		.getByRole('region', { name: 'The scrap piece' })
		.getByRole('button', { name: 'Use this kerf' })
		.click();
	await expect(page.getByTestId('notice')).toContainText('Scrap measured');
	// 61.2 − 50 is the distance that was ridden at, whatever the two make it up from.
	await expect(offset).toContainText('11.2 mm');
	await page.getByRole('button', { name: /Take back: scrap/ }).click();
	await expect(offset).toContainText('11.3 mm');
});

test('"why not through?" opens the fault finder at that complaint', async ({ page }) => {
	await page.goto('/cut');
	await openStage(page, 'read');
	await page.getByRole('button', { name: 'Not through: not looked for' }).click();
	await page.getByTestId('not-through').getByRole('link', { name: 'Find out why' }).click();
	await expect(page).toHaveURL(/\/fault\?.*of=not-through/);
	await expect(page.getByTestId('finder')).toContainText('Does not go through');
	await expect(page.getByTestId('finder')).toContainText('Look 1');
	// What was read of the cut is answered there already.
	await page.goBack();
	await openStage(page, 'read');
	await page.getByRole('button', { name: 'Not through: not looked for' }).click();
	await page.getByRole('button', { name: 'Thick soft dross: not looked for' }).click();
	await page.getByTestId('not-through').getByRole('link', { name: 'Find out why' }).click();
	await expect(page.getByTestId('trail')).toContainText('A thick bead below');
});

test('a flange from a DXF drawing becomes a template, is exported and opens in an independent reader', async ({
	page
}) => {
	await page.goto('/template');
	await openDrawing(page, 'sluice flange.dxf', FLANGE_DXF);
	const said = page.getByTestId('file-said');
	await expect(said).toContainText('8 closed outlines; unit: inches');
	await expect(said).toContainText('text is no outline');
	await expect(said).toContainText('its ends lie');
	const job = page.getByTestId('job');
	await expect(job).toContainText('7 of them pierced');
	await page
		.getByRole('radiogroup', { name: 'Template in holes lies' })
		.getByRole('radio', { name: 'on the waste' })
		.check();
	// A bolt hole of an inch has no room for a shield of 12 mm.
	await expect(page.getByTestId('corners')).toContainText('has no room for a template at');
	await expect(page.getByTestId('remedy')).toContainText('lay the templates in holes on the part');
	await page
		.getByRole('radiogroup', { name: 'Template in holes lies' })
		.getByRole('radio', { name: 'on the part' })
		.check();
	await expect(page.getByTestId('corners')).not.toContainText('has no room');
	const parts = page.getByLabel('Equal parts');
	await parts.fill('3');
	await parts.press('Enter');
	await expect(job).toContainText('21 of them pierced');
	const saved = page.waitForEvent('download');
	await page.getByRole('button', { name: 'DXF', exact: true }).click();
	const file = await saved;
	expect(file.suggestedFilename()).toBe('sluice flange-template.dxf');
	const { header, entities } = new Helper(readFileSync(await file.path(), 'utf8')).parsed;
	expect(header.insUnits).toBe(4);
	const radii = (layer: string) =>
		entities
			.filter((e) => e.layer === layer && e.type === 'CIRCLE')
			.map((e) => Math.round(e.r! * 100) / 100);
	expect(radii('PART')).toEqual([152.4, 50.8, 12.7, 12.7, 12.7, 12.7, 12.7, 12.7]);
	// Inset by R − k/2 outside, enlarged by it in holes, each to the hundredth that is written.
	const [outside, ...holes] = radii('TEMPLATE');
	const offset = 152.4 - outside!;
	expect(offset).toBeGreaterThan(11.2);
	expect(offset).toBeLessThan(11.4);
	for (const [i, drawn] of [50.8, ...Array<number>(6).fill(12.7)].entries()) {
		expect(holes[i]! - drawn).toBeCloseTo(offset, 1);
	}
	// What was drawn is still there after a reload.
	await page.reload();
	await expect(job).toContainText('21 of them pierced');
});

test('the exported SVG has its true size in the browser itself', async ({ page }) => {
	await page.goto('/template');
	await page
		.getByRole('radiogroup', { name: 'Outline' })
		.getByRole('radio', { name: 'Slot' })
		.check();
	await expect(page.getByTestId('job')).toContainText('1');
	const saved = page.waitForEvent('download');
	await page.getByRole('button', { name: 'SVG', exact: true }).click();
	const text = readFileSync(await (await saved).path(), 'utf8');
	const sizes = await page.evaluate((svg) => {
		const root = new DOMParser().parseFromString(svg, 'image/svg+xml').documentElement;
		document.body.append(root);
		const part = root.querySelector<SVGPathElement>('#part path')!;
		const { width } = part.getBoundingClientRect();
		return { length: part.getTotalLength(), mm: (width * 25.4) / 96 };
	}, text);
	expect(sizes.length).toBeCloseTo(200 + Math.PI * 60, 0);
	expect(sizes.mm).toBeCloseTo(160.2, 0);
});

test('a template prints in true size, and an outline is saved, opened and put away', async ({
	page
}) => {
	await page.goto('/template');
	await page
		.getByRole('radiogroup', { name: 'Outline' })
		.getByRole('radio', { name: 'Rectangle' })
		.check();
	await expect(page.getByTestId('corners')).toContainText(
		'4 outside corners come out with a radius of 11.3 mm'
	);
	// What a proxy says in the server's place is told, and nothing is saved.
	await page.route('**/api/template', (route) =>
		route.fulfill({ status: 502, contentType: 'text/html', body: '<h1>Bad gateway</h1>' })
	);
	await page.getByRole('button', { name: 'Print true size, PDF' }).click();
	await expect(page.getByText('The server answered 502.')).toBeVisible();
	await page.unroute('**/api/template');
	// Nor is the page of a network that asks for a name first taken for the template.
	await page.route('**/api/template', (route) =>
		route.fulfill({ status: 200, contentType: 'text/html', body: '<h1>Who are you?</h1>' })
	);
	let downloads = 0;
	page.on('download', () => downloads++);
	await page.getByRole('button', { name: 'Print true size, PDF' }).click();
	await expect(page.getByTestId('notice')).toContainText('What came is no template');
	expect(downloads).toBe(0);
	await page.unroute('**/api/template');
	const saved = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Print true size, PDF' }).click();
	expect(
		readFileSync(await (await saved).path())
			.subarray(0, 5)
			.toString()
	).toBe('%PDF-');
	await page.getByRole('button', { name: 'Save the outline' }).click();
	await expect(page.getByTestId('notice')).toContainText('saved for every bench');
	await page.getByLabel('Saved outlines').selectOption({ label: 'rectangle' });
	await expect(page.getByRole('img', { name: /^rectangle with its template/ })).toBeVisible();
	await page.getByRole('button', { name: 'Put it away' }).click();
	await expect(page.getByTestId('notice')).toContainText('put away');
});

test('a drawing that cannot be read says why, and the outline before stays', async ({ page }) => {
	await page.goto('/template');
	const job = page.getByTestId('job');
	await expect(job).toContainText('9 of them pierced');
	const said = page.getByTestId('file-said');
	await openDrawing(page, 'broken.svg', '<svg>\n<g>\n</svg>');
	await expect(said).toContainText('is no valid XML');
	await openDrawing(
		page,
		'text.svg',
		'<svg xmlns="http://www.w3.org/2000/svg"><script>window.hacked=1</script><text>hi</text></svg>'
	);
	await expect(said).toContainText('No closed outline was found');
	await expect(said).toContainText('scripts are never run');
	expect(await page.evaluate(() => 'hacked' in window)).toBe(false);
	await openDrawing(page, 'photo.dxf', '\u0000\u0001\u0002');
	await expect(said).toContainText('no DXF drawing');
	await expect(job).toContainText('9 of them pierced');
	const outside = page.getByLabel('Bolt circle');
	await outside.fill('284');
	await outside.press('Enter');
	await expect(page.getByText('small enough that its holes lie inside')).toBeVisible();
});

/** The page's own clock stands, and goes on by what it is told: a hand as even as the test wants it. */
async function stopwatch(page: Page): Promise<(ms: number) => Promise<void>> {
	await page.clock.install();
	await page.clock.pauseAt(Date.now() + 1000);
	return (ms) => page.clock.runFor(ms);
}
const STEPS = 60;
/** Drags along the practice line in a time, by many small moves. */
async function trace(page: Page, wait: (ms: number) => Promise<void>, seconds: number) {
	const box = (await page.getByTestId('track').boundingBox())!;
	const y = box.y + 64;
	const [from, to] = [box.x + 24, box.x + box.width - 26];
	await page.mouse.move(from, y);
	await page.mouse.down();
	for (let k = 1; k <= STEPS; k++) {
		await wait((1000 * seconds) / STEPS);
		await page.mouse.move(from + (k / STEPS) * (to - from), y);
	}
	await page.mouse.up();
}

test('a line is practised by mouse: inside at the planned speed, too fast when hurried, the best is kept', async ({
	page
}) => {
	await page.goto('/practice?len=100');
	const wait = await stopwatch(page);
	// 100 mm at 22 mm/s.
	await trace(page, wait, 4.5);
	const result = page.getByTestId('practice-result');
	await expect(result).toContainText('of the line inside');
	const share = async () => Number(/(\d+) %/.exec((await result.textContent())!)![1]);
	expect(await share()).toBeGreaterThan(60);
	await trace(page, wait, 1);
	await expect(result).toContainText('too fast');
	expect(await share()).toBeLessThan(40);
	await page.reload();
	await expect(page.getByTestId('practice-best')).toContainText('Best on this device');
});

test.describe('by touch', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

	test('a line is practised with a finger, and the page is no wider than the screen', async ({
		page
	}) => {
		await page.goto('/practice');
		const wait = await stopwatch(page);
		const box = (await page.getByTestId('track').boundingBox())!;
		const client = await page.context().newCDPSession(page);
		const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', x: number) =>
			client.send('Input.dispatchTouchEvent', {
				type,
				touchPoints: type === 'touchEnd' ? [] : [{ x, y: box.y + 64 }]
			});
		const [from, to] = [box.x + 24, box.x + box.width - 26];
		await touch('touchStart', from);
		// About 80 mm at 22 mm/s.
		for (let k = 1; k <= STEPS; k++) {
			await wait(3600 / STEPS);
			await touch('touchMove', from + (k / STEPS) * (to - from));
		}
		await touch('touchEnd', to);
		await expect(page.getByTestId('practice-result')).toContainText('of the line inside');
		const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
		expect(over).toBe(0);
	});

	for (const path of ['/cut?guide=circle&bevel=30&start=pierce&t=9', '/template']) {
		test(`${path} is no wider than a phone`, async ({ page }) => {
			await page.goto(path);
			await expect(page.locator('html[data-ready]')).toBeAttached();
			const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
			expect(over).toBe(0);
		});
	}
});

test('a line is practised by keyboard and with reduced motion', async ({ page }) => {
	await page.emulateMedia({ reducedMotion: 'reduce' });
	await page.goto('/practice?len=80');
	await page.getByTestId('track').focus();
	const wait = await stopwatch(page);
	for (let i = 0; i <= 8; i++) {
		await page.keyboard.press(' ');
		await wait(430);
	}
	await expect(page.getByTestId('practice-result')).toContainText('of the line inside');
});
