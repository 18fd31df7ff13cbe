/** Rings about a middle: ellipses that the steps of the light along its rays agree on. */
import { fitEllipse, offEllipse, robustEllipse, type Ellipse, type Point } from './ellipse';
import { RAYS, type RayStep } from './raySteps';

export interface Ring {
	ellipse: Ellipse;
	falls: boolean;
	/** Share of the rays that have such a step there. */
	share: number;
	/** Usual size of that step, and share × size. */
	size: number;
	weight: number;
}

/** Most oblique circle that is still looked at: what is beyond is told from what is no circle. */
const FLATTEST = 0.6;

/** Rings among the steps, the heaviest first: fitted to five of them, kept where many agree. */
export function rings(
	steps: readonly RayStep[],
	falls: boolean,
	most: number,
	random: () => number,
	/** `least` share of the rays; `arc`: the part of the round that five of them are taken from. */
	{ least, arc } = { least: 0.3, arc: 1 }
): Ring[] {
	let rest = steps.filter((step) => step.falls === falls);
	const found: Ring[] = [];
	for (let round = 0; round < most; round++) {
		if (rest.length < 12) break;
		const byRay = Array.from({ length: RAYS }, () => [] as RayStep[]);
		for (const step of rest) byRay[step.ray]!.push(step);
		let best: Ring | undefined;
		const total = rest.reduce((sum, step) => sum + step.size, 0);
		for (let trial = 0; trial < 220; trial++) {
			// The first by its weight; the others at like distances all around.
			let pick = random() * total;
			const first = rest.find((step) => (pick -= step.size) <= 0) ?? rest[0]!;
			const five = [first];
			for (let k = 1; k < 5; k++) {
				const turn = Math.round(((k + 0.6 * (random() - 0.5)) * arc * RAYS) / 5);
				const ray = (first.ray + turn + RAYS) % RAYS;
				const near = byRay[ray]!.filter(({ r }) => r > first.r * 0.62 && r < first.r * 1.6);
				if (near.length === 0) break;
				five.push(near[Math.floor(random() * near.length)]!);
			}
			if (five.length < 5) continue;
			const ring = agreeing(five, byRay, falls, least);
			if (ring && ring.weight > (best?.weight ?? 0)) best = ring;
			if (best && best.share > 0.92 && trial > 60) break;
		}
		if (!best) break;
		const again = better(best, byRay, falls, least);
		best = again && again.weight >= 0.9 * best.weight ? again : best;
		found.push(best);
		const { ellipse } = best;
		const near = Math.max(2, 0.05 * ellipse.a);
		const off = offEllipse(ellipse);
		rest = rest.filter((step) => Math.abs(off(step)) > near);
	}
	return found.sort((one, other) => other.weight - one.weight);
}

const nearOf = (ellipse: Ellipse) => Math.max(1.2, 0.02 * ellipse.a);

function stepsOn(ellipse: Ellipse, byRay: readonly RayStep[][]): RayStep[] {
	const near = nearOf(ellipse);
	const off = offEllipse(ellipse);
	const on: RayStep[] = [];
	for (const steps of byRay) {
		let best: RayStep | undefined;
		for (const step of steps)
			if (step.size > (best?.size ?? 0) && Math.abs(off(step)) < near) best = step;
		if (best) on.push(best);
	}
	return on;
}
function ringOf(
	ellipse: Ellipse,
	byRay: readonly RayStep[][],
	falls: boolean,
	leastShare: number
): Ring | undefined {
	if (ellipse.b < FLATTEST * ellipse.a || ellipse.a < 1.5) return undefined;
	const on = stepsOn(ellipse, byRay);
	if (on.length < leastShare * RAYS) return undefined;
	const share = on.length / RAYS;
	const sizes = on.map(({ size }) => size).sort((a, b) => a - b);
	const size = sizes[sizes.length >> 1]!;
	return { ellipse, falls, share, size, weight: share * share * Math.min(size, 0.5) };
}
function agreeing(
	points: readonly Point[],
	byRay: readonly RayStep[][],
	falls: boolean,
	leastShare: number
): Ring | undefined {
	const ellipse = fitEllipse(points);
	return ellipse && ringOf(ellipse, byRay, falls, leastShare);
}
function better(
	ring: Ring,
	byRay: readonly RayStep[][],
	falls: boolean,
	leastShare: number
): Ring | undefined {
	const fitted = robustEllipse(stepsOn(ring.ellipse, byRay), ring.ellipse);
	return fitted && ringOf(fitted.ellipse, byRay, falls, leastShare);
}
