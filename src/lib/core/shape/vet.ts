/** What an outline must be before anything is worked out from it, so that no outline keeps a machine busy. */
import { coveredMm2, polygonAreaMm2 } from './offset';
import { crossingsOf } from './crossings';
import { arcOf, areaMm2, flattened, piecesOf, segments, type Contour, type Point } from './outline';

/** No part is larger than this, mm. */
export const SIZE_MOST_MM = 20_000;
/** An arc that goes further round than this is a slip: two arcs make a circle, degrees [own]. */
export const SWEEP_MOST_DEG = 352;
/** Points of an outline with its arcs drawn by chords. */
export const POINTS_MOST = 200_000;
/** Smaller than a kerf each way: no outline, mm². */
const AREA_LEAST_MM2 = 1;
/** Chords of arcs while looking, mm. */
const FLAT_MM = 0.02;
/** The finest chords that are drawn later, mm: what is counted. */
const FINEST_MM = 0.005;

export type Fault =
	'no-numbers' | 'too-large' | 'arc' | 'too-many-points' | 'crosses-itself' | 'tangled' | 'no-area';

export const FAULT_WORDS: Record<Fault, string> = {
	'no-numbers': 'it has coordinates that are no numbers',
	'too-large': `it is larger than ${SIZE_MOST_MM / 1000} m`,
	arc: `it has an arc of more than ${SWEEP_MOST_DEG}°, or with a radius of more than ${SIZE_MOST_MM / 1000} m`,
	'too-many-points': `with its arcs drawn it has more than ${POINTS_MOST} points`,
	'crosses-itself': 'it crosses itself',
	tangled: 'its lines lie too close to be told apart',
	'no-area': 'it has no area'
};

/** Points that a contour has when its arcs are drawn by the finest chords; nothing is drawn to know. */
export function pointsOf(contour: Contour): number {
	let points = 0;
	for (const { from, to } of segments(contour)) {
		const arc = arcOf(from, to);
		points += 1 + (arc ? piecesOf(arc, FINEST_MM) : 0);
	}
	return points;
}

/** What keeps a contour from being cut, cheapest look first; undefined: nothing. */
export function faultOf(contour: Contour): { fault: Fault; at: Point } | undefined {
	const [first] = contour;
	const origin = { x: first?.x ?? 0, y: first?.y ?? 0 };
	const told = (fault: Fault, at: Point = origin) => ({ fault, at });
	let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
	for (const { x, y, bulge } of contour) {
		if (!Number.isFinite(x) || !Number.isFinite(y) || !Number.isFinite(bulge)) {
			return told('no-numbers', { x: 0, y: 0 });
		}
		[minX, maxX] = [Math.min(minX, x), Math.max(maxX, x)];
		[minY, maxY] = [Math.min(minY, y), Math.max(maxY, y)];
	}
	if (!(Math.max(maxX - minX, maxY - minY) <= SIZE_MOST_MM)) return told('too-large');
	const sweepMostRad = (SWEEP_MOST_DEG * Math.PI) / 180;
	for (const { from, to } of segments(contour)) {
		const arc = arcOf(from, to);
		if (!arc) continue;
		// A flat arc has a large radius and harms nobody.
		const high = (Math.abs(from.bulge) * Math.hypot(to.x - from.x, to.y - from.y)) / 2;
		if (Math.abs(arc.sweepRad) > sweepMostRad || high > SIZE_MOST_MM) return told('arc', from);
	}
	if (pointsOf(contour) > POINTS_MOST) return told('too-many-points');
	const points = flattened(contour, FLAT_MM);
	const { found, tangled } = crossingsOf([points], { first: true });
	if (found[0]) return told('crosses-itself', found[0].at);
	if (tangled) return told('tangled');
	// What touches itself covers less, or covers it twice, by its own count than in truth.
	const covered = coveredMm2(points);
	if (Math.abs(covered - Math.abs(polygonAreaMm2(points))) > 1e-3 * covered + 0.5) {
		return told('crosses-itself');
	}
	if (!(Math.abs(areaMm2(contour)) > AREA_LEAST_MM2)) return told('no-area');
	return undefined;
}
