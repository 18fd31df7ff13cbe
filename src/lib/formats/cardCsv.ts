/** Saved setting cards as a table: RFC 4180, units in the header. */
import Papa from 'papaparse';
import { plan, type FigureId, type KeptPlan, type PlanInputs } from '$lib/core';
import { neutral } from './chartCsv';

export type CardRow = Record<string, string | number>;

/** The settings of one card: its own numbers, or planned from what it was saved with where none were kept. */
export function cardRow(
	name: string,
	{ inputs, plan: kept }: { inputs: PlanInputs; plan: KeptPlan | null }
): CardRow {
	const figures: KeptPlan['figures'] = kept?.figures ?? plan(inputs).figures;
	const { cut } = inputs;
	const value = (id: FigureId) => figures[id]?.value ?? '';
	return {
		card: name,
		metal: cut.metal,
		'thickness (mm)': cut.thicknessMm,
		aim: cut.aim,
		'amps (A)': value('setup.currentA'),
		'speed (mm/s)': value('setup.speedMmS'),
		'line (mm)': value('setup.lineMm') || cut.lengthMm,
		'time (s)': value('setup.lineS'),
		'nozzle (A)': value('setup.nozzleA'),
		'inlet air (bar)': value('setup.airBar'),
		'working pressure (bar)': value('setup.workingBar'),
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
