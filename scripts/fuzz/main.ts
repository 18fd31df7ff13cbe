/** `npm run fuzz -- --seed N`: 20 000 requests, and 100 000 inputs for every reader. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { loadDemo, serve } from '../serve';
import { fuzzParsers } from './parsers';
import { fuzzRequests } from './requests';

const option = (name: string, otherwise: number) => {
	const at = process.argv.indexOf(`--${name}`);
	return at < 0 ? otherwise : Number(process.argv[at + 1]);
};
const seed = option('seed', Date.now() % 1e9);
const requests = option('requests', 20_000);
const inputs = option('inputs', 100_000);
console.log(`Seed ${seed}`);

const folder = mkdtempSync(join(tmpdir(), 'steady-arc-fuzz-'));
const server = await serve(folder, 4263);
try {
	await loadDemo(server.url);
	const { faults, ...told } = await fuzzRequests(server.url, seed, requests);
	console.log(told);
	for (const fault of faults.slice(0, 10)) console.error(fault);
	if (faults.length) process.exitCode = 1;
} finally {
	await server.stop();
	rmSync(folder, { recursive: true, force: true });
}
fuzzParsers(seed, inputs, (name) => process.stdout.write(`${inputs} inputs: ${name}\n`));
