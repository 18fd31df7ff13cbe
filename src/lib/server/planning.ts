import { LRUCache } from 'lru-cache';
import {
	chartHash,
	evidenceFromLedger,
	NO_EVIDENCE,
	type Evidence,
	type PlanInputs
} from '$lib/core';
import type { PlanRequest } from '$lib/formats/api';
import type { StoredBench } from './benches';
import { unknown } from './respond';
import type { Store } from './store';

const BENCHES_MOST = 200;
/** Evidence as it stands, by store and bench, with what it rests on. */
const known = new WeakMap<Store, LRUCache<string, { restsOn: string; evidence: Evidence }>>();

/** Evidence of a stored bench from what its log comes to, for the parts that are in the torch. */
export function evidenceOf(store: Store, { id, revision, bench }: StoredBench): Evidence {
	let kept = known.get(store);
	if (!kept) known.set(store, (kept = new LRUCache({ max: BENCHES_MOST })));
	const fitted = store.sets.fitted(id);
	const restsOn = `${revision}/${store.ledger.revisionOf(id)}/${fitted.revision}`;
	const before = kept.get(id);
	if (before?.restsOn === restsOn) return before.evidence;
	const evidence = evidenceFromLedger(bench, store.ledger.of(id, fitted.set?.id ?? null));
	kept.set(id, { restsOn, evidence });
	return evidence;
}

/** Plan inputs of a request: a whole bench, or a stored one with its own evidence and settings. */
export function requestedInputs(store: Store, body: PlanRequest): PlanInputs {
	const stored = body.benchId === undefined ? undefined : store.benches.find(body.benchId);
	if (body.benchId !== undefined && !stored) unknown('bench', body.benchId);
	const bench = (body.bench ?? stored?.bench)!;
	return {
		bench,
		cut: body.cut,
		evidence: body.evidence ?? (stored ? evidenceOf(store, stored) : NO_EVIDENCE),
		work: body.work ?? bench.usual,
		settings: body.settings ?? store.settings.get().settings,
		chart: body.chart
			? { hash: chartHash(body.chart), rows: body.chart }
			: stored
				? store.charts.forPlan(stored.id)
				: null
	};
}
