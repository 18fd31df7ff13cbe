/** Benches and jobs whose answers are kept: chosen so that most ways of the core are gone at least once. */
import { readFileSync } from 'node:fs';
import {
	chartHash,
	completeEntry,
	DEFAULT_CUT,
	DEFAULT_SETTINGS,
	evidenceFromLog,
	EntrySchema,
	NO_EVIDENCE,
	type Bench,
	type Chart,
	type Cut,
	type LoggedEntry,
	type PlanInputs,
	type Work
} from '../../src/lib/core';
import { EIGHT } from '../support/eight';
import { readChartCsv } from '../../src/lib/formats/chartCsv';
import { mostA } from '../../src/lib/core/answers/questions';
import { fittedNozzle } from '../../src/lib/core/torch/nozzle';
import * as v from 'valibot';
import { BAY_2, TROLLEY } from '../../scripts/demo/benches';

export const BENCHES: Bench[] = [BAY_2, TROLLEY, ...EIGHT];
/** A bench's name as that of a file. */
export const slug = (name: string): string =>
	name
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-|-$/g, '')
		.slice(0, 40);

export const inputs = (
	bench: Bench,
	cut: Partial<Cut> = {},
	work: Partial<Work> = {}
): PlanInputs => ({
	bench,
	cut: { ...DEFAULT_CUT, ...cut },
	evidence: NO_EVIDENCE,
	work: { ...bench.usual, ...work },
	settings: {
		...DEFAULT_SETTINGS,
		electrodePrice: 9,
		nozzlePrice: 7,
		labourPerH: 55,
		pricePerKwh: 0.28,
		bottlePrice: 40
	},
	chart: null
});

const gouge = (over: Partial<Cut['gouge']>): Partial<Cut> => ({
	gouge: { ...DEFAULT_CUT.gouge, asked: true, ...over }
});
/** What is done on a bench, by a word for it. */
export const JOBS: Record<string, [Partial<Cut>, Partial<Work>]> = {
	'steel 6': [{}, { by: 'cut' }],
	'steel 0.8 matched': [{ thicknessMm: 0.8, school: 'matched' }, { by: 'cut' }],
	'steel 12 pierced, painted': [
		{ thicknessMm: 12, start: 'pierce', coating: 'paint', lengthMm: 900 },
		{ by: 'cut' }
	],
	'steel 25 severed, edge': [{ thicknessMm: 25, aim: 'sever' }, { by: 'cut' }],
	'stainless 3 by circuit, hole': [
		{ metal: 'stainless', thicknessMm: 3, school: 'circuit', guide: 'circle', circleMm: 60 },
		{ by: 'cut' }
	],
	'aluminium 5 drilled, disc': [
		{ metal: 'aluminium', thicknessMm: 5, start: 'drilled', guide: 'circle', circleOf: 'disc' },
		{ by: 'cut' }
	],
	'steel 8 bevelled, typed': [
		{ thicknessMm: 8, bevelDeg: 30, school: 'typed', typedA: 30, guide: 'waste' },
		{ by: 'cut' }
	],
	'steel 2 stack of 3, zinc': [
		{ thicknessMm: 2, layers: 3, coating: 'zinc', backCoating: 'zinc', start: 'hover' },
		{ by: 'cut' }
	],
	'mesh 3': [{ thicknessMm: 3, mesh: true, lengthMm: 1500, guide: 'freehand' }, { by: 'cut' }],
	'a long pattern in the heat': [
		{ thicknessMm: 10 },
		{ by: 'pattern', arcS: 90, restS: 40, shopC: 34, humidity: 0.9, cuts: 30 }
	],
	'a shift': [
		{ thicknessMm: 5 },
		{ by: 'pattern', arcS: 20, restS: 25, shift: { hours: 8, spellMin: 110, breakMin: 15 } }
	],
	'groove 3 deep': [{ thicknessMm: 12, ...gouge({ depthMm: 3, widthMm: 7 }) }, { by: 'cut' }],
	'wide groove, light': [
		{ thicknessMm: 20, ...gouge({ depthMm: 4, widthMm: 14, way: 'light', pieces: 3 }) },
		{ by: 'cut' }
	],
	'fillet 6': [
		{ thicknessMm: 10, ...gouge({ target: 'fillet', legMm: 6, upLegMm: 8, plateMm: 12 }) },
		{ by: 'cut' }
	]
};

export const chartOf = (file: string): Chart => {
	const { rows } = readChartCsv(
		readFileSync(new URL(`../../scripts/demo/${file}`, import.meta.url), 'utf8')
	);
	return { hash: chartHash(rows), rows };
};

/** Everything that can be measured once, at amps and volts of the bench. */
const readings = (outputA: number, nominalV: number, boreMm: number): unknown[] => [
	{ kind: 'volts', idleV: 0.995 * nominalV, arcV: 0.95 * nominalV, outputA, clampA: null },
	{ kind: 'drain', fromBar: 8.2, toBar: 6.1, seconds: 66 },
	{ kind: 'fill', fromBar: 6, toBar: 8, seconds: 48 },
	{ kind: 'leak', fromBar: 8, toBar: 7.6, seconds: 600 },
	{ kind: 'gauge', tankBar: 7.4, inletBar: 5.9 },
	{ kind: 'lamp', outputA, shopC: 19, lampS: 420, recoveryS: 260 },
	{ kind: 'trip', device: 'breaker', afterS: 700, outputA, arcS: 60, restS: 10 },
	{ kind: 'test-cut', metal: 'mild-steel', thicknessMm: 6, outputA, speedMmS: 24, lagDeg: 12 },
	{
		kind: 'test-cut',
		metal: 'mild-steel',
		thicknessMm: 10,
		outputA,
		speedMmS: 12,
		lagDeg: 22,
		dross: 'soft',
		took: { lengthMm: 200, start: 'edge' }
	},
	{
		kind: 'test-cut',
		metal: 'stainless',
		thicknessMm: 4,
		outputA,
		speedMmS: 30,
		lagDeg: null,
		through: false
	},
	{
		kind: 'scrap',
		metal: 'mild-steel',
		wholeMm: 200,
		guideAtMm: 90,
		guideSideMm: 99,
		otherSideMm: 99.4
	},
	{ kind: 'kerf', metal: 'mild-steel', kerfMm: 1.55, spreadMm: 0.04 },
	{ kind: 'pit', pitMm: 0.4 },
	{ kind: 'bore', boreMm: 1.08 * boreMm, acrossMm: 1.11 * boreMm },
	{ kind: 'look', seen: 'smeared' },
	{ kind: 'care', did: 'drain' },
	{
		kind: 'groove',
		metal: 'mild-steel',
		outputA,
		lengthMm: 900,
		arcS: 90,
		starts: 3,
		nozzleA: 45
	},
	{
		kind: 'test-groove',
		metal: 'mild-steel',
		outputA,
		angleFromPlateDeg: 40,
		widthMm: 7.2,
		depthMm: 2.5,
		lengthMm: 150,
		seconds: 17,
		nozzleA: 45,
		modelMm3S: 95
	},
	{ kind: 'start', arcS: 0.5, start: 'pierce', times: 4 }
];
/** Two pairs of parts: the first worn until it was changed, the second in the torch. */
export function logOf(bench: Bench): LoggedEntry[] {
	const outputA = Math.min(45, mostA(bench));
	const { boreMm } = fittedNozzle(bench.torch);
	const cut = (thicknessMm: number, k: number): unknown => ({
		kind: 'cut',
		metal: 'mild-steel',
		thicknessMm,
		outputA,
		lengthMm: 4000 + 500 * k,
		arcS: 200 + 55 * k,
		starts: 12 + k,
		start: k % 3 === 1 ? 'rolled' : k % 3 === 2 ? 'pierce' : 'edge',
		nozzleA: 45
	});
	const first = [
		cut(6, 0),
		cut(8, 1),
		{ kind: 'pit', pitMm: 0.5 },
		cut(10, 2),
		{ kind: 'pit', pitMm: 1.3 }
	];
	const now = [
		cut(6, 3),
		...readings(outputA, bench.supply.nominalV, boreMm),
		cut(8, 4),
		cut(3, 5),
		cut(12, 6)
	];
	return [...first.map((e) => ['a', e] as const), ...now.map((e) => ['b', e] as const)].map(
		([setId, entry], i) => ({
			id: i + 1,
			setId: `${setId}-${bench.name}`,
			at: new Date(Date.UTC(2026, 10, 2 + Math.floor(i / 2), 8 + 4 * (i % 2))).toISOString(),
			entry: completeEntry(bench, NO_EVIDENCE, v.parse(EntrySchema, entry)),
			undone: i === 12
		})
	);
}
export const measured = (bench: Bench, from = inputs(bench)): PlanInputs => ({
	...from,
	evidence: evidenceFromLog(bench, logOf(bench), `b-${bench.name}`)
});
