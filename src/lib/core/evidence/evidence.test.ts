import { describe, expect, it } from 'vitest';
import { BAY_2 } from '../../../../scripts/demo/benches';
import { modelledOhm } from '../plan/workings/electric';
import { voltageUnderLoad } from '../circuit/draw';
import { speedRatioFromLag } from '../cutter/speed';
import { RATES_UM } from '../wear/electrode';
import type { Entry, LoggedEntry } from './entries';
import { evidenceFromLog } from './fromLog';
import { flowFromTankLpm } from './supply';
import { CUT_SIGMA, PRIOR_SIGMA, speedCorrection } from './speedCorrection';

const logged = (entries: Entry[], setId: string | null = 'now'): LoggedEntry[] =>
	entries.map((entry, i) => ({
		id: i + 1,
		setId,
		at: new Date(Date.UTC(2026, 10, 2, 8, i)).toISOString(),
		entry,
		undone: false
	}));

describe('evidence from the log', () => {
	it('recovers a known resistance from readings that a circuit would give', () => {
		const trueOhm = 0.62;
		const loaded = voltageUnderLoad({
			sourceV: 232,
			apparentVA: 5520,
			resistanceOhm: trueOhm,
			phases: 1
		});
		if (!loaded.ok) throw new Error('the example is meant to work');
		const entry: Entry = {
			kind: 'volts',
			idleV: 232,
			arcV: loaded.voltageV,
			outputA: 45,
			clampA: null,
			modelOhm: modelledOhm(BAY_2.supply).modelOhm
		};
		const evidence = evidenceFromLog(BAY_2, logged([entry]), 'now');
		expect(evidence.loopOhm?.mean).toBeCloseTo(trueOhm, 9);
		expect(evidence.sourceV?.mean).toBe(232);
	});

	it('carries a reading over to a longer cord by what the model says the cord adds', () => {
		const before = modelledOhm(BAY_2.supply).modelOhm;
		const entry: Entry = {
			kind: 'volts',
			idleV: 230,
			arcV: 220,
			outputA: 45,
			clampA: 20,
			modelOhm: before
		};
		const longer = {
			...BAY_2,
			supply: { ...BAY_2.supply, cord: { size: 'mm2-4' as const, lengthM: 30 } }
		};
		const here = evidenceFromLog(BAY_2, logged([entry]), null).loopOhm!;
		const there = evidenceFromLog(longer, logged([entry]), null).loopOhm!;
		const added = modelledOhm(longer.supply).modelOhm - before;
		expect(there.mean - here.mean).toBeCloseTo(added, 12);
	});

	it('works out flow from a timed drain as by hand: 90 l from 8.2 to 6.1 bar in 66 s is 169.6 l/min', () => {
		expect(flowFromTankLpm(90, 2.1, 66)).toBeCloseTo((90 * 2.1) / 1.01325 / (66 / 60), 9);
		expect(flowFromTankLpm(90, 2.1, 66)).toBeCloseTo(169.6, 1);
	});

	it('narrows with readings that agree and widens with readings that do not', () => {
		const drain = (seconds: number): Entry => ({ kind: 'drain', fromBar: 8, toBar: 6, seconds });
		const spread = (times: number[]) =>
			evidenceFromLog(BAY_2, logged(times.map(drain)), null).flowLpm!.spread;
		expect(spread([60, 60, 60])).toBeLessThan(spread([60]));
		expect(spread([40, 60, 90])).toBeGreaterThan(spread([60, 60, 60]));
	});

	it('recovers a machine that is a fifth slower than its model, and closes in with each test cut', () => {
		const test = (lagDeg: number): Entry => ({
			kind: 'test-cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 45,
			speedMmS: (1325 / 60) * 0.8 * speedRatioFromLag(lagDeg),
			lagDeg
		});
		const after = (n: number) =>
			speedCorrection(
				evidenceFromLog(BAY_2, logged(Array.from({ length: n }, (_, i) => test(18 + i))), null)
					.speed['mild-steel']
			);
		expect(after(1).factor).toBeLessThan(0.86);
		expect(after(8).factor).toBeCloseTo(0.8, 1);
		expect(after(8).sigma).toBeLessThan(after(2).sigma);
	});

	it('has the posterior of a normal mean with known errors', () => {
		const [n, sumLog] = [3, 0.3];
		const precision = 1 / PRIOR_SIGMA ** 2 + n / CUT_SIGMA ** 2;
		const closed = { mean: sumLog / CUT_SIGMA ** 2 / precision, sigma: Math.sqrt(1 / precision) };
		const { factor, sigma } = speedCorrection({ n, sumLog });
		expect(Math.log(factor)).toBeCloseTo(closed.mean, 12);
		expect(sigma).toBeCloseTo(closed.sigma, 12);
	});

	it('counts use of the pair in the torch only, and growth over all pairs', () => {
		const cut: Entry = {
			kind: 'cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 45,
			lengthMm: 300,
			arcS: 60,
			starts: 10,
			start: 'rolled'
		};
		const old = logged([cut, { kind: 'pit', pitMm: 0.2 }], 'old');
		const now = logged([cut, cut, { kind: 'pit', pitMm: 0.3 }, cut], 'now');
		const { wear } = evidenceFromLog(BAY_2, [...old, ...now], 'now');
		expect(wear.total).toEqual({ starts: 30, arcMin: 3, piercesRolled: 30, piercesStraight: 0 });
		expect(wear.lastPit).toEqual({
			pitUm: 300,
			useSince: { starts: 10, arcMin: 1, piercesRolled: 10, piercesStraight: 0 }
		});
		expect(wear.measuredUm).toBe(500);
		const perCut = 10 * RATES_UM.start + RATES_UM.arcMinute + 10 * RATES_UM.rolled;
		expect(wear.expectedUm).toBeCloseTo(3 * perCut, 9);
	});
});
