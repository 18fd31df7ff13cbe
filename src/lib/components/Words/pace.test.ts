import { describe, expect, it } from 'vitest';
import { plan } from '$lib/core';
import { inputsOf } from '../../../../tests/support/inputs';
import { timedByHand } from './pace';

describe('whose seconds they are', () => {
	const cut = (thicknessMm: number) =>
		plan(inputsOf({}, { school: 'full', guide: 'kept', thicknessMm }));

	it('a hand’s in sheet at full amps, the plate’s where a hand follows, nobody’s where it does not part', () => {
		expect(timedByHand(cut(1.5))).toBe(true);
		expect(timedByHand(cut(8))).toBe(false);
		expect(timedByHand(cut(50))).toBe(false);
	});

	it('the amps’ on a card that counted so', () => {
		const { figures } = cut(1.5);
		const lineS = {
			...figures['setup.lineS'],
			value: figures['setup.lineMm'].value! / figures['setup.speedMmS'].value!
		};
		expect(timedByHand({ figures: { ...figures, 'setup.lineS': lineS } })).toBe(false);
	});
});
