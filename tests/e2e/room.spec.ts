import { expect, test } from './demo';

/** Of each section that comes later: the room that was kept for it, what it took, and took at first. */
const WATCH = `const tall = (one) => one.getBoundingClientRect().height;
window.within = (came) => [...came.children].reduce((sum, one) => sum + tall(one), 0);
(function everyFrame() {
	for (const kept of document.querySelectorAll('.room')) kept.dataset.kept = tall(kept);
	for (const came of document.querySelectorAll('.contents[data-kept]')) came.dataset.first ??= within(came);
	requestAnimationFrame(everyFrame);
})();`;
const CAME = `[...document.querySelectorAll('.contents[data-kept]')].map((came) => ({
	kept: Number(came.dataset.kept),
	first: Number(came.dataset.first),
	took: within(came)
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
			const came = () => page.evaluate<{ kept: number; first: number; took: number }[]>(CAME);
			await expect.poll(async () => (await came()).length, path).toBe(many);
			// A line more or less is what a longer name of a bench or another unit makes of it.
			await expect
				.poll(
					async () =>
						Math.max(
							...(await came()).flatMap(({ kept, first, took }) => [
								Math.abs(took - kept),
								Math.abs(first - kept)
							])
						),
					path
				)
				.toBeLessThan(30);
		}
	});
