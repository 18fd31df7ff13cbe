import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EIGHT } from '../../../../../tests/support/eight';
import { BAY_2, changed, inputsOf, TROLLEY } from '../../../../../tests/support/inputs';
import { ampacityA } from '../../circuit/conductors';
import { plan, type Bench, type PlanInputs } from '../..';
import { airCandidates } from './air';
import { applied, type Asked } from './change';
import { pluggedInto } from './electric';
import { fixesFor } from './fixes';
import { firstThat } from './judgeOf';
import { solvedFor } from './solved';

// Thin enough that fewer amps leave it a clean edge.
const tight = inputsOf({ bench: TROLLEY }, { thicknessMm: 3 });
const hard = inputsOf({ bench: TROLLEY, work: { arcS: 60, restS: 30 } });
const hot = inputsOf({ work: { arcS: 60, restS: 20, shopC: 35 } });
const shared = inputsOf({
	bench: changed((b) => {
		b.supply.loads[0]!.on = b.supply.circuit;
		b.supply.breaker.ratingA = 25;
		b.supply.loads[0]!.currentA = 14;
	}),
	work: { arcS: 60, restS: 10 }
});
const RANK = { 'not set': 0, holds: 0, tight: 1, stops: 2 };

describe('what would fix it', () => {
	it.each([
		['tight on volts', tight],
		['short of air and hot', hard],
		['hot', hot],
		['compressor on the same breaker', shared]
	] as const)('tells, for a bench that is %s, what planning for real confirms', (_, inputs) => {
		const before = plan(inputs);
		const fixes = fixesFor(inputs);
		expect(fixes.length).toBeGreaterThan(0);
		for (const fix of fixes) {
			const after = plan(applied(inputs, fix.change));
			expect(after.stations.supply.verdict, fix.id).toBe(fix.verdict);
			expect(RANK[fix.verdict]).toBeLessThanOrEqual(RANK[before.stations.supply.verdict]);
			expect(after.stations.supply.part).toBe(fix.limit.part);
		}
	});

	it('never calls more amps "down", nor something a help that changes no word of the answer', () => {
		let turned = 0;
		let still = 0;
		for (const bench of EIGHT) {
			for (const school of ['full', 'matched', 'circuit', 'typed'] as const) {
				for (const [thicknessMm, work] of [
					[6, { by: 'cut' }],
					[3, { by: 'cut' }],
					[6, { arcS: 210, restS: 390 }]
				] as const) {
					const inputs = inputsOf({ bench, work }, { school, thicknessMm, typedA: 22 });
					const before = plan(inputs);
					const now = before.figures['setup.currentA'].value!;
					const { verdict, word } = before.stations.supply;
					const clean = (p: typeof before) =>
						p.checks.find(({ part }) => part === 'Thickness')!.word !== 'severs, not clean';
					for (const fix of fixesFor(inputs)) {
						const told = `${bench.name}, ${school}: ${fix.text}, then ${fix.limit.word}`;
						if (verdict === 'tight' && fix.verdict === 'tight') {
							still++;
							expect(fix.limit.word, told).not.toBe(word);
							// What was searched for is what holds.
							expect(['amps', 'new-circuit', 'pause', 'tank', 'compressor'], told).not.toContain(
								fix.id
							);
						}
						if (clean(before)) expect(clean(plan(applied(inputs, fix.change))), told).toBe(true);
						const typedA = fix.change.cut?.typedA;
						if (typedA === undefined || !/^Turn down|turn down to it$/.test(fix.text)) continue;
						const where = `${bench.name}, ${school}: ${fix.text}`;
						expect(typedA, where).toBeLessThan(now);
						turned++;
					}
				}
			}
		}
		expect(turned).toBeGreaterThan(10);
		expect(still).toBeGreaterThan(0);
	});

	it('puts a knob before a purchase and the electrician last', () => {
		const fixes = fixesFor(tight);
		expect(fixes[0]).toMatchObject({ id: 'amps', effort: 'a knob', verdict: 'holds' });
		expect(fixes.at(-1)!.effort).toBe('an electrician');
		expect(fixes.map((f) => f.id)).toContain('circuit-Lock house 240 V');
	});

	it('offers a new circuit last and whole: breaker, wire, receptacle and a cord that it protects', () => {
		for (const inputs of [tight, hard, hot, shared]) {
			const fixes = fixesFor(inputs);
			fixes.forEach(({ effort }, i) => {
				if (effort === 'an electrician') expect(i).toBe(fixes.length - 1);
			});
			const { change } = fixes.at(-1)!;
			if (fixes.at(-1)!.effort !== 'an electrician') continue;
			const checks = plan(applied(inputs, change)).checks;
			for (const part of ['Wire', 'Cord', 'Receptacle'])
				expect(checks.find((c) => c.part === part)?.verdict ?? 'holds', part).not.toBe('stops');
		}
	});

	it('takes a cord along that the breaker of another circuit protects', () => {
		const there = fixesFor(tight).find((f) => f.id.startsWith('circuit-'))!;
		expect(there.values.cord).toContain('10 AWG');
		expect(there.values.volts).toEqual({ value: 240, quantity: 'voltage' });
		expect(there.change.bench!.supply.cord!.size).toBe('awg-10');
	});

	it('a cord that is changed is the cord it names: shorter, or thicker and made up, and nothing else', () => {
		const far = inputsOf({ bench: changed((b) => (b.supply.cord!.lengthM = 60)) });
		const now = far.bench.supply.cord!;
		const cordOf = (id: string) =>
			fixesFor(far).find((fix) => fix.id === id)!.change.bench!.supply.cord!;
		const shorter = cordOf('shorter-cord');
		expect(shorter).toEqual({ ...now, lengthM: shorter.lengthM });
		expect(shorter.lengthM).toBeLessThan(60);
		const thicker = cordOf('thicker-cord');
		expect(thicker).toEqual({ ...now, size: thicker.size, kind: 'made-up', labelA: null });
		expect(thicker.size).toBe('mm2-10');
	});

	it('mends water with what takes water, not by working the compressor harder', () => {
		const wet = inputsOf({
			bench: changed((b) => (b.air.stages = b.air.stages.filter((s) => s.kind === 'trap'))),
			work: { shopC: 15, humidity: 0.9 }
		});
		const fixes = fixesFor(wet);
		expect(plan(wet).stations.supply.part).toBe('Water');
		expect(fixes[0]!.id).toBe('dryer');
		expect(fixes.some((f) => /cut-in|tank|compressor|pause/.test(f.id))).toBe(false);
		// A trap, or a dryer, where there is none; neither a second time.
		const offered = (...kinds: string[]) =>
			fixesFor({
				...wet,
				bench: changed((b) => (b.air.stages = b.air.stages.filter((s) => kinds.includes(s.kind))))
			}).map(({ id }) => id);
		expect(offered().sort()).toEqual(['dryer', 'trap']);
		expect(offered('trap')).toContain('dryer');
		expect(offered('trap')).not.toContain('trap');
	});

	it('says each with all of its numbers, and with none that it does not say', () => {
		const damp = inputsOf({
			bench: changed((b) => {
				b.air.stages = [];
				b.air.coolingM = 0;
			}),
			work: { shopC: 30, humidity: 0.9 }
		});
		const all = [tight, hard, hot, shared, damp].flatMap((inputs) => fixesFor(inputs));
		expect(all.length).toBeGreaterThan(12);
		for (const { id, text, values } of all) {
			const said = [...text.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!);
			expect([...new Set(said)].sort(), id).toEqual(Object.keys(values).sort());
		}
	});

	it('turns a knob where a knob would do, and names no machine then', () => {
		const low = inputsOf({ bench: changed((b) => (b.air.setPointBar = 4.6)) });
		const fixes = fixesFor(low);
		expect(fixes[0]).toMatchObject({ id: 'set-point', effort: 'a knob', verdict: 'holds' });
	});

	it('turns down no further than it must: one amp more no longer holds', () => {
		const amps = fixesFor(tight).find((f) => f.id === 'amps')!.change.cut!.typedA!;
		const at = (typedA: number) =>
			plan(applied(tight, { cut: { school: 'typed', typedA } })).stations.supply.verdict;
		expect(at(amps)).toBe('holds');
		expect(at(amps + 1)).not.toBe('holds');
	});

	it('never takes a larger breaker or another curve without the wire that carries it', () => {
		for (const inputs of [tight, hard, hot, shared]) {
			const { breaker, wire } = inputs.bench.supply;
			for (const { change, id } of fixesFor(inputs)) {
				const supply = change.bench?.supply;
				if (!supply || id.includes('circuit-')) continue;
				expect(supply.breaker.curve).toBe(breaker.curve);
				if (supply.breaker.ratingA === breaker.ratingA) continue;
				expect(supply.wire.size).not.toBe(wire.size);
				expect(ampacityA(supply.wire.size, 'wire', supply.wire.method)).toBeGreaterThanOrEqual(
					supply.breaker.ratingA
				);
			}
		}
	});

	it('has nothing to say where everything holds', () => {
		expect(fixesFor(inputsOf())).toEqual([]);
	});

	it('finds two changes where no single one does', () => {
		const both = inputsOf({
			bench: changed((b) => {
				b.air.compressor.points.forEach((p) => (p.flowLpm *= 0.2));
				b.air.setPointBar = 7;
			}),
			work: { arcS: 20, restS: 2, shopC: 20 }
		});
		const fixes = fixesFor(both);
		expect(fixes[0]!.id).toContain('+');
		expect(fixes[0]!.verdict).not.toBe('stops');
		expect(plan(applied(both, fixes[0]!.change)).stations.supply.verdict).toBe(fixes[0]!.verdict);
		for (const name of fixes[0]!.text.matchAll(/\{(\w+)\}/g)) {
			expect(fixes[0]!.values).toHaveProperty(name[1]!);
		}
	});
});

describe('plugging into another circuit', () => {
	it('changes places, keeps every load where it is, and back again is as it was', () => {
		const there = pluggedInto(TROLLEY, 0);
		expect(there.supply.circuit).toBe('Lock house 240 V');
		expect(there.supply.elsewhere[0]!.name).toBe('Towpath outlet');
		expect(there.supply.loads).toEqual(TROLLEY.supply.loads);
		expect(pluggedInto(there, 0)).toEqual(TROLLEY);
	});
});

describe('sizes solved for', () => {
	const numbers = (inputs: PlanInputs) =>
		Object.fromEntries(solvedFor(inputs).map((s) => [s.id, s]));

	it('the longest cord just holds: a little longer does not', () => {
		const { value } = numbers(inputsOf())['longest-cord']!;
		const verdict = (lengthM: number) => {
			const result = plan(inputsOf({ bench: changed((b) => (b.supply.cord!.lengthM = lengthM)) }));
			return result.checks.find((c) => c.id === 'supply.voltageV')!.verdict;
		};
		expect(verdict(value!)).toBe('holds');
		expect(verdict(value! * 1.03)).not.toBe('holds');
	});

	it('the smallest tank just runs: a little smaller does not', () => {
		const { value } = numbers(hard)['least-tank']!;
		const runs = (tankL: number) =>
			plan({ ...hard, bench: changed((b) => (b.air.tankL = tankL), TROLLEY) }).figures[
				'air.shortAtS'
			].value === null;
		expect(runs(value!)).toBe(true);
		expect(runs(value! * 0.95)).toBe(false);
	});

	it('the smallest breaker comes with the wire that carries it', () => {
		const text = numbers(inputsOf())['smallest-breaker']!.text!;
		const [, rating, size] = /^(\d+) A on (.+) mm²$/.exec(text)!;
		expect(ampacityA(`mm2-${size}` as 'mm2-4', 'wire', 'clipped')).toBeGreaterThanOrEqual(
			Number(rating)
		);
	});

	it('the smallest breaker is no smaller than the fuse that the label asks for, and no larger for it', () => {
		const asked = (fuseA: number | null) =>
			numbers(inputsOf({ bench: changed((b) => (b.cutter.inputs[0]!.fuseA = fuseA)) }))[
				'smallest-breaker'
			]!.text;
		expect(parseFloat(asked(null)!)).toBeLessThan(32);
		expect(asked(32)).toMatch(/^32 A on /);
	});

	it('says so when nothing does', () => {
		const none = numbers(inputsOf({ bench: changed((b) => (b.air.setPointBar = 0.6)) }));
		expect(none['longest-hose']!.value).toBeNull();
	});
});

describe('the search', () => {
	it('finds the first of rising values that holds, as a plain look through would', () => {
		fc.assert(
			fc.property(fc.array(fc.integer(), { maxLength: 60 }), fc.integer(), (values, from) => {
				const rising = [...new Set(values)].sort((a, b) => a - b);
				expect(firstThat(rising, (v) => v >= from)).toBe(rising.find((v) => v >= from));
			})
		);
	});

	it('leaves the bench it was given alone', () => {
		const copy = structuredClone(BAY_2);
		fixesFor(hot);
		solvedFor(hot);
		expect(BAY_2).toEqual(copy);
	});
});

describe('a higher cut-in', () => {
	const offered = (cutInBar: number, startsPerH: number) => {
		const bench = changed((b) => (b.air.compressor.cutInBar = cutInBar));
		const asked: Asked = {
			before: 'stops',
			outputA: 45,
			verdict: () => 'holds',
			startsPerH: () => startsPerH
		};
		return airCandidates(inputsOf({ bench }), asked).find(({ id }) => id === 'cut-in');
	};
	it('is a bar below the cut-out, and of no use where it stands there', () => {
		const { cutOutBar } = BAY_2.air.compressor;
		expect(offered(6.5, 6)!.values.bar).toEqual({ value: cutOutBar - 1, quantity: 'pressure' });
		expect(offered(cutOutBar - 1.06, 6)).toBeDefined();
		expect(offered(cutOutBar - 1, 6)).toBeUndefined();
		expect(offered(cutOutBar - 0.5, 6)).toBeUndefined();
	});
	it('is none where the motor would start more than fifteen times an hour (common practice: ten to fifteen)', () => {
		expect(offered(6.5, 15)).toBeDefined();
		expect(offered(6.5, 16)).toBeUndefined();
	});
});

describe('what is bought', () => {
	/** Candidates where only this change of the bench helps. */
	const offered = (helps: (b: Bench) => boolean, id: string, on: Bench = BAY_2) => {
		const asked: Asked = {
			before: 'stops',
			outputA: 45,
			verdict: ({ bench }) => (bench && helps(bench) ? 'holds' : 'stops'),
			startsPerH: () => 6
		};
		return airCandidates(inputsOf({ bench: on }), asked).find((one) => one.id === id);
	};
	it('is the next wider hose, and none past the widest; full-bore fittings only for couplings', () => {
		const wider = (boreMm: number) =>
			offered(
				() => true,
				'hose',
				changed((b) => (b.air.hose.boreMm = boreMm))
			);
		// The series of ISO 1307, from memory: 6.3, 8, 10, 12.5, 16, 19, 25 mm.
		expect([6, 8, 9, 10, 13, 19].map((mm) => wider(mm)!.values.bore)).toEqual(
			[8, 10, 10, 13, 16, 25].map((value) => ({ value, quantity: 'small' }))
		);
		expect(wider(9)!.change.bench!.air.hose.boreMm).toBe(10);
		expect(wider(25)).toBeUndefined();
		const fittings = (couplings: number) =>
			offered(
				() => true,
				'couplings',
				changed((b) => (b.air.hose.couplings = couplings))
			);
		expect(fittings(2)!.change.bench!.air.hose.couplings).toBe(0);
		expect(fittings(0)).toBeUndefined();
	});
	it('a hose too narrow for the air is widened before a compressor is bought', () => {
		const thin = inputsOf({
			bench: changed((b) => {
				b.air.hose.boreMm = 6;
				b.air.hose.lengthM = 40;
			})
		});
		expect(plan(thin).stations.supply.verdict).not.toBe('holds');
		const ids = fixesFor(thin).map(({ id }) => id);
		expect(ids).toContain('hose');
		expect(ids).not.toContain('compressor');
	});
	it('is the smallest tank that helps, and is what is planned with; where none does, the next larger', () => {
		const least = offered((b) => b.air.tankL >= 260, 'tank')!;
		expect(least.values.volume).toEqual({ value: 270, quantity: 'volume' });
		expect(least.change.bench!.air.tankL).toBe(270);
		expect(offered(() => false, 'tank')!.change.bench!.air.tankL).toBe(
			[24, 50, 90, 100, 150].find((l) => l > BAY_2.air.tankL)
		);
	});
	it('is the smallest compressor that helps, told by what it delivers at its last pressure, or none', () => {
		const { points } = BAY_2.air.compressor;
		const last = points.at(-1)!;
		const needs = 1.6 * last.flowLpm;
		const found = offered((b) => b.air.compressor.points.at(-1)!.flowLpm >= needs, 'compressor')!;
		expect(found.values.flow).toEqual({ value: 1.75 * last.flowLpm, quantity: 'flow' });
		expect(found.values.bar).toEqual({ value: last.atBar, quantity: 'pressure' });
		expect(found.change.bench!.air.compressor.points.map(({ flowLpm }) => flowLpm)).toEqual(
			points.map(({ flowLpm }) => 1.75 * flowLpm)
		);
		expect(offered(() => false, 'compressor')).toBeUndefined();
	});
	it('two changes that only help together read as one sentence', () => {
		let pairs = 0;
		for (const bench of EIGHT)
			for (const arcS of [60, 240])
				for (const { id, text } of fixesFor(inputsOf({ bench, work: { arcS, restS: 10 } })))
					if (id.includes('+')) {
						pairs++;
						expect(text).toMatch(/^[A-Z].*; and [a-z]/);
						expect(text).not.toMatch(/; and [A-Z]/);
					}
		expect(pairs).toBeGreaterThan(0);
	});
});
