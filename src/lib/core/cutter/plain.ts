/** What each figure of the cutter's heat comes from, in one plain sentence. */
import type { PlainOf } from '../figure/reason';
import type { CUTTER_FIGURES } from './figures';
import type { CutterView } from './heat';

const RISE = 'The label’s own cycle ({X_r} at {I_r}) tells how warm it gets at {I}.';

export const CUTTER_PLAIN = {
	'cutter.dutyShare':
		'The label says {X_r} at {I_r}; at {I} the heat is different, and so the share.',
	'cutter.riseK': {
		plate: RISE,
		measured: 'The label’s own cycle, corrected by the time until your lamp came on.'
	},
	'cutter.peakC': {
		cyclic: 'From {T_a} in the shop: warm in each cut of {t_on}, cooling for {t_off}.',
		steady: 'From {T_a} in the shop, cutting without a pause.',
		run: 'The hottest moment of the whole work.'
	},
	'cutter.lampS': {
		lights: 'Then it is as hot as the lamp’s limit of {T_lim}.',
		never: 'It gets {T_peak} hot; the lamp’s limit is {T_lim}.'
	},
	'cutter.lampContinuousS': {
		lights: 'From a shop of {T_a}, without a pause, up to {T_lim}.',
		never: 'Even without a pause it stays under {T_lim}.'
	},
	'cutter.recoveryS': 'From {T_lim} down to {T_reset}, where the lamp goes out.'
} satisfies PlainOf<typeof CUTTER_FIGURES, CutterView>;
