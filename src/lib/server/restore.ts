/** Puts a copy of the store in the place of the present one, which is kept aside. Also run by a command. */
import Database from 'better-sqlite3';
import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';

export const DATABASE_FILE = 'steady-arc.db';

/** What stands in a store. */
export interface Counts {
	/** Of the tables. */
	shape: number;
	benches: number;
	entries: number;
	/** When the newest entry was made, ISO 8601; null: none. */
	newest: string | null;
}
export type Looked = { ok: true; counts: Counts } | { ok: false; why: string };

/** Looks into a file without changing it: whether it is a whole store of ours that this program can open. */
export function lookInto(file: string, newestShape: number): Looked {
	if (!existsSync(file)) return { ok: false, why: `There is no file ${file}.` };
	let db: Database.Database | undefined;
	try {
		db = new Database(file, { readonly: true, fileMustExist: true });
		const state = db.pragma('integrity_check', { simple: true });
		if (state !== 'ok') return { ok: false, why: `The copy is damaged: ${String(state)}` };
		const shape = db.pragma('user_version', { simple: true }) as number;
		const tables = db
			.prepare(
				"SELECT count(*) FROM sqlite_master WHERE type = 'table' AND name IN ('benches', 'log')"
			)
			.pluck()
			.get();
		if (shape < 1 || tables !== 2) return { ok: false, why: 'This is no store of Steady Arc.' };
		if (shape > newestShape) {
			return {
				ok: false,
				why: `A newer Steady Arc wrote it (shape ${shape}, this one knows ${newestShape}). Update the program.`
			};
		}
		const one = (sql: string) => db!.prepare(sql).pluck().get();
		return {
			ok: true,
			counts: {
				shape,
				benches: one('SELECT count(*) FROM benches') as number,
				entries: one("SELECT count(*) FROM log WHERE kind <> 'undo'") as number,
				newest: one('SELECT max(at) FROM log') as string | null
			}
		};
	} catch (error) {
		return { ok: false, why: `It cannot be opened as a store: ${(error as Error).message}` };
	} finally {
		db?.close();
	}
}

/** A whole copy of a store, with what still stands in its write-ahead log, even while it is in use. */
export async function copyOf(file: string, target: string): Promise<void> {
	const db = new Database(file, { readonly: true, fileMustExist: true });
	try {
		await db.backup(target);
	} finally {
		db.close();
	}
}

export const stampOf = (at: Date): string => at.toISOString().replace(/[:.]/g, '-');

/**
 * Puts `copy` (a checked file in the same folder) in the place of the store. Nobody may have the store
 * open. Gives where the present one was kept; undefined: there was none.
 */
export function putInPlace(folder: string, copy: string, at: Date): string | undefined {
	const store = join(folder, DATABASE_FILE);
	let kept: string | undefined;
	if (existsSync(store)) {
		// What stands in the write-ahead log belongs to the present store, not to the one that comes.
		try {
			const db = new Database(store);
			db.pragma('wal_checkpoint(TRUNCATE)');
			db.close();
		} catch {
			// A damaged store is kept aside as it is.
		}
		const aside = join(folder, 'backups');
		mkdirSync(aside, { recursive: true });
		kept = join(aside, `before-restore-${stampOf(at)}.db`);
		copyFileSync(store, kept);
	}
	for (const more of ['-wal', '-shm']) rmSync(store + more, { force: true });
	renameSync(copy, store);
	return kept;
}
