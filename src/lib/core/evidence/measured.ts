import type { Entry } from './entries';

export const TRIP_DEVICES = ['breaker', 'switch-on', 'earth-fault', 'held'] as const;

export const JUDGED = ['right', 'slow', 'fast', 'other'] as const;

export const DROSSES = ['none', 'soft', 'hard'] as const;

/** Entries that measure shop and cut rather than record the work. */
export const MEASUREMENTS = [
	'volts',
	'drain',
	'fill',
	'leak',
	'gauge',
	'lamp',
	'trip',
	'test-cut',
	'scrap'
] as const;

export const isMeasurement = (entry: Entry): boolean =>
	(MEASUREMENTS as readonly string[]).includes(entry.kind);
