/** A shop with ten years in it against one with a week: what each answer costs. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createServer } from 'vite';
import type { Entry } from '../../src/lib/core';
import { BAY_2 } from '../demo/benches';
import { A_CUT, post, serve } from '../serve';
import { median, ROUNDS } from './rounds';

const REQUESTS = 40;

async function fill(folder: string, entries: number, pairs: number): Promise<void> {
	const vite = await createServer({
		server: { middlewareMode: true },
		appType: 'custom',
		logLevel: 'silent'
	});
	const { openStore } = (await vite.ssrLoadModule(
		'/src/lib/server/store.ts'
	)) as typeof import('../../src/lib/server/store');
	const store = openStore(folder);
	const at = (i: number) => new Date(Date.UTC(2016, 0, 1) + i * 3_000_000).toISOString();
	store.benches.add({ opId: 'long-bench-1', id: 'b', bench: BAY_2, at: at(0) });
	const cut: Entry = { ...A_CUT, nozzleA: 45 };
	const others: Entry[] = [
		{ kind: 'pit', pitMm: 0.4 },
		{ kind: 'drain', fromBar: 8, toBar: 6, seconds: 60 },
		{ kind: 'volts', idleV: 231, arcV: 222, outputA: 45, clampA: null, modelOhm: 0.4 },
		{
			kind: 'test-cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 45,
			nozzleA: 45,
			speedMmS: 20,
			lagDeg: 22,
			through: true
		}
	];
	store.db.exec('BEGIN');
	for (let i = 0; i < entries; i++) {
		if (i % Math.ceil(entries / pairs) === 0) {
			const opId = `long-fit-${i}`;
			store.sets.fit({ opId, id: `s${i}`, benchId: 'b', name: `Pair ${i}`, at: at(i) });
		}
		const entry = i % 10 === 9 ? others[Math.floor(i / 10) % others.length]! : cut;
		const opId = `long-entry-${i}`;
		store.log.append({ opId, benchId: 'b', at: at(i), entry, inputsHash: null, modelVersion: '5' });
	}
	store.db.exec('COMMIT');
	store.db.pragma('wal_checkpoint(TRUNCATE)');
	store.db.close();
	await vite.close();
}

type Key = 'log' | 'page' | 'plan' | 'find' | 'logPage';
let made = 0;
/** Milliseconds of one answer each, over a round. */
async function round(url: string): Promise<Record<Key, number>> {
	const time = async (ask: () => Promise<Response>) => {
		const times: number[] = [];
		for (let i = 0; i < REQUESTS; i++) {
			const start = performance.now();
			const response = await ask();
			await response.arrayBuffer();
			if (!response.ok) throw new Error(`${response.url} answered ${response.status}`);
			times.push(performance.now() - start);
		}
		return median(times);
	};
	return {
		// Another question each time: its sums are not those of the one before.
		find: await time(() =>
			fetch(
				`${url}/api/log/find?bench=b&q=${encodeURIComponent(made++ % 2 ? '6 mm edge' : '6 mm mild steel')}`
			)
		),
		logPage: await time(() => fetch(`${url}/log?q=${encodeURIComponent(`6 mm ${made++}`)}`)),
		log: await time(() =>
			post(`${url}/api/log`, { opId: `long-more-${made++}`, benchId: 'b', entry: A_CUT })
		),
		// Another address each time: nothing kept serves it.
		page: await time(() => fetch(`${url}/wear?t=${(2 + made++ / 1e4).toFixed(4)}`)),
		plan: await time(() => post(`${url}/api/plan`, { benchId: 'b', cut: {} }))
	};
}

export interface LongLog {
	/** Of the time at 100 entries, for one pair and for three hundred. */
	log: number[];
	page: number[];
	plan: number[];
	/** Milliseconds in the long log. */
	findMs: number[];
	logPageMs: number[];
	/** MiB resident over that of the short one. */
	memoryMib: number[];
}

const residentMib = async (pid: number) => {
	const { readFileSync } = await import('node:fs');
	return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024;
};

/** Answers at 100 000 entries over those at 100, the worse of one pair and three hundred. */
export async function benchLong(entries = 100_000): Promise<LongLog> {
	const folders = await Promise.all(
		[
			[100, 1],
			[entries, 1],
			[entries, 300]
		].map(async ([n, pairs]) => {
			const folder = mkdtempSync(join(tmpdir(), 'steady-arc-long-'));
			await fill(folder, n!, pairs!);
			return folder;
		})
	);
	const servers = await Promise.all(folders.map((folder, i) => serve(folder, 4290 + i)));
	try {
		for (const { url } of servers) await round(url);
		const ratios: LongLog = {
			log: [],
			page: [],
			plan: [],
			findMs: [],
			logPageMs: [],
			memoryMib: []
		};
		for (let i = 0; i < ROUNDS; i++) {
			const times: Awaited<ReturnType<typeof round>>[] = [];
			for (const { url } of servers) times.push(await round(url));
			for (const key of ['log', 'page', 'plan'] as const) {
				ratios[key].push(Math.max(times[1]![key], times[2]![key]) / times[0]![key]);
			}
			ratios.findMs.push(Math.max(times[1]!.find, times[2]!.find));
			ratios.logPageMs.push(Math.max(times[1]!.logPage, times[2]!.logPage));
			const memory = await Promise.all(servers.map(({ child }) => residentMib(child.pid!)));
			ratios.memoryMib.push(Math.max(memory[1]!, memory[2]!) - memory[0]!);
		}
		return ratios;
	} finally {
		await Promise.all(servers.map(({ stop }) => stop()));
		for (const folder of folders) rmSync(folder, { recursive: true, force: true });
	}
}
