/**
 * A cut list as CSV: one row a part, units in the header, `;` or tab and decimal commas too. Reading never
 * writes: it gives items, and messages that name row and column.
 */
import Papa from 'papaparse';
import * as v from 'valibot';
import {
	DEFAULT_CUT,
	DomainError,
	METALS,
	parseQuantity,
	type Bench,
	type Cut,
	type MetalId,
	type Quantity
} from '$lib/core';
import { LIST_ITEMS_MOST, ListItemSchema, type ListItem } from '$lib/core/list/inputs';
import { headerParts, metalOf } from './csvWords';
import { searchFromCut } from './cutSearch';
import { fieldProblems } from './problem';

const FIELDS = {
	name: { words: /name|part|item|what/, label: 'Name' },
	metal: { words: /metal|material/, label: 'Metal' },
	thickness: { words: /thick|gauge|plate/, label: 'Thickness', quantity: 'thickness', unit: 'mm' },
	linesEach: { words: /cuts|sides|lines/, label: 'Cuts each' },
	pieces: { words: /pieces|pcs|qty|quantity|count|number|parts/, label: 'Pieces' },
	length: { words: /length|cut/, label: 'Length', quantity: 'length', unit: 'mm' },
	width: { words: /width|wide/, label: 'Width', quantity: 'length', unit: 'mm' },
	height: { words: /height|high|depth/, label: 'Height', quantity: 'length', unit: 'mm' },
	handling: { words: /handl/, label: 'Handling', quantity: 'time', unit: 's' },
	area: { words: /area/, label: 'Area' }
} as const satisfies Record<
	string,
	{ words: RegExp; label: string; quantity?: Quantity; unit?: string }
>;
type Field = keyof typeof FIELDS;
/** Nobody means a part without these. */
const WANTED: readonly Field[] = ['thickness', 'length', 'pieces'];

export interface ListMessage {
	/** Row of the file, the header being row 1; 0: the file as a whole. */
	row: number;
	text: string;
}
export interface ListReading {
	items: ListItem[];
	messages: ListMessage[];
}

const BYTES_MOST = 500_000;
const CELL_MOST = 120;
const COLUMNS_MOST = 60;
const MESSAGES_MOST = 100;
const MM2: Record<string, number> = {
	mm2: 1,
	'mm²': 1,
	cm2: 100,
	'cm²': 100,
	m2: 1e6,
	'm²': 1e6,
	in2: 645.16,
	'in²': 645.16
};

/** Reads a whole file; ids begin with `prefix`, which no item of the list has. */
export function readListCsv(
	text: string,
	{ bench, benchId, prefix }: { bench: Pick<Bench, 'usual'>; benchId: string; prefix: string }
): ListReading {
	const only = (message: string): ListReading => ({
		items: [],
		messages: [{ row: 0, text: message }]
	});
	if (text.length > BYTES_MOST)
		return only('The file is larger than half a megabyte: no cut list is.');
	const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
	const cells = (row: readonly string[] | undefined) =>
		(row ?? []).slice(0, COLUMNS_MOST).map((cell) => cell.slice(0, CELL_MOST).trim());
	const headers = cells(data[0]).map(headerParts);
	if (data.length < 2)
		return only('There is no table in it: a header row and at least one row are wanted.');
	const places = placesOf(headers);
	const missing = WANTED.filter((field) => !places.has(field));
	if (missing.length)
		return only(
			`No column for ${missing.map((field) => FIELDS[field].label.toLowerCase()).join(', ')}. Headers such as "name, metal, thickness (mm), length (mm), pieces, cuts each" are read.`
		);
	const items: ListItem[] = [];
	const messages: ListMessage[] = [];
	for (let r = 1; r < data.length; r++) {
		const row = cells(data[r]);
		if (row.every((cell) => cell === '')) continue;
		if (items.length >= LIST_ITEMS_MOST) {
			messages.push({ row: 0, text: `More than ${LIST_ITEMS_MOST} items: the rest is left out.` });
			break;
		}
		const found = itemOf(row, places, { r, usual: bench.usual, benchId, prefix });
		if ('item' in found) items.push(found.item);
		else messages.push(...found.problems.map((problem) => ({ row: r + 1, text: problem })));
	}
	if (!items.length && !messages.length) return only('There is no part in it: only empty rows.');
	return { items, messages: messages.slice(0, MESSAGES_MOST) };
}

type Places = Map<Field, { column: number; unit: string }>;
function placesOf(headers: readonly { words: string; unit: string }[]): Places {
	const places: Places = new Map();
	const taken = new Set<number>();
	for (const field of Object.keys(FIELDS) as Field[]) {
		const column = headers.findIndex(
			({ words }, i) => !taken.has(i) && FIELDS[field].words.test(words)
		);
		if (column < 0) continue;
		taken.add(column);
		places.set(field, { column, unit: headers[column]!.unit });
	}
	return places;
}

function itemOf(
	row: readonly string[],
	places: Places,
	about: { r: number; usual: Bench['usual']; benchId: string; prefix: string }
): { item: ListItem } | { problems: string[] } {
	const problems: string[] = [];
	const cell = (field: Field) => row[places.get(field)?.column ?? -1] ?? '';
	const metalText = cell('metal');
	const metal: MetalId | undefined = metalText === '' ? DEFAULT_CUT.metal : metalOf(metalText);
	if (!metal)
		problems.push(
			`Metal: mild steel, stainless, aluminium, … are read, got "${metalText.slice(0, 30)}".`
		);
	const quantity = (
		field: 'thickness' | 'length' | 'handling' | 'width' | 'height'
	): number | null => {
		const text = cell(field);
		const { label, quantity: of, unit } = FIELDS[field];
		if (text === '') {
			if (WANTED.includes(field)) problems.push(`${label}: nothing in this cell.`);
			return null;
		}
		const bare = /^[-+]?[\d.,]+$/.test(text);
		try {
			return parseQuantity(bare ? `${text} ${places.get(field)!.unit || unit}` : text, {
				quantity: of,
				units: 'metric',
				gauge: metal && METALS[metal].gauge,
				label
			});
		} catch (error) {
			if (!(error instanceof DomainError)) throw error;
			problems.push(`${label}: ${error.info.allowed} is accepted, got "${text.slice(0, 30)}".`);
			return null;
		}
	};
	const whole = (field: 'pieces' | 'linesEach'): number => {
		const text = cell(field);
		if (text === '' && field === 'linesEach') return 1;
		if (/^\d{1,6}$/.test(text)) return Number(text);
		problems.push(`${FIELDS[field].label}: a whole number is wanted, got "${text.slice(0, 30)}".`);
		return 1;
	};
	const area = (): number | null => {
		const text = cell('area');
		const factor = MM2[places.get('area')?.unit || 'mm2'];
		if (text === '') return null;
		const value = Number(text.replace(',', '.'));
		if (factor && value > 0) return value * factor;
		problems.push(`Area: a number in mm², cm², m² or in² is wanted, got "${text.slice(0, 30)}".`);
		return null;
	};
	const [thicknessMm, lengthMm, handlingS] = [
		quantity('thickness'),
		quantity('length'),
		quantity('handling')
	];
	const [widthMm, heightMm] = [quantity('width'), quantity('height')];
	const [pieces, linesEach, areaMm2] = [whole('pieces'), whole('linesEach'), area()];
	if (problems.length || thicknessMm === null || lengthMm === null || !metal) return { problems };
	const cut: Cut = { ...structuredClone(DEFAULT_CUT), metal, thicknessMm, lengthMm };
	const parsed = v.safeParse(ListItemSchema, {
		id: `${about.prefix}${about.r}`,
		name: cell('name') || `Row ${about.r + 1}`,
		what: 'cut',
		search: searchFromCut(cut, about.usual, about.usual, about.benchId),
		pieces,
		linesEach,
		handlingS,
		widthMm,
		heightMm,
		areaMm2
	});
	if (parsed.success) return { item: parsed.output };
	return {
		problems: fieldProblems(parsed.issues).map(
			({ field, message, received }) => `${field}: ${message} is accepted, got ${received}.`
		)
	};
}
