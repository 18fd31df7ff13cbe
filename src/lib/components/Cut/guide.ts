/** Geometry of the guide plan, seen from above: 740 × 288, shield and kerf to one scale. */
import type { Cut } from '$lib/core';

/** What each guide asks of the hand. */
export const GUIDE_WORDS: Record<
	Cut['guide'],
	{ set: string; forgot: string; wrongSide: string; guide: string }
> = {
	kept: {
		set: 'Set the straight edge off the finished edge by',
		forgot: 'With the straight edge on the line',
		wrongSide: 'The same distance, but on the waste',
		guide: 'Straight edge clamped at both ends, thicker than the shield’s bearing height.'
	},
	waste: {
		set: 'Set the straight edge off the finished edge by',
		forgot: 'With the straight edge on the line',
		wrongSide: 'The same distance, but on the part',
		guide: 'Straight edge clamped at both ends, thicker than the shield’s bearing height.'
	},
	circle: {
		set: 'Set from the pivot to the torch centre',
		forgot: 'Set at half the diameter',
		wrongSide: 'With the kerf on the wrong side of the line',
		guide: 'Pivot in a centre-punch mark or on a magnet; it must not walk.'
	},
	roller: {
		set: 'Torch centre beside the line, in the waste, by',
		forgot: 'With the torch centre on the line',
		wrongSide: 'On the wrong side of the line',
		guide: 'Both wheels square to the line, or it steers off; they hold the stand-off.'
	},
	freehand: {
		set: 'Torch centre beside the line, in the waste, by',
		forgot: 'With the torch centre on the line',
		wrongSide: 'On the wrong side of the line',
		guide: 'Chalk a second line for the shield’s edge to follow; rest the other hand.'
	}
};

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

const CIRCLE_ROOM_PX = 104;

/** Geometry of the circle guide: the largest circle of it fills the drawing's height. */
export function circleShape(input: {
	circleOf: Cut['circleOf'];
	circleMm: number;
	kerfMm: number;
	radiusMm: number;
}) {
	const pxPerMm = CIRCLE_ROOM_PX / (input.circleMm / 2 + input.kerfMm);
	const torchPx = input.radiusMm * pxPerMm;
	return {
		edgePx: (input.circleMm / 2) * pxPerMm,
		torchPx,
		kerfPx: Math.max(2, input.kerfMm * pxPerMm),
		/** Where the arc is lit, from the pivot. */
		leadX: input.circleOf === 'hole' ? -torchPx + 34 : -torchPx - 34
	};
}

const BEVEL = { width: 420, topY: 118, roomPx: 44 };

/** Geometry of the section across a bevel, the guide on the left. */
export function bevelShape(input: {
	bevelDeg: number;
	thicknessMm: number;
	radiusMm: number;
	/** Of the bearing face, whose rim touches. */
	faceMm: number;
	kerfMm: number;
	kerfTopMm: number;
	bottomShiftMm: number;
}) {
	const px = BEVEL.roomPx / Math.max(input.thicknessMm, input.radiusMm);
	const [top, bottom] = [BEVEL.topY, BEVEL.topY + input.thicknessMm * px];
	const axisX = 210;
	const half = Math.max(2.5, (input.kerfTopMm * px) / 2);
	const shift = input.bottomShiftMm * px;
	const radiusPx = input.radiusMm * px;
	// The toe of the face lies R/cos β before the axis, in the surface: kerf over kerf is 1/cos β.
	const slant = input.kerfTopMm / input.kerfMm;
	const toe = axisX - radiusPx * slant;
	const slope = shift / Math.max(1e-6, bottom - top);
	// The rim touches the plate; the shoulder rises steeply enough to stay clear of it.
	const facePx = Math.min(input.faceMm, input.radiusMm) * px;
	const gapPx = facePx * slope;
	const shoulderPx = gapPx + (radiusPx - facePx) * slope + 10;
	const up = 92;
	const back = up * slope;
	return {
		top,
		axisX,
		shield: `M${-radiusPx} -106H${radiusPx}V${-shoulderPx}L${facePx} ${-gapPx}H${-facePx}L${-radiusPx} ${-shoulderPx}Z`,
		tiltDeg: -input.bevelDeg,
		left: `M8 ${top}H${axisX - half}L${axisX - half + shift} ${bottom}H8Z`,
		right: `M${BEVEL.width - 8} ${top}H${axisX + half}L${axisX + half + shift} ${bottom}H${BEVEL.width - 8}Z`,
		kerf: `M${axisX - half} ${top}H${axisX + half}L${axisX + half + shift} ${bottom}H${axisX - half + shift}Z`,
		guide: `M${toe} ${top}L${toe - back} ${top - up}L${toe - back - up} ${top}Z`
	};
}
