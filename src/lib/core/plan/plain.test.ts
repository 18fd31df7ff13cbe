import { describe, expect, it } from 'vitest';
import { BAY_2, changed, inputsOf, TROLLEY } from '../../../../tests/support/inputs';
import { DEFAULT_CUT, NO_EVIDENCE, type Evidence } from '../inputs';
import { NO_USE } from '../wear/electrode';
import { filled } from '../figure/finding';
import { typicalBench } from '../answers/typical';
import { explain } from './explain';
import { plainOf } from './plain';
import { REASONS } from './reasons';
import { FIGURE_IDS } from './names';

/** Nothing is left in the electrode. */
const WORN_OUT: Evidence = {
	...NO_EVIDENCE,
	wear: {
		...NO_EVIDENCE.wear,
		electrode: { ...NO_EVIDENCE.wear.electrode, total: { ...NO_USE, starts: 2000, arcMin: 400 } }
	}
};
const WAYS = FIGURE_IDS.flatMap((id) => Object.keys(REASONS[id]).map((way) => [id, way] as const));

describe('every figure in plain words', () => {
	it.each(WAYS)('%s, %s, names only what goes into it', (id, way) => {
		const sentence = plainOf(id, way);
		expect(sentence).toBeTruthy();
		// Those made from the workings fill themselves in; they are read below.
		if (typeof sentence !== 'string') return;
		const known = [...Object.keys(REASONS[id][way]!.inputs), 'value'];
		const named = [...sentence.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!);
		expect(named.filter((name) => !known.includes(name))).toEqual([]);
		expect(sentence).toMatch(/^[A-Z{].*\.$/);
	});

	it.each(
		[
			inputsOf(),
			inputsOf({ bench: TROLLEY }),
			inputsOf({ work: { restS: 0 } }),
			inputsOf({}, { thicknessMm: 60 }),
			inputsOf({ bench: typicalBench('north-america') }),
			inputsOf({ bench: changed((b) => (b.air.source = 'built-in')) }),
			inputsOf({ evidence: WORN_OUT }, { gouge: { ...DEFAULT_CUT.gouge, asked: true } })
		].map((inputs, i) => [i, inputs] as const)
	)('is said whole, in both systems: %i', (_, inputs) => {
		for (const id of FIGURE_IDS) {
			const { plain, value } = explain(inputs, id);
			for (const units of ['metric', 'imperial'] as const) {
				const text = filled(plain, { units });
				// "{value}" of a figure that there is not would leave a hole, and NaN a dash.
				expect(text, `${id}: ${text}`).not.toMatch(/[{}]|–|NaN|undefined| ,| \.|\( ?\)/);
			}
			if (value === null) expect(plain.text, id).not.toContain('{value}');
		}
	});

	it('shares the volts out among wire, cord and service, and they add up', () => {
		const { plain } = explain(inputsOf({ bench: BAY_2 }), 'supply.voltageV');
		const [start, ...rest] = Object.values(plain.values!).map((v) =>
			typeof v === 'string' ? NaN : v.value
		);
		const left = rest.pop()!;
		expect(filled(plain, { units: 'metric' })).toMatch(
			/^Of 23\d(\.\d)? V the wire takes [\d.]+ V, the cord [\d.]+ V, the service [\d.]+ V: [\d.]+ V are left at the cutter\.$/
		);
		expect(start! - rest.reduce((sum, v) => sum + v, 0)).toBeCloseTo(left, 1);
	});
});
