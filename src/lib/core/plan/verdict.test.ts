import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STATIONS, type Check, type Verdict } from '../figure/types';
import { judge, TIGHT_BELOW, verdictOf, worst } from '../figure/verdict';

const check = (verdict: Verdict, margin: number, more: Partial<Check> = {}): Check => ({
	id: 'supply.voltageV',
	station: 'supply',
	part: 'Volts',
	verdict,
	margin,
	spare: { value: 0, quantity: 'voltage' },
	word: 'volts',
	...more
});

describe('verdicts', () => {
	it('are tight from 0 to 10 %, stop below and hold above', () => {
		expect([-0.01, 0, 0.0999, TIGHT_BELOW, 0.5].map(verdictOf)).toEqual([
			'stops',
			'tight',
			'tight',
			'holds',
			'holds'
		]);
		expect(verdictOf(NaN)).toBe('not set');
	});

	it('put the earliest stop before any tight, however small its margin', () => {
		const early = check('stops', -0.1, { stopsAtS: 60, part: 'early' });
		const late = check('stops', -0.9, { stopsAtS: 600, part: 'late' });
		const tight = check('tight', 0);
		const result = judge([tight, late, early]);
		expect(result.firstLimit?.part).toBe('early');
		expect(result.weakestLink).toBeNull();
	});

	it('name the smallest margin among tights as the weakest link', () => {
		const result = judge([
			check('tight', 0.05),
			check('tight', 0.02, { part: 'weakest' }),
			check('holds', 0.3)
		]);
		expect(result.weakestLink?.part).toBe('weakest');
		expect(result.firstLimit).toBeNull();
	});

	it('always have at most one first limit or weakest link, and it is among the worst', () => {
		const anyCheck = fc.record({
			verdict: fc.constantFrom<Verdict>('stops', 'tight', 'holds', 'not set'),
			margin: fc.double({ min: -1, max: 1, noNaN: true }),
			stopsAtS: fc.integer({ min: 0, max: 1000 }),
			station: fc.constantFrom(...STATIONS)
		});
		fc.assert(
			fc.property(fc.array(anyCheck, { maxLength: 20 }), (list) => {
				const checks = list.map(({ verdict, margin, ...more }) => check(verdict, margin, more));
				const result = judge(checks);
				expect(result.firstLimit === null || result.weakestLink === null).toBe(true);
				if (result.firstLimit) {
					const stops = checks.filter((c) => c.verdict === 'stops');
					expect(result.firstLimit.stopsAtS).toBe(Math.min(...stops.map((c) => c.stopsAtS!)));
				}
				for (const station of STATIONS) {
					const own = worst(checks.filter((c) => c.station === station));
					expect(result.stations[station].verdict).toBe(own?.verdict ?? 'not set');
				}
			})
		);
	});
});
