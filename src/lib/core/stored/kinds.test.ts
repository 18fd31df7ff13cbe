import { describe, expect, it } from 'vitest';
import { inputsOf } from '../../../../tests/support/inputs';
import { growthUm, NO_USE, RATES_UM } from '../wear/electrode';
import { CARD_INPUTS } from './kinds';

describe('a card of version 3, whose wear was one sum', () => {
	const total = { ...NO_USE, starts: 120, arcMin: 10 };
	const read = (wear: object) => {
		const inputs = inputsOf();
		const got = CARD_INPUTS.read({ ...inputs, evidence: { ...inputs.evidence, wear } }, 3);
		if (!got.ok) throw new Error(got.reason);
		return got.value.evidence.wear;
	};
	const last = { pitUm: 400, useSince: { ...NO_USE, starts: 30 } };

	it('keeps its pits: one that grew as many times as fast as expected', () => {
		for (const [measuredUm, expectedUm] of [
			[1200, 600],
			[600, 1200]
		] as const) {
			const { electrode } = read({ total, lastPit: last, measuredUm, expectedUm });
			expect(electrode.last).toEqual({ grownUm: 400, useSince: last.useSince });
			const [pit] = electrode.measured;
			expect(electrode.measured).toHaveLength(1);
			expect(pit!.grownUm).toBe(measuredUm);
			// At the rates that a program starts with, what it was used for makes what was expected of it.
			expect(growthUm(pit!.use, RATES_UM)).toBeCloseTo(expectedUm, 6);
		}
	});
	it('of more than an electrode has is held to five millimetres, and keeps its pace', () => {
		const [pit] = read({ total, lastPit: null, measuredUm: 9000, expectedUm: 6000 }).electrode
			.measured;
		expect(pit!.grownUm).toBe(5000);
		expect(pit!.grownUm / growthUm(pit!.use, RATES_UM)).toBeCloseTo(1.5, 9);
	});
	it('of which nobody measured a pit has none', () => {
		const wear = read({ total, lastPit: null, measuredUm: 0, expectedUm: 0 });
		expect(wear.electrode).toEqual({ total, last: null, measured: [], lives: [] });
		expect(wear.nozzle).toEqual({ total, last: null, measured: [], lives: [] });
	});
});
