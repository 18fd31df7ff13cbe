/** An edited bench outlives a reload: it stands on this device until it is saved or discarded. */
import type { Bench } from '$lib/core';
import { forget, recallText, remember } from './remembered';

export interface KeptDraft {
	/** What the edit started from. */
	revision: number;
	base: Bench;
	bench: Bench;
}
const keyOf = (benchId: string) => `draft-${benchId}`;

/** A full or a forbidden storage costs the reload, not the edit. */
export const keepDraft = (benchId: string, draft: KeptDraft): void =>
	remember(keyOf(benchId), draft);
export const dropDraft = (benchId: string): void => forget(keyOf(benchId));

/** Reads what stands on the device; of an earlier program too. undefined: none, or none that can be read. */
export async function keptDraft(benchId: string): Promise<KeptDraft | undefined> {
	const text = recallText(keyOf(benchId));
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
