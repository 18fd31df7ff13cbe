import { describe, expect, it } from 'vitest';
import { inputsOf } from '../../../../../tests/support/inputs';
import { STATIONS } from '../../figure/types';
import { firstThatHelps, outcomeOf, worseElsewhere, type Outcome } from './judgeOf';

describe('trouble that is only moved', () => {
	const calm = outcomeOf(inputsOf());
	const stopped = (station: (typeof STATIONS)[number]): Outcome => ({
		...calm,
		stations: { ...calm.stations, [station]: { ...calm.stations[station], verdict: 'stops' } }
	});
	it('is told of every station but the one that is mended', () => {
		for (const station of STATIONS)
			expect(worseElsewhere(calm, stopped(station)), station).toBe(station !== 'supply');
	});
	it('is none where it stopped before, nor where it only became tight', () => {
		expect(worseElsewhere(stopped('wear'), stopped('wear'))).toBe(false);
		const tight = stopped('wear');
		tight.stations.wear = { ...tight.stations.wear, verdict: 'tight' };
		expect(worseElsewhere(calm, tight)).toBe(false);
	});
	it('is an edge that was to be clean', () => {
		const thick = outcomeOf(inputsOf({}, { thicknessMm: 20 }));
		expect(worseElsewhere(calm, thick)).toBe(true);
		expect(worseElsewhere(thick, calm)).toBe(false);
	});
});

it('the first that helps is the first that holds, else the first that at least runs', () => {
	const values = [1, 2, 3, 4, 5];
	const helps = (holdsFrom: number, before: 'stops' | 'tight') =>
		firstThatHelps(values, (n) => (n < 3 ? 'stops' : n < holdsFrom ? 'tight' : 'holds'), before);
	expect(helps(5, 'stops')).toBe(5);
	expect(helps(9, 'stops')).toBe(3);
	expect(helps(5, 'tight')).toBe(5);
	// What is tight already is not helped by what leaves it tight.
	expect(helps(9, 'tight')).toBeUndefined();
	expect(firstThatHelps(values, () => 'stops', 'stops')).toBeUndefined();
});
