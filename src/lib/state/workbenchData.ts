import type {
	Bench,
	Chart,
	Cut,
	Entry,
	Evidence,
	KeptPlan,
	Plan,
	Said,
	Settings,
	UnitSystem,
	Work
} from '$lib/core';
import type { Revisions } from '$lib/formats/bodies/house';

export interface PartSetInfo {
	id: string;
	name: string;
	fittedAt: string;
}
export interface LogLine {
	id: number;
	at: string;
	entry: Entry;
	undone: boolean;
}

/** What the server gives for one bench and one address. */
export interface WorkbenchData {
	benchId: string;
	revision: number;
	bench: Bench;
	benches: { id: string; name: string }[];
	evidence: Evidence;
	settings: Settings;
	settingsRevision: number;
	/** Of everything here that two people can change. */
	revisions: Revisions;
	partSet: PartSetInfo | null;
	/** The newest lines. */
	log: LogLine[];
	/** The newest measurements of each kind that count, newest first. */
	measured: LogLine[];
	chart: Chart | null;
	chartName: string;
	cards: { id: string; name: string; what: 'cut' | 'groove'; search: string; revision: number }[];
	cut: Cut;
	work: Work;
	units: UnitSystem;
	/** The plan of all this, in numbers and sentences; later ones are worked out on this device. Null: this one too. */
	spoken: (Plan & Said) | null;
	/** Of a saved card: its numbers as they were. */
	kept?: KeptPlan | null;
}
