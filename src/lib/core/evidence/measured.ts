import type { Entry } from './entries';

export const TRIP_DEVICES = ['breaker', 'switch-on', 'earth-fault', 'held'] as const;

export const JUDGED = ['right', 'slow', 'fast', 'other'] as const;

export const DROSSES = ['none', 'soft', 'hard'] as const;

/** What is accepted of a test cut; the schema and the screen read it here. */
export const TEST_CUT_RANGES = { speedMmS: [0.1, 500], lagDeg: [1, 75] } as const;

/** Entries that measure shop and parts; each kind is weighed by its newest readings. */
export const READINGS = [
	'volts',
	'drain',
	'fill',
	'leak',
	'gauge',
	'lamp',
	'trip',
	'scrap',
	'kerf',
	'test-groove'
] as const satisfies readonly Entry['kind'][];
export type Reading = (typeof READINGS)[number];
export const isReading = (kind: Entry['kind']): kind is Reading =>
	(READINGS as readonly string[]).includes(kind);

/** Measures shop or cut rather than recording the work. */
export const isMeasurement = ({ kind }: Entry): boolean => kind === 'test-cut' || isReading(kind);
