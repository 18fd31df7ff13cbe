import { DemoServer, answering, expect, openStage, test } from './demo';

test('fourteen cuts, five of them pierced, are logged by two fields and one press, and taken back by one', async ({
	page,
	demo
}) => {
	await page.goto(`/wear?bench=${await demo.benchId('Bay 2')}&t=4`);
	const left = page.locator('[data-station="wear"]');
	const before = (await left.textContent())!;
	await page.getByLabel('Such cuts', { exact: true }).fill('14');
	await page.getByLabel('pierced, of them', { exact: true }).fill('5');
	await page.keyboard.press('Enter');
	await page.getByRole('button', { name: /Log 14 cuts, 4\.2 m/ }).click();
	const notice = page.getByTestId('notice');
	await expect(notice).toContainText('14 cuts logged, 5 of them pierced.');
	await expect(page.getByTestId('last-entry')).toContainText('of 4 mm mild steel, 5 starts');
	await expect(left).not.toHaveText(before);
	// The counter stands at one again, so that the next press is one cut.
	await expect(page.getByRole('button', { name: /^Log this cut, 300 mm/ })).toBeVisible();
	await notice.getByRole('button', { name: /Undo/ }).click();
	await expect(notice).toContainText('Taken back.');
	await expect(left).toHaveText(before);
});

test('a gesture is taken back whole: a page that is closed at once leaves nothing half done', async ({
	page,
	demo,
	request
}) => {
	const bench = await demo.benchId('Bay 2');
	const starts = async () =>
		(
			(await (await request.get(`/api/log/find?bench=${bench}`)).json()) as {
				found: { starts: number };
			}
		).found.starts;
	const before = await starts();
	await page.goto(`/wear?bench=${bench}&t=4`);
	await page.getByLabel('Such cuts', { exact: true }).fill('14');
	await page.getByLabel('pierced, of them', { exact: true }).fill('5');
	await page.getByRole('button', { name: /Log 14 cuts/ }).click();
	const notice = page.getByTestId('notice');
	await expect(notice).toContainText('14 cuts logged, 5 of them pierced.');
	expect(await starts()).toBe(before + 14);
	// A server that takes its time for each write.
	await page.route('**/undo', async (route) => {
		await new Promise((resolve) => setTimeout(resolve, 300));
		await route.continue();
	});
	await notice.getByRole('button', { name: /Undo/ }).click();
	await expect(notice).toContainText('Taken back.');
	await page.close();
	expect(await starts()).toBe(before);
});

test('a day of fourteen cuts, five pierced and one start that failed: three fields and one press', async ({
	page,
	demo
}) => {
	await page.goto(`/wear?bench=${await demo.benchId('Bay 2')}&t=4`);
	const left = page.locator('[data-station="wear"]');
	const before = (await left.textContent())!;
	await page.getByLabel('Such cuts', { exact: true }).fill('14');
	await page.getByLabel('pierced, of them', { exact: true }).fill('5');
	await page.getByRole('button', { name: 'More: failed starts, besides' }).click();
	await page.getByRole('button', { name: /Log 14 cuts, .* and 1 failed start/ }).click();
	const notice = page.getByTestId('notice');
	await expect(notice).toContainText('14 cuts logged, 5 of them pierced, and one failed start.');
	await notice.getByRole('button', { name: /Undo/ }).click();
	await expect(left).toHaveText(before);
});

test('the counter goes by keys, stays within what can be, and L logs what the button says', async ({
	page
}) => {
	await page.goto('/wear?t=4');
	const cuts = page.getByLabel('Such cuts', { exact: true });
	await page.getByRole('button', { name: 'More: Such cuts' }).press('Enter');
	await expect(cuts).toHaveValue('2');
	for (const typed of ['999', '0', 'many', '2.5']) {
		await cuts.fill(typed);
		await cuts.press('Enter');
		await expect(page.getByRole('alert')).toContainText('1 to 200, whole numbers');
		await expect(cuts).toHaveValue(typed);
		await expect(page.getByRole('button', { name: /Log 2 cuts/ })).toBeVisible();
	}
	await cuts.fill('3');
	await cuts.press('Enter');
	await expect(page.getByRole('alert')).toHaveCount(0);
	await page.getByRole('heading', { name: 'Log it' }).click();
	await page.keyboard.press('l');
	const notice = page.getByTestId('notice');
	await expect(notice).toContainText('3 cuts, 900 mm logged.');
	await page.keyboard.press('z');
	await expect(notice).toContainText('Taken back.');
});

test('two presses on one step take back that step, once', async ({ page }) => {
	await page.goto('/wear?t=4');
	const notice = page.getByTestId('notice');
	for (const cuts of ['2', '3']) {
		await page.getByLabel('Such cuts', { exact: true }).fill(cuts);
		await page.getByLabel('Such cuts', { exact: true }).press('Enter');
		await page.getByRole('button', { name: `Log ${cuts} cuts` }).click();
		await expect(notice).toContainText(`${cuts} cuts`);
	}
	await page.getByRole('link', { name: 'The log' }).click();
	let asked = 0;
	let answer = () => {};
	const held = new Promise<void>((resolve) => (answer = resolve));
	await page.route('**/api/log/undo', async (route) => {
		asked++;
		await held;
		await route.continue();
	});
	const steps = page.getByRole('region', { name: 'Your last steps' });
	await steps.getByRole('button', { name: /^Undo: 3 cuts/ }).dblclick();
	await page.keyboard.press('z');
	await expect.poll(() => asked).toBe(1);
	answer();
	await expect(notice).toHaveText(/^Taken back\./);
	expect(asked).toBe(1);
	await steps.getByRole('button', { name: /^Undo: 2 cuts/ }).click();
	await expect(steps.getByRole('button', { name: /^Undo: / })).toHaveCount(0);
});

test.describe('a day by thumb', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

	test('cuts, a measurement and a new pair in eight gestures; then last month is put right and three steps taken back', async ({
		page,
		demo
	}) => {
		const bench = await demo.benchId('Bay 2');
		await page.goto(`/wear?bench=${bench}&t=4`);
		const answer = page.getByTestId('cuts-left');
		const left = async () => Number(await answer.getAttribute('data-value'));
		const notice = page.getByTestId('notice');
		const before = await left();
		await expect(page.getByRole('region', { name: 'What the cut costs' })).toContainText('worker');

		// One to four: the day.
		await page.getByLabel('Such cuts', { exact: true }).fill('14');
		await page.getByLabel('pierced, of them', { exact: true }).fill('5');
		await page.getByRole('button', { name: 'More: failed starts, besides' }).tap();
		await page.getByRole('button', { name: /Log 14 cuts, .* and 1 failed start/ }).tap();
		await expect(notice).toContainText('and one failed start');
		expect(await left()).toBeLessThan(before);
		// Five and six: the gauge.
		await page.getByLabel('Depth gauge reads').fill('0.8');
		await page.getByRole('button', { name: 'Log the pit' }).tap();
		await expect(notice).toContainText('Pit of 0.8 mm taken');
		const measured = await left();
		// Seven: a new pair; the electrode was worn.
		await page.getByRole('button', { name: 'A new pair is in' }).tap();
		await expect(notice).toContainText('Pair C is in the torch');
		await expect(page.getByText('as those before it lasted')).toBeVisible();
		expect(await left()).toBeGreaterThan(measured);
		await notice.getByRole('button', { name: /Undo/ }).tap();
		await expect(notice).toContainText('Pair B is back in');

		await page.getByRole('link', { name: 'The log' }).tap();
		await expect(page.getByTestId('found')).toContainText('found');
		await page.getByLabel(/^Find/).fill('8 mm rolled');
		await expect(page.getByTestId('found')).toContainText('1 found: 6 m, 20 starts');
		await page.getByRole('button', { name: /^Correct: 6 m of 8 mm/ }).tap();
		const panel = page.getByRole('region', { name: 'Correct it' });
		await panel.getByLabel('Starts', { exact: true }).fill('12');
		await panel.getByLabel('Starts', { exact: true }).blur();
		await expect(panel).toContainText('3.6 m of 8 mm mild steel, 12 starts');
		await panel.getByRole('button', { name: 'Save the correction' }).tap();
		await expect(notice).toContainText('the old line stays in the record');
		await expect(page.getByTestId('found')).toContainText('1 found: 3.6 m, 12 starts');
		await expect(page.getByRole('table')).toContainText('was 6 m of 8 mm mild steel, 20 starts');

		// The correction, the pit and the failed start, one after the other.
		const steps = page.getByRole('region', { name: 'Your last steps' });
		for (const step of ['Correction', 'Pit of 0.8 mm', 'One failed start']) {
			await steps.getByRole('button', { name: `Undo: ${step}` }).tap();
			await expect(notice).toContainText('Taken back');
		}
		await expect(page.getByTestId('found')).toContainText('1 found: 6 m, 20 starts');
		await page.keyboard.press('Escape');
		// The cuts go back too, so that the shop is as it was found.
		for (const step of [/^Undo: 5 cuts/, /^Undo: 9 cuts/])
			await steps.getByRole('button', { name: step }).tap();
		await expect(steps.getByRole('button', { name: /^Undo: / })).toHaveCount(0);
		await page.locator('[data-station="wear"]').tap();
		await expect(answer).toHaveAttribute('data-value', String(before));
	});
});

test.describe('east of the server', () => {
	test.use({ timezoneId: 'Asia/Tokyo' });
	test('the log tells when by the clock on the wall', async ({ page, demo, request }) => {
		const bench = await demo.benchId('Bay 2');
		const { entries } = (await (
			await request.get(`/api/log/find?bench=${bench}&q=pit`)
		).json()) as { entries: { at: string }[] };
		const told = new Intl.DateTimeFormat('en-GB', {
			timeZone: 'Asia/Tokyo',
			day: 'numeric',
			month: 'short',
			hour: '2-digit',
			minute: '2-digit'
		}).format(new Date(entries[0]!.at));
		await page.goto(`/log?bench=${bench}&q=pit`);
		await expect(page.locator('tbody td').first()).toHaveText(told.replace(',', ''));
	});
});

test('the log goes out as CSV and comes in again whole or not at all', async ({
	page,
	demo,
	request
}) => {
	const bench = await demo.benchId('Bay 2');
	await page.goto(`/log?bench=${bench}`);
	const all = (await page.getByTestId('found').getByRole('heading').textContent())!;
	const csv = await (await request.get(`/api/log/csv?bench=${bench}&q=pit`)).text();
	expect(csv.split('\r\n')[0]).toContain('when,what,metal,thickness (mm)');
	expect(csv.trim().split('\r\n')).toHaveLength(4);
	const take = (text: string) =>
		page.getByLabel('In from CSV').setInputFiles({
			name: 'log.csv',
			mimeType: 'text/csv',
			buffer: Buffer.from(text)
		});
	const panel = page.getByRole('region', { name: 'Read from the file' });
	await take('when,what,pit (mm)\n2026-11-25T08:00:00Z,pit,0.6\n2026-11-25T09:00:00Z,pit,60\n');
	await expect(panel).toContainText('nothing was written');
	await expect(panel).toContainText('Row 3');
	await take('when,what,looked,what for\n2026-11-25T08:00:00Z,look,clean,Lock gate 4\n');
	await expect(panel).toContainText('1 row, from');
	await panel.getByRole('button', { name: 'Log 1 row', exact: true }).click();
	await expect(page.getByTestId('notice')).toContainText('1 row logged');
	await page.getByLabel(/^Find/).fill('lock gate');
	await expect(page.getByTestId('found')).toContainText('1 found');
	await page.getByRole('button', { name: /^Correct: looked/ }).click();
	await page
		.getByRole('region', { name: 'Correct it' })
		.getByRole('button', { name: 'Take it back' })
		.click();
	await expect(page.getByTestId('found')).toContainText('0 found');
	await page.getByLabel(/^Find/).fill('');
	await expect(page.getByTestId('found').getByRole('heading')).toHaveText(all);
});

test('the longest run comes first by a press on its column, by keys too', async ({
	page,
	demo
}) => {
	await page.goto(`/log?bench=${await demo.benchId('Bay 2')}`);
	const table = page.getByRole('table');
	const runs = async () =>
		(await table.locator('td.length').allTextContents())
			.filter((text) => text.trim() !== '')
			.map((text) => parseFloat(text) * (text.includes(' mm') ? 1 : 1000));
	const run = table.getByRole('columnheader', { name: 'Run' });
	await expect(run).toHaveAttribute('aria-sort', 'none');
	await run.getByRole('button').press('Enter');
	await expect(run).toHaveAttribute('aria-sort', 'descending');
	const down = await runs();
	expect(down.length).toBeGreaterThan(5);
	expect(down).toEqual([...down].sort((a, b) => b - a));
	await run.getByRole('button').press('Enter');
	await expect(run).toHaveAttribute('aria-sort', 'ascending');
	expect(await runs()).toEqual([...down].reverse());
	// What has no run comes last either way.
	await expect(table.locator('td.length').first()).not.toBeEmpty();
	await expect(table.locator('td.length').last()).toBeEmpty();
});

test('a pit that shrinks is asked about, and an oval bore is told', async ({ page, demo }) => {
	await page.goto(`/wear?bench=${await demo.benchId('Bay 2')}`);
	const measured = page.getByRole('region', { name: 'Measured' });
	await measured.getByLabel('Depth gauge reads').fill('0.1');
	await measured.getByRole('button', { name: 'Log the pit' }).click();
	await expect(measured.getByRole('alert')).toContainText('It was 0.36 mm before');
	await measured.getByLabel('Drill or pin in the bore').fill('1.05');
	await measured.getByLabel('across it').fill('1.15');
	await measured.getByLabel('across it').blur();
	await expect(measured).toContainText('Out of round');
});

test('the drawer is counted, says when to order, and prints the shopping list', async ({
	page,
	demo
}) => {
	const bench = await demo.benchId('Bay 2');
	await page.goto(`/wear?bench=${bench}`);
	await openStage(page, 'drawer');
	const drawer = page.getByRole('region', { name: 'In the drawer' });
	const nozzle = drawer.getByTestId('drawer-nozzle');
	await expect(nozzle).toContainText('order 5');
	await drawer.getByRole('button', { name: 'More: in the drawer' }).nth(1).click();
	await expect(nozzle).toContainText('order at 2');
	// A new pair comes out of the drawer, and taken out again goes back.
	await page.getByRole('button', { name: 'A new pair is in' }).click();
	await expect(nozzle).toContainText('order 5');
	await page.getByTestId('notice').getByRole('button', { name: /Undo/ }).click();
	await expect(nozzle).toContainText('order at 2');
	await drawer.getByRole('button', { name: 'Fewer: in the drawer' }).nth(1).click();
	await expect(nozzle).toContainText('order 5');
	await drawer.getByRole('link', { name: 'Shopping list' }).click();
	await expect(page.getByRole('heading', { name: 'Shopping list' })).toBeVisible();
	await expect(page.getByRole('row', { name: /5 Nozzle Bay 2 2/ })).toBeVisible();
	await page.route('**/list.csv', (route) => route.abort());
	await page.getByRole('link', { name: 'As CSV' }).click();
	await expect(page.getByRole('status')).toHaveText(
		'The server does not answer. No file was saved.'
	);
	await page.unroute('**/list.csv');
	const saved = page.waitForEvent('download');
	await page.getByRole('link', { name: 'As CSV' }).click();
	expect((await saved).suggestedFilename()).toMatch(/\.csv$/);
	await expect(page.getByRole('status')).toContainText('.csv is here.');
	await page.emulateMedia({ media: 'print' });
	await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
});

test('an o-ring and a gouging nozzle have lives of their own, the nozzle by its grooves', async ({
	page,
	demo
}) => {
	await page.goto(`/wear?bench=${await demo.benchId('Bay 2')}`);
	const lives = page.getByRole('list', { name: 'What is left in each part' });
	const row = (name: string) => lives.getByRole('listitem').filter({ hasText: name });
	await expect(row('Gouging nozzle')).toContainText('gouging starts, usually');
	await expect(row('O-ring')).toContainText('starts, usually');
	await expect(row('O-ring')).not.toContainText(/2.?000/);
	await page.getByLabel('Put in').selectOption('o-ring');
	await page.getByRole('button', { name: 'A new one is in' }).click();
	await expect(row('O-ring')).toContainText(/2.?000/);
	await page.getByTestId('notice').getByRole('button', { name: /Undo/ }).click();
	await expect(row('O-ring')).not.toContainText(/2.?000/);
});

test('what was read is drawn up to the limit, and a cut is found by what it was for', async ({
	page,
	demo
}) => {
	await page.goto(`/wear?bench=${await demo.benchId('Bay 2')}`);
	const worn = page.getByRole('region', { name: 'When it is worn out' });
	await worn.scrollIntoViewIfNeeded();
	await expect(
		worn.getByRole('img', { name: /Pit of the electrode: 0\.53 mm after 112/ })
	).toBeVisible();
	await expect(worn.getByRole('img', { name: /Bore of the nozzle/ })).toBeVisible();
	await worn.getByText('The same as a table').click();
	await expect(worn.getByRole('row', { name: /Pit of the electrode 77 0\.36 mm/ })).toBeVisible();
	await page.getByLabel('What for (may stay empty)').fill('Gate 3 strap');
	await page.getByRole('button', { name: /^Log this cut/ }).click();
	await expect(page.getByTestId('notice')).toContainText('logged');
	await page.getByRole('link', { name: 'The log' }).click();
	await page.getByLabel(/^Find/).fill('gate strap');
	await expect(page.getByTestId('found')).toContainText('1 found');
	// By key, outside the field: the list follows.
	await page.getByTestId('found').click();
	await page.keyboard.press('z');
	await expect(page.getByTestId('notice')).toContainText('Taken back');
	await expect(page.getByTestId('found')).toContainText('0 found');
});

test('years of a log come in from one file', async ({ browser }) => {
	// A server of its own: what comes in stays.
	const server = new DemoServer(4187);
	await server.start();
	await server.load();
	const page = answering(await browser.newPage());
	await page.goto(`${server.url}/log`);
	const found = page.getByTestId('found').getByRole('heading');
	const before = Number(/^\d+/.exec((await found.textContent())!)![0]);
	const rows = Array.from(
		{ length: 3000 },
		(_, i) =>
			`${new Date(Date.UTC(2023, 0, 1) + i * 3_600_000).toISOString()},cut,mild-steel,6,45,300,13.9,1,edge,Lock gate ${i}`
	);
	const header =
		'when,what,metal,thickness (mm),amps (A),length (mm),arc (s),starts,start,what for';
	await page.getByLabel('In from CSV').setInputFiles({
		name: 'years.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from([header, ...rows].join('\n'))
	});
	await page.getByRole('button', { name: 'Log 3000 rows' }).click();
	await expect(page.getByTestId('notice')).toContainText('3000 rows logged');
	await expect(found).toContainText(`${before + 3000} found`);
	// Page by page, newest first; the oldest are at the other end of the order.
	const pages = page.getByRole('navigation', { name: 'Pages of the log' });
	const first = page.getByRole('table').getByRole('row').nth(2);
	await page.getByLabel(/^Find/).fill('2023');
	await expect(pages).toContainText('1 to 25 of 3000');
	await expect(first).toContainText('Lock gate 2999');
	await pages.getByRole('button', { name: 'Page after' }).click();
	await expect(pages).toContainText('26 to 50 of 3000');
	await expect(first).toContainText('Lock gate 2974');
	await pages.getByRole('button', { name: 'Page before' }).click();
	await expect(first).toContainText('Lock gate 2999');
	await expect(pages.getByRole('button', { name: 'Page before' })).toBeDisabled();
	await pages.getByRole('button', { name: 'Page after' }).click();
	await expect(pages).toContainText('26 to 50 of 3000');
	await page.getByRole('button', { name: 'When' }).click();
	await expect(pages).toContainText('1 to 25 of 3000');
	await expect(first).toContainText('Lock gate 0');
	// A page that does not come leaves what is seen, and says so.
	await page.route('**/api/log/find?*', (route) => route.abort());
	await pages.getByRole('button', { name: 'Page after' }).click();
	const away = page.getByRole('alert').filter({ hasText: 'The server does not answer' });
	await expect(away).toBeVisible();
	// In sight, not under the line that stays at the top.
	const lineEnds = await page
		.getByRole('navigation', { name: 'The line' })
		.evaluate((line) => line.getBoundingClientRect().bottom);
	await expect
		.poll(() => away.evaluate((alert) => alert.getBoundingClientRect().top))
		.toBeGreaterThan(lineEnds - 1);
	await expect(away).toBeInViewport();
	await expect(pages).toContainText('1 to 25 of 3000');
	await page.unroute('**/api/log/find?*');
	await page.getByLabel(/^Find/).fill('2023-01-02 lock gate 30');
	await expect(found).toContainText('1 found');
	await page.close();
	await server.remove();
});

test('the shop is looked after: due, done by one press, again by its own rhythm, and in a calendar file', async ({
	page,
	demo
}) => {
	await page.goto(`/wear?bench=${await demo.benchId('Bay 2')}#care`);
	const rings = page.getByTestId('care-rings');
	await expect(rings).toContainText('never noted');
	const row = page.getByRole('listitem').filter({ has: rings });
	await row.getByRole('button', { name: 'Done' }).click();
	const notice = page.getByTestId('notice');
	await expect(notice).toContainText('O-rings looked at logged.');
	await expect(rings).toContainText('in 30 days');
	await notice.getByRole('button', { name: /Undo/ }).click();
	await expect(rings).toContainText('never noted');
	await row.getByText('Own rhythm').click();
	await row.getByLabel('Done now, again in so many days').fill('12');
	await page.keyboard.press('Enter');
	await expect(rings).toContainText('every 12 days');
	const calendar = await page.request.get('/care.ics');
	expect(calendar.headers()['content-type']).toContain('text/calendar');
	expect(await calendar.text()).toMatch(/INTERVAL=12\r\nSUMMARY:O-rings of the torch\\, Bay 2/);
	await notice.getByRole('button', { name: /Undo/ }).click();
	await expect(rings).toContainText('never noted');
});

test('a pit is read three times: the mean is logged, readings far apart are asked about', async ({
	page
}) => {
	await page.goto('/wear');
	const gauge = page.getByLabel('Depth gauge reads');
	for (const read of ['0.60', '0.66']) {
		await gauge.fill(read);
		await page.getByRole('button', { name: 'Read it once more' }).click();
	}
	await gauge.fill('0.63');
	await page.keyboard.press('Tab');
	const readings = page.getByTestId('readings');
	await expect(readings).toContainText('mean 0.63 mm, give or take 0.03 mm');
	await page.getByRole('button', { name: 'Log the pit' }).click();
	const notice = page.getByTestId('notice');
	await expect(notice).toContainText('Pit of 0.63 mm taken.');
	await notice.getByRole('button', { name: /Undo/ }).click();
	await expect(notice).toContainText('Taken back.');
	await gauge.fill('0.4');
	await page.getByRole('button', { name: 'Read it once more' }).click();
	await gauge.fill('0.9');
	await page.keyboard.press('Tab');
	await expect(page.getByRole('alert')).toContainText('too far apart');
	await page.getByRole('button', { name: 'start again' }).click();
	await expect(readings).not.toContainText('mean');
});

test('who works here is said once and stands in the log; all cuts of a template go in by one press', async ({
	page,
	demo
}) => {
	const bench = await demo.benchId('Bay 2');
	await page.goto(`/wear?bench=${bench}`);
	await page.getByLabel('Who', { exact: true }).fill('morning shift');
	await page.keyboard.press('Tab');
	await page.goto(`/template?bench=${bench}`);
	await page.getByRole('button', { name: /^Log all \d+ cuts as done/ }).click();
	const notice = page.getByTestId('notice');
	await expect(notice).toContainText(/: \d+ cuts logged/);
	await page.goto(`/log?bench=${bench}&q=`);
	await page.getByLabel(/^Find/).fill('morning');
	await expect(page.getByTestId('found')).toContainText(/^\s*[1-9]\d* found/);
	await expect(page.getByRole('row').filter({ hasText: 'morning shift' }).first()).toBeVisible();
	// A phone has no column for it: it stands under what was done.
	await page.setViewportSize({ width: 390, height: 844 });
	await expect(page.getByRole('cell', { name: /mild steel.*morning shift/ }).first()).toBeVisible();
	await page.setViewportSize({ width: 1280, height: 800 });
	// As it was before: the steps of this device, one by one.
	const undo = page.getByRole('button', { name: /^Undo: / });
	while ((await undo.count()) > 0) {
		const words = await undo.textContent();
		await undo.click();
		await expect(undo.filter({ hasText: words! })).toHaveCount(0);
	}
	await expect(page.getByText('Nothing was logged from this device lately.')).toBeVisible();
});
