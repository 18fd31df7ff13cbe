/** Geometry of the guide plan, seen from above: 740 × 288, shield and kerf to one scale. */
import type { Cut } from '$lib/core';

export const PLAN = { width: 740, height: 288, lineY: 112, left: 60, right: 680, torchX: 280 };
const ROOM_PX = 80;

export interface GuideShape {
	pxPerMm: number;
	radiusPx: number;
	kerfPx: number;
	/** Centre of the torch; the finished edge is at `lineY`. */
	centreY: number;
	/** Edge of the straight edge that the shield rides on, and its other edge. */
	edgeY: number;
	edgeFarY: number;
	/** Waste above or below the line as drawn. */
	wasteAbove: boolean;
	guideAbove: boolean;
}

/**
 * The part lies below the line, the waste above. The kerf lies in the waste, beside the finished edge;
 * the guide lies below (on the part) or above (on the waste).
 */
export function guideShape(input: {
	guide: Cut['guide'];
	shieldRadiusMm: number;
	kerfMm: number;
	offsetMm: number;
}): GuideShape {
	const pxPerMm = ROOM_PX / (input.shieldRadiusMm + input.kerfMm);
	const kerfPx = input.kerfMm * pxPerMm;
	const guideAbove = input.guide === 'waste';
	const edgeY = PLAN.lineY + (guideAbove ? -1 : 1) * input.offsetMm * pxPerMm;
	return {
		pxPerMm,
		radiusPx: input.shieldRadiusMm * pxPerMm,
		kerfPx,
		centreY: PLAN.lineY - kerfPx / 2,
		edgeY,
		edgeFarY: edgeY + (guideAbove ? -30 : 34),
		wasteAbove: true,
		guideAbove
	};
}
