/** What several reasons of the cut go by. */
import { reasonsFor, type InputSource, type Reason } from '../../figure/reason';
import type { CutView } from '../workings';

const { given } = reasonsFor<CutView>();

export const t = 'setup.arcMm';
export const lineMm = 'setup.lineMm';
export const LAW_SOURCE =
	'Pooled law of ordinary machines, pulled to the ratings on the label: clean at 500, sever at 125 mm/min (common practice; own fit)';

/** It does not part: there is no number. */
export const TOO_THICK: Reason<CutView> = {
	formula: 't > t_s',
	source: 'Thicker than it severs at these amps: there is no such number',
	inputs: {
		t,
		t_s: given('severs to, at these amps', 'thickness', 'M', (w) => w.cutting.severMm)
	}
};

/** Something that goes by the travel, and that there is not when it does not go through. */
export const perTravel = (
	formula: string,
	source: string,
	inputs: Record<string, InputSource<CutView>>
): { line: Reason<CutView>; none: Reason<CutView> } => ({
	line: { formula, source, inputs },
	none: TOO_THICK
});
