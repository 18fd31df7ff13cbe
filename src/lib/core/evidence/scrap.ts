import { scrapMm } from '../cut/guide';
import type { Bench } from '../inputs/bench';
import type { Evidence } from '../inputs/evidence';
import { kerfKey } from '../cut/kerf';
import { stat, type Of } from './supply';

/** A rule or a caliper over a rough edge, one standard deviation, mm [own]. */
const READING_MM = 0.3;

/** Kerf by metal and nozzle, and the shield's own radius, from scrap that was cut in two. */
export function scrapEvidence(bench: Bench, pieces: readonly Of<'scrap'>[]): Evidence['scrap'] {
	const kerfs = new Map<string, number[]>();
	const radii: number[] = [];
	for (const piece of pieces) {
		const { kerfMm, shieldRadiusMm } = scrapMm(piece);
		const key = kerfKey(piece.metal, piece.nozzleA ?? bench.torch.fittedA);
		kerfs.set(key, [...(kerfs.get(key) ?? []), kerfMm]);
		radii.push(shieldRadiusMm);
	}
	return {
		kerf: Object.fromEntries([...kerfs].map(([key, list]) => [key, stat(list, READING_MM)!])),
		radius: stat(radii, READING_MM)
	};
}
