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
