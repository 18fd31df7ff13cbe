import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	atStart,
	placePauses,
	runArc,
	runList,
	waitAsNeeded,
	type ListArc,
	type ListShop
} from './list';
import { runSession } from './run';

const arcArb: fc.Arbitrary<ListArc> = fc
	.record({
		arcS: fc.integer({ min: 3, max: 60 }),
		useLpm: fc.integer({ min: 80, max: 180 }),
		handlingS: fc.integer({ min: 0, max: 60 }),
		hot: fc.integer({ min: 40, max: 160 }),
		amps: fc.integer({ min: 8, max: 22 })
	})
	.map(({ arcS, useLpm, handlingS, hot, amps }) => ({
		handlingS,
		arcS,
		postS: 10,
		useLpm,
		neededBar: 5,
		targets: [
			[0.01, 0.2, (amps / 16) ** 2, ((amps + 4) / 16) ** 2],
			[18, 18, hot, hot]
		]
	}));
const SHOP: ListShop = {
	tank: {
		line: [{ toBar: Infinity, atZeroLpm: 190, slopeLpmBar: -5 }],
		cutInBar: 5.5,
		cutOutBar: 8,
		volumeL: 50,
		startBar: 8,
		leakLpm: 0
	},
	nodes: [
		{ tauS: 46, start: 0, limit: 1.277 },
		{ tauS: 300, start: 18, limit: 130 }
	]
};

describe('a list in time', () => {
	it('property: equal arcs one by one are the session of the pattern', () => {
		fc.assert(
			fc.property(arcArb, fc.integer({ min: 2, max: 12 }), (arc, n) => {
				const arcs = Array.from({ length: n }, () => arc);
				const runs = runList(SHOP, arcs);
				const gapS = Math.max(arc.postS, arc.handlingS);
				const phases = arcs.flatMap((one, k) => [
					{ arc: false, air: false, durationS: k === 0 ? one.handlingS : gapS - one.postS },
					{ arc: true, air: true, durationS: one.arcS },
					{ arc: false, air: true, durationS: one.postS }
				]);
				const whole = runSession({
					pattern: { arcS: arc.arcS, postS: arc.postS, restS: arc.postS, shift: null },
					air: { tank: SHOP.tank!, useLpm: arc.useLpm, neededBar: -Infinity },
					nodes: SHOP.nodes.map((node, k) => ({ ...node, targets: arc.targets[k]! })),
					phases
				});
				const { after } = runs.at(-1)!;
				expect(after.bar).toBeCloseTo(whole.end.bar, 6);
				expect(after.timeS).toBeCloseTo(whole.end.timeS, 6);
				after.levels.forEach((level, k) => expect(level).toBeCloseTo(whole.end.levels[k]!, 6));
			}),
			{ numRuns: 40 }
		);
	});

	it('property: with the rests that it asks for nothing stops, and they are never more than waiting where needed', () => {
		fc.assert(
			fc.property(fc.array(arcArb, { minLength: 1, maxLength: 6 }), (arcs) => {
				const plan = placePauses(SHOP, arcs);
				if (!plan.ok) {
					// Then not even after a long rest does that arc go through from there.
					expect(plan.arc).toBeLessThan(arcs.length);
					return;
				}
				const again = runList(
					SHOP,
					arcs,
					plan.runs.map(({ pauseS }) => pauseS)
				);
				expect(again.every(({ stops }) => !stops)).toBe(true);
				expect(plan.runs.every(({ pauseS }) => pauseS >= 0 && Number.isInteger(pauseS))).toBe(true);
				const simple = waitAsNeeded(SHOP, arcs);
				if (simple.ok) expect(plan.pausedS).toBeLessThanOrEqual(simple.pausedS);
				if (runList(SHOP, arcs).every(({ stops }) => !stops)) expect(plan.pausedS).toBe(0);
			}),
			{ numRuns: 40 }
		);
	});

	it.each([
		[
			'costs less',
			84,
			[
				[57, 174, 24, 76, 1.12890625],
				[16, 170, 44, 107, 1.12890625],
				[26, 132, 51, 66, 1.5625],
				[50, 122, 9, 45, 1.41015625]
			]
		],
		[
			'makes possible what no wait just before the arc does',
			Infinity,
			[
				[41, 195, 32, 135, 0.31640625],
				[46, 110, 23, 57, 1.12890625],
				[20, 105, 33, 42, 0.390625],
				[28, 91, 55, 46, 1.12890625],
				[51, 175, 32, 55, 1.5625]
			]
		]
	] as const)('a rest that is put earlier %s', (_, simpleS, rows) => {
		const arcs = rows.map(([arcS, useLpm, handlingS, hot, load]): ListArc => {
			const both = (Math.sqrt(load) + 4 / 16) ** 2;
			const targets: ListArc['targets'] = [
				[0.01, 0.2, load, both],
				[18, 18, hot, hot]
			];
			return { handlingS, arcS, postS: 10, useLpm, neededBar: 5, targets };
		});
		const simple = waitAsNeeded(SHOP, arcs);
		expect(simple.ok ? simple.pausedS : Infinity).toBe(simpleS);
		const placed = placePauses(SHOP, arcs);
		expect(placed).toMatchObject({ ok: true });
		const pausesS = placed.runs.map(({ pauseS }) => pauseS);
		expect(pausesS.reduce((sum, s) => sum + s, 0)).toBeLessThan(simpleS);
		// Run once more from the morning it is the same.
		expect(placed.runs).toEqual(runList(SHOP, arcs, pausesS));
	});

	it('tells the first thing that stops, and says nothing of air where there is no store', () => {
		const arc: ListArc = {
			handlingS: 0,
			arcS: 600,
			postS: 0,
			useLpm: 300,
			neededBar: 5,
			targets: [
				[0, 0, 4, 4],
				[18, 18, 19, 19]
			]
		};
		const run = runArc(SHOP, atStart(SHOP), arc, 0);
		expect(run.stops?.because).toBe(0);
		// τ·ln(target ÷ (target − limit)), in closed form.
		expect(run.stops!.atS).toBeCloseTo(46 * Math.log(4 / (4 - 1.277)), 3);
		const bare = { ...SHOP, tank: undefined };
		expect(runArc(bare, atStart(bare), arc, 0).lowestBar).toBeUndefined();
	});

	describe('an arc that may pass a limit', () => {
		const bare: ListShop = { ...SHOP, tank: undefined };
		const long: ListArc = {
			handlingS: 0,
			arcS: 60,
			postS: 10,
			useLpm: 0,
			neededBar: 0,
			targets: [
				[0, 0, 4, 4],
				[18, 18, 19, 19]
			]
		};
		const short: ListArc = { ...long, arcS: 5 };

		it('goes on, and is still stopped by every other', () => {
			expect(runArc(bare, atStart(bare), long, 0).stops?.because).toBe(0);
			const passes = runArc(bare, atStart(bare), { ...long, mayPass: 0 }, 0);
			expect(passes.stops).toBeUndefined();
			expect(passes.peaks[0]).toBeGreaterThan(1.277);
			const hot = { ...long, targets: [long.targets[0]!, [18, 18, 4000, 4000]] as const };
			expect(runArc(bare, atStart(bare), { ...hot, mayPass: 0 }, 0).stops?.because).toBe(1);
		});

		it('leaves the next one to wait until it has cooled below the limit, and no longer than that', () => {
			const { after } = runArc(bare, atStart(bare), { ...long, mayPass: 0 }, 0);
			const left = after.levels[0]!;
			expect(left).toBeGreaterThan(1.277);
			const at = runArc(bare, after, short, 0);
			expect(at.stops).toEqual({ because: 0, atS: at.startS });
			// Cooled by e to the −t/τ, and then five seconds of arc: both in closed form.
			const needs = (4 - 1.277) / Math.exp(-5 / 46);
			const waitS = 46 * Math.log(left / (4 - needs));
			expect(runArc(bare, after, short, waitS + 0.1).stops).toBeUndefined();
			const early = runArc(bare, after, short, waitS - 0.5);
			expect(early.stops!.because).toBe(0);
			expect(early.stops!.atS).toBeGreaterThan(early.startS + 4);
			const { ok, runs } = waitAsNeeded(bare, [{ ...long, mayPass: 0 }, short]);
			expect(ok).toBe(true);
			expect(runs[1]!.pauseS).toBeGreaterThan(waitS - 0.5);
			expect(runs[1]!.pauseS).toBeLessThan(waitS + 1.5);
		});

		it('property: what stands at its end does not depend on what is asked of it', () => {
			fc.assert(
				fc.property(fc.array(arcArb, { minLength: 1, maxLength: 6 }), (arcs) => {
					const hot = { ...SHOP, nodes: SHOP.nodes.map((node) => ({ ...node, limit: 0.5 })) };
					const free = { ...SHOP, nodes: SHOP.nodes.map((n) => ({ ...n, limit: Infinity })) };
					const [a, b] = [runList(hot, arcs).at(-1)!, runList(free, arcs).at(-1)!];
					expect(a.after.bar).toBeCloseTo(b.after.bar, 6);
					for (const [k, level] of a.after.levels.entries())
						expect(level).toBeCloseTo(b.after.levels[k]!, 6);
					expect(a.lowestBar).toBeCloseTo(b.lowestBar!, 6);
				}),
				{ numRuns: 60 }
			);
		});
	});
});
