import { describe, expect, it } from 'vitest';
import { EIGHT } from '../../../tests/support/eight';
import { BAY_2, inputsOf, TROLLEY } from '../../../tests/support/inputs';
import { UNTOUCHED } from '../../../tests/support/workbench';
import { METAL_IDS, type Bench, type Cut } from '$lib/core';
import { byAnswer, canCut, once } from '$lib/core/studies/canCut';
import type { BenchAnswer } from '$lib/formats/bodies/planned';
import { Workbench } from '$lib/state/workbench.svelte';
import { scaleOf } from './Benches/scale';
import { answerWord, changeWord, shopAnswer } from './Benches/words';

const bench = new Workbench({ ...inputsOf(), ...UNTOUCHED });
const cutOf = (cut: Partial<Cut>) => inputsOf({}, { school: 'full', ...cut }).cut;
function answers(cut: Partial<Cut>, benches: Bench[] = [BAY_2, TROLLEY]): BenchAnswer[] {
	return benches
		.map((one) => ({
			id: one.name,
			name: one.name,
			revision: 1,
			cutterName: one.cutter.name,
			nominalV: one.supply.nominalV,
			...canCut(once(inputsOf({ bench: one }, { school: 'full', ...cut })))
		}))
		.sort(byAnswer);
}
const shop = (cut: Partial<Cut>) => shopAnswer(answers(cut), cutOf(cut), bench);

describe('can I cut this, in words', () => {
	it('says yes, just, or no, with the bench and the seconds', () => {
		expect(shop({ thicknessMm: 6 }).text).toMatch(/^Yes\. Bay 2 cuts it clean in 1[0-9.]+ s\.$/);
		expect(shop({ thicknessMm: 14 }).text).toMatch(/^Just\. Bay 2 severs it, not clean, in/);
		expect(shop({ thicknessMm: 40 })).toEqual({
			verdict: 'stops',
			text: 'No. No bench here parts it. Saw it, or cut it with a torch and oxygen.'
		});
		// Oxygen burns mild steel alone.
		expect(shop({ thicknessMm: 40, metal: 'aluminium' }).text).not.toContain('oxygen');
	});
	it('never says nothing, no number that is none, and nothing to change only where it holds', () => {
		for (const metal of METAL_IDS)
			for (const thicknessMm of [0.5, 1, 3, 6, 9, 12, 14, 18, 22, 30, 50])
				for (const aim of ['clean', 'sever', 'fastest'] as const) {
					const all = answers({ metal, thicknessMm, aim });
					for (const answer of all) {
						const said = [
							answerWord(answer, cutOf({ metal, aim, thicknessMm }), bench),
							changeWord(answer, all[0]!, cutOf({ metal, aim, thicknessMm }), bench),
							shopAnswer(all, cutOf({ metal, aim, thicknessMm }), bench).text
						];
						for (const words of said) {
							expect(words).not.toBe('');
							expect(words).not.toMatch(/NaN|undefined|null|Infinity|–|\{/);
						}
						expect(said[1] === 'Nothing to change.').toBe(answer.verdict === 'holds');
					}
				}
	});
	it('does not advise the guide that is there, amps that are the fewest, or a nozzle that there is not', () => {
		const said = (cut: Partial<Cut>, of = 'Bay 2') => {
			const all = answers({ thicknessMm: 1.5, ...cut });
			return changeWord(
				all.find(({ name }) => name === of)!,
				all[0]!,
				cutOf(cut),
				bench
			);
		};
		expect(said({ guide: 'freehand' })).toBe('Run along a guide, or turn the amps down.');
		expect(said({ guide: 'kept' })).toBe('Turn the amps down.');
		expect(said({ guide: 'freehand', school: 'matched' })).not.toContain('turn');
		const one = { ...BAY_2, name: 'One nozzle' };
		one.torch = { ...one.torch, nozzles: one.torch.nozzles.filter((n) => n.ratingA === 45) };
		const cut = cutOf({ thicknessMm: 3, school: 'typed', typedA: 20 });
		const answer = {
			id: 'one',
			name: one.name,
			revision: 1,
			cutterName: '',
			nominalV: 230,
			...canCut(once(inputsOf({ bench: one }, cut)))
		};
		expect(changeWord(answer, answer, cut, bench)).toBe(
			'More amps, or a torch that takes a smaller nozzle.'
		);
		// Oxygen burns zinc and steel alike, on every page.
		expect(shop({ thicknessMm: 40, metal: 'galvanized' }).text).toContain('oxygen');
	});
	it('says that it grinds before it mends the air, which makes no edge clean', () => {
		const cut: Partial<Cut> = { metal: 'aluminium', thicknessMm: 10 };
		const tight = EIGHT.find(({ name }) => name === '50 A, small tank, flow meter')!;
		const [answer] = answers(cut, [tight]);
		expect(answer).toMatchObject({ rough: true, limit: { station: 'supply' } });
		expect(changeWord(answer!, answer!, cutOf(cut), bench)).toMatch(
			/^Just sever it, then grind the edge\. Set the regulator to 4\.8 bar, air flowing\.$/
		);
	});
	it('sends the plate to the bench that does it, when there is one', () => {
		const all = answers({ thicknessMm: 16, aim: 'sever' });
		const trolley = all.find(({ name }) => name === 'Towpath trolley')!;
		expect(changeWord(trolley, all[0]!, cutOf({}), bench)).toBe(
			'Not on this bench. Carry the plate to Bay 2.'
		);
	});
	it('has one scale that holds every bench and the cut, with few numbers', () => {
		for (const thicknessMm of [0.5, 6, 50, 100]) {
			const { mostMm, marksMm } = scaleOf(answers({ thicknessMm }), thicknessMm, 'metric');
			const inches = scaleOf(answers({ thicknessMm }), thicknessMm, 'imperial');
			expect(
				inches.marksMm.every((mm) => Number.isInteger(Math.round((mm / 25.4) * 1e6) / 250_000))
			).toBe(true);
			expect(inches.mostMm).toBeGreaterThanOrEqual(thicknessMm);
			expect(mostMm).toBeGreaterThan(thicknessMm);
			for (const { severMm } of answers({ thicknessMm })) expect(mostMm).toBeGreaterThan(severMm);
			expect(marksMm.at(-1)).toBe(mostMm);
			expect(marksMm.length).toBeLessThanOrEqual(8);
		}
	});
});
