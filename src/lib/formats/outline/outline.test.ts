import { createRequire } from 'node:module';
import { XMLParser } from 'fast-xml-parser';
import fc from 'fast-check';
import { svgPathProperties } from 'svg-path-properties';
import { describe, expect, it } from 'vitest';
import { contoursOf, SHAPE_KINDS, STARTING_SHAPES } from '$lib/core/shape/makers';
import { areaMm2, boundsOf, lengthMm, type Contour } from '$lib/core/shape/outline';
import { polygonAreaMm2 } from '$lib/core/shape/offset';
import { templatesOf } from '$lib/core/shape/template';
import { readDxf } from './dxfIn';
import { OutlineError } from './gather';
import { toDxf, toSvg } from './out';
import { readSvg } from './svgIn';

const require = createRequire(import.meta.url);
/** An independent reader of DXF, which flattens everything to polylines. */
const { Helper } = require('dxf') as {
	Helper: new (text: string) => {
		parsed: { header: { insUnits: number }; entities: Record<string, unknown>[] };
		toPolylines(): { polylines: { vertices: [number, number][]; layer?: string }[] };
	};
};

/** Group codes and values of a small DXF drawing. */
const dxf = (entities: string, header = '9\n$INSUNITS\n70\n4\n', blocks = '') =>
	`0\nSECTION\n2\nHEADER\n${header}0\nENDSEC\n${blocks ? `0\nSECTION\n2\nBLOCKS\n${blocks}0\nENDSEC\n` : ''}0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`;
const line = (x1: number, y1: number, x2: number, y2: number) =>
	`0\nLINE\n8\n0\n10\n${x1}\n20\n${y1}\n11\n${x2}\n21\n${y2}\n`;
const box = (x: number, y: number, w: number, h: number) =>
	line(x, y, x + w, y) +
	line(x + w, y + h, x + w, y) +
	line(x, y + h, x + w, y + h) +
	line(x, y, x, y + h);
const circle = (x: number, y: number, r: number) =>
	`0\nCIRCLE\n8\n0\n10\n${x}\n20\n${y}\n40\n${r}\n`;
const arc = (x: number, y: number, r: number, from: number, to: number) =>
	`0\nARC\n8\n0\n10\n${x}\n20\n${y}\n40\n${r}\n50\n${from}\n51\n${to}\n`;
const svg = (body: string, attributes = 'width="100mm" height="100mm" viewBox="0 0 100 100"') =>
	`<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${body}</svg>`;
const area = (contours: readonly Contour[]) =>
	contours.map((c) => Math.abs(areaMm2(c))).sort((a, b) => b - a);
const why = (told: { what: string; why: string }[]) =>
	told.map(({ what, why }) => `${what}: ${why}`).join('; ');

describe('a DXF drawing', () => {
	it('is joined from loose lines in any direction, and moved to the origin', () => {
		const { contours, used, unit } = readDxf(dxf(box(500, -300, 120, 80) + circle(540, -260, 15)));
		expect(area(contours)[0]).toBeCloseTo(120 * 80, 6);
		expect(area(contours)[1]).toBeCloseTo(Math.PI * 15 ** 2, 6);
		expect(boundsOf(contours)).toMatchObject({ minX: 0, minY: 0 });
		expect(used.map(({ what, count }) => `${count} ${what}`)).toEqual(['4 lines', '1 circles']);
		expect(unit).toEqual({ mm: 1, said: true, words: 'millimetres' });
	});
	it('keeps arcs as arcs: a stadium from two lines and two arcs', () => {
		const { contours } = readDxf(
			dxf(
				line(0, 0, 60, 0) + arc(60, 20, 20, -90, 90) + line(60, 40, 0, 40) + arc(0, 20, 20, 90, 270)
			)
		);
		expect(contours).toHaveLength(1);
		expect(area(contours)[0]).toBeCloseTo(60 * 40 + Math.PI * 400, 6);
		expect(lengthMm(contours[0]!)).toBeCloseTo(120 + 2 * Math.PI * 20, 6);
	});
	it('reads polylines with bulges, closed by their flag', () => {
		const vertices = [
			[0, 0, 0],
			[50, 0, 1],
			[50, 30, 0],
			[0, 30, 1]
		].map(([x, y, b]) => `10\n${x}\n20\n${y}\n42\n${b}\n`);
		const text = dxf(`0\nLWPOLYLINE\n8\n0\n90\n4\n70\n1\n${vertices.join('')}`);
		expect(area(readDxf(text).contours)[0]).toBeCloseTo(50 * 30 + Math.PI * 15 ** 2, 6);
	});
	it('reads whole ellipses and closed splines by chords close to the curve', () => {
		const ellipse =
			'0\nELLIPSE\n8\n0\n10\n0\n20\n0\n11\n50\n21\n0\n40\n0.5\n41\n0\n42\n6.283185307179586\n';
		expect(area(readDxf(dxf(ellipse)).contours)[0]! / (Math.PI * 50 * 25)).toBeCloseTo(1, 3);
		// A cubic Bézier quarter circle, four times: the usual constant is right to 0.03 %.
		const k = 0.5522847498 * 40;
		const control = [
			[40, 0],
			[40, k],
			[k, 40],
			[0, 40],
			[-k, 40],
			[-40, k],
			[-40, 0],
			[-40, -k],
			[-k, -40],
			[0, -40],
			[k, -40],
			[40, -k],
			[40, 0]
		];
		const knots = [0, 0, 0, 0, 1, 1, 1, 2, 2, 2, 3, 3, 3, 4, 4, 4, 4];
		const spline = `0\nSPLINE\n8\n0\n70\n8\n71\n3\n72\n17\n73\n13\n74\n0\n${knots.map((u) => `40\n${u}\n`).join('')}${control.map(([x, y]) => `10\n${x}\n20\n${y}\n`).join('')}`;
		expect(area(readDxf(dxf(spline)).contours)[0]! / (Math.PI * 1600)).toBeCloseTo(1, 2);
	});
	it('opens blocks where they are put: moved, turned, mirrored, stretched', () => {
		const blocks = `0\nBLOCK\n8\n0\n2\nHOLE\n70\n0\n10\n0\n20\n0\n${circle(0, 0, 10)}0\nENDBLK\n8\n0\n`;
		const insert = (x: number, sx: number, sy: number) =>
			`0\nINSERT\n8\n0\n2\nHOLE\n10\n${x}\n20\n50\n41\n${sx}\n42\n${sy}\n50\n30\n`;
		const text = dxf(
			box(0, 0, 300, 100) + insert(50, 1, 1) + insert(120, -1, 1) + insert(220, 2, 1),
			undefined,
			blocks
		);
		const { contours, used } = readDxf(text);
		expect(area(contours).map((a) => Math.round(a))).toEqual([30000, 628, 314, 314]);
		// The two plain ones are still circles.
		expect(contours.filter((c) => c.length === 2)).toHaveLength(2);
		expect(used.find(({ what }) => what === 'blocks')?.count).toBe(3);
	});
	it.each([
		[1, 25.4, 'inches'],
		[5, 10, 'centimetres'],
		[6, 1000, 'metres']
	])('takes $INSUNITS %i as %f mm', (code, mm, words) => {
		const reading = readDxf(dxf(box(0, 0, 2, 1), `9\n$INSUNITS\n70\n${code}\n`));
		expect(reading.unit).toEqual({ mm, said: true, words });
		expect(area(reading.contours)[0]).toBeCloseTo(2 * mm * mm, 6);
	});
	it('takes millimetres where the file names no unit, says so, and lets the person say', () => {
		const text = dxf(box(0, 0, 4, 4), '');
		expect(readDxf(text).unit).toEqual({ mm: 1, said: false, words: 'the file names no unit' });
		expect(area(readDxf(text, 25.4).contours)[0]).toBeCloseTo(16 * 25.4 ** 2, 6);
	});
	it('says what was left out and why', () => {
		const bowtie =
			line(0, 0, 40, 30) + line(40, 30, 40, 0) + line(40, 0, 0, 30) + line(0, 30, 0, 0);
		const text = dxf(
			box(100, 0, 50, 50) +
				box(100, 0, 50, 50) +
				bowtie +
				line(300, 0, 320, 0) +
				'0\nTEXT\n8\n0\n10\n0\n20\n0\n40\n5\n1\nKEEP\n' +
				'0\nINSERT\n8\n0\n2\nGONE\n10\n0\n20\n0\n'
		);
		const { contours, left } = readDxf(text);
		expect(contours).toHaveLength(1);
		const said = why(left);
		for (const reason of [
			'it crosses itself',
			'its ends lie 20.0 mm apart',
			'it lies on another one',
			'text is no outline',
			'the block is not in the file'
		])
			expect(said).toContain(reason);
	});
	it('refuses what it cannot read, with what to do', () => {
		const refused = (text: string) => {
			expect(() => readDxf(text)).toThrow(OutlineError);
		};
		refused('');
		refused('Binary drawing\r\n\u001a\u0000');
		refused('hello\nworld\n');
		refused(dxf(box(0, 0, 30_000, 10)));
		expect(() => readDxf(dxf(box(0, 0, 100, 100)).padEnd(21 * 1024 * 1024, '\n'))).toThrow(/20 MB/);
	});
	it('does not hang on a block that calls itself', () => {
		const blocks = `0\nBLOCK\n8\n0\n2\nA\n70\n0\n10\n0\n20\n0\n0\nINSERT\n8\n0\n2\nA\n10\n1\n20\n0\n0\nENDBLK\n8\n0\n`;
		const { left } = readDxf(dxf('0\nINSERT\n8\n0\n2\nA\n10\n0\n20\n0\n', undefined, blocks));
		expect(why(left)).toContain('nested too deep');
	});
	it('keeps its shape far from the origin', () => {
		const { contours } = readDxf(dxf(box(4_500_000, 5_700_000, 120, 80)));
		expect(area(contours)[0]).toBeCloseTo(9600, 3);
	});
	it('never throws anything but its own error, whatever the bytes', () => {
		const good = dxf(box(0, 0, 10, 10) + circle(3, 3, 1));
		fc.assert(
			fc.property(fc.nat(good.length), fc.string({ maxLength: 12 }), (cut, junk) => {
				try {
					for (const c of readDxf(good.slice(0, cut) + junk + good.slice(cut)).contours)
						expect(Math.abs(areaMm2(c))).toBeGreaterThan(0);
				} catch (error) {
					expect(error).toBeInstanceOf(OutlineError);
				}
			})
		);
	});
});

describe('an SVG drawing', () => {
	it('is read with its size in millimetres, y up', () => {
		const { contours, unit } = readSvg(
			svg('<rect x="10" y="10" width="40" height="20"/>', 'width="200mm" viewBox="0 0 100 100"')
		);
		expect(unit).toEqual({ mm: 2, said: true, words: 'millimetres' });
		expect(area(contours)[0]).toBeCloseTo(40 * 20 * 4, 6);
	});
	it('keeps circular arcs, also mirrored and turned; squeezed ones become chords', () => {
		const turned = svg(
			'<g transform="rotate(30) scale(-1 1)"><circle r="20" cx="50" cy="50"/></g>'
		);
		expect(readSvg(turned).contours[0]).toHaveLength(2);
		expect(area(readSvg(turned).contours)[0]).toBeCloseTo(Math.PI * 400, 3);
		const squeezed = svg('<circle r="20" cx="50" cy="50" transform="scale(2 1)"/>');
		expect(area(readSvg(squeezed).contours)[0]! / (Math.PI * 800)).toBeCloseTo(1, 3);
	});
	it.each([
		['rounded rectangle', '<rect width="60" height="40" rx="10"/>', 60 * 40 - (4 - Math.PI) * 100],
		['ellipse', '<ellipse cx="50" cy="50" rx="40" ry="10"/>', Math.PI * 400],
		['polygon', '<polygon points="0,0 60,0 60,40"/>', 1200],
		['closed polyline', '<polyline points="0 0 60 0 60 40 0 0"/>', 1200],
		['relative path', '<path d="m10 10h30v20h-30z"/>', 600],
		['two subpaths', '<path d="M0 0H90V90H0ZM30 30v30h30v-30z"/>', 8100],
		[
			'quadratic curves (4/3 of the triangle less)',
			'<path d="M0 0Q50 100 100 0z"/>',
			100 * 50 * (2 / 3)
		],
		['smooth cubic', '<path d="M0 50C0 20 100 20 100 50S0 80 0 50z"/>', 3600]
	])('reads a %s', (_, body, wanted) => {
		expect(area(readSvg(svg(body)).contours)[0]! / wanted).toBeCloseTo(1, 2);
	});
	it('never runs scripts, follows references or expands entities', () => {
		const body =
			'<script>throw 1</script><image href="http://outside.example/x.png"/><use href="#a"/>' +
			'<text>hi</text><defs><rect id="a" width="5" height="5"/></defs>' +
			'<rect width="50" height="50" style="display:none"/><rect width="20" height="20" onload="x()"/>';
		const { contours, left } = readSvg(svg(body));
		expect(area(contours)).toEqual([400]);
		const said = why(left);
		for (const reason of [
			'scripts are never run',
			'pictures',
			'references are not',
			'text is no',
			'define',
			'not shown'
		])
			expect(said).toContain(reason);
		expect(() =>
			readSvg('<!DOCTYPE svg [<!ENTITY a "aaaa">]><svg xmlns="x"><path d="&a;"/></svg>')
		).toThrow(OutlineError);
	});
	it('refuses what it cannot read, with the line', () => {
		expect(() => readSvg('<svg>\n<g>\n</svg>')).toThrow(/Line \d/);
		expect(() => readSvg('<html></html>')).toThrow(/no svg element/);
	});
	it('says that a size without a unit was taken at 96 px to the inch', () => {
		const { unit, contours } = readSvg(
			svg('<rect width="96" height="96"/>', 'width="100" height="100"')
		);
		expect(unit.said).toBe(false);
		expect(area(contours)[0]).toBeCloseTo(25.4 ** 2, 6);
	});
	it('never throws anything but its own error, whatever the path', () => {
		const step = fc
			.tuple(
				fc.constantFrom(...'LHVCSQTAZlhvcsqtaz'),
				fc.array(fc.integer({ min: -9, max: 60 }), { maxLength: 7 })
			)
			.map(([command, numbers]) => command + numbers.join(' '));
		let read = 0;
		fc.assert(
			fc.property(fc.array(step, { maxLength: 5 }), (steps) => {
				try {
					const path = `<path d="M0 0H60V60${steps.join('')}"/><rect x="90" width="9" height="9"/>`;
					for (const c of readSvg(svg(path)).contours) if (Math.abs(areaMm2(c)) > 0) read++;
				} catch (error) {
					expect(error).toBeInstanceOf(OutlineError);
				}
			})
		);
		expect(read).toBeGreaterThan(50);
	});
});

describe('what is written', () => {
	const layersOf = (kind: (typeof SHAPE_KINDS)[number]) => {
		const part = contoursOf(STARTING_SHAPES[kind]);
		const template = templatesOf({
			contours: part,
			keep: 'part',
			outside: 'waste',
			holes: 'kept',
			shieldRadiusMm: 10,
			kerfMm: 1.4
		}).flatMap((t) => t.template);
		return { part, template };
	};

	it.each(SHAPE_KINDS)('%s comes back from our own readers as it was', (kind) => {
		const { part } = layersOf(kind);
		for (const back of [readDxf(toDxf({ part })), readSvg(toSvg({ part }))]) {
			expect(back.left).toEqual([]);
			expect(back.unit.said).toBe(true);
			expect(back.contours).toHaveLength(part.length);
			area(back.contours).forEach((a, i) => expect(a / area(part)[i]!).toBeCloseTo(1, 5));
		}
	});
	it.each(SHAPE_KINDS)('%s and its template open in an independent DXF reader', (kind) => {
		const layers = layersOf(kind);
		const helper = new Helper(toDxf(layers));
		expect(helper.parsed.header.insUnits).toBe(4);
		const { polylines } = helper.toPolylines();
		const wanted = [...layers.template, ...layers.part].map((c) => Math.abs(areaMm2(c)));
		const read = polylines.map(({ vertices }) =>
			Math.abs(polygonAreaMm2(vertices.map(([x, y]) => ({ x, y }))))
		);
		expect(read).toHaveLength(wanted.length);
		// That reader draws arcs by chords of five degrees.
		read.forEach((a, i) => expect(a / wanted[i]!, `${kind} ${i}`).toBeCloseTo(1, 2));
		const types = helper.parsed.entities.map(({ type }) => type);
		expect(types.every((t) => t === 'CIRCLE' || t === 'LWPOLYLINE')).toBe(true);
		expect(new Set(helper.parsed.entities.map(({ layer }) => layer))).toEqual(
			new Set(['TEMPLATE', 'PART'])
		);
	});
	it('keeps the arcs of a rounded template as arcs in DXF', () => {
		const { template } = layersOf('rectangle');
		const { entities } = new Helper(toDxf({ template })).parsed;
		const bulges = (entities[0]!.vertices as { bulge?: number }[]).filter((v) => v.bulge);
		expect(bulges).toHaveLength(4);
	});
	it.each(SHAPE_KINDS)('%s has the right length in an independent reader of SVG paths', (kind) => {
		const { part } = layersOf(kind);
		const text = toSvg({ part });
		const paths = [...text.matchAll(/ d="([^"]+)"/g)].map(([, d]) => new svgPathProperties(d!));
		expect(paths).toHaveLength(part.length);
		paths.forEach((p, i) =>
			expect(p.getTotalLength() / lengthMm(part[i]!), `${kind} ${i}`).toBeCloseTo(1, 3)
		);
		const root = (
			new XMLParser({ ignoreAttributes: false }).parse(text) as Record<
				string,
				Record<string, string>
			>
		).svg!;
		const wide = boundsOf(part).maxX - boundsOf(part).minX + 10;
		expect(Number.parseFloat(root['@_width']!)).toBeCloseTo(wide, 3);
		expect(Number(root['@_viewBox']!.split(' ')[2])).toBeCloseTo(wide, 3);
	});
});
