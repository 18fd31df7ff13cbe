/** Readings of a sensor: taken in by the repository against bare inserts, and through the server. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createServer } from 'vite';
import { BAY_2 } from '../demo/benches';
import { play } from '../device/play';
import { post } from '../serve';
import { ROUNDS } from './rounds';

const AT_ONCE = 1000;
const BATCHES = 20;
const { readings } = play([{ restS: 10, pilotS: 1, arcS: 80, arcA: 45 }], { rateHz: 1000 });
const columns = (n: number) => {
	const part = Array.from({ length: AT_ONCE }, (_, k) => readings[(n + k) % 80_000]!);
	const of = (key: keyof (typeof part)[number]) => part.map((one) => one[key]);
	return {
		arcA: of('arcA'),
		inletBar: of('inletBar'),
		tankBar: of('tankBar'),
		mainsA: of('mainsA'),
		hotLamp: of('hotLamp')
	};
};
const times = (startMs: number, n: number) =>
	Array.from({ length: AT_ONCE }, (_, k) => startMs + n + k);

/** Readings a second over those of bare inserts in transactions of the same size. */
export async function benchReadings(): Promise<number[]> {
	const vite = await createServer({
		server: { middlewareMode: true },
		appType: 'custom',
		logLevel: 'silent'
	});
	const folder = mkdtempSync(join(tmpdir(), 'steady-arc-readings-'));
	try {
		const { openStore } = (await vite.ssrLoadModule(
			'/src/lib/server/store.ts'
		)) as typeof import('../../src/lib/server/store');
		const store = openStore(folder);
		const at = new Date().toISOString();
		store.benches.add({ opId: 'bench-line-1', id: 'b', bench: BAY_2, at });
		store.arcLines.pair('b', 'token', at);
		const line = store.arcLines.find('b')!;
		store.db.exec(
			`CREATE TABLE bare (boot_id INTEGER NOT NULL, at_ms REAL NOT NULL, n INTEGER NOT NULL, arc_a REAL,
				inlet_bar REAL, tank_bar REAL, mains_a REAL, hot_lamp REAL, PRIMARY KEY (boot_id, at_ms, n)) STRICT, WITHOUT ROWID`
		);
		const insert = store.db.prepare('INSERT INTO bare VALUES (?, ?, ?, ?, ?, ?, ?, ?)');
		const startMs = Date.now() - 1e6;
		const ratios: number[] = [];
		for (let round = 0; round < ROUNDS; round++) {
			const from = round * BATCHES * AT_ONCE;
			const batches = Array.from({ length: BATCHES }, (_, k) => {
				const n = from + k * AT_ONCE;
				return { boot: 'b', n, sentAtMs: Date.now(), atMs: times(startMs, n), ...columns(n) };
			});
			const clock = (one: (batch: (typeof batches)[number]) => void) => {
				const began = performance.now();
				for (const batch of batches) one(batch);
				return performance.now() - began;
			};
			const bare = clock((b) =>
				store.db
					.transaction(() => {
						for (let k = 0; k < AT_ONCE; k++)
							insert.run(
								1,
								b.atMs[k],
								b.n + k,
								b.arcA[k],
								b.inletBar[k],
								b.tankBar[k],
								b.mainsA[k],
								b.hotLamp[k]
							);
					})
					.immediate()
			);
			const ours = clock((batch) => void store.arcLines.add(line, batch, Date.now()));
			ratios.push(bare / ours);
		}
		store.db.close();
		return ratios;
	} finally {
		rmSync(folder, { recursive: true, force: true });
		await vite.close();
	}
}

/** A minute of a thousand readings a second, as fast as it goes: seconds it takes, and readings lost. */
export async function benchMinute(url: string): Promise<{ tookS: number[]; lost: number[] }> {
	const { benches } = (await (await fetch(`${url}/api/benches`)).json()) as {
		benches: { id: string }[];
	};
	const bench = benches[0]!.id;
	const paired = await post(`${url}/api/line/${bench}/pair`, { opId: `bench-pair-${Date.now()}` });
	const { token } = (await paired.json()) as { token: string };
	const startMs = Date.now() - 60_000;
	const began = performance.now();
	let last = { missing: 0, next: 0 };
	for (let n = 0; n < 60_000; n += AT_ONCE) {
		const response = await fetch(`${url}/api/line/${bench}`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', authorization: `Bearer ${token}` },
			body: JSON.stringify({
				boot: 'bench',
				n,
				sentAtMs: Date.now(),
				atMs: times(startMs, n),
				...columns(n)
			})
		});
		if (!response.ok) throw new Error(`a batch was refused: ${response.status}`);
		last = (await response.json()) as typeof last;
	}
	const tookS = (performance.now() - began) / 1000;
	await fetch(`${url}/api/line/${bench}`, {
		method: 'PUT',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({ opId: `bench-unpair-${Date.now()}`, paired: false })
	});
	return { tookS: [tookS], lost: [60_000 - last.next + last.missing] };
}
