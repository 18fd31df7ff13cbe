import {
	chartHash,
	evidenceFromLog,
	NO_EVIDENCE,
	type Bench,
	type Evidence,
	type PlanInputs
} from '$lib/core';
import type { PlanRequest } from '$lib/formats/api';
import { unknown } from './respond';
import type { Store } from './store';

/** Evidence of a stored bench from its log, for the parts that are in the torch. */
export function evidenceOf(store: Store, benchId: string, bench: Bench): Evidence {
	return evidenceFromLog(
		bench,
		store.log.ofBench(benchId),
		store.sets.current(benchId)?.id ?? null
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
		evidence: body.evidence ?? (stored ? evidenceOf(store, stored.id, stored.bench) : NO_EVIDENCE),
		work: body.work ?? bench.usual,
		settings: body.settings ?? store.settings.get().settings,
		chart: body.chart
			? { hash: chartHash(body.chart), rows: body.chart }
			: stored
				? store.charts.forPlan(stored.id)
				: null
	};
}
