import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BAY_2, TROLLEY } from '../../../../scripts/demo/benches';
import { conductorsFor } from '../circuit/conductors';
import {
	DEFAULT_CUT,
	DEFAULT_SETTINGS,
	METAL_IDS,
	NO_EVIDENCE,
	plan,
	type Bench,
	type Cut,
	type FigureId,
	type Plan,
	type Work
} from '..';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

function planned(
	bench: Bench,
	options: { change?: (b: Bench) => void; cut?: Partial<Cut>; work?: Partial<Work> } = {}
): Plan {
	const copy = structuredClone(bench);
	options.change?.(copy);
	return plan({
		bench: copy,
		cut: { ...DEFAULT_CUT, ...options.cut },
		evidence: NO_EVIDENCE,
		work: { ...copy.usual, by: 'pattern', ...options.work },
		settings: DEFAULT_SETTINGS,
		chart: null
	});
}
/** A time at which something happens; never counts as later than any. */
const when = (p: Plan, id: FigureId) => p.figures[id].value ?? Infinity;
const hard: Partial<Work> = { arcS: 120, restS: 20, shopC: 30 };

describe('better things never make it worse', () => {
	it('a thicker wire never trips sooner, drops more or carries less', () => {
		for (const bench of [BAY_2, TROLLEY]) {
			const sizes = conductorsFor(bench.supply.system).slice(1);
			const plans = sizes.map((size) =>
				planned(bench, { work: hard, change: (b) => (b.supply.wire.size = size) })
			);
			for (let i = 1; i < plans.length; i++) {
				const [thin, thick] = [plans[i - 1]!, plans[i]!];
				expect(when(thick, 'supply.tripEarliestS')).toBeGreaterThanOrEqual(
					when(thin, 'supply.tripEarliestS')
				);
				expect(thick.figures['supply.dropShare'].value ?? 1).toBeLessThanOrEqual(
					thin.figures['supply.dropShare'].value ?? 1
				);
				expect(thick.figures['supply.runsOnA'].value ?? 0).toBeGreaterThanOrEqual(
					thin.figures['supply.runsOnA'].value ?? 0
				);
			}
		}
	});

	it('a longer pause never brings the lamp or the breaker sooner', () => {
		fc.assert(
			fc.property(number(5, 300), number(1, 300), (arcS, restS) => {
				const short = planned(BAY_2, { work: { arcS, restS, shopC: 35 } });
				const long = planned(BAY_2, { work: { arcS, restS: restS * 1.5, shopC: 35 } });
				for (const id of ['cutter.lampS', 'supply.tripLatestS'] as const) {
					expect(when(long, id)).toBeGreaterThanOrEqual(when(short, id));
				}
			})
		);
	});

	it('a colder shop never lights the lamp sooner', () => {
		fc.assert(
			fc.property(number(-20, 40), number(1, 10), (shopC, colder) => {
				const warm = planned(BAY_2, { work: { ...hard, shopC } });
				const cold = planned(BAY_2, {
					work: { ...hard, shopC: shopC - Math.min(colder, shopC + 20) }
				});
				expect(when(cold, 'cutter.lampS')).toBeGreaterThanOrEqual(
					when(warm, 'cutter.lampS') - 1e-9
				);
			})
		);
	});

	it('a shorter or wider hose never asks more of the tank', () => {
		fc.assert(
			fc.property(number(4, 20), number(1, 60), (boreMm, lengthM) => {
				const needed = (bore: number, length: number) =>
					planned(BAY_2, {
						change: (b) => Object.assign(b.air.hose, { boreMm: bore, lengthM: length })
					}).figures['air.tankNeededBar'].value!;
				expect(needed(boreMm + 1, lengthM)).toBeLessThanOrEqual(needed(boreMm, lengthM));
				expect(needed(boreMm, lengthM * 0.8)).toBeLessThanOrEqual(needed(boreMm, lengthM));
			})
		);
	});

	it('other loads on the breaker never help', () => {
		fc.assert(
			fc.property(number(0, 20), number(0.5, 10), (otherLoadA, more) => {
				const at = (load: number) =>
					planned(BAY_2, {
						work: hard,
						change: (b) =>
							b.supply.loads.push({
								name: 'heater',
								on: b.supply.circuit,
								currentA: load,
								startMultiple: 1,
								when: 'always'
							})
					});
				expect(when(at(otherLoadA + more), 'supply.tripEarliestS')).toBeLessThanOrEqual(
					when(at(otherLoadA), 'supply.tripEarliestS')
				);
			})
		);
	});
});

describe('thicker is slower, in every metal and by every school', () => {
	it.each(METAL_IDS)('%s', (metal) => {
		for (const school of ['full', 'matched'] as const) {
			fc.assert(
				fc.property(number(1, 20), number(0.2, 3), (thicknessMm, more) => {
					const at = (t: number) =>
						planned(BAY_2, { cut: { metal, school: 'full', thicknessMm: t } });
					// Too thick has no speed, and stays too thick.
					const speed = (p: Plan) => p.figures['setup.referenceMmS'].value ?? 0;
					const [thin, thick] = [speed(at(thicknessMm)), speed(at(thicknessMm + more))];
					if (thin === 0) expect(thick).toBe(0);
					else expect(thick).toBeLessThan(thin);
					const amps = (t: number) =>
						planned(BAY_2, { cut: { metal, school, thicknessMm: t } }).figures['setup.currentA']
							.value!;
					expect(amps(thicknessMm + more)).toBeGreaterThanOrEqual(amps(thicknessMm));
				}),
				{ numRuns: 30 }
			);
		}
	});
});

describe('wear follows use', () => {
	it('longer lines take more of the electrode and cost no more a metre', () => {
		fc.assert(
			fc.property(number(50, 2000), (lengthMm) => {
				const at = (l: number) =>
					plan({
						bench: BAY_2,
						cut: { ...DEFAULT_CUT, lengthMm: l },
						evidence: NO_EVIDENCE,
						work: BAY_2.usual,
						settings: { ...DEFAULT_SETTINGS, electrodePrice: 9, nozzlePrice: 7 },
						chart: null
					}).figures;
				const [short, long] = [at(lengthMm), at(lengthMm * 2)];
				expect(long['wear.perCutUm'].value!).toBeGreaterThan(short['wear.perCutUm'].value!);
				expect(long['wear.costPerM'].value!).toBeLessThan(short['wear.costPerM'].value!);
			})
		);
	});
});
