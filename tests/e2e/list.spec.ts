import type { Page } from '@playwright/test';
import { answering, expect, test } from './demo';

const headline = (page: Page) => page.getByTestId('job').getByRole('heading', { level: 1 });
const items = (page: Page) => page.getByRole('list', { name: 'Items' }).getByRole('listitem');
const planned = (page: Page) => expect(headline(page)).toHaveText(/^Done by \d\d:\d\d/);

/** Ticks and lists of a test are taken back: others have the bench, its log and the demo list without them. */
test.afterEach(async ({ demo }) => {
	const bench = await demo.benchId('Bay 2');
	const call = (path: string, body: unknown) =>
		fetch(`${demo.url}${path}`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(body)
		});
	const { lists } = (await (await fetch(`${demo.url}/api/lists?bench=${bench}`)).json()) as {
		lists: { id: string; revision: number; archivedAt: string | null }[];
	};
	for (const { id, revision, archivedAt } of lists) {
		const { ticks } = (await (await fetch(`${demo.url}/api/lists/${id}`)).json()) as {
			ticks: { opId: string }[];
		};
		for (const { opId } of ticks.toReversed())
			await call(`/api/lists/${id}/ticks`, {
				opId: `untick-${opId}`.slice(0, 64),
				kind: 'undo',
				undoes: opId
			});
		if (id !== 'demo-lock-gate-3' && !archivedAt)
			await call(`/api/lists/${id}`, { opId: `away-${id}`.slice(0, 60), revision, archived: true });
	}
});

const CUT_LIST = `part,material,thickness (mm),length (mm),pieces,cuts each
Sill plates,mild steel,6,300,6,4
Rubbing strips,stainless,3,400,8,1
Lost row,mild steel,six,300,2,1
Toggles,mild steel,10,80,5,2
`;

test('a list from a file: order and why, one item moved, taken back, another order, a copy', async ({
	page
}) => {
	await page.goto('/job');
	await planned(page);
	await page.getByRole('button', { name: 'New list' }).click();
	await expect(headline(page)).toHaveText('What is to be done?');
	await page.getByLabel('A cut list (CSV)').setInputFiles({
		name: 'gate-4.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from(CUT_LIST)
	});
	const preview = page.getByTestId('list-preview');
	await expect(preview).toContainText(
		'3 items can be taken, 1 row is left out. Nothing is written yet.'
	);
	await expect(preview).toContainText('Row 4: Thickness');
	await preview.getByRole('button', { name: 'Take them' }).click();
	await planned(page);
	await expect(items(page)).toHaveCount(3);
	const before = await items(page).allInnerTexts();
	const first = before[0]!.match(/Sill plates|Rubbing strips|Toggles/)![0];
	// One later, by keys: from now on the order is the person's own.
	await items(page)
		.nth(0)
		.getByRole('button', { name: first, exact: false })
		.first()
		.press('Alt+ArrowDown');
	await expect(items(page).nth(1)).toContainText(first);
	await expect(page.getByRole('radio', { name: /My own/ })).toBeChecked();
	await planned(page);
	await page.keyboard.press('z');
	await expect(items(page).nth(0)).toContainText(first);
	// The same by hand: the first one is pulled below the last by its number.
	const handle = (await page.getByRole('button', { name: `Drag ${first}` }).boundingBox())!;
	const last = (await items(page).nth(2).boundingBox())!;
	await page.mouse.move(handle.x + 20, handle.y + 20);
	await page.mouse.down();
	let step = 0;
	// Where it is carried to is looked at now and then, not at every move.
	await expect
		.poll(
			async () => {
				step = Math.min(12, step + 1);
				const y = handle.y + 20 + (step / 12) * (last.y + last.height - handle.y - 30) + (step % 2);
				await page.mouse.move(handle.x + 20, y);
				return page.locator('ol[aria-label="Items"] > li').nth(2).textContent();
			},
			{ intervals: [150] }
		)
		.toContain(first);
	await page.mouse.up();
	await expect(items(page).nth(2)).toContainText(first);
	await planned(page);
	await page.keyboard.press('z');
	await expect(items(page).nth(0)).toContainText(first);
	await page.getByRole('button', { name: 'Copy' }).click();
	await expect(page.getByRole('combobox', { name: 'List' })).toContainText('again');
	// What was written is there after a reload.
	await expect
		.poll(async () =>
			page.evaluate(() => document.querySelector('[data-testid=job] select')?.textContent)
		)
		.toContain('again');
	await page.reload();
	await planned(page);
	await expect(items(page)).toHaveCount(3);
});

test('a copy made while an edit is still being written is written too, and so is the edit', async ({
	page
}) => {
	await page.goto('/job');
	await page.getByRole('button', { name: 'New list' }).click();
	const lists = page.getByRole('combobox', { name: 'List' });
	await expect(lists.locator('option').first()).toContainText('List');
	// A slow server: the first write hangs until the copy was pressed.
	let release = () => {};
	const pressed = new Promise<void>((resolve) => (release = resolve));
	await page.route('**/api/lists/*', async (route) => {
		if (route.request().method() === 'PUT') await pressed;
		await route.continue();
	});
	await page.getByRole('button', { name: 'Name, hours, parts' }).click();
	const name = page.getByRole('textbox', { name: 'List', exact: true });
	await name.fill('Slow day');
	await name.press('Enter');
	await page.getByRole('button', { name: 'Copy', exact: true }).click();
	release();
	await expect(lists.locator('option', { hasText: 'Slow day, again' })).toBeAttached();
	await page.reload();
	await expect(lists.locator('option', { hasText: 'Slow day, again' })).toBeAttached();
	await expect(lists.locator('option', { hasText: /^Slow day$/ })).toBeAttached();
	// The shop is left as it was found.
	for (const made of ['Slow day, again', 'Slow day']) {
		const id = await lists
			.locator('option', { hasText: new RegExp(`^${made}$`) })
			.getAttribute('value');
		const { revision } = (await (await page.request.get(`/api/lists/${id}`)).json()) as {
			revision: number;
		};
		const data = { opId: `slow-day-${id}`, revision, archived: true };
		expect((await page.request.post(`/api/lists/${id}`, { data })).ok()).toBe(true);
	}
});

test('a name that is too long, or none, is refused under its field, and what was typed stays', async ({
	page
}) => {
	await page.goto('/job');
	await page.getByRole('button', { name: 'New list' }).click();
	await page.getByRole('button', { name: 'Name, hours, parts' }).click();
	const customer = page.getByRole('textbox', { name: 'Customer' });
	const long = 'Trust for the upper lock, its sluices and all that belongs to them, by its keeper'; // 81
	await customer.fill(long);
	await customer.press('Enter');
	await expect(page.getByText('At most 80 characters; these are 81.')).toBeVisible();
	await expect(customer).toHaveValue(long);
	const written = page.waitForRequest((request) => request.method() === 'PUT');
	await customer.fill(long.slice(0, 80));
	await customer.press('Enter');
	const { list } = (await written).postDataJSON() as { list: { customer: string } };
	expect(list.customer).toBe(long.slice(0, 80));
	await expect(page.getByText('At most 80 characters')).toBeHidden();
	const name = page.getByRole('textbox', { name: 'List', exact: true });
	await name.fill(' ');
	await name.press('Enter');
	await expect(page.getByText('It needs a name.')).toBeVisible();
});

test('items are changed in place; what must come first comes first, a ring is named, what cannot be made too', async ({
	page
}) => {
	await page.goto('/job');
	await planned(page);
	await page.getByRole('button', { name: 'Copy' }).click();
	const frame = items(page).filter({ hasText: 'Guide frame' });
	await frame.getByRole('button', { name: 'Guide frame 3' }).click();
	await frame.getByRole('checkbox', { name: 'Paddle plates' }).check();
	await expect(page.getByTestId('job').getByRole('alert')).toContainText(
		'Guide frame, Paddle plates each wait for another of them'
	);
	await expect(headline(page)).toHaveText('No finish');
	await frame.getByRole('checkbox', { name: 'Paddle plates' }).uncheck();
	await planned(page);
	const was = await headline(page).innerText();
	await frame.getByRole('textbox', { name: 'Pieces' }).fill('30');
	await frame.getByRole('textbox', { name: 'Pieces' }).press('Enter');
	await expect(headline(page)).not.toHaveText(was);
	// A cut that this bench does not make is named, and the rest is planned.
	await page.goto('/setup?t=45&len=100');
	await page.keyboard.press('j');
	await page.getByRole('button', { name: /^Add the planned cut/ }).click();
	await expect(page.getByText('cannot be made')).toBeVisible();
	await planned(page);
	await expect(items(page)).toHaveCount(6);
});

test('the run: three ticked, one failed, a pause, one taken back; the finish moves, the log and the electrode follow', async ({
	page
}) => {
	await page.goto('/wear');
	const pit = () => page.locator('[data-station="wear"]').innerText();
	const before = await pit();
	await page.goto('/job');
	await planned(page);
	await page.keyboard.press('r');
	const now = page.getByTestId('run-now');
	await expect(now).toContainText('of 3');
	await expect(page.getByRole('button', { name: /^Failed/ })).toBeDisabled();
	await page.getByRole('button', { name: 'Start' }).click();
	await expect(now).toContainText('done by');
	await page.keyboard.press('l');
	await expect(now).toContainText('2 of 3');
	await page.keyboard.press('l');
	await page.keyboard.press('f');
	await expect(page.getByTestId('run-table')).toContainText('2 of 3, 1 failed');
	await page.keyboard.press('h');
	await expect(page.getByRole('button', { name: /^Done/ })).toBeDisabled();
	await page.keyboard.press('h');
	await page.keyboard.press('l');
	// The next item, with its own setting line.
	await expect(now).toContainText('Screen bars');
	await page.keyboard.press('z');
	await expect(now).toContainText('3 of 3');
	await expect.poll(pit).not.toBe(before);
	await page.goto('/log');
	await expect(page.getByText(/450 mm/).first()).toBeVisible();
	await page.goto('/job/run');
	await expect(page.getByTestId('run-table')).toContainText('2 of 3, 1 failed');
});

test('what was pressed before the page was left is not lost', async ({ page, demo }) => {
	await page.goto('/job/run');
	await expect(page.getByTestId('run-now')).toContainText('of 3');
	await page.getByRole('button', { name: 'Start' }).click();
	await expect(page.getByTestId('run-now')).toContainText('done by');
	await page.keyboard.press('l');
	await page.keyboard.press('f');
	await page.goto('/log');
	const kinds = async () => {
		const list = await fetch(`${demo.url}/api/lists/demo-lock-gate-3`);
		const { ticks } = (await list.json()) as { ticks: { kind: string }[] };
		return ticks.map(({ kind }) => kind);
	};
	await expect.poll(kinds).toEqual(['on', 'done', 'failed']);
});

test('a press that is taken back before the server had it stays taken back', async ({
	page,
	demo
}) => {
	const kinds = async () => {
		const list = await fetch(`${demo.url}/api/lists/demo-lock-gate-3`);
		const { ticks } = (await list.json()) as { ticks: { kind: string }[] };
		return ticks.map(({ kind }) => kind);
	};
	await page.goto('/job/run');
	const now = page.getByTestId('run-now');
	await expect(now).toContainText('of 3');
	await page.keyboard.press('l');
	await expect.poll(async () => (await kinds()).at(-1)).toBe('done');
	const before = await kinds();
	// A slow net: what takes it back is there before it.
	let arrived = 0;
	let release = () => {};
	const held = new Promise<void>((resolve) => (release = resolve));
	let late: Promise<void> | undefined;
	await page.route('**/ticks', (route) => {
		arrived++;
		if (arrived > 1) return route.continue();
		return (late = held.then(() => route.continue()));
	});
	const shown = await now.locator('.count').innerText();
	await page.keyboard.press('l');
	await expect(now.locator('.count')).not.toHaveText(shown);
	await page.keyboard.press('z');
	await expect(now.locator('.count')).toHaveText(shown);
	await expect.poll(() => arrived).toBe(2);
	const told = page.waitForResponse((response) => response.url().endsWith('/ticks'));
	release();
	await late;
	await told;
	expect(await kinds()).toEqual(before);
	await expect(now.locator('.count')).toHaveText(shown);
	// Pressed, taken back, and the page left at once.
	await page.unroute('**/ticks');
	await page.keyboard.press('l');
	await page.keyboard.press('z');
	await page.goto('/log');
	await expect.poll(kinds).toEqual(before);
	await page.goto('/job/run');
	await expect(now.locator('.count')).toHaveText(shown);
	await page.keyboard.press('z');
	await expect.poll(async () => (await kinds()).length).toBe(before.length - 1);
});

test('a break puts the finish off, the night ends the day, and both are taken back', async ({
	page
}) => {
	await page.goto('/job');
	await planned(page);
	const before = await headline(page).innerText();
	await page.getByRole('button', { name: 'Name, hours, parts' }).click();
	await page.getByRole('button', { name: 'Add a break' }).click();
	await page.getByLabel('Break 1 at').fill('09:00');
	await expect(headline(page)).not.toHaveText(before);
	await expect(page.getByTestId('axis').getByText('break', { exact: true })).toBeVisible();
	const [h, m] = before
		.match(/(\d\d):(\d\d)/)!
		.slice(1)
		.map(Number) as [number, number];
	const later = (await headline(page).innerText())
		.match(/(\d\d):(\d\d)/)!
		.slice(1)
		.map(Number) as [number, number];
	const putOffMin = later[0] * 60 + later[1] - h * 60 - m;
	expect(putOffMin).toBeGreaterThanOrEqual(12);
	expect(putOffMin).toBeLessThanOrEqual(16);
	await page.getByLabel('Day ends at, if it does').fill('09:30');
	await expect(headline(page)).toContainText('next day');
	await expect(page.getByTestId('job')).toContainText(
		/By 09:\d\d\s+\d+ of \d+ pieces, the rest\s+the next day/
	);
	while (await page.getByRole('button', { name: 'Undo', exact: false }).first().isEnabled())
		await page.getByRole('button', { name: 'Undo', exact: false }).first().click();
	await expect(headline(page)).toHaveText(before);
});

test('the other benches say what they do with it; split in two, each bench has its list', async ({
	page,
	demo
}) => {
	await page.goto('/job');
	await planned(page);
	await page.getByRole('button', { name: 'Copy', exact: true }).click();
	await planned(page);
	await page.getByRole('button', { name: 'Ask the other benches' }).click();
	const others = page.getByTestId('other-benches');
	await expect(others).toContainText('Towpath trolley');
	await expect(others).toContainText('does not make');
	const both = others.getByRole('listitem').filter({ hasText: 'Both at once' });
	const there = (await both.innerText())
		.match(/at Towpath trolley: (.+?), done by/)![1]!
		.split(', ');
	const before = await items(page).count();
	await page.getByRole('button', { name: 'Make it two lists' }).click();
	await expect(page.getByText('on a list of their own at Towpath trolley')).toBeVisible();
	await expect(items(page)).toHaveCount(before - there.length);
	const trolley = await demo.benchId('Towpath trolley');
	await page.goto(`/job?bench=${trolley}`);
	await planned(page);
	await expect(items(page)).toHaveCount(there.length);
	for (const name of there) await expect(items(page).filter({ hasText: name })).toHaveCount(1);
	// The next test finds that bench as it was.
	await page.getByRole('button', { name: 'Name, hours, parts' }).click();
	await page.getByRole('button', { name: 'Put it away' }).click();
	await expect(page.getByText('Put away; it stays')).toBeVisible();
});

test('a list names what may trip the breaker, what no hand follows, and what waits for what is never made', async ({
	page,
	demo
}) => {
	const trolley = await demo.benchId('Towpath trolley');
	const add = async (search: string) => {
		await page.goto(`/setup?bench=${trolley}&${search}`);
		await page.keyboard.press('j');
		await page.getByRole('button', { name: /^Add the planned cut/ }).click();
	};
	await add('t=6&len=1000');
	await planned(page);
	await add('t=1&len=100');
	await expect(items(page)).toHaveCount(2);
	await add('t=45&len=100');
	await expect(items(page)).toHaveCount(3);
	await planned(page);
	const [long, sheet] = [items(page).filter({ hasText: '6 mm' }), items(page).nth(1)];
	await expect(long).toContainText('The breaker may trip in one of its cuts, even from rest');
	await expect(
		items(page).filter({ hasText: 'It asks for more than a hand follows.' })
	).toHaveCount(1);
	const head = page.getByTestId('job');
	await expect(head).toContainText(/The breaker may trip in .+, whatever the rests\./);
	await expect(head).not.toContainText('Nothing has to rest');
	await expect(page.getByRole('img', { name: /Breaker: \d{3} %, may trip/ })).toBeVisible();
	await expect(sheet).not.toContainText('breaker');
	await long.getByRole('button', { expanded: false }).click();
	await long.getByRole('checkbox', { name: /45 mm/ }).check();
	await expect(long).toContainText(/without .*45 mm.*, which it comes after/);
	await page.goto(`/job/run?bench=${trolley}`);
	await expect(page.getByText('The breaker may trip in one of its cuts').first()).toBeVisible();
	await page.goto(`/job?bench=${trolley}`);
	await page.getByRole('button', { name: 'Name, hours, parts' }).click();
	await page.getByRole('button', { name: 'Put it away' }).click();
	await expect(page.getByText('Put away; it stays')).toBeVisible();
});

test('the first piece was out: the guide of the rest follows, and what the list took is learnt', async ({
	page
}) => {
	await page.goto('/job');
	await planned(page);
	await page.getByRole('button', { name: 'Copy', exact: true }).click();
	await planned(page);
	await page.getByRole('link', { name: 'Run it' }).click();
	const now = page.getByTestId('run-now');
	await now.getByRole('button', { name: 'Start' }).click();
	await now.getByLabel('Another item first').selectOption('Screen bars');
	await now.getByRole('button', { name: 'Done' }).click();
	await now.getByText('The size was out').click();
	await now.getByLabel('Too big by').fill('0.6');
	await now.getByLabel('Too big by').press('Enter');
	const guide = now.locator('dl div').filter({ hasText: 'Guide' }).locator('dd');
	const mm = parseFloat(await guide.innerText());
	await now.getByRole('radio', { name: 'both edges' }).check();
	await now.getByRole('button', { name: /for the rest/ }).click();
	await expect.poll(async () => parseFloat(await guide.innerText())).toBeCloseTo(mm + 0.3, 1);
	await page.getByRole('link', { name: 'Quote' }).first().click();
	await page.getByRole('button', { name: 'Look at the lists before' }).click();
	await expect(page.getByTestId('learnt')).toContainText(
		'Edge on the part, edge start: 1 made in 1 list'
	);
	await expect(page.getByTestId('quote-band')).toContainText(
		/Eight in ten such jobs: € \d+ to \d+/
	);
});

test('two people at one list: what one ticks stands on the other’s sheet a moment later', async ({
	page,
	context
}) => {
	await page.goto('/job');
	await planned(page);
	await page.getByRole('button', { name: 'Copy', exact: true }).click();
	await planned(page);
	await page.getByRole('link', { name: 'Run it' }).click();
	const mine = page.getByTestId('run-now');
	await expect(mine.getByRole('button', { name: 'Start' })).toBeEnabled();
	const other = answering(await context.newPage());
	await other.goto(page.url());
	const theirs = other.getByTestId('run-now');
	await expect(theirs.locator('.nth')).toHaveText('1');
	await mine.getByRole('button', { name: 'Start' }).click();
	await mine.getByRole('button', { name: 'Done' }).click();
	await expect(mine.locator('.nth')).toHaveText('2');
	await expect(theirs.locator('.nth')).toHaveText('2');
	await theirs.getByRole('button', { name: 'Done' }).click();
	await expect(theirs.locator('.nth')).toHaveText('3');
	await expect(mine.locator('.nth')).toHaveText('3');
	// Who took one back still sees what the other does.
	await mine.getByRole('button', { name: 'Undo' }).click();
	await expect(mine.locator('.nth')).toHaveText('2');
	await expect(theirs.locator('.nth')).toHaveText('2');
	await theirs.getByRole('button', { name: 'Done' }).click();
	await expect(mine.locator('.nth')).toHaveText('3');
	await other.close();
});

test('an outline goes from its template onto the list, with its contours and its box', async ({
	page
}) => {
	await page.goto('/template');
	const count = page.getByTestId('job').locator('div').filter({ hasText: 'Starts' }).locator('dd');
	const starts = parseInt(await count.first().innerText(), 10);
	expect(starts).toBeGreaterThan(1);
	await page.getByRole('button', { name: 'Put it on the day’s list' }).click();
	await expect(page).toHaveURL(/\/job/);
	await planned(page);
	const outline = items(page).filter({ hasText: `× ${starts} cuts` });
	await expect(outline).toBeVisible();
	await page.getByRole('button', { name: 'Undo', exact: false }).first().click();
});

test('the sheet prints on A4 with every item, its setting and boxes to tick', async ({ page }) => {
	await page.goto('/job/run');
	await expect(page.getByTestId('run-table')).toContainText('Pintle welds');
	await expect(page.getByTestId('run-now')).toContainText('of 3');
	await page.emulateMedia({ media: 'print' });
	await expect(page.getByRole('button', { name: 'Start' })).toBeHidden();
	const table = page.getByTestId('run-table');
	await expect(table).toContainText('guide 11.2 mm');
	await expect(table.locator('.boxes i').first()).toBeVisible();
	const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
	expect(pdf.match(/\/Type\s*\/Page\b/g)!.length).toBeLessThanOrEqual(2);
});

test('a quote whose total a pencil can check; a margin on price is dearer than a mark-up; it leaves as CSV', async ({
	page
}) => {
	await page.goto('/job');
	await planned(page);
	await page.keyboard.press('q');
	const quote = page.getByTestId('quote');
	const total = page.getByTestId('quote-total');
	await expect(total).toHaveText(/€ \d+\.\d\d/);
	const amounts = async () =>
		(await quote.locator('.lines .num').allInnerTexts()).map((text) =>
			Math.round(100 * Number(text))
		);
	const [setUp, labour, parts, power, air, plate, cost, margin, price] = await amounts();
	expect(setUp! + labour! + parts! + power! + air! + plate!).toBe(cost);
	expect(cost! + margin!).toBe(price);
	expect(margin).toBe(Math.round(cost! * 0.2));
	const [, hours, rate] = /is ([\d.]+) h × ([\d.]+)/.exec(
		await quote.locator('tr', { hasText: 'Labour' }).innerText()
	)!;
	expect(Math.abs(Number(hours) * Number(rate) * 100 - labour!)).toBeLessThanOrEqual(1);
	await page.getByRole('radio', { name: 'Margin on price' }).check();
	await expect.poll(async () => (await amounts())[7]).toBe(Math.round(cost! / 0.8) - cost!);
	const [download] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'CSV' }).click()
	]);
	expect(download.suggestedFilename()).toBe('quote.csv');
	await page.getByRole('radio', { name: 'Mark-up on cost' }).check();
	await expect.poll(async () => (await amounts())[7]).toBe(margin);
});

test('plate is priced a kilogram, or a pound where inches are used, and comes to the same', async ({
	page,
	demo
}) => {
	await page.goto('/job');
	await planned(page);
	await page.keyboard.press('q');
	const plate = page.getByTestId('quote').locator('.lines tr', { hasText: 'Plate' });
	const field = page.getByLabel('Price of plate');
	await field.fill('1.5');
	await field.press('Enter');
	await expect(field).toHaveValue('1.50 a kilogram');
	const amount = async () => Number(await plate.locator('.num').innerText());
	/** By pencil: mass, scrap on top, and the price with as many digits as it takes. */
	const offPencil = async (unit: 'kg' | 'lb') => {
		const sum = new RegExp(`([\\d.]+) ${unit} net × ([\\d.]+) × ([\\d.]+)`).exec(
			await plate.innerText()
		);
		const [mass, scrap, price] = sum!.slice(1).map(Number);
		return Math.abs(mass! * scrap! * price! - (await amount()));
	};
	await expect(plate).toContainText('× 1.50');
	await expect.poll(() => offPencil('kg')).toBeLessThan(0.02);
	const before = await amount();

	await page.context().addCookies([{ name: 'units', value: 'imperial', url: demo.url }]);
	await page.reload();
	await expect(field).toHaveValue('0.68 a pound');
	await expect.poll(amount).toBe(before);
	expect(await offPencil('lb')).toBeLessThan(0.02);
	await field.fill('0.70');
	await field.press('Enter');
	await expect(plate).toContainText('× 0.70');
	await expect.poll(amount).toBeGreaterThan(before);
	// As the demo has it.
	await field.fill('1.6 a kilogram');
	await field.press('Enter');
	await expect(field).toHaveValue('0.73 a pound');
});

test('parts lie on offcut and plates, drawn and numbered; what is too large is named; it prints with its marks', async ({
	page
}) => {
	await page.goto('/job');
	await planned(page);
	await page.getByRole('button', { name: 'Copy' }).click();
	await page.getByRole('link', { name: 'Plates' }).click();
	const plates = page.getByTestId('plates');
	await expect(plates).toContainText('6 mm mild steel: 2 plates');
	await expect(plates).toContainText('Offcut by the door');
	await expect(
		plates.getByRole('img', { name: /Offcut by the door: \d+ × Paddle plates/ })
	).toBeVisible();
	await plates.getByLabel('Width').nth(1).fill('290');
	await plates.getByLabel('Width').nth(1).press('Enter');
	await expect(plates.getByRole('alert').first()).toContainText(
		/larger than every plate|no plate left/
	);
	// What is marked out is never rounded to a centimetre.
	const width = plates.getByLabel('Width').nth(1);
	await width.fill('2503');
	await width.press('Enter');
	await expect(width).toHaveValue('2503 mm');
	await expect(plates).toContainText('2503 mm × 1000 mm');
	await width.fill('2 m');
	await width.press('Enter');
	await expect(width).toHaveValue('2000 mm');
	await expect(plates).toContainText('6 mm mild steel: 2 plates');
	await page.emulateMedia({ media: 'print' });
	await expect(plates.getByRole('cell', { name: /Paddle plates/ }).first()).toBeVisible();
	await expect(page.getByRole('button', { name: 'Add an offcut' })).toBeHidden();
});

test.describe('by thumb', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
	test('ticked with the server away: kept, counted, and sent when it answers', async ({
		page,
		context
	}) => {
		await page.goto('/job/run');
		const now = page.getByTestId('run-now');
		await expect(now).toContainText('of 3');
		await page.getByRole('button', { name: 'Start' }).tap();
		await expect(page.getByRole('button', { name: /^Done/ })).toBeVisible();
		await context.setOffline(true);
		await page.getByRole('button', { name: /^Done/ }).tap();
		await expect(now).toContainText('2 of 3');
		await expect(now).toContainText('kept here');
		await context.setOffline(false);
		await expect(now).not.toContainText('kept here');
		await page.reload();
		await expect(page.getByTestId('run-table')).toContainText('1 of 3');
		for (const path of ['/job', '/job/run', '/job/quote']) {
			await page.goto(path);
			await expect(page.getByText('Thursday, lock gate 3').first()).toBeAttached();
			const wide = await page.evaluate(() => document.documentElement.scrollWidth);
			expect(wide, path).toBeLessThanOrEqual(390);
		}
	});
});
