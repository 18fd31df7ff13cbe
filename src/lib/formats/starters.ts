/**
 * Benches to start from. Every value is typical (common practice), none is of a real machine; the
 * person replaces them from the data plates.
 */
import type { Bench } from '$lib/core';

const torch: Bench['torch'] = {
	name: 'Hand torch',
	shieldRadiusMm: 12,
	faceRadiusMm: 5,
	squareSide: 'right',
	nozzles: [
		{ ratingA: 30, boreMm: 0.8, kind: 'cut', cleanMm: null, severMm: null },
		{ ratingA: 45, boreMm: 1, kind: 'cut', cleanMm: null, severMm: null }
	],
	fittedA: 45,
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
};
const air: Bench['air'] = {
	compressor: {
		points: [
			{ flowLpm: 200, atBar: 4 },
			{ flowLpm: 160, atBar: 8 }
		],
		rating: 'delivered',
		oil: 'oiled',
		cutInBar: 6.5,
		cutOutBar: 8.5
	},
	source: 'compressor',
	tankL: 90,
	tankRiseK: 5,
	coolingM: 5,
	bottle: null,
	altitudeM: 100,
	setPointBar: 5.5,
	stages: [{ kind: 'trap', where: 'compressor', lossBar: 0.1, atLpm: 200, loaded: 0, gelG: null }],
	hose: { boreMm: 8, lengthM: 10, couplings: 2 }
};
const cutter: Bench['cutter'] = {
	name: '45 A single-phase cutter',
	inputs: [],
	outputMinA: 20,
	powerFactor: 0.95,
	efficiency: 0.87,
	arcVoltageV: null,
	toleranceShare: 0.1,
	regulator: 'itself',
	workingBar: null,
	inrushA: null,
	voltageBy: 'itself',
	airFlowLpm: 170,
	airMinBar: 4.8,
	airMaxBar: 6.5,
	cleanMm: 12,
	severMm: 22
};
const usual: Bench['usual'] = {
	by: 'cut',
	arcS: 15,
	restS: 30,
	shopC: 20,
	humidity: 0.6,
	cuts: 20,
	shift: null
};
const circuit = {
	circuit: 'Cutter circuit',
	earthFault: 'none',
	generator: null,
	elsewhere: [],
	loads: [],
	serviceOhm: null,
	plugFuseA: null,
	cord: null
} satisfies Partial<Bench['supply']>;
const duty45 = [
	{ outputA: 45, dutyShare: 0.35 },
	{ outputA: 34, dutyShare: 0.6 }
];

export const STARTER_BENCHES: readonly Bench[] = [
	{
		name: '230 V, 32 A circuit (IEC)',
		supply: {
			...circuit,
			system: 'iec',
			phases: 1,
			nominalV: 230,
			breaker: { standard: 'iec60898', curve: 'C', ratingA: 32 },
			wire: { size: 'mm2-6', lengthM: 15, method: 'conduit' },
			receptacleA: 32,
			ambientC: 20
		},
		cutter: {
			...cutter,
			inputs: [
				{
					voltageV: 230,
					phases: 1,
					inputMaxA: 24,
					inputEffA: null,
					fuseA: null,
					outputMaxA: 45,
					duty: duty45
				}
			]
		},
		torch,
		air,
		usual
	},
	{
		name: '240 V, 50 A circuit (North America)',
		supply: {
			...circuit,
			system: 'north-america',
			phases: 1,
			nominalV: 240,
			breaker: { standard: 'ul489', curve: 'C', ratingA: 50 },
			wire: { size: 'awg-8', lengthM: 15, method: 'conduit' },
			receptacleA: 50,
			ambientC: 25
		},
		cutter: {
			...cutter,
			inputs: [
				{
					voltageV: 240,
					phases: 1,
					inputMaxA: 23,
					inputEffA: null,
					fuseA: null,
					outputMaxA: 45,
					duty: duty45
				}
			]
		},
		torch,
		air,
		usual
	},
	{
		name: '120 V, 20 A circuit (North America)',
		supply: {
			...circuit,
			system: 'north-america',
			phases: 1,
			nominalV: 120,
			breaker: { standard: 'ul489', curve: 'C', ratingA: 20 },
			wire: { size: 'awg-12', lengthM: 12, method: 'conduit' },
			receptacleA: 20,
			ambientC: 25
		},
		cutter: {
			...cutter,
			name: '27 A portable cutter',
			inputs: [
				{
					voltageV: 120,
					phases: 1,
					inputMaxA: 24,
					inputEffA: null,
					fuseA: null,
					outputMaxA: 27,
					duty: [
						{ outputA: 27, dutyShare: 0.2 },
						{ outputA: 20, dutyShare: 0.4 }
					]
				}
			],
			outputMinA: 15,
			airFlowLpm: 110,
			airMinBar: 4.1,
			airMaxBar: 6.2,
			cleanMm: 6.35,
			severMm: 12.7
		},
		torch: { ...torch, fittedA: 30, postFlowS: 10 },
		air: { ...air, setPointBar: 5 },
		usual: { ...usual, arcS: 10, restS: 40 }
	}
];
