import { readingsOf, type MetalId } from '$lib/core';
import type { LogLine } from '$lib/state/workbenchData';
import type { TestPoint } from './speedChart';

/** Test cuts of a metal that still count, as points of the chart. */
export function testPoints(measured: readonly LogLine[], metal: MetalId): TestPoint[] {
	return measured.flatMap(({ entry }) => {
		if (entry.kind !== 'test-cut' || entry.metal !== metal) return [];
		const { thicknessMm, outputA, through } = entry;
		// The speed seen in it, or the one held where it tells only a bound.
		const [reading] = readingsOf(entry, entry.nozzleA ?? outputA);
		const speedMmS = reading ? Math.exp(reading.lnMmMin) / 60 : entry.speedMmS;
		return [{ thicknessMm, speedMmS, through }];
	});
}
