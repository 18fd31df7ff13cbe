/** What stands before the piece that is made next, by the run of the list that is left. */
import type { ItemPlan } from '$lib/core/studies/list/items';
import type { Break, ListRun, Rest, RunTrouble } from '$lib/core/studies/list/runTypes';

type Run = ListRun | RunTrouble | null | undefined;
const made = (run: Run): ListRun | undefined => (run && !('trouble' in run) ? run : undefined);

/** The rest that the plan puts before the very next piece, if that is one of `id`. */
export function restBefore(run: Run, id: string): Rest | undefined {
	const first = made(run)?.rests[0];
	return first?.id === id && first.piece === 1 ? first : undefined;
}

/** The break, or the night, before the very next piece, likewise. */
export function breakBefore(run: Run, id: string): Break | undefined {
	const first = made(run)?.breaks[0];
	return first?.id === id && first.doneBefore === 0 ? first : undefined;
}

/** What comes after this item; `amps` as a person reads them. */
export function thenWords(
	plan: Pick<ItemPlan, 'set'>,
	next: { name: string; plan: Pick<ItemPlan, 'set' | 'nozzleA'> } | undefined,
	amps: (outputA: number) => string
): string {
	if (!next) return 'nothing: it is the last.';
	if (next.plan.set === plan.set) return `${next.name}, same parts.`;
	const kind = next.plan.set.startsWith('gouge') ? 'gouging' : 'cutting';
	return `${next.name}: power off first, ${kind} parts for ${amps(next.plan.nozzleA)} in.`;
}
