import type { CutterView } from './heat';
import type { Check } from '../figure/types';
import { HOT_SPOT_C } from './duty';
import { verdictOf } from '../figure/verdict';
import type { CUTTER_FIGURES } from './figures';

/** A question asked of a figure of this room. */
type Asked = Check<keyof typeof CUTTER_FIGURES>;

/** Whether the cutter stays under its limit. */
export function cutterChecks({ heat, session, draw, inputs }: CutterView): Asked[] {
	const { cutter } = session;
	const margin = (HOT_SPOT_C - cutter.peak) / (HOT_SPOT_C - inputs.work.shopC);
	return [
		{
			id: 'cutter.peakC',
			station: 'supply',
			part: 'Cutter',
			verdict: cutter.crossing ? 'stops' : verdictOf(margin),
			margin,
			spare: { value: heat.dutyShare - draw.onShare, quantity: 'share' },
			stopsAtS: cutter.crossing?.atS,
			word: 'cutter heat'
		}
	];
}
