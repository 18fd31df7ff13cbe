import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { play, USUAL_SHOP, type Pull } from '../../../../scripts/device/play';
import { BatchSchema, type Reading } from './batch';
import {
	asSeen,
	cutsOf,
	FAILED_MOST,
	failedOf,
	forOneEntry,
	gaugeOf,
	lampOf,
	piecesIn
} from './propose';
import { segmented } from './segment';
import type { ArcSeen, Seen } from './events';
import { rateTells } from './thresholds';

const arcsIn = (seen: readonly Seen[]) => seen.filter((one): one is ArcSeen => one.kind === 'arc');
const failedIn = (seen: readonly Seen[]) => seen.filter(({ kind }) => kind === 'failed');

const pullArb: fc.Arbitrary<Pull> = fc.record({
	restS: fc.double({ min: 14, max: 60, noNaN: true }),
	pilotS: fc.double({ min: 0.5, max: 2, noNaN: true }),
	arcS: fc.oneof(
		{ arbitrary: fc.double({ min: 0.6, max: 40, noNaN: true }), weight: 4 },
		{ arbitrary: fc.constant(0), weight: 1 }
	),
	arcA: fc.double({ min: 15, max: 120, noNaN: true })
});
const workArb = fc.array(pullArb, { minLength: 1, maxLength: 8 });

describe('arcs and failed starts against the simulated truth', () => {
	it('property: at ten readings a second each is seen once, its length and amps as told', () => {
		fc.assert(
			fc.property(workArb, fc.integer({ min: 1, max: 1e6 }), (pulls, seed) => {
				const { readings, truth } = play(pulls, { seed });
				const { seen, intervalS } = segmented(readings, { ended: true });
				const arcs = arcsIn(seen);
				expect(intervalS).toBeCloseTo(0.1, 3);
				expect(arcs).toHaveLength(truth.arcs.length);
				for (const [k, arc] of arcs.entries()) {
					const real = truth.arcs[k]!;
					// Two edges, each half an interval out at most.
					expect(Math.abs(arc.arcS - (real.toMs - real.fromMs) / 1000)).toBeLessThanOrEqual(0.1001);
					expect(Math.abs(arc.meanA! - real.arcA)).toBeLessThan(2.5);
					expect(arc.whole).toBe(true);
				}
				expect(failedIn(seen)).toHaveLength(truth.failed.length);
			}),
			{ numRuns: 60 }
		);
	});

	it('begins at eight amps and burns on down to four: what glows between does not come back', () => {
		const ended = (amps: number[]) =>
			arcsIn(
				segmented(
					amps.map((arcA, k) => ({
						atMs: 100 * k,
						arcA,
						inletBar: null,
						tankBar: null,
						mainsA: null,
						hotLamp: null
					})),
					{ ended: true }
				).seen
			).map(({ arcS }) => arcS);
		const idle = [0, 0, 0];
		const long = (a: number) => Array<number>(10).fill(a);
		expect(ended([...idle, ...long(7.9), ...idle])).toEqual([]);
		const [alone] = ended([...idle, ...long(8), ...idle]);
		expect(alone).toBeCloseTo(1, 1);
		// Low and burning it is still one arc.
		expect(ended([...idle, ...long(8), ...long(4), ...idle])[0]).toBeCloseTo(2, 1);
		// Once it is out, as little is no arc that rejoins; eight amps so soon are.
		expect(ended([...idle, ...long(8), 0, ...long(5), ...idle])).toEqual([alone]);
		expect(ended([...idle, ...long(8), 0, ...long(8), ...idle])[0]).toBeCloseTo(2.1, 1);
	});

	it('the told error is the error: over two thousand arcs, at three rates', () => {
		for (const rateHz of [2, 10, 50]) {
			const pulls = Array.from({ length: 700 }, (_, k) => ({
				restS: 12 + ((k * 0.137) % 3),
				pilotS: 0.5,
				arcS: 2 + ((k * 0.619) % 4),
				arcA: 40
			}));
			const { readings, truth } = play(pulls, { rateHz, seed: 7 });
			const arcs = arcsIn(segmented(readings, { ended: true }).seen);
			expect(arcs).toHaveLength(700);
			const squares = arcs.map((arc, k) => {
				const real = truth.arcs[k]!;
				return (arc.arcS - (real.toMs - real.fromMs) / 1000) ** 2;
			});
			const rms = Math.sqrt(squares.reduce((sum, x) => sum + x, 0) / squares.length);
			const { arcErrorS } = rateTells(1 / rateHz);
			// Neither early nor late in the mean.
			const offMs = arcs.reduce((sum, arc, k) => sum + arc.fromMs - truth.arcs[k]!.fromMs, 0) / 700;
			expect(Math.abs(offMs)).toBeLessThan(100 / rateHz);
			expect(rms / arcErrorS).toBeGreaterThan(0.85);
			expect(rms / arcErrorS).toBeLessThan(1.15);
			expect(arcs[0]!.errorS).toBeCloseTo(arcErrorS, 6);
		}
	});

	it('tells nothing of failed starts where no second sensor does', () => {
		const pulls = [
			{ restS: 20, pilotS: 1.2, arcS: 0, arcA: 0 },
			{ restS: 20, pilotS: 1.2, arcS: 5, arcA: 40 },
			{ restS: 20, pilotS: 1.2, arcS: 0, arcA: 0 }
		];
		const by = (channels: object) =>
			failedIn(segmented(play(pulls, { channels }).readings, { ended: true }).seen).map(
				(one) => one.kind === 'failed' && one.by
			);
		expect(by({})).toEqual([]);
		expect(by({ inlet: true })).toEqual(['inlet', 'inlet']);
		expect(by({ mains: true })).toEqual(['mains', 'mains']);
	});

	it('takes post-flow, a set-point that is turned and a knock at the hose for no failed start', () => {
		const flat = (bar: (s: number) => number): Reading[] =>
			Array.from({ length: 2000 }, (_, k) => ({
				atMs: 100 * k,
				arcA: 0,
				inletBar: bar(k / 10),
				tankBar: null,
				mainsA: null,
				hotLamp: null
			}));
		const failed = (bar: (s: number) => number) =>
			failedIn(segmented(flat(bar), { ended: true }).seen).length;
		expect(failed((s) => (s > 50 && s < 51 ? 5.4 : 6.2))).toBe(1);
		expect(failed((s) => (s > 50 && s < 50.15 ? 5.4 : 6.2))).toBe(0);
		expect(failed((s) => (s > 50 && s < 70 ? 5.4 : 6.2))).toBe(0);
		expect(failed((s) => (s > 50 ? 5.4 : 6.2))).toBe(0);
		// And after the set-point was turned down, a pull is seen again.
		expect(failed((s) => (s > 150 && s < 151 ? 4.6 : s > 50 ? 5.4 : 6.2))).toBe(1);
	});

	it('a spike of the clamp is no arc, an arc that flickers is one, values that cannot be are counted', () => {
		const pulls = [{ restS: 30, pilotS: 1, arcS: 20, arcA: 45 }];
		const { readings } = play(pulls, { noise: 0 });
		const spiked = readings.map((one, k) => (k === 100 ? { ...one, arcA: 60 } : one));
		expect(arcsIn(segmented(spiked, { ended: true }).seen)).toHaveLength(1);
		// Out for one reading in the middle.
		const flicker = readings.map((one, k) => (k === 420 ? { ...one, arcA: 0 } : one));
		const [arc, ...more] = arcsIn(segmented(flicker, { ended: true }).seen);
		expect(more).toEqual([]);
		expect(arc!.arcS).toBeGreaterThan(19.8);
		// Down to six amps for a second, over a hole in the plate: it burns on.
		const weak = readings.map((one, k) => (k >= 420 && k < 430 ? { ...one, arcA: 6 } : one));
		expect(arcsIn(segmented(weak, { ended: true }).seen)).toHaveLength(1);
		// Six amps alone light nothing.
		const stray = readings.map((one) => ({ ...one, arcA: one.arcA! > 8 ? 6 : one.arcA }));
		expect(arcsIn(segmented(stray, { ended: true }).seen)).toEqual([]);
		const mad = readings.map((one, k) =>
			k % 50 === 0 ? { ...one, arcA: 4000, inletBar: -9 } : one
		);
		const told = segmented(mad, { ended: true });
		expect(told.implausible).toBe(2 * Math.ceil(readings.length / 50));
		expect(arcsIn(told.seen)[0]!.meanA).toBeCloseTo(45, 6);
	});

	it('what is lost in a gap is not made up: the arc ends in the dark and teaches nothing', () => {
		const pulls = [{ restS: 20, pilotS: 1, arcS: 20, arcA: 45 }];
		const { readings, truth } = play(pulls);
		const from = truth.arcs[0]!.fromMs + 8000;
		const holed = readings.filter(({ atMs }) => atMs < from || atMs > from + 5000);
		const { seen } = segmented(holed, { ended: true });
		expect(seen.filter(({ kind }) => kind === 'gap')).toHaveLength(1);
		const arcs = arcsIn(seen);
		expect(arcs.map(({ whole }) => whole)).toEqual([false, false]);
		expect(arcs[0]!.arcS).toBeCloseTo(8, 0);
		expect(gaugeOf(arcs)).toBeUndefined();
	});

	it('property: in pieces it sees what it sees in one go', () => {
		fc.assert(
			fc.property(
				workArb,
				fc.integer({ min: 1, max: 1e6 }),
				fc.array(fc.double({ min: 0.02, max: 0.98, noNaN: true }), { minLength: 1, maxLength: 6 }),
				(pulls, seed, cuts) => {
					const { readings } = play(pulls, { seed });
					const whole = segmented(readings, { ended: true }).seen;
					const seen: Seen[] = [];
					let from = readings[0]!.atMs;
					for (const share of [...cuts.toSorted((a, b) => a - b), 1]) {
						const until = readings[Math.floor(share * (readings.length - 1))]!.atMs;
						const part = readings.filter(({ atMs }) => atMs >= from && atMs <= until);
						if (part.length < 2) continue;
						const told = segmented(part, { ended: share === 1 });
						if (told.quietMs <= from) continue;
						seen.push(...told.seen.filter(({ toMs }) => toMs <= told.quietMs));
						from = told.quietMs;
					}
					expect(seen.filter(({ kind }) => kind === 'arc').length).toBe(arcsIn(whole).length);
					expect(failedIn(seen)).toHaveLength(failedIn(whole).length);
				}
			),
			{ numRuns: 40 }
		);
	});
});

describe('the lamp and the gauge', () => {
	it('after one arc from rest it is a measurement; after many, or unwatched, it is not', () => {
		const shop = { ...USUAL_SHOP, lampAfterS: 100 };
		const told = (pulls: Pull[], watchedSinceMs = 0) => {
			const { seen } = segmented(play(pulls, { shop, rateHz: 5 }).readings, { ended: true });
			const lamp = seen.find((one) => one.kind === 'lamp')!;
			return lampOf(lamp, seen, { watchedSinceMs, shopC: 22, outputA: 40 });
		};
		const once = { restS: 1900, pilotS: 1, arcS: 130, arcA: 45 };
		const entry = told([once]);
		expect(entry).toMatchObject({ kind: 'lamp', shopC: 22, lampS: 100 });
		expect(entry?.kind === 'lamp' && entry.outputA).toBeCloseTo(45, 0);
		// It came on in the cut, and went out a minute later at the earliest.
		expect(entry?.kind === 'lamp' && entry.recoveryS).toBeGreaterThanOrEqual(60);
		expect(told([once], 200_000)).toBeUndefined();
		expect(
			told([
				{ ...once, arcS: 60 },
				{ ...once, restS: 600 }
			])
		).toBeUndefined();
		expect(told([{ ...once, arcS: 60 }, once])).toMatchObject({ lampS: 100 });
	});

	it('that comes on while nothing burns is told by itself', () => {
		const { readings } = play([{ restS: 60, pilotS: 1, arcS: 5, arcA: 45 }], { noise: 0 });
		const hot = readings.map((one, k) => ({ ...one, hotLamp: k >= 100 && k < 300 ? 1 : 0 }));
		const lamps = segmented(hot, { ended: true }).seen.filter(({ kind }) => kind === 'lamp');
		expect(lamps).toHaveLength(1);
		expect(lamps[0]).toMatchObject({ arcFromMs: null, meanA: null });
		// Half lit is lit, for as long as it is.
		const half = hot.map((one) => ({ ...one, hotLamp: one.hotLamp / 2 }));
		expect(segmented(half, { ended: true }).seen.filter(({ kind }) => kind === 'lamp')).toEqual(
			lamps
		);
	});

	it('the gauge under flow is the mean of long whole arcs, tank above inlet', () => {
		const pulls = Array.from({ length: 5 }, () => ({ restS: 30, pilotS: 1, arcS: 6, arcA: 45 }));
		const arcs = arcsIn(segmented(play(pulls).readings, { ended: true }).seen);
		const gauge = gaugeOf(arcs);
		expect(gauge).toMatchObject({ kind: 'gauge' });
		if (gauge?.kind !== 'gauge') return;
		expect(gauge.inletBar).toBeCloseTo(5.4, 1);
		expect(gauge.tankBar).toBeGreaterThan(8);
		expect(gaugeOf(arcs.map((arc) => ({ ...arc, arcS: 2 })))).toBeUndefined();
		expect(gaugeOf(arcs.map((arc) => ({ ...arc, tankBar: null })))).toBeUndefined();
	});
});

describe('what the log is offered', () => {
	const planned = {
		metal: 'mild-steel',
		thicknessMm: 6,
		start: 'edge',
		outputA: 45,
		speedMmS: 20,
		lengthMm: 300,
		nozzleA: 45
	} as const;
	const arc = (arcS: number, meanA: number | null): ArcSeen => ({
		kind: 'arc',
		fromMs: 0,
		toMs: 1000 * arcS,
		arcS,
		errorS: 0.04,
		meanA,
		inletBar: null,
		tankBar: null,
		tankLowBar: null,
		whole: true
	});

	it('sums starts and seconds, takes the amps over the seconds and the length from the speed', () => {
		expect(cutsOf([arc(10, 40), arc(30, 44)], planned)).toEqual({
			kind: 'cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 43,
			lengthMm: 800,
			arcS: 40,
			starts: 2,
			start: 'edge',
			nozzleA: 45
		});
		expect(cutsOf([arc(10, null)], { ...planned, speedMmS: null })).toMatchObject({
			outputA: 45,
			lengthMm: 300
		});
		expect(cutsOf([], planned)).toBeUndefined();
	});
	it('an entry of a planned piece takes starts, seconds and amps as they were seen, to a tenth', () => {
		const entry = cutsOf([arc(10, 45)], planned)!;
		const seen = asSeen(entry, [arc(10.04, 40.2), arc(30.08, 44.05)]);
		// (10.04 · 40.2 + 30.08 · 44.05) / 40.12 = 43.09
		expect(seen).toEqual({ ...entry, arcS: 40.1, starts: 2, outputA: 43.1 });
		expect(asSeen(entry, [arc(12, null)])).toEqual({ ...entry, arcS: 12, starts: 1 });
		expect(asSeen(entry, [arc(12, 0.4)])).toMatchObject({ outputA: 5 });
		expect(asSeen(entry, [])).toBe(entry);
	});
	it('takes no more arcs than one entry holds, and never a shorter length than was cut', () => {
		// 20 mm/s for 13 s: 260 mm each, so 384 of them are 99.84 m.
		const many = Array.from({ length: 400 }, () => arc(13, 40));
		const taken = forOneEntry(many, planned);
		expect(taken).toHaveLength(384);
		expect(cutsOf(taken, planned)).toMatchObject({ lengthMm: 99_840, starts: 384 });
		expect(cutsOf(many, planned)).toBeUndefined();
		expect(forOneEntry(many, { ...planned, speedMmS: null, lengthMm: 1000 })).toHaveLength(100);
		expect(
			forOneEntry([arc(20_000, 40), arc(20_000, 40)], { ...planned, speedMmS: 1 })
		).toHaveLength(1);
	});
	it('counts failed starts alike', () => {
		const failed = (s: number) =>
			({ kind: 'failed', fromMs: 0, toMs: 1000 * s, by: 'mains' }) as const;
		expect(failedOf([failed(1), failed(2)], 'edge')).toEqual({
			kind: 'start',
			arcS: 1.5,
			start: 'edge',
			times: 2
		});
		expect(failedOf([failed(2)], 'edge')).toEqual({ kind: 'start', arcS: 2, start: 'edge' });
		expect(failedOf([], 'edge')).toBeUndefined();
		const so = (many: number) =>
			failedOf(Array<ReturnType<typeof failed>>(many).fill(failed(1)), 'edge');
		expect(so(FAILED_MOST)).toMatchObject({ times: FAILED_MOST });
		expect(so(FAILED_MOST + 1)).toBeUndefined();
	});
	it('finds whole pieces among the arcs, whatever stands between', () => {
		const arcs = [10, 5.2, 1, 9.5, 5, 11].map((s) => arc(s, 40));
		const { pieces, others } = piecesIn(arcs, [10, 5]);
		expect(pieces.map((piece) => piece.map(({ arcS }) => arcS))).toEqual([
			[10, 5.2],
			[9.5, 5]
		]);
		expect(others.map(({ arcS }) => arcS)).toEqual([1, 11]);
	});
});

describe('a batch', () => {
	const batch = { boot: 'b1', n: 0, sentAtMs: 2000, atMs: [100, 200], arcA: [0, 0.1] };
	const wrong = (change: object) => {
		const read = v.safeParse(BatchSchema, { ...batch, ...change });
		return read.success ? undefined : read.issues[0].message;
	};
	it('is read, or refused with what is wrong', () => {
		expect(wrong({})).toBeUndefined();
		expect(wrong({ arcA: [0] })).toBe('as many as times: 2, not 1');
		expect(wrong({ atMs: [200, 100] })).toContain('do not run backwards: reading 2 does');
		expect(wrong({ atMs: [100, 9000] })).toContain('from the future');
		expect(wrong({ atMs: [100, 200, 9000], arcA: [0, 0, 0] })).toContain('from the future');
		expect(wrong({ atMs: [] })).toContain('at least one');
		expect(wrong({ arcA: [0, Infinity] })).toBeDefined();
		expect(wrong({ arcA: [0, '1'] })).toBeDefined();
		expect(wrong({ n: 1.5 })).toBeDefined();
		expect(wrong({ boot: 'b 1' })).toBeDefined();
		expect(wrong({ atMs: Array(2001).fill(100), arcA: undefined })).toContain('at most 2000');
	});
});
