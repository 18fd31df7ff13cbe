import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test as base, type Page } from '@playwright/test';
import { loadDemo, nobodyAt, upAt } from '../../scripts/serve';

const ROOT = new URL('../../', import.meta.url).pathname;
/** A read that takes longer has hung, however busy the machine. */
const ANSWER_MS = 60_000;

/** A server of the built application on a folder of its own. */
export class DemoServer {
	readonly folder: string;
	#process: ChildProcess | undefined;

	constructor(
		readonly port: number,
		folder?: string,
		readonly env: Record<string, string> = {}
	) {
		this.folder = folder ?? mkdtempSync(join(tmpdir(), 'steady-arc-e2e-'));
	}

	get url(): string {
		return `http://127.0.0.1:${this.port}`;
	}

	async start(): Promise<void> {
		await nobodyAt(this.url);
		this.#process = spawn('node', ['server/main.js'], {
			cwd: ROOT,
			env: { ...process.env, PORT: String(this.port), STEADY_ARC_DATA: this.folder, ...this.env },
			stdio: ['ignore', 'pipe', 'inherit']
		});
		const child = this.#process;
		// Whatever becomes of the tests, their server goes with them.
		process.once('exit', () => child.kill('SIGKILL'));
		await upAt(this.url, this.#process);
	}

	load(): Promise<void> {
		return loadDemo(this.url);
	}

	async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
		const child = this.#process;
		if (!child || child.exitCode !== null) return;
		const gone = new Promise((resolve) => child.on('exit', resolve));
		child.kill(signal);
		await gone;
	}

	async remove(): Promise<void> {
		await this.stop();
		rmSync(this.folder, { recursive: true, force: true });
	}

	/**
	 * What the server answers to a read. A line that was open to the server before this one is closed only when it
	 * is used, so it is asked twice; and an answer that does not come is told, instead of ending the test unnamed.
	 */
	async #ask(path: string): Promise<Record<string, unknown>> {
		const go = async () => {
			const response = await fetch(this.url + path, { signal: AbortSignal.timeout(ANSWER_MS) });
			return (await response.json()) as Record<string, unknown>;
		};
		try {
			return await go();
		} catch (cause) {
			console.warn(`${path} was not answered, and is asked once more: ${String(cause)}`);
			return await go();
		}
	}

	/** What stands in the shop, by bench: itself, what its log comes to, its parts and its drawer. */
	async standing(): Promise<Record<string, unknown>> {
		const ask = (path: string) => this.#ask(path);
		const { benches } = (await ask('/api/benches')) as {
			benches: { id: string; bench: unknown }[];
		};
		const standing: Record<string, unknown> = {};
		for (const { id, bench } of benches) {
			const { stock } = (await ask(`/api/stock?bench=${id}`)) as { stock: { stock: unknown }[] };
			standing[id] = {
				bench,
				log: (await ask(`/api/log/find?bench=${id}&limit=1`)).found,
				parts: await ask(`/api/wear?bench=${id}`),
				stock: stock.map(({ stock }) => stock)
			};
		}
		return standing;
	}

	async benchId(name: string): Promise<string> {
		const { benches } = (await this.#ask('/api/benches')) as {
			benches: { id: string; bench: { name: string } }[];
		};
		return benches.find((one) => one.bench.name === name)!.id;
	}
}

/** Ports of the workers' servers; single tests have theirs below. */
const FIRST_PORT = 4301;

/** A page counts as open once it answers to clicks and keys: what is pressed before waits (early.spec). */
export function answering(page: Page): Page {
	const ready = () => page.locator('html[data-ready]').waitFor({ state: 'attached' });
	const open = page.goto.bind(page);
	const reopen = page.reload.bind(page);
	page.goto = async (url, options) => {
		const response = await open(url, options);
		await ready();
		return response;
	};
	page.reload = async (options) => {
		const response = await reopen(options);
		await ready();
		return response;
	};
	return page;
}

const saving = (on: boolean) => `Object.defineProperty(navigator, 'connection', {
	value: { saveData: ${on} }, configurable: true
})`;
/** From its next page on the browser fetches every station ahead, as it does for whoever does not save data. */
export const fetchAhead = (page: Page) => page.addInitScript(saving(false));

/** Each worker has one server with fresh demo data; tests that write undo what they wrote. */
export const test = base.extend<{ asFound: void }, { demo: DemoServer }>({
	/** What a test leaves behind is its own fault, not that of the one that stumbles over it. */
	asFound: [
		async ({ demo }, use) => {
			const before = await demo.standing();
			await use();
			await expect
				.poll(() => demo.standing(), { message: 'the demo shop is as it was found' })
				// A bench that was added stays.
				.toMatchObject(before);
		},
		{ auto: true }
	],
	page: async ({ page }, use) => {
		// Stations that nobody opens are half the work of opening a page.
		await page.addInitScript(saving(true));
		await use(answering(page));
	},
	baseURL: async ({ demo }, use) => use(demo.url),
	demo: [
		// eslint-disable-next-line no-empty-pattern -- Playwright reads fixtures from the pattern
		async ({}, use, { parallelIndex }) => {
			const demo = new DemoServer(FIRST_PORT + parallelIndex);
			await demo.start();
			await demo.load();
			await use(demo);
			await demo.remove();
		},
		{ scope: 'worker', auto: true }
	]
});
export { expect };
/** Unfolds a step of a station that is folded until it is its turn. */
export async function openStage(page: Page, id: string): Promise<void> {
	const stage = page.getByTestId(`stage-${id}`);
	if ((await stage.getAttribute('open')) === null) await stage.locator('summary').click();
}
