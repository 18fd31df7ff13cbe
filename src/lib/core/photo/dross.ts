/** Dross that hangs below a cut edge. */
import { median, robustSpread } from './ellipse';
import type { Light } from './light';
import type { Told } from './told';
import { yOn, type Lines } from './strip';

export const DROSS_KINDS = ['none', 'soft', 'hard'] as const;
export interface Dross {
	dross: (typeof DROSS_KINDS)[number];
	/** How far it hangs down, as a mean over the length. */
	drossMm: Told;
}

/** What hangs below the bottom edge: how far, and whether in lumps or in fine beads (common practice). */
export function drossBelow(light: Light, { bottom }: Lines, pxPerMm: number): Dross {
	const { width, height } = light;
	const heights: number[] = [];
	// The bench below, from the lowest rows of the picture.
	const far: number[] = [];
	for (let x = 4; x < width - 4; x += 3)
		for (let y = height - 3; y > height - 3 - Math.max(3, 0.5 * pxPerMm); y--)
			if (y > yOn(bottom, x) + 2) far.push(Math.sqrt(light.values[y * width + x]!));
	if (far.length < 50) return { dross: 'none', drossMm: { value: 0, spread: 1 } };
	const bench = median(far);
	const differs = Math.max(4 * robustSpread(far), 0.05);
	for (let x = 4; x < width - 4; x++) {
		const from = yOn(bottom, x) + Math.max(1, 0.12 * pxPerMm);
		let y = Math.ceil(from);
		let gap = 0;
		let last = from;
		while (y < height - 2 && gap < 3) {
			if (Math.abs(Math.sqrt(light.values[y * width + x]!) - bench) > differs) {
				last = y;
				gap = 0;
			} else gap++;
			y++;
		}
		heights.push(last > from ? (last - yOn(bottom, x)) / pxPerMm : 0);
	}
	const mean = heights.reduce((sum, mm) => sum + mm, 0) / heights.length;
	// How quickly it goes up and down: fine beads cross their own mean often.
	let turns = 0;
	let side = 0;
	const band = 0.15 * mean;
	for (const mm of heights) {
		const now = mm > mean + band ? 1 : mm < mean - band ? -1 : side;
		if (side !== 0 && now !== side) turns++;
		side = now;
	}
	const turnsPerMm = turns / (heights.length / pxPerMm);
	const drossMm = { value: mean, spread: Math.hypot(0.1 * mean, 1.5 / pxPerMm) };
	if (mean < DROSS_LEAST_MM) return { dross: 'none', drossMm };
	return { dross: mean > 1.1 || (mean > 0.8 && turnsPerMm < 0.7) ? 'soft' : 'hard', drossMm };
}
/** Less than this is a burr that a thumb does not feel, mm [own]. */
const DROSS_LEAST_MM = 0.1;
