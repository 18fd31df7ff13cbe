import { evidenceFromLog, type Bench, type Evidence } from '$lib/core';
import type { Store } from './store';

/** Evidence of a stored bench from its log, for the parts that are in the torch. */
export function evidenceOf(store: Store, benchId: string, bench: Bench): Evidence {
	return evidenceFromLog(
		bench,
		store.log.ofBench(benchId),
		store.sets.current(benchId)?.id ?? null
	);
}
