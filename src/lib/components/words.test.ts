import { explain } from '$lib/core/plan/explain';
import { EIGHT } from '../../../tests/support/eight';
import { UNTOUCHED } from '../../../tests/support/workbench';
import { describe, expect, it, vi } from 'vitest';
import { BAY_2, TROLLEY } from '../../../scripts/demo/benches';
import {
	DEFAULT_CUT,
	DEFAULT_SETTINGS,
	NO_EVIDENCE,
	studySession,
	type Bench,
	type Cut,
	type UnitSystem
} from '$lib/core';

vi.mock('$lib/state/history', () => ({ writeSearch: () => undefined }));
const { Workbench } = await import('$lib/state/workbench.svelte');
import { PARTS } from './Bench/parts';
import { spareWord } from './Bench/spare';
import { cutTitle, dosAndDonts, standoffWord, startWord } from './Card/words';
import { planSaysNo } from './Checks/words';
import { guideShape, PLAN } from './Cut/guide';
import { GROOVE, sectionShape as grooveShape } from './Gouge/groove';
import { gougeAir } from './Gouge/words';
import { seenWord, stationCells } from './Line/line';
import { schoolAdvice } from './Setup/schools';
import { deepestMm, SECTION, sectionShape, thicknessAt } from './Setup/section';
import { speedX } from './Setup/speedBar';
import { railWidth, supplyAnswer, worstInCutter, worstOn } from './Supply/rails';
import { pauseWords } from './Supply/words';
import type { HeldBy } from '$lib/core/session/list';
import type { PausePlan } from '$lib/core/session/pauses';
import { lifeLine, pitShape } from './Wear/stack';
import { entryWords, together } from './Wear/words';
import { dayAndTime } from '$lib/formats/days';
import { filledIn, inputText, pretty } from './Working/working';

function workbench(
	cut: Partial<Cut> = {},
	bench: Bench = BAY_2,
	more: { units?: UnitSystem; work?: Bench['usual'] } = {}
) {
	return new Workbench({
		...UNTOUCHED,
		bench,
		benches: [{ id: 'b1', name: bench.name }],
		evidence: NO_EVIDENCE,
		settings: DEFAULT_SETTINGS,
		chart: null,
		cut: { ...(DEFAULT_CUT as Cut), ...cut },
		work: more.work ?? { ...bench.usual, by: 'pattern' },
		units: more.units ?? 'metric'
	});
}
const HOT = { ...BAY_2.usual, by: 'pattern' as const, arcS: 60, restS: 20, shopC: 35 };

describe('the line', () => {
	it('tells figure, context and state of each station', () => {
		const cells = stationCells(workbench());
		expect(cells.map((c) => c.figures.map((f) => `${f.text} ${f.unit}`.trim()).join(', '))).toEqual(
			['45 A', '45 A, 24 mm/s', '11.3 mm', '', '351 cuts', '']
		);
		expect(cells.map((c) => c.word)).toEqual([
			'holds',
			'holds',
			'holds',
			'set this',
			'holds',
			'to tick'
		]);
		expect(cells[1]!.href).toBe('/setup?bench=b1&work=pattern');
		// Between the curves of a phone's line there is room for six letters.
		expect(cells.map((c) => c.state)).toEqual([
			'holds',
			'holds',
			'holds',
			'to set',
			'holds',
			'to do'
		]);
	});

	it('tells what is ticked of which cut, and signed off only as long as it is that cut', () => {
		const bench = workbench();
		const checks = () => stationCells(bench)[5]!;
		expect(checks()).toMatchObject({
			context: 'before the arc',
			verdict: 'not set',
			state: 'to do'
		});
		bench.ticked = { search: bench.search, ticked: 9, of: 20, signedAt: null };
		expect(checks()).toMatchObject({ figures: [{ text: '9', unit: 'of 20' }], word: 'to tick' });
		bench.ticked = { ...bench.ticked, ticked: 20, signedAt: '07:48' };
		expect(checks()).toMatchObject({ verdict: 'holds', word: 'signed 07:48' });
		bench.ticked = { ...bench.ticked, search: 'another' };
		expect(checks()).toMatchObject({ context: 'plan changed', verdict: 'not set' });
	});

	it('what was found wrong outranks a sign-off, and no amps are offered where it stops', () => {
		const bench = workbench();
		bench.ticked = { search: bench.search, ticked: 20, of: 20, signedAt: '07:48' };
		const held = { item: 'power', word: 'plug or outlet', station: 'supply' as const };
		bench.evidence = { ...bench.evidence, checks: [{ ...held, verdict: 'stops' }] };
		const cells = stationCells(bench);
		expect(cells[0]).toMatchObject({
			context: 'held up',
			verdict: 'stops',
			word: 'plug or outlet'
		});
		expect(cells[5]).toMatchObject({ verdict: 'stops', word: 'plug or outlet' });
	});

	it('tells which amps run on when the chosen ones do not', () => {
		const bench = workbench({}, BAY_2, { work: HOT });
		const [supply] = stationCells(bench);
		expect(supply!.context).toBe('surely runs on');
		expect(Number(supply!.figures[0]!.text)).toBeLessThan(45);
		expect(supply!.word).toMatch(/^cutter stops \d+:\d\d$/);
		expect(supplyAnswer(bench.plan, bench).first).toMatch(/^45 A stops \d+:\d\d: cutter heat\.$/);
		expect(supplyAnswer(bench.plan, bench).then).toMatch(/^\d+ A runs on\.$/);
	});

	it('tells what may come before what surely stops, and promises no pause against it', () => {
		const fine = EIGHT.find(({ name }) => name === '27 A personal, 15 A breaker')!;
		const bench = workbench({}, fine, { work: { ...fine.usual, by: 'cut' } });
		expect(supplyAnswer(bench.plan, bench).first).toMatch(
			/^27 A stops \d+:\d\d: cutter heat; the breaker may trip after 22\.\d s\.$/
		);
		const { pauses } = studySession(bench.inputs);
		expect(pauseWords(pauses, bench)).toMatch(
			/a longer pause buys nothing\. The breaker may trip in any of them, whatever the pause\.$/
		);
		const calm = workbench({}, BAY_2, { work: { ...BAY_2.usual, by: 'cut' } });
		expect(pauseWords(studySession(calm.inputs).pauses, calm)).toMatch(
			/no longer pause is needed\.$/
		);
		const pause = { beforeCut: 2, waitS: 66, atS: 75 };
		const why = (...because: HeldBy[]) => {
			const longer = because.map((one) => ({ ...pause, because: one }));
			const told = { ok: true, cuts: 3, totalS: 300, arcS: 180, pauses: longer, mayTrip: false };
			return /for (.+)\.$/.exec(pauseWords(told as PausePlan, calm))![1];
		};
		expect(why('air', 'heat')).toBe('the air and the cutter');
		expect(why('breaker', 'breaker')).toBe('the breaker');
	});

	it('tells a groove’s air as it is set: by the regulator, by the mode, or not at all', () => {
		const groove = { gouge: { ...DEFAULT_CUT.gouge, asked: true } };
		expect(gougeAir(workbench(groove)).value).toMatch(/bar$/);
		const [itself, , , builtIn] = EIGHT.map((bench) => gougeAir(workbench(groove, bench)));
		expect(itself).toEqual({ value: 'Own', note: 'sets it by its gouging mode' });
		expect(builtIn).toEqual({ value: 'Own', note: 'built-in compressor' });
	});

	it('tells tight with its reason, and not set', () => {
		const cells = stationCells(workbench({}, TROLLEY));
		expect(cells[0]!.word).toBe('tight: low volts');
		// What would be cut off in its cell leaves its state to the mark, and to who is read to.
		expect(seenWord('tight: low volts')).toEqual({ unseen: '', seen: 'tight: low volts' });
		expect(seenWord('tight: fast for a hand')).toEqual({
			unseen: 'tight: ',
			seen: 'fast for a hand'
		});
		expect(seenWord('cutter stops 8:33')).toEqual({ unseen: 'cutter ', seen: 'stops 8:33' });
		expect(seenWord('nothing left to gouge').seen).toBe('nothing left to gouge');
		expect(cells[3]!).toMatchObject({
			verdict: 'not set',
			state: 'to set'
		});
		const asked = { gouge: { ...DEFAULT_CUT.gouge, asked: true } };
		expect(stationCells(workbench(asked, TROLLEY))[3]!.word).toBe('no gouging nozzle');
		const none = stationCells(workbench({ thicknessMm: 40 }));
		expect(none[1]!.figures.map((f) => f.unit)).toEqual(['', 'A']);
		expect(none[2]).toMatchObject({ context: 'no such cut' });
		expect(none[2]!.figures.map((f) => f.text)).toEqual(['']);
		// As many as where it goes through: none comes or goes under a hand.
		expect(none.map((c) => c.figures.length)).toEqual(cells.map((c) => c.figures.length));
		// The parts are as good as they are, whatever is not cut with them.
		const aside = workbench({ thicknessMm: 40 });
		expect(none[4]).toMatchObject({
			verdict: 'holds',
			context: 'left',
			figures: [aside.showFigure('wear.electrodeShare')]
		});
		expect(none[4]!.figures[0]!.unit).toBe('%');
	});
});

describe('before the arc', () => {
	it('tells what the plan says no to, once, and nothing that only stops after a time', () => {
		const no = (cut: Partial<Cut>, job: 'cut' | 'groove' = 'cut', bench = BAY_2) =>
			planSaysNo(workbench(cut, bench).plan, job);
		expect(no({})).toEqual([]);
		expect(no({ thicknessMm: 40 })).toMatchObject([{ station: 'setup', word: 'too thick' }]);
		// Two of one station have a word each.
		const small = structuredClone(BAY_2);
		small.torch.fittedA = 30;
		expect(no({ thicknessMm: 40 }, 'cut', small).map((n) => [n.station, n.word])).toEqual([
			['setup', 'too thick'],
			['setup', 'change the nozzle']
		]);
		// Nor is a groove stopped by what the cut is.
		expect(no({ thicknessMm: 40 }, 'groove')).toEqual([]);
		const asked = { gouge: { ...DEFAULT_CUT.gouge, asked: true } };
		expect(no(asked, 'groove', TROLLEY)).toMatchObject([
			{ station: 'gouge', word: 'no gouging nozzle' }
		]);
		const hot = workbench({}, BAY_2, { work: HOT }).plan;
		expect(hot.stations.supply.verdict).toBe('stops');
		expect(hot.stations.supply.stopsAtS).toBeGreaterThan(0);
		expect(planSaysNo(hot, 'cut')).toEqual([]);
		// What was found not so has its own place, and hides nothing else.
		const held = workbench({ thicknessMm: 40 });
		const open = { item: 'power', word: 'plug or outlet', station: 'setup' as const };
		held.evidence = { ...held.evidence, checks: [{ ...open, verdict: 'stops' }] };
		expect(held.plan.stations.setup.verdict).toBe('stops');
		expect(planSaysNo(held.plan, 'cut').map(({ word }) => word)).toEqual(['too thick']);
	});
});

describe('the rails', () => {
	it('are thick with spare, thin when tight', () => {
		const { plan } = workbench({}, TROLLEY);
		const check = (id: string) => plan.checks.find((c) => c.id === id);
		expect(railWidth(check('supply.voltageV'))).toBe(2);
		expect(railWidth(check('supply.wireCarriesA'))).toBeGreaterThan(4);
		expect(railWidth(undefined)).toBe(5);
	});

	it('flag exactly one thing', () => {
		for (const bench of [workbench({}, TROLLEY), workbench({}, BAY_2, { work: HOT })]) {
			const flags = [...PARTS.map((part) => worstOn(part, bench.plan)), worstInCutter(bench.plan)];
			// The cutter is both a part and a box; its flag is drawn once, on the box.
			expect(new Set(flags.filter(Boolean)).size).toBe(1);
		}
		const { plan } = workbench();
		expect(PARTS.map((part) => worstOn(part, plan)).filter(Boolean)).toEqual([]);
	});

	it('say the margin in the units of the thing', () => {
		const bench = workbench({}, TROLLEY);
		const word = (id: string) =>
			spareWord(
				bench.plan.checks.find((c) => c.id === id)!,
				bench
			);
		expect(word('supply.wireCarriesA')).toBe('+8.1 A');
		expect(word('air.inletLowBar')).toBe('+0.6 bar');
		expect(word('cutter.peakC')).toBe('holds');
		expect(word('setup.nozzleA')).toBe('fits');
		// What is neither over nor under by anything that would be said has no sign.
		const check = bench.plan.checks.find((c) => c.id === 'supply.wireCarriesA')!;
		const at = (value: number) => spareWord({ ...check, spare: { ...check.spare, value } }, bench);
		expect([-0.04, 0, 0.04].map(at)).toEqual(Array(3).fill('no spare'));
		expect([-0.06, 0.06].map(at)).toEqual(['0.1 A over', '+0.1 A']);
		// No such cut can be counted: what is left of the parts is told instead of none.
		const thick = workbench({ thicknessMm: 60 }, TROLLEY);
		const wear = thick.plan.checks.find(({ id }) => id === 'wear.cutsLeft')!;
		expect(spareWord(wear, thick)).toBe(`+${thick.sayFigure('wear.electrodeShare')}`);
	});
	it('asks for a curve only where breakers are marked with one', () => {
		const labels = (bench: Bench) =>
			PARTS.find(({ id }) => id === 'breaker')!
				.fields(bench)
				.map(({ label }) => label);
		expect(labels(BAY_2)).toContain('Curve');
		expect(labels(TROLLEY)).not.toContain('Curve');
	});

	it('have every part with a name, a figure and at least one field', () => {
		for (const part of PARTS) {
			expect(part.name(BAY_2).length, part.id).toBeGreaterThan(2);
			expect(part.fields(BAY_2).length, part.id).toBeGreaterThan(0);
			expect(part.entered(BAY_2), part.id).toBeDefined();
		}
	});

	it('say a rating once where it stands under the name, and the curve where there is one', () => {
		const bare = (id: string, bench: Bench) =>
			PARTS.find((part) => part.id === id)!.bareName?.(bench);
		expect(bare('breaker', BAY_2)).toBe('Breaker, curve C');
		expect(bare('breaker', TROLLEY)).toBe('Breaker');
		expect(bare('receptacle', BAY_2)).toBe('Receptacle');
	});
});

describe('the card', () => {
	it('is titled by metal, thickness and aim in the device’s units', () => {
		expect(cutTitle(workbench())).toBe('6 mm mild steel, clean edge');
		expect(
			cutTitle(workbench({ thicknessMm: 1.519, aim: 'sever' }, BAY_2, { units: 'gauge' }))
		).toBe('16 ga mild steel, just sever');
	});

	it('names the start and the stand-off', () => {
		expect(startWord(workbench()).value).toBe('Edge');
		expect(startWord(workbench({ start: 'pierce', thicknessMm: 4 })).value).toBe('Pierce');
		expect(startWord(workbench({ start: 'pierce', thicknessMm: 9 })).value).toBe('Roll in');
		expect(startWord(workbench({ start: 'pierce', thicknessMm: 15 })).value).toBe('None');
		expect(standoffWord(workbench()).value).toBe('Drag');
		const bare = structuredClone(BAY_2);
		bare.torch.dragShield = false;
		expect(standoffWord(workbench({}, bare)).value).toBe('1.5 mm');
		expect(standoffWord(workbench({ school: 'typed', typedA: 25 }, bare)).value).toBe('Touch');
	});

	it('warns of what this cut invites', () => {
		expect(dosAndDonts(workbench({ thicknessMm: 10 })).donts).toContain('Pierce straight down');
		expect(dosAndDonts(workbench({ aim: 'sever' })).dos).toContain('Go as fast as it still parts');
		// Cut says the same of sheet: no angle is read off its sparks.
		const watch = (cut: Partial<Cut>) => dosAndDonts(workbench(cut)).dos.at(-1);
		expect(watch({ thicknessMm: 2 })).toBe('Go by the edge: sparks tell nothing in sheet');
		expect(watch({ thicknessMm: 3 })).toBe('Watch: sparks 15–30° behind');
		expect(watch({ thicknessMm: 2, layers: 2 })).toBe('Watch: sparks 15–30° behind');
	});

	it('warns, while a hand moves, of the cut where it last rested', () => {
		const rested = workbench({ thicknessMm: 4 });
		const moved = dosAndDonts(workbench({ thicknessMm: 10 }), rested.plan, rested.cut);
		expect(moved).toEqual(dosAndDonts(rested));
		expect(moved.donts).not.toContain('Pierce straight down');
	});

	it('says what each school costs, and leaves the best to the aims', () => {
		const advice = (cut: Partial<Cut>) => {
			const bench = workbench(cut);
			return schoolAdvice(bench.schools, bench);
		};
		expect(advice({})).toMatch(/^Both can be held: full at 24 mm\/s/);
		expect(advice({ thicknessMm: 2 })).toMatch(
			/^Full asks .* which none follows; by thickness it asks/
		);
		expect(advice({ thicknessMm: 11.9 })).toMatch(/^It takes full amps/);
		expect(advice({ thicknessMm: 40 })).toContain('too thick');
	});
});

describe('workings', () => {
	it('are written as a person writes them', () => {
		expect(pretty('(V_0 + sqrt(V_0^2 - 4*S*R))/2')).toBe('(V₀ + √(V₀^2 − 4·S·R))/2');
		expect(pretty('t_0 + tau*log((E - theta_0)/(E - trip))')).toContain('τ·log((E − θ₀)');
		expect(pretty('p_low >= p_need')).toBe('p_low ≥ p_need');
	});

	it('are filled in with the numbers that go in', () => {
		const { inputs } = workbench();
		const working = explain(inputs, 'supply.outputW');
		expect(filledIn(working)).toBe('45·98');
		expect(working.inputs.map((i) => inputText(i, { units: 'metric' }))).toEqual(['45 A', '98 V']);
	});
});

describe('drawings', () => {
	it('put the underside where the thickness is, and read it back', () => {
		const deepest = deepestMm(22, 6);
		for (const thicknessMm of [1, 6, 20]) {
			const shape = sectionShape({
				thicknessMm,
				layers: 1,
				deepest,
				lagDeg: 22.5,
				kerfMm: 1.5
			});
			// It is drawn to a quarter of a pixel.
			const offPx = (thicknessAt(shape.bottomY, deepest) - thicknessMm) * shape.pxPerMm;
			expect(Math.abs(offPx)).toBeLessThanOrEqual(1 / 8);
			expect(shape.exitX).toBeLessThan(SECTION.arcX);
			expect(shape.plateLeft + shape.arc + shape.lagLines).not.toContain('NaN');
		}
	});

	it('set the straight edge off to scale, on the side it is', () => {
		const kept = guideShape({ guide: 'kept', shieldRadiusMm: 12, kerfMm: 1.5, offsetMm: 11.25 });
		const waste = guideShape({ guide: 'waste', shieldRadiusMm: 12, kerfMm: 1.5, offsetMm: 12.75 });
		// The shield touches the straight edge: centre and edge are one radius apart.
		expect(kept.edgeY - kept.centreY).toBeCloseTo(kept.radiusPx, 9);
		expect(waste.centreY - waste.edgeY).toBeCloseTo(waste.radiusPx, 9);
		expect(kept.edgeY).toBeGreaterThan(PLAN.lineY);
		expect(waste.edgeY).toBeLessThan(PLAN.lineY);
	});

	it.each(['groove', 'fillet', 'butt', 'back', 'facing', 'score'] as const)(
		'keep the section of a %s on its sheet, string by string',
		(target) => {
			const gouge = { ...DEFAULT_CUT.gouge, asked: true, target, grindMm: 0.5 };
			const sized = target === 'score' ? { ...gouge, widthMm: 3, depthMm: 1 } : gouge;
			const { plan, cut } = workbench({ gouge: sized, thicknessMm: 12 });
			const shape = grooveShape(plan.groove!, cut.gouge, 12, 3);
			const paths = [
				shape.before,
				shape.asked,
				...plan.groove!.strings.map((_, i) => shape.string(i).path),
				...plan.groove!.strings.map((_, i) => shape.gone(i + 1))
			];
			const numbers = paths.flatMap((d) => d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
			expect(paths.join()).not.toContain('NaN');
			expect(numbers.length).toBeGreaterThan(100);
			expect(shape.floor.x).toBeGreaterThan(0);
			expect(shape.floor.x).toBeLessThan(GROOVE.width);
			expect(shape.floor.y).toBeGreaterThan(0);
			expect(shape.floor.y).toBeLessThan(GROOVE.height);
			// A fillet lies in its corner: its deepest point is near it, above the one plate, beside the other.
			if (target === 'fillet') expect(shape.floor.y).toBeLessThan(GROOVE.height - 64);
		}
	);

	it('hold speeds at the ends of their bar', () => {
		expect(speedX(0.01)).toBe(speedX(1));
		expect(speedX(5000)).toBe(speedX(250));
		expect(speedX(10)).toBeCloseTo((speedX(1) + speedX(100)) / 2, 9);
	});

	it('draw the pit no deeper than its picture, and the life line at both ends', () => {
		expect(pitShape(9, 1.5).depthPx).toBe(pitShape(2, 1.5).depthPx);
		expect(lifeLine(0)).toBe('M0 4H150V6H0Z');
		expect(lifeLine(1)).toBe('M0 0H150V10H0Z');
		expect(lifeLine(0.5)).toContain('H75');
	});
});

describe('log entries in one line', () => {
	it('say what was done in the device’s units', () => {
		const bench = workbench();
		const cut = {
			kind: 'cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 45,
			lengthMm: 5400,
			arcS: 250,
			starts: 18,
			start: 'edge'
		} as const;
		expect(entryWords(cut, bench)).toBe('5.4 m of 6 mm mild steel, 18 starts');
		expect(entryWords({ kind: 'pit', pitMm: 0.9 }, bench)).toBe('pit 0.9 mm');
		// Numbers keep their units in a narrow column; between words it may break.
		expect(together('1 1/4 in of mild steel, 17 s')).toBe(
			'1\u00a01/4\u00a0in of mild steel, 17\u00a0s'
		);
		expect(
			entryWords({ kind: 'volts', idleV: 230, arcV: 219.5, outputA: 45, clampA: null }, bench)
		).toBe('230 V idle, 219.5 V under arc');
		expect(
			entryWords(
				{
					kind: 'test-cut',
					metal: 'mild-steel',
					thicknessMm: 6,
					outputA: 45,
					speedMmS: 20,
					lagDeg: 30,
					through: true
				},
				bench
			)
		).toBe('test cut, 6 mm mild steel at 45 A: 20 mm/s, sparks at 30°');
		expect(entryWords({ kind: 'start', arcS: 1, start: 'edge' }, bench)).toBe('one failed start');
		expect(entryWords({ kind: 'start', arcS: 1, start: 'edge', times: 3 }, bench)).toBe(
			'3 failed starts'
		);
		expect(dayAndTime('2026-11-24T11:20:00.000Z')).toBe('24 Nov 11:20');
	});
});
