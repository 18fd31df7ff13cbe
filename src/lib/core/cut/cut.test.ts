import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shades } from '../safety/shade';
import { airWearFactor, growthUm, nozzleLoad, NO_USE, RATES_UM } from '../wear/electrode';
import { ladderA } from './amps';
import {
	aimShiftMm,
	bottomShiftMm,
	circleRadiusMm,
	guideOffsetMm,
	offsetAfterFirstMm,
	scrapMm,
	surfaceKerfMm
} from './guide';
import { startCapacity, startMethod } from './start';
import { startOptions } from '../wear/starts';
import { surelySeversMm } from './workings';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('a thickness that surely severs', () => {
	it('is the one that nine of ten torches of that spread sever', () => {
		// The tenth percentile of a lognormal; 1.28155: the normal distribution's, NIST/SEMATECH e-Handbook, from memory.
		fc.assert(
			fc.property(number(1, 60), number(0.01, 0.5), (severMm, spread) => {
				const surely = surelySeversMm(severMm, spread);
				expect(Math.log(severMm / surely) / spread).toBeCloseTo(1.28155, 3);
			})
		);
	});
});

describe('guides', () => {
	it('differ by exactly the kerf between the two sides, and lie about the shield radius', () => {
		fc.assert(
			fc.property(number(4, 20), number(0.5, 4), (radius, kerf) => {
				const [kept, waste] = [
					guideOffsetMm('kept', { shieldRadiusMm: radius, kerfMm: kerf }),
					guideOffsetMm('waste', { shieldRadiusMm: radius, kerfMm: kerf })
				];
				expect(waste - kept).toBeCloseTo(kerf, 12);
				expect((waste + kept) / 2).toBeCloseTo(radius, 12);
			})
		);
	});

	it('leave a hole and a disc of the same drawn diameter a kerf apart', () => {
		expect(circleRadiusMm('disc', 100, 1.5) - circleRadiusMm('hole', 100, 1.5)).toBeCloseTo(
			1.5,
			12
		);
	});
});

describe('starts', () => {
	it('go from straight to rolled to none as the plate thickens', () => {
		const capacity = startCapacity(12, 22);
		const starts = [3, 6, 6.1, 11, 11.1, 22, 22.1].map((t) =>
			startMethod({ start: 'pierce' }, t, capacity)
		);
		expect(starts).toEqual(['pierce', 'pierce', 'rolled', 'rolled', 'none', 'none', 'none']);
	});
});

describe('every way to start', () => {
	const at = (thicknessMm: number, cut = {}) =>
		startOptions({
			cut,
			thicknessMm,
			referenceMmS: 20,
			capacity: startCapacity(12, 22),
			rates: RATES_UM,
			limitUm: 1500
		});
	const words = (thicknessMm: number) => at(thicknessMm).map(({ fits }) => fits);

	it('fits, is tight or too thick by its own limit', () => {
		expect(words(5)).toEqual(['fits', 'fits', 'fits', 'fits', 'fits']);
		expect(words(9)).toEqual(['fits', 'too thick', 'tight', 'tight', 'fits']);
		expect(words(15)).toEqual(['fits', 'too thick', 'too thick', 'too thick', 'fits']);
		expect(words(30)).toEqual(Array<string>(5).fill('too thick'));
	});
	it('are not from an edge in a hole', () => {
		const ways = (circleOf: string) =>
			at(5, { guide: 'circle', circleOf }).map(({ method }) => method);
		expect(ways('hole')).toEqual(['pierce', 'rolled', 'hover', 'drilled']);
		expect(ways('disc')).toContain('edge');
	});
	it('costs the parts least from an edge and most straight down', () => {
		const [edge, pierce, rolled, hover] = at(5).map(({ wearUm }) => wearUm);
		expect([edge, rolled, hover, pierce]).toEqual([3, 5, 5, 9]);
		expect(at(5).map(({ perLife }) => perLife)).toEqual([500, 166, 300, 300, 500]);
	});
	it('takes longer the thicker the plate, and has no time where it does not go through', () => {
		const times = (mm: number) => at(mm).map(({ throughS }) => throughS);
		times(5).forEach((s, i) => expect(s!).toBeLessThan(at(6)[i]!.throughS ?? 0));
		expect(times(30)).toEqual(Array<null>(5).fill(null));
	});
	it('is asked for by name: nothing is pierced when an edge start was meant', () => {
		const capacity = startCapacity(12, 22);
		expect(startMethod({ start: 'edge' }, 15, capacity)).toBe('edge');
		expect(startMethod({ start: 'edge' }, 23, capacity)).toBe('none');
		expect(startMethod({ start: 'hover' }, 4, capacity)).toBe('hover');
		expect(startMethod({ start: 'hover' }, 12, capacity)).toBe('none');
		expect(startMethod({ start: 'drilled' }, 20, capacity)).toBe('drilled');
	});
	it('in a hole: pierced, rolled, or in a drilled hole; a disc has its edge', () => {
		const capacity = startCapacity(12, 22);
		const hole = (mm: number) =>
			startMethod({ start: 'edge', guide: 'circle', circleOf: 'hole' }, mm, capacity);
		expect([3, 9, 15, 23].map(hole)).toEqual(['pierce', 'rolled', 'drilled', 'none']);
		expect(startMethod({ start: 'edge', guide: 'circle', circleOf: 'disc' }, 9, capacity)).toBe(
			'edge'
		);
	});
});

describe('a bevel', () => {
	it('grows across the cut by 1/cos, and by nothing upright', () => {
		expect(surfaceKerfMm(1.5, 0)).toBe(1.5);
		expect(surfaceKerfMm(1.5, 60)).toBeCloseTo(3, 12);
		const edge = { shieldRadiusMm: 12, kerfMm: 2, bevelDeg: 45 };
		expect(guideOffsetMm('kept', edge)).toBeCloseTo(11 * Math.SQRT2, 12);
	});
	it('lands where two lines cross that are drawn by coordinates', () => {
		// The face of the guide starts at the toe (0, 0) and leans back; the axis lies R beside it.
		const [radius, kerf, deg] = [12, 1.6, 37];
		const b = (deg * Math.PI) / 180;
		const along = [Math.sin(b), -Math.cos(b)] as const;
		const beside = [Math.cos(b), Math.sin(b)] as const;
		const surface = (distance: number) => {
			const point = [distance * beside[0], distance * beside[1]] as const;
			return point[0] - (point[1] / along[1]) * along[0];
		};
		const edge = { shieldRadiusMm: radius, kerfMm: kerf, bevelDeg: deg };
		expect(guideOffsetMm('kept', edge)).toBeCloseTo(surface(radius - kerf / 2), 12);
		expect(guideOffsetMm('waste', edge)).toBeCloseTo(surface(radius + kerf / 2), 12);
	});
	it('puts the bottom edge beside the top one, and the nozzle beside the line', () => {
		expect(bottomShiftMm(6, 45)).toBeCloseTo(6, 12);
		expect(aimShiftMm(1.5, 45)).toBeCloseTo(1.5, 12);
		expect(aimShiftMm(1.5, 0)).toBe(0);
	});
});

describe('scrap cut in two', () => {
	it('gives back the kerf and radius that cut it', () => {
		fc.assert(
			fc.property(number(4, 20), number(0.5, 4), number(20, 60), (radius, kerf, guideAtMm) => {
				const guideSideMm =
					guideAtMm + guideOffsetMm('kept', { shieldRadiusMm: radius, kerfMm: kerf });
				const piece = {
					wholeMm: 100,
					guideAtMm,
					guideSideMm,
					otherSideMm: 100 - guideSideMm - kerf
				};
				expect(scrapMm(piece).kerfMm).toBeCloseTo(kerf, 9);
				expect(scrapMm(piece).shieldRadiusMm).toBeCloseTo(radius, 9);
			})
		);
	});
});

describe('the amps ladder', () => {
	it('never falls with thickness and starts at 20 A', () => {
		expect(ladderA(0.5)).toBe(20);
		fc.assert(
			fc.property(number(0.3, 40), (t) => {
				expect(ladderA(t + 0.5)).toBeGreaterThanOrEqual(ladderA(t));
			})
		);
	});
});

describe('wear', () => {
	it('adds up start by start', () => {
		const use = {
			starts: 100,
			arcMin: 60,
			loadMin: 50,
			pilotS: 30,
			piercesRolled: 20,
			piercesStraight: 10
		};
		expect(growthUm(use)).toBe(300 + 300 + 15 + 40 + 60);
		expect(growthUm(NO_USE)).toBe(0);
	});

	it('grows with the amps on the nozzle: turned down to half it grows a third as fast a minute', () => {
		expect(nozzleLoad(45, 45)).toBe(1);
		expect(nozzleLoad(22.5, 45)).toBeCloseTo(0.354, 3);
	});

	it('grows faster in wet air, by a half at most, and without a cliff', () => {
		const at = (dewC: number, mistGH = 0) => airWearFactor({ dewC, mistGH }, 20);
		expect(at(0)).toBe(1);
		expect(at(40)).toBe(1.5);
		// Half of it where the dew point is that of the shop, all of it 5 K above, none 5 K below (own).
		expect([15, 18, 20, 25].map((dew) => at(dew))).toEqual([1, 1.15, 1.25, 1.5]);
		expect(at(0, 5)).toBe(1.25);
		for (let dew = 0; dew < 40; dew++) expect(at(dew + 1) - at(dew)).toBeLessThan(0.06);
	});
});

describe('filter shades', () => {
	it('never get lighter with more amps', () => {
		for (const system of ['north-america', 'iec'] as const) {
			fc.assert(
				fc.property(number(5, 390), (amps) => {
					expect(shades(amps + 10, system).advised).toBeGreaterThanOrEqual(
						shades(amps, system).advised
					);
				})
			);
		}
	});

	it('take the darker row at a shared bound and the European one only under IEC', () => {
		expect(shades(60, 'north-america').ansiLeast).toBe(8);
		expect(shades(65, 'north-america').advised).toBe(8);
		expect(shades(65, 'iec').advised).toBe(11);
		expect(shades(45, 'iec').european).toBe(0);
	});
});

describe('the guide after the first piece', () => {
	it('puts the next piece right, whatever the kerf and the radius really are', () => {
		const planned = { shieldRadiusMm: 12, kerfMm: 1.6 };
		const real = { shieldRadiusMm: 12.4, kerfMm: 2.1 };
		for (const side of ['kept', 'waste'] as const) {
			// On the kept side the edge lies beyond the guide, on the waste side before it.
			const sign = side === 'kept' ? 1 : -1;
			const offsetMm = guideOffsetMm(side, planned);
			const cameOut = (setMm: number) => 100 + sign * (guideOffsetMm(side, real) - setMm);
			const tooBigMm = cameOut(offsetMm) - 100;
			const then = offsetAfterFirstMm(side, { offsetMm, tooBigMm, edges: 1 });
			expect(cameOut(then)).toBeCloseTo(100, 9);
			// Both edges of the size were cut so: each is out by half.
			expect(offsetAfterFirstMm(side, { offsetMm, tooBigMm: 2 * tooBigMm, edges: 2 })).toBeCloseTo(
				then,
				9
			);
		}
	});
	it('on a circle guide moves the radius, for discs and for holes', () => {
		for (const kind of ['disc', 'hole'] as const) {
			const offsetMm = circleRadiusMm(kind, 100, 1.6);
			const sign = kind === 'disc' ? -1 : 1;
			const cameOut = (radiusMm: number) => 2 * (radiusMm + (sign * 2.1) / 2);
			const tooBigMm = cameOut(offsetMm) - 100;
			const then = offsetAfterFirstMm('circle', { offsetMm, tooBigMm, edges: 1 });
			expect(cameOut(then)).toBeCloseTo(100, 9);
		}
	});
});
