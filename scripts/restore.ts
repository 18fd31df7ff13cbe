/** Puts a backup in the place of the store, with the server running or not: `npm run restore -- FILE`. */
import { mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { copyOf, lookInto, putInPlace, stampOf, type Counts } from '../src/lib/server/restore';
import { ROOT } from './ensure.js';
import { folder, runningServer } from './store.js';

const [given] = process.argv.slice(2);
const fail = (words: string): never => {
	console.error(words);
	process.exit(1);
};
if (!given) fail('Which backup? npm run restore -- FILE');
const file = resolve(given!);
/** One migration makes each shape. */
const newestShape = readdirSync(join(ROOT, 'src/lib/server/migrations')).length;

const looked = lookInto(file, newestShape);
if (!looked.ok) fail(`${looked.why} Nothing was changed.`);

const at = new Date();
mkdirSync(folder, { recursive: true });
const copy = join(folder, `restoring-${stampOf(at)}.db`);
// A copy that is whole by itself, whatever log stands beside the file.
await copyOf(file, copy);
const told = (counts: Counts, kept: string | undefined) => {
	const newest = counts.newest ? `, the newest of ${counts.newest}` : '';
	console.log(`Restored ${counts.benches} benches and ${counts.entries} log entries${newest}.`);
	console.log(kept ? `What stood there before is kept: ${kept}` : 'There was no store before.');
};

const server = runningServer();
if (server) {
	console.log(`The server at ${server.url} is running: it puts the copy in place itself.`);
	const response = await fetch(`${server.url}/api/restore`, {
		method: 'POST',
		headers: { 'x-steady-key': server.key as string, 'content-type': 'application/vnd.sqlite3' },
		body: readFileSync(copy)
	}).catch((error: unknown) =>
		fail(`It did not answer (${String(error)}). Stop it and try again.`)
	);
	rmSync(copy, { force: true });
	const answer = (await response.json()) as { message?: string; counts: Counts; kept?: string };
	if (!response.ok) fail(answer.message ?? `It answered ${response.status}.`);
	told(answer.counts, answer.kept);
} else {
	console.log(`No server is running on ${folder}.`);
	const kept = putInPlace(folder, copy, at);
	const now = lookInto(join(folder, 'steady-arc.db'), newestShape);
	if (!now.ok) fail(`${now.why} The store from before is kept: ${kept}`);
	else told(now.counts, kept);
}
