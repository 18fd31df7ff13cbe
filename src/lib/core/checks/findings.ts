import { Findings } from '../figure/finding';
import type { Finding } from '../figure/types';
import type { ChecksView } from './inputs';

/** What was found wrong, where it holds something up. */
export function openFindings({ inputs }: ChecksView): Finding[] {
	const findings = new Findings('checks');
	for (const { word, verdict, station } of inputs.evidence.checks) {
		findings.say(
			verdict === 'stops' ? 'refusal' : 'caution',
			`Found at the machine: ${word}. It counts until Checks is told that it is mended.`,
			station
		);
	}
	return findings.all;
}
