import type { LineState } from '$lib/formats/arcLine';
import type { Store } from './store';

/** Heat of longer ago is gone from any cutter. */
const LATELY_MS = 3 * 3_600_000;

const looked = new WeakMap<Store, Map<string, number>>();
/** Looks at what came, but not more often than that: many screens may ask at once. */
export function settled(
	store: Store,
	benchId: string,
	{ nowMs, everyMs }: { nowMs: number; everyMs: number }
): void {
	const known = looked.get(store) ?? new Map<string, number>();
	looked.set(store, known);
	if (nowMs - (known.get(benchId) ?? 0) < everyMs) return;
	known.set(benchId, nowMs);
	store.arcLines.settle(benchId, nowMs);
}

export function lineState(store: Store, benchId: string, nowMs: number): LineState {
	const { arcLines } = store;
	const line = arcLines.find(benchId);
	return {
		line: line ? { madeAt: line.madeAt, byRule: line.byRule } : null,
		now: arcLines.now(benchId) ?? null,
		serverMs: nowMs,
		offered: arcLines.offered(benchId),
		lately: arcLines.since(benchId, nowMs - LATELY_MS)
	};
}
