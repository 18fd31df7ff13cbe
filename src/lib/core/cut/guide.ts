/** Where the guide goes. R shield radius, k kerf, all in mm; dimensions are of the top edge. */
export type GuideSide = 'kept' | 'waste' | 'freehand';

/** Distance of a straight edge from the finished edge: R − k/2 on the kept side, R + k/2 on the waste. */
export function guideOffsetMm(
	side: 'kept' | 'waste',
	shieldRadiusMm: number,
	kerfMm: number
): number {
	return shieldRadiusMm + (side === 'kept' ? -kerfMm / 2 : kerfMm / 2);
}

/** Radius of the torch centre on a circle guide: D/2 − k/2 for a hole, D/2 + k/2 for a disc. */
export function circleRadiusMm(kind: 'hole' | 'disc', diameterMm: number, kerfMm: number): number {
	return diameterMm / 2 + (kind === 'hole' ? -kerfMm / 2 : kerfMm / 2);
}

/** Bore times this is the kerf until one is measured [own]. */
export const KERF_PER_BORE = 1.5;
