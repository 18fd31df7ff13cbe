import { Findings } from '../figure/finding';
import type { Finding } from '../figure/types';
import type { WearView } from './workings';

/** Share of the life below which a long job is not begun [own]. */
const NEARLY_WORN = 0.1;

/** What is to be said about the parts. */
export function wearFindings({ wearing }: WearView): Finding[] {
	const findings = new Findings('wear');
	if (wearing.lifeShare < NEARLY_WORN) {
		findings.say(
			'advice',
			'Change electrode and nozzle as a pair before a long job (common practice).'
		);
	}
	return findings.all;
}
