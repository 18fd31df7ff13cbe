/** What is written in the log, by gesture or by measurement. Numbers in the core's units. */
import * as v from 'valibot';
import { CutEntry, GrooveEntry, StartEntry } from './entries/work';
import {
	DrainEntry,
	FillEntry,
	GaugeEntry,
	LampEntry,
	LeakEntry,
	TripEntry,
	VoltsEntry
} from './entries/supply';
import { KerfEntry, ScrapEntry, TestCutEntry, TestGrooveEntry } from './entries/trials';
import {
	BoreEntry,
	CareEntry,
	CheckEntry,
	LookEntry,
	PitEntry,
	SignedEntry
} from './entries/looks';

export const EntrySchema = v.variant('kind', [
	CutEntry,
	StartEntry,
	VoltsEntry,
	DrainEntry,
	FillEntry,
	LeakEntry,
	GaugeEntry,
	LampEntry,
	TripEntry,
	TestCutEntry,
	ScrapEntry,
	KerfEntry,
	PitEntry,
	BoreEntry,
	LookEntry,
	CareEntry,
	GrooveEntry,
	TestGrooveEntry,
	CheckEntry,
	SignedEntry
]);
export type Entry = v.InferOutput<typeof EntrySchema>;
export type EntryKind = Entry['kind'];

/** An entry as it stands in the log. */
export interface LoggedEntry {
	id: number;
	/** Consumable set in the torch then. */
	setId: string | null;
	/** When it was done, ISO 8601. */
	at: string;
	entry: Entry;
	/** Taken back; kept for the record. */
	undone: boolean;
}
