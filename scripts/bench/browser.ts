import { gzipSync } from 'node:zlib';
import type { Page } from '@playwright/test';
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

/** What a hand moves, and how it is moved once more. */
export interface Hand {
	path: string;
	/** Takes hold of it; gives one move. */
	grip: (page: Page) => Promise<(i: number) => Promise<void>>;
}

/** Script, style and layout of each frame while a hand moves something. */
export async function benchHand(
	base: string,
	{ path, grip }: Hand
): Promise<{ p95Ms: number[]; longTasks: number[] }> {
	const browser = await openBrowser();
	try {
		const runs = await rounds(async () => {
			const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
			await page.goto(base + path, { waitUntil: 'networkidle' });
			const work = await workMeter(page);
			await page.evaluate(() => {
				const seen = { long: 0 };
				Object.assign(window, { seen });
				new PerformanceObserver((list) => (seen.long += list.getEntries().length)).observe({
					type: 'longtask'
				});
			});
			const move = await grip(page);
			const frames: number[] = [];
			for (let i = 0; i < WARM_UP + MOVES; i++) {
				const before = await work();
				await move(i);
				await page.evaluate(
					() =>
						new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)))
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
		return { p95Ms: runs.map((r) => r.p95Ms), longTasks: runs.map((r) => r.longTasks) };
	} finally {
		await browser.close();
	}
}

/** A handle on a drawing, dragged along an axis over so many px on one side of where it stands. */
export const drag =
	(name: string, axis: 'x' | 'y', overPx: number): Hand['grip'] =>
	async (page) => {
		// By its flag: what lies between flag and tip is not touched.
		const flag = page.getByRole('slider', { name, exact: true }).locator('rect').last();
		const box = (await flag.boundingBox())!;
		const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
		await page.mouse.move(x, y);
		await page.mouse.down();
		return (i) => {
			const by = ((i * 7) % Math.abs(overPx)) * Math.sign(overPx);
			return axis === 'x' ? page.mouse.move(x + by, y) : page.mouse.move(x, y + by);
		};
	};

/** A key that steps, there and back. */
export const step =
	(up: string, down: string, times: number): Hand['grip'] =>
	(page) =>
		Promise.resolve((i) => page.keyboard.press(i % (2 * times) < times ? up : down));
