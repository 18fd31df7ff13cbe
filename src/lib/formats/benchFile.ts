/** A bench as a file: JSON with a format name and a version, published as JSON Schema. */
import * as v from 'valibot';
import { BenchSchema, type Bench } from '$lib/core';
import { BENCH } from '$lib/core/stored/kinds';
import { badInput, fieldProblems, type Problem } from './problem';

export const BENCH_FORMAT = 'steady-arc/bench';

export const BenchFileSchema = v.object({
	format: v.literal(BENCH_FORMAT, `"${BENCH_FORMAT}"`),
	version: v.literal(BENCH.version, String(BENCH.version)),
	bench: BenchSchema
});

export function benchFile(bench: Bench): v.InferOutput<typeof BenchFileSchema> {
	return { format: BENCH_FORMAT, version: BENCH.version, bench };
}

/** A file name that every system takes. */
export function benchFileName(bench: Bench): string {
	const plain = bench.name
		.normalize('NFKD')
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-+|-+$/g, '');
	return `${plain || 'bench'}.bench.json`;
}

export type BenchFileResult = { ok: true; bench: Bench } | { ok: false; problem: Problem };

/** Reads a bench file of this or an earlier version; says what is wrong and where, and takes nothing half. */
export function readBenchFile(text: string): BenchFileResult {
	let data: unknown;
	try {
		data = JSON.parse(text);
	} catch {
		return refused('bad-json', 'This is not JSON. A bench file is what "Export" wrote.');
	}
	const head = v.safeParse(v.object({ format: v.string(), version: v.number() }), data);
	if (!head.success || head.output.format !== BENCH_FORMAT) {
		return refused('bad-input', `This is not a bench file: it needs "format": "${BENCH_FORMAT}".`);
	}
	if (head.output.version > BENCH.version) {
		return refused(
			'bad-input',
			`This bench file has version ${head.output.version}; this program reads up to ${BENCH.version}. Update the program.`
		);
	}
	const { bench } = data as { bench?: unknown };
	const read = BENCH.read(bench, head.output.version);
	if (!read.ok) return { ok: false, problem: badInput(fieldProblems(read.issues, 'bench')) };
	return { ok: true, bench: read.value };
}

function refused(code: Problem['code'], message: string): BenchFileResult {
	return { ok: false, problem: { code, message, fields: [] } };
}
