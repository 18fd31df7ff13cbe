/** The face of a cut between its two lines, row by row, as its light differs from its neighbourhood [own model]. */
import { median, robustSpread } from './ellipse';
import { lightAt, type Light } from './light';

/** A straight line across the picture: y = at + slope·x, pixels. */
export interface Line {
	at: number;
	slope: number;
}
export interface Lines {
	top: Line;
	bottom: Line;
}
export const yOn = ({ at, slope }: Line, x: number): number => at + slope * x;

/** The face between the lines: rows by depth, columns along the cut, light as it differs from its neighbourhood. */
export interface Strip {
	rows: number;
	columns: number;
	values: Float32Array;
	/** Pixels of the strip to the thickness, along the cut. */
	tallPx: number;
	pxPerMm: number;
	/** How far the light of a row strays along it, of the light there, in the usual row. */
	contrast: number;
}
/** What is near the top edge is molten over, near the bottom hides under dross. */
export const FROM = 0.08;
export const TO = 0.92;

export function stripOf(
	light: Light,
	{ top, bottom }: Lines,
	tallPx: number,
	thicknessMm: number
): Strip {
	const rows = Math.round(Math.min(Math.max(tallPx * (TO - FROM), 24), 72));
	const columns = light.width - 8;
	const values = new Float32Array(rows * columns);
	const pxPerMm = tallPx / thicknessMm;
	const reach = Math.max(4, Math.round(1.5 * pxPerMm));
	const line = new Float32Array(columns);
	const contrasts: number[] = [];
	for (let row = 0; row < rows; row++) {
		const share = FROM + ((row + 0.5) / rows) * (TO - FROM);
		for (let i = 0; i < columns; i++) {
			const x = i + 4;
			const y = yOn(top, x) + share * (yOn(bottom, x) - yOn(top, x));
			// Rows are thicker than a pixel where the plate is: three looks make one.
			const step = ((TO - FROM) * tallPx) / rows / 3;
			line[i] =
				Math.sqrt(lightAt(light, x, y - step)) +
				Math.sqrt(lightAt(light, x, y)) +
				Math.sqrt(lightAt(light, x, y + step));
		}
		let sum = 0;
		const slow = new Float32Array(columns);
		for (let i = -reach; i < columns; i++) {
			if (i + reach < columns) sum += line[i + reach]!;
			if (i - reach - 1 >= 0) sum -= line[i - reach - 1]!;
			if (i >= 0) slow[i] = sum / (Math.min(columns - 1, i + reach) - Math.max(0, i - reach) + 1);
		}
		const own: number[] = [];
		for (let i = 0; i < columns; i++) own.push(line[i]! - slow[i]!);
		const spread = Math.max(robustSpread(own), 1e-4);
		contrasts.push(spread / Math.max(median([...slow]), 1e-4));
		// What stands out by far is a scratch or a spot, and must not lead.
		for (let i = 0; i < columns; i++)
			values[row * columns + i] = Math.max(-2.5, Math.min(2.5, own[i]! / spread));
	}
	return { rows, columns, values, tallPx, pxPerMm, contrast: median(contrasts) };
}

export const depthOf = (row: number, rows: number): number =>
	FROM + ((row + 0.5) / rows) * (TO - FROM) - 0.5;
