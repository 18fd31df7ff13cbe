/**
 * A cut chart as CSV: RFC 4180 with units in the header, `;` or tab with decimal commas too. Reading
 * never writes: it gives rows, and messages that name row and column.
 */
import Papa from 'papaparse';
import * as v from 'valibot';
import {
	CHART_ROWS_MOST,
	ChartRowSchema,
	DomainError,
	METALS,
	parseQuantity,
	risingRows,
	type ChartRow,
	type MetalId,
	type Quantity
} from '$lib/core';
import { headerParts, metalOf } from './csvWords';
import { fieldProblems } from './problem';
import { CHART_FIELDS, CHART_SPEC, type ChartField } from './chartFields';

/** Column index and unit of each field; a missing one is not in the file. */
export type Mapping = Partial<Record<ChartField, { column: number; unit: string }>>;

export interface ChartMessage {
	/** Row of the file, counted from 1 with the header as row 1; 0: the file as a whole. */
	row: number;
	column: string;
	kind: 'error' | 'question';
	text: string;
}
export interface ChartReading {
	headers: string[];
	mapping: Mapping;
	rows: ChartRow[];
	/** File row of each of `rows`. */
	rowNumbers: number[];
	messages: ChartMessage[];
	/** Headers that nothing was read from. */
	unused: string[];
}

export const CHART_BYTES_MOST = 5_000_000;
const MESSAGES_MOST = 200;
const CELL_MOST = 120;
const COLUMNS_MOST = 200;

/** Unit of a column when it is taken for a field: the header's own, else the field's. */
export function unitOfColumn(header: string, field: ChartField): string {
	return headerParts(header).unit || CHART_SPEC[field].unit;
}

/** Which column is what, by the words of the header. Each column serves one field. */
export function guessMapping(headers: readonly string[]): Mapping {
	const mapping: Mapping = {};
	const taken = new Set<number>();
	for (const field of Object.keys(CHART_SPEC) as ChartField[]) {
		const spec = CHART_SPEC[field];
		const column = headers.findIndex((header, i) => {
			const { words, unit } = headerParts(header);
			return (
				!taken.has(i) &&
				(spec.words.test(words) || (field === 'outputA' && /^a(mps?)?$/.test(words + unit)))
			);
		});
		if (column < 0) continue;
		taken.add(column);
		mapping[field] = { column, unit: unitOfColumn(headers[column]!, field) };
	}
	return mapping;
}

/** Reads a whole file. Give `mapping` to overrule the guess. */
export function readChartCsv(text: string, mapping?: Mapping): ChartReading {
	const nothing = (message: string): ChartReading => ({
		headers: [],
		mapping: {},
		rows: [],
		rowNumbers: [],
		unused: [],
		messages: [{ row: 0, column: '', kind: 'error', text: message }]
	});
	if (text.length > CHART_BYTES_MOST) {
		return nothing(
			`The file has ${Math.round(text.length / 1e6)} MB; at most ${CHART_BYTES_MOST / 1e6} MB are read.`
		);
	}
	const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
	// No header and no value is longer; patterns are not tried on megabytes.
	const cut = (cells: readonly string[]) =>
		cells.slice(0, COLUMNS_MOST).map((cell) => cell.slice(0, CELL_MOST));
	const headers = cut(data[0] ?? []).map((cell) => cell.trim());
	if (data.length < 2 || headers.every((header) => header === '')) {
		return nothing('There is no table in it: a header row and at least one row are wanted.');
	}
	const map = mapping ?? guessMapping(headers);
	const reader = new ChartReader(headers, map);
	for (let i = 1; i < data.length; i++) reader.row(cut(data[i]!), i + 1);
	return reader.finish();
}

class ChartReader {
	readonly #rows: ChartRow[] = [];
	readonly #numbers: number[] = [];
	readonly #messages: ChartMessage[] = [];

	constructor(
		readonly headers: string[],
		readonly mapping: Mapping
	) {
		for (const field of CHART_FIELDS) {
			if (!CHART_SPEC[field].optional && !mapping[field]) {
				this.#say(
					1,
					CHART_SPEC[field].label,
					'error',
					`no column for ${CHART_SPEC[field].label.toLowerCase()}`
				);
			}
		}
	}

	#say(row: number, column: string, kind: ChartMessage['kind'], text: string): void {
		this.#messages.push({ row, column, kind, text });
	}

	row(cells: readonly string[], number: number): void {
		if (cells.every((cell) => cell.trim() === '')) return;
		if (this.#rows.length >= CHART_ROWS_MOST) {
			if (this.#rows.length === CHART_ROWS_MOST && !this.#messages.some((m) => m.row === 0)) {
				this.#say(0, '', 'error', `More than ${CHART_ROWS_MOST} rows: the rest is left out.`);
			}
			return;
		}
		const before = this.#messages.length;
		const metalCell = this.mapping.metal && cells[this.mapping.metal.column];
		const metal = metalCell === undefined ? undefined : metalOf(metalCell);
		if (this.mapping.metal && !metal) {
			this.#say(
				number,
				'Metal',
				'error',
				`a metal is wanted (mild steel, stainless, aluminium, …), got "${(metalCell ?? '').slice(0, 30)}"`
			);
		}
		const row: Record<string, unknown> = { metal };
		for (const field of CHART_FIELDS) {
			if (field !== 'metal') row[field] = this.#number(field, cells, number, metal);
		}
		if (this.#messages.length > before) return;
		const parsed = v.safeParse(ChartRowSchema, row);
		if (parsed.success) {
			this.#rows.push(parsed.output);
			this.#numbers.push(number);
			return;
		}
		for (const problem of fieldProblems(parsed.issues)) {
			const label = CHART_SPEC[problem.field as ChartField]?.label ?? problem.field;
			this.#say(number, label, 'error', `${problem.message} is accepted, got ${problem.received}`);
		}
	}

	#number(
		field: ChartField,
		cells: readonly string[],
		number: number,
		metal?: MetalId
	): number | null | undefined {
		const place = this.mapping[field];
		const spec = CHART_SPEC[field];
		const cell = place ? (cells[place.column] ?? '').trim() : '';
		if (cell === '') {
			if (!spec.optional && place) this.#say(number, spec.label, 'error', 'nothing in this cell');
			return null;
		}
		if (cell.startsWith('=')) {
			this.#say(number, spec.label, 'error', 'a formula, not a value: save the sheet as values');
			return undefined;
		}
		// A bare number has the unit of its header; a cell with a unit of its own keeps it.
		const text = /^[-+]?[\d.,]+$/.test(cell) ? `${cell} ${place!.unit}` : cell;
		try {
			return parseQuantity(text, {
				quantity: spec.quantity as Quantity,
				units: 'metric',
				gauge: metal && METALS[metal].gauge,
				label: spec.label
			});
		} catch (problem) {
			if (!(problem instanceof DomainError)) throw problem;
			this.#say(
				number,
				spec.label,
				'error',
				`${problem.info.allowed} is accepted, got ${problem.info.received}`
			);
			return undefined;
		}
	}

	finish(): ChartReading {
		const seen = new Map<string, number>();
		this.#rows.forEach(({ metal, nozzleA, outputA, thicknessMm }, i) => {
			const key = `${metal}/${nozzleA}/${outputA}/${thicknessMm}`;
			const first = seen.get(key);
			if (first === undefined) seen.set(key, i);
			else {
				this.#say(
					this.#numbers[i]!,
					'Thickness',
					'question',
					`the same metal, nozzle, amps and thickness as row ${this.#numbers[first]}: their mean would count`
				);
			}
		});
		for (const i of risingRows(this.#rows)) {
			this.#say(
				this.#numbers[i]!,
				'Speed',
				'question',
				'faster than the thinner plate above it: is that right?'
			);
		}
		if (this.#rows.length + this.#messages.length === 0) {
			this.#say(0, '', 'error', 'Under the header there is no row.');
		}
		const used = new Set(Object.values(this.mapping).map((place) => place.column));
		const messages = this.#messages.sort((a, b) => a.row - b.row);
		const more = messages.length - MESSAGES_MOST;
		return {
			headers: this.headers,
			mapping: this.mapping,
			rows: this.#rows,
			rowNumbers: this.#numbers,
			unused: this.headers.filter((header, i) => header !== '' && !used.has(i)),
			messages:
				more > 0
					? [
							...messages.slice(0, MESSAGES_MOST),
							{ row: 0, column: '', kind: 'error', text: `and ${more} more` }
						]
					: messages
		};
	}
}

/** A cell that a spreadsheet would take for a formula is told to be text. */
export function neutral(text: string): string {
	return /^[=+\-@\t\r]/.test(text) ? `'${text}` : text;
}

/** The chart as a file that {@link readChartCsv} takes back unchanged. */
export function chartCsv(rows: readonly ChartRow[]): string {
	const fields = CHART_FIELDS.map((field) => CHART_SPEC[field].header);
	const data = rows.map((row) =>
		CHART_FIELDS.map((field) => {
			const value = row[field];
			return typeof value === 'string' ? neutral(value) : (value ?? '');
		})
	);
	return Papa.unparse({ fields, data }, { newline: '\r\n' });
}
