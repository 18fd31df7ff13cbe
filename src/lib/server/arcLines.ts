import { createHash, timingSafeEqual } from 'node:crypto';
import type Database from 'better-sqlite3';
import { RAW_DAYS, type Batch } from '$lib/core/arcline/batch';
import { segmented } from '$lib/core/arcline/segment';
import type { Seen } from '$lib/core/arcline/events';
import { SEEN } from '$lib/core/stored/kinds';
import type { LineNow, StoredSeen } from '$lib/formats/arcLine';
import { arcLineStatements, type Boot, type SeenRow } from './arcLineStatements';
import type { LogRepository, NewEntry } from './log';
import { readStored, UnreadableError } from './stored';
import { ReusedError } from './writes';

export interface ArcLine {
	id: number;
	benchId: string;
	madeAt: string;
	/** What fits the piece that comes now is ticked without a thumb. */
	byRule: boolean;
}
/** What became of a batch. */
export interface BatchTaken {
	/** Readings that were not there yet. */
	stored: number;
	/** Those that were. */
	repeated: number;
	/** Numbers between the first and the last of this start that never came. */
	missing: number;
	/** The server's clock less the device's, ms. */
	aheadMs: number;
	/** Number that comes next. */
	next: number;
}
export type TakeResult = 'taken' | 'already' | 'gone';

const DAY_MS = 86_400_000;
/** A batch may come so much later than one that left after it, ms. */
const LAG_MS = 1000;
/**
 * Silent for so long: what is open ends in the dark, ms. A device that only lost the network comes back with
 * what it kept, and its arc is still one.
 */
const SILENT_MS = 120_000;
/** Readings that are looked at in one go, and at most where nothing comes to rest. */
const LOOK_MOST = 20_000;
const LOOK_ALL_MOST = 320_000;
const OFFERED_MOST = 500;

const hashed = (token: string) => createHash('sha256').update(token).digest();

/** Sensors at the cutters: what they sent, and what was seen in it. */
export class ArcLineRepository {
	readonly #sql: ReturnType<typeof arcLineStatements>;

	constructor(
		readonly db: Database.Database,
		readonly log: LogRepository
	) {
		this.#sql = arcLineStatements(db);
	}

	find(benchId: string): ArcLine | undefined {
		const row = this.#sql.line.get(benchId);
		return row && { id: row.id, benchId, madeAt: row.madeAt, byRule: row.byRule === 1 };
	}
	/** A new token; the one before no longer fits. What was seen stays. */
	pair(benchId: string, token: string, at: string): void {
		this.#sql.pair.run(benchId, hashed(token).toString('hex'), at);
	}
	/** The sensor is let go, and its raw readings with it; what was seen in them stays. */
	unpair(benchId: string): void {
		this.#sql.unpair.run(benchId);
	}
	setRule(benchId: string, byRule: boolean): void {
		this.#sql.rule.run(byRule ? 1 : 0, benchId);
	}
	fits(benchId: string, token: string): boolean {
		const row = this.#sql.line.get(benchId);
		return row !== undefined && timingSafeEqual(Buffer.from(row.tokenHash, 'hex'), hashed(token));
	}

	/** Takes a batch in, all or nothing; a reading that is there already is left as it is. */
	add({ id: lineId }: ArcLine, batch: Batch, nowMs: number): BatchTaken {
		return this.db
			.transaction((): BatchTaken => {
				const { atMs, n } = batch;
				const aheadMs = nowMs - batch.sentAtMs;
				const [firstMs, lastMs, lastN] = [atMs[0]!, atMs.at(-1)!, n + atMs.length - 1];
				let boot = this.#sql.boot.get(lineId, batch.boot);
				if (!boot) {
					this.#sql.addBoot.run(
						lineId,
						batch.boot,
						n,
						n - 1,
						aheadMs,
						firstMs,
						firstMs,
						nowMs,
						firstMs
					);
					boot = this.#sql.boot.get(lineId, batch.boot)!;
				}
				let [stored, late] = [0, 0];
				const { arcA, inletBar, tankBar, mainsA, hotLamp } = batch;
				for (let k = 0; k < atMs.length; k++) {
					const { changes } = this.#sql.add.run(
						boot.id,
						atMs[k]!,
						n + k,
						arcA?.[k] ?? null,
						inletBar?.[k] ?? null,
						tankBar?.[k] ?? null,
						mainsA?.[k] ?? null,
						hotLamp?.[k] ?? null
					);
					stored += changes;
					if (changes && atMs[k]! < boot.settledMs) late++;
				}
				const after = {
					firstN: Math.min(boot.firstN, n),
					lastN: Math.max(boot.lastN, lastN),
					came: boot.came + stored,
					aheadMs: Math.min(boot.aheadMs, aheadMs)
				};
				this.#sql.setBoot.run(
					after.firstN,
					after.lastN,
					after.came,
					boot.late + late,
					after.aheadMs,
					Math.max(boot.lastAtMs, lastMs),
					nowMs,
					boot.id
				);
				return {
					stored,
					repeated: atMs.length - stored,
					missing: Math.max(0, after.lastN - after.firstN + 1 - after.came),
					aheadMs: after.aheadMs,
					next: after.lastN + 1
				};
			})
			.immediate();
	}

	/** Looks at what came since the last look, keeps what is over, forgets what is older than thirty days. */
	settle(benchId: string, nowMs: number): void {
		const line = this.find(benchId);
		if (!line) return;
		const rawFromMs = nowMs - RAW_DAYS * DAY_MS;
		this.db
			.transaction(() => {
				for (const boot of this.#sql.boots.all(line.id)) this.#look(benchId, boot, nowMs);
				this.#sql.forgetBoots.run(line.id, rawFromMs);
				this.#sql.forget.run(rawFromMs, line.id, rawFromMs);
			})
			.immediate();
	}
	#look(benchId: string, boot: Boot, nowMs: number): void {
		const silent = nowMs - boot.lastCameMs > SILENT_MS;
		const untilMs = silent ? boot.lastAtMs : boot.lastAtMs - LAG_MS;
		let { settledMs } = boot;
		for (let most = LOOK_MOST; ;) {
			const readings = this.#sql.readings.all(boot.id, settledMs, untilMs, most);
			const all = readings.length < most;
			const full = most >= LOOK_ALL_MOST;
			const { seen, quietMs, implausible } = segmented(readings, {
				ended: (all && silent) || (!all && full)
			});
			const moved = readings.length > 1 && quietMs > settledMs;
			if (moved) {
				for (const one of seen) if (one.toMs <= quietMs) this.#keep(benchId, boot, one);
				this.#sql.settle.run(quietMs, implausible, boot.id);
				settledMs = quietMs;
			}
			if (all || readings.length === 0) {
				if (silent) this.#sql.settle.run(boot.lastAtMs, 0, boot.id);
				return;
			}
			if (moved) most = LOOK_MOST;
			else if (full) return;
			else most *= 4;
		}
	}
	#keep(benchId: string, boot: Boot, seen: Seen): void {
		const fromMs = Math.round(seen.fromMs + boot.aheadMs);
		const toMs = Math.round(seen.toMs + boot.aheadMs);
		const state = seen.kind === 'gap' ? 'left' : 'offered';
		const data = JSON.stringify({
			...seen,
			fromMs,
			toMs,
			...(seen.kind === 'lamp' && seen.arcFromMs !== null
				? { arcFromMs: Math.round(seen.arcFromMs + boot.aheadMs) }
				: {})
		});
		this.#sql.addSeen.run(benchId, boot.id, seen.kind, fromMs, toMs, data, state);
	}

	/** How it stands right now; undefined: no sensor, or nothing came yet. */
	now(benchId: string): LineNow | undefined {
		const line = this.find(benchId);
		const boot = line && this.#sql.newest.get(line.id);
		if (!boot) return undefined;
		const from = Math.max(boot.settledMs, boot.lastAtMs - 600_000);
		const readings = this.#sql.readings.all(boot.id, from, boot.lastAtMs, LOOK_MOST);
		const { now, intervalS, implausible, implausibleSince } = segmented(readings);
		const { aheadMs } = boot;
		const shifted = (ms: number | null) => (ms === null ? null : ms + aheadMs);
		return {
			boot: boot.boot,
			now: {
				...now,
				arcSinceMs: shifted(now.arcSinceMs),
				hotSinceMs: shifted(now.hotSinceMs),
				last: now.last && { ...now.last, atMs: now.last.atMs + aheadMs }
			},
			intervalS,
			aheadMs,
			watchedSinceMs: boot.firstAtMs + aheadMs,
			lastCameMs: boot.lastCameMs,
			missing: Math.max(0, boot.lastN - boot.firstN + 1 - boot.came),
			late: boot.late,
			implausible: boot.implausible + implausible + implausibleSince
		};
	}

	/** What nobody took or left yet, oldest first. */
	offered(benchId: string): StoredSeen[] {
		return this.#sql.offered.all(benchId, OFFERED_MOST).flatMap(readable);
	}
	/** Everything from a moment on, oldest first. */
	since(benchId: string, fromMs: number, most = 5000): StoredSeen[] {
		return this.#sql.lately.all(benchId, fromMs, most).flatMap(readable);
	}

	/**
	 * Takes what is offered into the log, or leaves it (no entries), all or nothing; "gone": somebody else did.
	 * The same `opId` again does nothing.
	 */
	take(write: {
		opId: string;
		benchId: string;
		ids: readonly number[];
		entries: readonly Omit<NewEntry, 'opId' | 'benchId'>[];
	}): TakeResult {
		const { opId, benchId, ids, entries } = write;
		return this.db
			.transaction((): TakeResult => {
				const before = this.#sql.byOp.get(opId);
				if (before?.benchId === benchId) return 'already';
				const other = this.#sql.otherWrite.get(opId, opId, opId);
				if (other) throw new ReusedError(other.kind);
				if (ids.some((id) => this.#sql.state.get(id, benchId)?.state !== 'offered')) return 'gone';
				const state = entries.length ? 'taken' : 'left';
				for (const id of ids) this.#sql.mark.run(state, opId, id);
				for (const [k, entry] of entries.entries())
					this.log.append({ ...entry, benchId, opId: `${opId}-${k}` });
				return 'taken';
			})
			.immediate();
	}
	/** Offers again what one press took or left, and takes its entries back. */
	giveBack(write: {
		opId: string;
		benchId: string;
		undoes: string;
		at: string;
		modelVersion: string;
	}): 'undone' | 'already' {
		const { benchId, undoes, at, modelVersion } = write;
		return this.db
			.transaction(() => {
				const rows = this.#sql.byOp.all(undoes).filter((row) => row.benchId === benchId);
				if (rows.length === 0) return 'already';
				for (const { id } of rows) this.#sql.mark.run('offered', null, id);
				// "-" to ".": the entries of that press, which follow it with a dash.
				for (const [k, { id }] of this.#sql.logged.all(`${undoes}-`, `${undoes}.`).entries())
					this.log.undo({ opId: `${write.opId}-${k}`, id, at, modelVersion });
				return 'undone';
			})
			.immediate();
	}
}

function readable({ id, state, data, version }: SeenRow): StoredSeen[] {
	try {
		return [{ id, state, seen: readStored(SEEN, `Seen at the cutter ${id}`, data, version) }];
	} catch (error) {
		if (!(error instanceof UnreadableError)) throw error;
		console.error(error.message);
		return [];
	}
}
