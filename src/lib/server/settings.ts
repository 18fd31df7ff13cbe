import type Database from 'better-sqlite3';
import { SETTINGS } from '$lib/core/stored/kinds';
import { readStored } from './stored';
import { DEFAULT_SETTINGS, type Settings } from '$lib/core';
import { OnceOnly } from './writes';

export interface StoredSettings {
	revision: number;
	settings: Settings;
}
export type SettingsResult =
	| { outcome: 'saved'; stored: StoredSettings }
	| { outcome: 'stale'; stored: StoredSettings; yours: Settings };

export class SettingsRepository {
	readonly #once: OnceOnly;
	readonly #get: Database.Statement<[], { data: string; version: number; revision: number }>;
	readonly #put: Database.Statement<[string, number]>;

	constructor(db: Database.Database) {
		this.#once = new OnceOnly(db);
		this.#get = db.prepare('SELECT data, version, revision FROM settings WHERE id = 1');
		this.#put = db.prepare(
			`INSERT INTO settings (id, data, revision, version) VALUES (1, ?, ?, ${SETTINGS.version})
			ON CONFLICT (id) DO UPDATE SET data = excluded.data, revision = excluded.revision, version = excluded.version`
		);
	}

	revision(): number {
		return this.#get.get()?.revision ?? 0;
	}

	/** Revision 0: nobody has changed anything yet. */
	get(): StoredSettings {
		const row = this.#get.get();
		if (!row) return { revision: 0, settings: DEFAULT_SETTINGS };
		return {
			revision: row.revision,
			settings: readStored(SETTINGS, 'Settings', row.data, row.version)
		};
	}

	save(write: { opId: string; revision: number; settings: Settings; at: string }): SettingsResult {
		const { settings } = write;
		const op = { opId: write.opId, at: write.at, kind: 'save settings', target: '' };
		const made = this.#once.run<SettingsResult>(op, () => {
			const stored = this.get();
			if (stored.revision !== write.revision) {
				return { refused: { outcome: 'stale', stored, yours: settings } };
			}
			this.#put.run(JSON.stringify(settings), write.revision + 1);
			return { id: '', revision: write.revision + 1 };
		});
		if ('refused' in made) return made.refused;
		return { outcome: 'saved', stored: { revision: made.revision, settings } };
	}
}
