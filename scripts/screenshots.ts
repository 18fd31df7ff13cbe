/** Writes docs/screenshots from fresh demo data: one picture of each main view. */
import { execFileSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import type { Browser, Page } from '@playwright/test';
import { DemoServer } from '../tests/e2e/demo';
import { openBrowser } from './browser';

const FOLDER = new URL('../docs/screenshots/', import.meta.url).pathname;
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

interface Shot {
	name: string;
	path: string;
	size?: typeof DESK;
	dark?: boolean;
	bench?: string;
	/** A new bench, some questions answered: on the way, or at its end. */
	firstHour?: boolean;
	/** Buttons that are pressed first. */
	press?: string[];
	/** Keys that are pressed first. */
	keys?: string[];
	/** A simulated sensor has just sent half an hour. */
	device?: boolean;
	/** What is worked out off the page's thread and must be there first, by its test id. */
	wait?: string;
}

const SHOTS: Shot[] = [
	{ name: 'supply-tight-dark', path: '/supply', bench: 'Towpath trolley', dark: true },
	{ name: 'benches', path: '/benches?t=14' },
	{ name: 'setup', path: '/setup' },
	{ name: 'card', path: '/card' },
	{ name: 'cut', path: '/cut' },
	{ name: 'template', path: '/template', wait: 'job' },
	{ name: 'gouge', path: '/gouge?groove=1&gx=fillet&gz=8&gl=420&gt=12' },
	{ name: 'wear', path: '/wear' },
	{ name: 'log', path: '/log' },
	{ name: 'bench', path: '/bench' },

	{ name: 'phone-setup', path: '/setup', size: PHONE },
	{ name: 'start', path: '/start', firstHour: true },
	// Last: what is not so holds up the line of the pictures after it.
	{ name: 'fault', path: '/fault?of=sputters', keys: ['y'] },
	{ name: 'photo', path: '/photo', press: ['Try a drawn one'], wait: 'bore-read' },
	{ name: 'job', path: '/job', wait: 'axis' },
	{ name: 'quote', path: '/job/quote', wait: 'quote-total' },
	{ name: 'run', path: '/job/run', press: ['Start', 'Done'], wait: 'done-by', dark: true },
	{ name: 'sensor', path: '/sensor', device: true, wait: 'sensor-offers' },
	{ name: 'checks', path: '/checks', keys: ['Space', 'Space', 'Space', 'Space', 'n'] }
];

/** Pages on the line, which fetch the others ahead. */
const STATIONS =
	/^\/(supply|setup|cut|gouge|wear|checks|fault|bench|benches|chart|template|job|sensor|photo)\b/;

/** Amps, volts and duty are read, the rest nobody knows. */
async function answer(page: Page): Promise<void> {
	const option = (name: string) => page.getByRole('radio', { name: new RegExp(`^${name}`) });
	for (const name of ['45 A', '230 V']) {
		await option(name).click();
		await page.getByRole('button', { name: 'Next' }).click();
	}
	for (const text of ['Question 3', 'Question 4', 'Question 5']) {
		await page.getByText(text).waitFor();
		await page.getByRole('button', { name: /I don’t know/ }).click();
	}
	await page.getByText('Question 6').waitFor();
}

async function take(browser: Browser, demo: DemoServer, shot: Shot): Promise<void> {
	if (shot.device) {
		const script = ['tsx', 'scripts/device/main.ts', '--fast', '--pulls', '26', '--bench', 'Bay 2'];
		execFileSync('npx', [...script, '--url', demo.url], { stdio: 'ignore' });
	}
	const page = await browser.newPage({
		viewport: shot.size ?? DESK,
		reducedMotion: 'reduce',
		locale: 'en-GB'
	});
	const theme = shot.dark ? 'hood-down' : 'bench-day';
	await page.context().addCookies([{ name: 'theme', value: theme, url: demo.url }]);
	const bench = await demo.benchId(shot.bench ?? 'Bay 2');
	const address = new URL(shot.path, demo.url);
	if (!shot.firstHour) address.searchParams.set('bench', bench);
	await page.goto(address.href, { waitUntil: 'networkidle' });
	// What lies below the first screen comes a little later.
	if (STATIONS.test(shot.path))
		await page.locator('html[data-whole]').waitFor({ state: 'attached' });
	if (shot.firstHour) await answer(page);
	for (const key of shot.keys ?? []) await page.keyboard.press(key);
	for (const name of shot.press ?? []) {
		await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
	}
	// What a key or a button writes comes back before the picture.
	if (shot.keys || shot.press) await page.waitForLoadState('networkidle');
	if (shot.wait) await page.getByTestId(shot.wait).waitFor();
	await page.screenshot({ path: `${FOLDER}${shot.name}.png`, animations: 'disabled' });
	await page.close();
	console.log(`docs/screenshots/${shot.name}.png`);
}

mkdirSync(FOLDER, { recursive: true });
const demo = new DemoServer(4187);
const browser = await openBrowser();
try {
	await demo.start();
	await demo.load();
	for (const shot of SHOTS) await take(browser, demo, shot);
} finally {
	await browser.close();
	await demo.remove();
}
