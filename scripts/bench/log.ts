import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createServer } from 'vite';
import { ROUNDS } from './rounds';
import { BAY_2 } from '../demo/benches';

/** Inserts in a row, and how many such rows a round has of each kind. */
const BLOCK = 50;
const BLOCKS = 40;

/** Inserts a second through the repository over a bare prepared statement, same pragmas and table. */
export async function benchLog(): Promise<number[]> {
	const vite = await createServer({
		server: { middlewareMode: true },
		appType: 'custom',
		logLevel: 'silent'
	});
	const folder = mkdtempSync(join(tmpdir(), 'steady-arc-log-'));
	try {
		const { openStore } = (await vite.ssrLoadModule(
			'/src/lib/server/store.ts'
		)) as typeof import('../../src/lib/server/store');
		const store = openStore(folder);
		const at = new Date().toISOString();
		store.benches.add({ opId: 'bench-log-1', id: 'b', bench: BAY_2, at });
		const bare = store.db.prepare(
			`INSERT INTO log (op_id, bench_id, set_id, kind, at, data, undoes, inputs_hash, model_version)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`
		);
		const entry = { kind: 'start', arcS: 1, start: 'edge' } as const;
		let made = 0;
		const time = (insert: (opId: string) => void) => {
			const start = performance.now();
			for (let i = 0; i < BLOCK; i++) insert(`bench-log-${made++}`.padStart(24, '0'));
			return performance.now() - start;
		};
		const plainly = (opId: string) =>
			bare.run(opId, 'b', null, 'start', at, JSON.stringify(entry), null, null, '1');
		const append = (opId: string) =>
			store.log.append({ opId, benchId: 'b', at, entry, inputsHash: null, modelVersion: '1' });
		// A server that has logged before: compiled, and the store past its first pages.
		for (let i = 0; i < BLOCKS; i++) time(append);
		const ratios: number[] = [];
		for (let round = 0; round < ROUNDS; round++) {
			let [plain, ours] = [0, 0];
			// By turns, so that both have their share of what the machine does beside.
			for (let i = 0; i < BLOCKS; i++) {
				plain += time(plainly);
				ours += time(append);
			}
			ratios.push(plain / ours);
		}
		store.db.close();
		return ratios;
	} finally {
		rmSync(folder, { recursive: true, force: true });
		await vite.close();
	}
}
