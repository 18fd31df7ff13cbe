import { fileURLToPath } from 'node:url';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** What is kept notices most changes, and the sooner the less it asks; the rest is asked for what is left. */
const FIRST = ['kept/plans', 'kept/records', 'kept/studies', 'kept/photos'];
class KeptFirst extends BaseSequencer {
	override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
		const place = ({ moduleId }: TestSpecification) => {
			const at = FIRST.findIndex((name) => moduleId.includes(`/tests/${name}`));
			return at < 0 ? FIRST.length : at;
		};
		// What takes long comes last: one that fails ends it.
		return (await super.sort(files)).reverse().sort((a, b) => place(a) - place(b));
	}
}

/**
 * What the tool writes into a source asks at each place whether its change is the one of now, and counts who
 * comes by. In the loops over a picture's points that took thirty times as long as they do: two calls each,
 * with ids that are words, and counts that nobody reads but after the first run. So a number beside the source
 * tells which change is active, and counts stand in one row (`mutateCounts.ts` moves both on).
 */
const ASKS = /\bstryMutAct_9fa48\("(\d+)"\)/g;
const COUNTED = /\bstryCov_9fa48\(((?:"\d+"(?:,\s*)?)+)\)/g;
const TOLD = `
var stryCounts = (stryNS_9fa48().counts ||= new Float64Array(${2 ** 16}));
var stryActive;
(stryNS_9fa48().told ||= []).push(() => (stryActive = +stryNS_9fa48().activeMutant));
stryNS_9fa48().told.at(-1)();
`;
const count = (ids: string) => ids.replaceAll(/"(\d+)"/g, (_, id: string) => `stryCounts[${id}]++`);
const quickly: Plugin = {
	name: 'quickly',
	enforce: 'pre',
	transform: (code) =>
		code.includes('stryNS_9fa48')
			? TOLD +
				code
					.replace(ASKS, (asks, id: string) => `(stryActive === ${id} && ${asks})`)
					.replace(COUNTED, (_, ids: string) => `(stryActive >= 0 || (${count(ids)}))`)
			: undefined
};

/** The tests of the core, and of stores that it reads, for `npm run mutate`: many short runs, without the pages. */
export default defineConfig({
	plugins: [quickly],
	resolve: { alias: { $lib: fileURLToPath(new URL('./src/lib', import.meta.url)) } },
	test: {
		environment: 'node',
		testTimeout: 600_000,
		// As in the suite: read once a run, not once a file. That was a quarter of what all of them take.
		isolate: false,
		setupFiles: ['scripts/mutateCounts.ts'],
		env: { TRIAL_PART: '0.2' },
		sequence: { sequencer: KeptFirst },
		expect: { requireAssertions: true },
		include: [
			'src/lib/core/**/*.test.ts',
			'src/lib/server/{ledger,oldStores}.test.ts',
			'src/lib/formats/outline/hard.test.ts',
			'tests/reference/**/*.test.ts',
			// Not the eight benches on everything, which takes longer than all else together.
			'tests/benches/{canCut,checks,gouging,list,wearing}.test.ts',
			'tests/kept/**/*.test.ts'
		]
	}
});
