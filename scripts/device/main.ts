/**
 * A simulated sensor at a cutter, for want of a real one: `npm run device -- --bench "Bay 2"`. It plays the
 * newest list of that bench (or some cuts), with noise, batches that are lost and sent again, batches that
 * come twice, and a clock of its own. `--fast` sends the whole morning at once, as if it had just been.
 */
import { parseArgs } from 'node:util';
import type { Reading } from '../../src/lib/core/arcline/batch';
import { play, randomFrom, USUAL_SHOP, type Pull } from './play';

const { values: asked } = parseArgs({
	options: {
		bench: { type: 'string' },
		url: { type: 'string', default: 'http://127.0.0.1:4173' },
		token: { type: 'string' },
		rate: { type: 'string', default: '10' },
		pulls: { type: 'string', default: '12' },
		seed: { type: 'string', default: '1' },
		skew: { type: 'string', default: '2500' },
		drift: { type: 'string', default: '40' },
		lost: { type: 'string', default: '0.05' },
		twice: { type: 'string', default: '0.05' },
		failed: { type: 'string', default: '0.08' },
		fast: { type: 'boolean', default: false }
	}
});
const number = (text: string, name: string): number => {
	const value = Number(text);
	if (!Number.isFinite(value)) throw new Error(`--${name} wants a number, not "${text}".`);
	return value;
};
const [rateHz, pulls, seed, skewMs, driftPpm, lost, twice, failed] = (
	['rate', 'pulls', 'seed', 'skew', 'drift', 'lost', 'twice', 'failed'] as const
).map((name) => number(asked[name], name)) as [
	number,
	number,
	number,
	number,
	number,
	number,
	number,
	number
];
if (!(rateHz > 0 && rateHz <= 1000)) throw new Error('--rate wants 0 to 1000 readings a second.');
const { url } = asked;
const random = randomFrom(seed);

async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
	const response = await fetch(`${url}${path}`, {
		method,
		headers: { 'content-type': 'application/json' },
		...(body === undefined ? {} : { body: JSON.stringify(body) })
	});
	if (!response.ok)
		throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
	return (await response.json()) as T;
}

/** Id of the bench that is called so, or the first. */
async function benchId(): Promise<string> {
	const { benches } = await call<{ benches: { id: string; bench: { name: string } }[] }>(
		'GET',
		'/api/benches'
	);
	const found = asked.bench
		? benches.find(({ id, bench }) => bench.name === asked.bench || id === asked.bench)
		: benches[0];
	if (!found) throw new Error(`There is no bench "${asked.bench ?? ''}" here.`);
	return found.id;
}

interface PlannedItem {
	id: string;
	outputA: number;
	arcs: { arcS: number; handlingS: number }[];
}
/** The arcs of the newest list, as they are planned; some cuts where there is none. */
async function work(bench: string): Promise<Pull[]> {
	const { lists } = await call<{ lists: { id: string; archivedAt: string | null }[] }>(
		'GET',
		`/api/lists?bench=${bench}`
	);
	const open = lists.find(({ archivedAt }) => archivedAt === null);
	const arcs: { arcS: number; restS: number; arcA: number }[] = [];
	if (open) {
		const { list } = await call<{ list: { items: { id: string; pieces: number }[] } }>(
			'GET',
			`/api/lists/${open.id}`
		);
		const { plans, run } = await call<{ plans: PlannedItem[]; run: { items: { id: string }[] } }>(
			'POST',
			'/api/run',
			{ benchId: bench, list }
		);
		for (const { id } of run.items) {
			const plan = plans.find((one) => one.id === id)!;
			const pieces = list.items.find((one) => one.id === id)!.pieces;
			for (let piece = 0; piece < pieces; piece++)
				for (const { arcS, handlingS } of plan.arcs)
					arcs.push({ arcS, restS: handlingS, arcA: plan.outputA });
		}
	}
	while (arcs.length < pulls) arcs.push({ arcS: 8, restS: 30, arcA: 40 });
	return arcs.slice(0, pulls).flatMap(({ arcS, restS, arcA }): Pull[] => {
		// A hand is not a clock, and the knob not the work lead.
		const real = {
			restS: Math.max(12, restS * (0.8 + 0.4 * random())),
			pilotS: 0.6 + 0.4 * random(),
			arcS: arcS * (0.9 + 0.2 * random()),
			arcA: arcA * (0.95 + 0.03 * random())
		};
		const tried = { ...real, arcS: 0, pilotS: 1.2 };
		return random() < failed ? [tried, { ...real, restS: 14 }] : [real];
	});
}

const bench = await benchId();
const token =
	asked.token ??
	(
		await call<{ token: string }>('POST', `/api/line/${bench}/pair`, {
			opId: `device-${Date.now().toString(36)}-${Math.floor(1e9 * Math.random()).toString(36)}`
		})
	).token;
const { readings, truth, endMs } = play(await work(bench), {
	rateHz,
	seed,
	spikes: 0.0005,
	shop: USUAL_SHOP
});
console.log(
	`· ${readings.length} readings, ${truth.arcs.length} arcs and ${truth.failed.length} failed starts in ${Math.round(endMs / 1000)} s${asked.fast ? ', sent at once' : ''}.`
);

const begunMs = Math.round(Date.now() - (asked.fast ? endMs : 0));
/** Its own clock is late, and drifts. */
const deviceMs = (playedMs: number) => begunMs + playedMs * (1 + driftPpm / 1e6) - skewMs;
const boot = `sim-${begunMs.toString(36)}`;
const BATCH_S = 1;
const size = Math.max(1, Math.min(2000, Math.round(rateHz * (asked.fast ? 60 : BATCH_S))));
/** Batches that are still to be sent: a lost one stays here. */
const waiting: { n: number; part: Reading[] }[] = [];
let told = '';

async function send({ n, part }: { n: number; part: Reading[] }): Promise<boolean> {
	if (random() < lost) return false;
	const of = (key: keyof Reading) =>
		part.map((one) => one[key] && Math.round(one[key] * 1000) / 1000);
	const body = {
		boot,
		n,
		sentAtMs: deviceMs(asked.fast ? endMs : Date.now() - begunMs),
		atMs: part.map(({ atMs }) => Math.round(deviceMs(atMs))),
		arcA: of('arcA'),
		inletBar: of('inletBar'),
		tankBar: of('tankBar'),
		mainsA: of('mainsA'),
		hotLamp: of('hotLamp')
	};
	try {
		const response = await fetch(`${url}/api/line/${bench}`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', authorization: `Bearer ${token}` },
			body: JSON.stringify(body)
		});
		if (response.status >= 500) return false;
		if (!response.ok) throw new Error(`${response.status} ${await response.text()}`);
		const { stored, repeated, missing } = (await response.json()) as Record<string, number>;
		told = `${stored} new, ${repeated} twice, ${missing} missing`;
	} catch (error) {
		if (!(error instanceof TypeError)) throw error;
		return false;
	}
	return random() >= twice;
}

for (let n = 0; n < readings.length; n += size) {
	const part = readings.slice(n, n + size);
	const dueMs = begunMs + part.at(-1)!.atMs;
	if (dueMs > Date.now()) await new Promise((done) => setTimeout(done, dueMs - Date.now()));
	waiting.push({ n, part });
	for (const batch of waiting.splice(0)) if (!(await send(batch))) waiting.push(batch);
	if (process.stdout.isTTY)
		process.stdout.write(`\r· ${n + part.length} of ${readings.length}: ${told}   `);
}
for (let tries = 0; waiting.length && tries < 100; tries++)
	for (const batch of waiting.splice(0)) if (!(await send(batch))) waiting.push(batch);
console.log(
	waiting.length ? `\n· ${waiting.length} batches could not be sent.` : `\n· All sent: ${told}.`
);
