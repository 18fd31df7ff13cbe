/** What the measurements of circuit and air tell, and what only the bench knows when one is written. */
import { altitudeFactor } from '../air/altitude';
import { DELIVERED_OVER_DISPLACED, deliveryLine, deliveryLpm } from '../session/delivery';
import { FREE_AIR_BAR } from '../quantity/units';
import { outletBar } from '../air/flow';
import { curveBetween, tripCurves } from '../circuit/breaker';
import { phaseFactor } from '../cutter/plate';
import {
	governingPair,
	HOT_TAU_S,
	riseAtK,
	riseFactorFromLamp,
	tauFromRecoveryS
} from '../cutter/duty';
import { plateInput } from '../cutter/plate';
import type { Bench } from '../inputs/bench';
import type { Evidence } from '../inputs/evidence';
import type { Stat } from '../quantity/stat';
import { airLine } from '../air/workings';
import { draw } from '../circuit/workings';
import { modelledOhm, wiring } from '../circuit/wiring';
import { apparentPowerVA } from '../cutter/power';
import { IDLE_A } from '../cutter/plate';
import { fittedNozzle } from '../torch/nozzle';
import { bisect } from '../solve/bisect';
import { firstCrossing } from '../session/node';
import { modelRemovalMm3S } from '../gouge/workings';
import { gougeNozzle } from '../gouge/job';
import type { Entry } from './entries';

export type Of<K extends Entry['kind']> = Extract<Entry, { kind: K }>;

/** Reading errors of the usual instruments, one standard deviation [own]. */
const READING = {
	volts: 0.5,
	ohmShare: 0.1,
	flowShare: 0.04,
	deliveryShare: 0.05,
	clampShare: 0.03,
	lineShare: 0.1
} as const;
/** A breaker's place between its curves is known to about this from one trip [own]. */
const TRIP_SPREAD = 0.15;
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

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

/** Apparent power by volts and clamp meter over the plate's at the same amps. */
export function powerRatioFromVolts(bench: Bench, e: Of<'volts'>): number | undefined {
	if (e.clampA === null) return undefined;
	const read = phaseFactor(bench.supply.phases) * e.arcV * e.clampA;
	return read / apparentPowerVA(bench, plateInput(bench)!, e.outputA);
}

/** Free air in l/min that leaves (or enters) a tank: V·Δp/(p_n·t). */
export function flowFromTankLpm(tankL: number, changeBar: number, seconds: number): number {
	return (60 * tankL * Math.abs(changeBar)) / (FREE_AIR_BAR * seconds);
}

/** True over stated delivery from a timed fill, at the mean pressure of the fill. */
export function deliveryFactorFromFill(bench: Bench, e: Of<'fill'>): number {
	const { compressor, tankL, altitudeM } = bench.air;
	const share =
		altitudeFactor(altitudeM) * (compressor.rating === 'displaced' ? DELIVERED_OVER_DISPLACED : 1);
	const stated = deliveryLpm(deliveryLine(compressor.points, share), (e.fromBar + e.toBar) / 2);
	return flowFromTankLpm(tankL, e.toBar - e.fromBar, e.seconds) / Math.max(1, stated);
}

/** p² lost from tank to the gauge before the regulator, bar²; by the gauges, and by the model. */
const squareLoss = (fromBar: number, toBar: number) =>
	(fromBar + FREE_AIR_BAR) ** 2 - (toBar + FREE_AIR_BAR) ** 2;

function modelledLineBar2(bench: Bench, evidence: Evidence, tankBar: number): number | undefined {
	const air = airLine(bench, fittedNozzle(bench.torch), { ...evidence, lineFactor: null });
	const out = outletBar(tankBar - air.filterLossBar - air.dryerLossBar, air.hoseSquareDropBar2);
	return out === undefined ? undefined : squareLoss(tankBar, out);
}

/** Heat model from timed lamps: the recovery tells the time constant, the lamp the rise. */
function heatEvidence(bench: Bench, lamps: readonly Of<'lamp'>[]): Evidence['heat'] {
	if (lamps.length === 0) return null;
	const taus = lamps
		.filter((e) => e.recoveryS !== null)
		.map((e) => tauFromRecoveryS(e.recoveryS!, e.shopC));
	const tauS = taus.length ? mean(taus) : null;
	const { duty } = plateInput(bench)!;
	const factors = lamps.map((e) =>
		riseFactorFromLamp({
			lampS: e.lampS,
			ambientC: e.shopC,
			tauS: tauS ?? HOT_TAU_S,
			modelRiseK: riseAtK(governingPair(duty, e.outputA), e.outputA, tauS ?? HOT_TAU_S)
		})
	);
	const clamped = (x: number, low: number, high: number) => Math.min(high, Math.max(low, x));
	return {
		n: lamps.length,
		riseFactor: clamped(mean(factors), 0.1, 20),
		tauS: tauS === null ? null : clamped(tauS, 10, 7200)
	};
}

/**
 * Where between the earliest (0) and the latest (1) curve a breaker lies that trips under this work
 * after this time: bisected, since a later curve never trips sooner.
 */
export function shareFromTrip(
	curves: ReturnType<typeof tripCurves>,
	e: { afterS: number; arcS: number; restS: number; onHeat: number; offHeat: number }
): number {
	const tripS = (share: number) => {
		const { tauS, tripHeat } = curveBetween(curves, share);
		const pattern = {
			tauS,
			onTarget: e.onHeat,
			offTarget: e.offHeat,
			onS: e.arcS,
			offS: e.restS,
			start: 0
		};
		return firstCrossing(pattern, tripHeat)?.atS ?? Infinity;
	};
	if (tripS(1) <= e.afterS) return 1;
	if (tripS(0) >= e.afterS) return 0;
	return bisect(
		0,
		1,
		(share) => tripS(share) <= e.afterS,
		(yes, no) => no - yes < 1e-9
	);
}

function tripEvidence(bench: Bench, trips: readonly Of<'trip'>[]): Evidence['trip'] {
	const heated = trips.filter(
		(e): e is Of<'trip'> & { onHeat: number; offHeat: number } =>
			e.onHeat !== undefined && e.offHeat !== undefined
	);
	const { standard, ratingA } = bench.supply.breaker;
	const curves = tripCurves(standard, ratingA);
	const shares = (device: Of<'trip'>['device']) =>
		heated.filter((e) => e.device === device).map((e) => shareFromTrip(curves, e));
	const tripped = shares('breaker');
	const held = shares('held');
	if (tripped.length + held.length === 0) return null;
	let [lowShare, highShare] = [0, 1];
	if (tripped.length) {
		const share = mean(tripped);
		const spread = (2 * TRIP_SPREAD) / Math.sqrt(tripped.length);
		[lowShare, highShare] = [Math.max(0, share - spread), Math.min(1, share + spread)];
	}
	// What held for a time is no earlier than the curve that would have tripped just then.
	lowShare = Math.min(highShare, Math.max(lowShare, ...held));
	return { n: tripped.length + held.length, lowShare, highShare };
}

/** Mean of readings with its standard deviation, at least what the instrument allows. */
export function stat(values: readonly number[], instrument: number): Stat | null {
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

type SupplyEvidence = Pick<
	Evidence,
	| 'sourceV'
	| 'loopOhm'
	| 'flowLpm'
	| 'deliveryFactor'
	| 'leakLpm'
	| 'powerRatio'
	| 'lineFactor'
	| 'heat'
	| 'trip'
>;

/** Oldest first. */
export type SupplyReadings = {
	[K in 'volts' | 'drain' | 'fill' | 'leak' | 'gauge' | 'lamp' | 'trip']: readonly Of<K>[];
};

/** Everything that was measured of circuit, air and cutter heat. */
export function supplyEvidence(
	bench: Bench,
	{ volts, ...readings }: SupplyReadings
): SupplyEvidence {
	const modelOhm = modelledOhm(bench.supply).modelOhm;
	// Each reading is carried to one wiring, so that readings before and after a change agree.
	const ohms = volts.map((e) => loopOhmFromVolts(bench, e) + modelOhm - (e.modelOhm ?? modelOhm));
	const loop = shareStat(ohms, READING.ohmShare);
	const ratios = volts.map((e) => powerRatioFromVolts(bench, e)).filter((r) => r !== undefined);
	const fromTank = (e: Of<'drain'> | Of<'leak'>) =>
		flowFromTankLpm(bench.air.tankL, e.fromBar - e.toBar, e.seconds);
	const lines = readings.gauge
		.filter((e) => (e.modelBar2 ?? 0) > 0)
		.map((e) => squareLoss(e.tankBar, e.inletBar) / e.modelBar2!);
	return {
		sourceV: stat(
			volts.map((e) => e.idleV),
			READING.volts
		),
		loopOhm: loop && { ...loop, modelOhm },
		powerRatio: shareStat(ratios, READING.clampShare),
		flowLpm: shareStat(readings.drain.map(fromTank), READING.flowShare),
		leakLpm: shareStat(readings.leak.map(fromTank), READING.flowShare),
		deliveryFactor: shareStat(
			readings.fill.map((e) => deliveryFactorFromFill(bench, e)),
			READING.deliveryShare
		),
		lineFactor: shareStat(lines, READING.lineShare),
		heat: heatEvidence(bench, readings.lamp),
		trip: tripEvidence(bench, readings.trip)
	};
}

/** Fills in what only the bench knows at the moment of writing. */
export function completeEntry(bench: Bench, evidence: Evidence, entry: Entry): Entry {
	if (entry.kind === 'volts') return { ...entry, modelOhm: modelledOhm(bench.supply).modelOhm };
	if (
		entry.kind === 'test-cut' ||
		entry.kind === 'scrap' ||
		entry.kind === 'kerf' ||
		entry.kind === 'cut'
	) {
		return { ...entry, nozzleA: entry.nozzleA ?? bench.torch.fittedA };
	}
	if (entry.kind === 'groove' || entry.kind === 'test-groove') {
		const nozzleA =
			entry.nozzleA ?? gougeNozzle(bench, entry.outputA)?.ratingA ?? bench.torch.fittedA;
		return entry.kind === 'groove'
			? { ...entry, nozzleA }
			: { ...entry, nozzleA, modelMm3S: modelRemovalMm3S(bench, entry.metal, entry.outputA) };
	}
	if (entry.kind === 'bore') {
		return { ...entry, newMm: entry.newMm ?? fittedNozzle(bench.torch).boreMm };
	}
	if (entry.kind === 'gauge') {
		return { ...entry, modelBar2: modelledLineBar2(bench, evidence, entry.tankBar) };
	}
	if (entry.kind === 'trip') {
		const w = wiring(bench, evidence);
		const { inputA } = draw(bench, w, {
			ratio: evidence.powerRatio?.mean ?? 1,
			outputA: entry.outputA,
			work: entry
		});
		const sharedA = w.steadyA + w.compressorA;
		return {
			...entry,
			onHeat: ((inputA + sharedA) / w.breakerA) ** 2,
			offHeat: ((IDLE_A + w.steadyA) / w.breakerA) ** 2
		};
	}
	return entry;
}
