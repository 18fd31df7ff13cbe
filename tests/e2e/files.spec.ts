/** Files that are saved by a link: what is told where none comes, and what none can hold yet. */
import { readFileSync } from 'node:fs';
import { expect, test } from './demo';

test('a file that does not come is told, one that comes has its name, and what waits here is not in it', async ({
	page,
	demo
}) => {
	await page.goto(`/bench?bench=${await demo.benchId('Bay 2')}`);
	const notice = page.getByTestId('notice');
	const link = page.getByRole('link', { name: 'Export this bench' });
	// What saves files comes behind the first screen: until then the browser does it by itself.
	await page.mouse.move(10, 10);
	await page.waitForLoadState('networkidle');

	let downloads = 0;
	page.on('download', () => downloads++);
	await page.route('**/export', (route) => route.fulfill({ status: 500, body: 'no' }));
	await link.click();
	await expect(notice).toContainText('The server answered 500. No file was saved.');
	await page.unroute('**/export');
	await page.route('**/export', (route) => route.abort());
	await link.click();
	await expect(notice).toContainText('The server does not answer. No file was saved.');
	await page.unroute('**/export');
	expect(downloads).toBe(0);

	// Twice in a hurry is one file.
	let asked = 0;
	let go = () => {};
	const held = new Promise<void>((resolve) => (go = resolve));
	await page.route('**/export', async (route) => {
		asked++;
		await held;
		await route.continue();
	});
	await link.click();
	await expect(link).toHaveAttribute('aria-busy', 'true');
	await link.click();
	const saved = page.waitForEvent('download');
	go();
	const file = await saved;
	expect(asked).toBe(1);
	expect(file.suggestedFilename()).toMatch(/^bay-2.*\.json$/i);
	expect(readFileSync(await file.path(), 'utf8')).toContain('"Bay 2"');
	await expect(notice).toContainText(`${file.suggestedFilename()} is here.`);
	await expect(link).not.toHaveAttribute('aria-busy');
	await page.unroute('**/export');

	// A cut that is logged while the log cannot be written waits, and the export says that it lacks it.
	await page.route('**/api/log', (route) => route.abort());
	await page.getByRole('navigation', { name: 'The line' }).getByText('Wear').click();
	await page.getByRole('button', { name: /^Log this cut/ }).click();
	await expect(page.getByTestId('waiting')).toContainText('1 waiting on this device');
	await page.getByRole('link', { name: 'This bench' }).first().click();
	const again = page.waitForEvent('download');
	await link.click();
	await again;
	await expect(notice).toContainText('One entry waits on this device still, and cannot be in it.');
	await page.getByTestId('waiting').locator('summary').click();
	await page.getByRole('button', { name: /^Take back/ }).click();
	await expect(page.getByTestId('waiting')).toBeHidden();
});
