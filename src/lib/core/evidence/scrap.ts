import { scrapMm } from '../cut/guide';
import type { Bench } from '../inputs/bench';
import type { Evidence } from '../inputs/evidence';
import { kerfKey } from '../cut/kerf';
import type { Stat } from '../quantity/stat';
import { stat, type Of } from './supply';

/** A rule or a caliper over a rough edge, one standard deviation, mm [own]. */
const READING_MM = 0.3;
/** Caliper jaws or feelers in the slot itself, mm [own]. */
const SLOT_MM = 0.15;
/** However well it is read, one slot is not every slot, mm [own]. */
const SLOTS_DIFFER_MM = 0.08;

interface Weighed {
	value: number;
	/** One standard deviation. */
	sigma: number;
}
/** Mean by weight of the readings; what they differ by counts where it is more than they say themselves. */
export function weighed(readings: readonly Weighed[]): Stat {
	const n = readings.length;
	const sum = readings.reduce((total, { sigma }) => total + sigma ** -2, 0);
	const mean = readings.reduce((total, { value, sigma }) => total + value * sigma ** -2, 0) / sum;
	const chi = readings.reduce((total, r) => total + ((r.value - mean) / r.sigma) ** 2, 0);
	const apart = n > 1 ? chi / (n - 1) : 0;
	return { n, mean, spread: Math.sqrt(Math.max(1, apart) / sum) };
}

/** Kerf by metal and nozzle, from scrap that was cut in two and from slots; the shield's own radius from scrap. */
export function scrapEvidence(
	bench: Bench,
	pieces: readonly Of<'scrap'>[],
	slots: readonly Of<'kerf'>[]
): Evidence['scrap'] {
	const told = [
		...pieces.map((e) => ({ e, value: scrapMm(e).kerfMm, sigma: READING_MM })),
		...slots.map((e) => ({
			e,
			value: e.kerfMm,
			sigma: Math.hypot(e.spreadMm ?? SLOT_MM, SLOTS_DIFFER_MM)
		}))
	];
	const kerfs = new Map<string, Weighed[]>();
	for (const { e, ...reading } of told) {
		const key = kerfKey(e.metal, e.nozzleA ?? bench.torch.fittedA);
		kerfs.set(key, [...(kerfs.get(key) ?? []), reading]);
	}
	return {
		kerf: Object.fromEntries([...kerfs].map(([key, list]) => [key, weighed(list)])),
		radius: stat(
			pieces.map((e) => scrapMm(e).shieldRadiusMm),
			READING_MM
		)
	};
}
