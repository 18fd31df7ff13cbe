import BufferOp from 'jsts/org/locationtech/jts/operation/buffer/BufferOp.js';
import BufferParameters from 'jsts/org/locationtech/jts/operation/buffer/BufferParameters.js';
import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { some } from '../../../../tests/support/part';
import { withArcs } from './arcs';
import { circle, contoursOf, ShapeSchema, SHAPE_KINDS, STARTING_SHAPES } from './makers';
import { inflated, offsetContour, pathOf, polygonAreaMm2 } from './offset';
import { cutOrder, LEAD_IN_MM } from './order';
import {
	areaMm2,
	arcOf,
	boundsOf,
	directed,
	distance,
	flattened,
	isInside,
	lengthMm,
	moved,
	reversed,
	type Contour
} from './outline';
import { faultsOf, isFaulty, remedyOf } from './remedy';
import { asCut, crossingTemplates, templatesOf, type TemplateInput } from './template';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const TORCH = { shieldRadiusMm: 10, kerfMm: 1.4 };
const R = TORCH.shieldRadiusMm;
const K = TORCH.kerfMm;
const square = (side: number): Contour =>
	contoursOf({ kind: 'rectangle', widthMm: side, heightMm: side, radiusMm: 0 })[0]!;
const L_PART: Contour = [
	[0, 0],
	[80, 0],
	[80, 40],
	[40, 40],
	[40, 60],
	[0, 60]
].map(([x, y]) => ({ x: x!, y: y!, bulge: 0 }));

describe('outlines', () => {
	it('have the area and length of the closed forms', () => {
		const areas = Object.fromEntries(
			SHAPE_KINDS.map((kind) => {
				const [outer, ...holes] = contoursOf(STARTING_SHAPES[kind]);
				return [kind, areaMm2(outer!) - holes.reduce((sum, h) => sum + areaMm2(h), 0)];
			})
		);
		expect(areas.rectangle).toBeCloseTo(200 * 150, 8);
		expect(areas.disc).toBeCloseTo(Math.PI * 75 ** 2, 8);
		expect(areas.ring).toBeCloseTo(Math.PI * (125 ** 2 - 75 ** 2), 8);
		// A stadium: a rectangle and a circle.
		expect(areas.slot).toBeCloseTo(100 * 60 + Math.PI * 30 ** 2, 8);
		expect(areas.polygon).toBeCloseTo(((3 * Math.sqrt(3)) / 2) * 80 ** 2, 8);
		expect(areas.flange).toBeCloseTo((Math.PI / 4) * (285 ** 2 - 115 ** 2 - 8 * 22 ** 2), 8);
		expect(lengthMm(contoursOf(STARTING_SHAPES.slot)[0]!)).toBeCloseTo(200 + Math.PI * 60, 8);
	});

	it('straddle the centre lines with the bolt holes of a flange', () => {
		const bolts = contoursOf(STARTING_SHAPES.flange).slice(2);
		const centres = bolts.map((b) => ({ x: (b[0]!.x + b[1]!.x) / 2, y: b[0]!.y }));
		centres.forEach((c) => expect(Math.hypot(c.x, c.y)).toBeCloseTo(205 / 2, 9));
		expect(Math.min(...centres.map((c) => Math.abs(c.x)))).toBeCloseTo(
			(205 / 2) * Math.sin(Math.PI / 8),
			9
		);
	});

	it.each([
		[{ kind: 'rectangle', widthMm: 100, heightMm: 20, radiusMm: 11 }, 'radiusMm'],
		[{ kind: 'ring', outerMm: 100, innerMm: 100 }, 'innerMm'],
		[{ kind: 'ring', outerMm: 100, innerMm: 98.1 }, 'innerMm'],
		[{ kind: 'slot', lengthMm: 50, widthMm: 60 }, 'widthMm'],
		[{ ...STARTING_SHAPES.flange, boltCircleMm: 280 }, 'boltCircleMm'],
		[{ ...STARTING_SHAPES.flange, boreMm: 230 }, 'boreMm'],
		[{ ...STARTING_SHAPES.flange, holes: 50 }, 'holes'],
		[{ kind: 'disc', diameterMm: NaN }, 'diameterMm'],
		[{ kind: 'polygon', sides: 2, acrossCornersMm: 50 }, 'sides']
	])('refuse what is no part, and say which field: %o', (shape, field) => {
		const parsed = v.safeParse(ShapeSchema, shape);
		expect(parsed.success).toBe(false);
		expect(v.flatten(parsed.issues!).nested).toHaveProperty(field);
	});

	it('a ring keeps a millimetre of web all round', () => {
		const ring = { kind: 'ring', outerMm: 100, innerMm: 98 };
		expect(v.safeParse(ShapeSchema, ring).success).toBe(true);
	});

	it('keep their area, the other way round, when they are reversed or moved', () => {
		fc.assert(
			fc.property(number(20, 400), number(0, 9), number(-1e6, 1e6), (side, radiusMm, far) => {
				const [shape] = contoursOf({
					kind: 'rectangle',
					widthMm: side,
					heightMm: side + 10,
					radiusMm
				});
				const area = areaMm2(shape!);
				expect(areaMm2(reversed(shape!))).toBeCloseTo(-area, 6);
				expect(areaMm2(reversed(reversed(shape!)))).toBeCloseTo(area, 6);
				expect(areaMm2(moved(shape!, far, -far)) / area).toBeCloseTo(1, 6);
			})
		);
	});

	it('keep flattened chords within the tolerance', () => {
		fc.assert(
			fc.property(number(3, 2000), number(0.001, 0.5), (diameter, tolerance) => {
				const points = flattened(circle(diameter), tolerance);
				points.forEach((p, i) => {
					const next = points[(i + 1) % points.length]!;
					const middle = { x: (p.x + next.x) / 2, y: (p.y + next.y) / 2 };
					expect(Math.hypot(p.x, p.y)).toBeCloseTo(diameter / 2, 7);
					expect(diameter / 2 - Math.hypot(middle.x, middle.y)).toBeLessThanOrEqual(
						Math.max(tolerance, 0) * (1 + 1e-6)
					);
				});
			})
		);
	});
});

describe('arcs found again', () => {
	it('give a circle back from its points', () => {
		fc.assert(
			fc.property(number(5, 1000), number(-500, 500), (diameter, x) => {
				const found = withArcs(flattened(circle(diameter, x, 7), 0.005));
				expect(found).toHaveLength(2);
				expect(lengthMm(found)).toBeCloseTo(Math.PI * diameter, 3);
			})
		);
	});
	it('give rounded corners and slots back, and leave polygons alone', () => {
		const [slot] = contoursOf(STARTING_SHAPES.slot);
		const again = withArcs(flattened(slot!, 0.005));
		expect(again.filter(({ bulge }) => bulge !== 0)).toHaveLength(2);
		expect(areaMm2(again)).toBeCloseTo(areaMm2(slot!), 1);
		const [round] = contoursOf({ kind: 'rectangle', widthMm: 90, heightMm: 60, radiusMm: 12 });
		const corners = withArcs(flattened(round!, 0.005));
		expect(corners).toHaveLength(8);
		expect(areaMm2(corners)).toBeCloseTo(areaMm2(round!), 1);
		for (const sides of [3, 4, 6, 8, 12, 24]) {
			const [polygon] = contoursOf({ kind: 'polygon', sides, acrossCornersMm: 200 });
			const same = withArcs(polygon!);
			expect(same, `${sides} sides`).toHaveLength(sides);
			expect(same.every(({ bulge }) => bulge === 0)).toBe(true);
		}
	});
	it('a rectangle has no side of no length where its rounds meet', () => {
		const kinds = (widthMm: number, radiusMm: number) =>
			contoursOf({ kind: 'rectangle', widthMm, heightMm: 20, radiusMm })[0]!.map(({ bulge }) =>
				bulge === 0 ? 'straight' : 'round'
			);
		expect(kinds(30, 4)).toHaveLength(8);
		// Half of the height: two sides go, and of a square all four, which leaves a disc.
		expect(kinds(30, 10).filter((kind) => kind === 'straight')).toHaveLength(2);
		expect(kinds(30, 10)).toHaveLength(6);
		expect(kinds(20, 10)).toEqual(['round', 'round', 'round', 'round']);
		const [disc] = contoursOf({ kind: 'rectangle', widthMm: 20, heightMm: 20, radiusMm: 10 });
		expect(areaMm2(disc!)).toBeCloseTo(Math.PI * 100, 6);
	});
	it('go both ways round on an S, and stay on its line', () => {
		const s: Contour = [
			{ x: 0, y: 0, bulge: 0.5 },
			{ x: 40, y: 0, bulge: -0.5 },
			{ x: 80, y: 0, bulge: 0 },
			{ x: 80, y: 60, bulge: 0 },
			{ x: 0, y: 60, bulge: 0 }
		];
		const again = withArcs(flattened(s, 0.005));
		expect(again.map(({ bulge }) => Math.sign(Math.round(bulge * 100))).sort()).toEqual(
			[-1, 0, 0, 0, 1].sort()
		);
		expect(areaMm2(again)).toBeCloseTo(areaMm2(s), 1);
	});
});

describe('offsets', () => {
	it('of a circle are the circle of that radius (closed form)', () => {
		fc.assert(
			fc.property(number(30, 800), number(-14, 40), (diameter, by) => {
				const [grown] = offsetContour(circle(diameter), by);
				expect(grown).toHaveLength(2);
				expect(distance(grown![0]!, grown![1]!) / 2).toBeCloseTo(diameter / 2 + by, 1);
				if (Math.abs(by) > 0.01)
					expect(distance(grown![0]!, grown![1]!) / 2).toBeCloseTo(diameter / 2 + by, 2);
			})
		);
	});
	it('of a convex outline grow by length and disc (Steiner: A + L·d + π·d²)', () => {
		for (const kind of ['rectangle', 'slot', 'polygon', 'disc'] as const) {
			const [shape] = contoursOf(STARTING_SHAPES[kind]);
			const [grown] = offsetContour(shape!, 11.7);
			const steiner = areaMm2(shape!) + lengthMm(shape!) * 11.7 + Math.PI * 11.7 ** 2;
			expect(areaMm2(grown!) / steiner, kind).toBeCloseTo(1, 4);
			// Its rounds came back as arcs: one at each corner.
			expect(grown!.length).toBeLessThanOrEqual(2 * shape!.length);
		}
	});
	it('agree with the buffer of another library (JTS), on outlines with notches and curves', () => {
		const factory = new GeometryFactory();
		const buffered = (points: { x: number; y: number }[], by: number) => {
			const ring = [...points, points[0]!].map((p) => new Coordinate(p.x, p.y));
			return BufferOp.bufferOp(
				factory.createPolygon(ring),
				by,
				new BufferParameters(64, BufferParameters.CAP_ROUND)
			) as { getArea(): number };
		};
		const wavy = Array.from({ length: 300 }, (_, i) => {
			const a = (2 * Math.PI * i) / 300;
			const r = 90 + 14 * Math.sin(5 * a);
			return { x: r * Math.cos(a), y: r * Math.sin(a) };
		});
		for (const points of [pathOf(L_PART), wavy, pathOf(contoursOf(STARTING_SHAPES.slot)[0]!)]) {
			for (const by of [-12, -4, 3, 10.7]) {
				const ours = inflated([points], by).reduce((sum, p) => sum + polygonAreaMm2(p), 0);
				expect(ours / buffered(points, by).getArea(), `${points.length} by ${by}`).toBeCloseTo(
					1,
					3
				);
			}
		}
	});
	it('leave nothing of what is narrower than twice the distance, and fall apart at a neck', () => {
		expect(offsetContour(square(20), -10.1)).toEqual([]);
		const dumbbell: Contour = [
			[0, 0],
			[40, 0],
			[40, 15],
			[60, 15],
			[60, 0],
			[100, 0],
			[100, 40],
			[60, 40],
			[60, 25],
			[40, 25],
			[40, 40],
			[0, 40]
		].map(([x, y]) => ({ x: x!, y: y!, bulge: 0 }));
		expect(offsetContour(dumbbell, -6)).toHaveLength(2);
	});
});

const input = (
	contour: Contour | Contour[],
	side: 'kept' | 'waste',
	more: Partial<TemplateInput> = {}
): TemplateInput => ({
	contours: (Array.isArray(contour[0]) ? contour : [contour]) as Contour[],
	keep: 'part',
	outside: side,
	holes: side,
	...TORCH,
	...more
});

describe('the four templates', () => {
	const width = (contours: Contour[]) => {
		const box = boundsOf(contours);
		return box.maxX - box.minX;
	};

	it.each([
		['a part on the kept piece', 'part', 'kept', 100 - 2 * (R - K / 2)],
		['a frame round a part', 'part', 'waste', 100 + 2 * (R + K / 2)],
		['an opening, on the kept plate', 'plate', 'kept', 100 + 2 * (R - K / 2)],
		['a slug in an opening', 'plate', 'waste', 100 - 2 * (R + K / 2)]
	] as const)('%s', (_, keep, side, wanted) => {
		const [one] = templatesOf(input(square(100), side, { keep }));
		expect(width(one!.template)).toBeCloseTo(wanted, 3);
	});

	it('hold for the torch path too: half a kerf into the waste', () => {
		const [outer, hole] = templatesOf(input([circle(120), circle(50)], 'kept'));
		expect(width(outer!.torch)).toBeCloseTo(120 + K, 2);
		expect(width(hole!.torch)).toBeCloseTo(50 - K, 2);
		expect([outer!.edge, hole!.edge]).toEqual(['outside', 'hole']);
	});

	it('come out at the radii of field practice in corners of an L', () => {
		const radii = (side: 'kept' | 'waste') =>
			templatesOf(input(L_PART, side))[0]!.corners.map((c) => [c.kind, c.radiusMm]);
		const kept = radii('kept');
		expect(kept.filter(([kind]) => kind === 'outside')).toEqual(
			Array.from({ length: 5 }, () => ['outside', R - K / 2])
		);
		expect(kept.filter(([kind]) => kind === 'inside')).toEqual([['inside', K / 2]]);
		// On the waste, outside corners stay sharp: only the notch is marked.
		expect(radii('waste')).toEqual([['inside', R + K / 2]]);
	});

	it('are the same whichever way round a drawing runs', () => {
		const told = (contour: typeof L_PART, side: 'kept' | 'waste') =>
			templatesOf(input(contour, side))[0]!
				.corners.map(({ kind, radiusMm, remainsMm }) =>
					[kind, radiusMm, remainsMm.toFixed(6)].join()
				)
				.sort();
		const clockwise = L_PART.toReversed();
		for (const side of ['kept', 'waste'] as const)
			expect(told(clockwise, side)).toEqual(told(L_PART, side));
	});
	it('take a point drawn twice for no corner, and a fold for one that can be told', () => {
		const doubled = square(100).flatMap((v, i) => (i === 0 ? [v, { ...v }] : [v]));
		expect(templatesOf(input(doubled, 'kept'))[0]!.corners).toHaveLength(4);
		const folded = [...square(100), { x: -90, y: 50, bulge: 0 }, { x: -50, y: 50, bulge: 0 }];
		for (const { remainsMm } of templatesOf(input(folded, 'kept'))[0]!.corners)
			expect(Number.isFinite(remainsMm)).toBe(true);
	});
	it('mark a round that is too tight for the shield with what would remain', () => {
		const [round] = contoursOf({ kind: 'rectangle', widthMm: 100, heightMm: 80, radiusMm: 6 });
		const [hole] = templatesOf(input(round!, 'waste', { keep: 'plate' }));
		expect(hole!.corners).toHaveLength(4);
		// Between two rounds of 6 and 10.7 mm in a right angle: (10.7 − 6)·(√2 − 1).
		for (const corner of hole!.corners)
			expect(corner.remainsMm).toBeCloseTo((R + K / 2 - 6) * (Math.SQRT2 - 1), 9);
		expect(templatesOf(input(round!, 'kept', { keep: 'plate' }))[0]!.corners).toEqual([]);
	});

	it('leave more in a sharper wedge than in a right angle', () => {
		// An equilateral hole of 100 mm, its corners rounded at 6: each round turns by 120°, its wedge opens 60°.
		const [sideMm, radiusMm] = [100, 6];
		const short = radiusMm / Math.tan(Math.PI / 6);
		const corner = (k: number) => {
			const angle = (2 * Math.PI * k) / 3;
			return [(sideMm / Math.sqrt(3)) * Math.cos(angle), (sideMm / Math.sqrt(3)) * Math.sin(angle)];
		};
		const near = (from: number, to: number, bulge: number) => {
			const [[x, y], [u, v]] = [corner(from), corner(to)] as [[number, number], [number, number]];
			const t = short / sideMm;
			return { x: x + t * (u - x), y: y + t * (v - y), bulge };
		};
		const round = [0, 1, 2].flatMap((k) => [
			near(k, k + 2, Math.tan(Math.PI / 6)),
			near(k, k + 1, 0)
		]);
		const [hole] = templatesOf(input(round, 'waste', { keep: 'plate' }));
		expect(hole!.corners).toHaveLength(3);
		// (10.7 − 6)·(1/sin 30° − 1): as far again as the radius is short.
		for (const { remainsMm } of hole!.corners) expect(remainsMm).toBeCloseTo(R + K / 2 - 6, 6);
	});

	it('say when their edges cross, so that one plate cannot carry them', () => {
		const flange = contoursOf({ ...STARTING_SHAPES.flange, boltCircleMm: 240 });
		const bolts = crossingTemplates(templatesOf(input(flange, 'kept')));
		// Each of the eight bolt holes breaks through the edge of the outside template.
		expect(bolts).toHaveLength(8);
		expect(bolts.every(([first]) => first === 0)).toBe(true);
		expect(crossingTemplates(templatesOf(input(flange, 'waste')))).toEqual([]);
	});
	it('tell the cut as it comes out: the corners of a square rounded off by (1 − π/4)·r² each', () => {
		const [kept] = templatesOf(input(square(100), 'kept'));
		const { left, lost } = asCut(kept!, TORCH);
		expect(left).toEqual([]);
		expect(lost).toHaveLength(4);
		const area = lost.reduce((sum, p) => sum + Math.abs(polygonAreaMm2(p)), 0);
		// Less the band in which chords are not told from their arcs.
		expect(Math.abs(area / (4 * (1 - Math.PI / 4) * (R - K / 2) ** 2) - 1)).toBeLessThan(0.02);
	});
	it('tell what stays in the corners of a slugged hole, and nothing where a shield rolls freely', () => {
		const [slug] = templatesOf(input(square(100), 'waste', { keep: 'plate' }));
		const { left, lost } = asCut(slug!, TORCH);
		expect(lost).toEqual([]);
		const area = left.reduce((sum, p) => sum + Math.abs(polygonAreaMm2(p)), 0);
		expect(Math.abs(area / (4 * (1 - Math.PI / 4) * (R + K / 2) ** 2) - 1)).toBeLessThan(0.02);
		for (const side of ['kept', 'waste'] as const) {
			const [disc] = templatesOf(input(circle(150), side));
			expect(asCut(disc!, TORCH)).toEqual({ left: [], lost: [] });
		}
	});
});

describe('a template that cannot be made as it is', () => {
	const tight = contoursOf({ ...STARTING_SHAPES.flange, boltCircleMm: 240 });
	/** The remedy carried out: the plates that are to be made, each with its templates. */
	const carriedOut = (asked: TemplateInput) => {
		const { drill, plates, ...sides } = remedyOf(asked)!;
		const contours = asked.contours.filter((_, i) => !drill.includes(i));
		const templates = templatesOf({ ...asked, contours, ...sides });
		return plates === 1
			? [templates]
			: (['outside', 'hole'] as const).map((edge) => templates.filter((t) => t.edge === edge));
	};
	it('is none of the shapes that one starts from', () => {
		for (const kind of SHAPE_KINDS)
			for (const shieldRadiusMm of [8, 12, 15])
				expect(
					isFaulty(
						faultsOf(
							templatesOf({ ...input(contoursOf(STARTING_SHAPES[kind]), 'kept'), shieldRadiusMm })
						)
					),
					`${kind} at ${shieldRadiusMm} mm`
				).toBe(false);
	});
	it('takes two plates where bolt holes stand close to the edge and the shield has no room in them', () => {
		expect(remedyOf(input(tight, 'kept'))).toEqual({
			outside: 'kept',
			holes: 'kept',
			plates: 2,
			drill: []
		});
		// Asked on the waste the shield finds no room in the holes: the way out is not the way back.
		expect(remedyOf(input(tight, 'waste'))).toMatchObject({ holes: 'kept', drill: [] });
	});
	it('has the holes drilled that are smaller than the kerf, and those alone', () => {
		const pinned = [...contoursOf(STARTING_SHAPES.ring), circle(1, 100, 0), circle(1, -100, 0)];
		const asked = input(pinned, 'kept');
		expect(faultsOf(templatesOf(asked)).tooSmall).toEqual([2, 3]);
		expect(remedyOf(asked)).toMatchObject({ drill: [2, 3], plates: 1 });
		// Drilled from the smallest hole up, and never the outline itself, however small it is.
		const small = remedyOf(input([circle(60), circle(1), circle(1, 15, 0)], 'kept'))!;
		expect(small.drill).toEqual([1, 2]);
	});
	it('is said to come out only where it does', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 60, max: 300 }),
				fc.array(
					fc.record({
						x: fc.integer({ min: -120, max: 120 }),
						y: fc.integer({ min: -120, max: 120 }),
						d: fc.integer({ min: 1, max: 40 })
					}),
					{ maxLength: 5 }
				),
				fc.constantFrom('kept' as const, 'waste' as const),
				(outerMm, holes, side) => {
					const asked = input(
						[
							circle(outerMm),
							...holes
								.filter(({ x, y, d }) => Math.hypot(x, y) + d / 2 < outerMm / 2 - 1)
								.map(({ x, y, d }) => circle(d, x, y))
						],
						side
					);
					if (!remedyOf(asked)) return;
					for (const plate of carriedOut(asked)) expect(isFaulty(faultsOf(plate))).toBe(false);
				}
			),
			{ numRuns: some(60) }
		);
	});
	it('has no room where its template would be smaller than a thumb can hold', () => {
		// 22 mm holes leave a slug of 11 − 10.7 mm in radius to lie on.
		const { missing } = faultsOf(templatesOf(input(tight, 'waste')));
		expect(missing.map(({ index }) => index)).toEqual([2, 3, 4, 5, 6, 7, 8, 9]);
	});
	it('is not tried in all ways where that would take seconds', () => {
		const many = Array.from({ length: 61 }, (_, i) => circle(20, 21 * i));
		expect(remedyOf(input(many, 'kept'))).toBeUndefined();
	});
});

describe('the order of cutting', () => {
	const paths = (squareSide: 'right' | 'left', keep: 'part' | 'plate' = 'part') =>
		cutOrder(
			templatesOf({
				contours: contoursOf(STARTING_SHAPES.flange),
				keep,
				outside: 'kept',
				holes: 'kept',
				...TORCH
			}),
			{ squareSide, kerfMm: K }
		);

	it('cuts all holes before the outside', () => {
		const edges = paths('right').map(({ edge }) => edge);
		expect(edges).toHaveLength(10);
		expect(edges.at(-1)).toBe('outside');
		expect(edges.slice(0, -1).every((edge) => edge === 'hole')).toBe(true);
	});
	it('keeps the part on the side of the squarer edge', () => {
		for (const squareSide of ['right', 'left'] as const) {
			for (const { path, edge, clockwise } of paths(squareSide)) {
				expect(clockwise).toBe((edge === 'outside') === (squareSide === 'right'));
				expect(areaMm2(path) < 0).toBe(clockwise);
			}
		}
	});
	it('sets off along the path with the part on the side of the squarer edge', () => {
		for (const squareSide of ['right', 'left'] as const) {
			for (const { path, headingDeg, start, meets } of paths(squareSide)) {
				const a = (headingDeg * Math.PI) / 180;
				const [first, next] = flattened(path, 0.001);
				const along = (next!.x - first!.x) * Math.cos(a) + (next!.y - first!.y) * Math.sin(a);
				expect(along / distance(first!, next!)).toBeGreaterThan(0.99);
				// The start lies in the waste: on the other hand.
				const left = (start.y - meets.y) * Math.cos(a) - (start.x - meets.x) * Math.sin(a);
				expect(Math.sign(left)).toBe(squareSide === 'right' ? 1 : -1);
			}
		}
	});
	it('begins and leads in on the waste, and keeps the whole path', () => {
		const templates = templatesOf({
			contours: contoursOf(STARTING_SHAPES.flange),
			keep: 'part',
			outside: 'waste',
			holes: 'kept',
			...TORCH
		});
		for (const one of cutOrder(templates, { squareSide: 'right', kerfMm: K })) {
			const drawn = flattened(templates[one.index]!.contour, 0.01);
			// The waste of the outside lies outside, that of a hole inside.
			expect(isInside(one.start, drawn)).toBe(one.edge === 'hole');
			expect(one.leadMm).toBeGreaterThan(K);
			expect(one.leadMm).toBeLessThanOrEqual(LEAD_IN_MM);
			expect(distance(one.start, one.meets)).toBeCloseTo(one.leadMm, 9);
			const torch = templates[one.index]!.torch[0]!;
			expect(lengthMm(one.path)).toBeCloseTo(lengthMm(torch), 6);
			expect(one.tight).toBe(false);
		}
	});
	it('goes to the nearest hole next, so that the hand walks less than in the order drawn', () => {
		const walk = (points: { x: number; y: number }[]) =>
			points.slice(1).reduce((sum, p, i) => sum + distance(points[i]!, p), 0);
		const shuffled = [0, 5, 2, 7, 3, 8, 4, 6, 9, 1].map(
			(i) => contoursOf(STARTING_SHAPES.flange)[i]!
		);
		const templates = templatesOf({
			contours: shuffled,
			keep: 'part',
			outside: 'kept',
			holes: 'kept',
			...TORCH
		});
		const ordered = cutOrder(templates, { squareSide: 'right', kerfMm: K });
		const drawn = [...ordered].sort((a, b) => a.index - b.index);
		expect(walk(ordered.map(({ start }) => start))).toBeLessThan(
			0.6 * walk(drawn.map(({ start }) => start))
		);
	});
	it('leads in over less than half of the room that there is, however the slot lies', () => {
		for (let deg = 0; deg < 180; deg += 15) {
			const a = (deg * Math.PI) / 180;
			const slot = [
				[-30, -6],
				[30, -6],
				[30, 6],
				[-30, 6]
			].map(([x, y]) => ({
				x: x! * Math.cos(a) - y! * Math.sin(a),
				y: x! * Math.sin(a) + y! * Math.cos(a),
				bulge: 0
			}));
			const templates = templatesOf({
				contours: [slot],
				keep: 'plate',
				outside: 'kept',
				holes: 'kept',
				...TORCH
			});
			const [one] = cutOrder(templates, { squareSide: 'right', kerfMm: K });
			// Walked in steps of a hundredth until the torch would be over the line on the other side.
			const inside = flattened(one!.path, 0.01);
			const way = { x: one!.start.x - one!.meets.x, y: one!.start.y - one!.meets.y };
			const at = (mm: number) => ({
				x: one!.meets.x + (way.x * mm) / one!.leadMm,
				y: one!.meets.y + (way.y * mm) / one!.leadMm
			});
			let room = 0.05;
			while (isInside(at(room), inside)) room += 0.01;
			expect(room, `${deg}°`).toBeGreaterThan(5);
			expect(one!.leadMm, `${deg}°`).toBeCloseTo(Math.min(LEAD_IN_MM, 0.45 * room), 1);
		}
	});
	it('says when a hole has no room for a lead-in', () => {
		const [only] = cutOrder(
			templatesOf({
				contours: [circle(3.4)],
				keep: 'plate',
				outside: 'kept',
				holes: 'kept',
				...TORCH
			}),
			{ squareSide: 'right', kerfMm: K }
		);
		expect(only!.tight).toBe(true);
	});
	it('splits an arc into halves of the same circle where it begins', () => {
		const [first] = paths('right');
		for (const [i, vertex] of first!.path.entries()) {
			const arc = arcOf(vertex, first!.path[(i + 1) % first!.path.length]!);
			expect(arc!.radiusMm).toBeCloseTo(
				(contoursOf(STARTING_SHAPES.flange)[1]!.length && 11) - K / 2,
				0
			);
		}
		expect(directed(first!.path, false)).toHaveLength(first!.path.length);
	});
});

describe('a part that stands in the hole of another', () => {
	it('is cut round its outside, and so on inwards', () => {
		const rings = [200, 120, 60, 20].map((mm) => circle(mm));
		const edges = templatesOf(input(rings, 'kept')).map(({ edge }) => edge);
		expect(edges).toEqual(['outside', 'hole', 'outside', 'hole']);
	});
});
