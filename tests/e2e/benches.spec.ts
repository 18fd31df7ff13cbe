import { expect, fetchAhead, test } from './demo';

const HUT = 'Lock-keeper’s hut at the upper gate';

test('“can I cut this?” takes two touches, answers for every bench, and opens there with the same numbers', async ({
	page
}) => {
	await page.goto('/setup');
	// Touch one: all benches. Touch two: the thickness.
	await page.getByRole('link', { name: 'All benches' }).click();
	await expect(page.getByRole('heading', { name: 'Can I cut this?' })).toBeVisible();
	const told = page.getByTestId('shop-answer');
	await expect(told).toContainText('Yes. Bay 2 cuts it clean');
	await page.getByLabel('Thickness', { exact: true }).fill('14');
	await page.keyboard.press('Enter');
	await expect(told).toContainText('Just. Bay 2 severs it, not clean,');
	const [best, worse] = [
		page.getByTestId('bench-answer').first(),
		page.getByTestId('bench-answer').last()
	];
	await expect(best).toContainText('clean only to 12 mm');
	await expect(worse).toHaveAttribute('data-verdict', 'stops');
	await expect(worse).toContainText('Carry the plate to Bay 2');
	await expect(worse).not.toContainText(/\d s\b/);
	const seconds = /in ([\d.:]+ (?:s|min))/.exec((await told.textContent())!)![1]!;
	await best.getByRole('link', { name: 'Open it on Bay 2' }).click();
	await expect(page.getByTestId('line-seconds')).toHaveText(seconds);
	await expect(page.getByRole('textbox', { name: 'Thickness' })).toHaveValue('14 mm');
});

test('the thickness is stepped by keyboard, in inches too, and a refused one stays as typed', async ({
	page
}) => {
	await page.goto('/benches?t=6');
	const thickness = page.getByLabel('Thickness', { exact: true });
	await page.getByRole('button', { name: 'Thicker' }).focus();
	await page.keyboard.press('Enter');
	await page.keyboard.press('Space');
	await expect(thickness).not.toHaveValue('6 mm');
	await thickness.fill('400');
	await thickness.press('Enter');
	await expect(page.getByRole('alert')).toContainText('0.3 mm to 100 mm is accepted');
	await expect(thickness).toHaveValue('400');
	await thickness.fill('1/2"');
	await thickness.press('Enter');
	await expect(thickness).toHaveValue('12.7 mm');
	await page.getByRole('radio', { name: 'over and over' }).check();
	await expect(page.getByTestId('shop-answer')).toContainText('Bay 2');
});

test('a bench is copied, called otherwise, deleted and put back with its log, by keyboard', async ({
	page,
	demo
}) => {
	const bay = await demo.benchId('Bay 2');
	await page.goto(`/benches?bench=${bay}`);
	const row = (name: string) => page.getByRole('group', { name: `The bench ${name}`, exact: true });
	const notice = page.getByTestId('notice');
	await row('Towpath trolley').getByRole('button', { name: 'Duplicate' }).focus();
	await page.keyboard.press('Enter');
	await expect(notice).toContainText('Towpath trolley copy is there');
	await row('Towpath trolley copy').getByRole('button', { name: 'Rename' }).press('Enter');
	const name = page.getByLabel('New name of Towpath trolley copy');
	await expect(name).toBeFocused();
	await name.fill('');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('1 to 60 characters');
	await name.fill(HUT);
	await page.keyboard.press('Enter');
	await expect(row(HUT)).toBeVisible();
	// Deleted from the page of the bench itself: the next one opens, and Z puts it back.
	await page.goto(`/benches?bench=${await demo.benchId(HUT)}`);
	// However long its name, the bar above stays one line.
	const bar = page.getByRole('banner');
	for (const width of [1280, 390]) {
		await page.setViewportSize({ width, height: 800 });
		expect((await bar.boundingBox())!.height, `at ${width} px`).toBeLessThan(60);
	}
	await page.setViewportSize({ width: 1280, height: 800 });
	await row(HUT).getByRole('button', { name: 'Delete' }).press('Enter');
	await expect(notice).toContainText(`${HUT} is deleted`);
	await expect(row(HUT)).toHaveCount(0);
	await expect(page.locator('#bench-picker option')).not.toContainText([HUT]);
	await page.keyboard.press('z');
	await expect(notice).toContainText(`${HUT} is back`);
	await expect(row(HUT)).toBeVisible();
	await row(HUT).getByRole('button', { name: 'Delete' }).click();
	await expect(notice).toContainText('is deleted');
});

test('without the server the answers before stay, and say so', async ({ page, context }) => {
	await fetchAhead(page);
	await page.goto('/benches?t=6');
	await expect(page.getByTestId('shop-answer')).toContainText('Yes.');
	await page.locator('html[data-whole]').waitFor({ state: 'attached' });
	await context.setOffline(true);
	await page.getByRole('button', { name: 'Thicker' }).click();
	await expect(page.getByText('These are the answers to the question before.')).toBeVisible();
	await context.setOffline(false);
	await page.getByRole('button', { name: 'Thicker' }).click();
	await expect(page.getByText('These are the answers to the question before.')).toBeHidden();
});
