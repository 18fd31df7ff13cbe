import { parse, stringify } from 'devalue';
import { describe, expect, it } from 'vitest';
import { EIGHT } from '../../../../tests/support/eight';
import { BAY_2, inputsOf } from '../../../../tests/support/inputs';
import { someOf } from '../../../../tests/support/part';
import { DEFAULT_CUT, FIGURE_IDS, METAL_IDS, plan, type Cut, type Plan } from '..';
import { packed, unpacked } from './packed';
import { REGISTRY } from './rooms';

/** As it crosses to a browser: written by the library that writes it into the page. */
const sent = (p: Plan): Plan => unpacked(parse(stringify(packed(p))) as never);

const CUTS: Partial<Cut>[] = [
	...METAL_IDS.flatMap((metal) =>
		[0.5, 3, 6, 16, 50].map((thicknessMm) => ({ metal, thicknessMm }))
	),
	{
		gouge: {
			...DEFAULT_CUT.gouge,
			...{ asked: true, plateMm: 12, lengthMm: 300, widthMm: 10, depthMm: 3 }
		}
	},
	{ thicknessMm: 6, bevelDeg: 30, layers: 3 }
];
const PLANS = [BAY_2, ...EIGHT].flatMap((bench) =>
	CUTS.map((cut) => plan(inputsOf({ bench }, cut)))
);

/** Numbers to six digits; all else as it is. */
const close = (a: unknown, b: unknown, at: string): void => {
	if (typeof a === 'number' && typeof b === 'number') {
		if (a === b || (Number.isNaN(a) && Number.isNaN(b))) return;
		expect(Math.abs(a - b), at).toBeLessThanOrEqual(5e-6 * Math.abs(a));
	} else if (typeof a === 'object' && a !== null) {
		expect(typeof b, at).toBe('object');
		const [x, y] = [a, b] as [Record<string, unknown>, Record<string, unknown>];
		const keys = (o: object) =>
			Object.entries(o).flatMap(([key, value]) => (value === undefined ? [] : [key]));
		expect(keys(y).sort(), at).toEqual(keys(x).sort());
		for (const key of keys(x)) close(x[key], y[key], `${at}.${key}`);
	} else expect(b, at).toBe(a);
};

describe('a plan that travels inside a page', () => {
	it('arrives with all that it left with, to six digits', () => {
		expect(PLANS.some((p) => p.groove !== null)).toBe(true);
		expect(PLANS.some((p) => p.firstLimit !== null)).toBe(true);
		for (const p of someOf(PLANS)) close(p, sent(p), 'plan');
	});
	it('names every figure that is read, and reads every figure that is named', () => {
		expect(Object.keys(REGISTRY).sort()).toEqual([...FIGURE_IDS].sort());
	});
});
