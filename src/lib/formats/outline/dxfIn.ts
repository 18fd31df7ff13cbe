/** Outlines from a DXF drawing: lines, arcs, circles, polylines, ellipses, splines and blocks. */
import DxfParser, { type IEntity } from 'dxf-parser';
import { arcOf, flattened, type Point, type Vertex } from '$lib/core/shape/outline';
import { ellipse, spline } from './curves';
import {
	checkPoints,
	guarded,
	checkSize,
	joined,
	OutlineError,
	Tally,
	vetted,
	type OutlineReading,
	type Piece
} from './gather';

/** $INSUNITS to millimetres, by the published DXF reference. */
const INSUNITS: Record<number, { mm: number; words: string }> = {
	1: { mm: 25.4, words: 'inches' },
	2: { mm: 304.8, words: 'feet' },
	4: { mm: 1, words: 'millimetres' },
	5: { mm: 10, words: 'centimetres' },
	6: { mm: 1000, words: 'metres' },
	9: { mm: 0.0254, words: 'thousandths of an inch' },
	10: { mm: 914.4, words: 'yards' },
	14: { mm: 100, words: 'decimetres' }
};

/** x' = a·x + c·y + e, y' = b·x + d·y + f. */
interface Affine {
	a: number;
	b: number;
	c: number;
	d: number;
	e: number;
	f: number;
}
const mapped = (m: Affine, { x, y }: Point): Point => ({
	x: m.a * x + m.c * y + m.e,
	y: m.b * x + m.d * y + m.f
});
const times = (m: Affine, n: Affine): Affine => {
	const at = mapped(m, { x: n.e, y: n.f });
	return {
		a: m.a * n.a + m.c * n.b,
		b: m.b * n.a + m.d * n.b,
		c: m.a * n.c + m.c * n.d,
		d: m.b * n.c + m.d * n.d,
		e: at.x,
		f: at.y
	};
};

/** A piece through an affine map: arcs stay arcs when it is a similarity, and are chords otherwise. */
function placed(piece: Piece, m: Affine): Piece {
	const det = m.a * m.d - m.b * m.c;
	const similar =
		Math.abs(Math.hypot(m.a, m.b) - Math.hypot(m.c, m.d)) < 1e-6 * Math.hypot(m.a, m.b) &&
		Math.abs(m.a * m.c + m.b * m.d) < 1e-6 * Math.abs(det);
	const source = similar
		? piece.vertices
		: piece.closed
			? flattened(piece.vertices, 0.002).map((p) => ({ ...p, bulge: 0 }))
			: piece.vertices.flatMap((v, i) => {
					const next = piece.vertices[i + 1];
					if (!next || !arcOf(v, next)) return [{ ...v, bulge: 0 }];
					return flattened([v, { ...next, bulge: 0 }], 0.002)
						.slice(0, -1)
						.map((p) => ({ ...p, bulge: 0 }));
				});
	return {
		closed: piece.closed,
		vertices: source.map((v) => ({ ...mapped(m, v), bulge: v.bulge * Math.sign(det) }))
	};
}

type Loose = IEntity & Record<string, unknown>;
const point = (p: unknown): Point => {
	const { x, y } = (p ?? {}) as Partial<Point>;
	return { x: Number(x), y: Number(y) };
};
const at = (p: Point, bulge = 0): Vertex => ({ ...p, bulge });
const number = (x: unknown, otherwise: number) => (typeof x === 'number' ? x : otherwise);

const WORDS: Record<string, string> = {
	LINE: 'lines',
	ARC: 'arcs',
	CIRCLE: 'circles',
	LWPOLYLINE: 'polylines',
	POLYLINE: 'polylines',
	ELLIPSE: 'ellipses',
	SPLINE: 'splines'
};

/** One entity as a piece; undefined: it is no outline. */
function pieceOf(entity: Loose): Piece | undefined {
	switch (entity.type) {
		case 'LINE': {
			const [from, to] = (entity.vertices as unknown[]).map(point);
			return from && to && { closed: false, vertices: [at(from), at(to)] };
		}
		case 'CIRCLE': {
			const { x, y } = point(entity.center);
			const r = Number(entity.radius);
			return { closed: true, vertices: [at({ x: x + r, y }, 1), at({ x: x - r, y }, 1)] };
		}
		case 'ARC': {
			const { x, y } = point(entity.center);
			const [r, start, end] = [entity.radius, entity.startAngle, entity.endAngle].map(Number) as [
				number,
				number,
				number
			];
			const turn = 2 * Math.PI;
			const sweep = (((end - start) % turn) + turn) % turn || turn;
			const on = (angle: number) => ({ x: x + r * Math.cos(angle), y: y + r * Math.sin(angle) });
			const half = Math.tan(sweep / 8);
			return {
				closed: false,
				vertices: [at(on(start), half), at(on(start + sweep / 2), half), at(on(start + sweep))]
			};
		}
		case 'LWPOLYLINE':
		case 'POLYLINE': {
			const vertices = (entity.vertices as Record<string, unknown>[]).map((v) =>
				at(point(v), number(v.bulge, 0))
			);
			return { closed: entity.shape === true, vertices };
		}
		case 'ELLIPSE': {
			const vertices = ellipse({
				centre: point(entity.center),
				major: point(entity.majorAxisEndPoint),
				ratio: Number(entity.axisRatio),
				startRad: number(entity.startAngle, 0),
				endRad: number(entity.endAngle, 2 * Math.PI)
			});
			return { closed: false, vertices };
		}
		case 'SPLINE': {
			const control = ((entity.controlPoints ?? []) as unknown[]).map(point);
			const knots = (entity.knotValues ?? []) as number[];
			const degree = number(entity.degreeOfSplineCurve, 3);
			if (!(degree >= 1 && degree <= DEGREE_MOST)) return undefined;
			if (control.length <= degree || knots.length < control.length + degree + 1) return undefined;
			return { closed: false, vertices: spline({ degree, knots, control }) };
		}
		default:
			return undefined;
	}
}

const LEFT_WHY: Record<string, string> = {
	TEXT: 'text is no outline',
	MTEXT: 'text is no outline',
	DIMENSION: 'dimensions are no outline',
	POINT: 'points are no outline',
	HATCH: 'hatches are no outline',
	SPLINE: 'without control points it cannot be drawn'
};
/** Blocks in blocks: no drawing nests deeper, and one that calls itself never ends. */
const NESTED_MOST = 8;
const PIECES_MOST = 100_000;
/** Splines of drawings have degree 2, 3 or 5. */
const DEGREE_MOST = 10;

/** Throws {@link OutlineError} only. */
export const readDxf = (text: string, unitMm?: number): OutlineReading =>
	guarded(() => outlinesOf(text, unitMm));

function outlinesOf(text: string, unitMm?: number): OutlineReading {
	checkSize(text.length);
	let drawing;
	try {
		drawing = new DxfParser().parseSync(text);
	} catch {
		drawing = null;
	}
	if (!drawing || !Array.isArray(drawing.entities)) {
		throw new OutlineError('This is no DXF drawing that can be read: save it as ASCII DXF.');
	}
	const used = new Tally();
	const left = new Tally();
	const code = Number(drawing.header?.$INSUNITS ?? 0);
	const said = INSUNITS[code];
	const mm = unitMm ?? said?.mm ?? 1;
	const pieces: Piece[] = [];

	let looked = 0;
	const walk = (entities: readonly IEntity[], m: Affine, depth: number) => {
		for (const entity of entities as Loose[]) {
			if (++looked > PIECES_MOST) {
				throw new OutlineError(
					'The drawing has too many pieces: save only the outline of the part.'
				);
			}
			if (entity.visible === false) {
				left.add('hidden entities', 'they are not shown');
				continue;
			}
			if (entity.type === 'INSERT') {
				const block = drawing.blocks?.[String(entity.name)];
				if (!block?.entities || depth >= NESTED_MOST) {
					left.add('blocks', block ? 'blocks are nested too deep' : 'the block is not in the file');
					continue;
				}
				used.add('blocks', 'opened');
				walk(block.entities, times(m, insertOf(entity, point(block.position))), depth + 1);
				continue;
			}
			// Seen from below, x runs the other way.
			const up = entity.extrusionDirection as { z?: number } | undefined;
			const z = number(entity.extrusionDirectionZ, number(up?.z, 1));
			const piece = pieceOf(entity);
			if (!piece) {
				left.add(
					`${entity.type.toLowerCase()} entities`,
					LEFT_WHY[entity.type] ?? 'they are not read here'
				);
				continue;
			}
			used.add(
				WORDS[entity.type]!,
				entity.type === 'SPLINE' || entity.type === 'ELLIPSE' ? 'drawn by short chords' : 'as drawn'
			);
			const mirror = { a: z < 0 ? -1 : 1, b: 0, c: 0, d: 1, e: 0, f: 0 };
			// In millimetres before curves are drawn by chords, so that their tolerance holds.
			pieces.push(placed(piece, times(m, mirror)));
		}
	};
	walk(drawing.entities, { a: mm, b: 0, c: 0, d: mm, e: 0, f: 0 }, 0);
	checkPoints(pieces);
	return {
		contours: vetted(joined(pieces, left), left),
		used: used.list,
		left: left.list,
		unit: {
			mm,
			said: said !== undefined,
			words: said?.words ?? 'the file names no unit'
		}
	};
}

/** Where a block goes: scaled, turned, moved; its base point lands on the insertion point. */
function insertOf(entity: Loose, base: Point): Affine {
	const [sx, sy] = [number(entity.xScale, 1), number(entity.yScale, 1)];
	const turn = (number(entity.rotation, 0) * Math.PI) / 180;
	const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
	const to = point(entity.position);
	const linear = { a: sx * cos, b: sx * sin, c: -sy * sin, d: sy * cos, e: to.x, f: to.y };
	return times(linear, { a: 1, b: 0, c: 0, d: 1, e: -base.x, f: -base.y });
}
