/** Geometry of the groove drawing: cross section 330 × 336 and side view 330 × 336. */
export const GROOVE = { width: 330, height: 336, topY: 96, centreX: 165, plateDepthPx: 212 };

/** Parabola of a groove as path data, w wide and d deep in pixels. */
export function parabola(centreX: number, topY: number, widthPx: number, depthPx: number): string {
	// A quadratic Bézier whose control point lies twice the depth down is exactly that parabola.
	return `M${centreX - widthPx / 2} ${topY}Q${centreX} ${topY + 2 * depthPx} ${centreX + widthPx / 2} ${topY}`;
}

export interface GrooveShape {
	pxPerMm: number;
	widthPx: number;
	depthPx: number;
	/** Floor of each pass, the last one the whole groove. */
	passes: string[];
	passDepthPx: number;
}

export function grooveShape(input: {
	widthMm: number;
	depthMm: number;
	passes: number;
}): GrooveShape {
	const { width, plateDepthPx, centreX, topY } = GROOVE;
	const pxPerMm = Math.min(
		(width - 90) / Math.max(8, input.widthMm),
		(plateDepthPx - 50) / Math.max(5, input.depthMm)
	);
	const widthPx = input.widthMm * pxPerMm;
	const depthPx = input.depthMm * pxPerMm;
	const shown = Math.min(input.passes, 8);
	const passes = Array.from({ length: shown }, (_, i) => {
		const share = (i + 1) / shown;
		return parabola(centreX, topY, widthPx * (0.8 + 0.2 * share), depthPx * share);
	});
	return { pxPerMm, widthPx, depthPx, passes, passDepthPx: depthPx / input.passes };
}

/** Depth in mm at a height of the drawing. */
export function depthAt(y: number, pxPerMm: number): number {
	return (y - GROOVE.topY) / pxPerMm;
}
