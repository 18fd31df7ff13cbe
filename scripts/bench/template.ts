import { openBrowser } from '../browser';
import { workMeter } from './frames';
import { percentile95, ROUNDS, rounds } from './rounds';

const POINTS = 20_000;

/** A freeform outline of twenty thousand points, as a scanner or a drawing program gives it. */
function hugeOutline(): string {
	const points = Array.from({ length: POINTS }, (_, i) => {
		const a = (2 * Math.PI * i) / POINTS;
		const r = 300 + 40 * Math.sin(5 * a) + 6 * Math.cos(17 * a);
		return `${(400 + r * Math.cos(a)).toFixed(4)},${(400 + r * Math.sin(a)).toFixed(4)}`;
	});
	return `<svg xmlns="http://www.w3.org/2000/svg" width="800mm" height="800mm" viewBox="0 0 800 800"><polygon points="${points.join(' ')}"/></svg>`;
}

/** As text: what the runner does to functions does not exist in the page. */
const WATCHED = `{
	window.asked = [];
	const post = Worker.prototype.postMessage;
	Worker.prototype.postMessage = function (question) {
		if (question.kind === 'make') window.asked.push(performance.now());
		return post.apply(this, arguments);
	};
}`;
const DRAWN = `new Promise((resolve) => {
	const before = document.querySelector('[data-testid="template"]')?.getAttribute('d');
	requestAnimationFrame(function look() {
		const now = document.querySelector('[data-testid="template"]')?.getAttribute('d');
		if (now && now !== before) requestAnimationFrame(() => resolve(performance.now() - window.asked.at(-1)));
		else requestAnimationFrame(look);
	});
})`;

/** From the worker being asked for offsets and order to the drawing on the screen: ms. */
export async function benchTemplate(base: string): Promise<number[]> {
	const browser = await openBrowser();
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		await page.addInitScript(WATCHED);
		await page.goto(`${base}/template`, { waitUntil: 'networkidle' });
		await page.getByTestId('template').first().waitFor();
		const buffer = Buffer.from(hugeOutline());
		await page
			.getByLabel('Open DXF or SVG')
			.setInputFiles({ name: 'huge.svg', mimeType: 'image/svg+xml', buffer });
		await page.getByText('1 closed outline;').waitFor();
		await page.waitForTimeout(1500);
		const times: number[] = [];
		const lies = page.getByRole('radiogroup', { name: 'Template outside lies' });
		for (let i = 0; i < ROUNDS; i++) {
			const took = page.evaluate<number>(DRAWN);
			await lies.getByRole('radio', { name: i % 2 === 0 ? 'on the waste' : 'on the part' }).check();
			times.push(await took);
			// What comes out otherwise is worked out after the drawing; the next question waits for it.
			await page.waitForTimeout(2500);
		}
		return times;
	} finally {
		await browser.close();
	}
}

const MOVES = 160;
const WARM_UP = 30;

/** Script, style and layout of each frame while the practice line is traced, ms. */
export async function benchPractice(base: string): Promise<number[]> {
	const browser = await openBrowser();
	try {
		return await rounds(async () => {
			const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
			await page.goto(`${base}/practice`, { waitUntil: 'networkidle' });
			const work = await workMeter(page);
			const box = (await page.getByTestId('track').boundingBox())!;
			await page.mouse.move(box.x + 24, box.y + 64);
			await page.mouse.down();
			const frames: number[] = [];
			for (let i = 0; i < WARM_UP + MOVES; i++) {
				const before = await work();
				await page.mouse.move(box.x + 24 + (i * (box.width - 120)) / (WARM_UP + MOVES), box.y + 64);
				await page.evaluate(
					() =>
						new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)))
				);
				if (i >= WARM_UP) frames.push((await work()) - before);
			}
			await page.mouse.up();
			await page.close();
			return percentile95(frames);
		});
	} finally {
		await browser.close();
	}
}
