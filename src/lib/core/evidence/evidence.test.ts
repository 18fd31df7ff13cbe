import { addTally, tallyOf } from './tally';
import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { BAY_2, changed, inputsOf } from '../../../../tests/support/inputs';
import { NO_EVIDENCE, plan, plateInput, type Bench } from '..';
import { outletBar } from '../air/flow';
import { curveBetween, tripCurves } from '../circuit/breaker';
import { kerfKey } from '../cut/kerf';
import { coolingS, HOT_SPOT_C, RESET_C, riseAtK } from '../cutter/duty';
import { workings } from '../plan/workings';
import { firstCrossing } from '../session/node';
import { modelledOhm } from '../circuit/wiring';
import { apparentPowerVA } from '../cutter/power';
import { voltageUnderLoad } from '../circuit/draw';
import { speedRatioFromLag } from '../speed/speed';
import { NO_USE, RATES_UM } from '../wear/electrode';
import { EntrySchema, type Entry, type LoggedEntry } from './entries';
import { grooveEvidence } from './grooves';
import { grooveKey } from '../gouge/inputs';
import { evidenceFromLog, inTime } from './ledgerFromLog';
import { weighed } from './scrap';
import { completeEntry, flowFromTankLpm, shareFromTrip } from './supply';
import { FADE_UM, merged, readingsOf, type TestCut } from './speedReadings';

const logged = (entries: Entry[], setId: string | null = 'now'): LoggedEntry[] =>
	entries.map((entry, i) => ({
		id: i + 1,
		setId,
		at: new Date(Date.UTC(2026, 10, 2, 8, i)).toISOString(),
		entry,
		undone: false
	}));

describe('the order of entries', () => {
	it('property: is by the time it was done, then as it was written, whatever came in first', () => {
		const entry = fc.record({
			at: fc.constantFrom(
				'2026-11-02T08:00:00.000Z',
				'2026-11-02T08:00:01.000Z',
				'2026-12-01T00:00Z'
			),
			id: fc.nat(40)
		});
		fc.assert(
			fc.property(fc.uniqueArray(entry, { selector: ({ id }) => id, maxLength: 8 }), (entries) => {
				const sorted = entries.toSorted(inTime);
				for (const [k, now] of sorted.slice(1).entries()) {
					const before = sorted[k]!;
					expect([before.at < now.at, before.at === now.at && before.id < now.id]).toContain(true);
				}
			}),
			{ numRuns: 60 }
		);
		const same = { at: '2026-11-02T08:00:00.000Z', id: 3 };
		expect(inTime(same, { ...same })).toBe(0);
	});
});

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
			supply: { ...BAY_2.supply, cord: { ...BAY_2.supply.cord!, lengthM: 30 } }
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

	it('recovers a machine that is a fifth slower than the pooled law, and closes in with each test cut', () => {
		const base = plan(inputsOf()).figures['setup.baseMmS'].value!;
		const test = (lagDeg: number): Entry => ({
			kind: 'test-cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 45,
			speedMmS: base * 0.8 * speedRatioFromLag(lagDeg),
			lagDeg,
			through: true
		});
		const after = (n: number) => {
			const entries = Array.from({ length: n }, (_, i) => test(18 + i));
			const evidence = evidenceFromLog(BAY_2, logged(entries), null);
			const { value, band } = plan(inputsOf({ evidence })).figures['setup.referenceMmS'];
			return { share: value! / base, width: Math.log(band![1] / band![0]) };
		};
		expect(after(1).share).toBeLessThan(0.97);
		expect(after(8).share).toBeLessThan(0.86);
		expect(after(8).share).toBeGreaterThan(0.79);
		expect(after(8).width).toBeLessThan(after(2).width);
	});

	it('reads test cuts as what they tell: an angle, an edge, dross, not through, or nothing', () => {
		const cut: TestCut = {
			kind: 'test-cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 45,
			speedMmS: 20,
			lagDeg: null,
			through: true
		};
		const kinds = (over: Partial<TestCut>) =>
			readingsOf({ ...cut, ...over }, 45).map((r) => r.kind);
		expect(kinds({})).toEqual(['fine']);
		expect(kinds({ lagDeg: 20 })).toEqual(['lag']);
		expect(kinds({ lagDeg: 34 })).toEqual(['lag', 'parted']);
		expect(kinds({ dross: 'soft' })).toEqual(['slow']);
		expect(kinds({ judged: 'fast' })).toEqual(['fast', 'parted']);
		expect(kinds({ through: false, lagDeg: 40 })).toEqual(['missed']);
		expect(kinds({ judged: 'other' })).toEqual([]);
		// Sparks tell nothing in sheet under 3 mm (common practice): what was seen besides them does.
		const sheet = { thicknessMm: 2.9 };
		expect(kinds({ ...sheet, lagDeg: 34 })).toEqual(['parted']);
		expect(kinds({ ...sheet, lagDeg: 34, dross: 'soft' })).toEqual(['slow']);
		expect(kinds({ ...sheet, lagDeg: 20, judged: 'right' })).toEqual(['fine']);
		expect(kinds({ thicknessMm: 3, lagDeg: 34 })).toEqual(['lag', 'parted']);
		const [seen] = readingsOf({ ...cut, lagDeg: 34 }, 45);
		// 34° seen is 0.61 of the speed held (worked example of the trade).
		expect(Math.exp(seen!.lnMmMin) / 60 / 20).toBeCloseTo(0.614, 2);
	});

	it('weighs a lag that was measured by what it leaves of the speed, against an eye, twice at most', () => {
		const cut: TestCut = {
			kind: 'test-cut',
			metal: 'mild-steel',
			thicknessMm: 10,
			outputA: 45,
			speedMmS: 12,
			lagDeg: 25,
			through: true
		};
		const weight = (lagSpreadDeg?: number, lagDeg = 25) =>
			readingsOf({ ...cut, lagDeg, lagSpreadDeg }, 45)[0]!.weight;
		expect(weight()).toBe(1);
		expect(weight(1)).toBe(2);
		// d ln tan θ = 2 dθ/sin 2θ: 5.05° at 25° leave 0.23 of the speed, as an eye does; 10° a quarter of that.
		expect(weight(5.047)).toBeCloseTo(1, 2);
		expect(weight(10.094)).toBeCloseTo(0.25, 2);
		// Near straight down and near flat the same error of the angle says less of the speed.
		expect(weight(5, 8)).toBeLessThan(weight(5, 45) / 4);
	});
	it('merges cuts at one place by their weight and keeps no more than the newest', () => {
		const at = (
			thicknessMm: number,
			mmMin: number,
			weight: number,
			kind: 'lag' | 'missed' = 'lag'
		) => ({
			metal: 'mild-steel' as const,
			nozzleA: 45,
			outputA: 45,
			thicknessMm,
			kind,
			lnMmMin: Math.log(mmMin),
			weight
		});
		const two = merged([at(6, 1000, 1), at(6, 1200, 3), at(8, 700, 1)]);
		expect(two).toHaveLength(2);
		expect(two[0]!.weight).toBe(4);
		expect(two[0]!.lnMmMin).toBeCloseTo((Math.log(1000) + 3 * Math.log(1200)) / 4, 12);
		expect(merged([at(6, 900, 1, 'missed'), at(6, 800, 1, 'missed')])).toHaveLength(2);
		const many = merged(Array.from({ length: 90 }, (_, i) => at(1 + i, 1000, 1)));
		expect(many).toHaveLength(32);
		expect(many[0]!.thicknessMm).toBe(1);
	});

	it('lets a test fade as the electrode wears on, and forgets it in the end', () => {
		const test: Entry = {
			kind: 'test-cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 45,
			speedMmS: 18,
			lagDeg: null,
			through: true
		};
		const worn: Entry = {
			kind: 'cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 45,
			lengthMm: 300,
			arcS: 600,
			starts: 100,
			start: 'edge'
		};
		const after = (...entries: Entry[]) =>
			evidenceFromLog(BAY_2, logged(entries), null).speed.find((r) => r.kind === 'fine')!.weight;
		expect(after(test)).toBe(1);
		expect(after(worn, test)).toBe(1);
		const wornUm = 100 * RATES_UM.start + 10 * RATES_UM.arcMinute;
		expect(after(test, worn)).toBeCloseTo(Math.exp(-wornUm / FADE_UM), 9);
		expect(after(test, ...Array.from({ length: 30 }, () => worn))).toBeLessThan(0.01);
	});

	it('keeps metals and nozzles apart', () => {
		const test = (metal: 'mild-steel' | 'stainless', nozzleA: number, outputA: number): Entry => ({
			kind: 'test-cut',
			metal,
			thicknessMm: 3,
			outputA,
			nozzleA,
			speedMmS: 20,
			lagDeg: null,
			through: true
		});
		const { speed } = evidenceFromLog(
			BAY_2,
			logged([test('mild-steel', 45, 45), test('mild-steel', 30, 30), test('stainless', 45, 45)]),
			null
		);
		expect(speed.map((r) => `${r.metal}@${r.nozzleA}`).sort()).toEqual([
			'mild-steel@30',
			'mild-steel@45',
			'stainless@45'
		]);
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
		expect(wear.electrode.total).toEqual({
			...NO_USE,
			starts: 30,
			arcMin: 3,
			loadMin: 3,
			piercesRolled: 30
		});
		expect(wear.electrode.last).toEqual({
			grownUm: 300,
			useSince: { ...NO_USE, starts: 10, arcMin: 1, loadMin: 1, piercesRolled: 10 }
		});
		const [newest, before] = wear.electrode.measured;
		expect(newest).toMatchObject({ grownUm: 300, use: { starts: 20, piercesRolled: 20 } });
		expect(before).toMatchObject({ grownUm: 200, use: { starts: 10 } });
		// The one in service has come so far at least.
		const perCut = 10 * RATES_UM.start + RATES_UM.arcMinute + 10 * RATES_UM.rolled;
		expect(wear.electrode.lives).toEqual([{ um: 3 * perCut, worn: false }]);
	});
});

describe('measurements of circuit and air recover what they were made with', () => {
	const entryAt = (entry: Entry) => completeEntry(BAY_2, NO_EVIDENCE, entry);
	const evidenceOf = (...entries: Entry[]) =>
		evidenceFromLog(BAY_2, logged(entries.map(entryAt)), 'now');

	it('a groove is of the gouging nozzle that bears its amps, unless it says which', () => {
		const gouging = [30, 45].map((ratingA) => ({
			...BAY_2.torch.nozzles[0]!,
			kind: 'gouge' as const,
			ratingA
		}));
		const bench = { ...BAY_2, torch: { ...BAY_2.torch, fittedA: 65, nozzles: gouging } };
		const groove = { kind: 'groove', metal: 'mild-steel', outputA: 40 } as Extract<
			Entry,
			{ kind: 'groove' }
		>;
		const nozzleOf = (entry: Entry) =>
			(completeEntry(bench, NO_EVIDENCE, entry) as typeof groove).nozzleA;
		expect(nozzleOf(groove)).toBe(45);
		expect(nozzleOf({ ...groove, outputA: 25 })).toBe(30);
		expect(nozzleOf({ ...groove, nozzleA: 60 })).toBe(60);
	});

	it('clamp amps: a machine that draws 1.2 times its plate', () => {
		const plate = plateInput(BAY_2)!;
		const drawnVA = 1.2 * apparentPowerVA(BAY_2, plate, 45);
		const evidence = evidenceOf({
			kind: 'volts',
			idleV: 231,
			arcV: 219,
			outputA: 45,
			clampA: drawnVA / 219
		});
		expect(evidence.powerRatio?.mean).toBeCloseTo(1.2, 9);
		const ofPlan = plan(inputsOf({ evidence })).figures;
		expect(ofPlan['supply.apparentVA']).toMatchObject({ basis: 'T' });
		expect(ofPlan['supply.apparentVA'].value).toBeCloseTo(drawnVA, 6);
	});

	it('leaks: taken off the timed drain, added to what the tank loses', () => {
		const leak: Entry = { kind: 'leak', fromBar: 8, toBar: 7.5, seconds: 600 };
		const drain: Entry = { kind: 'drain', fromBar: 8, toBar: 6, seconds: 60 };
		const evidence = evidenceOf(leak, drain);
		const leakLpm = (90 * 0.5) / 1.01325 / 10;
		expect(evidence.leakLpm?.mean).toBeCloseTo(leakLpm, 9);
		const flow = plan(inputsOf({ evidence })).figures['air.flowLpm'].value!;
		expect(flow).toBeCloseTo((90 * 2) / 1.01325 - leakLpm, 9);
	});

	it('test grooves: one that was logged without what the model said of it tells nothing', () => {
		const groove = {
			kind: 'test-groove',
			metal: 'mild-steel',
			outputA: 45,
			angleFromPlateDeg: 40,
			widthMm: 7,
			depthMm: 2.5,
			lengthMm: 200,
			seconds: 20,
			nozzleA: 45
		} as const;
		expect(grooveEvidence(BAY_2, [groove])).toEqual({});
		const told = grooveEvidence(BAY_2, [groove, { ...groove, modelMm3S: 100 }]);
		expect(told[grooveKey('mild-steel', 45)]!.removal.n).toBe(1);
	});

	it('gauge: a line that loses what the model says has factor 1, a worse one more', () => {
		const { air } = workings(inputsOf());
		const expected = outletBar(
			7.5 - air.line.filterLossBar - air.line.dryerLossBar,
			air.line.hoseSquareDropBar2
		)!;
		const at = (inletBar: number) =>
			evidenceOf({ kind: 'gauge', tankBar: 7.5, inletBar }).lineFactor!.mean;
		expect(at(expected)).toBeCloseTo(1, 9);
		expect(at(expected - 0.3)).toBeGreaterThan(1.5);
	});

	it('lamp and recovery: the heat model that gives them back', () => {
		const [tauS, factor] = [240, 1.15];
		const riseK = factor * riseAtK(plateInput(BAY_2)!.duty[0]!, 45, tauS);
		const lampS = -tauS * Math.log(1 - (HOT_SPOT_C - 20) / riseK);
		const recoveryS = coolingS({ tauS, fromC: HOT_SPOT_C, toC: RESET_C, ambientC: 20 });
		const evidence = evidenceOf({ kind: 'lamp', outputA: 45, shopC: 20, lampS, recoveryS });
		expect(evidence.heat?.tauS).toBeCloseTo(tauS, 6);
		expect(evidence.heat?.riseFactor).toBeCloseTo(factor, 6);
		const figures = plan(inputsOf({ evidence, work: { shopC: 20 } })).figures;
		expect(figures['cutter.lampContinuousS'].value).toBeCloseTo(lampS, 6);
		expect(figures['cutter.recoveryS'].value).toBeCloseTo(recoveryS, 6);
	});

	it('two lamps that agree say what one says, two that differ the middle of both', () => {
		const lamp = (recoveryS: number) =>
			({ kind: 'lamp', outputA: 45, shopC: 20, lampS: 200, recoveryS }) as const;
		const tau = (...recoveries: number[]) => evidenceOf(...recoveries.map(lamp)).heat!.tauS!;
		expect(tau(60, 60)).toBeCloseTo(tau(60), 9);
		expect(tau(50, 70)).toBeCloseTo((tau(50) + tau(70)) / 2, 9);
	});

	it('trip: a breaker somewhere between its curves is found there, and the band narrows', () => {
		const curves = tripCurves('iec60898', 32);
		fc.assert(
			fc.property(fc.double({ min: 0.02, max: 0.98, noNaN: true }), (share) => {
				const { tauS, tripHeat } = curveBetween(curves, share);
				const e = { arcS: 60, restS: 10, onHeat: 4, offHeat: 0.01 };
				const crossing = firstCrossing(
					{ tauS, onTarget: 4, offTarget: 0.01, onS: 60, offS: 10, start: 0 },
					tripHeat
				)!;
				expect(shareFromTrip(curves, { ...e, afterS: crossing.atS })).toBeCloseTo(share, 3);
			})
		);
		const trip = (device: 'breaker' | 'held' | 'switch-on', afterS: number): Entry => ({
			kind: 'trip',
			device,
			afterS,
			outputA: 45,
			arcS: 600,
			restS: 0
		});
		const small = changed((b) => (b.supply.breaker.ratingA = 16));
		const seen = (entry: Entry) =>
			evidenceFromLog(small, logged([completeEntry(small, NO_EVIDENCE, entry)]), null).trip;
		const after = seen(trip('breaker', 60))!;
		expect(after.highShare - after.lowShare).toBeLessThan(1);
		expect(seen(trip('held', 60))!.lowShare).toBeGreaterThan(0);
		expect(seen(trip('held', 60))!.highShare).toBe(1);
		expect(seen(trip('switch-on', 0))).toBeNull();
		// Towards which heat it went nobody noted: it tells no share.
		const half = { ...trip('breaker', 60), onHeat: 4 } as Entry;
		for (const untold of [trip('breaker', 60), half])
			expect(evidenceFromLog(small, logged([untold]), null).trip).toBeNull();
	});

	it('trip: the band is the mean of the trips ± two deviations of it, held by its ends and by what held', () => {
		const small = changed((b) => (b.supply.breaker.ratingA = 16));
		const curves = tripCurves('iec60898', 16);
		const heat = { onHeat: 4, offHeat: 0.01, arcS: 600, restS: 0 };
		const trip = (device: 'breaker' | 'held', share: number): Entry => {
			const { tauS, tripHeat } = curveBetween(curves, share);
			const pattern = { tauS, onTarget: 4, offTarget: 0.01, onS: 600, offS: 0, start: 0 };
			const afterS = firstCrossing(pattern, tripHeat)!.atS;
			return { kind: 'trip', device, outputA: 45, afterS, ...heat };
		};
		const band = (...entries: Entry[]) => evidenceFromLog(small, logged(entries), null).trip!;
		// One trip is known to 0.15 of the way between the curves, own: 0.5 ± 0.3.
		const one = band(trip('breaker', 0.5));
		expect(one).toMatchObject({ n: 1 });
		expect(one.lowShare).toBeCloseTo(0.2, 3);
		expect(one.highShare).toBeCloseTo(0.8, 3);
		// Four of them half as wide, about their mean.
		const four = band(...[0.4, 0.45, 0.55, 0.6].map((share) => trip('breaker', share)));
		expect(four.n).toBe(4);
		expect(four.lowShare).toBeCloseTo(0.35, 3);
		expect(four.highShare).toBeCloseTo(0.65, 3);
		expect(band(trip('breaker', 0.1))).toMatchObject({ lowShare: 0 });
		expect(band(trip('breaker', 0.9))).toMatchObject({ highShare: 1 });
		// What held that long is no earlier curve; one trip against it leaves no band upside down.
		expect(band(trip('breaker', 0.5), trip('held', 0.4)).lowShare).toBeCloseTo(0.4, 3);
		const against = band(trip('breaker', 0.1), trip('held', 0.9));
		expect(against.lowShare).toBeCloseTo(0.4, 3);
		expect(against.highShare).toBe(against.lowShare);
	});

	it('trip: the heat is of all that runs on the circuit, by the square of its amps', () => {
		const shared = changed((b) => {
			const on = b.supply.circuit;
			b.supply.loads = [{ name: 'fan', on, currentA: 6, startMultiple: 6, when: 'always' }];
		});
		const entry = { kind: 'trip', device: 'breaker', outputA: 45 } as const;
		const work = { arcS: 60, restS: 10 };
		const of = (bench: Bench) => {
			const { figures } = plan(inputsOf({ bench, work }, { school: 'full' }));
			const done = completeEntry(bench, NO_EVIDENCE, { ...entry, ...work, afterS: 60 });
			const [inputA, sharedA] = [figures['supply.inputA'].value!, figures['supply.sharedA'].value!];
			return { amps: inputA + sharedA, sharedA, onHeat: (done as { onHeat: number }).onHeat };
		};
		const [alone, both] = [of(BAY_2), of(shared)];
		expect(both.sharedA).toBe(6);
		// What the air around it makes of the breaker's rating is the same in both, and goes out.
		expect(both.onHeat / alone.onHeat).toBeCloseTo((both.amps / alone.amps) ** 2, 6);
	});

	it('the pattern of the bench: arc of a start over all, pause only where the log tells it', () => {
		const cut = (arcS: number, starts: number): Entry => ({
			kind: 'cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 45,
			lengthMm: 300,
			arcS,
			starts,
			start: 'edge'
		});
		// Entries of the test log come a minute apart.
		expect(evidenceOf(cut(14, 1), cut(20, 1)).pattern).toEqual({ starts: 2, arcS: 17, restS: 40 });
		expect(evidenceOf(cut(280, 20)).pattern).toEqual({ starts: 20, arcS: 14, restS: null });
		// What has several starts has pauses of its own inside.
		expect(evidenceOf(cut(14, 1), cut(20, 2)).pattern?.restS).toBeNull();
		// A gap of a quarter of an hour is still a pause, a longer one a tea break; two at once are two hands.
		const gapS = (endsAtS: number) => {
			const rows = logged([cut(14, 1), cut(20, 1)].map(entryAt)).map((row, i) => ({
				...row,
				at: new Date(Date.UTC(2026, 10, 2, 8, 0, i * endsAtS)).toISOString()
			}));
			return evidenceFromLog(BAY_2, rows, 'now').pattern?.restS;
		};
		expect([20, 920, 921, 19].map(gapS)).toEqual([0, 900, null, null]);
	});
});

describe('readings of one thing by several instruments', () => {
	// Inverse variances, worked by hand: 1/0.09 and 1/0.01 of 2.0 and 1.8 mm.
	it('count by their own errors', () => {
		const two = weighed([
			{ value: 2, sigma: 0.3 },
			{ value: 1.8, sigma: 0.1 }
		]);
		expect(two.mean).toBeCloseTo((2 / 0.09 + 1.8 / 0.01) / (1 / 0.09 + 1 / 0.01), 12);
		expect(two.spread).toBeCloseTo(1 / Math.sqrt(1 / 0.09 + 1 / 0.01), 12);
	});
	it('are as sure as they differ, where they differ by more than they say', () => {
		const apart = weighed([
			{ value: 1, sigma: 0.1 },
			{ value: 2, sigma: 0.1 }
		]);
		// The sample's own standard deviation of the mean: 0.5.
		expect(apart).toEqual({ n: 2, mean: 1.5, spread: expect.closeTo(0.5, 12) as number });
	});
});

describe('scrap cut in two', () => {
	const piece = (guideSideMm: number, otherSideMm: number, nozzleA?: number): Entry => ({
		kind: 'scrap',
		metal: 'mild-steel',
		wholeMm: 100,
		guideAtMm: 50,
		guideSideMm,
		otherSideMm,
		nozzleA
	});
	it('moves the kerf of that nozzle and metal, the radius, and the distance to set', () => {
		const evidence = evidenceFromLog(BAY_2, logged([piece(61, 37.4), piece(61.2, 37)]), 'now');
		expect(evidence.scrap.radius?.mean).toBeCloseTo((61 - 50 + 0.8 + (61.2 - 50 + 0.9)) / 2, 9);
		const measured = plan(inputsOf({ evidence }));
		expect(measured.figures['setup.kerfMm']).toMatchObject({ basis: 'T' });
		expect(measured.figures['setup.kerfMm'].value).toBeCloseTo(1.7, 9);
		expect(measured.figures['cut.offsetMm'].value).toBeCloseTo(11.95 - 0.85, 9);
		const stainless = plan(inputsOf({ evidence }, { metal: 'stainless' }));
		expect(stainless.figures['setup.kerfMm'].basis).not.toBe('T');
		expect(stainless.figures['cut.radiusMm'].basis).toBe('T');
	});
	it('weighs little beside a slot that was read well, and a nozzle of another size has its own', () => {
		const slot = (kerfMm: number, spreadMm?: number, nozzleA?: number): Entry => ({
			kind: 'kerf',
			metal: 'mild-steel',
			kerfMm,
			spreadMm,
			nozzleA
		});
		const kerfOf = (...entries: Entry[]) =>
			evidenceFromLog(BAY_2, logged(entries), 'now').scrap.kerf[kerfKey('mild-steel', 45)];
		const both = kerfOf(piece(61, 37.4), slot(2.2, 0.02));
		expect(both!.mean).toBeGreaterThan(2.1);
		expect(kerfOf(slot(2.2), slot(1.2, undefined, 25))!.mean).toBe(2.2);
		expect(completeEntry(BAY_2, NO_EVIDENCE, slot(2))).toMatchObject({ nozzleA: 45 });
		// However well it is read, one slot is not every slot.
		expect(kerfOf(slot(2.2, 0.005))!.spread).toBeGreaterThan(0.07);
		expect(v.safeParse(EntrySchema, slot(9)).success).toBe(false);
	});
	it('is refused, with the field, when it can only be a slip of the rule', () => {
		const fields = (entry: Entry) =>
			v.safeParse(EntrySchema, entry).issues?.map((issue) => v.getDotPath(issue));
		expect(fields(piece(61, 39))).toEqual(['otherSideMm']);
		expect(fields(piece(61, 30.9))).toEqual(['otherSideMm']);
		expect(fields(piece(61, 31))).toBeUndefined();
		expect(fields(piece(50.5, 48))).toContain('guideSideMm');
		expect(fields(piece(61, 37.4))).toBeUndefined();
	});
	it('counts a test cut for the wear only when it was not logged as a cut', () => {
		const test: Entry = {
			kind: 'test-cut',
			metal: 'mild-steel',
			thicknessMm: 6,
			outputA: 45,
			speedMmS: 20,
			lagDeg: 22.5,
			through: true
		};
		const total = (entry: Entry) =>
			evidenceFromLog(BAY_2, logged([entry]), 'now').wear.electrode.total;
		expect(total(test).starts).toBe(0);
		const took = total({ ...test, took: { lengthMm: 300, start: 'hover' } });
		expect(took).toEqual({ ...NO_USE, starts: 1, arcMin: 0.25, loadMin: 0.25, piercesRolled: 1 });
	});
});

describe('starts that failed', () => {
	it('count alike whether they are told one by one or together', () => {
		const one = tallyOf({ kind: 'start', arcS: 1, start: 'edge' });
		const three = tallyOf({ kind: 'start', arcS: 1, start: 'edge', times: 3 });
		expect(three).toEqual(addTally(addTally(one, one), one));
		expect(three).toMatchObject({ starts: 3, pilotMs: 3000, arcMs: 0 });
	});
});
