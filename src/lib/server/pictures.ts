import type Database from 'better-sqlite3';
import type { PlainJpeg } from '$lib/formats/jpegPlain';
import { PICTURES_BYTES_MOST, type KeptPicture } from '$lib/formats/pictures';
import { OnceOnly, type Ref } from './writes';

const COLUMNS = `p.id, p.log_id AS logId, p.kept_at AS keptAt, p.width, p.height, p.bytes`;

export type KeepPictureResult =
	{ outcome: 'kept'; id: number } | { outcome: 'unknown' } | { outcome: 'full' };

/** Photos beside entries of the log. */
export class PictureRepository {
	readonly #once: OnceOnly;
	readonly #entry: Database.Statement<[string], { id: number }>;
	readonly #add: Database.Statement<[number, string, number, number, Buffer, number]>;
	readonly #sum: Database.Statement<[], { bytes: number; count: number }>;
	readonly #ofBench: Database.Statement<[string, number, number], KeptPicture>;
	readonly #ofEntries: Database.Statement<[string], KeptPicture>;
	readonly #jpeg: Database.Statement<[number], { jpeg: Buffer }>;
	readonly #drop: Database.Statement<[number]>;
	readonly #next: Database.Statement<[number], KeptPicture & { jpeg: Buffer }>;

	constructor(db: Database.Database) {
		this.#once = new OnceOnly(db);
		this.#entry = db.prepare("SELECT id FROM log WHERE op_id = ? AND kind <> 'undo'");
		this.#add = db.prepare(
			'INSERT INTO pictures (log_id, kept_at, width, height, jpeg, bytes) VALUES (?, ?, ?, ?, ?, ?)'
		);
		this.#sum = db.prepare(
			'SELECT coalesce(sum(bytes), 0) AS bytes, count(*) AS count FROM pictures'
		);
		this.#ofBench = db.prepare(
			`SELECT ${COLUMNS} FROM pictures p JOIN log l ON l.id = p.log_id
			WHERE l.bench_id = ? AND p.id < ? ORDER BY p.id DESC LIMIT ?`
		);
		this.#ofEntries = db.prepare(
			`SELECT ${COLUMNS} FROM pictures p WHERE p.log_id IN (SELECT value FROM json_each(?)) ORDER BY p.id`
		);
		this.#jpeg = db.prepare('SELECT jpeg FROM pictures WHERE id = ?');
		this.#drop = db.prepare('DELETE FROM pictures WHERE id = ?');
		this.#next = db.prepare(
			`SELECT ${COLUMNS}, p.jpeg FROM pictures p WHERE p.id > ? ORDER BY p.id LIMIT 1`
		);
	}

	/** Keeps a picture beside the entry that `entryOp` made; the same `opId` again keeps nothing. */
	keep(write: { opId: string; entryOp: string; at: string; jpeg: PlainJpeg }): KeepPictureResult {
		const op = { opId: write.opId, at: write.at, kind: 'keep picture', target: write.entryOp };
		const { width, height, bytes } = write.jpeg;
		const made = this.#once.run<KeepPictureResult>(op, () => {
			const entry = this.#entry.get(write.entryOp);
			if (!entry) return { refused: { outcome: 'unknown' } };
			if (this.used().bytes + bytes.length > PICTURES_BYTES_MOST)
				return { refused: { outcome: 'full' } };
			const { lastInsertRowid } = this.#add.run(
				entry.id,
				write.at,
				width,
				height,
				Buffer.from(bytes),
				bytes.length
			);
			return { id: String(lastInsertRowid), revision: 1 };
		});
		if ('refused' in made) return made.refused;
		return { outcome: 'kept', id: Number((made satisfies Ref).id) };
	}

	used(): { bytes: number; count: number } {
		return this.#sum.get()!;
	}

	/** A page of a bench's, newest first. */
	ofBench(benchId: string, before: number, most: number): KeptPicture[] {
		return this.#ofBench.all(benchId, before, most);
	}

	ofEntries(logIds: readonly number[]): KeptPicture[] {
		return this.#ofEntries.all(JSON.stringify(logIds));
	}

	jpeg(id: number): Buffer | undefined {
		return this.#jpeg.get(id)?.jpeg;
	}

	/** Lets a picture go; its entry stays. False: there was none. */
	drop(id: number): boolean {
		return this.#drop.run(id).changes > 0;
	}

	/** Everything, one at a time; between two of them others may write. */
	*everything(): Generator<KeptPicture & { jpeg: string }> {
		for (let row = this.#next.get(0); row; row = this.#next.get(row.id)) {
			const { jpeg, ...picture } = row;
			yield { ...picture, jpeg: jpeg.toString('base64') };
		}
	}
}
