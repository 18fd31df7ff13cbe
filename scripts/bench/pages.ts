import { fork } from 'node:child_process';
import { writeFileSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { get } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import autocannon from 'autocannon';
import { BAY_2 } from '../demo/benches';
import type { Served } from '../serve';
import { rounds } from './rounds';

const PORT = 4189;
/** A bare handler in a process of its own, so that both sides have a core to share with the load. */
const BARE = `import { createServer } from 'node:http';
import { readFileSync } from 'node:fs';
const body = readFileSync(process.argv[2]);
createServer((request, response) => { response.setHeader('content-type', 'text/html'); response.end(body); })
	.listen(${PORT}, '127.0.0.1', () => process.send('up'));`;

async function requestsPerSecond(url: string, path?: () => string): Promise<number> {
	const requestsOf = path && [
		{ setupRequest: (r: autocannon.Request) => ({ ...r, path: path() }) }
	];
	const load = { url, connections: 4, requests: requestsOf };
	await autocannon({ ...load, duration: 0.5 });
	const { requests, non2xx } = await autocannon({ ...load, duration: 2 });
	if (non2xx > 0) throw new Error(`${non2xx} answers of ${url} were refusals`);
	return requests.average;
}

/**
 * Requests a second of Setup over a bare Node handler that sends the same bytes: `repeated`, as a
 * browser asks again while nothing was written, and `rendered`, each time for another thickness.
 */
export async function benchPages(base: string): Promise<{
	repeated: number[];
	rendered: number[];
}> {
	const page = await fetch(`${base}/setup`);
	const folder = mkdtempSync(join(tmpdir(), 'steady-arc-pages-'));
	const body = join(folder, 'body.html');
	const script = join(folder, 'bare.mjs');
	writeFileSync(body, Buffer.from(await page.arrayBuffer()));
	writeFileSync(script, BARE);
	const bare = fork(script, [body]);
	try {
		await new Promise((resolve) => bare.once('message', resolve));
		let round = 0;
		const all = await rounds(async () => {
			const bareRate = await requestsPerSecond(`http://127.0.0.1:${PORT}/`);
			const repeated = await requestsPerSecond(`${base}/setup`);
			const rendered = await requestsPerSecond(
				`${base}/setup`,
				() => `/setup?t=${(1 + round++ / 1e4).toFixed(4)}`
			);
			return { repeated: repeated / bareRate, rendered: rendered / bareRate };
		});
		return {
			repeated: all.map(({ repeated }) => repeated),
			rendered: all.map(({ rendered }) => rendered)
		};
	} finally {
		bare.kill();
		rmSync(folder, { recursive: true, force: true });
	}
}

/** Clock ticks a second, as Linux counts processor time. */
const TICKS = 100;
const cpuMs = (pid: number) => {
	const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ');
	return ((Number(fields[11]) + Number(fields[12])) / TICKS) * 1000;
};
const RENDERED = 200;
let asked = 0;

/** Processor time of the server for one page of Setup that nothing kept serves, ms. */
export async function benchRender({ url, child }: Served, benchId?: string): Promise<number[]> {
	const bench = benchId ? `&bench=${benchId}` : '';
	const ask = async () => {
		const t = (2 + (asked++ % 90_000) / 1e4).toFixed(4);
		const response = await fetch(`${url}/setup?t=${t}${bench}`);
		await response.arrayBuffer();
		if (!response.ok) throw new Error(`Setup answered ${response.status}`);
	};
	for (let i = 0; i < RENDERED; i++) await ask();
	return rounds(async () => {
		const before = cpuMs(child.pid!);
		for (let i = 0; i < RENDERED; i++) await ask();
		return (cpuMs(child.pid!) - before) / RENDERED;
	});
}

/** HTML of Setup on the wire, compressed as a browser asks for it, kB. */
export async function benchHtml(base: string): Promise<number[]> {
	return rounds(async (round) => {
		const bytes = await new Promise<number>((resolve, reject) => {
			get(
				`${base}/setup?t=${6 + round / 1000}`,
				{ headers: { 'accept-encoding': 'gzip' } },
				(r) => {
					let sum = 0;
					r.on('data', (chunk: Buffer) => (sum += chunk.length));
					r.on('end', () => resolve(sum));
				}
			).on('error', reject);
		});
		return bytes / 1000;
	});
}

/** A bench of its own with a chart of ten thousand rows; its id. */
export async function withHugeChart(base: string): Promise<string> {
	const send = async (path: string, method: string, body: unknown) => {
		const response = await fetch(base + path, {
			method,
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(body)
		});
		if (!response.ok) throw new Error(`${path}: ${await response.text()}`);
		return (await response.json()) as { id: string };
	};
	const { id } = await send('/api/benches', 'POST', { opId: 'bench-huge-chart-1', bench: BAY_2 });
	const rows = Array.from({ length: 10_000 }, (_, i) => ({
		metal: 'mild-steel',
		outputA: 20 + (Math.floor(i / 100) % 100),
		nozzleA: 45,
		thicknessMm: 1 + (i % 100) * 0.25,
		speedMmS: 20 / (1 + (i % 100) * 0.25),
		pressureBar: null,
		kerfMm: null,
		standoffMm: null,
		pierceMm: null,
		pierceS: null
	}));
	await send(`/api/charts/${id}`, 'PUT', {
		opId: 'bench-huge-chart-2',
		name: 'Huge',
		rows,
		revision: 0
	});
	return id;
}
