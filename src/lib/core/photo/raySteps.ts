/** What the light does along rays from a middle. */
import type { Point } from './ellipse';
import { inside, lightAt, type Light } from './light';

/** A step of the light along a ray from the middle: outward darker (`falls`) or brighter. */
export interface RayStep extends Point {
	ray: number;
	r: number;
	falls: boolean;
	/** Change of the root of light across it. */
	size: number;
}
export const RAYS = 180;
/** Of the root of light: less is not looked at. */
const LEAST_STEP = 0.03;

/** Every clear step along rays from `mid`, between two distances; a ray may start outside the picture. */
export function raySteps(
	light: Light,
	mid: Point,
	sigma: number,
	[least, most]: readonly [number, number] = [0, Infinity]
): RayStep[] {
	const steps: RayStep[] = [];
	const spacing = Math.max(0.5, sigma / 2);
	const reach = Math.min(most, Math.hypot(light.width, light.height));
	const tail = Math.ceil((2.5 * sigma) / spacing);
	const kernel = Float64Array.from({ length: 2 * tail + 1 }, (_, k) => {
		const z = ((k - tail) * spacing) / sigma;
		return z * Math.exp(-0.5 * z * z);
	});
	// So that a step of 1 that fills the kernel reads 1.
	const gain = kernel.reduce((sum, w, k) => (k > tail ? sum + w : sum), 0);
	const profile = new Float64Array(Math.ceil((reach - least) / spacing) + 1);
	for (let ray = 0; ray < RAYS; ray++) {
		const dx = Math.cos((2 * Math.PI * ray) / RAYS);
		const dy = Math.sin((2 * Math.PI * ray) / RAYS);
		let n = 0;
		let start = 0;
		for (let r = least; r < reach; r += spacing) {
			const x = mid.x + r * dx;
			const y = mid.y + r * dy;
			if (inside(light, x, y)) profile[n++] = Math.sqrt(lightAt(light, x, y));
			else if (n > 0) break;
			else start = r + spacing;
		}
		const first = Math.max(least, start);
		let before = 0;
		let here = 0;
		for (let i = tail; i + tail < n; i++) {
			let sum = 0;
			for (let k = -tail; k <= tail; k++) sum += kernel[k + tail]! * profile[i + k]!;
			const after = sum / gain;
			const size = Math.abs(here);
			if (i > tail + 1 && size > LEAST_STEP && size >= Math.abs(before) && size > Math.abs(after)) {
				const r = first + (i - 1) * spacing;
				steps.push({ ray, r, x: mid.x + r * dx, y: mid.y + r * dy, falls: here < 0, size });
			}
			before = here;
			here = after;
		}
	}
	return steps;
}
