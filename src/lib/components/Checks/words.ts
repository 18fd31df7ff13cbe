import type { Plan, Station } from '$lib/core';
import type { ListId } from '$lib/core/preflight/item';
import type { Answered } from '$lib/state/preflight.svelte';

export const LIST_WORDS: Record<ListId, { name: string; help: string }> = {
	day: { name: 'Day’s start', help: 'once a day on this bench' },
	cut: { name: 'This cut', help: 'made from its plan, in the order of your hands' },
	groove: { name: 'This groove', help: 'made from its plan, in the order of your hands' }
};
export const ANSWER_WORDS: Record<Answered, string> = {
	open: 'to look at',
	stale: 'ticked when the plan was another: look again',
	yes: 'is so',
	no: 'not so',
	despite: 'not so, gone on with'
};

/** What is to be right before each arc. */
const STATIONS: Record<'cut' | 'groove', readonly Station[]> = {
	cut: ['supply', 'setup', 'cut', 'wear'],
	groove: ['supply', 'gouge', 'wear']
};
/**
 * What keeps the work from being done at all, whatever is looked at; what stops after a time does not. What was
 * found not so is told where it was found.
 */
export function planSaysNo(
	{ checks }: Plan,
	job: 'cut' | 'groove'
): { station: Station; word: string }[] {
	const no = checks.filter(({ station, part, verdict, stopsAtS }) => {
		if (!STATIONS[job].includes(station) || part === 'Checks') return false;
		// A bench without a gouging nozzle is no fault of it, so its groove is not set.
		return verdict === 'stops' ? !stopsAtS : part === 'Gouge' && verdict === 'not set';
	});
	return no.filter(({ word }, i) => no.findIndex((other) => other.word === word) === i);
}
