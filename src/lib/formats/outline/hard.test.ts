/** Files made to hurt: each is read to an end, or refused by the reader's own error. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { crossingPairs, flattened, type Contour } from '$lib/core/shape/outline';
import { crossingsOf } from '$lib/core/shape/crossings';
import { faultOf, pointsOf } from '$lib/core/shape/vet';
import { readChartCsv } from '$lib/formats/chartCsv';
import { readDxf } from './dxfIn';
import { OutlineError } from './gather';
import { readSvg } from './svgIn';

/** Far more than any of these takes here; one that hangs does not end. */
const END_MS = 60_000;

const dxf = (entities: string, blocks = '') =>
	`0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nBLOCKS\n${blocks}0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`;
const line = (x1: number, y1: number, x2: number, y2: number) =>
	`0\nLINE\n8\n0\n10\n${x1}\n20\n${y1}\n11\n${x2}\n21\n${y2}\n`;
const circle = (x: number | string, y: number | string, r: number | string) =>
	`0\nCIRCLE\n8\n0\n10\n${x}\n20\n${y}\n40\n${r}\n`;
const ring = (n: number, r = 500) =>
	Array.from({ length: n }, (_, i) => {
		const at = (k: number) => [
			r * Math.cos((2 * Math.PI * k) / n),
			r * Math.sin((2 * Math.PI * k) / n)
		];
		return [...at(i), ...at((i + 1) % n)] as [number, number, number, number];
	});
const svg = (inside: string) =>
	`<svg xmlns="http://www.w3.org/2000/svg" width="100mm" viewBox="0 0 100 100">${inside}</svg>`;

/** What came of it: outlines, or the reader's own words. */
function outcome(read: () => { contours: unknown[]; left: { why: string }[] }): string {
	try {
		const { contours, left } = read();
		return `${contours.length} read; ${left.map(({ why }) => why).join('; ')}`;
	} catch (error) {
		expect(error).toBeInstanceOf(OutlineError);
		return (error as Error).message;
	}
}

describe('a drawing made to hurt', () => {
	const blocks = Array.from(
		{ length: 8 },
		(_, k) =>
			`0\nBLOCK\n8\n0\n2\nB${k}\n70\n0\n10\n0\n20\n0\n${`0\nINSERT\n8\n0\n2\nB${k + 1}\n10\n0\n20\n0\n`.repeat(30)}0\nENDBLK\n8\n0\n`
	).join('');
	const zigzag = Array.from(
		{ length: 90_000 },
		(_, i) => `${(i * 7919) % 100},${(i * 104_729) % 97}`
	);
	it.each([
		['coordinates of 1e8', () => readDxf(dxf(circle(0, 0, 1e8))), 'Is the unit right?'],
		['coordinates of 1e12', () => readDxf(dxf(circle(0, 0, 1e12))), 'farther out'],
		[
			'a line to infinity',
			() => readDxf(dxf('0\nLINE\n8\n0\n10\n1e999\n20\n0\n11\n0\n21\n0\n')),
			'no numbers'
		],
		[
			'a line to 1e300',
			() => readDxf(dxf(`0\nLINE\n8\n0\n10\n1e300\n20\n0\n11\n0\n21\n0\n`)),
			'farther out'
		],
		['no end', () => readDxf(dxf(circle('1e999', 0, 5))), 'no numbers'],
		[
			'a block stretched to 1e12',
			() =>
				readDxf(
					dxf(
						'0\nINSERT\n8\n0\n2\nB\n10\n0\n20\n0\n41\n1e12\n42\n1\n',
						`0\nBLOCK\n8\n0\n2\nB\n70\n0\n10\n0\n20\n0\n${circle(0, 0, 5)}0\nENDBLK\n8\n0\n`
					)
				),
			'farther out'
		],
		[
			'five thousand lines from one point',
			() =>
				readDxf(
					dxf(
						ring(5000)
							.map(([x, y]) => line(0, 0, x, y))
							.join('')
					)
				),
			'More than 200 lines end at 0, 0 mm'
		],
		[
			'one ring of fifty thousand lines',
			() =>
				readDxf(
					dxf(
						ring(45_000)
							.map((l) => line(...l))
							.join('')
					)
				),
			'1 read'
		],
		[
			'ninety thousand points that cross',
			() => readSvg(svg(`<polygon points="${zigzag.join(' ')}"/>`)),
			'it crosses itself'
		],
		[
			'blocks in blocks, thirty each',
			() => readDxf(dxf('0\nINSERT\n8\n0\n2\nB0\n10\n0\n20\n0\n', blocks)),
			'too many pieces'
		],
		[
			'an absurd angle',
			() => readDxf(dxf('0\nARC\n8\n0\n10\n0\n20\n0\n40\n5\n50\n1e300\n51\n-1e308\n')),
			''
		],
		[
			'a spline of degree ninety thousand',
			() => readDxf(dxf('0\nSPLINE\n8\n0\n70\n8\n71\n90000\n72\n4\n73\n2\n40\n0\n10\n1\n20\n1\n')),
			'0 read'
		],
		['tags in tags', () => readSvg(svg(`${'<g>'.repeat(50_000)}${'</g>'.repeat(50_000)}`)), ''],
		[
			'a tag called __proto__',
			() => readSvg(svg('<__proto__><path d="M0 0h9v9z"/></__proto__>')),
			''
		],
		[
			'an attribute called __proto__',
			() => readSvg(svg('<path __proto__="x" d="M0 0h9v9z"/>')),
			''
		],
		[
			'an arc in a path of 1e300',
			() => readSvg(svg('<path d="M0 0A1e300 1e300 0 1 1 1e300 5z"/>')),
			''
		],
		[
			'a transform without end',
			() => readSvg(svg(`<path transform="scale(1e308)" d="M0 0h9v9z"/>`)),
			''
		]
	])(
		'%s',
		(_, read, told) => {
			expect(outcome(read)).toContain(told);
		},
		END_MS
	);

	it(
		'property: whatever the numbers, an outline is drawn by a bounded number of points or has a fault',
		() => {
			const any = fc.oneof(fc.double(), fc.double({ min: -500, max: 500, noNaN: true }));
			const bulge = fc.oneof(fc.constant(0), fc.double({ min: -30, max: 30, noNaN: true }), any);
			const vertex = fc.record({ x: any, y: any, bulge });
			fc.assert(
				fc.property(fc.array(vertex, { minLength: 2, maxLength: 12 }), (contour) => {
					const found = faultOf(contour);
					expect(found?.fault ?? 'none').toMatch(/^[a-z-]+$/);
					if (found) return;
					expect(pointsOf(contour)).toBeLessThanOrEqual(200_000);
					for (const { x, y } of flattened(contour, 0.005)) {
						expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true);
					}
				})
			);
		},
		END_MS
	);
});

describe('crossings', () => {
	const square = (x: number, y: number, s: number) => [
		{ x, y },
		{ x: x + s, y },
		{ x: x + s, y: y + s },
		{ x, y: y + s }
	];
	it('are found where they are', () => {
		const bow = [
			{ x: 0, y: 0 },
			{ x: 10, y: 10 },
			{ x: 10, y: 0 },
			{ x: 0, y: 10 }
		];
		expect(crossingsOf([bow]).found).toEqual([{ at: { x: 5, y: 5 }, lines: [0, 0] }]);
		expect(crossingsOf([square(0, 0, 10), square(20, 0, 10)]).found).toEqual([]);
		expect(crossingPairs([square(0, 0, 10), square(5, 5, 10), square(2, 2, 1)])).toEqual([[0, 1]]);
	});
	it('property: the same pairs as by looking at every segment against every other', () => {
		const p = fc.record({ x: fc.integer({ min: 0, max: 40 }), y: fc.integer({ min: 0, max: 40 }) });
		const turn = (a: Pt, b: Pt, c: Pt) => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
		type Pt = { x: number; y: number };
		const meet = (a: Pt, b: Pt, c: Pt, d: Pt) =>
			turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
		fc.assert(
			fc.property(fc.array(p, { minLength: 3, maxLength: 25 }), (points) => {
				const edges = points.map((a, i) => [a, points[(i + 1) % points.length]!] as const);
				const any = edges.some(([a, b], i) => edges.some(([c, d], j) => j > i && meet(a, b, c, d)));
				expect(crossingsOf([points]).found.length > 0).toBe(any);
			})
		);
	});
	it('stop at their budget and say so', () => {
		const star: Contour = Array.from({ length: 2000 }, (_, i) => ({
			x: (i % 2) * 1000 + i / 1e3,
			y: i / 100,
			bulge: 0
		}));
		expect(crossingsOf([star], { pairsMost: 1000 }).tangled).toBe(true);
	});
});

describe('a chart made to hurt', () => {
	it.each([
		['a header of two megabytes of brackets', `${'('.repeat(2_000_000)},speed\n1,2\n`],
		['a header of words and brackets', `${'thickness ('.repeat(180_000)},speed\n1,2\n`],
		['a header of blanks', `a${' '.repeat(2_000_000)}b,speed\n1,2\n`],
		['a value of two megabytes', `thickness,speed,amps\n${'1'.repeat(2_000_000)},2,3\n`],
		['half a million columns', `${'thickness,'.repeat(400_000)}\n1,2\n`],
		['quotes that never close', `"${'""'.repeat(900_000)}`]
	])(
		'%s is read to its end, with words',
		(_, text) => {
			const { rows, messages } = readChartCsv(text);
			expect(rows).toEqual([]);
			expect(messages.length).toBeGreaterThan(0);
		},
		END_MS
	);
});
