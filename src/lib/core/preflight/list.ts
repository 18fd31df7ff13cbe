import type { PlanInputs } from '../inputs/planInputs';
import type { Plan } from '../plan/types';
import { dayItems } from './day';
import { ITEMS_MOST, type Item, type ListId } from './item';
import { cutItems, grooveItems } from './job';

/** Only what applies to this bench and this job, at most twelve, in the order of hands. */
export function preflight(list: ListId, inputs: PlanInputs, plan: Plan): Item[] {
	const items =
		list === 'day'
			? dayItems(inputs, plan)
			: list === 'cut'
				? cutItems({ inputs, plan })
				: grooveItems({ inputs, plan });
	return items.slice(0, ITEMS_MOST);
}
