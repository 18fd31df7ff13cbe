import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { DEFAULT_CUT, DEFAULT_SETTINGS, NO_EVIDENCE } from '../inputs';
import { BenchSchema, type Bench } from '../inputs/bench';
import { checked, isTypical } from '../inputs/typical';
import { explain } from '../plan/explain';
import { plan } from '../plan/plan';
import { checkFirst } from '../studies/checkFirst';
import { QUESTION_IDS } from './questions';
import {
	answered,
	answerOf,
	AnswersSchema,
	isAnswered,
	plausibleBenches,
	typicalAnswer,
	type Answers
} from './answered';
import {
	REGIONS,
	TYPICAL_WINDOW_BAR,
	typicalBench,
	typicalBoreMm,
	typicalFlowLpm,
	typicalRatingMm,
	typicalWire
} from './typical';

const inputsOf = (bench: Bench) => ({
	bench,
	cut: DEFAULT_CUT,
	evidence: NO_EVIDENCE,
	work: bench.usual,
	settings: DEFAULT_SETTINGS,
	chart: null
});
const known = <T>(answer: T) => ({ known: answer });
const ALL: Answers = {
	amps: known({ mostA: 40, leastA: 20 }),
	volts: known({ voltageV: 230, phases: 1 }),
	draws: known({ inputMaxA: 22 }),
	clean: known({ cleanMm: 10 }),
	severs: known({ severMm: 18 }),
	duty: known({ dutyShare: 0.4 }),
	air: known({ fromBar: 4.5, toBar: 6, flowLpm: 150 }),
	breaker: known({ ratingA: 20, curve: 'C' }),
	wire: known({ size: 'mm2-4', lengthM: 22 }),
	compressor: known({ source: 'compressor', deliveryLpm: 180, rating: 'delivered', tankL: 90 }),
	nozzle: known({ ratingA: 40 })
};

describe('a label that tells the least pressure alone', () => {
	it('has a window as wide as usual, the usual flow of its amps, and neither of them checked', () => {
		const bench = answered(typicalBench('iec'), {
			amps: known({ mostA: 60, leastA: null }),
			air: known({ fromBar: 5.2, toBar: null, flowLpm: null })
		});
		const { from, to } = TYPICAL_WINDOW_BAR;
		expect(bench.cutter.airMaxBar).toBeCloseTo(5.2 + to - from, 9);
		expect(bench.cutter.airFlowLpm).toBe(typicalFlowLpm(60));
		// More amps take more air, though not as much more.
		expect(typicalFlowLpm(45)).toBe(170);
		expect(typicalFlowLpm(90) / typicalFlowLpm(45)).toBeGreaterThan(1.3);
		expect(typicalFlowLpm(90) / typicalFlowLpm(45)).toBeLessThan(1.8);
		const typical = (path: string) => isTypical(bench.typical, path);
		expect(['airMinBar', 'airMaxBar', 'airFlowLpm'].map((f) => typical(`cutter.${f}`))).toEqual([
			false,
			true,
			true
		]);
	});
});

describe('what is likely, where nobody knows', () => {
	const breakers = (bench: Bench) =>
		plausibleBenches(bench, 'breaker').map((b) => b.supply.breaker.ratingA);
	it('is a breaker that such a circuit has', () => {
		const american = typicalBench('north-america');
		const at = (nominalV: number): Bench => ({
			...american,
			supply: { ...american.supply, nominalV },
			cutter: {
				...american.cutter,
				inputs: american.cutter.inputs.map((one) => ({ ...one, voltageV: nominalV }))
			}
		});
		// 15 and 30 A circuits at 120 V, 20 and 50 A ones at 240 V (NEMA 5 and 6 receptacles).
		expect(breakers(at(120))).toEqual([15, 30]);
		expect(breakers(at(240))).toEqual([20, 50]);
		expect(breakers(typicalBench('iec'))).toEqual([16, 32]);
	});
	it('lies to either side of what is typical, in every number that it moves', () => {
		for (const region of REGIONS) {
			const bench = typicalBench(region);
			const moved = (
				['amps', 'draws', 'clean', 'severs', 'duty', 'air', 'compressor'] as const
			).map((id) => {
				const numbers = (b: Bench) =>
					Object.values(answerOf(b, id)).filter((x): x is number => typeof x === 'number');
				const [low, high] = plausibleBenches(bench, id).map(numbers) as [number[], number[]];
				const usual = numbers(bench);
				const off = usual.filter((x, k) => low[k]! > x || high[k]! < x);
				expect(off, `${region} ${id}`).toEqual([]);
				return usual.some((_, k) => low[k]! < high[k]!);
			});
			expect(moved).not.toContain(false);
			const shares = plausibleBenches(bench, 'duty').map((b) => answerOf(b, 'duty').dutyShare);
			// Labels of hand-held machines tell 20 to 60 % at full amps (common practice).
			expect(shares).toEqual([0.2, 0.6]);
		}
	});
	it('is amps to either side of the usual machine', () => {
		const most = plausibleBenches(typicalBench('iec'), 'amps').map(
			(b) => b.cutter.inputs[0]!.outputMaxA
		);
		expect(most).toEqual([40, 50]);
	});
	it('is read from the bench as it stands, its own compressor too', () => {
		const bench = typicalBench('iec');
		expect(answerOf(bench, 'compressor').source).toBe('compressor');
		const inside: Bench = { ...bench, air: { ...bench.air, source: 'built-in' } };
		expect(answerOf(inside, 'compressor').source).toBe('built-in');
	});
});

describe('a bench of which nothing is known', () => {
	it.each(REGIONS)('is valid, makes a card of typical letters and says no D: %s', (region) => {
		const bench = typicalBench(region);
		expect(v.is(BenchSchema, bench)).toBe(true);
		const planned = plan(inputsOf(bench));
		expect(planned.figures['setup.speedMmS'].value).toBeGreaterThan(0);
		expect(Object.values(planned.figures).filter((f) => f.basis === 'D')).toEqual([]);
	});

	it('has the wire that goes with its breaker', () => {
		// IEC 60364-5-52, Table B.52.2, method B2, two loaded conductors; NEC 310.16 with 240.4(D).
		const iec = [10, 16, 20, 25, 32, 40, 63].map((a) => typicalWire('iec', a).size);
		expect(iec).toEqual(['mm2-2.5', 'mm2-2.5', 'mm2-2.5', 'mm2-4', 'mm2-6', 'mm2-10', 'mm2-16']);
		const awg = [15, 20, 30, 50, 60].map((a) => typicalWire('north-america', a).size);
		expect(awg).toEqual(['awg-14', 'awg-12', 'awg-10', 'awg-8', 'awg-6']);
	});

	it('rates a machine as machines of its amps are rated', () => {
		// Common practice: 30 A about 8 to 10 mm clean, 45 A 12 to 16, 65 A 16 to 20, 85 A 20 to 25.
		const clean = [30, 45, 65, 85].map((a) => typicalRatingMm(a, 'iec').cleanMm);
		expect(clean).toEqual([8, 12.5, 18.5, 24.5]);
		for (const a of [27, 40, 60, 105]) {
			const { cleanMm, severMm } = typicalRatingMm(a, 'iec');
			expect(severMm / cleanMm).toBeGreaterThan(1.5);
		}
	});

	it('rates it in sixteenths where labels are in inches', () => {
		expect(typicalRatingMm(45, 'north-america')).toEqual({ cleanMm: 12.7, severMm: 22.225 });
	});

	it('bores a nozzle between its neighbours', () => {
		expect([10, 30, 45, 55, 200].map(typicalBoreMm)).toEqual([0.7, 0.8, 1, 1.15, 1.9]);
	});

	it('estimates what it draws as a hand would: 45 A × 98 V / (0.87 × 0.95 × 230 V) = 23.2 A', () => {
		expect(typicalAnswer(typicalBench('iec'), 'draws').inputMaxA).toBe(23);
	});
});

describe('answers', () => {
	it('are written, checked, and read again as they were given', () => {
		const bench = answered(typicalBench('iec'), ALL);
		expect(v.is(BenchSchema, bench)).toBe(true);
		for (const id of QUESTION_IDS) {
			expect(isAnswered(bench, id), id).toBe(true);
			expect(answerOf(bench, id), id).toEqual((ALL[id] as { known: unknown }).known);
		}
		expect(checkFirst(inputsOf(bench))).toEqual([]);
		expect(bench.cutter.name).toBe('40 A cutter');
	});

	it('keep their letter: duty as typed is a label’s, everything else stays typical', () => {
		const bench = answered(typicalBench('iec'), { duty: known({ dutyShare: 0.5 }) });
		const { figures } = plan(inputsOf(bench));
		expect(figures['setup.nozzleA'].basis).toBe('R');
		const pair = explain(inputsOf(bench), 'cutter.dutyShare').inputs;
		expect(pair.find(({ symbol }) => symbol === 'X_r')).toMatchObject({ value: 0.5, basis: 'D' });
	});

	it('that nobody knows follow from what is known', () => {
		const small = answered(typicalBench('iec'), {
			amps: known({ mostA: 25, leastA: null }),
			clean: known({ cleanMm: 6 }),
			severs: 'unknown',
			breaker: known({ ratingA: 32, curve: null })
		});
		expect(small.cutter.severMm).toBe(10.5);
		expect(small.supply.wire.size).toBe('mm2-6');
		expect(small.torch.fittedA).toBe(25);
		expect(small.cutter.outputMinA).toBe(15);
		expect(isAnswered(small, 'severs')).toBe(false);
		// Of the breaker's two parts one was read, the other not.
		expect(small.typical).toContain('supply.breaker.curve');
		expect(small.typical).not.toContain('supply.breaker.ratingA');
	});

	it('can be taken back: what was known is typical again', () => {
		const first = answered(typicalBench('iec'), ALL);
		const then = answered(first, { duty: 'unknown' });
		expect(isAnswered(then, 'duty')).toBe(false);
		expect(answerOf(then, 'duty')).toEqual({ dutyShare: 0.35 });
		expect(isAnswered(then, 'draws')).toBe(true);
	});

	it('leave alone what a bench of old says and they do not', () => {
		const old = answered(typicalBench('north-america'), ALL);
		const now = answered(old, { nozzle: known({ ratingA: 30 }) });
		expect({ ...now, torch: old.torch }).toEqual(old);
		expect(now.torch.nozzles.map((n) => n.ratingA)).toEqual([40, 30]);
		expect(now.torch.fittedA).toBe(30);
	});

	it('keep the other duty pairs of a label, in whatever order they stand', () => {
		const bench = answered(typicalBench('iec'), ALL);
		bench.cutter.inputs[0]!.duty = [
			{ outputA: 30, dutyShare: 0.6 },
			{ outputA: 40, dutyShare: 0.4 }
		];
		const now = answered(bench, { duty: known({ dutyShare: 0.35 }) });
		expect(now.cutter.inputs[0]!.duty).toEqual([
			{ outputA: 40, dutyShare: 0.35 },
			{ outputA: 30, dutyShare: 0.6 }
		]);
	});

	it('are those of the input that is plugged in, and leave another one as it was', () => {
		const [plugged] = answered(typicalBench('iec'), ALL).cutter.inputs;
		const other = { ...plugged!, voltageV: 400, outputMaxA: 60 };
		const whole = answered(typicalBench('iec'), ALL);
		const bench = { ...whole, cutter: { ...whole.cutter, inputs: [other, plugged!] } };
		const now = answered(bench, { draws: known({ inputMaxA: 26 }) });
		expect(now.cutter.inputs).toEqual([other, { ...plugged!, inputMaxA: 26 }]);
	});

	it('take nothing back that somebody had checked one by one', () => {
		const bench = typicalBench('iec');
		const window = { ...bench, cutter: { ...bench.cutter, airMaxBar: 8, outputMinA: 25 } };
		const base = ['cutter.airMaxBar', 'cutter.outputMinA'].reduce(checked, window);
		// The lower end of the window and the largest amps are still typical.
		const now = answered(base, { amps: known({ mostA: 60, leastA: null }) });
		expect(now.cutter).toMatchObject({ airMaxBar: 8, outputMinA: 25 });
		expect(isTypical(now.typical, 'cutter.airMaxBar')).toBe(false);
		expect(isTypical(now.typical, 'cutter.outputMinA')).toBe(false);
		expect(isTypical(now.typical, 'cutter.airMinBar')).toBe(true);
	});

	it('make the same bench in any order and when given twice, and never one that cannot be planned', () => {
		const amps = fc.integer({ min: 10, max: 200 });
		const some = fc.record(
			{
				amps: fc.record({ mostA: amps, leastA: fc.constantFrom(null, 10) }),
				volts: fc.constantFrom(
					{ voltageV: 120, phases: 1 as const },
					{ voltageV: 230, phases: 1 as const },
					{ voltageV: 400, phases: 3 as const }
				),
				draws: fc.record({ inputMaxA: fc.integer({ min: 5, max: 80 }) }),
				duty: fc.record({ dutyShare: fc.constantFrom(0.2, 0.35, 0.6, 1) }),
				breaker: fc.record({
					ratingA: fc.constantFrom(10, 16, 32, 63),
					curve: fc.constantFrom(null, 'B' as const, 'D' as const)
				}),
				nozzle: fc.record({ ratingA: amps })
			},
			{ requiredKeys: [] }
		);
		fc.assert(
			fc.property(fc.constantFrom(...REGIONS), some, (region, given) => {
				const answers = Object.fromEntries(
					Object.entries(given).map(([id, answer]) => [id, known(answer)])
				) as Answers;
				const bench = answered(typicalBench(region), answers);
				expect(v.is(AnswersSchema, answers)).toBe(true);
				const parsed = v.safeParse(BenchSchema, bench);
				expect(parsed.issues?.map((i) => v.getDotPath(i))).toBeUndefined();
				expect(answered(bench, answers)).toEqual(bench);
				expect(Object.keys(given).every((id) => isAnswered(bench, id as keyof Answers))).toBe(true);
				expect(plan(inputsOf(bench)).figures['setup.currentA'].value).toBeGreaterThan(0);
			}),
			{ numRuns: 150 }
		);
	});
});

describe('what to check first', () => {
	it('puts on top what moves the card most, and tells by how much', () => {
		const found = checkFirst(inputsOf(typicalBench('iec')));
		expect(found.map(({ size }) => size)).toEqual(
			found.map(({ size }) => size).sort((x, y) => y - x)
		);
		expect(new Set(found.map(({ id }) => id)).size).toBe(QUESTION_IDS.length);
		for (const { size } of found) expect(Number.isFinite(size)).toBe(true);
		// Of what moves no verdict, the clean rating sets the speed and the duty of a single cut nothing.
		const place = (id: string) => found.findIndex((moves) => moves.id === id);
		expect(place('clean')).toBeLessThan(place('duty'));
		expect(found[place('duty')]!.figure).toBeNull();
	});

	it('goes by the work: in long cuts the breaker decides', () => {
		// A 45 A machine draws 23 A: for two minutes in three 16 A of type B trips, 32 A of type C carries it.
		const inputs = inputsOf(typicalBench('iec'));
		const found = checkFirst({
			...inputs,
			work: { ...inputs.work, by: 'pattern', arcS: 120, restS: 60 }
		});
		const breaker = found.find(({ id }) => id === 'breaker')!;
		expect(breaker.verdicts[0]).toBe('stops');
		expect(breaker.figure).toMatchObject({ id: 'supply.runsOnA' });
		expect(breaker.figure!.values[0]).toBeLessThan(breaker.figure!.values[1]!);
	});

	it('does not ask again what was answered', () => {
		const bench = answered(typicalBench('iec'), { breaker: known({ ratingA: 32, curve: 'C' }) });
		expect(checkFirst(inputsOf(bench)).map(({ id }) => id)).not.toContain('breaker');
	});
});
