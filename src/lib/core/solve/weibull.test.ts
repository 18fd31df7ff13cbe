import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dice } from '../../../../tests/pictures/lens';
import { remainingLife, remainingLifeUnsure, weibullFit } from './weibull';

/** The life that a share `surviving` outlasts. */
const lifeOf = (shape: number, scale: number, surviving: number) =>
	scale * (-Math.log(surviving)) ** (1 / shape);

describe('what few lives leave open', () => {
	it('of many lives is 0.608/n for the shape (Thoman, Bain and Antle 1969, from memory)', () => {
		const n = 2000;
		for (const shape of [1.3, 2.5]) {
			const ended = Array.from({ length: n }, (_, i) => lifeOf(shape, 800, (i + 0.5) / n));
			expect(n * weibullFit(ended, [])!.lnShapeSpread ** 2).toBeCloseTo(0.608, 1);
		}
	});

	it('of a shape that is known is the scale alone, by Fisher’s distribution with 2 and 2r degrees', () => {
		const belief = { shape: 2.5, spread: 1e-6 };
		const ended = [500, 700, 900];
		for (const running of [[], [300, 900, 1200]]) {
			const fit = weibullFit(ended, running, belief)!;
			const sum = [...ended, ...running].reduce((s, t) => s + t ** 2.5, 0);
			// F with 2 and 6 degrees: a tenth lies above 3.463 (handbook table).
			expect(remainingLifeUnsure(fit, 0, 0.1)).toBeCloseTo(((sum * 3.463) / 3) ** (1 / 2.5), 0);
		}
	});

	it('a band of eight in ten holds the next life eight times in ten; the likeliest alone is too sure', () => {
		const d = dice(5);
		const SHOPS = 1500;
		const belief = { shape: 2.5, spread: 0.18 };
		let [unsure, likeliest] = [0, 0];
		for (let shop = 0; shop < SHOPS; shop++) {
			const shape = belief.shape * Math.exp(belief.spread * d.normal());
			const life = () => lifeOf(shape, 1000, 1 - d.next());
			const fit = weibullFit([life(), life(), life()], [], belief)!;
			const next = life();
			const holds = (of: typeof remainingLife) =>
				next > of(fit, 0, 0.9) && next < of(fit, 0, 0.1) ? 1 : 0;
			unsure += holds((_, age, surviving) => remainingLifeUnsure(fit, age, surviving));
			likeliest += holds(remainingLife);
		}
		expect(unsure / SHOPS).toBeGreaterThan(0.76);
		expect(unsure / SHOPS).toBeLessThan(0.84);
		expect(likeliest / SHOPS).toBeLessThan(0.73);
	});

	it('property: is never below nothing, grows as fewer are to survive, and shrinks to the likeliest', () => {
		const lives = fc.array(fc.double({ min: 100, max: 2000, noNaN: true }), {
			minLength: 1,
			maxLength: 8
		});
		fc.assert(
			fc.property(lives, fc.double({ min: 0, max: 3000, noNaN: true }), (ended, age) => {
				const belief = { shape: 2.5, spread: 0.18 };
				const fit = weibullFit(ended, [], belief)!;
				let before = -1e-3;
				for (const surviving of [0.95, 0.9, 0.5, 0.1]) {
					const left = remainingLifeUnsure(fit, age, surviving);
					expect(left).toBeGreaterThan(before);
					before = left;
				}
				const many = weibullFit(Array.from({ length: 200 }, () => ended).flat(), [], belief);
				// All alike: the shape grows without bound.
				if (!many) return;
				const sure = remainingLife(many, 0, 0.1);
				expect(Math.abs(remainingLifeUnsure(many, 0, 0.1) / sure - 1)).toBeLessThan(0.03);
			}),
			{ numRuns: 100 }
		);
	});
});
