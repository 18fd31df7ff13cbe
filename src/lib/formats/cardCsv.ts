/** Saved setting cards as a table: RFC 4180, units in the header. */
import Papa from 'papaparse';
import { plan, type PlanInputs } from '$lib/core';
import { neutral } from './chartCsv';

export type CardRow = Record<string, string | number>;

/** The settings of one card, planned from what it was saved with. */
export function cardRow(name: string, inputs: PlanInputs): CardRow {
	const { figures } = plan(inputs);
	const { cut } = inputs;
	const value = (id: keyof typeof figures) => figures[id].value ?? '';
	return {
		card: name,
		metal: cut.metal,
		'thickness (mm)': cut.thicknessMm,
		aim: cut.aim,
		'amps (A)': value('setup.currentA'),
		'speed (mm/s)': value('setup.speedMmS'),
		'line (mm)': cut.lengthMm,
		'time (s)': value('setup.lineS'),
		'nozzle (A)': value('setup.nozzleA'),
		'air (bar)': value('setup.airBar'),
		'stand-off (mm)': value('setup.standoffMm'),
		'kerf (mm)': value('setup.kerfMm'),
		'guide offset (mm)': value('cut.offsetMm')
	};
}

export function cardsCsv(rows: readonly CardRow[]): string {
	const safe = rows.map((row) =>
		Object.fromEntries(
			Object.entries(row).map(([k, v]) => [k, typeof v === 'string' ? neutral(v) : v])
		)
	);
	return Papa.unparse(safe, { newline: '\r\n' });
}
