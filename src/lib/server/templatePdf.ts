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
/** Side of the check squares, and how far down the cover they stand, mm. */
export const CHECK_MM = 100;
const CHECK_Y_MM = 62;
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

/** Row by row. */
const eachSheet = ({ columns, rows }: Tiling) =>
	Array.from({ length: columns * rows }, (_, i) => ({
		column: i % columns,
		row: Math.floor(i / columns)
	}));
/** Columns by letters, after Z by two of them, as in a spreadsheet. */
const lettersOf = (column: number): string =>
	(column < 26 ? '' : lettersOf(Math.floor(column / 26) - 1)) +
	String.fromCharCode(65 + (column % 26));
const tileName = (column: number, row: number) => `${lettersOf(column)}${row + 1}`;
/** Built-in fonts know Latin letters only. */
const latin = (text: string) => text.replace(/[^\u0020-\u007e\u00a0-\u00ff]/g, '?');
const mm = (value: number) => `${Math.round(value * 10) / 10} mm`;

interface TemplateInput {
	name: string;
	paper: keyof typeof SHEETS_MM;
	layers: Layers;
	torch: { shieldRadiusMm: number; kerfMm: number; outside: string; holes: string };
	/** Why the sheets cannot be used as they are; stands on the cover and, short, on every sheet. */
	warnings?: string[];
}
type Doc = InstanceType<typeof PDFDocument>;

function textOn(doc: Doc, words: string, x: number, y: number, sizeMm: number): void {
	doc.fillColor(INK.template).fontSize(sizeMm).text(latin(words), x, y, { lineBreak: false });
}

/** What it is for, a square to measure, and how the sheets lie together. */
function drawCover(doc: Doc, input: TemplateInput, tiling: Tiling): void {
	const text = (words: string, x: number, y: number, sizeMm: number) =>
		textOn(doc, words, x, y, sizeMm);
	const { shieldRadiusMm, kerfMm, outside, holes } = input.torch;
	const { warnings = [] } = input;
	text(input.name, MARGIN_MM, MARGIN_MM, 8);
	[
		`Shield radius ${mm(shieldRadiusMm)}, kerf ${mm(kerfMm)}; the template lies on the ${outside === 'kept' ? 'part' : 'waste'} outside, on the ${holes === 'kept' ? 'part' : 'waste'} in holes.`,
		'Full lines: the edge of the template. Dashed: the finished top edge of the part.',
		'Print at 100 %, no fitting to the page. Then measure the square both ways:',
		`it must be ${CHECK_MM} mm by ${CHECK_MM} mm. If it is not, do not use the sheets.`,
		'The template must be thicker than the shield’s bearing height. Check on scrap first.'
	].forEach((words, i) => text(words, MARGIN_MM, MARGIN_MM + 14 + i * 6, 3.6));
	const planY = CHECK_Y_MM + CHECK_MM + 8;
	if (warnings.length) {
		const width = SHEETS_MM[input.paper][0] - 2 * MARGIN_MM;
		const words = ['This template cannot be made as it is.', ...warnings].join(' ');
		doc
			.fillColor(INK.warning)
			.fontSize(4.2)
			.text(latin(words), MARGIN_MM, planY + 90, { width });
	}
	doc
		.rect(MARGIN_MM + 10, CHECK_Y_MM, CHECK_MM, CHECK_MM)
		.lineWidth(0.25)
		.strokeColor(INK.template)
		.stroke();
	text(`${CHECK_MM} mm`, MARGIN_MM + 10 + CHECK_MM / 2 - 8, CHECK_Y_MM + 2, 4);
	text(`${CHECK_MM} mm`, MARGIN_MM + 12, CHECK_Y_MM + CHECK_MM / 2, 4);
	text(
		`${tiling.columns * tiling.rows} sheets: lay the crosses on one another, cut along one of them.`,
		MARGIN_MM,
		planY,
		3.6
	);
	const small = Math.min(14, 150 / tiling.columns, 70 / tiling.rows);
	for (const { column, row } of eachSheet(tiling)) {
		const [x, y] = [MARGIN_MM + column * small, planY + 10 + row * small];
		doc.rect(x, y, small, small).lineWidth(0.2).strokeColor(INK.template).stroke();
		text(tileName(column, row), x + small * 0.2, y + small * 0.3, Math.min(4, small * 0.4));
	}
}

function drawContours(
	doc: Doc,
	contours: readonly Contour[],
	down: (y: number) => number,
	{ colour, dashed }: { colour: string; dashed: boolean }
): void {
	for (const contour of contours) {
		doc
			.path(pathData(contour, down))
			.lineWidth(dashed ? 0.2 : 0.35)
			.strokeColor(colour);
		if (dashed) doc.dash(3, { space: 2 });
		doc.stroke().undash();
	}
}

/** Crosses half way over each overlap: the same points on both sheets. */
function drawCrosses(doc: Doc, [w, h]: readonly [number, number]): void {
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
}

/** A rule along both axes of a sheet. */
function drawRules(doc: Doc, [sheetW, sheetH]: readonly [number, number]): void {
	doc
		.moveTo(sheetW / 2 - RULE_MM / 2, sheetH - 6)
		.lineTo(sheetW / 2 + RULE_MM / 2, sheetH - 6)
		.moveTo(6, sheetH / 2 - RULE_MM / 2)
		.lineTo(6, sheetH / 2 + RULE_MM / 2)
		.lineWidth(0.5)
		.strokeColor(INK.template)
		.stroke();
	textOn(doc, `${RULE_MM} mm`, sheetW / 2 + RULE_MM / 2 + 2, sheetH - 8, 3);
}

/**
 * The template in true size over as many sheets as it takes, behind a cover with check squares in both
 * axes and the plan of the sheets.
 */
export async function templatePdf(input: TemplateInput): Promise<Uint8Array<ArrayBuffer>> {
	const { paper, name, warnings = [] } = input;
	const { template = [], part = [] } = input.layers;
	const box = boundsOf([...template, ...part]);
	const down = (y: number) => box.maxY - y;
	const tiling = tilingOf(box.maxX - box.minX, box.maxY - box.minY, paper);
	const size = SHEETS_MM[paper].map((side) => side * PT) as [number, number];
	const doc = new PDFDocument({ size, margin: 0, autoFirstPage: false, info: { Title: name } });
	const chunks: Buffer[] = [];
	doc.on('data', (chunk: Buffer) => chunks.push(chunk));
	const done = new Promise<void>((resolve) => doc.on('end', () => resolve()));
	const page = (drawn: () => void) => {
		doc.addPage({ size, margin: 0 });
		// Everything is drawn in millimetres from here on.
		doc.save().scale(PT);
		drawn();
		doc.restore();
	};

	page(() => drawCover(doc, input, tiling));
	for (const { column, row } of eachSheet(tiling)) {
		page(() => {
			const [w, h] = tiling.sheet;
			const x = column * (w - OVERLAP_MM);
			const y = row * (h - OVERLAP_MM);
			doc.save().rect(MARGIN_MM, MARGIN_MM, w, h).clip();
			doc.translate(MARGIN_MM - x - box.minX, MARGIN_MM - y);
			drawContours(doc, part, down, { colour: INK.part, dashed: true });
			drawContours(doc, template, down, { colour: INK.template, dashed: false });
			doc.restore();
			drawCrosses(doc, tiling.sheet);
			drawRules(doc, SHEETS_MM[paper]);
			textOn(doc, `${name}   ${tileName(column, row)}`, MARGIN_MM, 4, 4);
			if (warnings.length) {
				const words = 'Cannot be made as it is: see the cover.';
				textOn(doc, words, SHEETS_MM[paper][0] / 2 + 10, 4, 3.6);
			}
		});
	}
	doc.end();
	await done;
	return new Uint8Array(Buffer.concat(chunks));
}
