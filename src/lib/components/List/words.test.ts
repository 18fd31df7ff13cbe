import { describe, expect, it } from 'vitest';
import { leftWords, listed, mindWords } from './words';

describe('what to know of an item first', () => {
	const said = (over: Partial<Parameters<typeof mindWords>[0]>) =>
		mindWords({ mayTrip: false, pace: 'held', guide: 'kept', ...over });
	it('is nothing where a hand holds it, and for a groove', () => {
		expect(said({})).toBeUndefined();
		expect(said({ guide: null, pace: 'slow' })).toBeUndefined();
	});
	it('is the breaker before the hand, and no guide where one is', () => {
		expect(said({ mayTrip: true, pace: 'fast' })).toMatch(/^The breaker may trip/);
		expect(said({ pace: 'fast' })).toBe(
			'It asks for more than a hand follows. Turn the amps down.'
		);
		expect(said({ pace: 'fast', guide: 'freehand' })).toContain('guide, or turn');
		expect(said({ pace: 'slow', guide: 'freehand' })).toContain('Ride on a guide');
		expect(said({ pace: 'slow', guide: 'circle' })).toContain('rollers');
		expect(said({ pace: 'slow', guide: 'waste' })).not.toContain('guide');
	});
});

it('names of items are listed as far as they are read, and the rest counted', () => {
	expect(listed([])).toBe('');
	expect(listed(['Bars'])).toBe('Bars');
	expect(listed(['Bars', 'Straps'])).toBe('Bars and Straps');
	expect(listed(['a', 'b', 'c', 'd'])).toBe('a, b, c and d');
	expect(listed(['a', 'b', 'c', 'd', 'e'])).toBe('a, b, c and 2 more');
});

describe('parts that lie on no plate', () => {
	it('are told one by one and many', () => {
		const told = [1, 2].flatMap((count) =>
			[true, false].map((tooLarge) => `${count} × strap ${leftWords({ count, tooLarge })}`)
		);
		expect(told).toEqual([
			'1 × strap is larger than every plate',
			'1 × strap has no plate left',
			'2 × strap are larger than every plate',
			'2 × strap have no plate left'
		]);
	});
});
