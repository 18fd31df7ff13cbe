import { arcOf, segments, type Contour, type Point } from '$lib/core/shape/outline';

/** Micrometres are more than a hand needs. */
export const short = (value: number) => String(Math.round(value * 10_000) / 10_000 || 0);

/** SVG path data with y down; `down` mirrors a y of the drawing. */
export function pathData(contour: Contour, down: (y: number) => number = (y) => -y): string {
	const first = contour[0]!;
	const parts = [`M${short(first.x)} ${short(down(first.y))}`];
	for (const { from, to } of segments(contour)) {
		const arc = arcOf(from, to);
		const end = `${short(to.x)} ${short(down(to.y))}`;
		if (!arc) {
			parts.push(`L${end}`);
			continue;
		}
		const large = Math.abs(arc.sweepRad) > Math.PI ? 1 : 0;
		// Counter-clockwise with y up is the negative sense of SVG.
		parts.push(
			`A${short(arc.radiusMm)} ${short(arc.radiusMm)} 0 ${large} ${arc.sweepRad > 0 ? 0 : 1} ${end}`
		);
	}
	return parts.join('') + 'Z';
}

/** The same for a closed line of points. */
export function polygonPath(points: readonly Point[]): string {
	return 'M' + points.map(({ x, y }) => `${short(x)} ${short(-y)}`).join('L') + 'Z';
}
