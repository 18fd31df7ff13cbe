/** What several figures of the cut go by. */
import { given, type Way } from './define';

export const t = 'setup.arcMm' as const;
export const lengthMm = given('length of the line', 'length', 'D', (w) => w.inputs.cut.lengthMm);
export const A = given('melting term A, mm²/min', 'factor', 'M', (w) => w.cutting.law.A);
export const B = given('conduction term B, mm/min', 'factor', 'M', (w) => w.cutting.law.B);
export const powerShare = given(
	'arc power over full power',
	'factor',
	'S',
	(w) => w.cutting.powerShare
);
export const LAW_SOURCE =
	'Plate model through clean at 500 and sever at 125 mm/min (common practice), scaled by arc power';

/** Something that goes by the travel, and that there is not when it does not go through. */
export const perTravel = (
	formula: string,
	source: string,
	inputs: Way['inputs']
): Record<string, Way> => ({
	line: { basis: 'M', formula, source, inputs },
	none: {
		basis: 'M',
		formula: 'v <= 0',
		source: 'It does not go through',
		inputs: { v: 'setup.speedMmS' }
	}
});
