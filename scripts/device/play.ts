/**
 * A simulated sensor at a cutter, with known truth: a Hall clamp round the work lead, gauges before the
 * regulator and at the tank, a clamp round the mains cord, the temperature lamp. Noise, drop-outs and spikes
 * come from a seed. It stands in for a real one, on the desk and in the tests.
 */
import type { Reading } from '../../src/lib/core/arcline/batch';

/** One pull of the trigger. */
export interface Pull {
	/** Seconds of rest before it. */
	restS: number;
	/** Pilot alone before the arc jumps over, s. */
	pilotS: number;
	/** 0: it never did, a failed start. */
	arcS: number;
	arcA: number;
}
export interface Shop {
	/** Inlet at rest and while air flows; tank full, and how fast it falls and fills, bar and bar/s. */
	restBar: number;
	flowBar: number;
	tankBar: number;
	tankFallsBarS: number;
	tankFillsBarS: number;
	/** Cutter's own cord: idle, pilot, arc, A. */
	mainsA: readonly [number, number, number];
	/** Air after the arc, s. */
	postS: number;
	/** Lamp after so many seconds of arc without a rest; null: never. */
	lampAfterS: number | null;
}
export const USUAL_SHOP: Shop = {
	restBar: 6.2,
	flowBar: 5.4,
	tankBar: 9,
	tankFallsBarS: 0.03,
	tankFillsBarS: 0.02,
	mainsA: [0.6, 6, 28],
	postS: 10,
	lampAfterS: null
};

export interface Truth {
	arcs: { fromMs: number; toMs: number; arcA: number }[];
	failed: { fromMs: number; toMs: number }[];
}
export interface Played {
	readings: Reading[];
	truth: Truth;
	endMs: number;
}

/** The same numbers for the same seed (mulberry32, public domain, from memory). */
export function randomFrom(seed: number): () => number {
	let a = seed >>> 0;
	return () => {
		a = (a + 0x6d2b79f5) >>> 0;
		let t = a;
		t = Math.imul(t ^ (t >>> 15), t | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
	};
}
/** Normal by two uniform ones (Box and Muller 1958). */
const normal = (random: () => number) =>
	Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** What happens at which moment, without any sensor. */
function happening(pulls: readonly Pull[], postS: number, startMs: number) {
	const spans: { kind: 'pilot' | 'arc' | 'post'; fromMs: number; toMs: number; arcA: number }[] =
		[];
	const truth: Truth = { arcs: [], failed: [] };
	let at = startMs;
	for (const { restS, pilotS, arcS, arcA } of pulls) {
		at += 1000 * restS;
		const fromMs = at;
		spans.push({ kind: 'pilot', fromMs, toMs: at + 1000 * pilotS, arcA: 0 });
		at += 1000 * pilotS;
		if (arcS > 0) {
			truth.arcs.push({ fromMs: at, toMs: at + 1000 * arcS, arcA });
			spans.push({ kind: 'arc', fromMs: at, toMs: at + 1000 * arcS, arcA });
			at += 1000 * arcS;
			spans.push({ kind: 'post', fromMs: at, toMs: at + 1000 * postS, arcA: 0 });
		} else truth.failed.push({ fromMs, toMs: at });
	}
	return { spans, truth, endMs: at + 1000 * (postS + 3) };
}

/** `channels`: which sensors there are; `noise`: 1 as usual, 0 none. */
export function play(
	pulls: readonly Pull[],
	{
		rateHz = 10,
		seed = 1,
		startMs = 0,
		noise = 1,
		spikes = 0,
		channels = { inlet: true, tank: true, mains: true, lamp: true },
		shop = USUAL_SHOP
	}: {
		rateHz?: number;
		seed?: number;
		startMs?: number;
		noise?: number;
		/** Share of readings whose clamp tells nonsense for one reading. */
		spikes?: number;
		channels?: { inlet?: boolean; tank?: boolean; mains?: boolean; lamp?: boolean };
		shop?: Shop;
	} = {}
): Played {
	const random = randomFrom(seed);
	const { spans, truth, ...happened } = happening(pulls, shop.postS, startMs);
	// Long enough for the lamp to go out again.
	const endMs = happened.endMs + (shop.lampAfterS === null ? 0 : 90_000);
	const stepMs = 1000 / rateHz;
	const readings: Reading[] = [];
	let k = 0;
	let inletBar = shop.restBar;
	let tankBar = shop.tankBar;
	let arcSinceRestS = 0;
	let hot = false;
	let hotForS = 0;
	const hum = (size: number) => noise * size * normal(random);
	for (let at = startMs + stepMs * random(); at < endMs; at += stepMs) {
		while (k < spans.length && spans[k]!.toMs <= at) k++;
		const span = spans[k] && spans[k]!.fromMs <= at ? spans[k] : undefined;
		const arcs = span?.kind === 'arc';
		// The regulator falls and comes back within a fifth of a second.
		const target = span ? shop.flowBar : shop.restBar;
		inletBar += (target - inletBar) * (1 - Math.exp(-stepMs / 150));
		tankBar += (span ? -shop.tankFallsBarS : shop.tankFillsBarS) * (stepMs / 1000);
		tankBar = Math.min(shop.tankBar, tankBar);
		arcSinceRestS = arcs ? arcSinceRestS + stepMs / 1000 : span ? arcSinceRestS : 0;
		if (shop.lampAfterS !== null && arcSinceRestS >= shop.lampAfterS) hot = true;
		hotForS = hot ? hotForS + stepMs / 1000 : 0;
		if (hot && hotForS > 60 && !arcs) hot = false;
		const spike = spikes > 0 && random() < spikes;
		const mains = span
			? shop.mainsA[span.kind === 'arc' ? 2 : span.kind === 'pilot' ? 1 : 0]
			: shop.mainsA[0];
		readings.push({
			atMs: at,
			arcA: spike ? 9 + 300 * random() : (arcs ? span.arcA : 0) + hum(arcs ? 0.8 : 0.4),
			inletBar: channels.inlet ? inletBar + hum(0.012) : null,
			tankBar: channels.tank ? tankBar + hum(0.02) : null,
			mainsA: channels.mains ? mains + hum(0.15) : null,
			hotLamp: channels.lamp ? Number(hot) : null
		});
	}
	return { readings, truth, endMs };
}
