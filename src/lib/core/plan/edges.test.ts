/**
 * Edges that a change of one sign or bound would move, each said as a welder would: what is written here
 * was not noticed by any other test when it was changed on purpose.
 */
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { changed, inputsOf, TROLLEY } from '../../../../tests/support/inputs';
import { EntrySchema, plan, say, type Bench, type Check, type PlanInputs } from '..';
import { said } from './said';
import { filled } from '../figure/finding';
import { mixingRatio, vapourHPaOf } from '../water/humidity';
import { parseQuantity } from '../quantity/parse';
import { contoursOf } from '../shape/makers';
import { areaMm2, lengthMm } from '../shape/outline';
import { fixesFor } from '../studies/fix/fixes';
import { jobOf } from '../studies/job';

const ask = (inputs: PlanInputs, part: string): Check =>
	plan(inputs).checks.find((check) => check.part === part)!;
const told = (inputs: PlanInputs): string =>
	said(inputs)
		.findings.map((f) => filled(f, { units: 'metric' }))
		.join('\n');
const on = (change: (b: Bench) => unknown, from?: Bench) => changed(change, from);

describe('thickness', () => {
	it('has the share of its limit as its margin, and the millimetres left as its spare', () => {
		const p = plan(inputsOf({}, { thicknessMm: 6 }));
		const limit = p.figures['setup.cleanMm'].value!;
		const check = p.checks.find(({ part }) => part === 'Thickness')!;
		expect(check.margin).toBeCloseTo((limit - 6) / limit, 12);
		expect(check.spare.value).toBeCloseTo(limit - 6, 12);
	});

	it('too thick tells by how much, as less than nothing', () => {
		const check = ask(inputsOf({}, { thicknessMm: 40 }), 'Thickness');
		expect(check.verdict).toBe('stops');
		expect(check.stopsAtS).toBe(0);
		expect(check.spare.value).toBeLessThan(0);
		expect(check.margin).toBeLessThan(0);
	});
});

describe('switch-on', () => {
	const withMotor = (currentA: number) =>
		inputsOf({
			bench: on((b) => {
				b.supply.loads = [
					{ name: 'saw', on: b.supply.circuit, currentA, startMultiple: 6, when: 'always' }
				];
			})
		});

	it('spare is what the breaker bears at once, less the start', () => {
		const p = plan(withMotor(5));
		const check = p.checks.find(({ part }) => part === 'Switch-on')!;
		const [bears, start] = (['supply.magneticA', 'supply.startA'] as const).map(
			(id) => p.figures[id].value!
		);
		expect(check.spare.value).toBeCloseTo(bears! - start!, 9);
	});

	it('turns from spare to short as the motor grows, and the caution says from when', () => {
		expect(ask(withMotor(1), 'Switch-on').spare.value).toBeGreaterThan(0);
		const big = withMotor(30);
		expect(ask(big, 'Switch-on').spare.value).toBeLessThan(0);
		expect(told(big)).toMatch(/Saw takes up to \d+ A for a moment/);
	});
});

describe('time to break through', () => {
	it.each(['edge', 'pierce', 'hover'] as const)('of %s lies inside its band', (start) => {
		const { value, band } = plan(inputsOf({}, { thicknessMm: 5, start })).figures['cut.throughS'];
		expect(band![0]).toBeLessThan(value!);
		expect(band![1]).toBeGreaterThan(value!);
	});
});

describe('air', () => {
	it('of a cutter that makes its own has no inlet pressure, no check and no water', () => {
		const p = plan(inputsOf({ bench: on((b) => (b.air.source = 'built-in')) }));
		expect(p.figures['setup.airBar'].value).toBeNull();
		expect(p.figures['air.flowLpm'].value).toBeNull();
		expect(p.checks.map(({ part }) => part)).not.toContain('Air');
		expect(p.checks.map(({ part }) => part)).not.toContain('Water');
	});

	it('with nothing that separates is wet as soon as mist goes on, and dry air is not', () => {
		const bare = on((b) => (b.air.stages = []));
		const wet = ask(inputsOf({ bench: bare, work: { humidity: 0.9, shopC: 30 } }), 'Water');
		expect(wet).toMatchObject({ verdict: 'tight', margin: 0, word: 'wet air' });
		const dry = ask(inputsOf({ work: { humidity: 0.3, shopC: 15 } }), 'Water');
		expect(dry.verdict).toBe('holds');
		expect(dry.margin).toBeGreaterThan(0);
	});
});

describe('cords', () => {
	const cord = (lengthM: number) =>
		inputsOf({
			bench: on((b) => {
				b.supply.cord = { size: 'mm2-4', lengthM, kind: 'made-up', labelA: null };
			})
		});
	it('past 25 ft are told, up to that they are not', () => {
		expect(told(cord(7.6))).not.toContain('A cord is second best');
		expect(told(cord(9))).toContain('A cord is second best: not over 7.6 m');
		expect(told(cord(9))).not.toContain('the trade takes');
	});
	it('thinner than the trade takes are told however short, with what it takes', () => {
		// 14 AWG behind 20 A is lawful (NEC 240.5(B)(4)); the trade takes 12 there (common practice).
		const short = (size: 'awg-14' | 'awg-12') =>
			told(
				inputsOf({
					bench: on((b) => {
						b.supply.cord = { size, lengthM: 2, kind: 'made-up', labelA: null };
					}, TROLLEY)
				})
			);
		expect(short('awg-14')).toContain('behind 20 A the trade takes 12 AWG; not over 7.6 m');
		expect(short('awg-12')).not.toContain('A cord is second best');
	});
	it('are told in feet where the device speaks inches', () => {
		const [finding] = said(cord(9)).findings.filter((f) => f.text.startsWith('A cord'));
		expect(filled(finding!, { units: 'imperial' })).toContain('not over 25 ft');
	});
});

describe('air at the top of its window', () => {
	const inletBar = plan(inputsOf()).figures['air.inletLowBar'].value!;
	const under = (spareBar: number) =>
		ask(inputsOf({ bench: on((b) => (b.cutter.airMaxBar = inletBar + spareBar)) }), 'Air');
	it('is tight within what a gauge may be out, and plenty past that: more is not better', () => {
		expect(under(0.05)).toMatchObject({ verdict: 'tight', word: 'at the top of the window' });
		expect(under(0.05).margin).toBeLessThanOrEqual(0.09);
		expect(under(0.05).spare.value).toBeCloseTo(0.05, 9);
		expect(under(0.1001)).toMatchObject({ verdict: 'holds', word: 'air' });
	});
	it('past it stops the machine, told as set too high', () => {
		expect(under(-0.2)).toMatchObject({ verdict: 'stops', word: 'set too high', stopsAtS: 0 });
	});
});

describe('too thick to pierce', () => {
	it('names the amps that would, and none where none do', () => {
		const start = { start: 'pierce' } as const;
		for (let thicknessMm = 8; thicknessMm <= 22; thicknessMm++) {
			for (const bench of [undefined, TROLLEY]) {
				const words = told(inputsOf({ bench }, { ...start, thicknessMm }));
				expect(words).not.toContain('undefined');
				expect(words).not.toContain('NaN');
			}
		}
	});
});

describe('a job', () => {
	const square = (side: number) => [
		{
			edge: 'outside' as const,
			leadMm: 0,
			path: contoursOf({ kind: 'rectangle', widthMm: side, heightMm: side, radiusMm: 0 })[0]!
		}
	];
	it('wears by its starts and by its arc: two of a kind twice, twice the way more but not twice', () => {
		const [one, two] = [1, 2].map((parts) => jobOf(inputsOf(), square(200), parts).wearUm!);
		expect(two).toBeCloseTo(2 * one!, 9);
		const far = jobOf(inputsOf(), square(400), 1);
		const near = jobOf(inputsOf(), square(200), 1);
		expect(far.wearUm).toBeGreaterThan(near.wearUm!);
		expect(far.wearUm).toBeLessThan(2 * near.wearUm!);
		expect(far.arcS! - near.arcS!).toBeCloseTo(
			(4 * 200) / plan(inputsOf()).figures['setup.speedMmS'].value!,
			6
		);
	});
});

describe('a load on the cutter’s circuit', () => {
	const loaded = (elsewhere: boolean) =>
		inputsOf({
			bench: on((b) => {
				b.supply.loads = [
					{ name: 'heater', on: b.supply.circuit, currentA: 14, startMultiple: 1, when: 'always' }
				];
				b.supply.breaker.ratingA = 20;
				if (!elsewhere) b.supply.elsewhere = [];
			}),
			work: { arcS: 20, restS: 20 }
		});
	it('is offered to be moved to a circuit of the same volts, or to be kept off', () => {
		const texts = (inputs: PlanInputs) =>
			fixesFor(inputs)
				.filter(({ id }) => id.startsWith('load-'))
				.map((fix) => filled(fix, { units: 'metric' }));
		expect(texts(loaded(false))).toEqual(['Keep the heater off while cutting']);
		for (const text of texts(loaded(true)))
			expect(text).toMatch(/^(Move the heater to|Keep the heater off)/);
		for (const fix of fixesFor(loaded(true)).filter(({ id }) => id.startsWith('load-'))) {
			const { supply } = fix.change.bench!;
			expect(supply.loads.every((load) => load.on !== supply.circuit)).toBe(true);
		}
	});
});

describe('shapes and words', () => {
	it('a rectangle with rounds has the area and way of one (closed form)', () => {
		const r = 20;
		const [round] = contoursOf({ kind: 'rectangle', widthMm: 200, heightMm: 120, radiusMm: r });
		expect(areaMm2(round!)).toBeCloseTo(200 * 120 - (4 - Math.PI) * r * r, 6);
		expect(lengthMm(round!)).toBeCloseTo(2 * (200 + 120) - 8 * r + 2 * Math.PI * r, 6);
	});

	it('60 cm/min are 10 mm/s', () => {
		expect(parseQuantity('60 cm/min', { quantity: 'speed', units: 'metric' })).toBeCloseTo(10, 12);
	});
});

describe('what is read and said at its edge', () => {
	it('volts under arc lie below the idle reading, or are not taken', () => {
		const read = (arcV: number) =>
			v.safeParse(EntrySchema, {
				kind: 'volts',
				idleV: 230,
				arcV,
				outputA: 45,
				clampA: null
			});
		expect([read(229).success, read(230).success, read(231).success]).toEqual([true, false, false]);
		expect(read(230).issues?.[0]?.message).toContain('volts fall when the arc is on');
	});
	it('amps have a decimal up to a hundred', () => {
		const amps = (value: number) => say(value, { quantity: 'current', units: 'metric' });
		expect([amps(99.44), amps(100.44)]).toEqual(['99.4 A', '100 A']);
	});
	it('frost is told from the freezing point down', () => {
		const at = (shopC: number) => told(inputsOf({ work: { shopC } }));
		expect(at(1)).not.toContain('turns to ice');
		expect(at(0)).toContain('turns to ice');
		expect(at(-8)).toContain('turns to ice');
	});
	it('fewer amps than the machine has are not blamed on the machine', () => {
		const at = (typedA: number) => told(inputsOf({}, { thicknessMm: 60, school: 'typed', typedA }));
		expect(at(30)).toContain('nor at its full amps');
		expect(at(45)).not.toContain('nor at its full amps');
	});
	it('vapour to mixing ratio and back is the same vapour', () => {
		for (const [vapour, pressure] of [
			[6.1, 1013],
			[42.4, 700],
			[123.4, 7000]
		] as const)
			expect(vapourHPaOf(mixingRatio(vapour, pressure), pressure)).toBeCloseTo(vapour, 9);
	});
});

describe('what a cut chart wants of the air', () => {
	const bar = (wants: number | null, regulator: Bench['cutter']['regulator'] = 'set') => {
		const bench = on((b) => {
			b.cutter.regulator = regulator;
			b.cutter.workingBar = 5;
			b.air.setPointBar = 5;
		});
		const row = { metal: 'mild-steel', outputA: 45, nozzleA: 45, thicknessMm: 6 } as const;
		const rest = { speedMmS: 22, standoffMm: null, kerfMm: 1.4, pierceMm: null, pierceS: null };
		const rows = [{ ...row, ...rest, pressureBar: wants }];
		return told(inputsOf({ bench, chart: { hash: 'a', rows } }));
	};
	const WANTS = 'Your cut chart wants';

	it('is told where the regulator stands elsewhere, above it or below', () => {
		for (const wants of [4.5, 5.5]) {
			expect(bar(wants)).toContain(
				`${WANTS} ${wants} bar for this cut, the machine’s own regulator stands at 5 bar`
			);
		}
		expect(bar(5.5, 'none')).toContain('the shop’s regulator stands at 5 bar');
		expect(bar(5.5, 'none')).toContain('Supply is planned with the bench’s own.');
		expect(bar(5.5)).not.toContain('planned with');
	});
	it('is not where it stands there but for what a gauge shows, nothing is wanted, or nobody sets it', () => {
		for (const wants of [4.9, 5, 5.1, null]) expect(bar(wants)).not.toContain(WANTS);
		expect(bar(5.5, 'itself')).not.toContain(WANTS);
	});
});
