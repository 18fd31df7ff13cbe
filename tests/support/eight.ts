/** Eight very different benches (invented shops), each read from its file as the program reads one. */
import { readFileSync } from 'node:fs';
import type { Bench } from '../../src/lib/core';
import { readBenchFile } from '../../src/lib/formats/benchFile';

const files = JSON.parse(
	readFileSync(new URL('../benches/benches.json', import.meta.url), 'utf8')
) as object[];
export const EIGHT: Bench[] = files.map((file) => {
	const read = readBenchFile(JSON.stringify(file));
	if (!read.ok) throw new Error(read.problem.message);
	return read.bench;
});
