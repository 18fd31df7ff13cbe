/**
 * Copper conductors: sizes, resistance and what they may carry.
 *
 * Resistance: AWG from the diameter law of ASTM B258 with IACS copper of 58 MS/m, solid;
 * mm² from IEC 60228, Table 2 (class 2, fixed wire) and Table 3 (class 5, flexible cord), plain
 * copper, maximum at 20 °C. Temperature law 1 + 0.00393·(T − 20).
 * Ampacity, all from memory: AWG wire NEC Table 310.16, copper, 75 °C column, 14/12/10 AWG held to
 * 15/20/30 A by 240.4(D); AWG cord NEC Table 400.5(A)(1), column B; mm² wire IEC 60364-5-52
 * Table B.52.2, PVC, two loaded conductors, methods B2 (conduit) and C (clipped direct); mm² cord:
 * usual ratings of two-core rubber cord, common practice. Units: mm², Ω/km at 20 °C, A.
 */
export const CONDUCTOR_SIZES = [
	'awg-18',
	'awg-16',
	'awg-14',
	'awg-12',
	'awg-10',
	'awg-8',
	'awg-6',
	'awg-4',
	'awg-3',
	'mm2-0.75',
	'mm2-1',
	'mm2-1.5',
	'mm2-2.5',
	'mm2-4',
	'mm2-6',
	'mm2-10',
	'mm2-16',
	'mm2-25'
] as const;
export type ConductorSize = (typeof CONDUCTOR_SIZES)[number];
export const WIRE_METHODS = ['conduit', 'clipped'] as const;
export type WireMethod = (typeof WIRE_METHODS)[number];
export type ConductorUse = 'wire' | 'cord';

const COPPER_MS_M = 58;
const COPPER_ALPHA_20 = 0.00393;

interface AwgRow {
	awg: number;
	wireA: number;
	/** 75 °C column before the small-conductor rule. */
	wire75A: number;
	cordA: number;
}
interface MetricRow {
	areaMm2: number;
	class2OhmKm: number;
	class5OhmKm: number;
	conduitA: number;
	clippedA: number;
	cordA: number;
}

const AWG: Partial<Record<ConductorSize, AwgRow>> = {
	'awg-18': { awg: 18, wireA: 0, wire75A: 0, cordA: 10 },
	'awg-16': { awg: 16, wireA: 0, wire75A: 0, cordA: 13 },
	'awg-14': { awg: 14, wireA: 15, wire75A: 20, cordA: 18 },
	'awg-12': { awg: 12, wireA: 20, wire75A: 25, cordA: 25 },
	'awg-10': { awg: 10, wireA: 30, wire75A: 35, cordA: 30 },
	'awg-8': { awg: 8, wireA: 50, wire75A: 50, cordA: 40 },
	'awg-6': { awg: 6, wireA: 65, wire75A: 65, cordA: 55 },
	'awg-4': { awg: 4, wireA: 85, wire75A: 85, cordA: 70 },
	'awg-3': { awg: 3, wireA: 100, wire75A: 100, cordA: 80 }
};

const METRIC: Partial<Record<ConductorSize, MetricRow>> = {
	'mm2-0.75': {
		areaMm2: 0.75,
		class2OhmKm: 24.5,
		class5OhmKm: 26,
		conduitA: 0,
		clippedA: 0,
		cordA: 6
	},
	'mm2-1': {
		areaMm2: 1,
		class2OhmKm: 18.1,
		class5OhmKm: 19.5,
		conduitA: 13,
		clippedA: 15,
		cordA: 10
	},
	'mm2-1.5': {
		areaMm2: 1.5,
		class2OhmKm: 12.1,
		class5OhmKm: 13.3,
		conduitA: 16.5,
		clippedA: 19.5,
		cordA: 16
	},
	'mm2-2.5': {
		areaMm2: 2.5,
		class2OhmKm: 7.41,
		class5OhmKm: 7.98,
		conduitA: 23,
		clippedA: 27,
		cordA: 25
	},
	'mm2-4': {
		areaMm2: 4,
		class2OhmKm: 4.61,
		class5OhmKm: 4.95,
		conduitA: 30,
		clippedA: 36,
		cordA: 34
	},
	'mm2-6': {
		areaMm2: 6,
		class2OhmKm: 3.08,
		class5OhmKm: 3.3,
		conduitA: 38,
		clippedA: 46,
		cordA: 43
	},
	'mm2-10': {
		areaMm2: 10,
		class2OhmKm: 1.83,
		class5OhmKm: 1.91,
		conduitA: 52,
		clippedA: 63,
		cordA: 60
	},
	'mm2-16': {
		areaMm2: 16,
		class2OhmKm: 1.15,
		class5OhmKm: 1.21,
		conduitA: 69,
		clippedA: 85,
		cordA: 80
	},
	'mm2-25': {
		areaMm2: 25,
		class2OhmKm: 0.727,
		class5OhmKm: 0.78,
		conduitA: 90,
		clippedA: 112,
		cordA: 105
	}
};

/** Diameter in mm of a solid AWG wire: 0.005 in × 92^((36 − n)/39), ASTM B258. 4/0 is −3. */
export function diameterMmFromAwg(awg: number): number {
	return 0.005 * 25.4 * 92 ** ((36 - awg) / 39);
}

export function areaMm2FromAwg(awg: number): number {
	return (Math.PI / 4) * diameterMmFromAwg(awg) ** 2;
}

/** Ω/km at 20 °C of a solid AWG wire. */
export function solidOhmKm20(awg: number): number {
	return 1000 / (COPPER_MS_M * areaMm2FromAwg(awg));
}

/** Ω/km at 20 °C. */
export function resistanceOhmKm20(size: ConductorSize, use: ConductorUse): number {
	const awg = AWG[size];
	if (awg) return solidOhmKm20(awg.awg);
	const metric = METRIC[size]!;
	return use === 'wire' ? metric.class2OhmKm : metric.class5OhmKm;
}

/** Factor from 20 °C to a conductor temperature. */
export function copperTemperatureFactor(tempC: number): number {
	return 1 + COPPER_ALPHA_20 * (tempC - 20);
}

/** The temperature at which a fully loaded conductor of this kind runs: 75 °C AWG, 70 °C mm². */
export function ratedConductorC(size: ConductorSize): number {
	return size.startsWith('awg') ? 75 : 70;
}

/** What the conductor carries all day, in A; 0 where the tables do not allow the use at all. */
export function ampacityA(size: ConductorSize, use: ConductorUse, method: WireMethod): number {
	const awg = AWG[size];
	if (awg) return use === 'wire' ? awg.wireA : awg.cordA;
	const metric = METRIC[size]!;
	if (use === 'cord') return metric.cordA;
	return method === 'conduit' ? metric.conduitA : metric.clippedA;
}

/** NEC Table 310.16 copper, 75 °C column, A; for the overcurrent limit of 630.12(B). */
export function necAmpacity75A(size: ConductorSize): number | undefined {
	return AWG[size]?.wire75A;
}

/** Copper cross-section, mm². */
export function areaMm2Of(size: ConductorSize): number {
	const awg = AWG[size];
	return awg ? areaMm2FromAwg(awg.awg) : METRIC[size]!.areaMm2;
}

/** "12 AWG", "2.5 mm²". */
export function conductorLabel(size: ConductorSize): string {
	const [system, value] = size.split('-') as [string, string];
	return system === 'awg' ? `${value} AWG` : `${value} mm²`;
}

export function conductorsFor(system: 'north-america' | 'iec'): ConductorSize[] {
	const prefix = system === 'iec' ? 'mm2' : 'awg';
	return CONDUCTOR_SIZES.filter((size) => size.startsWith(prefix));
}
