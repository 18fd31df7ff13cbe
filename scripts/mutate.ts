/**
 * `npm run mutate -- --seed N`: changes the core in some hundred places, one at a time, and tells which
 * changes no test of the core notices. A seeded sample; `--mutants N` for more or fewer.
 */
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { Stryker } from '@stryker-mutator/core';
import { createInstrumenter } from '@stryker-mutator/instrumenter';
import { createInjector } from 'typed-inject';

const option = (name: string, otherwise: number) => {
	const at = process.argv.indexOf(`--${name}`);
	return at < 0 ? otherwise : Number(process.argv[at + 1]);
};
const seed = option('seed', 1);
const wanted = option('mutants', 400);

/** Mulberry32: the same seed, the same places. */
function random(state: number): () => number {
	return () => {
		state = (state + 0x6d2b79f5) | 0;
		let t = Math.imul(state ^ (state >>> 15), 1 | state);
		t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
		return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
	};
}

/** Something that can be changed, and how many changes lie inside of it. */
interface Place {
	file: string;
	/** Line and column of its start and end: as one number each, to compare. */
	start: number;
	end: number;
	range: string;
	mutants: number;
}
/** Longer than any line. */
const LINE = 10_000;

/** What the mutation tool would change in the core; words are not looked at. */
const EXCLUDED = ['StringLiteral'];
const files = sources('src/lib/core');
function sources(folder: string): string[] {
	const inside = readdirSync(folder, { recursive: true }) as string[];
	return inside
		.map((file) => `${folder}/${file}`)
		.filter(
			// Reasons are checked figure by figure against the plan; types and lists hold no logic.
			(file) =>
				file.endsWith('.ts') && !/\.test\.ts$|\.d\.ts$|\/reasons(\/|\.ts)|\/index\.ts$/.test(file)
		);
}

const quiet = () => {};
const logger = {
	isTraceEnabled: () => false,
	isDebugEnabled: () => false,
	isInfoEnabled: () => false,
	isWarnEnabled: () => false,
	isErrorEnabled: () => false,
	isFatalEnabled: () => false,
	trace: quiet,
	debug: quiet,
	info: quiet,
	warn: quiet,
	error: quiet,
	fatal: quiet
};

async function places(): Promise<Place[]> {
	const instrument = createInjector()
		.provideValue('logger', logger)
		.provideValue('options', {})
		.injectFunction<ReturnType<typeof createInstrumenter>, never>(createInstrumenter as never);
	const inputs = files.map((name) => ({
		name,
		content: readFileSync(name, 'utf8'),
		mutate: true as const
	}));
	const { mutants } = await instrument.instrument(inputs, {
		plugins: null,
		excludedMutations: EXCLUDED,
		ignorers: []
	});
	const found = new Map<string, Place>();
	const spots = mutants.map(({ fileName: file, location: { start, end } }) => ({
		file,
		start: start.line * LINE + start.column,
		end: end.line * LINE + end.column,
		range: `${file}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`
	}));
	for (const spot of spots) {
		if (found.has(spot.range)) continue;
		// The tool changes all that lies inside a range.
		const inside = spots.filter(
			({ file, start, end }) => file === spot.file && start >= spot.start && end <= spot.end
		);
		found.set(spot.range, { ...spot, mutants: inside.length });
	}
	return [...found.values()].filter(({ mutants: inside }) => inside <= FEW);
}
/** A range with more inside would fill the sample with one function. */
const FEW = 12;

const all = await places();
const next = random(seed);
const chosen: Place[] = [];
let count = 0;
while (count < wanted && all.length > 0) {
	const [place] = all.splice(Math.floor(next() * all.length), 1);
	chosen.push(place!);
	count += place!.mutants;
}
console.log(`Seed ${seed}: about ${count} changes at ${chosen.length} places of the core`);

const pictures = mkdtempSync(join(tmpdir(), 'steady-arc-pictures-'));
process.env.PICTURES_KEPT_IN = pictures;
process.on('exit', () => rmSync(pictures, { recursive: true, force: true }));
const stryker = new Stryker({
	mutate: chosen.map(({ range }) => range),
	mutator: { plugins: null, excludedMutations: EXCLUDED },
	testRunner: 'vitest',
	vitest: { configFile: 'vitest.mutate.config.ts', related: false },
	plugins: [
		createRequire(import.meta.url).resolve('@stryker-mutator/vitest-runner'),
		fileURLToPath(new URL('./mutateReporter.js', import.meta.url))
	],
	coverageAnalysis: 'perTest',
	concurrency: 2,
	timeoutMS: 20_000,
	// Every test of the core once, with what each covers written down.
	dryRunTimeoutMinutes: 20,
	ignorePatterns: ['!.svelte-kit', 'build', 'data', 'demo-data', 'docs', 'test-results'],
	tempDirName: '.mutate',
	// A long run tells how far it is.
	reporters: ['progress-append-only', 'lived'],
	allowEmpty: true,
	// What runs once at the start would have to be tried with every test, half a minute each.
	ignoreStatic: true,
	disableTypeChecks: false,
	logLevel: 'error' as never
});
const results = await stryker.runMutationTest();
const told = results.filter(({ status }) => status !== 'Ignored');
if (told.length === 0)
	throw new Error('Not one change was tried: the tests did not run as they are.');
const killed = told.filter(({ status }) => ['Killed', 'Timeout', 'RuntimeError'].includes(status));
console.log(
	`${killed.length} of ${told.length} changes noticed (${((100 * killed.length) / told.length).toFixed(0)} %)`
);
