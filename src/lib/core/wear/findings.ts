import { Findings, said, told } from '../figure/finding';
import type { Finding } from '../figure/types';
import { growthUm } from './electrode';
import type { WearView } from './workings';

/** Share of the life below which a long job is not begun [own]. */
const NEARLY_WORN = 0.1;
/** A part that has grown so many times faster than this shop's rates has a reason [own]. */
const AHEAD = 1.25;
/** Starts after which it is worth a depth gauge, where none was used yet [own]. */
const WORTH_A_GAUGE = 50;

/** What is to be said about the parts. */
export function wearFindings({ inputs, wearing, cutting }: WearView): Finding[] {
	const findings = new Findings('wear');
	const { electrode, first, airFactor } = wearing;
	const { total, last } = inputs.evidence.wear.electrode;
	if (wearing[first].lifeShare < NEARLY_WORN) {
		findings.say(
			'advice',
			'Change electrode and nozzle as a pair before a long job (common practice).'
		);
	}
	if (last) {
		const expectedUm = electrode.nowUm - last.grownUm;
		const untilUm = growthUm(total, electrode.rates) - expectedUm;
		if (untilUm > 0 && last.grownUm > AHEAD * untilUm) {
			findings.say(
				'caution',
				told`This electrode wears ${said(last.grownUm / untilUm, 'factor')} times as fast as this shop’s others. Likely: ${
					cutting.outputA > cutting.nozzle.ratingA * 1.001
						? 'more amps than the nozzle is made for'
						: airFactor > 1.05
							? 'water in the air; Supply tells where it is dried'
							: 'wrong pressure while it flows, dragging the nozzle, or starts that fail'
				}.`
			);
		}
	} else if (total.starts >= WORTH_A_GAUGE) {
		findings.say(
			'advice',
			'Nobody has measured this electrode yet: one depth gauge reading makes the forecast yours.'
		);
	}
	return findings.all;
}
