import { describe, expect, it } from 'vitest';
import { leftWords } from './words';

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
