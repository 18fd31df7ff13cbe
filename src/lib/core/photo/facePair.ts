/** Face and bore in a picture: two rims, one within the other. */
import { type Point, steadyRandom } from './ellipse';
import { type Light, smaller } from './light';
import { middles } from './middles';
import { raySteps } from './raySteps';
import { rings, type Ring } from './rings';

interface Pair {
	face: Ring;
	bore: Ring;
}

/** Where face and bore are, roughly, in the pixels of `light`. */
function findPair(
	light: Light,
	mid: Point,
	sigma: number
): (Pair & { weight: number }) | undefined {
	const random = steadyRandom();
	// Twice, for the rays of the first look do not start in the middle.
	let from = mid;
	let best: (Pair & { weight: number }) | undefined;
	for (let look = 0; look < 2; look++) {
		const steps = raySteps(light, from, sigma);
		const falling = rings(steps, true, 4, random);
		const rising = rings(steps, false, 4, random);
		best = undefined;
		for (const face of falling)
			for (const bore of rising) {
				const pair = pairOf(face, bore, falling);
				if (pair && pair.weight > (best?.weight ?? 0)) best = pair;
			}
		if (!best) return undefined;
		from = best.bore.ellipse;
	}
	return best;
}
function pairOf(
	face: Ring,
	bore: Ring,
	falling: readonly Ring[]
): (Pair & { weight: number }) | undefined {
	const ratio = face.ellipse.a / bore.ellipse.a;
	if (ratio < 1.9 || ratio > 30 || face.share < 0.5 || bore.share < 0.4) return undefined;
	const apart = Math.hypot(face.ellipse.x - bore.ellipse.x, face.ellipse.y - bore.ellipse.y);
	if (apart > 0.22 * face.ellipse.a) return undefined;
	// A dark chamfer ends in a step of its own: the face ends at the inner one, unless that is only a turning mark.
	const further = falling.some(
		(other) =>
			other !== face &&
			other.ellipse.a < 0.97 * face.ellipse.a &&
			other.ellipse.a > 1.9 * bore.ellipse.a &&
			other.share > 0.6 &&
			other.size > 0.55 * face.size
	);
	return { face, bore, weight: face.weight * bore.weight * (further ? 0.3 : 1) };
}

export function find(
	light: Light,
	hint?: Point
): { pair: Pair; by: number; small: Light } | undefined {
	const longest = Math.max(light.width, light.height);
	for (const size of [360, 900]) {
		const by = Math.max(1, Math.floor(longest / size));
		const small = smaller(light, by);
		const from = hint
			? [{ x: (hint.x + 0.5) / by - 0.5, y: (hint.y + 0.5) / by - 0.5 }]
			: middles(small, 3);
		let best: (Pair & { weight: number }) | undefined;
		// What is blurred shows at a coarser look only.
		for (const sigma of [1.2, 4])
			for (const mid of from) {
				if (best && (sigma > 2 || sure(best))) break;
				const pair = findPair(small, mid, sigma);
				if (pair && pair.weight > (best?.weight ?? 0)) best = pair;
			}
		if (best) return { pair: best, by, small };
		if (by === 1) break;
	}
	return undefined;
}

/** No other middle will be better. */
const sure = ({ face, bore }: Pair): boolean => face.share > 0.75 && bore.share > 0.75;
/** A face that shows no bore at fewer pixels across is too far away. */
export const SMALL_FACE_PX = 90;
