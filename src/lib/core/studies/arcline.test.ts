import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inputsOf } from '../../../../tests/support/inputs';
import { runInputsOf } from '../plan/session';
import { workings } from '../plan/workings';
import { cutsOf } from '../arcline/propose';
import { plan } from '../plan/plan';
import { heatNow, plannedOf, runShare } from './arcline';

const base = inputsOf();
const node = (() => {
	const w = workings(base, { solveAmps: false });
	return runInputsOf(w.inputs, w.wiring, w.air.line, w.draw, w.heat).nodes[2]!;
})();
const NOW = 1e9;

describe('how warm the cutter is by the arcs that were seen', () => {
	it('is cold where none was, and an arc may last what the node itself says', () => {
		const { share, leftS } = heatNow(base, [], NOW);
		expect(share).toBeCloseTo(0, 9);
		const [, , hot] = node.targets;
		const fromCold = node.tauS * Math.log((hot - node.start) / (hot - node.limit));
		if (hot > node.limit) expect(leftS).toBeCloseTo(fromCold, 6);
		else expect(leftS).toBeNull();
	});

	it('counts an arc once that two devices saw, and one inside of another not again', () => {
		const arc = { fromMs: NOW - 90_000, toMs: NOW - 30_000 };
		const once = heatNow(base, [arc], NOW);
		const inside = { fromMs: NOW - 80_000, toMs: NOW - 40_000 };
		expect(heatNow(base, [arc, arc], NOW).share).toBeCloseTo(once.share, 12);
		expect(heatNow(base, [arc, inside], NOW).share).toBeCloseTo(once.share, 12);
		expect(once.share).toBeGreaterThan(0);
	});

	it('property: follows the node second by second (Euler, small steps), cooling in every gap', () => {
		const work = fc.array(
			fc.record({
				restS: fc.double({ min: 1, max: 300, noNaN: true }),
				arcS: fc.double({ min: 1, max: 200, noNaN: true })
			}),
			{ minLength: 1, maxLength: 6 }
		);
		fc.assert(
			fc.property(work, fc.double({ min: 0, max: 200, noNaN: true }), (all, afterS) => {
				const total = all.reduce((sum, { restS, arcS }) => sum + restS + arcS, 0) + afterS;
				let at = NOW - 1000 * total;
				const arcs = all.map(({ restS, arcS }) => {
					const fromMs = at + 1000 * restS;
					at = fromMs + 1000 * arcS;
					return { fromMs, toMs: at };
				});
				const [cold, , hot] = node.targets;
				let level = node.start;
				const STEP_S = 0.05;
				for (let ms = NOW - 1000 * total; ms < NOW; ms += 1000 * STEP_S) {
					const burns = arcs.some(({ fromMs, toMs }) => ms >= fromMs && ms < toMs);
					level += (((burns ? hot : cold) - level) / node.tauS) * STEP_S;
				}
				const { share } = heatNow(base, arcs, NOW);
				expect(share).toBeCloseTo((level - node.start) / (node.limit - node.start), 2);
			}),
			{ numRuns: 40 }
		);
	});

	it('leaves less for the next arc the more was burnt, and nothing at the lamp', () => {
		const after = (arcS: number) =>
			heatNow(base, [{ fromMs: NOW - 1000 * arcS, toMs: NOW }], NOW).leftS;
		const cold = after(1);
		if (cold === null) return;
		expect(after(60)!).toBeLessThan(cold);
		expect(after(1e5)).toBe(0);
	});
});

describe('the share of the last ten minutes', () => {
	it('counts what burnt within them, by hand', () => {
		const at = (fromS: number, toS: number) => ({
			fromMs: NOW + 1000 * fromS,
			toMs: NOW + 1000 * toS
		});
		expect(runShare([], NOW)).toBe(0);
		// Half of the first lies before; 60 + 120 s of 600.
		expect(runShare([at(-660, -540), at(-120, 0)], NOW)).toBeCloseTo(0.3, 12);
		expect(runShare([at(-2000, -700)], NOW)).toBe(0);
	});
});

describe('what the log may take arcs for', () => {
	const arc = {
		kind: 'arc',
		fromMs: 0,
		toMs: 10_000,
		arcS: 10,
		errorS: 0.04,
		meanA: 45,
		inletBar: null,
		tankBar: null,
		tankLowBar: null,
		whole: true
	} as const;
	const taken = (thicknessMm: number) => {
		const inputs = inputsOf({}, { thicknessMm, school: 'full', guide: 'kept' });
		const { figures } = plan(inputs);
		const asked = plannedOf(plan(inputs), inputs);
		return { asked, figures, entry: cutsOf([arc], asked) };
	};
	it('is a length at the plate’s travel where a hand follows it, and at the hand’s own in sheet', () => {
		const plate = taken(8);
		const askedMmS = plate.figures['setup.speedMmS'].value!;
		expect(plate.entry).toMatchObject({ lengthMm: Math.round(10 * askedMmS), thicknessMm: 8 });
		// The amps ask for 96 mm/s there; along a guide a hand goes 50 (own).
		const sheet = taken(1.5);
		expect(sheet.figures['setup.speedMmS'].value).toBeGreaterThan(90);
		expect(sheet.entry).toMatchObject({ lengthMm: 500, starts: 1, outputA: 45 });
	});
	it('is so many such cuts where the plate does not part, from the edge, by the nozzle that is in', () => {
		const { asked, entry } = taken(60);
		expect(asked).toMatchObject({ speedMmS: null, start: 'edge', nozzleA: 45, lengthMm: 300 });
		expect(entry).toMatchObject({ lengthMm: 300, starts: 1 });
	});
});
