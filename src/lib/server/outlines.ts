import type Database from 'better-sqlite3';
import type { Contour } from '$lib/core/shape/outline';
import { OUTLINE } from '$lib/core/stored/kinds';
import { readStored } from './stored';
import { OnceOnly } from './writes';

export interface SavedOutline {
	id: string;
	name: string;
	savedAt: string;
}

export class OutlineRepository {
	readonly #once: OnceOnly;
	readonly #kept: Database.Statement<[], SavedOutline>;
	readonly #one: Database.Statement<[string], SavedOutline & { contours: string; version: number }>;
	readonly #add: Database.Statement<[string, string, string, string]>;
	readonly #keep: Database.Statement<[string | null, string]>;

	constructor(db: Database.Database) {
		this.#once = new OnceOnly(db);
		this.#kept = db.prepare(
			'SELECT id, name, saved_at AS savedAt FROM outlines WHERE removed_at IS NULL ORDER BY name, id'
		);
		this.#one = db.prepare(
			'SELECT id, name, saved_at AS savedAt, contours, version FROM outlines WHERE id = ?'
		);
		this.#add = db.prepare(
			`INSERT INTO outlines (id, name, contours, saved_at, version) VALUES (?, ?, ?, ?, ${OUTLINE.version})`
		);
		this.#keep = db.prepare('UPDATE outlines SET removed_at = ? WHERE id = ?');
	}

	/** All that were not put away, by name. */
	list(): SavedOutline[] {
		return this.#kept.all();
	}

	find(id: string): (SavedOutline & { contours: Contour[] }) | undefined {
		const row = this.#one.get(id);
		if (!row) return undefined;
		const { contours, version, ...outline } = row;
		return { ...outline, contours: readStored(OUTLINE, `Outline ${id}`, contours, version) };
	}

	add(write: SavedOutline & { opId: string; contours: readonly Contour[] }): SavedOutline {
		const { opId, contours, ...outline } = write;
		return this.#once.run(opId, outline.savedAt, () => {
			this.#add.run(outline.id, outline.name, JSON.stringify(contours), outline.savedAt);
			return outline;
		});
	}

	/** Puts an outline away, or takes it back; false: there is no such outline. */
	keep(write: { opId: string; id: string; kept: boolean; at: string }): boolean {
		return this.#once.run(
			write.opId,
			write.at,
			() => this.#keep.run(write.kept ? null : write.at, write.id).changes > 0
		);
	}
}
