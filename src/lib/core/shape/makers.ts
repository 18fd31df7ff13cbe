/** Outlines from a few dimensions, mm; each is a set of closed contours round the origin. */
import * as v from 'valibot';
import { within } from '../quantity/within';
import type { Contour, Vertex } from './outline';

const corner = (x: number, y: number, bulge = 0): Vertex => ({ x, y, bulge });
/** tan(90°/4): the bulge of a quarter turn. */
const QUARTER = Math.tan(Math.PI / 8);

export function circle(diameterMm: number, centreX = 0, centreY = 0): Contour {
	const r = diameterMm / 2;
	return [corner(centreX + r, centreY, 1), corner(centreX - r, centreY, 1)];
}

function rectangle(widthMm: number, heightMm: number, radiusMm: number): Contour {
	const [x, y, r] = [widthMm / 2, heightMm / 2, radiusMm];
	if (r === 0) return [corner(-x, -y), corner(x, -y), corner(x, y), corner(-x, y)];
	const round = [
		corner(-x + r, -y),
		corner(x - r, -y, QUARTER),
		corner(x, -y + r),
		corner(x, y - r, QUARTER),
		corner(x - r, y),
		corner(-x + r, y, QUARTER),
		corner(-x, y - r),
		corner(-x, -y + r, QUARTER)
	];
	// Where the rounds meet, the straight piece between them has no length.
	return round.filter((p, i) => {
		const next = round[(i + 1) % round.length]!;
		return p.bulge !== 0 || Math.hypot(next.x - p.x, next.y - p.y) > 1e-9;
	});
}

/** Round ends as far apart, centre to centre, as the length less the width. */
function slot(lengthMm: number, widthMm: number): Contour {
	const [x, r] = [(lengthMm - widthMm) / 2, widthMm / 2];
	return [corner(-x, -r), corner(x, -r, 1), corner(x, r), corner(-x, r, 1)];
}

function regular(sides: number, acrossCornersMm: number): Contour {
	return Array.from({ length: sides }, (_, i) => {
		const angle = (2 * Math.PI * (i + 0.5)) / sides - Math.PI / 2;
		return corner((acrossCornersMm / 2) * Math.cos(angle), (acrossCornersMm / 2) * Math.sin(angle));
	});
}

function flange(s: {
	outerMm: number;
	boreMm: number;
	boltCircleMm: number;
	holes: number;
	holeMm: number;
}): Contour[] {
	const bolts = Array.from({ length: s.holes }, (_, i) => {
		// Holes straddle the centre lines (common practice for flanges).
		const angle = Math.PI / 2 + (2 * Math.PI * (i + 0.5)) / s.holes;
		return circle(
			s.holeMm,
			(s.boltCircleMm / 2) * Math.cos(angle),
			(s.boltCircleMm / 2) * Math.sin(angle)
		);
	});
	const bore = s.boreMm > 0 ? [circle(s.boreMm)] : [];
	return [circle(s.outerMm), ...bore, ...bolts];
}

const size = within(5, 5000, 'mm');
const hole = within(0, 5000, 'mm');

/** Least material between two edges, mm: less than this is no part. */
const WEB_MM = 1;

export const ShapeSchema = v.variant('kind', [
	v.pipe(
		v.object({ kind: v.literal('rectangle'), widthMm: size, heightMm: size, radiusMm: hole }),
		v.forward(
			v.check(
				(s) => 2 * s.radiusMm <= Math.min(s.widthMm, s.heightMm),
				'at most half of the shorter side'
			),
			['radiusMm']
		)
	),
	v.object({ kind: v.literal('disc'), diameterMm: size }),
	v.pipe(
		v.object({ kind: v.literal('ring'), outerMm: size, innerMm: size }),
		v.forward(
			v.check((s) => s.innerMm <= s.outerMm - 2 * WEB_MM, 'smaller than the outside'),
			['innerMm']
		)
	),
	v.pipe(
		v.object({ kind: v.literal('slot'), lengthMm: size, widthMm: size }),
		v.forward(
			v.check((s) => s.widthMm < s.lengthMm, 'smaller than the length'),
			['widthMm']
		)
	),
	v.pipe(
		v.object({
			kind: v.literal('flange'),
			outerMm: size,
			/** 0: blind. */
			boreMm: hole,
			boltCircleMm: size,
			holes: v.pipe(within(1, 60, ''), v.integer('a whole number')),
			holeMm: within(3, 500, 'mm')
		}),
		v.forward(
			v.check(
				(s) => s.boltCircleMm + s.holeMm <= s.outerMm - 2 * WEB_MM,
				'small enough that its holes lie inside the outside'
			),
			['boltCircleMm']
		),
		v.forward(
			v.check(
				(s) => s.boreMm === 0 || s.boreMm + s.holeMm <= s.boltCircleMm - 2 * WEB_MM,
				'small enough to leave metal to the bolt holes'
			),
			['boreMm']
		),
		v.forward(
			v.check(
				(s) => s.holes === 1 || s.boltCircleMm * Math.sin(Math.PI / s.holes) >= s.holeMm + WEB_MM,
				'few enough that they do not run into one another'
			),
			['holes']
		)
	),
	v.object({
		kind: v.literal('polygon'),
		sides: v.pipe(within(3, 60, ''), v.integer('a whole number')),
		acrossCornersMm: size
	})
]);
export type Shape = v.InferOutput<typeof ShapeSchema>;
export type ShapeKind = Shape['kind'];

/** Where each kind starts from. */
export const STARTING_SHAPES: { [K in ShapeKind]: Extract<Shape, { kind: K }> } = {
	rectangle: { kind: 'rectangle', widthMm: 200, heightMm: 150, radiusMm: 0 },
	disc: { kind: 'disc', diameterMm: 150 },
	ring: { kind: 'ring', outerMm: 250, innerMm: 150 },
	slot: { kind: 'slot', lengthMm: 160, widthMm: 60 },
	flange: { kind: 'flange', outerMm: 285, boreMm: 115, boltCircleMm: 205, holes: 8, holeMm: 22 },
	polygon: { kind: 'polygon', sides: 6, acrossCornersMm: 160 }
};
export const SHAPE_KINDS = Object.keys(STARTING_SHAPES) as ShapeKind[];

/** Contours of a shape that passed {@link ShapeSchema}, outside first. */
export function contoursOf(shape: Shape): Contour[] {
	switch (shape.kind) {
		case 'rectangle':
			return [rectangle(shape.widthMm, shape.heightMm, shape.radiusMm)];
		case 'disc':
			return [circle(shape.diameterMm)];
		case 'ring':
			return [circle(shape.outerMm), circle(shape.innerMm)];
		case 'slot':
			return [slot(shape.lengthMm, shape.widthMm)];
		case 'flange':
			return flange(shape);
		case 'polygon':
			return [regular(shape.sides, shape.acrossCornersMm)];
	}
}
