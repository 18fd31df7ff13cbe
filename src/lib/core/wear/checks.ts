import type { WearView } from './workings';
import type { Check } from '../figure/types';
import { verdictOf } from '../figure/verdict';
import type { WEAR_FIGURES } from './figures';

/** A question asked of a figure of this room. */
type Asked = Check<keyof typeof WEAR_FIGURES>;

/** Whether the parts last: the one that goes first. */
export function wearChecks({ wearing }: WearView): Asked[] {
	const { cutsLeft, first } = wearing;
	const { lifeShare } = wearing[first];
	const worn = cutsLeft === null ? lifeShare <= 0 : cutsLeft < 1;
	return [
		{
			id: 'wear.cutsLeft',
			station: 'wear',
			part: first === 'electrode' ? 'Electrode' : 'Nozzle',
			verdict: worn ? 'stops' : verdictOf(lifeShare),
			margin: worn ? Math.min(0, lifeShare) : lifeShare,
			spare:
				cutsLeft === null
					? { value: lifeShare, quantity: 'share' }
					: { value: cutsLeft, quantity: 'count' },
			stopsAtS: worn ? 0 : undefined,
			word: worn ? `change the ${first}` : first
		}
	];
}
