import { createRequire } from 'node:module';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { contoursOf, STARTING_SHAPES } from '$lib/core/shape/makers';
import { areaMm2, type Contour } from '$lib/core/shape/outline';
import { readSvg } from '$lib/formats/outline/svgIn';
import { CHECK_MM, SHEETS_MM, tilingOf } from '$lib/server/templatePdf';

const require = createRequire(import.meta.url);
const { Helper } = require('dxf') as {
	Helper: new (text: string) => { parsed: { entities: { layer: string }[] } };
};
type Handler = (event: never) => Response | Promise<Response>;
const post = (body: unknown, params: Record<string, string> = {}) =>
	({
		params,
		request: new Request('http://test/', { method: 'POST', body: JSON.stringify(body) })
	}) as never;
const square = (side: number): Contour[] =>
	contoursOf({ kind: 'rectangle', widthMm: side, heightMm: side, radiusMm: 0 });
const TORCH = { shieldRadiusMm: 12, kerfMm: 1.5 };

const folder = mkdtempSync(join(tmpdir(), 'steady-arc-template-'));
let template: Record<string, Handler>;
let outlines: Record<string, Handler>;
let outline: Record<string, Handler>;
let close: () => void;
beforeAll(async () => {
	vi.stubEnv('STEADY_ARC_DATA', folder);
	const at = async (path: string) => (await import(path)) as Record<string, Handler>;
	template = await at('./template/+server.ts');
	outlines = await at('./outlines/+server.ts');
	outline = await at('./outlines/[id]/+server.ts');
	close = (await import('$lib/server/current')).closeStore;
});
afterAll(() => {
	close();
	rmSync(folder, { recursive: true });
});

/** Size, paths in millimetres and words of each page, by an independent reader of PDF. */
async function pagesOf(pdf: ArrayBuffer) {
	const doc = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
	const pages = [];
	for (let n = 1; n <= doc.numPages; n++) {
		const page = await doc.getPage(n);
		const { fnArray, argsArray } = await page.getOperatorList();
		let scale = [1, 0, 0, 1, 0, 0];
		const stack: number[][] = [];
		const boxes: number[][] = [];
		fnArray.forEach((fn, i) => {
			const args = argsArray[i] as unknown[];
			if (fn === OPS.save) stack.push(scale);
			if (fn === OPS.restore) scale = stack.pop() ?? scale;
			if (fn === OPS.transform) {
				const [a, b, c, d, e, f] = args as number[];
				const [A, B, C, D, E, F] = scale as [number, number, number, number, number, number];
				scale = [
					A * a! + C * b!,
					B * a! + D * b!,
					A * c! + C * d!,
					B * c! + D * d!,
					A * e! + C * f! + E,
					B * e! + D * f! + F
				];
			}
			if (fn === OPS.constructPath) {
				const [minX, minY, maxX, maxY] = args[2] as number[];
				const mm = 25.4 / 72;
				boxes.push([
					Math.abs((maxX! - minX!) * scale[0]! * mm),
					Math.abs((maxY! - minY!) * scale[3]! * mm)
				]);
			}
		});
		const words = (await page.getTextContent()).items.map((item) =>
			'str' in item ? item.str : ''
		);
		pages.push({
			size: page.view.slice(2).map((pt) => (pt * 25.4) / 72),
			boxes,
			words: words.join('')
		});
	}
	return pages;
}
const has = (boxes: number[][], w: number, h: number) =>
	boxes.some(([x, y]) => Math.abs(x! - w) < 0.02 && Math.abs(y! - h) < 0.02);
const pdfOf = async (contours: Contour[], paper: 'A4' | 'letter') => {
	const body = { contours, ...TORCH, as: 'pdf', paper, name: 'Strainer plate' };
	const response = await template.POST!(post(body));
	expect(response.headers.get('content-type')).toBe('application/pdf');
	return pagesOf(await response.arrayBuffer());
};

describe('a printed template', () => {
	it('says on the cover and on each sheet that it cannot be made as it is, and how it can', async () => {
		const tight = contoursOf({ ...STARTING_SHAPES.flange, boltCircleMm: 240 });
		const [cover, ...sheets] = await pdfOf(tight, 'A4');
		expect(cover!.words).toContain('9 templates cross');
		expect(cover!.words).toContain('make two plates: one for the outside, one for the holes');
		for (const sheet of sheets) expect(sheet.words).toContain('Cannot be made as it is');
		const [sound] = await pdfOf(contoursOf(STARTING_SHAPES.flange), 'A4');
		expect(sound!.words).not.toContain('cannot be made');
	});

	it.each(['A4', 'letter'] as const)(
		'is in true millimetres on %s, with its check square',
		async (paper) => {
			const [cover, sheet, ...more] = await pdfOf(square(150), paper);
			expect(more).toEqual([]);
			for (const { size } of [cover!, sheet!])
				size.forEach((side, i) => expect(side).toBeCloseTo(SHEETS_MM[paper][i]!, 1));
			expect(has(cover!.boxes, CHECK_MM, CHECK_MM)).toBe(true);
			expect(cover!.words).toContain('100 mm by 100 mm');
			// The part as drawn, and the template R − k/2 inside of it all round.
			expect(has(sheet!.boxes, 150, 150)).toBe(true);
			expect(has(sheet!.boxes, 150 - 2 * 11.25, 150 - 2 * 11.25)).toBe(true);
			// A rule of 50 mm along both axes of the sheet.
			expect(sheet!.words).toContain('50 mm');
		}
	);
	it('goes over as many sheets as it takes', async () => {
		const { columns, rows } = tilingOf(500, 500, 'A4');
		expect([columns, rows]).toEqual([3, 2]);
		const pages = await pdfOf(square(500), 'A4');
		expect(pages).toHaveLength(1 + columns * rows);
		for (const { boxes } of pages.slice(1)) expect(has(boxes, 500, 500)).toBe(true);
		expect(pages.map(({ words }) => /[A-C][12]$/.exec(words)?.[0]).slice(1)).toEqual([
			'A1',
			'B1',
			'C1',
			'A2',
			'B2',
			'C2'
		]);
	});
	it('names every sheet of a long strip once, beyond Z too', async () => {
		const strip = contoursOf({ kind: 'rectangle', widthMm: 5200, heightMm: 100, radiusMm: 0 });
		const { columns, rows } = tilingOf(5200, 100, 'A4');
		expect(rows).toBe(1);
		expect(columns).toBeGreaterThan(26);
		const names = (await pdfOf(strip, 'A4'))
			.slice(1)
			.map(({ words }) => /[A-Z]+1$/.exec(words)?.[0]);
		expect(names.slice(24, 28)).toEqual(['Y1', 'Z1', 'AA1', 'AB1']);
		expect(new Set(names).size).toBe(columns);
	});
	it('is refused when it takes more sheets than anybody glues together', async () => {
		const body = { contours: square(4000), ...TORCH, as: 'pdf' };
		const response = await template.POST!(post(body));
		expect(response.status).toBe(400);
		expect(await response.text()).toContain('Take the DXF or SVG to a plotter');
	});
	it('overlaps its sheets, so that every point of the drawing is on one', () => {
		for (let size = 50; size < 2000; size += 37) {
			const { columns, sheet } = tilingOf(size, size, 'letter');
			expect(columns * (sheet[0] - 10) + 10).toBeGreaterThanOrEqual(size - 1e-9);
			expect((columns - 1) * (sheet[0] - 10) + 10).toBeLessThan(Math.max(size, sheet[0]) + 1e-9);
		}
	});
});

describe('POST /api/template', () => {
	it('gives SVG and DXF that independent readers open, all layers named', async () => {
		const body = { contours: contoursOf(STARTING_SHAPES.flange), ...TORCH, outside: 'waste' };
		const dxf = await (await template.POST!(post({ ...body, as: 'dxf' }))).text();
		expect(new Set(new Helper(dxf).parsed.entities.map(({ layer }) => layer))).toEqual(
			new Set(['TEMPLATE', 'PART', 'TORCH'])
		);
		const svg = await (await template.POST!(post({ ...body, as: 'svg' }))).text();
		const areas = readSvg(svg).contours.map((c) => Math.round(Math.abs(areaMm2(c))));
		// The frame lies R + k/2 outside of the flange.
		expect(areas).toContain(Math.round((Math.PI / 4) * (285 + 2 * 12.75) ** 2));
	});
	it.each([
		[{ contours: [] }, 'contours'],
		[{ contours: [[{ x: 0, y: 0 }]] }, 'contours.0'],
		[{ contours: square(50), shieldRadiusMm: 1, kerfMm: 1 }, 'shieldRadiusMm'],
		[
			{
				contours: [
					[
						{ x: 1e9, y: 0 },
						{ x: 0, y: 1 }
					]
				]
			},
			'contours.0.0.x'
		]
	])('refuses %o and names the field', async (bad, field) => {
		const response = await template.POST!(post({ ...TORCH, as: 'svg', ...bad }));
		expect(response.status).toBe(400);
		const { fields } = (await response.json()) as { fields: { field: string }[] };
		expect(fields.map((f) => f.field)).toContain(field);
	});
});

describe('saved outlines', () => {
	it('are kept once, found, put away and taken back', async () => {
		const body = { opId: 'outline-op-1', name: 'Strainer', contours: square(80) };
		const first = (await (await outlines.POST!(post(body))).json()) as { id: string };
		const again = (await (await outlines.POST!(post(body))).json()) as { id: string };
		expect(again.id).toBe(first.id);
		const list = async () =>
			((await (await outlines.GET!(undefined as never)).json()) as { outlines: { name: string }[] })
				.outlines;
		expect((await list()).map(({ name }) => name)).toEqual(['Strainer']);
		const one = (await (await outline.GET!(post({}, { id: first.id }))).json()) as {
			contours: Contour[];
		};
		expect(one.contours).toEqual(square(80));
		await outline.PUT!(post({ opId: 'outline-op-2', kept: false, revision: 1 }, { id: first.id }));
		expect(await list()).toEqual([]);
		await outline.PUT!(post({ opId: 'outline-op-3', kept: true, revision: 2 }, { id: first.id }));
		expect(await list()).toHaveLength(1);
		const late = await outline.PUT!(
			post({ opId: 'outline-op-5', kept: false, revision: 1 }, { id: first.id })
		);
		expect(late.status).toBe(409);
		expect(await list()).toHaveLength(1);
		const none = await outline.PUT!(post({ opId: 'outline-op-4', kept: true }, { id: 'no' }));
		expect(none.status).toBe(404);
	});
});
