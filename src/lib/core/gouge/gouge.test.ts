import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BAY_2 } from '../../../../scripts/demo/benches';
import { DEFAULT_CUT, DEFAULT_SETTINGS, NO_EVIDENCE, plan, type Cut, type Evidence } from '..';
import { tallyOf } from '../evidence/tally';
import { METAL_IDS, METALS, type MetalId } from '../metal/metals';
import { said as saidOf } from '../plan/said';
import { some } from '../../../../tests/support/part';
import { factorOf, GROOVE_READING, removalRead, REMOVAL_PRIOR, shapeRead } from './calibrated';
import { grooveKey } from './inputs';
import { correctionFor, SPOT_FAULTS } from './read';
import {
	depthOverWidth,
	gougeSpeedMmS,
	HAND_GOUGE_MM_S,
	REMOVAL_J_PER_KG_STEEL,
	removalEnergyJPerKg,
	removalKgS,
	removalMm3S
} from './removal';
import { coveredMm, depthAtMm, stringAreaMm2, stringsAreaMm2 } from './shape';
import { layoutOf, type Layout } from './strings';
import { bestOf, groundOf, triesOf, type Hand } from './oneString';
import { goesIntoPlate } from './targets';
import {
	FILLET_CONVEXITY,
	legsOfThroat,
	ligamentMm,
	sectionOf,
	throatMm,
	spotMm3,
	type TargetSize
} from './section';

/** Where there are strings at all. */
const strung = (...of: Parameters<typeof layoutOf>): Layout => {
	const layout = layoutOf(...of);
	if (!layout || layout === 'many') throw new Error('no layout');
	return layout;
};
const SIZE: TargetSize = {
	target: 'groove',
	widthMm: 7,
	depthMm: 2.5,
	legMm: 6,
	upLegMm: null,
	rootRadiusMm: 5
};
const handAt = (amps: number, angleDeg = 40): Hand => ({
	removalMm3S: removalMm3S(removalKgS(amps * 100, REMOVAL_J_PER_KG_STEEL), 7850),
	depthOverWidth: depthOverWidth(angleDeg),
	speedMmS: HAND_GOUGE_MM_S,
	deepestMm: Infinity,
	wovenMostMm: Infinity
});
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

type Gouge = Cut['gouge'];
const asked = (
	gouge: Partial<Gouge>,
	{ bench = BAY_2, evidence = NO_EVIDENCE }: { bench?: typeof BAY_2; evidence?: Evidence } = {}
) => {
	const inputs = {
		bench,
		cut: { ...DEFAULT_CUT, gouge: { ...DEFAULT_CUT.gouge, asked: true, ...gouge } },
		evidence,
		settings: DEFAULT_SETTINGS,
		work: bench.usual,
		chart: null
	};
	const result = plan(inputs);
	return {
		...result,
		inputs,
		said: saidOf(inputs)
			.findings.filter(({ station }) => station === 'gouge')
			.map(({ text }) => text)
			.join(' ')
	};
};

describe('what an arc throws out', () => {
	it('takes what it says: speed times section times density is the removal', () => {
		fc.assert(
			fc.property(number(1e-4, 2e-3), number(2000, 9000), number(1, 60), (kgS, density, area) => {
				expect(gougeSpeedMmS(kgS, density, area) * area * density * 1e-9).toBeCloseTo(kgS, 12);
			})
		);
	});

	it('takes of copper no more than of steel, of aluminium twice the volume', () => {
		expect(removalEnergyJPerKg(METALS['mild-steel'])).toBeCloseTo(1.28e6, 0);
		const volume = (metal: MetalId) =>
			removalMm3S(removalKgS(5000, removalEnergyJPerKg(METALS[metal])), METALS[metal].densityKgM3);
		const steel = volume('mild-steel');
		// Common practice: copper leads the heat away and is slow to gouge, aluminium melts off fast.
		expect(volume('copper')).toBeLessThan(steel);
		expect(volume('aluminium') / steel).toBeGreaterThan(1.5);
		expect(volume('aluminium') / steel).toBeLessThan(3);
		for (const metal of METAL_IDS) expect(volume(metal) / steel, metal).toBeLessThan(3);
	});

	it('goes deeper the steeper it is held', () => {
		expect(depthOverWidth(45)).toBeCloseTo(0.44, 9);
		expect(depthOverWidth(30)).toBeLessThan(depthOverWidth(40));
	});
});

describe('strings side by side', () => {
	it('count metal once: one is a parabola, more never reach their sum', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 20 }),
				number(2, 12),
				number(0.5, 5),
				(n, width, depth) => {
					const union = stringsAreaMm2(n, width, depth);
					expect(union).toBeLessThanOrEqual(n * stringAreaMm2(width, depth) + 1e-9);
					expect(union).toBeLessThan(coveredMm(n, width) * depth);
					expect(stringsAreaMm2(n + 1, width, depth)).toBeGreaterThan(union);
				}
			)
		);
	});

	it('have nothing at their edges and all in their middle', () => {
		expect(depthAtMm(6, 2, 0)).toBe(2);
		expect(depthAtMm(6, 2, 3)).toBe(0);
		expect(depthAtMm(6, 2, 9)).toBe(0);
	});
});

describe('a section', () => {
	// ISO 2553: z = a·√2 of a fillet with equal legs; a 5 mm throat is a leg of 7.07 mm.
	it('of a fillet may be told by its throat', () => {
		expect(legsOfThroat([6, 6], 5)[0]).toBeCloseTo(7.071, 3);
		expect(throatMm(legsOfThroat([6, 9], 4))).toBeCloseTo(4, 12);
		expect(legsOfThroat([6, 9], 4)[1] / legsOfThroat([6, 9], 4)[0]).toBeCloseTo(1.5, 12);
	});
	it('of a fillet has the triangle and its convexity, and keeps the grinder’s share at both plates', () => {
		const { wholeMm2, depthMm, bottomMm, staysMm, topMm } = sectionOf(
			{ ...SIZE, target: 'fillet', legMm: 8 },
			0.5,
			Infinity
		);
		expect(wholeMm2).toBeCloseTo(36.8, 9);
		// Half a millimetre square to each plate is √2 of it down the middle.
		expect(8 / Math.SQRT2 - depthMm).toBeCloseTo(0.5 * Math.SQRT2, 9);
		expect(staysMm(1) - bottomMm(1)).toBeCloseTo(0.5 * Math.SQRT2, 9);
		// What stands over the face makes up the convexity.
		const face = 8 * Math.SQRT2;
		let over = 0;
		for (let x = -face / 2; x < face / 2; x += 0.001) over -= topMm(x) * 0.001;
		expect(over).toBeCloseTo((FILLET_CONVEXITY - 1) * 32, 1);
	});

	it('of a pad or a cap goes down beside nothing: past its sides the plate stands as it is', () => {
		const pad = sectionOf({ ...SIZE, target: 'facing', widthMm: 40, depthMm: 5 }, 1, Infinity);
		expect([pad.bottomMm(-20), pad.bottomMm(20), pad.bottomMm(20.1)]).toEqual([4, 4, 0]);
		// A parabola 5 high and 20 wide, cut a millimetre above the plate, is √(4/5) as wide there.
		const cap = sectionOf({ ...SIZE, target: 'butt', widthMm: 20, depthMm: 5 }, 1, Infinity);
		const half = 10 * Math.sqrt(0.8);
		expect(cap.widthMm).toBeCloseTo(2 * half, 9);
		expect([cap.bottomMm(half - 0.01), cap.bottomMm(half + 0.01)]).toEqual([4, 0]);
		expect(5 - cap.topMm(half)).toBeCloseTo(1, 9);
	});

	// The right triangle of 6, 8 and 10: its height stands 3.6 and 6.4 from the ends (Euclid VI.8).
	it('of a fillet with unequal legs has its root off the middle of its face', () => {
		const size = { ...SIZE, target: 'fillet', legMm: 8, upLegMm: 6 } as const;
		const { wholeMm2, depthMm, widthMm, midMm, bottomMm, staysMm, topMm } = sectionOf(
			size,
			0,
			Infinity
		);
		expect(wholeMm2).toBeCloseTo(1.15 * 24, 9);
		expect([depthMm, widthMm, midMm]).toEqual([
			expect.closeTo(4.8, 9),
			expect.closeTo(10, 9),
			expect.closeTo(0, 9)
		]);
		expect(bottomMm(-1.4)).toBeCloseTo(4.8, 9);
		expect(bottomMm(-1.4 - 1.8)).toBeCloseTo(2.4, 9);
		expect(bottomMm(-1.4 + 3.2)).toBeCloseTo(2.4, 9);
		expect(bottomMm(5.1)).toBe(0);
		expect(staysMm(2)).toBeCloseTo(bottomMm(2), 9);
		expect(topMm(0)).toBeLessThan(0);
		expect(topMm(5)).toBeCloseTo(0, 12);
	});
	it('property: what the grinder takes lies square to either plate, and swapped legs are its mirror', () => {
		fc.assert(
			fc.property(number(4, 14), number(4, 14), number(0, 1), (legMm, upLegMm, grindMm) => {
				const of = (a: number, b: number) =>
					sectionOf({ ...SIZE, target: 'fillet', legMm: a, upLegMm: b }, grindMm, Infinity);
				const [one, other] = [of(legMm, upLegMm), of(upLegMm, legMm)];
				expect(other.widthMm).toBeCloseTo(one.widthMm, 9);
				expect(other.midMm).toBeCloseTo(-one.midMm, 9);
				const face = Math.hypot(legMm, upLegMm);
				for (const share of [-0.45, -0.2, 0, 0.3, 0.45]) {
					const x = share * one.widthMm;
					expect(other.bottomMm(-x)).toBeCloseTo(one.bottomMm(x), 9);
					expect(other.topMm(-x)).toBeCloseTo(one.topMm(x), 9);
					// Where the floor lies in the plane of the plates: the flat one along x, the other up y.
					const along = x + one.midMm;
					const down = one.bottomMm(x);
					const flat = legMm / 2 + (along * legMm - down * upLegMm) / face;
					const up = upLegMm / 2 - (along * upLegMm + down * legMm) / face;
					expect(Math.min(flat, up)).toBeCloseTo(grindMm, 9);
				}
			})
		);
	});

	it('keeps the greater of 2 mm and a quarter of the plate', () => {
		expect(ligamentMm(6)).toBe(2);
		expect(ligamentMm(20)).toBe(5);
	});

	it('of a butt’s cap is a segment of a parabola: two thirds of its width by its height (Archimedes)', () => {
		const [widthMm, heightMm] = [12, 3];
		const cap = sectionOf({ ...SIZE, target: 'butt', widthMm, depthMm: heightMm }, 0, 20);
		const standsMm = (x: number) => heightMm - cap.topMm(x);
		expect(standsMm(0)).toBe(heightMm);
		expect(standsMm(-widthMm / 2)).toBeCloseTo(0, 9);
		const step = widthMm / 1000;
		let areaMm2 = 0;
		for (let x = -widthMm / 2 + step / 2; x < widthMm / 2; x += step) areaMm2 += standsMm(x) * step;
		expect(areaMm2).toBeCloseTo((2 / 3) * widthMm * heightMm, 3);
		expect(cap.wholeMm2).toBeCloseTo(areaMm2, 3);
	});

	it('of a spot holds half of its cylinder', () => {
		expect(spotMm3(8, 3)).toBeCloseTo((Math.PI * 16 * 3) / 2, 9);
	});
});

describe('the strings of a section', () => {
	const ANY = fc.record({
		target: fc.constantFrom('groove', 'fillet', 'butt', 'facing', 'back'),
		widthMm: number(3, 30),
		depthMm: number(0.6, 8),
		legMm: number(3, 14),
		upLegMm: fc.option(number(3, 14)),
		rootRadiusMm: number(3, 8)
	});
	it('property: take what they tell, stay out of what must stay, and leave what they say', () => {
		fc.assert(
			fc.property(
				ANY,
				fc.constantFrom(20, 30, 45, 80),
				fc.constantFrom(35, 40, 45),
				number(0, 1),
				(size, amps, angle, grindMm) => {
					const section = sectionOf(size, grindMm, 20);
					const hand = handAt(amps, angle);
					const layout = layoutOf(section, hand);
					if (!layout || layout === 'many') return;
					const step = layout.xs[1]! - layout.xs[0]!;
					let before = layout.top;
					for (const string of layout.strings) {
						let taken = 0;
						string.floor.forEach((y, i) => {
							expect(y).toBeGreaterThanOrEqual(before[i]! - 1e-9);
							// Half a tenth is the search's own.
							expect(y).toBeLessThanOrEqual(
								Math.max(before[i]!, section.staysMm(layout.xs[i]!)) + 0.05
							);
							taken += (y - before[i]!) * step;
						});
						expect(taken).toBeCloseTo(string.areaMm2, 6);
						// Mass balance: what the arc throws out at this travel is what is gone.
						expect(string.areaMm2 * string.speedMmS).toBeCloseTo(hand.removalMm3S, 6);
						// Its edges are told to a place of the section.
						expect(string.depthMm).toBeLessThan(string.toMm - string.fromMm + step + 0.05);
						before = string.floor;
					}
					layout.xs.forEach((x, i) => {
						if (Math.abs(x) > section.widthMm / 2) return;
						const stands = Math.max(section.bottomMm(x), layout.top[i]!) - before[i]!;
						expect(stands).toBeLessThanOrEqual(1.7 * section.mayStandMm(x) + 1e-9);
						expect(stands).toBeLessThanOrEqual(layout.leftMm + 1e-9);
					});
				}
			),
			{ numRuns: 60 }
		);
	});

	it('property: each is the best of all there are, also of those that failed before', () => {
		fc.assert(
			fc.property(ANY, fc.constantFrom(20, 45, 80), number(0, 1), (size, amps, grindMm) => {
				const ground = groundOf(sectionOf(size, grindMm, 20));
				const hand = handAt(amps);
				const [slow, fast] = hand.speedMmS;
				const all = () => triesOf(ground, hand, [slow, Math.sqrt(slow * fast), fast], 0.15);
				const tries = all();
				const worth = (s: NonNullable<ReturnType<typeof bestOf>>) =>
					s.askedMm2 - 0.5 * (s.areaMm2 - s.askedMm2) - 0.02 * s.weaveMm;
				let floor = ground.top;
				for (let pushed = 0; pushed < 8; pushed++) {
					const best = bestOf(ground, floor, hand, tries);
					// One at a time there is nothing that it could be measured by or left out for.
					const alone = all().flatMap((one) => bestOf(ground, floor, hand, [one]) ?? []);
					expect(best === undefined).toBe(alone.length === 0);
					if (!best) return;
					expect(worth(best)).toBeCloseTo(Math.max(...alone.map(worth)), 8);
					const { bottomMm, curve, xMm } = best;
					floor = floor.map((y, i) => Math.max(y, bottomMm - curve * (ground.xs[i]! - xMm) ** 2));
				}
			}),
			{ numRuns: some(60) }
		);
	});

	it('are one for a groove as the bore makes it, at the travel of the trade', () => {
		// 45 A, 40°: about 7 mm wide, near 8 mm/s (5 to 8 mm at 16 to 6.4 mm/s, common practice).
		const [only, ...more] = strung(sectionOf(SIZE, 0.5, 4), handAt(45)).strings;
		expect(more).toEqual([]);
		expect(only!.speedMmS).toBeGreaterThan(6);
		expect(only!.speedMmS).toBeLessThan(11);
		expect(only!.toMm - only!.fromMm).toBeGreaterThan(6);
		expect(only!.toMm - only!.fromMm).toBeLessThan(8.5);
	});

	it('are more with fewer amps', () => {
		const count = (amps: number) =>
			strung(sectionOf({ ...SIZE, target: 'fillet', legMm: 10 }, 0.5, 20), handAt(amps)).strings
				.length;
		expect(count(20)).toBeGreaterThan(count(45));
		expect(count(45)).toBeGreaterThan(count(80));
	});

	it('weave no wider than the bore’s arc reaches, and are more then', () => {
		const section = sectionOf({ ...SIZE, widthMm: 12, depthMm: 3 }, 0, 12);
		const free = strung(section, handAt(45));
		// 1.6 mm make 5 to 8 mm pushed straight (common practice).
		const held = strung(section, { ...handAt(45), wovenMostMm: 8 });
		const widest = ({ strings }: Layout) =>
			Math.max(...strings.filter((s) => s.weaveMm > 0).map((s) => s.toMm - s.fromMm), 0);
		expect(widest(free)).toBeGreaterThan(9);
		expect(widest(held)).toBeLessThan(8.3);
		expect(held.strings.length).toBeGreaterThan(free.strings.length);
	});

	it('reach the bottom of a groove: what it is for lies there', () => {
		for (const depthMm of [2, 3, 4, 6]) {
			const layout = strung(sectionOf({ ...SIZE, widthMm: 15, depthMm }, 0, 20), handAt(45));
			const middle = Math.floor(layout.xs.length / 2);
			expect(layout.strings.at(-1)!.floor[middle]!).toBeGreaterThan(depthMm - 0.26);
		}
	});
});

describe('a groove in the Plan', () => {
	it('says no with a way out, and no number where there is no answer', () => {
		const no = (gouge: Partial<Gouge>) => {
			const { figures, stations, said, groove } = asked(gouge);
			expect(figures['gouge.strings'].value).toBeNull();
			expect(figures['gouge.pieceS'].value).toBeNull();
			expect(groove).toBeNull();
			// It stops before it starts, with nothing to spare.
			expect(stations.gouge).toMatchObject({ verdict: 'stops', stopsAtS: 0 });
			return { word: stations.gouge.word, said };
		};
		expect(no({ depthMm: 8, widthMm: 9, plateMm: 3 })).toMatchObject({
			word: 'into the plate',
			said: expect.stringContaining('at most {2} deep') as string
		});
		expect(no({ depthMm: 6, widthMm: 4, plateMm: 20 }).said).toContain('Deeper than wide');
		expect(no({ angleFromPlateDeg: 25 }).said).toContain('skids');
		expect(no({ angleFromPlateDeg: 55 }).said).toContain('blows back');
		expect(no({ outputA: 60 }).said).toContain('bear');
		expect(no({ outputA: 5 }).said).toContain('does not go below');
		expect(no({ target: 'fillet', legMm: 2, grindMm: 1.5 }).word).toBe('nothing left to gouge');
		expect(no({ target: 'facing', widthMm: 60, depthMm: 20, plateMm: 40 })).toMatchObject({
			word: 'too much to gouge',
			said: expect.stringContaining('More than 30 strings') as string
		});
		expect(no({ target: 'score', widthMm: 1, depthMm: 0.3, outputA: 45 })).toMatchObject({
			word: 'no hand can',
			said: expect.stringContaining('No strings of a hand’s pace make it so') as string
		});
	});

	it('that is too little for so much arc is told amps that do make it, and none where none do', () => {
		let told = 0;
		for (const target of ['score', 'groove', 'fillet'] as const)
			for (const widthMm of [1, 2, 3, 5])
				for (const depthMm of [0.8, 2]) {
					const at = (outputA: number | null, way: Gouge['way'] = 'deep') =>
						asked({ target, widthMm, depthMm, legMm: widthMm, plateMm: 12, outputA, way });
					const made = (outputA: number | null, way: Gouge['way'] = 'deep') =>
						at(outputA, way).groove !== null;
					for (const way of ['deep', 'light'] as const) {
						const full = at(45, way);
						if (full.stations.gouge.word !== 'no hand can') continue;
						const free = at(null, way);
						const { values } =
							saidOf(full.inputs).findings.find(({ text }) => text.endsWith('do it.')) ?? {};
						const fewerA = (values?.['0'] as { value: number } | undefined)?.value ?? NaN;
						expect(Number.isNaN(fewerA), full.said).toBe(free.groove === null);
						expect(full.said.includes('take deep ones'), full.said).toBe(
							free.groove === null && way === 'light' && made(null)
						);
						if (Number.isNaN(fewerA)) continue;
						told++;
						expect(fewerA).toBeLessThan(45);
						expect(made(fewerA, way), `${target} ${widthMm} × ${depthMm} at ${fewerA} A`).toBe(
							true
						);
					}
				}
		expect(told).toBeGreaterThan(5);
	});

	it('is judged at its own amps and pace, and only while it lasts', () => {
		const one = asked({ target: 'fillet', legMm: 8, lengthMm: 420, plateMm: 12 });
		expect(one.stations.gouge.verdict).toBe('holds');
		const many = asked({ target: 'fillet', legMm: 8, lengthMm: 420, plateMm: 12, pieces: 12 });
		expect(many.stations.gouge.verdict).toBe('stops');
		const check = many.checks.find(({ id }) => id === 'gouge.currentA')!;
		expect(check.part).toBe('Cutter');
		expect(check.stopsAtS!).toBeGreaterThan(300);
		// The cut beside it is not touched by it.
		expect(many.stations.supply).toEqual(one.stations.supply);
		expect(many.figures['setup.currentA']).toEqual(one.figures['setup.currentA']);
	});

	it('is another one with another leg, and tight where a test groove makes strings too wide for the bore', () => {
		const area = (upLegMm: number | null) =>
			asked({ target: 'fillet', legMm: 8, upLegMm, plateMm: 12 }).figures['gouge.areaMm2'].value!;
		const [same, longer] = [area(null), area(11)];
		expect(longer).toBeGreaterThan(1.25 * same);
		expect(area(8)).toBeCloseTo(same, 9);
		const key = grooveKey('mild-steel', 45);
		const flat: Evidence = {
			...NO_EVIDENCE,
			gouge: {
				[key]: {
					removal: { n: 9, mean: 0.6, spread: 0.03 },
					shape: { n: 9, mean: -1, spread: 0.03 }
				}
			}
		};
		const wide = { widthMm: 16, depthMm: 2, plateMm: 12, outputA: 45 };
		const bore = (evidence: Evidence) =>
			asked(wide, { evidence }).checks.find(({ id }) => id === 'gouge.widestMm');
		expect(bore(NO_EVIDENCE)).toMatchObject({ verdict: 'holds', part: 'Bore' });
		expect(bore(flat)).toMatchObject({ verdict: 'tight', word: 'wide for the bore' });
	});

	it('leaves the cut alone, asked for or not', () => {
		const with_ = asked({});
		const without = asked({ asked: false });
		for (const id of ['setup.speedMmS', 'supply.breakerPeak', 'wear.cutsLeft'] as const)
			expect(with_.figures[id]).toEqual(without.figures[id]);
		expect(without.groove).toBeNull();
		expect(without.checks.some(({ station }) => station === 'gouge')).toBe(false);
	});

	it('follows a test groove: more metal than the model means less time', () => {
		const groove = { widthMm: 8, depthMm: 3, lengthMm: 150, seconds: 15, angleFromPlateDeg: 40 };
		const model = asked({ target: 'back', plateMm: 16, depthMm: 5, outputA: 45 });
		const perS = (model.figures['gouge.removalKgH'].value! / 3600) * (1e9 / 7850);
		const evidence: Evidence = {
			...NO_EVIDENCE,
			gouge: {
				'mild-steel 45': {
					removal: { n: 1, mean: removalRead(groove, perS), spread: GROOVE_READING },
					shape: { n: 1, mean: shapeRead(groove), spread: GROOVE_READING }
				}
			}
		};
		const tested = asked({ target: 'back', plateMm: 16, depthMm: 5, outputA: 45 }, { evidence });
		expect(tested.figures['gouge.removalKgH'].basis).toBe('T');
		const moved =
			tested.figures['gouge.removalKgH'].value! / model.figures['gouge.removalKgH'].value!;
		// Belief and reading meet in between, nearer to the reading.
		const read = Math.exp(removalRead(groove, perS));
		expect(moved).toBeGreaterThan(1 + 0.5 * (read - 1));
		expect(moved).toBeLessThan(read);
		expect(tested.figures['gouge.pieceS'].value!).toBeLessThan(
			model.figures['gouge.pieceS'].value!
		);
		const band = ([low, high]: [number, number]) => high / low;
		expect(band(tested.figures['gouge.pieceS'].band!)).toBeLessThan(
			band(model.figures['gouge.pieceS'].band!)
		);
		// In another metal nothing is known of it.
		const other = asked({ metal: 'stainless' }, { evidence });
		expect(other.figures['gouge.removalKgH'].basis).toBe('M');
	});

	it('takes few amps for marks and spots, with the torch upright by seconds', () => {
		const dimple = asked({ target: 'dimple', widthMm: 6, depthMm: 2 });
		expect(dimple.figures['gouge.currentA'].value).toBe(25);
		expect(dimple.figures['gouge.stringS'].value!).toBeGreaterThan(0.2);
		expect(dimple.figures['gouge.stringS'].value!).toBeLessThan(3);
		expect(dimple.groove).toBeNull();
	});

	it('does light work with ordinary parts, and nothing else', () => {
		const bench = {
			...BAY_2,
			torch: { ...BAY_2.torch, nozzles: BAY_2.torch.nozzles.filter(({ kind }) => kind === 'cut') }
		};
		const none = asked({}, { bench });
		expect(none.stations.gouge).toMatchObject({
			verdict: 'not set',
			word: 'no gouging nozzle'
		});
		// Nothing that is not made throws out metal.
		expect(none.figures['gouge.removalKgH'].value).toBeNull();
		expect(
			asked({ target: 'tack', widthMm: 8, depthMm: 3 }, { bench }).figures['gouge.strings'].value
		).toBe(1);
	});

	it('has no pressure to set where the cutter makes its own air', () => {
		const air = (source: 'compressor' | 'built-in') =>
			asked({}, { bench: { ...BAY_2, air: { ...BAY_2.air, source } } }).figures['gouge.airBar'];
		expect(air('compressor').value).toBeGreaterThan(2);
		expect(air('built-in')).toMatchObject({ value: null });
	});
});

describe('what grooves cost the parts', () => {
	it('counts every string as a start and its arc, as the log does', () => {
		const of = tallyOf({
			kind: 'groove',
			metal: 'mild-steel',
			outputA: 45,
			nozzleA: 45,
			lengthMm: 2100,
			arcS: 180,
			starts: 5
		});
		expect(of).toMatchObject({ starts: 5, arcMs: 180_000, loadMs: 180_000, piercesStraight: 0 });
	});

	it('is by hand: 3 µm a start, 6 µm an arc minute times the load, to 1.5 mm', () => {
		for (const outputA of [25, 45]) {
			const { figures } = asked({ target: 'fillet', legMm: 8, plateMm: 12, outputA });
			const load = (outputA / 45) ** 1.5;
			const perPieceUm =
				3 * figures['gouge.strings'].value! + (6 * load * figures['gouge.pieceS'].value!) / 60;
			expect(figures['gouge.piecesLeft'].value).toBe(Math.floor(1500 / perPieceUm + 1e-9));
		}
	});
});

describe('amps nobody asked for', () => {
	it('are full where a hand follows, though a string is a hair over its travel', () => {
		expect(asked({}).figures['gouge.currentA'].value).toBe(45);
		expect(
			asked({ target: 'back', depthMm: 5, plateMm: 16 }).figures['gouge.currentA'].value
		).toBeGreaterThanOrEqual(36);
	});

	it('are fewer where full amps hurry the hand, and told', () => {
		const { figures, said, stations } = asked({ target: 'fillet', legMm: 3 });
		expect(figures['gouge.currentA'].value!).toBeLessThan(45);
		expect(figures['gouge.currentA'].value!).toBeGreaterThan(22);
		expect(figures['gouge.fastMmS'].value!).toBeLessThan(17);
		expect(stations.gouge.verdict).toBe('holds');
		expect(said).toContain('turned down');
		expect(asked({ target: 'fillet', legMm: 3, outputA: 25 }).said).not.toContain('turned down');
	});

	it('do not stop or tighten one string of half a minute by the heat of a whole day', () => {
		const { checks } = asked({ outputA: 45 });
		const check = checks.find(({ id }) => id === 'gouge.currentA')!;
		expect(check.verdict).toBe('holds');
		expect(check.part).not.toBe('Cutter');
	});
});

describe('a belief about removal', () => {
	it('is the model’s before anything was measured, and narrows with every groove', () => {
		expect(factorOf(undefined, REMOVAL_PRIOR)).toEqual({
			factor: 1,
			spread: REMOVAL_PRIOR,
			from: 0
		});
		const once = factorOf({ n: 1, mean: 0.3, spread: 0.12 }, REMOVAL_PRIOR);
		const thrice = factorOf({ n: 3, mean: 0.3, spread: 0.12 / Math.sqrt(3) }, REMOVAL_PRIOR);
		expect(once.factor).toBeGreaterThan(1);
		expect(once.factor).toBeLessThan(Math.exp(0.3));
		expect(thrice.spread).toBeLessThan(once.spread);
		// Closed form of two normals: precisions add, the mean is weighted by them.
		const [prior, read] = [1 / 0.25 ** 2, 1 / 0.12 ** 2];
		expect(Math.log(once.factor)).toBeCloseTo((0.3 * read) / (prior + read), 12);
	});
});

describe('reading a groove', () => {
	const now = { angleFromPlateDeg: 40, speedMmS: 10, spotS: null, outputA: 45, airBar: 4.8 };
	it('gives one change with its figure, inside the angles of a groove', () => {
		expect(correctionFor('shallow', now)).toEqual({ what: 'steeper', value: 45 });
		expect(correctionFor('shallow', { ...now, angleFromPlateDeg: 45 })).toEqual({
			what: 'slower',
			value: 8.5
		});
		expect(correctionFor('deep', now)).toEqual({ what: 'flatter', value: 35 });
		expect(correctionFor('deep', { ...now, angleFromPlateDeg: 30 }).what).toBe('faster');
		expect(correctionFor('undercut', now)).toEqual({ what: 'faster', value: 11.5 });
		expect(correctionFor('blow-back', { ...now, angleFromPlateDeg: 32 }).value).toBe(30);
		expect(correctionFor('black', now)).toEqual({ what: 'air', value: 4.8 });
		expect(correctionFor('slag', now).what).toBe('push');
		expect(correctionFor('out', now).what).toBe('closer');
	});
	it('of a spot it is the seconds that change, never travel, angle or pushing', () => {
		const spot = { ...now, speedMmS: null, spotS: 2 };
		expect(correctionFor('shallow', spot)).toEqual({ what: 'longer', value: 2.3 });
		expect(correctionFor('deep', spot)).toEqual({ what: 'shorter', value: 1.7 });
		expect(correctionFor('blow-back', spot)).toEqual({ what: 'shorter', value: 1.7 });
		for (const fault of SPOT_FAULTS)
			expect(['longer', 'shorter', 'air', 'closer'], fault).toContain(
				correctionFor(fault, spot).what
			);
	});
});

it('what stands on the plate is taken off it, what lies in it goes into it', () => {
	for (const on of ['fillet', 'butt', 'facing', 'tack'] as const)
		expect(goesIntoPlate(on), on).toBe(false);
	for (const into of ['dimple', 'score', 'mark'] as const)
		expect(goesIntoPlate(into), into).toBe(true);
});
