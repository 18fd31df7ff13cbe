import { expect, test } from './demo';

/** Of each section that comes later: the room that was kept for it, and what it took. */
const WATCH = `new MutationObserver(() => {
	for (const kept of document.querySelectorAll('.room')) kept.dataset.kept = kept.getBoundingClientRect().height;
}).observe(document, { childList: true, subtree: true });`;
const CAME = `[...document.querySelectorAll('.contents[data-kept]')].map((came) => ({
	kept: Number(came.dataset.kept),
	took: [...came.children].reduce((sum, one) => sum + one.getBoundingClientRect().height, 0)
}))`;

for (const [device, width, height] of [
	['a desk', 1280, 800],
	['a phone', 390, 844]
] as const)
	test(`what comes later finds its room on ${device}: nothing goes from under a thumb`, async ({
		page
	}) => {
		await page.addInitScript(WATCH);
		await page.setViewportSize({ width, height });
		for (const [path, many] of [
			['/setup?t=6', 2],
			['/supply?t=6', 1],
			['/wear?t=6', 1],
			['/gouge?groove=1', 1]
		] as const) {
			await page.goto(path);
			// Somebody is at it: then the rest comes.
			await page.mouse.move(20, 20);
			const came = () => page.evaluate<{ kept: number; took: number }[]>(CAME);
			await expect.poll(async () => (await came()).length, path).toBe(many);
			// A line more or less is what a longer name of a bench or another unit makes of it.
			await expect
				.poll(
					async () => Math.max(...(await came()).map(({ kept, took }) => Math.abs(took - kept))),
					path
				)
				.toBeLessThan(30);
		}
	});
