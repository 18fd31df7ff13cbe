import { describe, expect, it } from 'vitest';
import { BAY_2, changed, inputsOf, TROLLEY } from '../../../../tests/support/inputs';
import { someOf } from '../../../../tests/support/part';
import type { Bench } from '../inputs/bench';
import { ALL_OF_A_BENCH, asTypical, checked, isTypical, typicalToBoth } from '../inputs/typical';
import { typicalBench } from '../answers/typical';
import { explain } from './explain';
import { inputsHash, plan } from './plan';
import { FIGURE_IDS } from './names';

const all = (bench: Bench): Bench => asTypical(bench, ALL_OF_A_BENCH);

/** Every number of a bench, by its path. */
function leavesOf(node: unknown, path = ''): string[] {
	if (typeof node === 'number') return [path];
	if (typeof node !== 'object' || node === null) return [];
	return Object.entries(node).flatMap(([key, value]) =>
		leavesOf(value, path ? `${path}.${key}` : key)
	);
}
/** Every letter on every working of these inputs: figure or input, and its letter. */
function letters(bench: Bench): Map<string, { basis: string; value: number | null }> {
	const inputs = inputsOf({ bench });
	const found = new Map<string, { basis: string; value: number | null }>();
	const planned = plan(inputs);
	for (const id of FIGURE_IDS) {
		const { basis, value } = planned.figures[id];
		found.set(id, { basis, value });
		for (const input of explain(inputs, id).inputs) {
			if (!input.from) found.set(`${id} ${input.symbol}`, input);
		}
	}
	return found;
}

describe('what nobody checked', () => {
	it.each(
		[BAY_2, TROLLEY, typicalBench('iec'), typicalBench('north-america')].map(
			(b) => [b.name, b] as const
		)
	)('is told nowhere as read from a label: %s', (_, bench) => {
		const told = [...letters(all(bench))].filter(([, { basis }]) => basis === 'D');
		expect(told).toEqual([]);
	});

	it('is a label’s again when all is checked', () => {
		const bench = ALL_OF_A_BENCH.reduce(checked, all(BAY_2));
		expect(bench.typical).toEqual([]);
		expect(letters(bench)).toEqual(letters(BAY_2));
		expect(
			[...letters(BAY_2).values()].filter(({ basis }) => basis === 'D').length
		).toBeGreaterThan(40);
	});

	// Oracle: change one number of the bench a little; a label's figure that follows was read from it.
	it.each([BAY_2, TROLLEY].map((b) => [b.name, b] as const))(
		'reaches every figure that follows it: %s',
		(_, bench) => {
			const before = letters(bench);
			for (const path of someOf(leavesOf({ ...bench, usual: undefined, typical: undefined }))) {
				const moved = changed((b) => {
					const keys = path.split('.');
					const last = keys.pop()!;
					const node = keys.reduce<Record<string, unknown>>(
						(n, key) => n[key] as Record<string, unknown>,
						b as unknown as Record<string, unknown>
					);
					node[last] = (node[last] as number) * 1.001;
				}, bench);
				// Amps that must name a nozzle or a pair of the label cannot move alone.
				if (/fittedA|ratingA|phases|nominalV|voltageV|outputMaxA|duty|atBar|Mm$|phases/.test(path))
					continue;
				const after = letters(moved);
				const typical = letters(asTypical(bench, [path]));
				for (const [what, { basis, value }] of before) {
					if (basis !== 'D' || after.get(what)?.value === value) continue;
					expect(typical.get(what)?.basis, `${what}, from ${path}`).toBe('R');
				}
			}
		}
	);

	it('is told the same of a bench that nobody may change', () => {
		const frozen = <T>(node: T): T => {
			if (typeof node === 'object' && node !== null)
				Object.values(Object.freeze(node)).forEach(frozen);
			return node;
		};
		for (const bench of [all(BAY_2), typicalBench('iec')])
			expect(letters(frozen(structuredClone(bench)))).toEqual(letters(bench));
	});

	it('leaves alone what was typed beside it', () => {
		const bench = asTypical(BAY_2, ['supply.wire.lengthM']);
		const found = letters(bench);
		expect(found.get('supply.wireOhm L')?.basis).toBe('R');
		expect(found.get('cutter.dutyShare')?.basis).toBe('D');
		expect(found.get('air.deliveryLpm')?.basis).toBe('D');
	});

	it('changes letters, never numbers, and no card is another for it', () => {
		const [typed, typical] = [inputsOf(), inputsOf({ bench: all(BAY_2) })];
		expect(inputsHash(typical)).toBe(inputsHash(typed));
		const values = (i: typeof typed) => FIGURE_IDS.map((id) => plan(i).figures[id].value);
		expect(values(typical)).toEqual(values(typed));
	});

	it('tells the worked out arc of the planned cut as worked out, a typed one as typed', () => {
		const byCut = explain(inputsOf({ work: { by: 'cut' } }), 'air.useLpm').inputs;
		const typed = explain(inputsOf({ work: { by: 'pattern' } }), 'air.useLpm').inputs;
		const arc = (from: typeof typed) => from.find(({ symbol }) => symbol === 't_arc')!.basis;
		expect([arc(byCut), arc(typed)]).toEqual(['M', 'D']);
	});
});

describe('paths that are typical', () => {
	it('come apart when something under one is checked', () => {
		const bench = checked(all(BAY_2), 'supply.wire.lengthM');
		expect(isTypical(bench.typical, 'supply.wire.lengthM')).toBe(false);
		expect(isTypical(bench.typical, 'supply.wire.size')).toBe(true);
		expect(isTypical(bench.typical, 'supply.breaker')).toBe(true);
		// The whole of it still holds something typical.
		expect(isTypical(bench.typical, 'supply.wire')).toBe(true);
	});

	it('are gone when the whole that they are part of is checked', () => {
		const bench = asTypical(BAY_2, ['cutter.inputs.0.duty.0.dutyShare', 'supply.wire']);
		expect(checked(bench, 'cutter.inputs.0.duty').typical).toEqual(['supply.wire']);
	});

	it('are not taken for their namesakes', () => {
		expect(isTypical(['cutter.air'], 'cutter.airMinBar')).toBe(false);
		expect(isTypical(['cutter.inputs.1'], 'cutter.inputs.10')).toBe(false);
	});

	it('of two people are what neither of them checked', () => {
		expect(typicalToBoth(['air', 'supply.wire.size'], ['supply', 'air.tankL']).sort()).toEqual([
			'air.tankL',
			'supply.wire.size'
		]);
		expect(typicalToBoth(['air'], ['supply'])).toEqual([]);
	});
});
