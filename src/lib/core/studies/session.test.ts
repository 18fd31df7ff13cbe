import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EIGHT } from '../../../../tests/support/eight';
import { BAY_2, changed, inputsOf, TROLLEY } from '../../../../tests/support/inputs';
import { planPauses, safePauses } from '../session/pauses';
import { runSession } from '../session/run';
import { workings } from '../plan/workings';
import { runInputsOf } from '../plan/session';
import { cutsInTenMin, restForRateS } from '../session/schedule';
import { plan, studySession, whatChanged, type Evidence, NO_EVIDENCE } from '..';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const hot = inputsOf({ work: { arcS: 60, restS: 20, shopC: 35, cuts: 20 } });
const hard = inputsOf({ bench: TROLLEY, work: { arcS: 60, restS: 30, cuts: 8 } });

describe('the session in time', () => {
	it.each([
		['holds', inputsOf()],
		['stops by heat', hot],
		['stops by air', hard],
		['a shift', inputsOf({ work: { shift: { hours: 8, spellMin: 110, breakMin: 15 } } })],
		[
			'compressor on the same breaker',
			inputsOf({ bench: changed((b) => (b.supply.loads[0]!.on = b.supply.circuit)) })
		],
		['built-in compressor', inputsOf({ bench: changed((b) => (b.air.source = 'built-in')) })]
	] as const)('agrees with the plan on what stops and when: %s', (_, inputs) => {
		const { trace } = studySession(inputs);
		const planned = plan(inputs);
		const supply = planned.stations.supply;
		expect(trace.limit?.atS).toBe(supply.verdict === 'stops' ? supply.stopsAtS : undefined);
		for (const column of [trace.inletBar, trace.breakerTouchy, trace.cutterC, trace.arc]) {
			expect(column).toHaveLength(trace.timeS.length);
		}
		expect(trace.timeS.at(-1)!).toBeLessThanOrEqual(trace.untilS + 1e-9);
	});

	it('reaches the limit where it says that it is reached', () => {
		const { trace } = studySession(hot);
		expect(trace.cutterC.at(-1)!).toBeGreaterThan(128);
		expect(trace.cutterC.at(-1)!).toBeLessThanOrEqual(130.01);
		const air = studySession(hard).trace;
		const least = Math.min(...air.inletBar.filter((bar) => bar !== null));
		// The gauge's own tenth of a bar below the window, and no further.
		expect(least).toBeGreaterThanOrEqual(TROLLEY.cutter.airMinBar - 0.11);
		expect(least).toBeLessThan(TROLLEY.cutter.airMinBar);
	});

	it('tells the inlet only while air flows', () => {
		const { trace } = studySession(inputsOf());
		const flowing = trace.inletBar.filter((bar) => bar !== null).length;
		expect(flowing).toBeGreaterThan(0);
		expect(flowing).toBeLessThan(trace.inletBar.length);
	});
});

describe('where pauses must go', () => {
	it('none where the work holds; the time is arcs and pauses', () => {
		const { pauses } = studySession(inputsOf({ work: { cuts: 10 } }));
		expect(pauses).toMatchObject({ ok: true, cuts: 10, arcS: 140, pauses: [] });
		if (pauses.ok) expect(pauses.totalS).toBeCloseTo(10 * 14 + 9 * 20, 6);
	});

	it('with them nothing stops, and two seconds less before the first would', () => {
		const { pauses } = studySession(hard);
		if (!pauses.ok) throw new Error('the example is meant to work');
		expect(pauses.pauses.length).toBeGreaterThan(3);
		const w = workings(hard);
		const given = runInputsOf(hard, w.wiring, w.air.line, w.draw, w.heat);
		const { arcS, postS, restS } = given.pattern;
		const run = (lessS: number) => {
			const phases = Array.from({ length: pauses.cuts }, (_, i) => {
				const wait = pauses.pauses.find((p) => p.beforeCut === i + 1);
				const waitS = i === 0 ? 0 : (wait?.waitS ?? restS) - postS;
				const less = wait === pauses.pauses[0] ? lessS : 0;
				return [
					{ arc: false, air: false, durationS: waitS - less },
					{ arc: true, air: true, durationS: arcS },
					{ arc: false, air: true, durationS: postS }
				];
			}).flat();
			const [touchy, , cutter] = given.nodes;
			return runSession({ ...given, nodes: [touchy!, cutter!], phases });
		};
		const stops = (r: ReturnType<typeof run>) =>
			r.shortFrom !== undefined || r.nodes.some((node) => node.crossing);
		expect(stops(run(0))).toBe(false);
		expect(stops(run(2))).toBe(true);
	});

	it('promises nothing where one cut alone may trip the breaker', () => {
		let may = 0;
		for (const bench of EIGHT)
			for (const thicknessMm of [3, 6]) {
				const inputs = inputsOf({ bench, work: { by: 'cut' } }, { thicknessMm });
				const { figures } = plan(inputs);
				const { pauses } = studySession(inputs);
				if (!pauses.ok) continue;
				const first = figures['supply.tripEarliestS'].value ?? Infinity;
				const alone = first < figures['setup.arcS'].value!;
				expect(pauses.mayTrip, `${bench.name}, ${thicknessMm} mm`).toBe(alone);
				if (alone) may++;
			}
		expect(may).toBeGreaterThan(0);
	});

	it('lets only the cut pass that alone may trip the breaker; those beside it wait for the earliest', () => {
		const bench = EIGHT.find(({ name }) => name === '27 A personal, 15 A breaker')!;
		const w = workings(inputsOf({ bench, work: { by: 'cut', restS: 10 } }, { thicknessMm: 6 }));
		const run = runInputsOf(w.inputs, w.wiring, w.air.line, w.draw, w.heat);
		const outline = safePauses(run, [60, 8, 8, 8]);
		const holes = safePauses(run, [8, 8, 8]);
		if (!outline.ok || !holes.ok) throw new Error('the example is meant to work');
		expect([outline.mayTrip, holes.mayTrip]).toEqual([true, false]);
		// It begins when the air of the cut before has gone off.
		const atS = 60 + run.pattern.postS;
		expect(outline.pauses[0]).toMatchObject({ beforeCut: 2, because: 'breaker', atS });
		// A run with these pauses is at the earliest curve's limit in the long cut alone.
		const waits = new Map(outline.pauses.map(({ beforeCut, waitS }) => [beforeCut, waitS]));
		const [earliest] = run.nodes;
		// Nothing else is on its circuit.
		expect(earliest!.targets[3]).toBe(earliest!.targets[2]);
		let heat = 0;
		const towards = (target: number, s: number) =>
			target + (heat - target) * Math.exp(-s / earliest!.tauS);
		for (const [k, arcS] of [60, 8, 8, 8].entries()) {
			heat = towards(earliest!.targets[0], k === 0 ? 0 : (waits.get(k + 1) ?? 10));
			heat = towards(earliest!.targets[2], arcS);
			expect(heat > earliest!.limit + 1e-6, `cut ${k + 1}`).toBe(k === 0);
		}
	});

	it('says which limit makes it impossible', () => {
		const node = { tauS: 100, targets: [0, 0, 9, 9] as const, start: 0, limit: 1 };
		const { targets } = node;
		const arc = { arcS: 60, postS: 0, handlingS: 10, useLpm: 0, neededBar: 0, targets: [targets] };
		expect(planPauses({ tank: undefined, nodes: [node] }, [arc, arc, arc])).toEqual({
			ok: false,
			because: 'breaker',
			afterCuts: 0
		});
	});

	it('more pauses never make the work shorter than its arcs and usual pauses', () => {
		fc.assert(
			fc.property(number(10, 90), number(0, 60), (arcS, restS) => {
				const { pauses } = studySession(inputsOf({ work: { arcS, restS, cuts: 6, shopC: 30 } }));
				if (pauses.ok) expect(pauses.totalS).toBeGreaterThanOrEqual(6 * arcS + 5 * restS - 1e-6);
			}),
			{ numRuns: 30 }
		);
	});

	it('counts cuts in ten minutes both ways', () => {
		expect(restForRateS(14, cutsInTenMin(14, 20))).toBeCloseTo(20, 9);
		expect(restForRateS(60, 11)).toBeUndefined();
	});
});

describe('what a measurement changed', () => {
	it('names the figures whose basis it changed first', () => {
		const evidence: Evidence = { ...NO_EVIDENCE, flowLpm: { n: 1, mean: 190, spread: 5 } };
		const changes = whatChanged(plan(inputsOf()), plan(inputsOf({ evidence })));
		expect(changes[0]).toMatchObject({
			id: 'air.flowLpm',
			from: { value: BAY_2.cutter.airFlowLpm, basis: 'D' },
			to: { value: 190, basis: 'T' }
		});
		expect(changes.length).toBeLessThanOrEqual(5);
	});

	it('nothing where nothing moved', () => {
		expect(whatChanged(plan(inputsOf()), plan(inputsOf()))).toEqual([]);
	});
});
