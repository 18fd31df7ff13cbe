import type { Check } from '../figure/types';
import { worst } from '../figure/verdict';
import type { CHECK_FIGURES } from './figures';
import type { ChecksView } from './inputs';

type Asked = Check<keyof typeof CHECK_FIGURES>;

/** What somebody found wrong holds up the station that it belongs to, and the checks themselves. */
export function openChecks({ inputs }: ChecksView): Asked[] {
	const held = inputs.evidence.checks.map(({ word, station, verdict }): Asked => ({
		id: 'checks.open',
		station,
		part: 'Checks',
		verdict,
		margin: verdict === 'stops' ? -1 : 0,
		spare: { value: 0, quantity: 'count' },
		...(verdict === 'stops' && { stopsAtS: 0 }),
		word
	}));
	const all = worst(held);
	if (!all) return [];
	const word = held.length === 1 ? all.word : `${held.length} not so`;
	return [...held, { ...all, station: 'checks', word }];
}
