/** Requests of every route, spoiled at random: each is answered, none by a fault, and health never waits. */
import fc from 'fast-check';
import { BAY_2 } from '../demo/benches';
import { A_CUT } from '../serve';

const number = fc.oneof(fc.integer(), fc.double(), fc.constantFrom(-1, 0, 1e12, 1e308, 6, 45));
const value: fc.Arbitrary<unknown> = fc.oneof(
	number,
	fc.string({ maxLength: 12 }),
	fc.constantFrom(
		null,
		true,
		[],
		{},
		[[]],
		'mild-steel',
		'pit',
		'cut',
		'\u0000',
		'__proto__',
		'🔥'
	),
	fc.array(fc.constantFrom(1, 'x', null), { maxLength: 3 })
);

type Body = Record<string, unknown>;
/** Leads to a place in a body, and what is put there. */
const spoil = (body: Body) => {
	const paths: (string | number)[][] = [];
	const walk = (node: unknown, path: (string | number)[]) => {
		if (path.length) paths.push(path);
		if (typeof node !== 'object' || node === null) return;
		for (const [key, inner] of Object.entries(node)) walk(inner, [...path, key]);
	};
	walk(body, []);
	return fc.array(fc.tuple(fc.constantFrom(...paths), value), { maxLength: 3 }).map((changes) => {
		const copy = structuredClone(body);
		for (const [path, put] of changes) {
			let node: unknown = copy;
			for (const key of path.slice(0, -1)) node = (node as Body | undefined)?.[key];
			if (typeof node === 'object' && node !== null) (node as Body)[path.at(-1)!] = put;
		}
		return copy;
	});
};

const ENTRIES: Body[] = [
	{ ...A_CUT },
	{ kind: 'pit', pitMm: 0.4 },
	{ kind: 'drain', fromBar: 8, toBar: 6, seconds: 60 },
	{ kind: 'gauge', tankBar: 8, inletBar: 6 },
	{ kind: 'trip', device: 'breaker', afterS: 60, outputA: 45, arcS: 20, restS: 20 },
	{ kind: 'test-cut', metal: 'mild-steel', thicknessMm: 6, outputA: 45, speedMmS: 20, lagDeg: 22 },
	{ kind: 'lamp', outputA: 45, shopC: 20, lampS: 300, recoveryS: 120 }
];
const ROW = {
	metal: 'mild-steel',
	outputA: 45,
	nozzleA: 45,
	thicknessMm: 6,
	speedMmS: 20,
	pressureBar: 5,
	standoffMm: 1,
	kerfMm: 1.5,
	pierceMm: null,
	pierceS: null
};
const SQUARE = [
	[0, 0],
	[80, 0],
	[80, 80],
	[0, 80]
].map(([x, y]) => ({ x, y, bulge: 0 }));

interface Route {
	method: 'GET' | 'POST' | 'PUT';
	path: string;
	body?: fc.Arbitrary<unknown>;
}

export function routes(benchId: string): Route[] {
	const opId = 'fuzz-op-0001';
	const plan = { bench: BAY_2, cut: { thicknessMm: 6 }, explain: ['supply.voltageV'] };
	const log = fc
		.constantFrom(...ENTRIES)
		.chain((entry) => spoil({ opId, benchId, at: '2026-11-25T08:00:00Z', entry }));
	const several = fc
		.array(fc.constantFrom(...ENTRIES), { maxLength: 3 })
		.chain((entries) => spoil({ opId, benchId, at: '2026-11-25T08:00:00Z', entries }));
	return [
		{ method: 'POST', path: '/api/log', body: log },
		{ method: 'POST', path: '/api/log/1/undo', body: spoil({ opId, at: '2026-11-25T08:00:00Z' }) },
		{ method: 'POST', path: '/api/log/several', body: several },
		{ method: 'POST', path: '/api/log/undo', body: spoil({ opId, ids: [1, 2] }) },
		{ method: 'POST', path: '/api/plan', body: spoil(plan) },
		{
			method: 'POST',
			path: '/api/plan',
			body: spoil({ benchId, cut: { thicknessMm: 6, metal: 'aluminium' } })
		},
		{ method: 'POST', path: '/api/benches', body: spoil({ opId, bench: BAY_2 }) },
		{
			method: 'PUT',
			path: `/api/benches/${benchId}`,
			body: spoil({ opId, revision: 0, bench: BAY_2 })
		},
		{ method: 'PUT', path: '/api/settings', body: spoil({ opId, revision: 99, settings: {} }) },
		{
			method: 'PUT',
			path: `/api/charts/${benchId}`,
			body: spoil({ opId, name: 'x', revision: 99, rows: [ROW] })
		},
		{
			method: 'POST',
			path: '/api/cards',
			body: spoil({ opId, benchId, name: 'x', search: 't=6' })
		},
		{
			method: 'POST',
			path: '/api/sets',
			body: spoil({ opId, benchId, name: 'Pair', revision: 99 })
		},
		{
			method: 'POST',
			path: '/api/template',
			body: spoil({ contours: [SQUARE], shieldRadiusMm: 11, kerfMm: 1.5, as: 'json' })
		},
		{ method: 'POST', path: '/api/elsewhere', body: spoil({ benchId, cut: { thicknessMm: 6 } }) },
		{ method: 'PUT', path: `/api/line/${benchId}`, body: spoil({ opId, byRule: true }) },
		{
			method: 'POST',
			path: `/api/line/${benchId}/take`,
			body: spoil({ opId, kind: 'take', ids: [1], entries: [] })
		},
		{ method: 'GET', path: '/api/log?bench=' + benchId },
		{ method: 'GET', path: '/setup?bench=' + benchId },
		{ method: 'GET', path: '/cut' },
		{ method: 'GET', path: '/card' }
	];
}

export interface Fuzzed {
	requests: number;
	/** Answers by status. */
	statuses: Record<string, number>;
	/** What must not be: faults, refusals that are no problem. */
	faults: string[];
	/** Longest wait for health meanwhile, ms. */
	healthMs: number;
}

/** Sends `count` requests, `at` so many at once. */
export async function fuzzRequests(
	url: string,
	seed: number,
	count: number,
	atOnce = 8
): Promise<Fuzzed> {
	const { benches } = (await (await fetch(`${url}/api/benches`)).json()) as {
		benches: { id: string }[];
	};
	const all = routes(benches[0]!.id);
	const result: Fuzzed = { requests: 0, statuses: {}, faults: [], healthMs: 0 };
	const query = fc.webQueryParameters();
	const asked = fc
		.sample(
			fc.nat(all.length - 1).chain((i) => {
				const { body } = all[i]!;
				return fc.record({
					i: fc.constant(i),
					body: body ?? fc.constant(undefined),
					query,
					raw: fc.oneof(
						{ weight: 20, arbitrary: fc.constant(undefined) },
						{ weight: 1, arbitrary: fc.string() }
					)
				});
			}),
			{ seed, numRuns: count }
		)
		.map((one, n) => ({ ...one, n }));
	let watching = true;
	const watch = (async () => {
		while (watching) {
			const start = performance.now();
			await (await fetch(`${url}/api/health`)).arrayBuffer();
			result.healthMs = Math.max(result.healthMs, performance.now() - start);
			await new Promise((resolve) => setTimeout(resolve, 25));
		}
	})();
	const one = async ({ i, body, query: q, raw, n }: (typeof asked)[number]) => {
		const { method, path } = all[i]!;
		const address = method === 'GET' ? `${path}${path.includes('?') ? '&' : '?'}${q}` : path;
		const text =
			raw ??
			JSON.stringify(body, (key, v: unknown) =>
				key === 'opId' && v === 'fuzz-op-0001' ? `fuzz-${seed}-${n}` : v
			);
		const response = await fetch(url + address, {
			method,
			...(method !== 'GET' && { headers: { 'content-type': 'application/json' }, body: text })
		});
		const answer = await response.text();
		result.requests++;
		result.statuses[response.status] = (result.statuses[response.status] ?? 0) + 1;
		const problem = response.status >= 400 && method !== 'GET';
		const told = () => {
			try {
				return typeof (JSON.parse(answer) as { message?: unknown }).message === 'string';
			} catch {
				return false;
			}
		};
		if (response.status >= 500 || (problem && !told())) {
			result.faults.push(
				`${method} ${address} ${text?.slice(0, 300)} → ${response.status} ${answer.slice(0, 200)}`
			);
		}
	};
	const queue = [...asked];
	await Promise.all(
		Array.from({ length: atOnce }, async () => {
			for (let next = queue.pop(); next; next = queue.pop()) await one(next);
		})
	);
	watching = false;
	await watch;
	return result;
}
