import { describe, expect, it, vi } from 'vitest';
import { BAY_2, changed, inputsOf } from '../../../tests/support/inputs';
import { EIGHT } from '../../../tests/support/eight';
import { UNTOUCHED } from '../../../tests/support/workbench';
import {
	advise,
	METAL_IDS,
	plan,
	showQuantity,
	speedCurves,
	UNIT_SYSTEMS,
	type Bench,
	type Cut
} from '$lib/core';
import { GUIDED_MOST_MM_S, HAND_BAND_MM_S } from '$lib/core/speed/speed';
import { Workbench } from '$lib/state/workbench.svelte';
import type { LogLine } from '$lib/state/workbenchData';
import { adviceWords } from './Setup/aims';
import { moreWords } from './Setup/more';
import { handWord, schoolAdvice } from './Setup/schools';
import { deepestMm, flagPx, SECTION, sectionMarks, sectionShape } from './Setup/section';
import { lastShown } from './Drawing/lastShown';
import { BAR, noteAt, speedMarks, speedTicksMmS, speedX } from './Setup/speedBar';
import { placeOf, speedOption, speedTable, TICKS } from './Setup/speedChart';
import { testPoints } from './Setup/testCuts';
import type { Inks } from './Graph/inks';

vi.mock('$lib/state/history', () => ({ writeSearch: () => undefined }));

function workbench(cut: Partial<Cut> = {}, bench: Bench = BAY_2): Workbench {
	const inputs = inputsOf({ bench }, cut);
	return new Workbench({
		...inputs,
		...UNTOUCHED
	});
}
const INKS = new Proxy({}, { get: (_, name) => String(name) }) as Inks;
const words = {
	thickness: String,
	speed: String,
	amps: (a: number) => `${a} A`,
	thicknessTicksMm: TICKS.metric.thicknessMm,
	speedTicksMmS: TICKS.metric.speedMmS
};

describe('what hides in a drawing', () => {
	it('is drawn as it is while it is seen, and stays as it was last seen', () => {
		const drawn = lastShown<number>();
		// Hidden from the start there is nothing else to draw.
		expect(drawn(false, 1)).toBe(1);
		expect([drawn(true, 2), drawn(true, 3), drawn(false, 4), drawn(false, 5)]).toEqual([
			2, 3, 3, 3
		]);
		expect(drawn(true, 6)).toBe(6);
		expect(lastShown<number>()(false, 7)).toBe(7);
	});
});

describe('speed against thickness', () => {
	const inputs = inputsOf({}, { thicknessMm: 6 });
	const curves = speedCurves(inputs);

	it('passes through what the plan says, at these amps and at the plate ratings', () => {
		const planned = plan(inputs).figures['setup.speedMmS'].value!;
		expect(curves.at).toEqual({ thicknessMm: 6, speedMmS: planned });
		const table = speedTable(curves, TICKS.metric.thicknessMm);
		const chosen = curves.curves.findIndex((c) => c.chosen);
		const six = table.find((row) => row.thicknessMm === 6)!;
		expect(six.speedMmS[chosen]!).toBeCloseTo(planned, 0);
		// Clean at 500 mm/min: 12 mm is what the plate says.
		const twelve = table.find((row) => row.thicknessMm === 12)!;
		expect(twelve.speedMmS[chosen]!).toBeCloseTo(500 / 60, 0);
		expect(curves.ratings[0]!.thicknessMm).toBeCloseTo(12, 6);
	});

	it('never rises with thickness, lies higher with more amps, and ends where nothing goes through', () => {
		for (const { speedMmS } of curves.curves) {
			const speeds = speedMmS.filter((v) => v !== null);
			for (let i = 1; i < speeds.length; i++) expect(speeds[i]!).toBeLessThan(speeds[i - 1]!);
		}
		const [least, , most] = curves.curves;
		curves.thicknessMm.forEach((_, i) => {
			const [low, high] = [least!.speedMmS[i], most!.speedMmS[i]];
			if (low !== null && high !== null) expect(high!).toBeGreaterThan(low!);
		});
		expect(least!.speedMmS.at(-1)).toBeNull();
	});

	it('is drawn by the logarithm: every point of every series lies where it says', () => {
		const tests = [
			{ thicknessMm: 6, speedMmS: 20, through: true },
			{ thicknessMm: 8, speedMmS: 25, through: false }
		];
		const option = speedOption(curves, tests, INKS, words);
		const series = (name: string) => option.series.find((s) => 'name' in s && s.name === name)!;
		expect(series('test cuts').data).toEqual([[Math.log10(6), Math.log10(20)]]);
		expect(series('not through').data).toEqual([[Math.log10(8), Math.log10(25)]]);
		expect(placeOf(curves, { thicknessMm: curves.thicknessMm[0]!, speedMmS: 0.8 })).toEqual({
			left: 0,
			top: 1
		});
		expect(placeOf(curves, { thicknessMm: 6, speedMmS: 600 })).toBeUndefined();
		const [low, high] = [series('spark window, low').data, series('spark window').data];
		expect(low).toHaveLength(high.length);
		// Stacked on the slow end, the fast end is as far up as 30° is from 15°.
		const ratio = Math.tan(Math.PI / 6) / Math.tan(Math.PI / 12);
		expect(high[0]![1]).toBeCloseTo(Math.log10(ratio), 9);
		expect(option.xAxis.axisLabel.formatter(Math.log10(6))).toBe('6');
	});
});

describe('words of Setup', () => {
	it('tell what differs from one plate cut upright', () => {
		const more = (cut: Partial<Cut>) => moreWords(workbench(cut).cut, workbench(cut));
		expect(more({})).toBe('one, bare');
		expect(more({ layers: 3, bevelDeg: 30, mesh: true })).toBe('3 sheets, 30° bevel, mesh');
		expect(more({ coating: 'zinc', backCoating: 'zinc' })).toBe('zinc, both faces');
		expect(more({ coating: 'paint', backCoating: 'rust' })).toBe(
			'paint, rust or scale on the back'
		);
	});

	it('tell what a hand makes of the speed', () => {
		const word = (cut: Partial<Cut>) => handWord(plan(inputsOf({}, cut)));
		expect(word({ thicknessMm: 6 })).toBe('steady');
		expect(word({ thicknessMm: 20 })).toBe('slow');
		expect(word({ thicknessMm: 4 })).toBe('guide');
		expect(word({ thicknessMm: 4, guide: 'freehand' })).toBe('too fast');
		expect(word({ thicknessMm: 60 })).toBe('none');
	});

	it('tell what each choice of amps asks of the hand, and never that a crawl can be held', () => {
		const advice = (cut: Partial<Cut>) => {
			const bench = workbench(cut);
			return { text: schoolAdvice(bench.schools, bench), ...bench.schools };
		};
		const sheet = advice({ thicknessMm: 0.8 });
		expect(sheet.text).toMatch(/^Full asks .* which none follows; by thickness it still asks/);
		expect(advice({ thicknessMm: 4 }).text).toContain('along a guide; by thickness it asks');
		expect(advice({ thicknessMm: 4, guide: 'freehand' }).text).toContain('too fast freehand');
		const told = new Set<string>();
		for (let thicknessMm = 5; thicknessMm <= 20; thicknessMm += 0.5)
			for (const aim of ['clean', 'sever'] as const) {
				const { text, matched, full } = advice({ thicknessMm, aim });
				const slow = [full, matched].filter((plan) => handWord(plan) === 'slow').length;
				if (!/hold|held/.test(text)) continue;
				const kind = /^Either/.test(text) ? 2 : /slower than a hand/.test(text) ? 1 : 0;
				expect(kind, `${thicknessMm} mm, ${aim}: ${text}`).toBe(slow);
				told.add(String(kind));
			}
		expect(told.size).toBeGreaterThanOrEqual(2);
	});

	it('tell what the supply stops, and what then runs', () => {
		const weak = changed((b) => {
			b.supply.breaker.ratingA = 16;
			b.supply.serviceOhm = 0.8;
		});
		const bench = workbench({ thicknessMm: 10 }, weak);
		bench.setWork({ by: 'pattern', arcS: 300, restS: 5 });
		const advice = schoolAdvice(bench.schools, bench);
		const { full, matched, circuit } = bench.schools;
		expect(full.stations.supply.verdict).toBe('stops');
		if (matched.stations.supply.verdict !== 'stops')
			expect(advice).toMatch(/by thickness, .* runs\.$/);
		else if (circuit.stations.supply.verdict !== 'stops') expect(advice).toMatch(/surely runs on/);
		else expect(advice).toMatch(/stops each of them/);
		expect(advice).not.toMatch(/best|^Match|^Full/);
		expect(circuit.figures['setup.currentA'].value!).toBeLessThan(45);
	});

	it('give every advice a reason with its amps and speed', () => {
		const bench = workbench();
		for (const advice of advise(bench.inputs)) {
			const said = adviceWords(advice, bench);
			if (advice.reason !== 'full') expect(said).toContain(bench.say(advice.outputA, 'current'));
			expect(said).toContain(bench.say(advice.speedMmS, 'speed'));
		}
		const thick = advise(inputsOf({}, { thicknessMm: 60 }))[0]!;
		expect(adviceWords(thick, bench)).toBe('Too thick for any amps of this bench.');
		expect(adviceWords({ ...thick, reason: 'none' }, bench)).toMatch(/^The supply runs through/);
	});
});

describe('what is drawn', () => {
	it('a stack has a line between its sheets, on both sides of the kerf', () => {
		const shape = (layers: number) =>
			sectionShape({ thicknessMm: 12, layers, deepest: 25, lagDeg: 22.5, kerfMm: 1.5 }).sheets;
		expect(shape(1)).toBe('');
		expect(shape(3).match(/M/g)).toHaveLength(4);
	});

	it('test cuts of the planned metal only, at the speed that was seen in them', () => {
		const line = (metal: 'mild-steel' | 'stainless', lagDeg: number | null): LogLine => ({
			id: 1,
			at: '2026-11-25T08:00:00Z',
			undone: false,
			entry: {
				kind: 'test-cut',
				metal,
				thicknessMm: 6,
				outputA: 45,
				speedMmS: 20,
				lagDeg,
				through: true
			}
		});
		const points = testPoints([line('stainless', null), line('mild-steel', 30)], 'mild-steel');
		expect(points).toHaveLength(1);
		expect(points[0]!.speedMmS).toBeCloseTo(
			(20 * Math.tan(Math.PI / 8)) / Math.tan(Math.PI / 6),
			9
		);
	});
});

describe('rules on Setup', () => {
	it('have labels that fit beside the plate, from nought on', () => {
		for (const units of UNIT_SYSTEMS)
			for (const deepest of [8, 12, 19, 30, 60]) {
				const { labels, long, short } = sectionMarks(deepest, units);
				expect(labels[0]!.text).toBe('0');
				expect(labels.length).toBeGreaterThan(1);
				for (const { text } of labels) expect(text).toMatch(/^(\d+|\d\/\d)$/);
				// A mark for each millimetre or sixteenth, the labelled ones longer, none under the drawing.
				const heights = (path: string) =>
					[...path.matchAll(/M54 ([\d.]+)h/g)].map(([, y]) => Number(y));
				expect(heights(long)).toEqual(labels.map(({ y }) => y));
				const all = [...heights(long), ...heights(short)];
				expect(all).toHaveLength(1 + Math.floor(deepest / (units === 'metric' ? 1 : 25.4 / 16)));
				expect(Math.max(...all)).toBeLessThan(SECTION.height);
			}
	});
	it('reach past what is severed, and keep their scale over most steps of it', () => {
		const severs = Array.from({ length: 170 }, (_, i) => 0.5 * (i + 1));
		const reaches = severs.map((sever) => deepestMm(sever, 0.5));
		severs.forEach((sever, i) => {
			expect(reaches[i]).toBeGreaterThanOrEqual(1.12 * sever);
			expect(reaches[i]).toBeLessThanOrEqual(Math.max(8, 1.4 * sever));
		});
		const changes = reaches.filter((mm, i) => i > 0 && mm !== reaches[i - 1]);
		expect(changes.length).toBeLessThan(severs.length / 10);
		// What is too thick to part is drawn to scale as well.
		for (const plateMm of [6, 40, 100, 130])
			expect(deepestMm(22, plateMm)).toBeGreaterThanOrEqual(plateMm);
	});
	it('have room for their words: beside the speed, and on the flag', () => {
		// A letter of the note is some 6.5 px wide, one of the speed or the flag at most 0.45 of its size.
		const noteWide = 'amber: sparks 15–30° behind'.length * 6.5;
		for (let x = BAR.left; x <= BAR.right; x++) {
			const note = noteAt(x);
			const from = note['text-anchor'] === 'end' ? note.x - noteWide : note.x;
			const half = ('170 in/min'.length * 0.45 * 20) / 2;
			expect(x + half < from || x - half > from + noteWide).toBe(true);
		}
		// A thin plate’s lag angle, 30 px letters on a line 9 px under where it is told, is not behind the kerf’s box.
		for (const thicknessMm of [0.5, 1.5, 3, 6, 12, 26]) {
			const { lagY } = sectionShape({
				thicknessMm,
				layers: 1,
				deepest: 26,
				lagDeg: 20,
				kerfMm: 1.4
			});
			expect(lagY + 9 - 0.75 * 30).toBeGreaterThan(SECTION.kerfBoxY);
			expect(lagY + 9).toBeLessThan(SECTION.height);
		}
		for (const text of ['6 mm', '22.5 mm', '0.0787 in', '1 15/16 in'])
			expect(text.length * 0.45 * flagPx(text)).toBeLessThan(96);
	});
	it('mark what the amps ask where it stands, and a hand’s own pace only where it does not follow', () => {
		let outrun = 0;
		for (const bench of EIGHT)
			for (const metal of METAL_IDS)
				for (const thicknessMm of [0.5, 1, 2, 3, 6, 12]) {
					const asked = plan(inputsOf({ bench }, { metal, thicknessMm }));
					const speedMmS = asked.figures['setup.speedMmS'].value;
					const marks = speedMarks(asked);
					if (speedMmS === null) {
						expect(marks.atX).toBeNull();
						expect(marks.handX).toBeNull();
						continue;
					}
					// Held at no end: two of the speeds that sheet asks for never stand on one place.
					expect(marks.atX).toBe(speedX(speedMmS));
					if (speedMmS >= 1) expect(speedX(speedMmS * 1.05)).toBeGreaterThan(marks.atX!);
					if (speedMmS > GUIDED_MOST_MM_S) {
						outrun++;
						expect(marks.handX).toBe(marks.guided[1]);
						expect(marks.handX).toBeLessThan(marks.atX!);
					} else if (speedMmS <= HAND_BAND_MM_S[1]) expect(marks.handX).toBeNull();
				}
		expect(outrun).toBeGreaterThan(50);
	});
	it('tell speeds by round numbers of the device’s own unit, inside of the bar', () => {
		for (const units of UNIT_SYSTEMS)
			for (const tick of speedTicksMmS(units)) {
				const { text } = showQuantity(tick, { quantity: 'speed', units });
				expect(text).toMatch(/^[125]0*$/);
				expect(speedX(tick)).toBeGreaterThanOrEqual(BAR.left);
				expect(speedX(tick)).toBeLessThanOrEqual(BAR.right);
			}
	});
});
