/** What several figures of the cut go by. */
import type { Workings } from '../workings';
import { given, type Way } from './define';

export const t = 'setup.arcMm' as const;
export const lineMm = 'setup.lineMm' as const;
export const LAW_SOURCE =
	'Pooled law of ordinary machines, pulled to the ratings on the label: clean at 500, sever at 125 mm/min (common practice; own fit)';

/** It does not part: there is no number. */
export const TOO_THICK: Way = {
	basis: 'M',
	formula: 't > t_s',
	source: 'Thicker than it severs at these amps: there is no such number',
	inputs: {
		t,
		t_s: given('severs to, at these amps', 'thickness', 'M', (w) => w.cutting.severMm)
	}
};

export const parts = (w: Workings): boolean => w.cutting.parts;

/** Something that goes by the travel, and that there is not when it does not go through. */
export const perTravel = (
	formula: string,
	source: string,
	inputs: Way['inputs']
): Record<string, Way> => ({
	line: { basis: 'M', formula, source, inputs },
	none: TOO_THICK
});
