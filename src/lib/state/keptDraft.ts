/** An edited bench outlives a reload: it stands on this device until it is saved or discarded. */
import type { Bench } from '$lib/core';

export interface KeptDraft {
	/** What the edit started from. */
	revision: number;
	base: Bench;
	bench: Bench;
}
const keyOf = (benchId: string) => `draft-${benchId}`;

export function keepDraft(benchId: string, draft: KeptDraft): void {
	// A full or a forbidden storage costs the reload, not the edit.
	try {
		globalThis.localStorage?.setItem(keyOf(benchId), JSON.stringify(draft));
	} catch {
		return;
	}
}

export function dropDraft(benchId: string): void {
	globalThis.localStorage?.removeItem(keyOf(benchId));
}

/** Reads what stands on the device; of an earlier program too. undefined: none, or none that can be read. */
export async function keptDraft(benchId: string): Promise<KeptDraft | undefined> {
	const text = globalThis.localStorage?.getItem(keyOf(benchId));
	if (!text) return undefined;
	const { BENCH } = await import('$lib/core/stored/kinds');
	try {
		const data = JSON.parse(text) as Record<string, unknown>;
		const read = (bench: unknown) => BENCH.read(bench, 0);
		const [base, bench] = [read(data.base), read(data.bench)];
		if (base.ok && bench.ok && Number.isSafeInteger(data.revision)) {
			return { revision: data.revision as number, base: base.value, bench: bench.value };
		}
	} catch {
		// Damaged: there is nothing to restore.
	}
	dropDraft(benchId);
	return undefined;
}
