/** A browser that keeps nothing: a private window, storage forbidden by whoever runs the device. */
import { expect, test } from './demo';

const PAGES = [
	'/start',
	'/supply',
	'/setup',
	'/cut',
	'/gouge',
	'/wear',
	'/log',
	'/job',
	'/job/run?list=demo-lock-gate-3',
	'/template',
	'/practice',
	'/photo',
	'/checks',
	'/benches',
	'/bench',
	'/chart',
	'/fault',
	'/sensor',
	'/shopping',
	'/hot-work',
	'/paper-rule'
];

test.beforeEach(async ({ page }) => {
	await page.addInitScript(() => {
		for (const name of ['localStorage', 'sessionStorage', 'indexedDB'])
			Object.defineProperty(window, name, {
				get() {
					throw new DOMException('denied', 'SecurityError');
				}
			});
	});
});

test('opens every page without a fault', async ({ page }) => {
	const faults: string[] = [];
	page.on('pageerror', ({ message }) => faults.push(`${page.url()}: ${message}`));
	for (const path of PAGES) {
		await page.goto(path);
		await page.waitForLoadState('networkidle');
	}
	expect(faults).toEqual([]);
});

test('logs a cut, and says so where it cannot: nothing is lost unsaid', async ({
	page,
	demo,
	context
}) => {
	await page.goto(`/wear?bench=${await demo.benchId('Bay 2')}&t=4`);
	const notice = page.getByTestId('notice');
	await page.getByRole('button', { name: /^Log this cut/ }).click();
	await expect(notice).toContainText('logged');
	await notice.getByRole('button', { name: /Undo/ }).click();
	await expect(notice).toContainText('Taken back.');
	await context.setOffline(true);
	await page.getByRole('button', { name: /^Log this cut/ }).click();
	await expect(notice).toContainText('do it again when the server answers');
	await context.setOffline(false);
	await page.getByRole('button', { name: /^Log this cut/ }).click();
	await expect(notice).toContainText('logged');
	await notice.getByRole('button', { name: /Undo/ }).click();
	await expect(notice).toContainText('Taken back.');
});
