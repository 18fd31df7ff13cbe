import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from './demo';

const SCREENS = [
	'/supply',
	'/setup',
	'/cut',
	'/gouge',
	'/wear',
	'/bench',
	'/card',
	'/start',
	'/beside',
	'/chart',
	'/template',
	'/enter',
	'/practice',
	'/cut?guide=circle&bevel=30',
	'/card/a4',
	'/card/shelf'
];

for (const theme of ['bench-day', 'hood-down']) {
	for (const screen of SCREENS) {
		test(`axe finds nothing serious on ${screen} in ${theme}`, async ({ page, baseURL }) => {
			await page.context().addCookies([{ name: 'theme', value: theme, url: baseURL! }]);
			const faults: string[] = [];
			page.on('console', (message) => message.type() === 'error' && faults.push(message.text()));
			page.on('pageerror', (error) => faults.push(error.message));
			await page.goto(screen, { waitUntil: 'networkidle' });
			if (screen === '/setup') {
				await page.locator('[data-figure="setup.speedMmS"]').first().click();
				await expect(page.getByTestId('working')).toBeVisible();
			}
			const { violations } = await new AxeBuilder({ page }).analyze();
			const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
			expect(
				serious.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)
			).toEqual([]);
			expect(faults, 'no errors and no broken content security policy').toEqual([]);
		});
	}
}

test('the keys dialog opens, is named, and gives the focus back', async ({ page }) => {
	await page.goto('/supply');
	await page.getByRole('button', { name: /Keys/ }).click();
	const dialog = page.getByRole('dialog', { name: 'Keys' });
	await expect(dialog).toBeVisible();
	const { violations } = await new AxeBuilder({ page }).include('dialog').analyze();
	expect(violations.filter((v) => v.impact === 'serious' || v.impact === 'critical')).toEqual([]);
	await page.keyboard.press('Escape');
	await expect(dialog).toBeHidden();
});
