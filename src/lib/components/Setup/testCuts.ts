import { seenSpeedMmS, type MetalId } from '$lib/core';
import type { LogLine } from '$lib/state/workbench.svelte';
import type { TestPoint } from './speedChart';

/** Test cuts of a metal that still count, as points of the chart. */
export function testPoints(measured: readonly LogLine[], metal: MetalId): TestPoint[] {
	return measured.flatMap(({ entry }) =>
		entry.kind === 'test-cut' && entry.metal === metal
			? [{ thicknessMm: entry.thicknessMm, speedMmS: seenSpeedMmS(entry), through: entry.through }]
			: []
	);
}
