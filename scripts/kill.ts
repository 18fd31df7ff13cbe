/** Kills the server again and again while it logs: `npm run kill -- --times 200`. Nothing acknowledged is lost. */
import type { Evidence } from '../src/lib/core';
import { mkdtempSync, rmSync } from 'node:fs';
import Database from 'better-sqlite3';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { BAY_2 } from './demo/benches';
import { A_CUT, post as send, serve } from './serve';

const WRITERS = 4;

export interface Killed {
	kills: number;
	acknowledged: number;
	/** Acknowledged and not there afterwards. */
	lost: string[];
	/** There more than once. */
	doubled: string[];
	/** What is kept beside the log against the log itself, at the end. */
	starts: { kept: number; logged: number };
	/** Readings of a sensor: acknowledged, and how many of those are kept, and kept in all. */
	readings: { acknowledged: number; kept: number; keptInAll: number };
}

/** Times at random, but the same ones for the same seed. */
function random(seed: number): () => number {
	let state = seed >>> 0 || 1;
	return () => {
		state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
		return state / 2 ** 32;
	};
}

export async function killWhileLogging(times: number, seed: number, port: number): Promise<Killed> {
	const folder = mkdtempSync(join(tmpdir(), 'steady-arc-kill-'));
	const url = `http://127.0.0.1:${port}`;
	const post = async (path: string, body: unknown) => {
		const response = await send(url + path, body).catch(() => undefined);
		return response?.ok
			? ((await response.json().catch(() => undefined)) as { id: string })
			: undefined;
	};
	const next = random(seed);
	let { child } = await serve(folder, port);
	// A sensor sends beside it: batch after batch, the same again until it is answered.
	const BATCH = 100;
	let nextN = 0;
	let token = '';
	const bench = await post('/api/benches', { opId: `kill-bench-${seed}`, bench: BAY_2 });
	token = (
		(await post(`/api/line/${bench!.id}/pair`, { opId: `kill-pair-${seed}` })) as unknown as {
			token: string;
		}
	).token;
	const startMs = Date.now();
	const sendBatch = async () => {
		const n = nextN;
		const body = {
			boot: 'kill',
			n,
			sentAtMs: startMs + 10 * (n + BATCH),
			atMs: Array.from({ length: BATCH }, (_, k) => startMs + 10 * (n + k)),
			arcA: Array.from({ length: BATCH }, (_, k) => ((n + k) % 500 > 250 ? 45 : 0))
		};
		const response = await fetch(`${url}/api/line/${bench!.id}`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', authorization: `Bearer ${token}` },
			body: JSON.stringify(body)
		}).catch(() => undefined);
		if (response?.ok) nextN += BATCH;
	};
	const acknowledged: string[] = [];
	const unsure: string[] = [];
	let made = 0;
	try {
		for (let kill = 0; kill < times; kill++) {
			const gone = new Promise((resolve) => child.on('exit', resolve));
			let running = true;
			const writers = Array.from({ length: WRITERS }, async () => {
				while (running) {
					const opId = `kill-${seed}-${made++}`;
					const done = await post('/api/log', { opId, benchId: bench!.id, entry: A_CUT });
					if (done) acknowledged.push(opId);
					else unsure.push(opId);
				}
			});
			const sensor = (async () => {
				while (running) await sendBatch();
			})();
			await new Promise((resolve) => setTimeout(resolve, 20 + 300 * next()));
			child.kill('SIGKILL');
			await gone;
			running = false;
			await Promise.all([...writers, sensor]);
			({ child } = await serve(folder, port));
			// What was not answered is sent again, as a device does.
			for (const opId of unsure.splice(0)) {
				if (await post('/api/log', { opId, benchId: bench!.id, entry: A_CUT }))
					acknowledged.push(opId);
			}
		}
		const stored: string[] = [];
		let before: number | null = Number.MAX_SAFE_INTEGER;
		let kept = 0;
		while (before !== null) {
			const page = (await (
				await fetch(`${url}/api/log?bench=${bench!.id}&limit=1000&before=${before}`)
			).json()) as { entries: { opId: string }[]; next: number | null };
			stored.push(...page.entries.map((e) => e.opId));
			before = page.next;
		}
		const planned = await post('/api/log', {
			opId: `kill-${seed}-last`,
			benchId: bench!.id,
			entry: A_CUT
		});
		kept = (planned as unknown as { evidence: Evidence }).evidence.wear.electrode.total.starts;
		const db = new Database(join(folder, 'steady-arc.db'), { readonly: true });
		const count = (where: string) =>
			Number(db.prepare(`SELECT count(*) FROM arc_readings ${where}`).pluck().get());
		const readings = {
			acknowledged: nextN,
			kept: count(`WHERE n < ${nextN}`),
			keptInAll: Number(db.prepare('SELECT count(DISTINCT n) FROM arc_readings').pluck().get())
		};
		const rows = count('');
		db.close();
		if (rows !== readings.keptInAll) throw new Error('a reading is kept twice');
		const there = new Set(stored);
		return {
			kills: times,
			acknowledged: acknowledged.length,
			lost: acknowledged.filter((opId) => !there.has(opId)),
			doubled: stored.filter((opId, i) => stored.indexOf(opId) !== i),
			starts: { kept, logged: stored.length + 1 },
			readings
		};
	} finally {
		child.kill('SIGKILL');
		rmSync(folder, { recursive: true, force: true });
	}
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
	const option = (name: string, otherwise: number) => {
		const at = process.argv.indexOf(`--${name}`);
		return at < 0 ? otherwise : Number(process.argv[at + 1]);
	};
	const result = await killWhileLogging(
		option('times', 200),
		option('seed', Date.now() % 1e6),
		4261
	);
	console.log(result);
	const { readings } = result;
	if (
		result.lost.length ||
		result.doubled.length ||
		result.starts.kept !== result.starts.logged ||
		readings.kept !== readings.acknowledged
	)
		process.exitCode = 1;
}
