import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BAY_2, inputsOf, TROLLEY } from '../../../../tests/support/inputs';
import { evidenceFromLog, nextCut, plan, type TestCut } from '..';
import { GUIDED_MOST_MM_S } from '../speed/speed';
import { CAUSES, judgedBy, readResult, SIGNS, suspectsOf, type Cause, type Sign } from './read';

const share = (cause: Cause, ...args: Parameters<typeof readResult>) =>
	readResult(...args).beliefs.find((b) => b.cause === cause)!.share;
const seen = (...signs: Sign[]) => ({
	signs: Object.fromEntries(signs.map((sign) => [sign, true])),
	lagDeg: null
});
const anySeen = fc.record({
	signs: fc.dictionary(fc.constantFrom(...SIGNS), fc.boolean()),
	lagDeg: fc.option(fc.double({ min: 1, max: 85, noNaN: true }))
});

describe('reading a cut', () => {
	it('believes in shares that add up to one, whatever was seen, and never asks twice', () => {
		fc.assert(
			fc.property(anySeen, fc.subarray([...CAUSES]), (what, suspects) => {
				const { beliefs, next } = readResult(what, suspects);
				expect(beliefs.reduce((sum, b) => sum + b.share, 0)).toBeCloseTo(1, 9);
				for (const b of beliefs) expect(b.share).toBeGreaterThanOrEqual(0);
				if (next) expect(what.signs[next]).toBeUndefined();
			})
		);
	});

	// Common practice: what goes with what.
	it.each([
		['thick soft dross and a wide kerf', seen('soft-dross', 'wide-kerf'), 'slow'],
		['fine hard dross, spatter on top', seen('hard-dross', 'spatter'), 'fast'],
		['an edge out of square, all else well', seen('bevel'), 'parts'],
		['an arc that sputters and is rough', seen('sputters', 'rough'), 'parts']
	] as const)('%s: %s', (_, what, cause) => {
		expect(readResult(what).beliefs[0]!.cause).toBe(cause);
	});

	it.each([
		[22.5, 'right'],
		[8, 'slow'],
		[45, 'fast']
	] as const)('sparks at %s° alone: %s', (lagDeg, cause) => {
		expect(readResult({ signs: {}, lagDeg }).beliefs[0]!.cause).toBe(cause);
	});

	it('knows its worth: an angle in the window and nothing odd leaves little doubt', () => {
		const clean = Object.fromEntries(SIGNS.map((sign) => [sign, false]));
		expect(share('right', { signs: clean, lagDeg: 22 })).toBeGreaterThan(0.85);
	});

	it('suspects first what the plan already finds weak: why not through?', () => {
		const what = seen('not-through');
		expect(share('power', what, ['power'])).toBeGreaterThan(2 * share('power', what));
		expect(readResult(what, ['few-amps']).beliefs[0]!.cause).toBe('few-amps');
	});

	it('asks for what can settle it: one of its two answers leaves less doubt than now', () => {
		const doubt = (what: Parameters<typeof readResult>[0]) =>
			-readResult(what).beliefs.reduce(
				(sum, b) => sum + (b.share > 0 ? b.share * Math.log(b.share) : 0),
				0
			);
		fc.assert(
			fc.property(anySeen, (what) => {
				const { next } = readResult(what);
				if (next === null) return;
				const answered = [true, false].map((is) =>
					doubt({ ...what, signs: { ...what.signs, [next]: is } })
				);
				expect(Math.min(...answered)).toBeLessThan(doubt(what));
			})
		);
	});

	it('asks for what settles most on average: no other open sign leaves less doubt', () => {
		const sharesOf = (what: Parameters<typeof readResult>[0]) =>
			CAUSES.map((cause) => share(cause, what));
		const doubt = (shares: number[]) =>
			-shares.reduce((sum, s) => sum + (s > 0 ? s * Math.log(s) : 0), 0);
		fc.assert(
			fc.property(anySeen, (what) => {
				const now = sharesOf(what);
				const left = (sign: Sign) => {
					const [yes, no] = [true, false].map((is) =>
						sharesOf({ ...what, signs: { ...what.signs, [sign]: is } })
					) as [number[], number[]];
					// Total probability: what is believed now lies between the two, so far as the sign is likely.
					const k = yes.reduce(
						(most, y, i) => (Math.abs(y - no[i]!) > Math.abs(yes[most]! - no[most]!) ? i : most),
						0
					);
					const likely = (now[k]! - no[k]!) / (yes[k]! - no[k]!);
					return likely * doubt(yes) + (1 - likely) * doubt(no);
				};
				const open = SIGNS.filter((sign) => what.signs[sign] === undefined);
				const { next } = readResult(what);
				if (next === null) return;
				expect(left(next)).toBeLessThanOrEqual(Math.min(...open.map(left)) + 1e-6);
			}),
			{ numRuns: 60 }
		);
	});

	it('takes its suspects from the plan: a tight voltage, worn parts, plate past the clean rating', () => {
		expect(suspectsOf(plan(inputsOf()))).toEqual([]);
		expect(suspectsOf(plan(inputsOf({}, { thicknessMm: 16 })))).toEqual(['few-amps']);
		expect(suspectsOf(plan(inputsOf({ bench: TROLLEY })))).toContain('power');
	});
});

describe('the speed for the next cut', () => {
	const given = inputsOf();
	const heldMmS = plan(given).figures['setup.speedMmS'].value!;
	const cut: TestCut = {
		kind: 'test-cut',
		metal: 'mild-steel',
		thicknessMm: 6,
		outputA: 45,
		speedMmS: heldMmS,
		lagDeg: 34,
		through: true
	};

	it('is the one that the card then says, between the one before and what the angle alone would ask', () => {
		const next = nextCut(given, cut);
		// 34° seen means 0.61 of the speed held (worked example of the trade).
		expect(next.aloneMmS! / heldMmS).toBeCloseTo(0.614, 2);
		expect(next.afterMmS!).toBeLessThan(heldMmS);
		expect(next.afterMmS!).toBeGreaterThan(next.aloneMmS!);
		const entry = { id: 1, setId: null, at: '2026-11-25T08:00:00Z', entry: cut, undone: false };
		const evidence = evidenceFromLog(BAY_2, [entry], null);
		const { figures } = plan(inputsOf({ evidence }));
		expect(next.afterMmS).toBeCloseTo(figures['setup.speedMmS'].value!, 9);
		expect(next.lineS).toBeCloseTo(figures['setup.lineS'].value!, 9);
		expect(next.handMmS).toBe(next.afterMmS);
		// Thin sheet asks for more than a hand has, and is held at what a hand goes along a guide.
		const sheet = nextCut(inputsOf({}, { thicknessMm: 0.8 }), { ...cut, thicknessMm: 0.8 });
		expect(sheet.afterMmS!).toBeGreaterThan(100);
		expect(sheet.handMmS).toBe(GUIDED_MOST_MM_S);
		expect(next.share).toBeGreaterThan(0.1);
		expect(next.share).toBeLessThan(0.9);
	});

	it('by the school of sparks straight down: what they lag when it is right asks for the same speed', () => {
		const straight = { ...given, settings: { ...given.settings, sparks: 'straight' as const } };
		// 12° is where that school stands; 20 mm/s is far from what this plate is cut with.
		const right = nextCut(straight, { ...cut, speedMmS: 20, lagDeg: 12 });
		expect(right.aloneMmS).toBeCloseTo(20, 9);
		// tan 12° / tan 24° of it (the law of the lag).
		const twice = nextCut(straight, { ...cut, speedMmS: 20, lagDeg: 24 });
		expect(twice.aloneMmS).toBeCloseTo((20 * 0.21256) / 0.44523, 3);
	});

	it('goes up after slow, down after fast and not through, and stays when something else was wrong', () => {
		const after = (over: Partial<TestCut>) =>
			nextCut(given, { ...cut, lagDeg: null, ...over }).afterMmS!;
		expect(after({ judged: 'slow' })).toBeGreaterThan(heldMmS);
		expect(after({ judged: 'fast' })).toBeLessThan(heldMmS);
		expect(after({ through: false })).toBeLessThan(heldMmS);
		expect(after({ judged: 'other' })).toBe(heldMmS);
		expect(after({ lagDeg: 22.5, judged: 'right' })).toBeCloseTo(heldMmS, 1);
		// What asks for nothing has no share of it to be followed.
		expect(nextCut(given, { ...cut, lagDeg: 22.5 })).toMatchObject({ aloneMmS: null, share: null });
		expect(nextCut(given, { ...cut, judged: 'other' })).toMatchObject({ aloneMmS: null });
		// Sparks that go down nowhere tell no lag.
		expect(nextCut(given, { ...cut, through: false })).toMatchObject({ aloneMmS: null });
	});
});

it('says of the speed only what the cause does', () => {
	expect(CAUSES.map(judgedBy)).toEqual([
		'right',
		'slow',
		'fast',
		...CAUSES.slice(3).map(() => 'other')
	]);
});
