/** Many at once: people with phones, a crowd, and one heavy template while others ask. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { rounds } from './rounds';
import { A_CUT, loadDemo, post, serve } from '../serve';

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

export interface Crowd {
	/** Twenty clients with pauses of two seconds: answers that were none, and the 99th percentile of health, ms. */
	calmErrors: number;
	calmHealthMs: number;
	/** Two hundred clients at once: acknowledged and not there afterwards. */
	lost: number;
	/** Answers that were neither taken nor asked to come again. */
	rushErrors: number;
	/** Longest wait for health while heavy templates are asked for, ms. */
	heavyHealthMs: number;
}

export const benchCrowd = (): Promise<Crowd[]> => rounds(crowd);

async function crowd(): Promise<Crowd> {
	const folder = mkdtempSync(join(tmpdir(), 'steady-arc-crowd-'));
	const { url, stop } = await serve(folder, 4296);
	try {
		await loadDemo(url);
		const { benches } = (await (await fetch(`${url}/api/benches`)).json()) as {
			benches: { id: string }[];
		};
		const benchId = benches[0]!.id;
		const send = (path: string, body: unknown) => post(url + path, body);
		const health = async () => {
			const start = performance.now();
			await (await fetch(`${url}/api/health`)).arrayBuffer();
			return performance.now() - start;
		};
		/** Health, asked all the while that something goes on. */
		const during = async (work: Promise<unknown>) => {
			const waits: number[] = [];
			let on = true;
			const watch = (async () => {
				while (on) {
					waits.push(await health());
					await wait(20);
				}
			})();
			await work;
			on = false;
			await watch;
			return waits.sort((a, b) => a - b);
		};

		let calmErrors = 0;
		const person = async (who: number) => {
			for (let i = 0; i < 4; i++) {
				await wait(2000 * (i === 0 ? who / 20 : 1));
				const page = await fetch(`${url}/wear?bench=${benchId}&t=${2 + who / 10}`);
				await page.arrayBuffer();
				const logged = await send('/api/log', {
					opId: `calm-${who}-${i}-x`,
					benchId,
					entry: A_CUT
				});
				await logged.arrayBuffer();
				if (!page.ok || !logged.ok) calmErrors++;
			}
		};
		const calm = await during(Promise.all(Array.from({ length: 20 }, (_, who) => person(who))));

		const acknowledged: string[] = [];
		let rushErrors = 0;
		await Promise.all(
			Array.from({ length: 200 }, async (_, who) => {
				for (let i = 0; i < 5; i++) {
					const opId = `rush-${who}-${i}-x`;
					const answer = await send('/api/log', { opId, benchId, entry: A_CUT }).catch(
						() => undefined
					);
					await answer?.arrayBuffer();
					if (answer?.ok) acknowledged.push(opId);
					else if (answer?.status !== 503) rushErrors++;
				}
			})
		);
		const there = new Set<string>();
		for (let before: number | null = Number.MAX_SAFE_INTEGER; before !== null;) {
			const page = (await (
				await fetch(`${url}/api/log?bench=${benchId}&limit=1000&before=${before}`)
			).json()) as { entries: { opId: string }[]; next: number | null };
			for (const { opId } of page.entries) there.add(opId);
			before = page.next;
		}

		// A wave of twenty thousand points: seconds of work, nothing wrong with it.
		const points = 20_000;
		const wave = Array.from({ length: points }, (_, i) => {
			const angle = (2 * Math.PI * i) / points;
			const r = 900 + 15 * Math.sin(90 * angle);
			return { x: r * Math.cos(angle), y: r * Math.sin(angle), bulge: 0 };
		});
		const template = { contours: [wave], shieldRadiusMm: 11, kerfMm: 1.5, as: 'json' };
		const heavy = await during(
			Promise.all(
				Array.from({ length: 3 }, async () => (await send('/api/template', template)).arrayBuffer())
			)
		);
		return {
			calmErrors,
			calmHealthMs: calm[Math.floor(0.99 * (calm.length - 1))]!,
			lost: acknowledged.filter((opId) => !there.has(opId)).length,
			rushErrors,
			heavyHealthMs: heavy.at(-1)!
		};
	} finally {
		await stop();
		rmSync(folder, { recursive: true, force: true });
	}
}
