import { FREE_AIR_BAR } from '../air/flow';
import { altitudeFactor } from '../air/altitude';
import { deliveryLpm } from '../air/tank';
import { phaseFactor } from '../circuit/draw';
import { metalLaw, speedMmMin, speedRatioFromLag, steelLaw } from '../cutter/speed';
import { METALS } from '../metal/metals';
import { plateInput, type Bench, type Evidence, type Stat } from '../plan/inputs';
import { apparentPowerVA, arcVoltageV, modelledOhm } from '../plan/workings/electric';
import { addUse, growthUm, NO_USE, type Use } from '../wear/electrode';
import type { Entry, LoggedEntry } from './entries';

type Of<K extends Entry['kind']> = Extract<Entry, { kind: K }>;

/** Reading errors of the usual instruments, one standard deviation [own]. */
const READING = { volts: 0.5, ohmShare: 0.1, flowShare: 0.04, deliveryShare: 0.05 } as const;

/**
 * Ohms up to the cutter from two voltage readings: R = (V_idle − V_arc)/(k·I_in), with I_in from the
 * clamp meter or, at constant power, S/(k·V_arc).
 */
export function loopOhmFromVolts(bench: Bench, e: Of<'volts'>): number {
	const k = phaseFactor(bench.supply.phases);
	const plate = plateInput(bench)!;
	const inputA = e.clampA ?? apparentPowerVA(bench, plate, e.outputA) / (k * e.arcV);
	return (e.idleV - e.arcV) / (k * inputA);
}

/** Free air in l/min that leaves (or enters) a tank: V·Δp/(p_n·t). */
export function flowFromTankLpm(tankL: number, changeBar: number, seconds: number): number {
	return (60 * tankL * Math.abs(changeBar)) / (FREE_AIR_BAR * seconds);
}

/** True over stated delivery from a timed fill, at the mean pressure of the fill. */
export function deliveryFactorFromFill(bench: Bench, e: Of<'fill'>): number {
	const { compressor, tankL, altitudeM } = bench.air;
	const meanBar = (e.fromBar + e.toBar) / 2;
	const statedLpm = deliveryLpm({ ...compressor, tankL }, meanBar) * altitudeFactor(altitudeM);
	return flowFromTankLpm(tankL, e.toBar - e.fromBar, e.seconds) / statedLpm;
}

/** Recommended speed that a test cut tells, over the modelled one; undefined where the model has none. */
export function speedRatioFromTest(bench: Bench, e: Of<'test-cut'>): number | undefined {
	const metal = METALS[e.metal];
	const { cutter } = bench;
	const power = (amps: number) => amps * arcVoltageV(bench, amps);
	const ratedA = Math.max(...cutter.inputs.map((input) => input.outputMaxA));
	const steel = steelLaw(cutter.cleanMm, cutter.severMm);
	const law = metalLaw(steel, cutter.cleanMm, metal.capacity, metal.thinSpeed);
	const modelMmS = speedMmMin(law, power(e.outputA) / power(ratedA), e.thicknessMm) / 60;
	if (!(modelMmS > 0)) return undefined;
	const seenMmS = e.lagDeg === null ? e.speedMmS : e.speedMmS / speedRatioFromLag(e.lagDeg);
	return seenMmS / modelMmS;
}

/** Use of the parts that an entry stands for. */
export function useOf(entry: Entry): Use {
	if (entry.kind !== 'cut' && entry.kind !== 'start') return NO_USE;
	const starts = entry.kind === 'cut' ? entry.starts : 1;
	return {
		starts,
		arcMin: entry.arcS / 60,
		piercesRolled: entry.start === 'rolled' ? starts : 0,
		piercesStraight: entry.start === 'pierce' ? starts : 0
	};
}

/** Mean of readings with its standard deviation, at least what the instrument allows. */
function stat(values: readonly number[], instrument: number): Stat | null {
	if (values.length === 0) return null;
	const n = values.length;
	const mean = values.reduce((sum, x) => sum + x, 0) / n;
	const variance = n > 1 ? values.reduce((sum, x) => sum + (x - mean) ** 2, 0) / (n - 1) : 0;
	return { n, mean, spread: Math.max(instrument, Math.sqrt(variance)) / Math.sqrt(n) };
}

function shareStat(values: readonly number[], share: number): Stat | null {
	const mean = values.reduce((sum, x) => sum + x, 0) / Math.max(1, values.length);
	return stat(values, share * Math.abs(mean));
}

function speedEvidence(bench: Bench, tests: readonly Of<'test-cut'>[]): Evidence['speed'] {
	const speed: Evidence['speed'] = {};
	for (const test of tests) {
		const ratio = speedRatioFromTest(bench, test);
		if (ratio === undefined) continue;
		const before = speed[test.metal] ?? { n: 0, sumLog: 0 };
		speed[test.metal] = { n: before.n + 1, sumLog: before.sumLog + Math.log(ratio) };
	}
	return speed;
}

/** Use since new, last pit and growth measured and expected, of one set of parts. */
function wearOfSet(entries: readonly LoggedEntry[]) {
	let total = NO_USE;
	let since = NO_USE;
	let lastPit: Evidence['wear']['lastPit'] = null;
	let measuredUm = 0;
	let expectedUm = 0;
	for (const { entry } of entries) {
		if (entry.kind === 'pit') {
			lastPit = { pitUm: entry.pitMm * 1000, useSince: NO_USE };
			measuredUm = lastPit.pitUm;
			expectedUm = growthUm(total);
			since = NO_USE;
			continue;
		}
		const use = useOf(entry);
		total = addUse(total, use);
		since = addUse(since, use);
		if (lastPit) lastPit = { ...lastPit, useSince: since };
	}
	return { total, lastPit, measuredUm, expectedUm };
}

/**
 * Compact evidence from the log of one bench: the same log and bench always give the same evidence.
 * Entries come in the order they were written; undone ones count for nothing.
 */
export function evidenceFromLog(
	bench: Bench,
	entries: readonly LoggedEntry[],
	currentSetId: string | null
): Evidence {
	const active = entries.filter((e) => !e.undone);
	const all = <K extends Entry['kind']>(kind: K): Of<K>[] =>
		active.map((e) => e.entry).filter((e): e is Of<K> => e.kind === kind);
	const volts = all('volts');
	const modelOhm = modelledOhm(bench.supply).modelOhm;
	// Each reading is carried to one wiring, so that readings before and after a change agree.
	const ohms = volts.map((e) => loopOhmFromVolts(bench, e) + modelOhm - (e.modelOhm ?? modelOhm));
	const loop = shareStat(ohms, READING.ohmShare);

	const sets = new Map<string | null, LoggedEntry[]>();
	for (const e of active) sets.set(e.setId, [...(sets.get(e.setId) ?? []), e]);
	const wears = [...sets.entries()].map(([setId, list]) => ({ setId, ...wearOfSet(list) }));
	const current = wears.find((w) => w.setId === currentSetId) ?? wearOfSet([]);

	return {
		revision: entries.reduce((most, e) => Math.max(most, e.id), 0),
		sourceV: stat(
			volts.map((e) => e.idleV),
			READING.volts
		),
		loopOhm: loop && { ...loop, modelOhm },
		flowLpm: shareStat(
			all('drain').map((e) => flowFromTankLpm(bench.air.tankL, e.fromBar - e.toBar, e.seconds)),
			READING.flowShare
		),
		deliveryFactor: shareStat(
			all('fill').map((e) => deliveryFactorFromFill(bench, e)),
			READING.deliveryShare
		),
		speed: speedEvidence(bench, all('test-cut')),
		wear: {
			total: current.total,
			lastPit: current.lastPit,
			measuredUm: wears.reduce((sum, w) => sum + w.measuredUm, 0),
			expectedUm: wears.reduce((sum, w) => sum + w.expectedUm, 0)
		}
	};
}

/** Fills in what only the bench knows at the moment of writing. */
export function completeEntry(bench: Bench, entry: Entry): Entry {
	return entry.kind === 'volts'
		? { ...entry, modelOhm: modelledOhm(bench.supply).modelOhm }
		: entry;
}
