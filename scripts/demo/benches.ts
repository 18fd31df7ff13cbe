/**
 * Invented demo data: a two-bay canal-side workshop that repairs lock-gate and sluice steelwork.
 * No figure in here describes a real machine.
 */
import type { Bench, Work } from '../../src/lib/core';

const bay2Work: Work = { arcS: 14, restS: 20, shopC: 18 };

/** Bay 2: 45 A single-phase cutter, 230 V, on a 32 A type C breaker. Runs well. */
export const BAY_2: Bench = {
	name: 'Bay 2',
	supply: {
		system: 'iec',
		phases: 1,
		nominalV: 230,
		serviceOhm: null,
		breaker: { standard: 'iec60898', curve: 'C', ratingA: 32 },
		wire: { size: 'mm2-6', lengthM: 18, method: 'clipped' },
		receptacleA: 32,
		cord: { size: 'mm2-4', lengthM: 10 },
		otherLoadA: 0,
		ambientC: 20
	},
	cutter: {
		name: '45 A single-phase cutter',
		inputs: [
			{
				voltageV: 230,
				phases: 1,
				inputMaxA: 24,
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
		airFlowLpm: 170,
		airMinBar: 4.8,
		airMaxBar: 6.5,
		cleanMm: 12,
		severMm: 22
	},
	torch: {
		name: 'hand torch, 6 m lead',
		shieldRadiusMm: 12,
		squareSide: 'right',
		nozzles: [
			{ ratingA: 30, boreMm: 0.8, kind: 'cut' },
			{ ratingA: 45, boreMm: 1, kind: 'cut' },
			{ ratingA: 45, boreMm: 1.6, kind: 'gouge' }
		],
		fittedA: 45,
		dragShield: true,
		bareTouchA: 30,
		standoffMm: 1.5,
		postFlowS: 15
	},
	air: {
		compressor: { q1Lpm: 225, p1Bar: 4, q2Lpm: 190, p2Bar: 8, cutInBar: 6.5, cutOutBar: 8.5 },
		tankL: 90,
		altitudeM: 60,
		setPointBar: 5.5,
		filter: { lossBar: 0.08, atLpm: 200 },
		dryer: { lossBar: 0.15, atLpm: 200 },
		hose: { boreMm: 10, lengthM: 12, couplings: 2 }
	},
	usual: bay2Work
};

/** The towpath trolley: 27 A dual-voltage portable on 120 V, with a cord and a small compressor. */
export const TROLLEY: Bench = {
	name: 'Towpath trolley',
	supply: {
		system: 'north-america',
		phases: 1,
		nominalV: 120,
		serviceOhm: null,
		breaker: { standard: 'ul489', curve: 'C', ratingA: 20 },
		wire: { size: 'awg-12', lengthM: 20, method: 'conduit' },
		receptacleA: 20,
		cord: { size: 'awg-12', lengthM: 7.6 },
		otherLoadA: 0,
		ambientC: 25
	},
	cutter: {
		name: '27 A dual-voltage portable',
		inputs: [
			{
				voltageV: 120,
				phases: 1,
				inputMaxA: 24,
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
				outputMaxA: 27,
				duty: [{ outputA: 27, dutyShare: 0.35 }]
			}
		],
		outputMinA: 15,
		powerFactor: 0.98,
		efficiency: 0.85,
		arcVoltageV: null,
		airFlowLpm: 110,
		airMinBar: 4.1,
		airMaxBar: 6.2,
		cleanMm: 6.35,
		severMm: 12.7
	},
	torch: {
		name: 'hand torch, 4 m lead',
		shieldRadiusMm: 10.5,
		squareSide: 'right',
		nozzles: [
			{ ratingA: 20, boreMm: 0.65, kind: 'cut' },
			{ ratingA: 30, boreMm: 0.8, kind: 'cut' }
		],
		fittedA: 30,
		dragShield: true,
		bareTouchA: 30,
		standoffMm: 1.5,
		postFlowS: 10
	},
	air: {
		compressor: { q1Lpm: 95, p1Bar: 3, q2Lpm: 71, p2Bar: 6.2, cutInBar: 6, cutOutBar: 8.2 },
		tankL: 24,
		altitudeM: 60,
		setPointBar: 5,
		filter: { lossBar: 0.1, atLpm: 150 },
		dryer: null,
		hose: { boreMm: 8, lengthM: 7.5, couplings: 2 }
	},
	usual: { arcS: 10, restS: 40, shopC: 22 }
};
