/**
 * The log as CSV: RFC 4180, units in the header, one line an entry. Cuts, failed starts, pits, bores and looks
 * have columns of their own; any other measurement stands whole in the last one. Reading never writes: it
 * gives entries, and messages that name the row.
 */
import Papa from 'papaparse';
import * as v from 'valibot';
import { EntrySchema, type Entry } from '$lib/core';
import { AtSchema } from './bodies/common';
import { fieldProblems, sentence } from './problem';

export interface CsvEntry {
	/** ISO 8601. */
	at: string;
	entry: Entry;
	who?: string;
	whatFor?: string;
}
export interface CsvProblem {
	/** As a spreadsheet counts: the header is row 1. */
	row: number;
	message: string;
}

/** Column, the field of an entry that it holds, and what is read from it. */
const COLUMNS = [
	['metal', 'metal', String],
	['thickness (mm)', 'thicknessMm', Number],
	['amps (A)', 'outputA', Number],
	['length (mm)', 'lengthMm', Number],
	['arc (s)', 'arcS', Number],
	['starts', 'starts', Number],
	['start', 'start', String],
	['nozzle (A)', 'nozzleA', Number],
	['pit (mm)', 'pitMm', Number],
	['bore (mm)', 'boreMm', Number],
	['bore across (mm)', 'acrossMm', Number],
	['bore new (mm)', 'newMm', Number],
	['looked', 'seen', String]
] as const;
const IN_COLUMNS = ['cut', 'start', 'pit', 'bore', 'look'];
const HEADER = [
	'when',
	'what',
	...COLUMNS.map(([header]) => header),
	'who',
	'what for',
	'all of it (JSON)'
];
/** A cell that a spreadsheet would take for a formula is given an apostrophe, and loses it again when read. */
export const guarded = (text: string) => (/^'*[=+\-@\t\r]/.test(text) ? `'${text}` : text);
const unguarded = (text: string) => (/^'+[=+\-@\t\r]/.test(text) ? text.slice(1) : text);

export const LOG_CSV_HEADER = Papa.unparse([HEADER]);

const said = (value: unknown): string =>
	typeof value === 'string' || typeof value === 'number' ? String(value) : '';

/** One entry as a line. */
export function csvLine({ at, entry, who, whatFor }: CsvEntry): string {
	const own = IN_COLUMNS.includes(entry.kind);
	const fields = entry as unknown as Record<string, unknown>;
	const cells = COLUMNS.map(([, field]) => (own ? said(fields[field]) : ''));
	// What has no column of its own stands whole in the last one.
	const rest = own && !('mesh' in entry) && !('times' in entry) ? '' : JSON.stringify(entry);
	return Papa.unparse([
		[at, entry.kind, ...cells, guarded(who ?? ''), guarded(whatFor ?? ''), rest]
	]);
}

/** Reads such a file, whole or not at all: entries when there is no problem. */
export function entriesFromCsv(
	text: string,
	nowIso: string
): { entries: CsvEntry[]; problems: CsvProblem[] } {
	const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: true });
	const header = (data[0] ?? []).map((cell) => cell.trim().toLowerCase());
	const problems: CsvProblem[] = [];
	for (const needed of ['when', 'what']) {
		if (!header.includes(needed))
			problems.push({ row: 1, message: `a column "${needed}" is missing` });
	}
	if (problems.length > 0) return { entries: [], problems };
	const entries: CsvEntry[] = [];
	data.slice(1).forEach((cells, i) => {
		const row = i + 2;
		const cell = (name: string) => (cells[header.indexOf(name.toLowerCase())] ?? '').trim();
		const say = (message: string) => problems.push({ row, message });
		const at = v.safeParse(AtSchema, cell('when'));
		if (!at.success)
			return say(`when: "${cell('when').slice(0, 30)}"; ${at.issues[0].message} is accepted`);
		const when = at.output;
		if (when > nowIso) return say(`when: ${at.output} has not been yet`);
		let entry: unknown;
		const whole = cell('all of it (json)');
		if (whole !== '') {
			try {
				entry = JSON.parse(whole);
			} catch {
				return say('the last column is not JSON');
			}
		} else {
			const fields = COLUMNS.flatMap(([name, field, read]) =>
				cell(name) === '' ? [] : [[field, read(cell(name).replace(',', '.'))] as const]
			);
			entry = { kind: cell('what'), ...Object.fromEntries(fields) };
		}
		const read = v.safeParse(EntrySchema, entry);
		if (!read.success) {
			const [first] = fieldProblems(read.issues);
			return say(sentence(first!));
		}
		const who = unguarded(cell('who'));
		const whatFor = unguarded(cell('what for'));
		if (who.length > 60 || whatFor.length > 200)
			return say('who: at most 60, what for: at most 200 characters');
		entries.push({
			at: when,
			entry: read.output,
			...(who && { who }),
			...(whatFor && { whatFor })
		});
	});
	return { entries: problems.length ? [] : entries, problems };
}
