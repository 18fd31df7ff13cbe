/** Saved setting cards as a table: RFC 4180, units in the header. */
import Papa from 'papaparse';
import { plan, type FigureId, type KeptPlan, type PlanInputs } from '$lib/core';
import { neutral } from './chartCsv';

export type CardRow = Record<string, string | number>;

/** The settings of one card: its own numbers, or planned from what it was saved with where none were kept. */
export function cardRow({
	card,
	inputs,
	plan: kept
}: {
	card: { name: string; what: 'cut' | 'groove' };
	inputs: PlanInputs;
	plan: KeptPlan | null;
}): CardRow {
	const figures: KeptPlan['figures'] = kept?.figures ?? plan(inputs).figures;
	const { cut } = inputs;
	const { gouge } = cut;
	const value = (id: FigureId) => figures[id]?.value ?? '';
	const head = { card: card.name, for: card.what };
	// The same columns, so that both stand in one table.
	return card.what === 'groove'
		? {
				...head,
				metal: gouge.metal ?? cut.metal,
				'thickness (mm)': gouge.plateMm ?? cut.thicknessMm,
				aim: gouge.target,
				'amps (A)': value('gouge.currentA'),
				'speed (mm/s)': value('gouge.speedMmS'),
				'as a hand goes (mm/s)': '',
				'line (mm)': gouge.lengthMm ?? cut.lengthMm,
				'time (s)': value('gouge.pieceS'),
				strings: value('gouge.strings'),
				'nozzle (A)': '',
				'inlet air (bar)': '',
				'working pressure (bar)': value('gouge.airBar'),
				'stand-off (mm)': '',
				'kerf (mm)': '',
				'guide offset (mm)': ''
			}
		: {
				...head,
				metal: cut.metal,
				'thickness (mm)': cut.thicknessMm,
				aim: cut.aim,
				'amps (A)': value('setup.currentA'),
				'speed (mm/s)': value('setup.speedMmS'),
				'as a hand goes (mm/s)': value('setup.handMmS'),
				'line (mm)': value('setup.lineMm') || cut.lengthMm,
				'time (s)': value('setup.lineS'),
				strings: '',
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
