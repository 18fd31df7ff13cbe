import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { inputsOf } from '../../../../tests/support/inputs';
import { DEFAULT_CUT, EntrySchema, plan, type Cut } from '..';
import type { Job } from './job';
import { CUTS_AT_ONCE_MOST, cutsAtOnce, madeCuts, madeGroove, madeJob, pierceOf } from './madeCuts';

const planned = (cut: Partial<Cut> = {}) => {
	const inputs = inputsOf({}, cut);
	return { plan: plan(inputs), cut: inputs.cut };
};

describe('the planned cut, made several times', () => {
	it('is one entry, or two when some were pierced; lengths and starts add up', () => {
		const { plan: p, cut } = planned();
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 200 }), fc.nat(200), (cuts, some) => {
				const pierced = Math.min(cuts, some);
				const entries = madeCuts(p, cut, { cuts, pierced });
				const sum = (of: (e: (typeof entries)[0]) => number) =>
					entries.reduce((total, e) => total + of(e), 0);
				expect(sum((e) => e.starts)).toBe(cuts);
				expect(sum((e) => e.lengthMm)).toBeCloseTo(cuts * cut.lengthMm, 6);
				expect(entries.filter((e) => e.start === 'pierce').reduce((n, e) => n + e.starts, 0)).toBe(
					pierced
				);
				for (const entry of entries) expect(v.safeParse(EntrySchema, entry).success).toBe(true);
			}),
			{ numRuns: 60 }
		);
	});
	it('takes the arc that the way in takes: a pierce burns its own time', () => {
		const { plan: p, cut } = planned();
		const [edge] = madeCuts(p, cut, { cuts: 1, pierced: 0 });
		const [pierce] = madeCuts(p, cut, { cuts: 1, pierced: 1 });
		const through = (method: string) =>
			p.choices.starts.find((s) => s.method === method)!.throughS!;
		expect(edge!.arcS).toBeCloseTo(p.figures['setup.arcS'].value!, 9);
		expect(pierce!.arcS - edge!.arcS).toBeCloseTo(through('pierce') - through('edge'), 9);
	});
	it('rolls where straight does not go through, and pierces nothing where neither does', () => {
		// Common practice: pierce to half of the clean cut, rolled to nearly all of it.
		expect(pierceOf(planned({ thicknessMm: 4 }).plan.choices.starts)?.method).toBe('pierce');
		expect(pierceOf(planned({ thicknessMm: 10 }).plan.choices.starts)?.method).toBe('rolled');
		const thick = planned({ thicknessMm: 18, aim: 'sever' });
		expect(pierceOf(thick.plan.choices.starts)).toBeUndefined();
		expect(madeCuts(thick.plan, thick.cut, { cuts: 2, pierced: 1 })).toEqual([]);
		expect(madeCuts(thick.plan, thick.cut, { cuts: 2, pierced: 0 })).toHaveLength(1);
	});
	it('is nothing for what does not go through, or more pierced than made', () => {
		const { plan: none, cut } = planned({ thicknessMm: 60 });
		expect([madeCuts(none, cut, { cuts: 1, pierced: 0 }), cutsAtOnce(none)]).toEqual([[], 0]);
		expect(madeCuts(planned().plan, cut, { cuts: 1, pierced: 2 })).toEqual([]);
	});
	it('never counts more than the log takes in one entry', () => {
		for (const lengthMm of [10, 300, 2000, 20_000]) {
			const { plan: p, cut } = planned({ lengthMm });
			const most = cutsAtOnce(p);
			expect(most).toBeLessThanOrEqual(CUTS_AT_ONCE_MOST);
			const [entry] = madeCuts(p, cut, { cuts: most, pierced: 0 });
			expect(v.safeParse(EntrySchema, entry).success).toBe(true);
		}
		expect(cutsAtOnce(planned({ lengthMm: 20_000 }).plan)).toBe(5);
	});
});

describe('a job that was just done', () => {
	const job = (parts: number, cuts: Job['cuts'] = CUTS): Job => ({
		parts,
		cuts,
		starts: parts * cuts.length,
		pierces: parts,
		lengthMm: parts * cuts.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
		arcS: cuts.some(({ arcS }) => arcS === null)
			? null
			: parts * cuts.reduce((sum, { arcS }) => sum + arcS!, 0),
		airL: null,
		wearUm: 0,
		wearOfLeft: 0,
		pauses: null
	});
	const CUTS: Job['cuts'] = [
		{ edge: 'hole', start: 'pierce', lengthMm: 60, arcS: 4 },
		{ edge: 'hole', start: 'pierce', lengthMm: 60, arcS: 4 },
		{ edge: 'outside', start: 'edge', lengthMm: 900, arcS: 41 }
	];
	const { plan: p, cut } = planned();

	it('is as many entries as it has ways to start, and adds up', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 900 }), (parts) => {
				const of = job(parts);
				const entries = madeJob(of, p, cut);
				const sum = (what: 'starts' | 'lengthMm' | 'arcS') =>
					entries.reduce((total, e) => total + e[what], 0);
				expect(sum('starts')).toBe(of.starts);
				expect(sum('lengthMm')).toBeCloseTo(of.lengthMm, 4);
				expect(sum('arcS')).toBeCloseTo(of.arcS!, 4);
				// None is more than one line of the log holds.
				for (const entry of entries) expect(v.safeParse(EntrySchema, entry).success).toBe(true);
			}),
			{ numRuns: 40 }
		);
		expect(new Set(madeJob(job(1), p, cut).map(({ start }) => start))).toEqual(
			new Set(['pierce', 'edge'])
		);
	});
	it('is nothing where one of its cuts does not go through', () => {
		expect(madeJob(job(2, [{ ...CUTS[0]!, arcS: null }]), p, cut)).toEqual([]);
	});
});

describe('a groove that was just made', () => {
	const of = (gouge: Partial<Cut['gouge']>) => {
		const { plan: p, cut } = planned({ gouge: { ...DEFAULT_CUT.gouge, asked: true, ...gouge } });
		return { p, entry: madeGroove(p, cut) };
	};
	it('is one entry of all its strings and pieces, in the metal and along the length it has', () => {
		const { p, entry } = of({
			target: 'fillet',
			legMm: 8,
			lengthMm: 420,
			metal: 'stainless',
			pieces: 4
		});
		const strings = p.figures['gouge.strings'].value!;
		expect(entry).toMatchObject({
			kind: 'groove',
			metal: 'stainless',
			starts: 4 * strings,
			lengthMm: 4 * strings * 420,
			arcS: 4 * p.figures['gouge.pieceS'].value!
		});
		expect(v.safeParse(EntrySchema, entry).success).toBe(true);
	});
	it('is one entry just as long as the log’s own schema takes it', () => {
		const seen = new Set<string>();
		for (const pieces of [1, 20, 250, 500])
			for (const [legMm, lengthMm] of [
				[8, 10],
				[14, 10],
				[8, 100],
				[8, 110],
				[8, 20_000]
			] as const) {
				const { p, entry } = of({ target: 'fillet', legMm, pieces, lengthMm });
				const strings = p.figures['gouge.strings'].value!;
				const raw = {
					kind: 'groove',
					metal: 'mild-steel',
					outputA: 45,
					lengthMm: pieces * strings * lengthMm,
					arcS: pieces * p.figures['gouge.pieceS'].value!,
					starts: pieces * strings
				};
				const [problem] = v.safeParse(EntrySchema, raw).issues ?? [];
				expect(entry === 'many', `${pieces} of ${lengthMm} mm`).toBe(problem !== undefined);
				seen.add(String(problem?.path?.at(-1)?.key));
			}
		// Taken, and refused for its starts and for its length.
		expect(seen.size).toBeGreaterThanOrEqual(3);
	});
	it('is told where one line does not hold it, and nothing where it cannot be made', () => {
		expect(of({ pieces: 500, lengthMm: 20_000 }).entry).toBe('many');
		expect(of({ depthMm: 9, widthMm: 9, plateMm: 3 }).entry).toBeUndefined();
	});
});
