import type { GougeView } from './workings';
import type { Check } from '../figure/types';
import { HAND_BAND_MM_S } from '../speed/speed';
import type { GOUGE_FIGURES } from './figures';

/** A question asked of a figure of this room. */
type Asked = Check<keyof typeof GOUGE_FIGURES>;

/** Whether a hand keeps up with the groove that is wanted. */
export function gougeChecks(w: GougeView): Asked[] {
	const { speedMmS, hasNozzle, asked } = w.gouging;
	if (!asked) return [];
	const [slow, fast] = HAND_BAND_MM_S;
	const inside = speedMmS >= slow && speedMmS <= fast;
	const check: Asked = {
		id: 'gouge.speedMmS',
		station: 'gouge',
		part: 'Gouge',
		verdict: !hasNozzle ? 'not set' : inside ? 'holds' : 'tight',
		margin: inside && hasNozzle ? Math.min(speedMmS - slow, fast - speedMmS) / (fast - slow) : 0,
		spare: { value: Math.min(speedMmS - slow, fast - speedMmS), quantity: 'speed' },
		word: !hasNozzle
			? 'no gouging nozzle'
			: speedMmS > fast
				? 'fast for a hand'
				: inside
					? 'gouge'
					: 'slow for a hand'
	};
	return [check];
}
