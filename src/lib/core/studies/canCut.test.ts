import { describe, expect, it } from 'vitest';
import { EIGHT } from '../../../../tests/support/eight';
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

	it('of sheet names the small machine first: none follows it by hand, the smallest comes nearest', () => {
		const sheet = EIGHT.map((bench) => canCut(once(inputsOf({ bench }, { thicknessMm: 1 }))));
		const best = [...sheet].sort(byAnswer).filter(({ pace }) => pace === 'fast')[0]!;
		expect(best.outputA).toBe(Math.min(...sheet.map(({ outputA }) => outputA!)));
		expect(sheet.every(({ pace }) => pace === 'fast')).toBe(true);
		const plate = canCut(once(inputsOf({ bench: EIGHT[2]! }, { thicknessMm: 12 })));
		expect(plate.pace).toBe('held');
	});

	it('comes best first: holds, parts, clean, followed by a hand, quicker, nearest to a hand', () => {
		const answer = (told: Partial<CanCut>) =>
			({ verdict: 'holds', rough: false, pace: 'held', lineS: 10, ...told }) as CanCut;
		const order = [
			answer({ lineS: 9 }),
			answer({ lineS: 12 }),
			answer({ pace: 'fast', lineS: 3, speedMmS: 80 }),
			answer({ pace: 'fast', lineS: 2, speedMmS: 120 }),
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
