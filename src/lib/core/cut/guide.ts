/**
 * Where the torch goes. R shield radius, k kerf, β bevel from upright; all in mm and degrees. Dimensions
 * are of the finished top edge.
 *
 * On a bevel the guide is an angle iron (or a block) whose face stands at the bevel, and the shield's
 * side slides along it: the axis runs parallel to the face at R, so everything across the cut grows by
 * 1/cos β and the stand-off drops out.
 */
export const GUIDES = ['kept', 'waste', 'roller', 'circle', 'freehand'] as const;
export type Guide = (typeof GUIDES)[number];

const radians = (deg: number) => (deg * Math.PI) / 180;

/** Width of the kerf in the plate's surface: k/cos β. */
export function surfaceKerfMm(kerfMm: number, bevelDeg: number): number {
	return kerfMm / Math.cos(radians(bevelDeg));
}

/**
 * Distance of a straight edge from the finished edge: (R − k/2)/cos β on the kept side, (R + k/2)/cos β
 * on the waste.
 */
export function guideOffsetMm(
	side: 'kept' | 'waste',
	{
		shieldRadiusMm,
		kerfMm,
		bevelDeg = 0
	}: { shieldRadiusMm: number; kerfMm: number; bevelDeg?: number }
): number {
	const across = shieldRadiusMm + (side === 'kept' ? -kerfMm / 2 : kerfMm / 2);
	return across / Math.cos(radians(bevelDeg));
}

/** Radius of the torch centre on a circle guide: D/2 − k/2 for a hole, D/2 + k/2 for a disc. */
export function circleRadiusMm(kind: 'hole' | 'disc', diameterMm: number, kerfMm: number): number {
	return diameterMm / 2 + (kind === 'hole' ? -kerfMm / 2 : kerfMm / 2);
}

/**
 * The distance to set after a first piece came out too big by so much (negative: too small) across `edges`
 * edges that were cut by the guide. A piece that is too big wants the guide nearer to its middle: on the kept
 * side the edge lies farther from the guide than was thought, on the waste side nearer. On a circle guide
 * it is the radius, and the piece's diameter is out; a hole that is too big reads as too big.
 */
export function offsetAfterFirstMm(
	guide: 'kept' | 'waste' | 'circle',
	{ offsetMm, tooBigMm, edges }: { offsetMm: number; tooBigMm: number; edges: 1 | 2 }
): number {
	const perEdgeMm = tooBigMm / (guide === 'circle' ? 2 : edges);
	return Math.max(0, guide === 'kept' ? offsetMm + perEdgeMm : offsetMm - perEdgeMm);
}

/** How far the bottom edge lies from the top edge across the cut: t·tan β. */
export function bottomShiftMm(thicknessMm: number, bevelDeg: number): number {
	return thicknessMm * Math.tan(radians(bevelDeg));
}

/** How far beside the line the nozzle stands, seen from above, when the arc is to meet it: s·tan β. */
export function aimShiftMm(standoffMm: number, bevelDeg: number): number {
	return standoffMm * Math.tan(radians(bevelDeg));
}

/** Never further off the plate than this, mm: 1/8 in (common practice). */
export const GAP_MOST_MM = 3;

/**
 * Gap along the axis when a tilted torch rests on the rim of its bearing face: r·tan β, mm. 1.3, 2.9 and
 * 5.0 mm at 15, 30 and 45° on a face of 5 mm radius.
 */
export function bevelGapMm(faceRadiusMm: number, bevelDeg: number): number {
	return faceRadiusMm * Math.tan(radians(bevelDeg));
}

/** A kerf from scrap outside of this, or a radius outside of that, is a slip of the rule, mm. */
export const SCRAP_KERF_MM = [0.3, 8] as const;

/**
 * Kerf and shield radius from one piece of scrap cut in two along a straight edge. The edge of the guide
 * lay `guideAtMm` from the scrap's end, on the piece that then measures `guideSideMm`:
 * k = whole − both pieces, R = guide side − guide + k/2.
 */
export function scrapMm(piece: {
	wholeMm: number;
	guideAtMm: number;
	guideSideMm: number;
	otherSideMm: number;
}): { kerfMm: number; shieldRadiusMm: number } {
	const kerfMm = piece.wholeMm - piece.guideSideMm - piece.otherSideMm;
	return { kerfMm, shieldRadiusMm: piece.guideSideMm - piece.guideAtMm + kerfMm / 2 };
}
