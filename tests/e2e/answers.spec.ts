import { copyFileSync, mkdtempSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DemoServer, expect, openStage, test } from './demo';

const STORES = new URL('../stores/', import.meta.url).pathname;
const PAGES = [
	'supply',
	'setup',
	'cut',
	'gouge',
	'wear',
	'bench',
	'chart',
	'template',
	'card/shelf'
];

for (const [i, name] of readdirSync(STORES)
	.filter((file) => file.endsWith('.db'))
	.entries()) {
	test(`a store of an earlier state opens on every page: ${name}`, async ({ request }) => {
		const folder = mkdtempSync(join(tmpdir(), 'steady-arc-old-'));
		copyFileSync(join(STORES, name), join(folder, 'steady-arc.db'));
		const server = new DemoServer(4270 + i + 10 * test.info().parallelIndex, folder);
		await server.start();
		try {
			const { benches } = (await (await request.get(`${server.url}/api/benches`)).json()) as {
				benches: { id: string }[];
			};
			expect(benches).toHaveLength(2);
			for (const { id } of benches) {
				for (const path of PAGES) {
					const answer = await request.get(`${server.url}/${path}?bench=${id}`);
					expect(answer.status(), `${name} ${path}`).toBe(200);
				}
				const cards = await request.get(`${server.url}/api/cards?bench=${id}`);
				for (const card of ((await cards.json()) as { cards: { id: string }[] }).cards) {
					const page = await request.get(`${server.url}/card?saved=${card.id}`);
					expect(page.status()).toBe(200);
					// From a card of that time on the numbers are kept with it.
					expect(await page.text()).toMatch(
						/cut|setup/.test(name) ? /did not\s+keep\s+its numbers/ : /with the\s+numbers of/
					);
				}
			}
		} finally {
			await server.remove();
		}
	});
}

test('a thin cord is refused however short the cut, and the new circuit has no button', async ({
	page,
	demo
}) => {
	await page.goto(`/supply?bench=${await demo.benchId('Bay 2')}&work=pattern&arc=2&rest=600`);
	await page.locator('[data-part="cord"]').click();
	await page.getByLabel('Size').selectOption('1.5 mm²');
	await expect(page.getByTestId('answer')).toContainText('does not start: cord not protected');
	await expect(page.getByText('Short cuts do not make it safe')).toBeVisible();
	const fixes = page.getByTestId('fixes');
	await expect(fixes.getByText(/^Cord of 4 mm², as long as it is/)).toBeVisible();
	await openStage(page, 'how-far');
	await expect(page.getByTestId('solved')).toContainText('4 mm²');
	const circuit = fixes.getByRole('listitem').filter({ hasText: 'A new circuit, whole' });
	await expect(circuit.getByRole('button')).toHaveCount(0);
});

test('the shop’s second school of sparks is obeyed by card, drawing, practice and reading', async ({
	page,
	demo
}) => {
	const id = await demo.benchId('Bay 2');
	const seconds = page.getByTestId('line-seconds');
	await page.goto(`/setup?bench=${id}`);
	const before = parseFloat((await seconds.textContent())!);
	await page.goto(`/bench?bench=${id}`);
	const saved = page.waitForResponse((r) => r.url().endsWith('/api/settings'));
	await page.getByRole('radio', { name: 'near straight down' }).check();
	await saved;
	await page.goto(`/setup?bench=${id}`);
	await expect(page.getByRole('region', { name: 'Setting card' })).toContainText(
		'near straight down'
	);
	expect(parseFloat((await seconds.textContent())!)).toBeGreaterThan(1.4 * before);
	await expect(page.getByRole('group', { name: 'Side section of the cut' })).toContainText('12°');
	const speed = /([\d.]+) mm\/s/.exec(
		(await page.locator('[data-station="setup"]').textContent())!
	)![0];
	await page.goto(`/practice?bench=${id}`);
	await expect(page.getByTestId('to-hold')).toContainText(speed);
	await page.goto(`/cut?bench=${id}`);
	await openStage(page, 'read');
	await page.getByLabel('Sparks trail by').fill('12');
	await expect(page.getByTestId('why-moved')).toContainText(`The card stays at ${speed}`);
	await page.goto(`/bench?bench=${id}`);
	await page.getByRole('radio', { name: 'trail 15–30°' }).check();
	await page.goto(`/setup?bench=${id}`);
	await expect(seconds).toHaveText(`${before} s`);
});

test('Supply plans with the planned cut; a longer line is a longer arc, a typed pattern is its own', async ({
	page,
	demo
}) => {
	const id = await demo.benchId('Bay 2');
	const arc = page.getByTestId('cut-arc');
	await page.goto(`/supply?bench=${id}&len=300`);
	const short = parseFloat((await arc.textContent())!);
	await page.goto(`/supply?bench=${id}&len=600`);
	expect(parseFloat((await arc.textContent())!)).toBeGreaterThan(1.9 * short);
	await page.getByRole('radio', { name: 'a pattern of its own' }).check();
	await page.getByLabel('Arc on').fill('3');
	await page.getByLabel('Arc on').blur();
	await expect(page).toHaveURL(/work=pattern/);
	await page.reload();
	await expect(page.getByLabel('Arc on')).toHaveValue('3 s');
});

test('too thick here: another bench of the shop that parts it is named with its speed', async ({
	page,
	demo
}) => {
	await page.goto(`/setup?bench=${await demo.benchId('Towpath trolley')}&t=18`);
	await expect(page.getByTestId('too-thick')).toBeVisible();
	await expect(page.getByTestId('elsewhere')).toContainText(/Bay 2.*parts it: 45 A, [\d.]+ mm\/s/);
	await page.getByTestId('elsewhere').getByRole('link', { name: 'Bay 2' }).click();
	await expect(page.getByRole('region', { name: 'Setting card' })).toContainText('18 mm');
	await expect(page.getByTestId('line-seconds')).toBeVisible();
});

test('a built-in compressor shows no flow, tank or hose', async ({ page, demo, request }) => {
	const id = await demo.benchId('Bay 2');
	const { bench } = (await (await request.get(`/api/benches/${id}/export`)).json()) as {
		bench: { name: string; air: { source: string } };
	};
	const own = { ...bench, name: 'Built in', air: { ...bench.air, source: 'built-in' } };
	const plan = await request.post('/api/plan', { data: { bench: own, cut: {} } });
	const { figures } = (await plan.json()) as { figures: Record<string, { value: number | null }> };
	expect(figures['air.flowLpm']!.value).toBeNull();
	await page.goto(`/supply?bench=${id}`);
	await page.locator('[data-part="compressor"]').click();
	await page.getByLabel('Air comes from').selectOption('built in');
	await expect(page.locator('[data-part="tank"]')).toHaveCount(0);
	await expect(page.locator('[data-part="hose"]')).toHaveCount(0);
	await expect(page.getByRole('region', { name: 'Air', exact: true })).not.toContainText('l/min');
});

test('a hole is offered every way in but from an edge, and the one planned is the one shown', async ({
	page
}) => {
	await page.goto('/cut?guide=circle&circleOf=hole&t=9');
	await openStage(page, 'start');
	const ways = page.getByRole('radiogroup', { name: 'Start' });
	await expect(ways.getByRole('radio', { name: 'In the plate' })).toBeVisible();
	await expect(ways.getByRole('radio', { name: 'From an edge' })).toHaveCount(0);
	const start = page.getByRole('region', { name: 'Start', exact: true });
	await expect(start.getByRole('heading')).toHaveText('Rolled pierce');
	await page.getByRole('radio', { name: 'A disc' }).check();
	await expect(ways.getByRole('radio', { name: 'From an edge' })).toBeVisible();
	await expect(start.getByRole('heading')).toHaveText('Edge start');
});
