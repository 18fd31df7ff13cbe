/** Answers of what watches, records and finds faults, kept: see plans.test.ts. */
import { describe, it } from 'vitest';
import { plan, readResult, SIGNS, suspectsOf } from '../../src/lib/core';
import { REGIONS, typicalBench } from '../../src/lib/core/answers/typical';
import { QUESTION_IDS } from '../../src/lib/core/answers/questions';
import { answered, typicalAnswer } from '../../src/lib/core/answers/answered';
import { cutsOf, failedOf, gaugeOf, stringsOf } from '../../src/lib/core/arcline/propose';
import { segmented } from '../../src/lib/core/arcline/segment';
import type { ArcSeen, FailedSeen } from '../../src/lib/core/arcline/events';
import {
	BREAKER_CURVES,
	BREAKER_STANDARDS,
	magneticBand,
	necLargestBreakerA,
	tripCurves
} from '../../src/lib/core/circuit/breaker';
import { coveredMm, depthAtMm, stringsAreaMm2 } from '../../src/lib/core/gouge/shape';
import { careDue, CARE_KINDS } from '../../src/lib/core/care/care';
import { Finder, type Said } from '../../src/lib/core/faults/finder';
import { knownOf } from '../../src/lib/core/faults/known';
import { SHIPPED_FAULTS } from '../../src/lib/core/faults/shipped';
import { isBetter, score } from '../../src/lib/core/practice/score';
import { mergedRows, nearestRow, nearRows, risingRows } from '../../src/lib/core/speed/chart';
import { drawerOf, NO_STOCK } from '../../src/lib/core/stock/drawer';
import { play, type Pull } from '../../scripts/device/play';
import { seeded } from '../support/simulatedShop';
import { BENCHES, chartOf, measured } from './cases';
import { asKept, table } from './told';

const DAY_MS = 86_400_000;

describe('a sensor on the machine', () => {
	it('at three rates, with failed starts between', async () => {
		const pulls: Pull[] = Array.from({ length: 24 }, (_, k) => ({
			restS: 9 + ((k * 7) % 23),
			pilotS: 0.5 + (k % 3) * 0.4,
			arcS: k % 5 === 3 ? 0 : 1.5 + ((k * 5) % 19),
			arcA: 40 + (k % 4)
		}));
		const planned = {
			metal: 'mild-steel',
			thicknessMm: 6,
			start: 'edge',
			outputA: 45,
			speedMmS: 24,
			lengthMm: 300,
			nozzleA: 45
		} as const;
		const at = (rateHz: number) => {
			const { readings } = play(pulls, { rateHz, seed: 11 });
			// A gap, and values that cannot be.
			const holed = readings.filter(({ atMs }, k) => k % 997 !== 5 || atMs === 0);
			const { seen, ...rest } = segmented(holed, { ended: rateHz === 10 });
			const arcs = seen.filter((one): one is ArcSeen => one.kind === 'arc');
			const failed = seen.filter((one): one is FailedSeen => one.kind === 'failed');
			return {
				seen,
				rest,
				gauge: gaugeOf(arcs),
				cuts: cutsOf(arcs, planned),
				strings: stringsOf(arcs.slice(3), { ...planned, speedMmS: null }),
				failed: failedOf(failed, 'pierce')
			};
		};
		await asKept('arc line', table({ '2': at(2), '10': at(10), '50': at(50) }));
	});
});

describe('faults', () => {
	it('the finder, along three cases', async () => {
		const finder = new Finder(SHIPPED_FAULTS);
		const random = seeded(5);
		const along = (symptom: string, known: readonly string[], inVain: readonly string[]) => {
			const answers: { look: string; said: Said }[] = [];
			const steps: unknown[] = [];
			for (let k = 0; k < 5; k++) {
				const { beliefs, next, ...rest } = finder.find({ symptom, answers, known, inVain });
				steps.push({
					...rest,
					bits: next?.bits,
					look: next?.look.id,
					beliefs: beliefs.slice(0, 5).map(({ cause, share }) => `${cause} ${share.toFixed(4)}`)
				});
				if (!next) break;
				answers.push({ look: next.look.id, said: random() < 0.5 ? 'no' : 'yes' });
			}
			return steps;
		};
		const { symptoms, causes, bench } = SHIPPED_FAULTS;
		const some = symptoms.filter((_, k) => k % 4 === 0).map(({ id }) => id);
		const first = Object.fromEntries(some.map((id) => [id, along(id, [], [])]));
		const later = along(
			some[0]!,
			bench.slice(0, 2).map(({ id }) => id),
			[causes[0]!.id]
		);
		await asKept('faults', table({ ...first, 'with what is known': later }));
	});
	it('what a bench knows by itself', async () => {
		const told = BENCHES.map((bench) => {
			const asked = measured(bench);
			const planned = plan(asked);
			const known = knownOf(asked, planned, [{ kind: 'look', seen: 'smeared' }]);
			return [bench.name, { known, suspects: suspectsOf(planned) }];
		});
		await asKept('known', table(Object.fromEntries(told) as Record<string, unknown>));
	});
	it('what is read of a cut', async () => {
		const read = SIGNS.map((sign) => [
			sign,
			{
				is: readResult({ lagDeg: 12, signs: { [sign]: true } }),
				isNot: readResult({ lagDeg: null, signs: { [sign]: false } }, ['air', 'parts'])
			}
		]);
		await asKept('reading of a cut', table(Object.fromEntries(read) as Record<string, unknown>));
	});
});

describe('breakers and grooves, by their tables', () => {
	it('of both standards', async () => {
		const sizes = [0.5, 9, 20, 33, 60].map((inputA) => necLargestBreakerA(inputA) ?? null);
		const curves = BREAKER_CURVES.flatMap((curve) =>
			BREAKER_STANDARDS.map((standard) => [
				`${standard} ${curve}`,
				[16, 40].map((ratingA) => [tripCurves(standard, ratingA), magneticBand(standard, curve)])
			])
		);
		await asKept(
			'breakers',
			table({ sizes, ...(Object.fromEntries(curves) as Record<string, unknown>) })
		);
	});
	it('of strings side by side', async () => {
		const of = (n: number) => [stringsAreaMm2(n, 7, 3), coveredMm(n, 7), depthAtMm(7, 3, n)];
		await asKept('strings', table({ one: of(1), two: of(2), three: of(3) }));
	});
});

describe('what a shop keeps', () => {
	it('a drawer', async () => {
		const nowMs = Date.UTC(2026, 10, 26);
		const told = [0, 3, 12].map((fitted) => {
			const fittedMs = Array.from({ length: fitted }, (_, k) => nowMs - (k * 13 + 2) * DAY_MS);
			const of = { fittedMs, sinceMs: nowMs - 300 * DAY_MS, nowMs, today: '2026-11-26' };
			return [
				`${fitted} fitted`,
				[1, 4, 9].map((count) => [
					drawerOf({ ...NO_STOCK, count, pack: 5, leadWeeks: 2 }, of),
					drawerOf({ ...NO_STOCK, count, minimum: 4, leadWeeks: 1 }, of)
				])
			];
		});
		await asKept('drawer', table(Object.fromEntries(told) as Record<string, unknown>));
	});
	it('what is due', async () => {
		const nowMs = Date.UTC(2026, 10, 26, 9);
		const dayOf = (ms: number) => Math.floor(ms / DAY_MS) * DAY_MS;
		const told = CARE_KINDS.map((kind) => [
			kind,
			[null, { days: 3, h: 1 }, { days: 40, h: 9 }, { days: 500, h: 60 }].flatMap((ago) =>
				[0, 0.7].map((arcHPerDay) =>
					careDue(
						kind,
						ago && { atMs: nowMs - ago.days * DAY_MS, everyDays: null, arcSinceH: ago.h },
						{ nowMs, arcHPerDay, dayOf }
					)
				)
			)
		]);
		await asKept('care', table(Object.fromEntries(told) as Record<string, unknown>));
	});
	it('a chart', async () => {
		const chart = chartOf('bay-2-chart.csv');
		const at = (thicknessMm: number, outputA: number) => {
			const place = { metal: 'mild-steel', nozzleA: 45, thicknessMm, outputA } as const;
			return { near: nearRows(chart, place), nearest: nearestRow(chart, place) };
		};
		const fresh = chart.rows.slice(2, 6).map((row) => ({ ...row, speedMmS: 2 * row.speedMmS }));
		const merged = mergedRows(chart.rows, fresh);
		await asKept(
			'chart',
			table({
				thin: at(1, 45),
				between: at(7, 42),
				thick: at(30, 45),
				merged: { speeds: merged.map(({ speedMmS }) => speedMmS), rising: risingRows(merged) }
			})
		);
	});
	it('benches of which little is known', async () => {
		const told = REGIONS.flatMap((region) => {
			const bench = typicalBench(region);
			const answers = Object.fromEntries(
				QUESTION_IDS.map((id, k) => [id, k % 3 ? { known: typicalAnswer(bench, id) } : 'unknown'])
			);
			return [
				[region, bench],
				[`${region}, answered`, answered(bench, answers)]
			];
		});
		await asKept('typical benches', table(Object.fromEntries(told) as Record<string, unknown>));
	});
	it('a hand along a line', async () => {
		const random = seeded(3);
		const samples = Array.from({ length: 160 }, (_, k) => ({
			alongMm: 1.2 * k + random(),
			besideMm: Math.sin(k / 20) * 1.8,
			atS: k / 20 + (k > 80 ? (k - 80) / 60 : 0)
		}));
		const windows = [
			{ lowMmS: 15, highMmS: 24 },
			{ lowMmS: 24, highMmS: 40 }
		];
		const runs = windows.map((window) => score(samples, window));
		const better = runs.flatMap((a) => runs.map((b) => a && b && isBetter(a, b)));
		await asKept('score', table({ run: { runs, better } }));
	});
});
