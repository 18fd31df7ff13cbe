import { describe, expect, it } from 'vitest';
import { changed, inputsOf } from '../../../../tests/support/inputs';
import { circle, contoursOf, STARTING_SHAPES } from '../shape/makers';
import { cutOrder } from '../shape/order';
import { lengthMm, type Contour } from '../shape/outline';
import { templatesOf } from '../shape/template';
import { jobOf } from './job';
import { plan } from '../plan/plan';

const kerfMm = plan(inputsOf()).figures['setup.kerfMm'].value!;
const pathsOf = (contours: Contour[]) =>
	cutOrder(
		templatesOf({
			contours,
			keep: 'part',
			outside: 'kept',
			holes: 'kept',
			shieldRadiusMm: 10,
			kerfMm
		}),
		{ squareSide: 'right', kerfMm }
	);
const flange = pathsOf(contoursOf(STARTING_SHAPES.flange));

describe('a job', () => {
	it('of one disc is its circle and lead-in at the planned speed, and one start', () => {
		const inputs = inputsOf();
		const [path] = pathsOf([circle(150)]);
		const job = jobOf(inputs, [path!], 1);
		const { figures } = plan(inputs);
		const speed = figures['setup.speedMmS'].value!;
		const along = Math.PI * (150 + kerfMm) + path!.leadMm;
		expect(job.lengthMm).toBeCloseTo(along, 1);
		expect(job.arcS).toBeCloseTo(along / speed + figures['cut.throughS'].value!, 2);
		expect([job.starts, job.pierces]).toEqual([1, 0]);
		expect(lengthMm(path!.path) + path!.leadMm).toBeCloseTo(job.cuts[0]!.lengthMm, 9);
	});
	it('pierces every hole, and the outside only when asked', () => {
		const edge = jobOf(inputsOf({}, { start: 'edge' }), flange, 1);
		const pierce = jobOf(inputsOf({}, { start: 'pierce' }), flange, 1);
		expect([edge.starts, edge.pierces]).toEqual([10, 9]);
		expect([pierce.starts, pierce.pierces]).toEqual([10, 10]);
		expect(pierce.wearUm).toBeGreaterThan(edge.wearUm!);
	});
	it('of n equal parts takes n times the length, starts, air and wear', () => {
		const one = jobOf(inputsOf(), flange, 1);
		const six = jobOf(inputsOf(), flange, 6);
		for (const key of ['lengthMm', 'starts', 'pierces', 'wearUm', 'arcS', 'airL'] as const)
			expect(six[key]! / one[key]!).toBeCloseTo(6, 9);
	});
	it('tells the pauses of the session: a small tank makes it wait, a big one does not', () => {
		const on = (tankL: number) =>
			changed((b) => {
				b.air.tankL = tankL;
				b.air.compressor.points = [{ flowLpm: 60, atBar: 6 }];
			});
		const small = jobOf(inputsOf({ bench: on(50) }), flange, 3);
		const big = jobOf(inputsOf({ bench: on(2000) }), flange, 3);
		expect(small.pauses?.ok).toBe(true);
		const waits = (job: typeof small) => (job.pauses?.ok ? job.pauses.pauses.length : Infinity);
		expect(waits(small)).toBeGreaterThan(waits(big));
	});
	it('drills the holes that cannot be pierced, and has no time where nothing parts', () => {
		const thick = jobOf(inputsOf({}, { thicknessMm: 16 }), flange, 1);
		expect(thick.arcS).toBeGreaterThan(0);
		expect(thick.pierces).toBe(0);
		// And then takes nothing of the parts, and pierces nothing.
		expect(jobOf(inputsOf({}, { thicknessMm: 30 }), flange, 1)).toMatchObject({
			arcS: null,
			airL: null,
			pauses: null,
			pierces: 0,
			wearUm: null,
			wearOfLeft: null
		});
		expect(thick.cuts.map(({ start }) => start)).toEqual([
			...Array<string>(9).fill('drilled'),
			'edge'
		]);
	});
	it('more than the electrode has left is more than one', () => {
		expect(jobOf(inputsOf(), flange, 200).wearOfLeft).toBeGreaterThan(1);
	});
});
