import { growthNm, pitNm, tallyOf, type Entry, type Tally } from '$lib/core';

/** Fields of a tally with their columns. */
const FIELDS = [
	['starts', 'starts'],
	['arcMs', 'arc_ms'],
	['loadMs', 'load_ms'],
	['pilotMs', 'pilot_ms'],
	['piercesRolled', 'pierces_rolled'],
	['piercesStraight', 'pierces_straight']
] as const satisfies readonly (readonly [keyof Tally, string])[];
export const each = (sql: (column: string, field: string) => string) =>
	FIELDS.map(([field, column]) => sql(column, field)).join(', ');
export const columns = each((c) => c);
export const pitColumns = each((c) => `pit_${c}`);
export const marks = each(() => '?');
export const zeros = each(() => '0');
export const valuesOf = (t: Tally) => FIELDS.map(([field]) => t[field]);

/** Columns of the log that follow from its entry: its tally, growth and pit, and what it is searched by. */
export const DERIVED = `${columns}, growth_nm, pit_nm, thickness_um, output_da, length_mm, metal, start`;
export const DERIVED_MARKS = `${marks}, ?, ?, ?, ?, ?, ?, ?`;
/** In the order of {@link DERIVED}: thickness in µm, amps in tenths, length in mm. */
export function derivedOf(entry: Entry): (number | string | null)[] {
	const tally = tallyOf(entry);
	return [
		...valuesOf(tally),
		growthNm(tally),
		entry.kind === 'pit' ? pitNm(entry) : 0,
		'thicknessMm' in entry ? Math.round(1000 * entry.thicknessMm) : null,
		'outputA' in entry ? Math.round(10 * entry.outputA) : null,
		entry.kind === 'cut' || entry.kind === 'groove' ? Math.round(entry.lengthMm) : 0,
		'metal' in entry ? entry.metal : null,
		'start' in entry ? entry.start : entry.kind === 'test-cut' ? (entry.took?.start ?? null) : null
	];
}
