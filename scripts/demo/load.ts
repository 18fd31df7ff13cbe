/**
 * Loads the demo through the public API: benches with their cut charts, parts, a dozen cuts,
 * measurements, test cuts and setting cards.
 * Usage: tsx scripts/demo/load.ts http://127.0.0.1:4173
 */
import { DEFAULT_SETTINGS, type Entry } from '../../src/lib/core';
import { readFileSync } from 'node:fs';
import { readDxf } from '../../src/lib/formats/outline/dxfIn';
import { readChartCsv } from '../../src/lib/formats/chartCsv';
import type { Why } from '../../src/lib/core/wear/parts';
import { BAY_2, TROLLEY } from './benches';

const base = process.argv[2] ?? 'http://127.0.0.1:4173';

async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
	const response = await fetch(base + path, {
		method,
		headers: { 'content-type': 'application/json' },
		body: body === undefined ? undefined : JSON.stringify(body)
	});
	if (!response.ok)
		throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
	return (await response.json()) as T;
}

async function serverIsUp(): Promise<void> {
	for (let attempt = 0; attempt < 100; attempt++) {
		try {
			await call('GET', '/api/health');
			return;
		} catch {
			await new Promise((resolve) => setTimeout(resolve, 100));
		}
	}
	throw new Error(`Nothing answers at ${base}.`);
}

/** Working days of the invented workshop. */
const day = (date: string, time: string) => `2026-11-${date}T${time}:00Z`;

const cut = (
	thicknessMm: number,
	outputA: number,
	lengthMm: number,
	arcS: number,
	starts: number,
	start: 'edge' | 'rolled' | 'pierce' = 'edge',
	metal: 'mild-steel' | 'stainless' = 'mild-steel'
): Entry => ({ kind: 'cut', metal, thicknessMm, outputA, lengthMm, arcS, starts, start });

const testCut = (thicknessMm: number, speedMmS: number, lagDeg: number): Entry => ({
	kind: 'test-cut',
	metal: 'stainless',
	thicknessMm,
	outputA: 45,
	speedMmS,
	lagDeg,
	through: true
});

const BAY_2_OLD_PARTS: [string, Entry][] = [
	[day('02', '07:20'), { kind: 'care', did: 'filter' }],
	[day('03', '08:10'), cut(6, 45, 12_000, 560, 40)],
	[day('03', '13:40'), cut(10, 45, 9_000, 815, 30, 'rolled')],
	[day('04', '09:05'), cut(8, 45, 10_500, 690, 36)],
	[day('04', '15:20'), { kind: 'pit', pitMm: 0.52 }],
	[day('05', '10:15'), cut(12, 45, 11_000, 1330, 44)],
	[day('06', '09:30'), cut(6, 45, 13_500, 640, 52, 'rolled')],
	[day('06', '16:00'), { kind: 'pit', pitMm: 1.16 }]
];
const BAY_2_PARTS_NOW: [string, Entry][] = [
	[day('17', '07:40'), { kind: 'care', did: 'gel' }],
	[day('17', '08:20'), cut(6, 45, 9_600, 446, 32)],
	[day('18', '09:10'), cut(8, 45, 6_000, 395, 20, 'rolled')],
	[day('19', '14:05'), cut(6, 45, 7_500, 350, 25)],
	[day('20', '15:30'), { kind: 'pit', pitMm: 0.36 }],
	[day('20', '15:35'), { kind: 'bore', boreMm: 1.03 }],
	[day('23', '10:45'), cut(10, 45, 4_800, 425, 16)],
	[day('24', '07:15'), { kind: 'care', did: 'clamp' }],
	[day('24', '07:20'), { kind: 'care', did: 'drain' }],
	[day('24', '11:20'), cut(6, 45, 5_400, 250, 18)],
	[day('24', '11:30'), { kind: 'drain', fromBar: 8.2, toBar: 6.1, seconds: 66 }],
	[day('24', '13:10'), testCut(6, 17.5, 21)],
	[day('24', '13:20'), testCut(6, 18.2, 24)],
	[
		day('24', '15:10'),
		{
			kind: 'test-groove',
			metal: 'mild-steel',
			outputA: 45,
			angleFromPlateDeg: 40,
			widthMm: 7.2,
			depthMm: 2.5,
			lengthMm: 150,
			seconds: 17
		}
	]
];
const TROLLEY_LOG: [string, Entry][] = [
	[day('12', '10:00'), cut(3.4, 27, 1_800, 98, 9)],
	[day('16', '11:30'), cut(4.8, 27, 1_200, 105, 6)],
	[day('19', '09:45'), cut(3.4, 27, 2_100, 112, 10)]
];

async function fit(
	benchId: string,
	opId: string,
	name: string,
	at: string,
	why?: { electrode: Why; nozzle: Why }
): Promise<void> {
	await call('POST', '/api/sets', { opId, benchId, name, at, why });
}
async function logAll(benchId: string, prefix: string, entries: [string, Entry][]): Promise<void> {
	for (const [index, [at, entry]] of entries.entries()) {
		await call('POST', '/api/log', { opId: `${prefix}-${index}`, benchId, at, entry });
	}
}

const opId = (name: string) => name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
async function chart(benchId: string, file: string, name: string): Promise<void> {
	const text = readFileSync(new URL(file, import.meta.url), 'utf8');
	const { rows, messages } = readChartCsv(text);
	if (messages.length > 0) throw new Error(`${file}: ${messages[0]!.text}`);
	await call('PUT', `/api/charts/${benchId}`, { opId: `demo-${opId(file)}`, name, rows });
}
const SHELF: [string, string][] = [
	['Paddle plate', 't=6'],
	['Gate strap', 't=10&guide=waste'],
	['Fish screen', 'metal=stainless&t=3&school=matched']
];

await serverIsUp();
const bay2 = await call<{ id: string }>('POST', '/api/benches', {
	opId: 'demo-bay-2',
	bench: BAY_2
});
await fit(bay2.id, 'demo-set-a', 'Pair A', day('02', '07:30'));
await logAll(bay2.id, 'demo-bay2-a', BAY_2_OLD_PARTS);
for (const kind of ['shield', 'cap', 'ring', 'o-ring', 'gouge-nozzle'] as const) {
	const opId = `demo-part-${kind}`;
	await call('POST', '/api/parts', { opId, benchId: bay2.id, kind, at: day('02', '07:30') });
}
await fit(bay2.id, 'demo-set-b', 'Pair B', day('17', '07:45'), {
	electrode: 'worn',
	nozzle: 'partner'
});
await logAll(bay2.id, 'demo-bay2-b', BAY_2_PARTS_NOW);
for (const [kind, count, price, pack] of [
	['electrode', 4, 9, 5],
	['nozzle', 2, 7, 5],
	['ring', 1, 12, 1],
	['shield', 1, 15, 1]
] as const) {
	const stock = {
		count,
		pack,
		leadWeeks: 2,
		minimum: kind === 'nozzle' ? 2 : 0,
		price,
		supplier: 'the welding shop by the basin'
	};
	const opId = `demo-stock-${kind}`;
	await call('PUT', '/api/stock', { opId, benchId: bay2.id, kind, revision: 0, stock });
}
await chart(bay2.id, 'bay-2-chart.csv', 'Chart of the 45 A cutter');
for (const [name, search] of SHELF) {
	await call('POST', '/api/cards', {
		opId: `demo-card-${opId(name)}`,
		benchId: bay2.id,
		name,
		search
	});
}
/** The week's list for lock gate 3: invented, as all of this is. */
const LISTED = [
	['frame', 'Guide frame', 't=12&len=450', 3, { linesEach: 1, widthMm: 450, heightMm: 200 }],
	['bars', 'Screen bars', 't=8&len=60', 24, { handlingS: 40, widthMm: 160, heightMm: 60 }],
	[
		'paddles',
		'Paddle plates',
		't=6&len=300',
		16,
		{ linesEach: 4, after: ['frame'], widthMm: 300, heightMm: 300 }
	],
	['straps', 'Gate straps', 't=10&len=80', 10, { linesEach: 2, widthMm: 340, heightMm: 80 }],
	['pintle', 'Pintle welds', 'groove=1&gx=fillet&gz=6&gl=200&gt=12', 4, { what: 'groove' }]
] as const;
await call('PUT', '/api/lists/demo-lock-gate-3', {
	opId: 'demo-list-gate-3',
	benchId: bay2.id,
	revision: 0,
	list: {
		name: 'Thursday, lock gate 3',
		customer: 'the canal company',
		items: LISTED.map(([id, name, search, pieces, more]) => ({
			id,
			name,
			what: 'cut',
			search: `bench=${bay2.id}&${search}`,
			pieces,
			...more
		})),
		plates: [
			{
				name: 'Offcut by the door',
				widthMm: 700,
				heightMm: 650,
				metal: 'mild-steel',
				thicknessMm: 6,
				count: 1
			},
			{ name: 'Plate', widthMm: 2000, heightMm: 1000 }
		],
		quote: { platePricePerKg: 1.6 }
	}
});
const { contours } = readDxf(readFileSync(new URL('anchor-plate.dxf', import.meta.url), 'utf8'));
await call('POST', '/api/outlines', {
	opId: 'demo-outline-anchor',
	name: 'Gate anchor plate',
	contours
});
const trolley = await call<{ id: string }>('POST', '/api/benches', {
	opId: 'demo-trolley',
	bench: TROLLEY
});
await fit(trolley.id, 'demo-set-t', 'Trolley pair', day('11', '16:00'));
await logAll(trolley.id, 'demo-trolley', TROLLEY_LOG);
await chart(trolley.id, 'trolley-chart.csv', 'Chart of the 27 A cutter');
await call('PUT', '/api/settings', {
	opId: 'demo-settings',
	revision: 0,
	settings: {
		...DEFAULT_SETTINGS,
		electrodePrice: 9,
		nozzlePrice: 7,
		labourPerH: 45,
		pricePerKwh: 0.32
	}
});
console.log('· Demo data loaded.');
