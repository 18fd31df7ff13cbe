/**
 * Invented demo data: a two-bay canal-side workshop that repairs lock-gate and sluice steelwork.
 * No figure in here describes a real machine.
 */
import type { Bench, Work } from '../../src/lib/core';

const bay2Work: Work = {
	by: 'cut',
	arcS: 14,
	restS: 20,
	shopC: 18,
	humidity: 0.7,
	cuts: 40,
	shift: null
};

/** Bay 2: 45 A single-phase cutter, 230 V, on a 32 A type C breaker. Runs well. */
export const BAY_2: Bench = {
	name: 'Bay 2',
	supply: {
		system: 'iec',
		circuit: 'Bay 2 outlet',
		phases: 1,
		nominalV: 230,
		serviceOhm: null,
		plugFuseA: null,
		breaker: { standard: 'iec60898', curve: 'C', ratingA: 32 },
		wire: { size: 'mm2-6', lengthM: 18, method: 'clipped' },
		receptacleA: 32,
		earthFault: '30 mA',
		generator: null,
		cord: { size: 'mm2-4', lengthM: 10, kind: 'made-up', labelA: null },
		elsewhere: [
			{
				name: 'Bay 1 sockets',
				nominalV: 230,
				phases: 1,
				breaker: { standard: 'iec60898', curve: 'B', ratingA: 16 },
				wire: { size: 'mm2-2.5', lengthM: 22, method: 'clipped' },
				receptacleA: 16,
				earthFault: '30 mA'
			}
		],
		loads: [
			{
				name: 'compressor',
				on: 'Bay 1 sockets',
				currentA: 9.5,
				startMultiple: 4,
				when: 'compressor'
			},
			{ name: 'fume fan', on: 'Bay 1 sockets', currentA: 1.8, startMultiple: 6, when: 'always' }
		],
		ambientC: 20
	},
	cutter: {
		name: '45 A single-phase cutter',
		inputs: [
			{
				voltageV: 230,
				phases: 1,
				inputMaxA: 24,
				inputEffA: null,
				fuseA: null,
				outputMaxA: 45,
				duty: [
					{ outputA: 45, dutyShare: 0.35 },
					{ outputA: 34, dutyShare: 0.6 },
					{ outputA: 27, dutyShare: 1 }
				]
			}
		],
		outputMinA: 20,
		powerFactor: 0.95,
		efficiency: 0.87,
		arcVoltageV: null,
		toleranceShare: 0.1,
		regulator: 'none',
		workingBar: null,
		inrushA: null,
		voltageBy: 'itself',
		lamps: {
			pressure: 'amber, a gauge',
			cap: 'amber, a cup',
			heat: 'amber, a thermometer',
			fault: 'red, and a number in the display'
		},
		airFlowLpm: 170,
		airMinBar: 4.8,
		airMaxBar: 6.5,
		cleanMm: 12,
		severMm: 22
	},
	torch: {
		name: 'hand torch, 6 m lead',
		shieldRadiusMm: 12,
		faceRadiusMm: 5,
		squareSide: 'right',
		nozzles: [
			{ ratingA: 30, boreMm: 0.8, kind: 'cut', cleanMm: null, severMm: null },
			{ ratingA: 45, boreMm: 1, kind: 'cut', cleanMm: null, severMm: null, faceMm: 9 },
			{ ratingA: 45, boreMm: 1.6, kind: 'gouge', cleanMm: null, severMm: null }
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
	},
	air: {
		compressor: {
			points: [
				{ flowLpm: 225, atBar: 4 },
				{ flowLpm: 190, atBar: 8 }
			],
			rating: 'delivered',
			oil: 'oiled',
			cutInBar: 6.5,
			cutOutBar: 8.5
		},
		source: 'compressor',
		tankL: 90,
		tankRiseK: 6,
		coolingM: 6,
		bottle: null,
		altitudeM: 60,
		setPointBar: 5.5,
		stages: [
			{ kind: 'trap', where: 'compressor', lossBar: 0.04, atLpm: 200, loaded: 0, gelG: null },
			{ kind: 'desiccant', where: 'cutter', lossBar: 0.12, atLpm: 200, loaded: 0.1, gelG: 900 },
			{ kind: 'particulate', where: 'cutter', lossBar: 0.04, atLpm: 200, loaded: 0.1, gelG: null }
		],
		hose: { boreMm: 10, lengthM: 12, couplings: 2 }
	},
	usual: bay2Work,
	typical: []
};

/** The towpath trolley: 27 A dual-voltage portable on 120 V, with a cord and a small compressor. */
export const TROLLEY: Bench = {
	name: 'Towpath trolley',
	supply: {
		system: 'north-america',
		circuit: 'Towpath outlet',
		phases: 1,
		nominalV: 120,
		serviceOhm: null,
		plugFuseA: null,
		breaker: { standard: 'ul489', curve: 'C', ratingA: 20 },
		wire: { size: 'awg-12', lengthM: 20, method: 'conduit' },
		receptacleA: 20,
		earthFault: '5 mA',
		generator: null,
		cord: { size: 'awg-12', lengthM: 7.62, kind: 'made-up', labelA: null },
		elsewhere: [
			{
				name: 'Lock house 240 V',
				nominalV: 240,
				phases: 1,
				breaker: { standard: 'ul489', curve: 'C', ratingA: 30 },
				wire: { size: 'awg-10', lengthM: 14, method: 'conduit' },
				receptacleA: 30,
				earthFault: 'none'
			},
			{
				name: 'Lock house sockets',
				nominalV: 120,
				phases: 1,
				breaker: { standard: 'ul489', curve: 'C', ratingA: 15 },
				wire: { size: 'awg-14', lengthM: 12, method: 'conduit' },
				receptacleA: 15,
				earthFault: 'none'
			}
		],
		loads: [
			{
				name: 'compressor',
				on: 'Lock house sockets',
				currentA: 9,
				startMultiple: 5,
				when: 'compressor'
			}
		],
		ambientC: 25
	},
	cutter: {
		name: '27 A dual-voltage portable',
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
			},
			{
				voltageV: 240,
				phases: 1,
				inputMaxA: 13,
				inputEffA: null,
				fuseA: null,
				outputMaxA: 27,
				duty: [{ outputA: 27, dutyShare: 0.35 }]
			}
		],
		outputMinA: 15,
		powerFactor: 0.98,
		efficiency: 0.85,
		arcVoltageV: null,
		toleranceShare: 0.1,
		regulator: 'itself',
		workingBar: null,
		inrushA: null,
		voltageBy: 'itself',
		lamps: { pressure: '', cap: '', heat: '', fault: '' },
		airFlowLpm: 110,
		airMinBar: 4.1,
		airMaxBar: 6.2,
		cleanMm: 6.35,
		severMm: 12.7
	},
	torch: {
		name: 'hand torch, 4 m lead',
		shieldRadiusMm: 10.5,
		faceRadiusMm: 5,
		squareSide: 'right',
		nozzles: [
			{ ratingA: 20, boreMm: 0.65, kind: 'cut', cleanMm: null, severMm: null },
			{ ratingA: 30, boreMm: 0.8, kind: 'cut', cleanMm: null, severMm: null }
		],
		fittedA: 30,
		dragShield: true,
		family: 'into-torch',
		electrodeMaxA: null,
		ringMinA: null,
		ringMaxA: null,
		shieldIn: 'cutting',
		bareTouchA: 30,
		standoffMm: 1.5,
		leadM: 4,
		leadBoreMm: 5,
		postFlowS: 10
	},
	air: {
		compressor: {
			points: [
				{ flowLpm: 95, atBar: 3 },
				{ flowLpm: 71, atBar: 6.2 }
			],
			rating: 'delivered',
			oil: 'oil-free',
			cutInBar: 6,
			cutOutBar: 8.2
		},
		source: 'compressor',
		tankL: 24,
		tankRiseK: 8,
		coolingM: 1,
		bottle: null,
		altitudeM: 60,
		setPointBar: 4.7,
		stages: [
			{ kind: 'trap', where: 'cutter', lossBar: 0.09, atLpm: 150, loaded: 0.05, gelG: null }
		],
		hose: { boreMm: 8, lengthM: 7.5, couplings: 2 }
	},
	usual: { by: 'cut', arcS: 10, restS: 40, shopC: 22, humidity: 0.65, cuts: 12, shift: null },
	typical: []
};
