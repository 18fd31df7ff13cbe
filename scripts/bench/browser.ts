import { gzipSync } from 'node:zlib';
import { openBrowser } from '../browser';
import { workMeter } from './frames';
import { percentile95, rounds } from './rounds';

const WARM_UP = 40;
const MOVES = 120;

/**
 * kB of JavaScript, gzipped, that a page asks for before it answers to hands. What is fetched ahead after
 * that is not counted.
 */
export async function benchFirstLoad(base: string, path: string): Promise<number[]> {
	const browser = await openBrowser();
	try {
		return await rounds(async () => {
			const page = await browser.newPage();
			await page.addInitScript(READY);
			const bodies = new Map<string, Promise<Buffer>>();
			page.on('response', (response) => {
				// What is still on its way when the page closes came after it answered, and is not counted.
				if (response.url().endsWith('.js'))
					bodies.set(
						response.url(),
						response.body().catch(() => Buffer.alloc(0))
					);
			});
			await page.goto(base + path, { waitUntil: 'networkidle' });
			const before = await page.evaluate<string[]>(ASKED);
			const sizes = await Promise.all(
				before.map(async (url) => gzipSync(await bodies.get(url)!).length)
			);
			await page.close();
			return sizes.reduce((sum, size) => sum + size, 0) / 1000;
		});
	} finally {
		await browser.close();
	}
}
/** As text: what the runner does to functions does not exist in the page. */
const READY = `new MutationObserver(() => {
	if (document.documentElement.dataset.ready !== undefined) window.readyAt ??= performance.now();
}).observe(document, { attributes: true, subtree: true })`;
const ASKED = `performance.getEntriesByType('resource')
	.filter((e) => e.name.endsWith('.js') && e.startTime < window.readyAt).map((e) => e.name)`;

/** Script, style and layout of each frame while the thickness handle is dragged. */
export async function benchDrag(base: string): Promise<{ p95Ms: number[]; longTasks: number[] }> {
	const browser = await openBrowser();
	const runs = await rounds(async () => {
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
		await page.close();
		return { p95Ms: percentile95(frames), longTasks };
	});
	await browser.close();
	return {
		p95Ms: runs.map((r) => r.p95Ms),
		longTasks: runs.map((r) => r.longTasks)
	};
}
