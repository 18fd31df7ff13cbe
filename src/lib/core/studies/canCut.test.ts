import { describe, expect, it } from 'vitest';
import { inputsOf, TROLLEY } from '../../../../tests/support/inputs';
import { byAnswer, canCut, once, type CanCut } from './canCut';

describe('the answer of a bench', () => {
	it('is rough where a clean edge was asked for beyond what it makes, and never of a severing cut', () => {
		const clean = canCut(inputsOf({}, { thicknessMm: 6 })).cleanMm;
		const at = (thicknessMm: number, aim: 'clean' | 'sever') =>
			canCut(inputsOf({}, { thicknessMm, aim }));
		expect(at(clean - 0.1, 'clean').rough).toBe(false);
		expect(at(clean + 0.5, 'clean')).toMatchObject({ rough: true });
		expect(at(clean + 0.5, 'sever').rough).toBe(false);
		// What is not parted has no amps, no time, and is not called rough on top.
		expect(at(50, 'clean')).toMatchObject({
			verdict: 'stops',
			outputA: null,
			lineS: null,
			rough: false
		});
	});

	it('has a way out where the supply stops it, and none where nothing is to be mended', () => {
		const stopped = canCut(inputsOf({ bench: TROLLEY }, { thicknessMm: 6, school: 'full' }));
		expect(stopped.limit.station).toBe('supply');
		expect(stopped.fix).not.toBeNull();
		const holds = canCut(once(inputsOf({}, { thicknessMm: 6 })));
		expect(holds).toMatchObject({ verdict: 'holds', fix: null });
	});

	it('comes best first: what holds, then what parts it, then the clean one, then the quicker', () => {
		const answer = (told: Partial<CanCut>) =>
			({ verdict: 'holds', rough: false, lineS: 10, ...told }) as CanCut;
		const order = [
			answer({ lineS: 9 }),
			answer({ lineS: 12 }),
			answer({ rough: true, lineS: 5 }),
			answer({ verdict: 'tight', lineS: 4 }),
			answer({ verdict: 'not set', lineS: 3 }),
			answer({ verdict: 'stops', lineS: 30 }),
			answer({ verdict: 'stops', lineS: null })
		];
		for (let turn = 0; turn < order.length; turn++) {
			const mixed = [...order.slice(turn), ...order.slice(0, turn)].reverse();
			expect(mixed.sort(byAnswer)).toEqual(order);
		}
	});
});
