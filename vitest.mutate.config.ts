import { fileURLToPath } from 'node:url';
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

/** The tests of the core, and of stores that it reads, for `npm run mutate`: many short runs, without the pages. */
export default defineConfig({
	resolve: { alias: { $lib: fileURLToPath(new URL('./src/lib', import.meta.url)) } },
	test: {
		environment: 'node',
		testTimeout: 180_000,
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
