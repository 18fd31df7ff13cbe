/** The lists before the arc, and what each bench knows of a fault, on eight very different benches. */
import { describe, expect, it } from 'vitest';
import { METAL_IDS, plan } from '../../src/lib/core';
import { filled } from '../../src/lib/core/figure/finding';
import { Finder } from '../../src/lib/core/faults/finder';
import { knownOf } from '../../src/lib/core/faults/known';
import { SHIPPED_FAULTS } from '../../src/lib/core/faults/shipped';
import { ITEMS_MOST, LISTS, type Item } from '../../src/lib/core/preflight/item';
import { preflight } from '../../src/lib/core/preflight/list';
import { EIGHT } from '../support/eight';
import { inputsOf } from '../support/inputs';

const wordsOf = (item: Item, units: 'metric' | 'imperial') =>
	[item.ask, item.more].map((text) => (text ? filled(text, { units }) : '')).join(' ');
const BAD = /NaN|undefined|null|Infinity|–|-\d|\{/;
const finder = new Finder(SHIPPED_FAULTS);

describe.each(EIGHT.map((b) => [b.name, b] as const))('%s', (_, bench) => {
	it('has lists with figures of its own, in both systems, that say what the plan says', () => {
		for (const metal of METAL_IDS)
			for (const thicknessMm of [0.5, 1, 3, 6, 12, 25, 50]) {
				const inputs = inputsOf({ bench }, { metal, thicknessMm });
				const p = plan(inputs);
				for (const list of LISTS) {
					const items = preflight(list, inputs, p);
					const where = `${metal} ${thicknessMm} mm, ${list}`;
					expect(items.length, where).toBeLessThanOrEqual(ITEMS_MOST);
					expect(items.length, where).toBeGreaterThanOrEqual(6);
					for (const item of items)
						for (const units of ['metric', 'imperial'] as const)
							expect(wordsOf(item, units), where).not.toMatch(BAD);
				}
				const cut = preflight('cut', inputs, p);
				const amps = p.figures['setup.currentA'].value!;
				const knob = cut.find(({ id }) => id === 'knob')!;
				expect(wordsOf(knob, 'metric')).toContain(`${Math.round(amps)} A`);
				// No number where there is no answer: nobody sets a guide for a cut that cannot be made.
				const shade = cut.find(({ id }) => id === 'wear')!;
				expect(wordsOf(shade, 'metric')).toContain(String(p.figures['setup.shade'].value));
				if (metal === 'aluminium')
					expect(cut.map((i) => wordsOf(i, 'metric')).join()).toContain('No water table');
			}
	});

	it('says of its air and plug what it has, and nothing that it has not', () => {
		const inputs = inputsOf({ bench });
		const day = preflight('day', inputs, plan(inputs));
		const ids = day.map(({ id }) => id);
		expect(ids.includes('intake')).toBe(bench.air.source === 'built-in');
		expect(ids.includes('drain')).toBe(bench.air.source === 'compressor');
		expect(ids.includes('bottle')).toBe(bench.air.source === 'bottle');
		expect(ids.includes('cord')).toBe(bench.supply.cord !== null);
		expect(ids.includes('gel')).toBe(
			bench.air.source !== 'built-in' && bench.air.stages.some(({ kind }) => kind === 'desiccant')
		);
		expect(wordsOf(day[0]!, 'metric').includes('Generator')).toBe(bench.supply.generator !== null);
	});

	it('knows of a fault what its own verdicts say, and never for and against at once', () => {
		for (const thicknessMm of [1, 6, 12, 25]) {
			const inputs = inputsOf({ bench }, { thicknessMm });
			const p = plan(inputs);
			const known = knownOf(inputs, p);
			const ids = known.map(({ id }) => id);
			for (const [x, y] of [
				['pressure-short', 'pressure-fine'],
				['air-short', 'air-lasts'],
				['sag', 'volts-fine'],
				['breaker-tight', 'breaker-fine'],
				['hot', 'cool'],
				['water', 'dry'],
				['nozzle-under', 'nozzle-fits'],
				['pair-worn', 'pair-fresh']
			] as const)
				expect(ids.includes(x) && ids.includes(y), `${x} and ${y}`).toBe(false);
			const weak = (id: string) =>
				p.checks.some((c) => c.id === id && (c.verdict === 'tight' || c.verdict === 'stops'));
			expect(ids.includes('breaker-tight')).toBe(weak('supply.breakerPeak'));
			expect(ids.includes('hot')).toBe(weak('cutter.peakC'));
			for (const { text } of known) expect(filled(text, { units: 'imperial' })).not.toMatch(BAD);
		}
	});

	it('is asked something, or told what it is, for every complaint, and comes to an end', () => {
		const inputs = inputsOf({ bench });
		const known = knownOf(inputs, plan(inputs)).map(({ id }) => id);
		for (const { id: symptom } of SHIPPED_FAULTS.symptoms) {
			const answers: { look: string; said: 'unsure' }[] = [];
			const inVain: string[] = [];
			// The most stubborn of people: nothing can be told, and nothing that is mended helps.
			for (let step = 0; ; step++) {
				expect(step, symptom).toBeLessThan(200);
				const found = finder.find({ symptom, answers, inVain, known });
				if (found.outcome === 'technician') break;
				if (found.outcome === 'look') answers.push({ look: found.next!.look.id, said: 'unsure' });
				else inVain.push(found.lead!.cause);
			}
		}
	});
});
