/**
 * Eight very different benches (invented shops), and what somebody who cuts for a living expects of each:
 * common practice unless a check says otherwise. Then every answer is swept over metals and thicknesses
 * for cliffs, wrong directions and lines of one page that contradict each other.
 */
import { describe, expect, it } from 'vitest';
import {
	advise,
	AIMS,
	applied,
	DEFAULT_CUT,
	DEFAULT_SETTINGS,
	FIGURE_IDS,
	filled,
	fixesFor,
	METAL_IDS,
	NO_EVIDENCE,
	plan,
	solvedFor,
	type Bench,
	type Cut,
	type FigureId,
	type Plan,
	type PlanInputs,
	type Said,
	type Work
} from '../../src/lib/core';
import { spokenPlan } from '../../src/lib/core/plan/said';
import { cordGuard } from '../../src/lib/core/circuit/protection';
import { areaMm2Of, type ConductorSize } from '../../src/lib/core/circuit/conductors';
import { EIGHT } from '../support/eight';

/** By a word of its name, with what the shape of that file could not say. */
function bench(word: string, change: (b: Bench) => void = () => {}): Bench {
	const found = EIGHT.find(({ name }) => name.includes(word));
	if (!found) throw new Error(`no bench "${word}"`);
	const copy = structuredClone(found);
	change(copy);
	return copy;
}
const inputs = (b: Bench, cut: Partial<Cut> = {}, work: Partial<Work> = {}): PlanInputs => ({
	bench: b,
	cut: { ...DEFAULT_CUT, ...cut },
	evidence: NO_EVIDENCE,
	work: { ...b.usual, ...work },
	settings: DEFAULT_SETTINGS,
	chart: null
});
const of = (...args: Parameters<typeof inputs>) => spokenPlan(inputs(...args));
const value = (p: Plan, id: FigureId) => p.figures[id].value;
const check = (p: Plan, part: string) => p.checks.find((c) => c.part === part);
const told = (p: Said) =>
	[...p.findings, ...p.cautions].map((said) => filled(said, { units: 'metric' })).join('\n');
const DUTY_35: Partial<Work> = { by: 'pattern', arcS: 210, restS: 390 };

/** [bench, cut, work, figure, at least, at most]: null is "there is no such number". */
const ANSWERS: [string, Partial<Cut>, Partial<Work>, FigureId, number | null, number][] = [
	['125 A', { thicknessMm: 12 }, {}, 'setup.currentA', 125, 125],
	['125 A', { thicknessMm: 12 }, {}, 'setup.speedMmS', 30, 60],
	['125 A', { thicknessMm: 38 }, {}, 'setup.speedMmS', 7, 10],
	['125 A', { thicknessMm: 56, aim: 'sever' }, {}, 'setup.speedMmS', 1.7, 2.6],
	['125 A', { thicknessMm: 60, aim: 'sever' }, {}, 'setup.speedMmS', null, 0],
	['125 A', { thicknessMm: 6, school: 'matched' }, {}, 'setup.currentA', 30, 45],
	['125 A', {}, {}, 'setup.airBar', 6.8, 7],
	['125 A', {}, {}, 'setup.workingBar', null, 0],
	['dual voltage', {}, { by: 'pattern' }, 'supply.runsOnA', 20, 30],
	['dual voltage', { thicknessMm: 1, school: 'matched' }, {}, 'setup.nozzleA', 20, 20],
	['dual voltage', { thicknessMm: 6.35 }, {}, 'setup.speedMmS', 7, 11.5],
	['dual voltage', { thicknessMm: 16 }, {}, 'wear.cutsLeft', null, 0],
	['32 A socket', { thicknessMm: 16 }, {}, 'setup.cleanMm', 15.9, 16.1],
	['32 A socket', { thicknessMm: 16, school: 'matched' }, {}, 'setup.currentA', 45, 45],
	['32 A socket', { thicknessMm: 28.5, aim: 'sever' }, {}, 'setup.speedMmS', 1.8, 2.8],
	['32 A socket', {}, {}, 'cut.straightPierceMm', 7.9, 8.1],
	['32 A socket', {}, {}, 'cut.rolledPierceMm', 14, 15],
	['32 A socket', { thicknessMm: 6 }, {}, 'setup.speedMmS', 20, 32],
	['built-in', {}, {}, 'air.flowLpm', null, 0],
	['built-in', {}, {}, 'air.tankLowBar', null, 0],
	['built-in', {}, {}, 'setup.airBar', null, 0],
	['built-in', { thicknessMm: 3 }, {}, 'setup.speedMmS', 14, 26],
	['27 A older', {}, {}, 'setup.standoffMm', 1.5, 1.5],
	['27 A older', {}, DUTY_35, 'supply.runsOnA', 27, 27],
	['80 A', { thicknessMm: 2 }, {}, 'setup.speedMmS', 90, 170],
	['80 A', { thicknessMm: 2, school: 'matched' }, {}, 'setup.currentA', 30, 40],
	['80 A', { thicknessMm: 20 }, {}, 'setup.speedMmS', 7.5, 14],
	['50 A', { thicknessMm: 6 }, {}, 'setup.speedMmS', 22, 36],
	['50 A', {}, { by: 'pattern', arcS: 300, restS: 1 }, 'air.shortAtS', 60, 200],
	['50 A', {}, { by: 'pattern', arcS: 5, restS: 40 }, 'air.shortAtS', null, 0],
	// A 15 A breaker carries about 20 A of output at the plate's duty, a 20 to 30 A one all of it.
	['27 A personal', { thicknessMm: 3 }, DUTY_35, 'supply.runsOnA', 14, 21],
	['27 A personal', { thicknessMm: 3 }, DUTY_35, 'supply.mayRunOnA', 18, 24]
];

describe('what a practitioner expects of each bench', () => {
	it('has eight, each read from its file', () => {
		expect(EIGHT).toHaveLength(8);
	});

	it.each(ANSWERS)('%s %j %j: %s from %j to %j', (name, cut, work, id, least, most) => {
		const answer = value(of(bench(name), cut, work), id);
		if (least === null) expect(answer).toBeNull();
		else {
			expect(answer).toBeGreaterThanOrEqual(least);
			expect(answer).toBeLessThanOrEqual(most);
		}
	});

	it('27 A personal: a breaker of 20 to 30 A carries all of it', () => {
		const bigger = bench('27 A personal', (b) => {
			b.supply.breaker.ratingA = 30;
			b.supply.wire.size = 'awg-10';
			b.supply.receptacleA = 30;
		});
		expect(value(of(bigger, {}, { by: 'pattern', arcS: 60, restS: 240 }), 'supply.runsOnA')).toBe(
			27
		);
	});

	it('a breaker under the label is told with both amounts; nothing is said of 190 V', () => {
		const p = of(bench('27 A personal'), { thicknessMm: 3 }, DUTY_35);
		const sure = value(p, 'supply.runsOnA');
		expect(told(p)).toContain(`The breaker is 15 A; the label’s largest current is 28 A`);
		expect(told(p)).toContain(`${sure} A surely holds`);
		expect(told(p)).not.toContain('190 V');
	});

	it('27 A older: its own regulator is set to 60 psi in the test position, bare it keeps its gap', () => {
		const older = bench('27 A older', (b) => {
			b.cutter.regulator = 'set';
			b.cutter.workingBar = 4.137;
		});
		const p = of(older);
		expect(value(p, 'setup.workingBar')).toBeCloseTo(4.137, 3);
		expect(p.choices.standoff).toBe('gap');
		expect(told(p)).toContain('double-arcs');
		expect(told(p)).toContain('paste');
	});

	it('80 A: a roll filter starves the air as it clogs', () => {
		const clogged = (loaded: number) =>
			bench('80 A', (b) => (b.air.stages.find((s) => s.kind === 'cartridge')!.loaded = loaded));
		expect(told(of(clogged(0.6)))).toContain('choke as they clog');
		expect(value(of(clogged(0.85)), 'air.filterLossBar')!).toBeGreaterThan(
			3 * value(of(clogged(0)), 'air.filterLossBar')!
		);
	});

	it('50 A: the tank decides between a compressor that is too small and one that does', () => {
		const work = { by: 'pattern', arcS: 150, restS: 200 } as const;
		const stops = (tankL: number) =>
			check(
				of(
					bench('50 A', (b) => (b.air.tankL = tankL)),
					{},
					work
				),
				'Air'
			)!.verdict;
		expect(stops(24)).toBe('stops');
		expect(stops(200)).not.toBe('stops');
	});

	it('125 A: less pressure to gouge is the machine’s own, its plug an electrician’s; lean at the end from 18 mm', () => {
		const p = of(bench('125 A'), { thicknessMm: 20, gouge: { ...DEFAULT_CUT.gouge, asked: true } });
		expect(value(p, 'gouge.airBar')).toBeNull();
		expect(told(p)).toContain('licensed electrician');
		expect(told(p)).toContain('bottom exits first');
	});

	it('each offers only cords that what is in front of them protects, and the electrician last', () => {
		for (const b of EIGHT) {
			const { system, breaker } = b.supply;
			const cord = solvedFor(inputs(b)).find((s) => s.id === 'thinnest-cord')!.text;
			if (cord) {
				const size = `${system === 'iec' ? 'mm2' : 'awg'}-${parseFloat(cord)}` as ConductorSize;
				const guard = { system, size, kind: 'made-up' as const, labelA: null };
				expect(cordGuard({ ...guard, deviceA: breaker.ratingA }).verdict, b.name).toBe('lawful');
			}
			for (const work of [{}, { by: 'pattern', arcS: 240, restS: 20, shopC: 35 } as const]) {
				const asked = inputs(b, {}, work);
				const fixes = fixesFor(asked);
				fixes.forEach((fix, i) => {
					const after = plan(applied(asked, fix.change));
					expect(after.stations.supply.verdict, `${b.name}: ${fix.id}`).toBe(fix.verdict);
					for (const part of ['Wire', 'Cord'])
						expect(check(after, part)?.verdict ?? 'holds', `${b.name}: ${fix.id}`).not.toBe(
							'stops'
						);
					if (fix.effort === 'an electrician') expect(i).toBe(fixes.length - 1);
				});
			}
		}
	});

	it('a thin cord is never found behind a big breaker, however short the cut', () => {
		for (const b of EIGHT) {
			const short = inputs(b, {}, { by: 'pattern', arcS: 2, restS: 600 });
			const cord = solvedFor(short).find((s) => s.id === 'thinnest-cord')!.text;
			if (!cord || b.supply.breaker.ratingA < 32) continue;
			const size = `${b.supply.system === 'iec' ? 'mm2' : 'awg'}-${parseFloat(cord)}`;
			expect(areaMm2Of(size as ConductorSize), b.name).toBeGreaterThanOrEqual(4);
		}
	});
});

/** 0.5 to 50 mm, a twelfth thicker each time. */
const THICKNESSES = Array.from({ length: 62 }, (_, i) => 0.5 * 1.08 ** i).filter((mm) => mm <= 50);
const SIGNED = /^(water\.dewC|cutter\.peakC|supply\.sharedV)$/;
const BY_TRAVEL: FigureId[] = [
	'setup.speedMmS',
	'setup.referenceMmS',
	'setup.fastestMmS',
	'setup.lineS',
	'setup.handMmS',
	'setup.heatKJM',
	'setup.lagDeg'
];

describe.each(EIGHT.map((b) => [b.name, b] as const))('swept: %s', (_, b) => {
	it.each(METAL_IDS)('%s has no cliff, no wrong direction and no number that is none', (metal) => {
		const before: Partial<Record<Cut['aim'], { speed: number; kerf: number; wear: number }>> = {};
		for (const thicknessMm of THICKNESSES) {
			const where = `${metal} ${thicknessMm.toFixed(2)} mm`;
			const speeds: number[] = [];
			for (const aim of ['clean', 'sever', 'fastest'] as const) {
				const p = of(b, { metal, thicknessMm, aim });
				for (const id of FIGURE_IDS) {
					const at = value(p, id);
					if (at === null || SIGNED.test(id)) continue;
					expect(at, `${where}: ${id}`).toBeGreaterThanOrEqual(0);
				}
				const speed = value(p, 'setup.speedMmS');
				for (const id of BY_TRAVEL)
					expect(value(p, id) === null, `${where}: ${id}`).toBe(speed === null);
				expect(check(p, 'Thickness')!.verdict === 'stops', where).toBe(speed === null);
				if (speed === null) {
					expect(value(p, 'wear.cutsLeft'), where).toBeNull();
					expect(told(p), where).not.toMatch(/severs, with dross/);
					delete before[aim];
					continue;
				}
				expect(told(p), where).not.toContain('Too thick:');
				speeds.push(speed);
				const now = {
					speed,
					kerf: value(p, 'setup.kerfMm')!,
					wear: value(p, 'wear.perCutUm') ?? 0
				};
				const last = before[aim];
				if (last) {
					// A twelfth thicker is slower, by no more than a half; kerf and wear go on smoothly.
					expect(now.speed, where).toBeLessThan(last.speed);
					expect(now.speed / last.speed, where).toBeGreaterThan(0.52);
					expect(Math.abs(Math.log(now.kerf / last.kerf)), where).toBeLessThan(0.08);
					expect(now.wear, where).toBeGreaterThanOrEqual(last.wear);
				}
				before[aim] = now;
			}
			if (speeds.length === 3) {
				expect(speeds[1], where).toBeGreaterThanOrEqual(speeds[0]! - 1e-9);
				expect(speeds[2], where).toBeGreaterThanOrEqual(speeds[1]! - 1e-9);
			}
		}
	});

	it('says one thing on one page: amps that run on, the verdict, the best for an aim', () => {
		for (const thicknessMm of [0.8, 3, 6, 12, 25]) {
			for (const metal of ['mild-steel', 'copper'] as const) {
				const asked = inputs(b, { metal, thicknessMm });
				const p = plan(asked);
				const where = `${metal} ${thicknessMm} mm`;
				const amps = value(p, 'setup.currentA')!;
				const sure = value(p, 'supply.runsOnA');
				const may = value(p, 'supply.mayRunOnA');
				if (sure !== null) expect(may, where).toBeGreaterThanOrEqual(sure);
				const electric = p.checks.filter((c) => ['Breaker', 'Volts', 'Cutter'].includes(c.part));
				if (value(p, 'setup.arcS') !== null && electric.every((c) => c.verdict === 'holds')) {
					expect(sure, where).toBeGreaterThanOrEqual(Math.floor(amps));
				}
				const best = Object.fromEntries(advise(asked).map((a) => [a.aim, a]));
				const speed = (aim: Cut['aim']) => best[aim]!.speedMmS;
				if (speed('clean') !== null) {
					expect(speed('fastest')!, where).toBeGreaterThanOrEqual(speed('clean')! - 1e-9);
					expect(speed('sever')!, where).toBeGreaterThanOrEqual(speed('clean')! - 1e-9);
				}
				// Sheet always has an answer where the bench runs at all.
				if (thicknessMm <= 3 && p.stations.supply.verdict !== 'stops') {
					for (const aim of AIMS) expect(best[aim]!.outputA, `${where} ${aim}`).not.toBeNull();
				}
				for (const aim of AIMS) {
					const { outputA, reason } = best[aim]!;
					expect(outputA === null, `${where} ${aim}`).toBe(
						reason === 'none' || reason === 'too-thick'
					);
					const full = plan({ ...asked, cut: { ...asked.cut, aim, school: 'full' } });
					const parts = value(full, 'setup.speedMmS') !== null;
					expect(reason === 'too-thick', `${where} ${aim}`).toBe(!parts);
					// Sheet that outruns every hand goes at the fewest amps that do the edge, whatever it is cut for.
					const alike = aim === 'clean' || aim === 'easiest' ? best.clean! : best.sever!;
					if (reason === 'thin') expect(outputA, `${where} ${aim}`).toBe(alike.outputA);
					if (reason === 'full')
						expect(outputA).toBe(Math.floor(p.figures['setup.currentA'].value!));
				}
			}
		}
	});

	it('matched for a clean edge is clean where it has the amps, and never more than full', () => {
		for (const thicknessMm of THICKNESSES.filter((mm) => mm < 20)) {
			const full = of(b, { thicknessMm });
			const matched = of(b, { thicknessMm, school: 'matched' });
			const amps = value(matched, 'setup.currentA')!;
			expect(amps).toBeLessThanOrEqual(value(full, 'setup.currentA')!);
			if (thicknessMm <= value(full, 'setup.cleanMm')!)
				expect(value(matched, 'setup.cleanMm')!, `${thicknessMm} mm`).toBeGreaterThanOrEqual(
					thicknessMm
				);
		}
	});

	it('matched starts as asked wherever full amps do, and takes no fewer for a thicker plate', () => {
		for (const start of ['pierce', 'hover', 'drilled'] as const) {
			let before = 0;
			for (const thicknessMm of THICKNESSES) {
				const where = `${start}, ${thicknessMm} mm`;
				const full = of(b, { thicknessMm, start });
				const matched = of(b, { thicknessMm, start, school: 'matched' });
				if (full.choices.startMethod !== 'none')
					expect(matched.choices.startMethod, where).not.toBe('none');
				const amps = value(matched, 'setup.currentA')!;
				expect(amps, where).toBeGreaterThanOrEqual(before);
				before = amps;
			}
		}
	});

	it('the best amps for each aim start it as asked, where full amps do', () => {
		for (const start of ['pierce', 'hover'] as const) {
			for (const thicknessMm of THICKNESSES.filter((_, i) => i % 6 === 2)) {
				const full = of(b, { thicknessMm, start });
				if (full.choices.startMethod === 'none' || full.stations.supply.verdict === 'stops')
					continue;
				for (const { aim, outputA } of advise(inputs(b, { thicknessMm, start }))) {
					const there = of(b, { thicknessMm, start, aim, school: 'typed', typedA: outputA! });
					expect(there.choices.startMethod, `${start}, ${thicknessMm} mm, ${aim}`).not.toBe('none');
				}
			}
		}
	});

	it('nobody is told to do what is done already: fewer amps, a guide, the nozzle that is in', () => {
		for (const metal of METAL_IDS) {
			for (const thicknessMm of [0.5, 1, 2, 3, 6]) {
				for (const school of ['full', 'matched', 'circuit'] as const) {
					for (const guide of ['freehand', 'kept'] as const) {
						const p = of(b, { metal, thicknessMm, school, guide });
						const where = `${metal} ${thicknessMm} mm, ${school}, ${guide}`;
						const words = p.findings
							.filter(({ kind }) => kind === 'caution')
							.map((said) => filled(said, { units: 'metric' }))
							.join('\n');
						const fewer = /less so at (\d+) A/.exec(words);
						if (fewer) expect(Number(fewer[1]), where).toBeLessThan(value(p, 'setup.currentA')!);
						if (school === 'matched') expect(fewer, where).toBeNull();
						if (guide !== 'freehand') expect(words, where).not.toContain('or along a guide');
						const nozzle = /wandering arc at \d+ A: fit the (\d+) A nozzle/.exec(words);
						if (nozzle) expect(Number(nozzle[1]), where).toBeLessThan(b.torch.fittedA);
						// A hand that is too slow is told, and something to do about it.
						if (/warps or melts|may warp/.test(words))
							expect(words, where).toMatch(/less so (at|along)|Clamp it flat/);
					}
				}
			}
		}
	});

	it('the zinc of galvanized sheet is told once, whatever else lies on it', () => {
		const p = of(b, { metal: 'galvanized', coating: 'zinc', backCoating: 'paint' });
		for (const list of [p.findings, p.cautions]) {
			const zinc = list.filter(({ text }) => /zinc/i.test(text));
			expect(zinc.map(({ text }) => text)).toHaveLength(1);
			expect(list.some(({ text }) => text.includes('paint'))).toBe(true);
		}
		const steel = of(b, { metal: 'mild-steel', coating: 'zinc' });
		expect(told(steel)).toContain('Zinc fume');
	});
});

describe('speed is the nozzle’s, hardly the machine’s', () => {
	it('a 45 A nozzle at 45 A in 6 mm goes alike, within a quarter, on every machine that has one', () => {
		const speeds = EIGHT.flatMap((b) => {
			const mostA = Math.max(...b.cutter.inputs.map((i) => i.outputMaxA));
			if (mostA < 45) return [];
			const torch = { ...b.torch, nozzles: [...b.torch.nozzles, { ...NOZZLE_45 }] };
			const cut = { thicknessMm: 6, school: 'typed', typedA: 45 } as const;
			return [value(of({ ...b, torch }, cut), 'setup.referenceMmS')!];
		});
		expect(speeds.length).toBeGreaterThan(2);
		expect(Math.max(...speeds) / Math.min(...speeds)).toBeLessThan(1.25);
	});
});
const NOZZLE_45 = { ratingA: 45, boreMm: 1, kind: 'cut', cleanMm: null, severMm: null } as const;
