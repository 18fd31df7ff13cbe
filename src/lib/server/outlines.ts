import type Database from 'better-sqlite3';
import type { Contour } from '$lib/core/shape/outline';
import { OUTLINE } from '$lib/core/stored/kinds';
import { readStored } from './stored';
import { OnceOnly, type Ref } from './writes';

export interface SavedOutline {
	id: string;
	name: string;
	savedAt: string;
	revision: number;
}
export type KeepResult =
	| { outcome: 'kept'; revision: number }
	| { outcome: 'stale'; theirs: SavedOutline & { kept: boolean } }
	| { outcome: 'unknown' };

interface OutlineRow extends SavedOutline {
	contours: string;
	version: number;
	removedAt: string | null;
}

export class OutlineRepository {
	readonly #once: OnceOnly;
	readonly #kept: Database.Statement<[], SavedOutline>;
	readonly #one: Database.Statement<[string], OutlineRow>;
	readonly #add: Database.Statement<[string, string, string, string]>;
	readonly #keep: Database.Statement<[string | null, string]>;

	constructor(db: Database.Database) {
		this.#once = new OnceOnly(db);
		this.#kept = db.prepare(
			'SELECT id, name, saved_at AS savedAt, revision FROM outlines WHERE removed_at IS NULL ORDER BY name, id'
		);
		this.#one = db.prepare(
			'SELECT id, name, saved_at AS savedAt, revision, contours, version, removed_at AS removedAt FROM outlines WHERE id = ?'
		);
		this.#add = db.prepare(
			`INSERT INTO outlines (id, name, contours, saved_at, version) VALUES (?, ?, ?, ?, ${OUTLINE.version})`
		);
		this.#keep = db.prepare(
			'UPDATE outlines SET removed_at = ?, revision = revision + 1 WHERE id = ?'
		);
	}

	/** All that were not put away, by name. */
	list(): SavedOutline[] {
		return this.#kept.all();
	}

	find(id: string): (SavedOutline & { contours: Contour[] }) | undefined {
		const row = this.#one.get(id);
		if (!row) return undefined;
		const { contours, version, removedAt: _away, ...outline } = row;
		return { ...outline, contours: readStored(OUTLINE, `Outline ${id}`, contours, version) };
	}

	/** `contours`: checked, and written as {@link OUTLINE} of today. */
	add(write: Omit<SavedOutline, 'revision'> & { opId: string; contours: string }): SavedOutline {
		const { opId, contours, ...outline } = write;
		const op = { opId, at: outline.savedAt, kind: 'save outline', target: '' };
		const made = this.#once.run<never>(op, () => {
			this.#add.run(outline.id, outline.name, contours, outline.savedAt);
			return { id: outline.id, revision: 1 };
		});
		return { ...outline, ...(made as Ref) };
	}

	/** Puts an outline away, or takes it back, over `revision` only. */
	keep(write: {
		opId: string;
		id: string;
		kept: boolean;
		revision: number | undefined;
		at: string;
	}): KeepResult {
		const op = { opId: write.opId, at: write.at, kind: 'keep outline', target: write.id };
		const made = this.#once.run<KeepResult>(op, () => {
			const row = this.#one.get(write.id);
			if (!row) return { refused: { outcome: 'unknown' } };
			if (row.revision !== write.revision) {
				const { id, name, savedAt, revision, removedAt } = row;
				const theirs = { id, name, savedAt, revision, kept: removedAt === null };
				return { refused: { outcome: 'stale', theirs } };
			}
			this.#keep.run(write.kept ? null : write.at, write.id);
			return { id: write.id, revision: row.revision + 1 };
		});
		return 'refused' in made ? made.refused : { outcome: 'kept', revision: made.revision };
	}
}
