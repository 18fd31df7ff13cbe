import PDFDocument from 'pdfkit';
import { boundsOf, type Contour } from '$lib/core/shape/outline';
import { pathData } from '$lib/formats/outline/svgPath';
import type { Layers } from '$lib/formats/outline/out';

/** PDF counts in points of 1/72 in. */
const PT = 72 / 25.4;
/** Width and height of the sheets, mm. */
export const SHEETS_MM = { A4: [210, 297], letter: [215.9, 279.4] } as const;
const MARGIN_MM = 10;
/** Neighbouring sheets show the same strip, to lay them on one another, mm. */
const OVERLAP_MM = 10;
/** Side of the check squares, mm. */
export const CHECK_MM = 100;
const RULE_MM = 50;
const INK = { template: '#1b1a2c', part: '#8a8f9c', cross: '#4527d0', warning: '#ad1a17' };

export interface Tiling {
	columns: number;
	rows: number;
	/** Part of the drawing on one sheet, mm. */
	sheet: [number, number];
}

/** How many sheets a drawing of this size takes, overlaps counted. */
export function tilingOf(widthMm: number, heightMm: number, paper: keyof typeof SHEETS_MM): Tiling {
	const sheet = SHEETS_MM[paper].map((mm) => mm - 2 * MARGIN_MM) as [number, number];
	const count = (size: number, room: number) =>
		Math.max(1, Math.ceil((size - OVERLAP_MM) / (room - OVERLAP_MM) - 1e-9));
	return { columns: count(widthMm, sheet[0]), rows: count(heightMm, sheet[1]), sheet };
}

/** More sheets than this nobody glues together. */
export const SHEETS_MOST = 100;
export function sheetsOf(layers: Layers, paper: keyof typeof SHEETS_MM): number {
	const box = boundsOf([...(layers.template ?? []), ...(layers.part ?? [])]);
	const { columns, rows } = tilingOf(box.maxX - box.minX, box.maxY - box.minY, paper);
	return columns * rows;
}

const tileName = (column: number, row: number) =>
	`${String.fromCharCode(65 + (column % 26))}${row + 1}`;
/** Built-in fonts know Latin letters only. */
const latin = (text: string) => text.replace(/[^\u0020-\u007e\u00a0-\u00ff]/g, '?');
const mm = (value: number) => `${Math.round(value * 10) / 10} mm`;

/**
 * The template in true size over as many sheets as it takes, behind a cover with check squares in both
 * axes and the plan of the sheets.
 */
export async function templatePdf(input: {
	name: string;
	paper: keyof typeof SHEETS_MM;
	layers: Layers;
	torch: { shieldRadiusMm: number; kerfMm: number; outside: string; holes: string };
	/** Why the sheets cannot be used as they are; stands on the cover and, short, on every sheet. */
	warnings?: string[];
}): Promise<Uint8Array<ArrayBuffer>> {
	const { layers, paper } = input;
	const template = layers.template ?? [];
	const part = layers.part ?? [];
	const box = boundsOf([...template, ...part]);
	const width = box.maxX - box.minX;
	const height = box.maxY - box.minY;
	const tiling = tilingOf(width, height, paper);
	const size = SHEETS_MM[paper].map((side) => side * PT) as [number, number];
	const doc = new PDFDocument({
		size,
		margin: 0,
		autoFirstPage: false,
		info: { Title: input.name }
	});
	const chunks: Buffer[] = [];
	doc.on('data', (chunk: Buffer) => chunks.push(chunk));
	const done = new Promise<void>((resolve) => doc.on('end', () => resolve()));

	const page = () => {
		doc.addPage({ size, margin: 0 });
		// Everything is drawn in millimetres from here on.
		doc.save().scale(PT);
	};
	const text = (words: string, x: number, y: number, sizeMm: number) =>
		doc.fillColor(INK.template).fontSize(sizeMm).text(latin(words), x, y, { lineBreak: false });
	const draw = (contours: readonly Contour[], colour: string, dashed: boolean) => {
		for (const contour of contours) {
			const down = (y: number) => box.maxY - y;
			doc
				.path(pathData(contour, down))
				.lineWidth(dashed ? 0.2 : 0.35)
				.strokeColor(colour);
			if (dashed) doc.dash(3, { space: 2 });
			doc.stroke().undash();
		}
	};

	page();
	text(input.name, MARGIN_MM, MARGIN_MM, 8);
	const { shieldRadiusMm, kerfMm, outside, holes } = input.torch;
	[
		`Shield radius ${mm(shieldRadiusMm)}, kerf ${mm(kerfMm)}; the template lies on the ${outside === 'kept' ? 'part' : 'waste'} outside, on the ${holes === 'kept' ? 'part' : 'waste'} in holes.`,
		'Full lines: the edge of the template. Dashed: the finished top edge of the part.',
		'Print at 100 %, no fitting to the page. Then measure the square both ways:',
		`it must be ${CHECK_MM} mm by ${CHECK_MM} mm. If it is not, do not use the sheets.`,
		'The template must be thicker than the shield’s bearing height. Check on scrap first.'
	].forEach((words, i) => text(words, MARGIN_MM, MARGIN_MM + 14 + i * 6, 3.6));
	const { warnings = [] } = input;
	const planY = 62 + CHECK_MM + 8;
	if (warnings.length) {
		doc
			.fillColor(INK.warning)
			.fontSize(4.2)
			.text(
				latin(['This template cannot be made as it is.', ...warnings].join(' ')),
				MARGIN_MM,
				planY + 90,
				{
					width: SHEETS_MM[paper][0] - 2 * MARGIN_MM
				}
			);
	}
	doc
		.rect(MARGIN_MM + 10, 62, CHECK_MM, CHECK_MM)
		.lineWidth(0.25)
		.strokeColor(INK.template)
		.stroke();
	text(`${CHECK_MM} mm`, MARGIN_MM + 10 + CHECK_MM / 2 - 8, 64, 4);
	text(`${CHECK_MM} mm`, MARGIN_MM + 12, 62 + CHECK_MM / 2, 4);
	text(
		`${tiling.columns * tiling.rows} sheets: lay the crosses on one another, cut along one of them.`,
		MARGIN_MM,
		planY,
		3.6
	);
	const small = Math.min(14, 150 / tiling.columns, 70 / tiling.rows);
	for (let row = 0; row < tiling.rows; row++) {
		for (let column = 0; column < tiling.columns; column++) {
			const [x, y] = [MARGIN_MM + column * small, 62 + CHECK_MM + 18 + row * small];
			doc.rect(x, y, small, small).lineWidth(0.2).strokeColor(INK.template).stroke();
			text(tileName(column, row), x + small * 0.2, y + small * 0.3, Math.min(4, small * 0.4));
		}
	}
	doc.restore();

	for (let row = 0; row < tiling.rows; row++) {
		for (let column = 0; column < tiling.columns; column++) {
			const [w, h] = tiling.sheet;
			const x = column * (w - OVERLAP_MM);
			const y = row * (h - OVERLAP_MM);
			page();
			doc.save().rect(MARGIN_MM, MARGIN_MM, w, h).clip();
			doc.translate(MARGIN_MM - x - box.minX, MARGIN_MM - y);
			draw(part, INK.part, true);
			draw(template, INK.template, false);
			doc.restore();
			// Crosses half way over each overlap: the same points on both sheets.
			const half = OVERLAP_MM / 2;
			for (const cx of [half, w - half]) {
				for (const cy of [half, h - half]) {
					const [px, py] = [MARGIN_MM + cx, MARGIN_MM + cy];
					doc
						.moveTo(px - 4, py)
						.lineTo(px + 4, py)
						.moveTo(px, py - 4)
						.lineTo(px, py + 4)
						.lineWidth(0.15)
						.strokeColor(INK.cross)
						.stroke();
				}
			}
			// A rule along both axes of each sheet.
			const [sheetW, sheetH] = SHEETS_MM[paper];
			doc
				.moveTo(sheetW / 2 - RULE_MM / 2, sheetH - 6)
				.lineTo(sheetW / 2 + RULE_MM / 2, sheetH - 6)
				.moveTo(6, sheetH / 2 - RULE_MM / 2)
				.lineTo(6, sheetH / 2 + RULE_MM / 2)
				.lineWidth(0.5)
				.strokeColor(INK.template)
				.stroke();
			text(`${RULE_MM} mm`, sheetW / 2 + RULE_MM / 2 + 2, sheetH - 8, 3);
			text(`${input.name}   ${tileName(column, row)}`, MARGIN_MM, 4, 4);
			if (warnings.length) text('Cannot be made as it is: see the cover.', sheetW / 2 + 10, 4, 3.6);
			doc.restore();
		}
	}
	doc.end();
	await done;
	return new Uint8Array(Buffer.concat(chunks));
}
