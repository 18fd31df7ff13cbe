/**
 * Outlines from an SVG drawing. It is only read as text: scripts are not run, references not followed,
 * entities not expanded.
 */
import { XMLParser, XMLValidator } from 'fast-xml-parser';
import svgpath from 'svgpath';
import type { Point, Vertex } from '$lib/core/shape/outline';
import { bulgeOf, cubic } from './curves';
import {
	checkPoints,
	guarded,
	checkSize,
	FILE_POINTS_MOST,
	joined,
	OutlineError,
	Tally,
	vetted,
	type OutlineReading,
	type Piece
} from './gather';

/** CSS units in millimetres. */
const UNITS: Record<string, number> = {
	mm: 1,
	cm: 10,
	in: 25.4,
	pt: 25.4 / 72,
	pc: 25.4 / 6,
	px: 25.4 / 96,
	'': 25.4 / 96
};
const UNIT_WORDS: Record<string, string> = { mm: 'millimetres', cm: 'centimetres', in: 'inches' };

interface Node {
	name: string;
	attributes: Record<string, string>;
	children: Node[];
}
type Raw = Record<string, unknown>;

function nodesOf(raw: unknown): Node[] {
	if (!Array.isArray(raw)) return [];
	return (raw as Raw[]).flatMap((entry) => {
		const name = Object.keys(entry).find((key) => key !== ':@');
		if (!name || name.startsWith('#') || name.startsWith('?')) return [];
		return [
			{
				// A prefix of a namespace is not part of the name.
				name: name.replace(/^.*:/, ''),
				attributes: (entry[':@'] ?? {}) as Record<string, string>,
				children: nodesOf(entry[name])
			}
		];
	});
}

const num = (text: string | undefined, otherwise = 0) => {
	const value = Number.parseFloat(text ?? '');
	return Number.isFinite(value) ? value : otherwise;
};

/** Path data of the basic shapes, by their definition in the SVG standard. */
function pathData({ name, attributes: a }: Node): string | undefined {
	switch (name) {
		case 'path':
			return a.d ?? '';
		case 'rect': {
			const [x, y, w, h] = [num(a.x), num(a.y), num(a.width), num(a.height)];
			const rx = Math.min(w / 2, num(a.rx, num(a.ry)));
			const ry = Math.min(h / 2, num(a.ry, num(a.rx)));
			if (rx <= 0 || ry <= 0) return `M${x} ${y}h${w}v${h}h${-w}z`;
			const arc = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
			return `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}z`;
		}
		case 'circle':
		case 'ellipse': {
			const [cx, cy] = [num(a.cx), num(a.cy)];
			const rx = num(a.r, num(a.rx));
			const ry = num(a.r, num(a.ry));
			return `M${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}z`;
		}
		case 'line':
			return `M${num(a.x1)} ${num(a.y1)}L${num(a.x2)} ${num(a.y2)}`;
		case 'polyline':
		case 'polygon':
			return `M${(a.points ?? '').trim()}${name === 'polygon' ? 'z' : ''}`;
		default:
			return undefined;
	}
}

const LEFT_WHY: Record<string, string> = {
	text: 'text is no outline: turn it into paths',
	image: 'pictures are no outline',
	script: 'scripts are never run',
	foreignObject: 'foreign content is not read',
	use: 'references are not followed: expand them',
	style: 'style sheets are not read'
};
/** Holds definitions, not drawings. */
const UNDRAWN = ['defs', 'symbol', 'clipPath', 'mask', 'pattern', 'marker'];
/** Says nothing about the outline. */
const SILENT = ['title', 'desc', 'metadata', 'namedview'];

const isHidden = (a: Record<string, string>) =>
	/display\s*:\s*none|visibility\s*:\s*hidden/.test(a.style ?? '') ||
	a.display === 'none' ||
	a.visibility === 'hidden';

/** An arc, as a path says it from `here`: a circular one stays an arc, another becomes chords. */
function arcTo(
	here: Point,
	n: readonly number[]
): { to: Point; bulge: number } | { chords: Vertex[] } {
	// A mirrored arc has its flags as text.
	const [rx = 0, ry = 0, , large, sweep, x = 0, y = 0] = n.map(Number);
	if (Math.abs(rx - ry) < 1e-4 * rx) {
		const how = { radius: rx, large: large === 1, counterClockwise: sweep === 1 };
		return { to: { x, y }, bulge: bulgeOf(here, { x, y }, how) };
	}
	const chords: Vertex[] = [];
	svgpath(`M${here.x} ${here.y}A${n.join(' ')}`)
		.unarc()
		.iterate((segment, _index, px, py) => {
			const [command, ...q] = segment as unknown as [string, ...number[]];
			if (command === 'C') chords.push(...cubic({ x: px, y: py }, ...controls(q)));
			if (command === 'L') chords.push({ x: q[0]!, y: q[1]!, bulge: 0 });
		});
	return { chords };
}

/** A curve of the second degree is one of the third. */
function quadratic(here: Point, n: readonly number[]): Vertex[] {
	const [qx = 0, qy = 0, x = 0, y = 0] = n;
	const third = (p: number, q: number) => p + (2 * (q - p)) / 3;
	return cubic(
		here,
		{ x: third(here.x, qx), y: third(here.y, qy) },
		{ x: third(x, qx), y: third(y, qy) },
		{ x, y }
	);
}

/** Lines and circular arcs stay what they are; everything else becomes chords. */
function piecesOf(path: ReturnType<typeof svgpath>): { pieces: Piece[]; curved: boolean } {
	const pieces: Piece[] = [];
	let run: Vertex[] = [];
	let curved = false;
	const end = (closed: boolean) => {
		const [first] = run;
		const last = run.at(-1);
		if (closed && first && last && run.length > 1) {
			// Closing by hand and then again leaves a point twice.
			if (Math.hypot(first.x - last.x, first.y - last.y) < 1e-6) run.pop();
		}
		if (run.length > 1) pieces.push({ vertices: run, closed });
		run = closed && first ? [{ x: first.x, y: first.y, bulge: 0 }] : [];
	};
	const to = (x: number, y: number) => run.push({ x, y, bulge: 0 });
	const curve = (chords: readonly Vertex[]) => {
		curved = true;
		run.push(...chords);
	};
	path
		.abs()
		.unshort()
		.iterate((segment, _index, x, y) => {
			const [command, ...n] = segment as unknown as [string, ...number[]];
			if (pieces.length + run.length > FILE_POINTS_MOST) {
				throw new OutlineError(
					`One path has more than ${FILE_POINTS_MOST} points. Simplify it, or save only the outline.`
				);
			}
			const here = { x, y };
			switch (command) {
				case 'M':
					end(false);
					to(n[0]!, n[1]!);
					return;
				case 'L':
					to(n[0]!, n[1]!);
					return;
				case 'H':
					to(n[0]!, y);
					return;
				case 'V':
					to(x, n[0]!);
					return;
				case 'Z':
					end(true);
					return;
				case 'A': {
					const arc = arcTo(here, n);
					if ('chords' in arc) return curve(arc.chords);
					run[run.length - 1]!.bulge = arc.bulge;
					to(arc.to.x, arc.to.y);
					return;
				}
				case 'C':
					return curve(cubic(here, ...controls(n)));
				case 'Q':
					return curve(quadratic(here, n));
			}
		});
	end(false);
	return { pieces, curved };
}
const controls = (n: readonly number[]): [Point, Point, Point] => [
	{ x: n[0]!, y: n[1]! },
	{ x: n[2]!, y: n[3]! },
	{ x: n[4]!, y: n[5]! }
];

/** Millimetres to a unit of the drawing: by its width and view box, else 96 px to the inch. */
function unitOf({ attributes: a }: Node): OutlineReading['unit'] {
	const box = (a.viewBox ?? '')
		.trim()
		.split(/[\s,]+/)
		.map(Number);
	const [, value, unit] = /^\s*([\d.eE+-]+)\s*([a-z]*)\s*$/.exec(a.width ?? '') ?? [];
	const perUnit = unit === undefined ? undefined : UNITS[unit];
	const wide = box.length === 4 && box.every(Number.isFinite) && box[2]! > 0 ? box[2]! : undefined;
	const said = perUnit !== undefined && unit !== '' && unit !== 'px';
	const mm =
		perUnit !== undefined && wide !== undefined
			? (perUnit * Number(value)) / wide
			: (perUnit ?? UNITS.px!);
	return {
		mm: mm > 0 && Number.isFinite(mm) ? mm : UNITS.px!,
		said,
		words: said ? (UNIT_WORDS[unit ?? ''] ?? unit!) : 'the file names no unit; 96 px to the inch'
	};
}

/** Throws {@link OutlineError} only. */
export const readSvg = (text: string, unitMm?: number): OutlineReading =>
	guarded(() => outlinesOf(text, unitMm));

function outlinesOf(text: string, unitMm?: number): OutlineReading {
	checkSize(text.length);
	if (/<!ENTITY/i.test(text)) {
		throw new OutlineError(
			'The drawing defines entities, which are not read. Save it as plain SVG.'
		);
	}
	const valid = XMLValidator.validate(text);
	if (valid !== true) {
		throw new OutlineError(`Line ${valid.err.line} is no valid XML: ${valid.err.msg}`);
	}
	const parser = new XMLParser({
		preserveOrder: true,
		ignoreAttributes: false,
		attributeNamePrefix: '',
		processEntities: false,
		parseTagValue: false,
		parseAttributeValue: false
	});
	const root = nodesOf(parser.parse(text)).find(({ name }) => name === 'svg');
	if (!root) throw new OutlineError('This is no SVG drawing: it has no svg element.');
	const used = new Tally();
	const left = new Tally();
	const known = unitOf(root);
	const mm = unitMm ?? known.mm;
	const pieces: Piece[] = [];

	const walk = (nodes: readonly Node[], transforms: readonly string[]) => {
		for (const node of nodes) {
			const { name, attributes } = node;
			if (SILENT.includes(name)) continue;
			if (isHidden(attributes)) {
				left.add('hidden elements', 'they are not shown');
				continue;
			}
			if (UNDRAWN.includes(name)) {
				left.add(`${name} elements`, 'they define, they do not draw');
				continue;
			}
			const own = attributes.transform ? [attributes.transform, ...transforms] : transforms;
			if (['g', 'a', 'svg', 'switch'].includes(name)) {
				walk(node.children, own);
				continue;
			}
			const data = pathData(node);
			if (data === undefined) {
				left.add(`${name} elements`, LEFT_WHY[name] ?? 'they are not read here');
				continue;
			}
			let path = svgpath(data);
			if ((path as unknown as { err: string }).err) {
				left.add(`${name} elements`, 'their path data cannot be read to the end');
			}
			for (const transform of own) path = path.transform(transform);
			const found = piecesOf(path.scale(mm, -mm));
			for (const piece of found.pieces) pieces.push(piece);
			used.add(`${name} elements`, found.curved ? 'curves drawn by short chords' : 'as drawn');
		}
	};
	walk(root.children, []);
	checkPoints(pieces);
	return {
		contours: vetted(joined(pieces, left), left),
		used: used.list,
		left: left.list,
		unit: { ...known, mm }
	};
}
