import type { Page } from '@playwright/test';
import { faultsOf, serious } from './axe';
import { expect, test } from './demo';
import { SCREENS } from './screens';
import { unclear } from './words';

/** Controls that a thumb misses, and lettering in drawings that is too small, at the size that is shown. */
const tooSmall = (page: Page): Promise<string[]> =>
	page.evaluate(async () => {
		// What has just come is measured as it is shown: a drawing learns its size in the frame that shows it.
		for (let frame = 0; frame < 2; frame++) await new Promise(requestAnimationFrame);
		const found = new Set<string>();
		const size = (node: Element) => node.getBoundingClientRect();
		for (const node of document.querySelectorAll('button, a, select, input, summary')) {
			// A balloon is drawn small and touched large; a ticked or chosen file answers by its label too.
			if (node.classList.contains('wf') || size(node).width < 2) continue;
			const label = node.closest('label') ?? node;
			const [width, height] = [
				Math.max(size(node).width, size(label).width),
				Math.max(size(node).height, size(label).height)
			];
			const within = node.closest('p, li.said, dd') && node.tagName === 'A';
			if (!within && (width < 43.5 || height < 43.5))
				found.add(
					`${node.tagName} ${node.getAttribute('aria-label') ?? node.textContent?.trim()} ${Math.round(width)} × ${Math.round(height)}`
				);
		}
		for (const node of document.querySelectorAll<SVGTextElement>('svg text')) {
			const scale = node.getScreenCTM()?.a ?? 0;
			const px = scale * parseFloat(getComputedStyle(node).fontSize);
			if (size(node).width > 0 && px < 12.95)
				found.add(`lettering "${node.textContent?.trim()}" ${px.toFixed(1)} px`);
		}
		return [...found];
	});

for (const screen of SCREENS) {
	test(`${screen} is clean for axe in both themes and on a phone, large enough for a thumb, and in plain words`, async ({
		page
	}) => {
		const faults: string[] = [];
		page.on('console', (message) => message.type() === 'error' && faults.push(message.text()));
		page.on('pageerror', (error) => faults.push(error.message));
		await page.goto(screen, { waitUntil: 'networkidle' });
		if (screen === '/setup') {
			await page.locator('[data-figure="setup.speedMmS"]').first().click();
			await expect(page.getByTestId('working')).toBeVisible();
		}
		expect(serious(await faultsOf(page)), 'by day').toEqual([]);
		await page.evaluate(() => (document.documentElement.dataset.theme = 'hood-down'));
		const contrast = await faultsOf(page, { rules: ['color-contrast'] });
		expect(serious(contrast), 'in the dark').toEqual([]);
		await page.setViewportSize({ width: 390, height: 844 });
		expect(serious(await faultsOf(page)), 'on a phone').toEqual([]);
		if (!screen.startsWith('/card')) expect(await tooSmall(page)).toEqual([]);
		await page.setViewportSize({ width: 1280, height: 800 });
		await page.evaluate(() => (document.documentElement.style.fontSize = '200%'));
		expect(
			await page.evaluate(() => document.documentElement.scrollWidth - innerWidth),
			'text at 200 % scrolls one way only'
		).toBeLessThanOrEqual(0);
		expect(await unclear(page), 'words and choices').toEqual([]);
		expect(faults, 'no errors and no broken content security policy').toEqual([]);
	});
}

test('the keys dialog opens, is named, and gives the focus back', async ({ page }) => {
	await page.goto('/supply');
	await page.getByRole('button', { name: /Words/ }).click();
	const dialog = page.getByRole('dialog', { name: 'Words and keys' });
	await expect(dialog).toBeVisible();
	expect(serious(await faultsOf(page, { within: 'dialog' }))).toEqual([]);
	await page.keyboard.press('Escape');
	await expect(dialog).toBeHidden();
});
