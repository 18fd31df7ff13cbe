import type Database from 'better-sqlite3';
import { OnceOnly } from './writes';

/** Electrode and nozzle that were fitted together. */
export interface PartSet {
	id: string;
	benchId: string;
	name: string;
	fittedAt: string;
	/** null: in the torch. */
	removedAt: string | null;
}

const COLUMNS = 'id, bench_id AS benchId, name, fitted_at AS fittedAt, removed_at AS removedAt';

export class SetRepository {
	readonly #once: OnceOnly;
	readonly #ofBench: Database.Statement<[string], PartSet>;
	readonly #current: Database.Statement<[string], PartSet>;
	readonly #remove: Database.Statement<[string, string]>;
	readonly #fit: Database.Statement<[string, string, string, string]>;
	readonly #drop: Database.Statement<[string]>;
	readonly #refit: Database.Statement<[string]>;

	constructor(db: Database.Database) {
		this.#once = new OnceOnly(db);
		this.#ofBench = db.prepare(
			`SELECT ${COLUMNS} FROM sets WHERE bench_id = ? ORDER BY fitted_at DESC, id DESC`
		);
		this.#current = db.prepare(
			`SELECT ${COLUMNS} FROM sets WHERE bench_id = ? AND removed_at IS NULL`
		);
		this.#remove = db.prepare(
			'UPDATE sets SET removed_at = ? WHERE bench_id = ? AND removed_at IS NULL'
		);
		this.#fit = db.prepare('INSERT INTO sets (id, bench_id, name, fitted_at) VALUES (?, ?, ?, ?)');
		this.#drop = db.prepare(
			'DELETE FROM sets WHERE id = ? AND id NOT IN (SELECT set_id FROM log WHERE set_id IS NOT NULL)'
		);
		this.#refit = db.prepare('UPDATE sets SET removed_at = NULL WHERE id = ?');
	}

	ofBench(benchId: string): PartSet[] {
		return this.#ofBench.all(benchId);
	}

	current(benchId: string): PartSet | undefined {
		return this.#current.get(benchId);
	}

	/** Takes the old pair out and fits a new one. */
	fit(write: { opId: string; id: string; benchId: string; name: string; at: string }): PartSet {
		return this.#once.run(write.opId, write.at, () => {
			this.#remove.run(write.at, write.benchId);
			this.#fit.run(write.id, write.benchId, write.name, write.at);
			return {
				id: write.id,
				benchId: write.benchId,
				name: write.name,
				fittedAt: write.at,
				removedAt: null
			};
		});
	}

	/** Undoes `fit` while nothing was logged on the new pair; false when it is too late. */
	unfit(write: { opId: string; id: string; previousId: string | null; at: string }): boolean {
		return this.#once.run(write.opId, write.at, () => {
			if (this.#drop.run(write.id).changes === 0) return false;
			if (write.previousId) this.#refit.run(write.previousId);
			return true;
		});
	}
}
