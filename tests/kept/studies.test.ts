/** Answers of what plans again, kept: see plans.test.ts. */
import * as v from 'valibot';
import { describe, it } from 'vitest';
import {
	advise,
	DEFAULT_CUT,
	fixesFor,
	nextCut,
	plan,
	solvedFor,
	speedCurves,
	studySession,
	whatChanged,
	type Bench,
	type PlanInputs
} from '../../src/lib/core';
import { REGIONS, typicalBench } from '../../src/lib/core/answers/typical';
import { DayListSchema } from '../../src/lib/core/list/inputs';
import {
	contoursOf,
	SHAPE_KINDS,
	STARTING_SHAPES,
	type Shape
} from '../../src/lib/core/shape/makers';
import { cutOrder } from '../../src/lib/core/shape/order';
import { templatesOf, type TemplateSide } from '../../src/lib/core/shape/template';
import { heatNow, runShare } from '../../src/lib/core/studies/arcline';
import { canCut } from '../../src/lib/core/studies/canCut';
import { checkFirst } from '../../src/lib/core/studies/checkFirst';
import { grooveChoices } from '../../src/lib/core/studies/grooves';
import { jobOf } from '../../src/lib/core/studies/job';
import { otherBenches } from '../../src/lib/core/studies/list/benches';
import { wholeStudy } from '../../src/lib/core/studies/list/book';
import { plansOf } from '../../src/lib/core/studies/list/itemPlans';
import type { Ways } from '../../src/lib/core/studies/list/runTypes';
import { cutsAtOnce, madeCuts, madeJob } from '../../src/lib/core/studies/madeCuts';
import { BENCHES, inputs, JOBS, measured } from './cases';
import { asKept, table } from './told';

const SOME = ['steel 6', 'steel 25 severed, edge', 'a long pattern in the heat', 'fillet 6'];
const HARD = ['steel 12 pierced, painted', 'a long pattern in the heat', 'a shift'];

/** An answer on each bench, for each of some jobs. */
const told = (jobs: readonly string[], of: (asked: PlanInputs) => unknown) =>
	table(
		Object.fromEntries(
			BENCHES.flatMap((bench) =>
				jobs.map((job) => [`${bench.name}: ${job}`, of(inputs(bench, ...JOBS[job]!))])
			)
		)
	);
/** Words and numbers of an answer, without the whole benches that hang on it. */
function plainly<T>(value: T): unknown {
	const seen = JSON.stringify(value, (key, inner: unknown) =>
		['bench', 'benches', 'inputs', 'plan', 'change'].includes(key) ? undefined : inner
	) as string | undefined;
	return seen === undefined ? undefined : (JSON.parse(seen) as unknown);
}

describe('studies', () => {
	it('the session in time', async () => {
		await asKept('session', told(HARD, studySession));
	});
	it('what would fix it', async () => {
		await asKept(
			'fixes',
			told(['a long pattern in the heat'], (asked) => plainly(fixesFor(asked, { pairs: false })))
		);
	});
	it('numbers that would do', async () => {
		await asKept('solved', told(HARD.slice(0, 2), solvedFor));
	});
	it('advice', async () => {
		await asKept('advice', told(SOME, advise));
	});
	it('curves of speed', async () => {
		await asKept('curves', told(['steel 6', 'stainless 3 by circuit, hole'], speedCurves));
	});
	it('whether it can cut that', async () => {
		await asKept('can cut', told(SOME, canCut));
	});
	it('what to check first', async () => {
		const unknown = REGIONS.map((region) => [
			region,
			plainly(checkFirst(inputs(typicalBench(region))))
		]);
		await asKept('check first', table(Object.fromEntries(unknown) as Record<string, unknown>));
	});
	it('ways to gouge', async () => {
		await asKept('grooves', told(['groove 3 deep', 'fillet 6'], grooveChoices));
	});
	it('the next test cut', async () => {
		const cut = { kind: 'test-cut', metal: 'mild-steel', thicknessMm: 6, outputA: 40 } as const;
		const asked = inputs(BENCHES[0]!);
		await asKept(
			'next cut',
			table({
				lag: plainly(nextCut(asked, { ...cut, speedMmS: 20, lagDeg: 9, through: true })),
				none: plainly(nextCut(asked, { ...cut, speedMmS: 35, lagDeg: null, through: false }))
			})
		);
	});
	it('what changed from one job to the next', async () => {
		const [bay2] = BENCHES;
		const from = plan(inputs(bay2!));
		const changes = SOME.map((job) => [
			job,
			whatChanged(from, plan(inputs(bay2!, ...JOBS[job]!)), 12)
		]);
		await asKept('changes', table(Object.fromEntries(changes) as Record<string, unknown>));
	});
	it('heat now', async () => {
		const arcs = [0, 60, 130].map((s) => ({ fromMs: 1000 * s, toMs: 1000 * (s + 45) }));
		await asKept(
			'heat now',
			told(['steel 6'], (asked) => [
				heatNow(asked, arcs, 180_000),
				heatNow(asked, arcs, 900_000),
				runShare(arcs, 300_000),
				runShare(arcs, 690_000)
			])
		);
	});
});

describe('shapes', () => {
	const asked = inputs(BENCHES[0]!);
	const templates = (shape: Shape, side: TemplateSide) =>
		templatesOf({
			contours: contoursOf(shape),
			keep: 'part',
			outside: side,
			holes: side,
			shieldRadiusMm: 10,
			kerfMm: 1.5
		});
	const order = (shape: Shape, squareSide: 'right' | 'left') =>
		cutOrder(templates(shape, 'kept'), { kerfMm: 1.5, squareSide });

	it.each(SHAPE_KINDS.map((kind) => [kind, STARTING_SHAPES[kind]] as const))(
		'%s',
		async (kind, shape) => {
			await asKept(
				`shape ${kind}`,
				table({
					[kind]: {
						kept: templates(shape, 'kept'),
						waste: templates(shape, 'waste'),
						order: order(shape, 'right'),
						leftHanded: order(shape, 'left')
					}
				})
			);
		}
	);
	it('a job of them', async () => {
		const job = jobOf(asked, order(STARTING_SHAPES.flange, 'right'), 4);
		const planned = plan(asked);
		await asKept(
			'job',
			table({
				job: {
					job,
					logged: madeJob(job, planned, asked.cut),
					once: madeCuts(planned, asked.cut, { cuts: 5, pierced: 2 }),
					atOnce: cutsAtOnce(planned)
				}
			})
		);
	});
});

describe('a day’s list', () => {
	const GROOVE = { gouge: { ...DEFAULT_CUT.gouge, asked: true, depthMm: 3, plateMm: 12 } };
	const CUTS = [
		{ thicknessMm: 12, lengthMm: 450 },
		{ thicknessMm: 6, lengthMm: 300 },
		{ thicknessMm: 3, metal: 'aluminium', lengthMm: 250 },
		{ thicknessMm: 10, lengthMm: 80 },
		{ thicknessMm: 12, lengthMm: 200, ...GROOVE },
		{ thicknessMm: 8, lengthMm: 900 }
	] as const;
	const list = v.parse(DayListSchema, {
		name: 'The list',
		startsAt: '07:30',
		breaks: [{ at: '12:00', forMin: 30 }],
		plates: [
			{ name: 'Plate', widthMm: 2000, heightMm: 1000 },
			{
				name: 'Offcut',
				widthMm: 700,
				heightMm: 650,
				metal: 'mild-steel',
				thicknessMm: 6,
				count: 1
			}
		],
		quote: { platePricePerKg: 1.6 },
		items: CUTS.map((cut, k) => ({
			id: `i${k}`,
			name: `Item ${k}`,
			what: 'cut',
			search: JSON.stringify(cut),
			pieces: 4 + k,
			widthMm: 300,
			heightMm: 200,
			...(k === 1 && { linesEach: 2, after: ['i0'] }),
			...((k === 2 || k === 3) && { on: 'gate', coolS: 240 }),
			...(k === 4 && { what: 'groove' }),
			...(k === 5 && {
				paths: [
					{ edge: 'outside', lengthMm: 700 },
					{ edge: 'hole', lengthMm: 90 }
				]
			})
		}))
	});
	const of = (bench: Bench) => {
		const base = measured(bench);
		const asked = list.items.map((item, k) => ({
			item,
			cut: { ...DEFAULT_CUT, ...CUTS[k]! }
		}));
		return { base, list, asked };
	};
	it('on each bench', async () => {
		const whole = BENCHES.map((bench) => [
			bench.name,
			plainly(wholeStudy({ ...of(bench), drawer: { electrode: 1, nozzle: 2 }, laysPlates: true }))
		]);
		await asKept('list', table(Object.fromEntries(whole) as Record<string, unknown>));
	});
	it('while it is worked', async () => {
		const [bay2] = BENCHES;
		const live = {
			made: [
				{ id: 'i0', endS: 200 },
				{ id: 'i0', endS: 420 }
			],
			failed: [{ id: 'i0', endS: 300 }],
			nowS: 500,
			beganS: 28_800
		};
		const study = wholeStudy({ ...of(bay2!), drawer: { electrode: 0, nozzle: 0 }, live });
		await asKept('list live', table({ live: plainly(study) }));
	});
	it('on two benches', async () => {
		const [bay2, ...others] = BENCHES;
		const here = { ...of(bay2!), known: plansOf(of(bay2!).base, of(bay2!).asked) };
		const ways: Ways = { order: 'soonest', handlingShare: 1, changeS: 240 };
		const split = otherBenches(
			here,
			ways,
			null,
			others.map((bench, k) => ({ id: `b${k}`, name: bench.name, ...of(bench) }))
		);
		await asKept('list split', table({ split }));
	});
});
