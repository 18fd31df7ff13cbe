import {
	chartHash,
	evidenceFromLedger,
	NO_EVIDENCE,
	type Evidence,
	type PlanInputs
} from '$lib/core';
import type { PlanRequest } from '$lib/formats/bodies/planned';
import type { StoredBench } from './benches';
import { keptByBench } from './keptByBench';
import { unknown } from './respond';
import type { Store } from './store';

const kept = keptByBench<Evidence>();

/** Evidence of a stored bench from what its log comes to, for the parts that are in the torch. */
export function evidenceOf(store: Store, { id, revision, bench }: StoredBench): Evidence {
	const fitted = store.sets.fitted(id);
	const restsOn = `${revision}/${store.ledger.revisionOf(id)}/${fitted.revision}`;
	return kept(store, id, restsOn, () =>
		evidenceFromLedger(bench, store.ledger.of(id, fitted.set?.id ?? null))
	);
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
