/**
 * What a new user wants first, each with a bound on presses and typed fields, done by mouse, by keyboard
 * alone and by thumb on a phone. The guided start and the log have files of their own.
 */
import type { Browser, Locator, Page } from '@playwright/test';
import { answering, expect, test, type DemoServer } from './demo';

type Way = 'mouse' | 'keyboard' | 'thumb';

/** Does things as one kind of hand does them, and counts. */
class Hands {
	done = 0;
	constructor(
		readonly page: Page,
		readonly way: Way
	) {}
	async press(target: Locator): Promise<void> {
		this.done++;
		if (this.way === 'mouse') return target.click();
		if (this.way === 'thumb') return target.tap();
		await target.focus();
		await expect(target).toBeFocused();
		const radio = (await target.getAttribute('type')) === 'radio';
		await this.page.keyboard.press(radio ? 'Space' : 'Enter');
	}
	async type(field: Locator, text: string): Promise<void> {
		this.done++;
		await field.focus();
		await this.page.keyboard.press('ControlOrMeta+a');
		await this.page.keyboard.type(text);
		await this.page.keyboard.press('Enter');
	}
	/** On a phone units, theme, words and the code stand behind the menu. */
	async menu(): Promise<void> {
		if (this.way === 'thumb')
			await this.press(this.page.getByRole('button', { name: /Units, theme/ }));
	}
}

interface Task {
	name: string;
	from: string;
	most: number;
	act: (hands: Hands, page: Page) => Promise<void>;
}

const station = (page: Page, id: string) => page.locator(`[data-station="${id}"]`);

const TASKS: Task[] = [
	{
		name: 'how fast in 10 mm?',
		from: '/setup',
		most: 1,
		act: async (hands, page) => {
			await hands.type(page.getByRole('textbox', { name: 'Thickness' }), '10');
			await expect(page.getByLabel('Setting card')).toContainText('10 mm mild steel');
		}
	},
	{
		name: 'can I cut this?',
		from: '/setup',
		most: 3,
		act: async (hands, page) => {
			await hands.press(page.getByRole('link', { name: 'All benches' }));
			await expect(page.getByRole('heading', { name: 'Can I cut this?' })).toBeVisible();
			await hands.type(page.getByLabel('Thickness', { exact: true }), '14');
			await expect(page.getByTestId('shop-answer')).toContainText('Bay 2 severs it');
		}
	},
	{
		name: 'will the outlet do?',
		from: '/setup',
		most: 1,
		act: async (hands, page) => {
			await hands.press(station(page, 'supply'));
			await expect(page.getByTestId('answer')).toContainText(/45 A holds/);
		}
	},
	{
		name: 'where does this number come from?',
		from: '/supply',
		most: 2,
		act: async (hands, page) => {
			await hands.press(page.locator('[data-figure="supply.voltageV"]').first());
			await expect(page.getByTestId('plain')).toContainText(
				/Of [\d.]+ V the wire takes [\d.]+ V, the cord/
			);
		}
	},
	{
		name: 'what does that word mean?',
		from: '/wear',
		most: 3,
		act: async (hands, page) => {
			await hands.menu();
			await hands.press(page.getByRole('button', { name: /^Words/ }));
			await hands.type(page.getByRole('searchbox', { name: 'Find a word' }), 'slag');
			await expect(page.getByTestId('glossary').locator('dt')).toHaveText([/^Dross/]);
		}
	},
	{
		name: 'where does the guide go for a hole of 50 mm?',
		from: '/setup',
		most: 3,
		act: async (hands, page) => {
			await hands.press(station(page, 'cut'));
			const guide = page.getByRole('radiogroup', { name: 'Guide', exact: true });
			await hands.press(guide.getByRole('radio', { name: 'Circle' }));
			await hands.type(page.getByLabel('Finished diameter'), '50');
			await expect(station(page, 'cut')).toContainText('24.3 mm');
		}
	},
	{
		name: 'print the card',
		from: '/setup',
		most: 1,
		act: async (hands, page) => {
			await hands.press(page.getByRole('link', { name: /Print card/ }));
			await expect(page.getByTestId('print-card')).toBeVisible();
		}
	},
	{
		name: 'this very cut on a phone',
		from: '/setup?t=9',
		most: 2,
		act: async (hands, page) => {
			await hands.menu();
			await hands.press(page.getByRole('button', { name: 'This cut on a phone' }));
			// This server answers on this machine only, and says so.
			await expect(page.getByRole('dialog', { name: 'This cut on a phone' })).toContainText(
				'on this machine only'
			);
		}
	},
	{
		name: 'note a test cut',
		from: '/setup',
		most: 2,
		act: async (hands, page) => {
			await hands.press(page.getByTestId('stage-test-cuts').locator('summary'));
			const cuts = page.getByRole('region', { name: 'Test cuts' });
			// Enter in the field logs it.
			await hands.type(cuts.getByLabel('took'), '13');
			await expect(page.getByTestId('notice')).toContainText('test cut');
			await page.getByTestId('notice').getByRole('button', { name: /Undo/ }).click();
			await expect(page.getByTestId('notice')).toContainText('Taken back');
		}
	},
	{
		name: 'which bench is quicker?',
		from: '/bench',
		most: 1,
		act: async (hands, page) => {
			await hands.press(page.getByRole('link', { name: 'Set another bench beside it' }));
			const cut = page.getByTestId('beside-cut');
			await expect(cut.getByRole('row')).toHaveCount(7);
			await expect(cut).toContainText('Your line takes');
			await expect(cut).toContainText('mm/s');
		}
	},
	{
		name: 'fourteen cuts, five pierced',
		from: '/wear?t=4',
		most: 3,
		act: async (hands, page) => {
			await hands.type(page.getByLabel('Such cuts', { exact: true }), '14');
			await hands.type(page.getByLabel('pierced, of them', { exact: true }), '5');
			await hands.press(page.getByRole('button', { name: /Log 14 cuts/ }));
			const notice = page.getByTestId('notice');
			await expect(notice).toContainText('14 cuts logged, 5 of them pierced.');
			await notice.getByRole('button', { name: /Undo/ }).click();
			await expect(notice).toContainText('Taken back');
		}
	}
];

async function openFor(browser: Browser, demo: DemoServer, way: Way): Promise<Page> {
	const thumb = way === 'thumb';
	const context = await browser.newContext({
		baseURL: demo.url,
		locale: 'en-GB',
		hasTouch: thumb,
		viewport: thumb ? { width: 390, height: 844 } : { width: 1280, height: 800 }
	});
	return answering(await context.newPage());
}

for (const way of ['mouse', 'keyboard', 'thumb'] as const) {
	test(`eleven first tasks by ${way}, each within its presses`, async ({ browser, demo }) => {
		test.setTimeout(120_000);
		const page = await openFor(browser, demo, way);
		const bench = await demo.benchId('Bay 2');
		for (const { name, from, most, act } of TASKS) {
			await test.step(name, async () => {
				const at = new URL(from, demo.url);
				at.searchParams.set('bench', bench);
				await page.goto(at.href);
				const hands = new Hands(page, way);
				await act(hands, page);
				expect(hands.done, name).toBeLessThanOrEqual(most + (way === 'thumb' ? 1 : 0));
			});
		}
		await page.context().close();
	});
}
