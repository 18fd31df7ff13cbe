import type { WorkbenchData } from '../../src/lib/state/workbenchData';

/** What the server sends of a bench on which nothing was done yet. */
export const UNTOUCHED = {
	benchId: 'b1',
	revision: 1,
	benches: [{ id: 'b1', name: 'Bay 2' }],
	settingsRevision: 0,
	revisions: { bench: 1, parts: 0, log: 0, chart: 0, cards: 0, settings: 0, benches: 1 },
	chartName: 'Cut chart',
	partSet: null,
	log: [],
	measured: [],
	cards: [],
	units: 'metric',
	spoken: null
} satisfies Partial<WorkbenchData>;
