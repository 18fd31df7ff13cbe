import { describe, expect, it } from 'vitest';
import { BAY_2, inputsOf, TROLLEY } from '../support/inputs';
import { EIGHT } from '../support/eight';
import { someOf } from '../support/part';
import { METAL_IDS, plan, type Bench, type Cut } from '../../src/lib/core';
import { byAnswer, canCut, once } from '../../src/lib/core/studies/canCut';

/** The eight benches that every model is tried on. */
const asked = (bench: Bench, cut: Partial<Cut> = {}) =>
	once(inputsOf({ bench }, { school: 'full', ...cut }));
const RANK = { holds: 0, tight: 1, 'not set': 2, stops: 3 } as const;

describe('can I cut this', () => {
	it('has eight benches to ask', () => expect(EIGHT).toHaveLength(8));

	it('says what common practice says of a 45 A and a 27 A machine', () => {
		// A rated machine cuts its rating clean, severs up to its sever rating, and nothing past it.
		expect(canCut(asked(BAY_2, { thicknessMm: 6 }))).toMatchObject({
			verdict: 'holds',
			rough: false,
			outputA: 45
		});
		expect(canCut(asked(BAY_2, { thicknessMm: 14 })).rough).toBe(true);
		expect(canCut(asked(BAY_2, { thicknessMm: 14, aim: 'sever' })).rough).toBe(false);
		expect(canCut(asked(BAY_2, { thicknessMm: 25 }))).toMatchObject({
			verdict: 'stops',
			outputA: null,
			speedMmS: null,
			lineS: null
		});
		expect(canCut(asked(TROLLEY, { thicknessMm: 12, aim: 'clean' })).rough).toBe(true);
	});

	it('answers in the numbers of the bench’s own pages', () => {
		for (const bench of EIGHT)
			for (const thicknessMm of [1, 6, 14]) {
				const inputs = asked(bench, { thicknessMm });
				const { figures } = plan(inputs);
				const answer = canCut(inputs);
				expect(answer.lineS).toBe(figures['setup.lineS'].value);
				if (answer.lineS !== null) expect(answer.outputA).toBe(figures['setup.currentA'].value);
			}
	});

	it('has no cliff and no number that is none, on eight benches, all metals, clean and severed, 0.5 to 50 mm', () => {
		for (const bench of someOf(EIGHT))
			for (const metal of METAL_IDS)
				for (const aim of ['clean', 'sever'] as const) {
					let before: ReturnType<typeof canCut> | undefined;
					for (const thicknessMm of [0.5, 2, 4, 6, 10, 16, 25, 50]) {
						const inputs = asked(bench, { metal, aim, thicknessMm });
						const answer = canCut(inputs);
						const where = `${bench.name}, ${metal}, ${aim}, ${thicknessMm} mm`;
						expect(answer.cleanMm, where).toBeLessThanOrEqual(answer.severMm);
						const numbers = [answer.outputA, answer.speedMmS, answer.lineS];
						expect(numbers.every((n) => n === null) || numbers.every((n) => n! > 0), where).toBe(
							true
						);
						if (answer.lineS === null) expect(answer.verdict, where).toBe('stops');
						// Thicker is never sooner, and what did not part does not part thicker.
						if (before?.lineS === null) expect(answer.lineS, where).toBeNull();
						else if (before && answer.lineS !== null)
							expect(answer.lineS, where).toBeGreaterThanOrEqual(before.lineS - 1e-9);
						if (answer.rough) expect(answer.verdict, where).not.toBe('holds');
						before = answer;
					}
				}
	});

	it('one cut by a rested machine is never judged worse than the same over and over', () => {
		for (const bench of EIGHT)
			for (const thicknessMm of [3, 6, 10]) {
				const over = inputsOf(
					{ bench, work: { ...bench.usual, by: 'cut' } },
					{ school: 'full', thicknessMm }
				);
				expect(RANK[canCut(once(over)).verdict]).toBeLessThanOrEqual(RANK[canCut(over).verdict]);
			}
	});

	it('puts the best answer first', () => {
		const answers = EIGHT.map((bench) => canCut(asked(bench, { thicknessMm: 10 }))).sort(byAnswer);
		const ranks = answers.map(({ verdict }) => RANK[verdict]);
		expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
		const parting = answers.map(({ lineS }) => lineS !== null);
		expect(parting.lastIndexOf(true)).toBeLessThan(
			parting.includes(false) ? parting.indexOf(false) : Infinity
		);
	});
});
