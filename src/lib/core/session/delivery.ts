/**
 * Free air delivered by a compressor against tank pressure: straight lines between the points on its
 * plate, the outer lines carried on, never below nothing.
 */
export interface DeliveryPoint {
	/** Free air, l/min. */
	flowLpm: number;
	/** Tank pressure, bar gauge. */
	atBar: number;
}

/** One straight stretch, valid up to `toBar`: delivery = atZeroLpm + slopeLpmBar·p. */
export interface DeliveryStretch {
	toBar: number;
	atZeroLpm: number;
	slopeLpmBar: number;
}

/**
 * Delivered over displaced by a single-stage piston compressor at 6 to 8 bar [common practice: 60 to
 * 75 %]. Displacement is an estimate at best; a timed fill replaces it.
 */
export const DELIVERED_OVER_DISPLACED = 0.65;

/** The stretches from low to high pressure, each delivery times `share`. Points rise in pressure. */
export function deliveryLine(points: readonly DeliveryPoint[], share = 1): DeliveryStretch[] {
	const stretches: DeliveryStretch[] = [];
	for (let i = 0; i + 1 < points.length; i++) {
		const [from, to] = [points[i]!, points[i + 1]!];
		const slopeLpmBar = (share * (to.flowLpm - from.flowLpm)) / (to.atBar - from.atBar);
		const atZeroLpm = share * from.flowLpm - slopeLpmBar * from.atBar;
		stretches.push({ toBar: to.atBar, atZeroLpm, slopeLpmBar });
	}
	if (stretches.length === 0) {
		return [{ toBar: Infinity, atZeroLpm: share * points[0]!.flowLpm, slopeLpmBar: 0 }];
	}
	const last = stretches[stretches.length - 1]!;
	last.toBar = last.slopeLpmBar < 0 ? -last.atZeroLpm / last.slopeLpmBar : Infinity;
	if (last.toBar < Infinity) stretches.push({ toBar: Infinity, atZeroLpm: 0, slopeLpmBar: 0 });
	return stretches;
}

/** Free air at a tank pressure, l/min. */
export function deliveryLpm(line: readonly DeliveryStretch[], pressureBar: number): number {
	const stretch = line.find((s) => pressureBar <= s.toBar)!;
	return stretch.atZeroLpm + stretch.slopeLpmBar * pressureBar;
}

/** The two points of the plate whose straight line speaks at a pressure. One point: a level line. */
export function pointsAround(
	points: readonly DeliveryPoint[],
	pressureBar: number
): [DeliveryPoint, DeliveryPoint] {
	if (points.length === 1) return [points[0]!, { ...points[0]!, atBar: points[0]!.atBar + 1 }];
	let i = 0;
	while (i + 2 < points.length && points[i + 1]!.atBar < pressureBar) i++;
	return [points[i]!, points[i + 1]!];
}
