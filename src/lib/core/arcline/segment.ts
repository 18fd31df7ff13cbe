/**
 * From readings to arcs, failed starts, lamp and gaps. Thresholds have hysteresis; an edge lies half way
 * between two readings, so its error is that of the rate. Own model; thresholds [own].
 */
import type { Reading } from './batch';
import { GAP_MS } from './thresholds';
import type { Segmented } from './events';
import { Segmenter } from './segmenter';

/** Middle of the distances; a few gaps do not move it. */
function usualMs(readings: readonly Reading[]): number | null {
	const steps = readings
		.slice(1, 402)
		.map(({ atMs }, k) => atMs - readings[k]!.atMs)
		.filter((ms) => ms > 0)
		.sort((a, b) => a - b);
	return steps.length ? steps[Math.floor(steps.length / 2)]! : null;
}

/**
 * Readings in the order of their times, from a moment at which nothing was open. What is not over at the
 * last reading is not told, unless no more will come (`ended`); `quietMs` says from where to look again.
 */
export function segmented(readings: readonly Reading[], { ended = false } = {}): Segmented {
	const usual = usualMs(readings);
	const segmenter = new Segmenter(readings[0]?.atMs ?? 0, usual ?? GAP_MS);
	for (const reading of readings) segmenter.take(reading);
	const { now } = segmenter;
	if (ended && readings.length) segmenter.lost(readings.at(-1)!.atMs);
	const { seen, quietMs, implausible, implausibleSince } = segmenter;
	return {
		seen,
		quietMs,
		now,
		intervalS: usual === null ? null : usual / 1000,
		implausible,
		implausibleSince
	};
}
