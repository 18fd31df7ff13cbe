import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** The tests of the core alone, for `npm run mutate`: many short runs, without the pages. */
export default defineConfig({
	resolve: { alias: { $lib: fileURLToPath(new URL('./src/lib', import.meta.url)) } },
	test: {
		environment: 'node',
		testTimeout: 180_000,
		env: { TRIAL_PART: '0.2' },
		expect: { requireAssertions: true },
		include: [
			'src/lib/core/**/*.test.ts',
			'tests/reference/**/*.test.ts',
			'tests/kept/**/*.test.ts'
		]
	}
});
