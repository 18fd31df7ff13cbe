import { createWriteStream, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import { dataFolder } from './config';
import { SCHEMA_VERSION } from './db';
import { closePool } from './heavy/pool';
import { lookInto, putInPlace, stampOf, type Counts } from './restore';
import { openStore, type Store } from './store';

let opened: Store | undefined;

/** The one store of this process, opened at the first use and by the server's start. */
export function store(): Store {
	return (opened ??= openStore(dataFolder()));
}

/** Everything then stands in one file. */
export function closeStore(): void {
	if (!opened) return;
	opened.db.pragma('wal_checkpoint(TRUNCATE)');
	opened.db.close();
	opened = undefined;
}

/** The end of this process. */
export async function leave(): Promise<void> {
	closeStore();
	await closePool();
}

export type Restored =
	| { outcome: 'restored'; counts: Counts; kept: string | undefined }
	| { outcome: 'refused'; why: string };

/** Puts an uploaded copy in the place of the store, when it is a whole one. */
export async function restoreFrom(body: ReadableStream<Uint8Array> | null): Promise<Restored> {
	const at = new Date();
	const folder = dataFolder();
	mkdirSync(folder, { recursive: true });
	const copy = join(folder, `restoring-${stampOf(at)}.db`);
	try {
		if (!body) return { outcome: 'refused', why: 'No file came.' };
		await pipeline(Readable.fromWeb(body as NodeStream<Uint8Array>), createWriteStream(copy));
		const looked = lookInto(copy, SCHEMA_VERSION);
		if (!looked.ok) return { outcome: 'refused', why: looked.why };
		closeStore();
		const kept = putInPlace(folder, copy, at);
		// Opened at once: it is brought to today's shape, and counted as it then stands.
		store();
		return { outcome: 'restored', counts: looked.counts, kept };
	} finally {
		for (const more of ['', '-wal', '-shm']) rmSync(copy + more, { force: true });
	}
}
