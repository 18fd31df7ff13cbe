import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createServer } from 'vite';
import { ROUNDS } from './rounds';
import { BAY_2 } from '../demo/benches';

const INSERTS = 2000;

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
		const time = (insert: (opId: string) => void, name: string) => {
			const start = performance.now();
			for (let i = 0; i < INSERTS; i++) insert(`${name}-${i}`);
			return performance.now() - start;
		};
		const append = (opId: string) =>
			store.log.append({ opId, benchId: 'b', at, entry, inputsHash: null, modelVersion: '1' });
		// A server that has logged before: compiled, and the store past its first pages.
		time(append, 'warming');
		const ratios: number[] = [];
		for (let round = 0; round < ROUNDS; round++) {
			const plain = time(
				(opId) => bare.run(opId, 'b', null, 'start', at, JSON.stringify(entry), null, null, '1'),
				`bare-${round}`
			);
			const ours = time(append, `ours-${round}`);
			ratios.push(plain / ours);
		}
		store.db.close();
		return ratios;
	} finally {
		rmSync(folder, { recursive: true, force: true });
		await vite.close();
	}
}
