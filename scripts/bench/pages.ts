import { fork } from 'node:child_process';
import { writeFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import autocannon from 'autocannon';

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
	await autocannon({ ...load, duration: 1 });
	const { requests, non2xx } = await autocannon({ ...load, duration: 4 });
	if (non2xx > 0) throw new Error(`${non2xx} answers of ${url} were refusals`);
	return requests.average;
}

/**
 * Requests a second of Setup over a bare Node handler that sends the same bytes: `repeated`, as a
 * browser asks again while nothing was written, and `rendered`, each time for another thickness.
 */
export async function benchPages(base: string): Promise<{ repeated: number; rendered: number }> {
	const page = await fetch(`${base}/setup`);
	const folder = mkdtempSync(join(tmpdir(), 'steady-arc-pages-'));
	const body = join(folder, 'body.html');
	const script = join(folder, 'bare.mjs');
	writeFileSync(body, Buffer.from(await page.arrayBuffer()));
	writeFileSync(script, BARE);
	const bare = fork(script, [body]);
	try {
		await new Promise((resolve) => bare.once('message', resolve));
		const bareRate = await requestsPerSecond(`http://127.0.0.1:${PORT}/`);
		const repeated = await requestsPerSecond(`${base}/setup`);
		let round = 0;
		const rendered = await requestsPerSecond(
			`${base}/setup`,
			() => `/setup?t=${(1 + round++ / 1e4).toFixed(4)}`
		);
		return { repeated: repeated / bareRate, rendered: rendered / bareRate };
	} finally {
		bare.kill();
		rmSync(folder, { recursive: true, force: true });
	}
}
