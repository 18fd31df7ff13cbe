/** What several commands need of the server: one on a folder, until it is stopped, and something to log. */
import { spawn, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';

/** As `npm start` does: a shop's server stands beside other things on a small machine. */
const LEAN = ['--max-semi-space-size=2'];
const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** One cut as a device logs it. */
export const A_CUT = {
	kind: 'cut',
	metal: 'mild-steel',
	thicknessMm: 6,
	outputA: 45,
	lengthMm: 300,
	arcS: 14,
	starts: 1,
	start: 'edge'
} as const;

export interface Served {
	url: string;
	child: ChildProcess;
	/** Ends it, and waits until it has: the next may want its port. */
	stop: () => Promise<void>;
}

const answers = (url: string): Promise<boolean> =>
	fetch(`${url}/api/health`).then(
		(response) => response.ok,
		() => false
	);

/** Before a server is started: one that was left behind would be taken for it, with whatever it was built of. */
export async function nobodyAt(url: string): Promise<void> {
	if (await answers(url))
		throw new Error(`Another server answers on ${url} already: stop it first.`);
}
/** Until the server that was started there answers; two minutes, for a machine that does much else besides. */
export async function upAt(url: string, child: ChildProcess): Promise<void> {
	for (let i = 0; i < 2400; i++) {
		if (child.exitCode !== null) throw new Error(`The server for ${url} ended: ${child.exitCode}.`);
		if (await answers(url)) return;
		await new Promise((resolve) => setTimeout(resolve, 50));
	}
	throw new Error(`No server on ${url}.`);
}

/** Starts the built server and waits until it answers. */
export async function serve(folder: string, port: number): Promise<Served> {
	const url = `http://127.0.0.1:${port}`;
	await nobodyAt(url);
	const child = spawn('node', [...LEAN, 'server/main.js'], {
		cwd: ROOT,
		env: { ...process.env, PORT: String(port), STEADY_ARC_DATA: folder },
		stdio: 'ignore'
	});
	await upAt(url, child);
	const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
	const stop = () => (child.kill(), ended);
	return { url, child, stop };
}

/** Loads the demo through the public API. */
export async function loadDemo(url: string): Promise<void> {
	const loader = spawn('node_modules/.bin/tsx', ['scripts/demo/load.ts', url], {
		cwd: ROOT,
		stdio: ['ignore', 'ignore', 'inherit']
	});
	const code = await new Promise((resolve) => loader.on('exit', resolve));
	if (code !== 0) throw new Error('the demo data did not load');
}

export const post = (url: string, body: unknown): Promise<Response> =>
	fetch(url, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify(body)
	});
