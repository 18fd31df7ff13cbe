import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { DATABASE_FILE } from './restore';

export { DATABASE_FILE };

const MIGRATIONS = Object.entries(
	import.meta.glob<string>('./migrations/*.sql', { query: '?raw', import: 'default', eager: true })
)
	.sort(([a], [b]) => (a < b ? -1 : 1))
	.map(([, sql]) => sql);

export const SCHEMA_VERSION = MIGRATIONS.length;

/** How long a write waits for another program before it answers 503, ms. */
const BUSY_MOST_MS = 40;

/** Brings the store to the newest shape, each step in a transaction of its own. */
function migrate(db: Database.Database): void {
	const version = db.pragma('user_version', { simple: true }) as number;
	if (version > SCHEMA_VERSION) {
		throw new Error(
			`The data folder was written by a newer Steady Arc (shape ${version}, this one knows ${SCHEMA_VERSION}). Update the program.`
		);
	}
	for (let step = version; step < SCHEMA_VERSION; step++) {
		db.transaction(() => {
			db.exec(MIGRATIONS[step]!);
			db.pragma(`user_version = ${step + 1}`);
		}).immediate();
	}
}

/** Opens (and makes, when needed) the store in a folder; ':memory:' for tests. */
export function openDatabase(folder: string): Database.Database {
	if (folder !== ':memory:') mkdirSync(folder, { recursive: true });
	const db = new Database(folder === ':memory:' ? folder : join(folder, DATABASE_FILE));
	db.pragma('journal_mode = WAL');
	// An entry that was acknowledged survives kill -9 and loss of power.
	db.pragma('synchronous = FULL');
	db.pragma('foreign_keys = ON');
	// At the start another program may just be finishing; later on nobody waits inside the event loop.
	db.pragma('busy_timeout = 5000');
	migrate(db);
	db.pragma(`busy_timeout = ${BUSY_MOST_MS}`);
	return db;
}
