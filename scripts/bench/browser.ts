import { gzipSync } from 'node:zlib';
import { openBrowser } from '../browser';
import { percentile95, workMeter } from './frames';

const RUNS = 5;
const WARM_UP = 40;
const MOVES = 120;
const median = (values: number[]) =>
	[...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** kB of JavaScript, gzipped, that the browser fetches before Setup is usable. */
export async function benchFirstLoad(base: string): Promise<number> {
	const browser = await openBrowser();
	const page = await browser.newPage();
	const sizes: Promise<number>[] = [];
	// Once it answers to hands, the rest is fetched ahead, while they rest.
	let usable = false;
	page.on('response', (response) => {
		if (usable || !response.url().endsWith('.js')) return;
		sizes.push(response.body().then((body) => gzipSync(body).length));
	});
	await page.goto(`${base}/setup`, { waitUntil: 'commit' });
	await page.locator('html[data-ready]').waitFor({ state: 'attached' });
	usable = true;
	const bytes = (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0);
	await browser.close();
	return bytes / 1000;
}

/** Script, style and layout of each frame while the thickness handle is dragged; median of five runs. */
export async function benchDrag(base: string): Promise<{ p95Ms: number; longTasks: number }> {
	const browser = await openBrowser();
	const runs: { p95Ms: number; longTasks: number }[] = [];
	for (let run = 0; run < RUNS; run++) {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		await page.goto(`${base}/setup`, { waitUntil: 'networkidle' });
		const work = await workMeter(page);
		await page.evaluate(() => {
			const seen = { long: 0 };
			Object.assign(window, { seen });
			new PerformanceObserver((list) => (seen.long += list.getEntries().length)).observe({
				type: 'longtask'
			});
		});
		const box = (await page.getByTestId('thickness-handle').boundingBox())!;
		const x = box.x + box.width / 2;
		await page.mouse.move(x, box.y + box.height / 2);
		await page.mouse.down();
		const frames: number[] = [];
		for (let i = 0; i < WARM_UP + MOVES; i++) {
			const before = await work();
			await page.mouse.move(x, box.y + 30 + ((i * 7) % 110));
			await page.evaluate(
				() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)))
			);
			if (i >= WARM_UP) frames.push((await work()) - before);
		}
		await page.mouse.up();
		const longTasks = await page.evaluate(
			() => (window as unknown as { seen: { long: number } }).seen.long
		);
		runs.push({ p95Ms: percentile95(frames), longTasks });
		await page.close();
	}
	await browser.close();
	return {
		p95Ms: median(runs.map((r) => r.p95Ms)),
		longTasks: median(runs.map((r) => r.longTasks))
	};
}
