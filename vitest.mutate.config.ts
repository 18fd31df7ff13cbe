import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** What is kept notices most changes, and soon; the rest is asked for what is left. */
class KeptFirst extends BaseSequencer {
	override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
		const later = ({ moduleId }: TestSpecification) => Number(!moduleId.includes('/tests/kept/'));
		return (await super.sort(files)).sort((a, b) => later(a) - later(b));
	}
}

/** The tests of the core alone, for `npm run mutate`: many short runs, without the pages. */
export default defineConfig({
	resolve: { alias: { $lib: fileURLToPath(new URL('./src/lib', import.meta.url)) } },
	test: {
		environment: 'node',
		testTimeout: 180_000,
		env: { TRIAL_PART: '0.2' },
		sequence: { sequencer: KeptFirst },
		expect: { requireAssertions: true },
		include: [
			'src/lib/core/**/*.test.ts',
			'tests/reference/**/*.test.ts',
			'tests/kept/**/*.test.ts'
		]
	}
});
