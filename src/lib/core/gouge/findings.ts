import { Findings } from '../figure/finding';
import type { Finding } from '../figure/types';
import type { GougeView } from './workings';

/** What is to be said about a groove that somebody wants. */
export function gougeFindings({ gouging }: GougeView): Finding[] {
	const findings = new Findings('gouge');
	if (gouging.asked && !gouging.hasNozzle) {
		findings.say(
			'caution',
			'No gouging nozzle on this bench: ordinary parts do only spot and tack welds (common practice).'
		);
	}
	return findings.all;
}
