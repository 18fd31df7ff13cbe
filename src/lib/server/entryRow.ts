import type { Entry } from '$lib/core';
import { ENTRY } from '$lib/core/stored/kinds';
import { readStored, UnreadableError } from './stored';

/** A row of the log as it stands in the table. */
export interface EntryRow {
	id: number;
	benchId: string;
	setId: string | null;
	at: string;
	data: string;
	version: number;
}

/** What a row says; undefined: it is damaged, which is told. One damaged entry does not take the log with it. */
export function entryOf(row: Pick<EntryRow, 'id' | 'data' | 'version'>): Entry | undefined {
	try {
		return readStored(ENTRY, `Log entry ${row.id}`, row.data, row.version);
	} catch (error) {
		if (!(error instanceof UnreadableError)) throw error;
		console.error(error.message);
		return undefined;
	}
}
