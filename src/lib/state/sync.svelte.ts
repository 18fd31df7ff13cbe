import { meetLate } from './saveBench';
/** Keeps a screen and the server together: what waits goes out, what others changed comes in. */
import type { Revisions } from '$lib/formats/bodies/house';
import { learnServerTime } from './clock';
import { flush, waiting } from './outbox';
import type { Workbench } from './workbench.svelte';

/** While the page is in sight, ms. */
const LOOK_EVERY_MS = 30_000;
const TRY_EVERY_MS = 5000;
const ANSWER_MOST_MS = 5000;

export class Sync {
	constructor(
		readonly bench: Workbench,
		/** Asks the server for the page's data again. */
		readonly refresh: () => Promise<void>
	) {}

	start(): () => void {
		const stop = new AbortController();
		const { signal } = stop;
		const now = () => void this.now();
		window.addEventListener('online', now, { signal });
		window.addEventListener('focus', now, { signal });
		document.addEventListener('visibilitychange', now, { signal });
		const timers = [
			setInterval(now, LOOK_EVERY_MS),
			setInterval(() => void (this.#pressing && this.now()), TRY_EVERY_MS)
		];
		void this.now();
		return () => {
			stop.abort();
			timers.forEach(clearInterval);
		};
	}
	get #pressing(): boolean {
		return this.bench.away || this.bench.waiting.some(({ refusal }) => !refusal);
	}

	/** Sends what waits, then looks for what is new. */
	async now(): Promise<void> {
		if (document.visibilityState === 'hidden') return;
		const { bench } = this;
		const benchId = bench.benchId;
		try {
			bench.waiting = await waiting();
		} catch {
			// A browser without IndexedDB keeps nothing, and so nothing waits.
		}
		const revisions = await this.#look(benchId);
		bench.away = revisions === undefined;
		if (!revisions) return;
		const sent = bench.waiting.length > 0 && (await this.#send());
		if (sent || (bench.benchId === benchId && this.#isNews(revisions))) await this.refresh();
	}

	async #look(benchId: string): Promise<Revisions | undefined> {
		const askedMs = Date.now();
		try {
			const response = await fetch(`/api/revisions?bench=${benchId}`, {
				signal: AbortSignal.timeout(ANSWER_MOST_MS)
			});
			if (!response.ok) return undefined;
			const { now, ...revisions } = (await response.json()) as Revisions & { now: string };
			learnServerTime(now, askedMs, Date.now());
			return revisions;
		} catch {
			return undefined;
		}
	}
	#isNews(revisions: Revisions): boolean {
		const known = this.bench.revisions;
		return (Object.keys(revisions) as (keyof Revisions)[]).some(
			(key) => revisions[key] !== known[key]
		);
	}

	/** True: something went out, and the screen is to follow. */
	async #send(): Promise<boolean> {
		const { bench } = this;
		const { sent, aside, left } = await flush();
		bench.waiting = left;
		let told =
			sent.length > 0 ? `${count(sent.length)} from this device: now with the server.` : '';
		for (const item of aside) {
			if (await meetLate(bench, item)) {
				bench.waiting = await waiting();
				return true;
			}
			told += ` Not taken, and set aside above: ${item.write.words}. ${item.refusal!.problem.message}`;
		}
		const kind = aside.length > 0 ? ('problem' as const) : ('done' as const);
		if (told) bench.notice = { kind, text: told.trim() };
		// What was shown as if it stood is asked for again when it does not.
		return sent.length + aside.length > 0;
	}
}

const count = (n: number) => (n === 1 ? 'One entry' : `${n} entries`);
