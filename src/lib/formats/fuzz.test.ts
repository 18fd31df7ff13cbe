import { expect, it } from 'vitest';
import { fuzzParsers, PARSERS } from '../../../scripts/fuzz/parsers';

/** Far more than it takes; `npm run fuzz` goes on with a hundred thousand inputs for each. */
const END_MS = 120_000;

it(
	'every reader ends, with a result or its own error',
	() => {
		const done: string[] = [];
		fuzzParsers(11, 150, (name) => done.push(name));
		expect(done).toEqual(Object.keys(PARSERS));
	},
	END_MS
);
