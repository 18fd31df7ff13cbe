/** Test cuts as readings of the speed: what each tells, those at one place merged, the newest kept. */
import { SPARKS_READ_FROM_MM, SPEED_READINGS_MOST, speedRatioFromLag } from '../speed/speed';
import { LAG_SPREAD } from '../speed/speedLaw';
import { type SpeedReading } from '../speed/reading';
import type { Entry } from './entries';

export type TestCut = Extract<Entry, { kind: 'test-cut' }>;

/** A test counts for less as the electrode wears on: e-fold at this much growth since, µm [own]. */
export const FADE_UM = 1000;
/** A cut this much faster than recommended tells about the fastest speed by having parted [own]. */
const FAST_FROM = 1.1;
/** Bounds at one place that are kept. */
const BOUNDS_MOST = 4;

/**
 * What one test cut tells. A spark angle is the surest, but in sheet; without one the dross says slow or fast, and a
 * clean edge that the speed held was right. One that did not part speaks of the fastest speed alone.
 */
export function readingsOf(e: TestCut, nozzleA: number, weight = 1): SpeedReading[] {
	const held = Math.log(60 * e.speedMmS);
	const reading = (kind: SpeedReading['kind'], lnMmMin: number): SpeedReading => ({
		metal: e.metal,
		nozzleA,
		outputA: e.outputA,
		thicknessMm: e.thicknessMm,
		kind,
		lnMmMin,
		weight
	});
	if (!e.through) return [reading('missed', held)];
	if (e.judged === 'other') return [];
	const sheet = e.thicknessMm < SPARKS_READ_FROM_MM;
	if (e.lagDeg !== null && !sheet) {
		const ratio = speedRatioFromLag(e.lagDeg);
		const seen = reading('lag', held - Math.log(ratio));
		if (e.lagSpreadDeg !== undefined) seen.weight *= weightOfLag(e.lagDeg, e.lagSpreadDeg);
		// Slower cuts part anyway and tell nothing about the fastest speed.
		return ratio > FAST_FROM ? [seen, reading('parted', held)] : [seen];
	}
	if (e.judged === 'slow' || e.dross === 'soft') return [reading('slow', held)];
	if (e.judged === 'fast' || e.dross === 'hard')
		return [reading('fast', held), reading('parted', held)];
	// In sheet sparks tell nothing of the speed. Whoever told of them alone saw it part, no more.
	return [reading(e.lagDeg === null || e.judged || e.dross ? 'fine' : 'parted', held)];
}

/** A photo that is read finely counts for at most so many looks by eye: hand and plate differ all the same [own]. */
const LAG_WEIGHT_MOST = 2;
/** How much a lag that was measured counts beside one by eye: by the squares of what each leaves of the speed. */
function weightOfLag(lagDeg: number, spreadDeg: number): number {
	const rad = Math.PI / 180;
	// d ln tan θ = 2 dθ / sin 2θ
	const spread = (2 * spreadDeg * rad) / Math.max(0.1, Math.sin(2 * lagDeg * rad));
	return Math.min(LAG_WEIGHT_MOST, LAG_SPREAD ** 2 / Math.max(spread ** 2, 1e-6));
}

const placeOf = (r: SpeedReading) =>
	`${r.metal}/${r.nozzleA}/${r.outputA}/${r.thicknessMm}/${r.kind}`;

/** Readings, newest first, merged by place: speeds by their mean, bounds kept apart. */
export function merged(newestFirst: readonly SpeedReading[]): SpeedReading[] {
	const kept: SpeedReading[] = [];
	const byPlace = new Map<string, SpeedReading[]>();
	for (const r of newestFirst) {
		const key = placeOf(r);
		const here = byPlace.get(key) ?? [];
		const value = r.kind === 'lag' || r.kind === 'fine';
		const [first] = here;
		if (value && first) {
			const weight = first.weight + r.weight;
			first.lnMmMin += (r.weight / weight) * (r.lnMmMin - first.lnMmMin);
			first.weight = weight;
			continue;
		}
		if (kept.length >= SPEED_READINGS_MOST || here.length >= BOUNDS_MOST) continue;
		const own = { ...r };
		kept.push(own);
		byPlace.set(key, [...here, own]);
	}
	return kept;
}
