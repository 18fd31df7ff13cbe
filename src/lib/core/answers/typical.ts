/**
 * What a bench most likely is, where nobody has looked yet. Common practice and our own fits; none is of a
 * real machine. All of it is replaced by what labels and meters say.
 */
import { ampacityA, conductorsFor, type ConductorSize } from '../circuit/conductors';
import type { Bench } from '../inputs/bench';
import { ALL_OF_A_BENCH } from '../inputs/typical';
import { M_PER_FT, MM_PER_IN } from '../quantity/units';
import { bothMm, pooledLimitsMm } from '../speed/limits';

export const REGIONS = ['iec', 'north-america'] as const;
export type Region = (typeof REGIONS)[number];

/** To what a label there would say: half a millimetre, or a sixteenth of an inch. */
function rounded(mm: number, region: Region): number {
	const stepMm = region === 'iec' ? 0.5 : MM_PER_IN / 16;
	return Math.round(Math.round(mm / stepMm) * stepMm * 1000) / 1000;
}

/** Clean and sever rating that go with these amps, mm of mild steel. */
export function typicalRatingMm(
	mostA: number,
	region: Region
): { cleanMm: number; severMm: number } {
	const { cleanMm, severMm } = pooledLimitsMm(mostA);
	return { cleanMm: rounded(cleanMm, region), severMm: rounded(severMm, region) };
}

/** What a machine of this clean rating severs, mm. */
export const typicalSeverMm = (cleanMm: number, region: Region): number =>
	rounded(bothMm({ nozzleA: 0, outputA: 0, cleanMm, severMm: null }).severMm, region);

/** Smallest setting of a machine, A (common practice). */
export const typicalLeastA = (mostA: number): number => (mostA <= 30 ? 15 : mostA <= 60 ? 20 : 30);

/** Bores by rating, A and mm (common practice); between them in a straight line. */
const BORES = [
	[20, 0.7],
	[30, 0.8],
	[45, 1],
	[65, 1.3],
	[85, 1.5],
	[105, 1.7],
	[130, 1.9]
] as const;

export function typicalBoreMm(ratingA: number): number {
	const above = BORES.findIndex(([a]) => a >= ratingA);
	if (above < 0) return BORES.at(-1)![1];
	if (above === 0) return BORES[0][1];
	const [[a1, b1], [a2, b2]] = [BORES[above - 1]!, BORES[above]!];
	return Math.round(20 * (b1 + ((b2 - b1) * (ratingA - a1)) / (a2 - a1))) / 20;
}

/** Free air that a torch of this size takes, l/min: 170 at 45 A, rising slower than amps [own]. */
export const typicalFlowLpm = (mostA: number): number =>
	5 * Math.round((170 * (mostA / 45) ** 0.6) / 5);

/** Pressure at the inlet, air flowing, bar (common practice: near 5 to 6.5, 70 to 95 psi). */
export const TYPICAL_WINDOW_BAR = { from: 4.8, to: 6.5 } as const;

/** Where a regulator stands in a window: above its lower end by this share [own]. */
const SET_SHARE = 0.4;
export const typicalSetPointBar = (fromBar: number, toBar: number): number =>
	Math.round(10 * (fromBar + SET_SHARE * (toBar - fromBar))) / 10;

/** The smaller of the usual circuits at a receptacle of this kind, A (common practice). */
export function typicalBreakerA(region: Region, voltageV: number): number {
	if (region === 'iec') return 16;
	return voltageV < 150 ? 20 : 30;
}

/** The smallest usual wire that carries all day what its breaker lets through; 15 m of it, or 50 ft. */
export function typicalWire(
	region: Region,
	breakerA: number
): { size: ConductorSize; lengthM: number } {
	const least = region === 'iec' ? 2.5 : 14;
	const usual = conductorsFor(region).filter((size) =>
		region === 'iec' ? Number(size.slice(4)) >= least : Number(size.slice(4)) <= least
	);
	const size = usual.find((s) => ampacityA(s, 'wire', 'conduit') >= breakerA) ?? usual.at(-1)!;
	return { size, lengthM: region === 'iec' ? 15 : 50 * M_PER_FT };
}

/** Share of ten minutes at full amps (common practice: 20 to 60 %). */
export const TYPICAL_DUTY = 0.35;
export const TYPICAL_COMPRESSOR = { deliveryLpm: 160, rating: 'delivered', tankL: 50 } as const;
/** A compressor's label tells its delivery near this, bar. */
export const DELIVERY_AT_BAR = 6.5;

const VOLTS: Record<Region, number> = { iec: 230, 'north-america': 240 };
const START_A = 45;

/** A bench of which nothing is known yet but where it stands. */
export function typicalBench(region: Region): Bench {
	const voltageV = VOLTS[region];
	const breakerA = typicalBreakerA(region, voltageV);
	const { from, to } = TYPICAL_WINDOW_BAR;
	return {
		name: 'My bench',
		supply: {
			system: region,
			circuit: 'Cutter circuit',
			nominalV: voltageV,
			phases: 1,
			breaker: {
				standard: region === 'iec' ? 'iec60898' : 'ul489',
				curve: region === 'iec' ? 'B' : 'C',
				ratingA: breakerA
			},
			wire: { ...typicalWire(region, breakerA), method: 'conduit' },
			receptacleA: breakerA,
			earthFault: 'none',
			serviceOhm: null,
			generator: null,
			plugFuseA: null,
			cord: null,
			elsewhere: [],
			loads: [],
			ambientC: 20
		},
		cutter: {
			name: 'My cutter',
			inputs: [
				{
					voltageV,
					phases: 1,
					inputMaxA: null,
					inputEffA: null,
					fuseA: null,
					outputMaxA: START_A,
					duty: [{ outputA: START_A, dutyShare: TYPICAL_DUTY }]
				}
			],
			outputMinA: typicalLeastA(START_A),
			powerFactor: 0.95,
			efficiency: 0.87,
			arcVoltageV: null,
			airFlowLpm: typicalFlowLpm(START_A),
			airMinBar: from,
			airMaxBar: to,
			inrushA: null,
			voltageBy: 'itself',
			lamps: { pressure: '', cap: '', heat: '', fault: '' },
			toleranceShare: 0.1,
			regulator: 'itself',
			workingBar: null,
			...typicalRatingMm(START_A, region)
		},
		torch: {
			name: 'Hand torch',
			shieldRadiusMm: 12,
			faceRadiusMm: 5,
			squareSide: 'right',
			nozzles: [
				{
					ratingA: START_A,
					boreMm: typicalBoreMm(START_A),
					kind: 'cut',
					cleanMm: null,
					severMm: null
				}
			],
			fittedA: START_A,
			dragShield: true,
			family: 'into-torch',
			electrodeMaxA: null,
			ringMinA: null,
			ringMaxA: null,
			shieldIn: 'cutting',
			bareTouchA: 30,
			standoffMm: 1.5,
			leadM: 6,
			leadBoreMm: 6,
			postFlowS: 15
		},
		air: {
			source: 'compressor',
			compressor: {
				points: [{ flowLpm: TYPICAL_COMPRESSOR.deliveryLpm, atBar: DELIVERY_AT_BAR }],
				rating: TYPICAL_COMPRESSOR.rating,
				oil: 'oiled',
				cutInBar: 6.5,
				cutOutBar: 8.5
			},
			tankL: TYPICAL_COMPRESSOR.tankL,
			tankRiseK: 5,
			coolingM: 5,
			bottle: null,
			altitudeM: 100,
			setPointBar: typicalSetPointBar(from, to),
			stages: [
				{ kind: 'trap', where: 'compressor', lossBar: 0.1, atLpm: 200, loaded: 0, gelG: null }
			],
			hose: { boreMm: 8, lengthM: 10, couplings: 2 }
		},
		usual: { by: 'cut', arcS: 15, restS: 30, shopC: 20, humidity: 0.6, cuts: 20, shift: null },
		typical: [...ALL_OF_A_BENCH]
	};
}
