import { expect, openStage, test } from './demo';

test('a cut read as too fast gets one correction, is taken, and the card comes down; taken back it is as before', async ({
	page
}) => {
	await page.goto('/cut');
	await openStage(page, 'read');
	const read = page.getByRole('region', { name: 'Read the cut' });
	const meaning = page.getByTestId('reading');
	const speed = page.locator('[data-station="setup"]');
	await expect(speed).toContainText('22 mm/s');
	await expect(meaning).toContainText('press what the cut shows');
	await read.getByLabel('Sparks trail by').fill('45');
	await expect(meaning).toContainText('Too fast');
	// tan 22.5° / tan 45° of 22 mm/s is what the angle alone would ask; the card goes part of the way.
	await expect(meaning).toContainText('This reading alone would say 9.1 mm/s');
	const told = /Go slower: ([\d.]+ mm\/s), ([\d.]+ s) for your line/.exec(
		(await meaning.textContent())!
	)!;
	await meaning.getByRole('button', { name: 'Log it as a test cut' }).click();
	await expect(page.getByTestId('notice')).toContainText('Taken as a test cut');
	// What was advised, what the card says and what the practice line asks is one number.
	await expect(speed).toContainText(told[1]!);
	await page.goto('/practice');
	await expect(page.getByTestId('to-hold')).toContainText(told[1]!);
	await page.locator('[data-station="setup"]').click();
	await expect(page.getByTestId('line-seconds')).toHaveText(told[2]!);
	await openStage(page, 'test-cuts');
	const cuts = page.getByRole('region', { name: 'Test cuts' });
	await expect(cuts.getByTestId('measured')).toContainText('sparks at 45°');
	await cuts.getByRole('button', { name: /Take back: test cut, 6 mm mild/ }).click();
	await expect(speed).toContainText('22 mm/s');
});

test('signs are turned by keys, what to look at next is answered in place, and doubt shrinks', async ({
	page
}) => {
	await page.goto('/cut');
	await openStage(page, 'read');
	const meaning = page.getByTestId('reading');
	const rough = page.getByRole('button', { name: 'Rough edge: not looked for' });
	await rough.focus();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('button', { name: 'Rough edge: seen' })).toBeVisible();
	const surest = async () =>
		Number(/(\d+) %/.exec((await meaning.getByRole('listitem').first().textContent())!)![1]);
	const first = await surest();
	const next = meaning.getByTestId('look-next');
	for (let i = 0; i < 4 && (await next.isVisible()); i++) {
		const asked = await next.locator('b').textContent();
		const soft = asked!.includes('thick bead') || asked!.includes('wider than usual');
		await next.getByRole('button', { name: soft ? 'Yes' : 'No', exact: true }).click();
	}
	expect(await surest()).toBeGreaterThan(first);
	await meaning.getByRole('button', { name: 'Start over' }).click();
	await expect(rough).toBeVisible();
});

test('in thin sheet the sparks are not asked for', async ({ page }) => {
	await page.goto('/cut?t=2');
	await openStage(page, 'read');
	await expect(page.getByRole('region', { name: 'Read the cut' })).toContainText(
		'the sparks tell nothing'
	);
	await page.getByRole('button', { name: 'Thick soft dross: not looked for' }).click();
	await expect(page.getByTestId('reading')).toContainText('Too slow');
	// Nor is a hand asked for what the amps would: what it was to hold is what it is taken to have held.
	await expect(page.getByLabel('Speed held')).toHaveAttribute('placeholder', '50 mm/s');
	await expect(page.getByTestId('reading')).toContainText(
		'A hand goes no faster than 50 mm/s: turn down'
	);
	// What does not go through was held at nothing.
	await page.goto('/cut?t=40');
	await openStage(page, 'read');
	await expect(page.getByLabel('Speed held')).toHaveAttribute('placeholder', '');
});
