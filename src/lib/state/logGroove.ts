/** The planned groove into the log, all of its pieces, as strings that were pushed. */
import { madeGroove } from '$lib/core/studies/madeCuts';
import { logEntry } from './logbook';
import type { Workbench } from './workbench.svelte';

export async function logGroove(bench: Workbench): Promise<void> {
	const entry = madeGroove(bench.plan, bench.cut);
	if (!entry) return;
	if (entry === 'many') {
		bench.notice = {
			kind: 'problem',
			text: 'That is more than one line of the log holds: log fewer pieces at a time.'
		};
		return;
	}
	const { pieces } = bench.cut.gouge;
	const arc = bench.say(entry.arcS, 'time');
	const told =
		pieces === 1 ? `Groove of ${arc} logged.` : `${pieces} grooves, ${arc} of arc, logged.`;
	await logEntry(bench, entry, told);
}
