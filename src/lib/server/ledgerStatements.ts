import type Database from 'better-sqlite3';
import { GROOVES_MOST, TALLY_VERSION, type Entry, type LoggedCut, type Tally } from '$lib/core';
import type { EntryRow } from './entryRow';
import { columns, DERIVED, DERIVED_MARKS, each, marks, pitColumns, zeros } from './ledgerColumns';

/** A row of the log without its bench, and what the bench had worn before it. */
type OwnRow = Omit<EntryRow, 'benchId'>;
type AgedRow = OwnRow & { wornNm: number };
/** What stands after an entry, 0 or 1: a part put in, a test cut, the pit that its pair was measured by. */
export interface Later {
	parts: number;
	testCuts: number;
	pit: number;
}
/** One reading of a part: what it had grown by. */
export interface Reading {
	id: number;
	at: string;
	grownNm: number;
}
type PartRow = Tally & { id: string; kind: string; fittedAt: string; why: string | null };
/** Readings of one part that a screen shows. */
const HISTORY_MOST = 50;

/** What the ledger asks and writes, prepared once; parameters in the order in which each names them. */
export function ledgerStatements(db: Database.Database) {
	const part = `id, kind, fitted_at AS fittedAt, why, ${each((c, field) => `${c} AS ${field}`)}`;
	const lastOf = (kind: Entry['kind']) => `SELECT max(at) AS at FROM log INDEXED BY log_by_kind
		WHERE bench_id = ? AND undone = 0 AND kind = '${kind}'`;
	const row = 'id, at, set_id AS setId, data, version, worn_nm AS wornNm';
	return {
		setUse: db.prepare<unknown[]>(`UPDATE log SET (${DERIVED}) = (${DERIVED_MARKS}) WHERE id = ?`),
		addLife: db.prepare<[string, string]>(
			`INSERT INTO lives (bench_id, set_id, version, worn_nm, ${columns}, pit_nm, ${pitColumns})
			VALUES (?, ?, ${TALLY_VERSION}, 0, ${zeros}, 0, ${zeros})`
		),
		moveLife: db.prepare<unknown[]>(
			`UPDATE lives SET worn_nm = worn_nm + ?, ${each((c) => `${c} = ${c} + ?`)}
			WHERE bench_id = ? AND set_id = ?`
		),
		life: db.prepare<[string, string], Tally>(
			`SELECT ${each((c, field) => `${c} AS ${field}`)} FROM lives WHERE bench_id = ? AND set_id = ?`
		),
		lifePit: db.prepare<[string, string], Tally & { id: number; at: string; pitNm: number }>(
			`SELECT log.id, log.at, lives.pit_nm AS pitNm, ${each((c, field) => `lives.pit_${c} AS ${field}`)}
			FROM lives JOIN log ON log.id = lives.pit_id WHERE lives.bench_id = ? AND lives.set_id = ?`
		),
		setLifePit: db.prepare<unknown[]>(
			`UPDATE lives SET (pit_id, pit_nm, ${pitColumns}) = (?, ?, ${marks})
			WHERE bench_id = ? AND set_id = ?`
		),
		newestPit: db.prepare<[string, string | null], { id: number; at: string; pitNm: number }>(
			`SELECT id, at, pit_nm AS pitNm FROM log
			WHERE bench_id = ? AND set_id IS ? AND undone = 0 AND kind = 'pit'
			ORDER BY at DESC, id DESC LIMIT 1`
		),
		usedSince: db.prepare<[string, string | null, string, number], Tally>(
			`SELECT ${each((c, field) => `coalesce(sum(${c}), 0) AS ${field}`)} FROM log
			WHERE bench_id = ? AND set_id IS ? AND undone = 0 AND (at, id) > (?, ?)`
		),
		measured: db.prepare<[string, number], Tally & { pitNm: number }>(
			`SELECT lives.pit_nm AS pitNm, ${each((c, field) => `lives.pit_${c} AS ${field}`)}
			FROM lives JOIN log ON log.id = lives.pit_id WHERE lives.bench_id = ?
			ORDER BY log.at DESC, log.id DESC LIMIT ?`
		),
		electrodes: db.prepare<[string, number], Tally & { worn: number }>(
			`SELECT s.why IS 'worn' AS worn, ${each((c, field) => `coalesce(l.${c}, 0) AS ${field}`)}
			FROM sets s LEFT JOIN lives l ON l.bench_id = s.bench_id AND l.set_id = s.id
			WHERE s.bench_id = ? AND s.removed_at IS NOT NULL
			ORDER BY s.fitted_at DESC, s.rowid DESC LIMIT ?`
		),
		parts: db.prepare<[string, string, number], PartRow>(
			`SELECT ${part} FROM parts WHERE bench_id = ? AND kind = ?
			ORDER BY fitted_at DESC, rowid DESC LIMIT ?`
		),
		eachPart: db.prepare<[string], PartRow>(
			`SELECT ${part} FROM parts WHERE bench_id = ? ORDER BY fitted_at, rowid`
		),
		partsAfter: db.prepare<unknown[]>(
			`UPDATE parts SET ${each((c) => `${c} = ${c} + ?`)} WHERE bench_id = ? AND fitted_at > ?`
		),
		setPart: db.prepare<unknown[]>(`UPDATE parts SET (${columns}) = (${marks}) WHERE id = ?`),
		bore: db.prepare<[string, string, string], OwnRow>(
			// Named, because without statistics the planner takes the index by time and reads the whole life.
			`SELECT id, at, set_id AS setId, data, version FROM log INDEXED BY log_by_kind
			WHERE bench_id = ? AND kind = 'bore' AND undone = 0 AND at >= ? AND at < ?
			ORDER BY at DESC, id DESC LIMIT 1`
		),
		pitsOf: db.prepare<[string, string | null], Reading>(
			`SELECT id, at, pit_nm AS grownNm FROM log
			WHERE bench_id = ? AND set_id IS ? AND undone = 0 AND kind = 'pit'
			ORDER BY at DESC, id DESC LIMIT ${HISTORY_MOST}`
		),
		boresOf: db.prepare<[string, string], OwnRow>(
			`SELECT id, at, set_id AS setId, data, version FROM log INDEXED BY log_by_kind
			WHERE bench_id = ? AND kind = 'bore' AND undone = 0 AND at >= ?
			ORDER BY at DESC, id DESC LIMIT ${HISTORY_MOST}`
		),
		startsBefore: db.prepare<[string, string, string, number], { starts: number }>(
			`SELECT coalesce(sum(starts), 0) AS starts FROM log
			WHERE bench_id = ? AND undone = 0 AND at >= ? AND (at, id) < (?, ?)`
		),
		groovesSince: db.prepare<[string, string], { starts: number }>(
			`SELECT coalesce(sum(starts), 0) AS starts FROM (
				SELECT starts FROM log INDEXED BY log_by_kind
				WHERE bench_id = ? AND kind IN ('groove', 'test-groove') AND undone = 0 AND at >= ?
				LIMIT ${GROOVES_MOST})`
		),
		between: db.prepare<unknown[], Tally>(
			`SELECT ${each((c, field) => `coalesce(sum(${c}), 0) AS ${field}`)} FROM log
			WHERE bench_id = ? AND undone = 0 AND (at, id) >= (?, ?) AND at < ?`
		),
		/** Bench and time; bench, time, id; bench, pair, time, id. */
		later: db.prepare<(string | number)[], Later>(
			`SELECT EXISTS (SELECT 1 FROM parts WHERE bench_id = ? AND fitted_at > ?) AS parts, EXISTS (
				SELECT 1 FROM log INDEXED BY log_by_kind
				WHERE bench_id = ? AND undone = 0 AND kind = 'test-cut' AND (at, id) > (?, ?)
			) AS testCuts, EXISTS (
				SELECT 1 FROM lives JOIN log ON log.id = lives.pit_id
				WHERE lives.bench_id = ? AND lives.set_id = ? AND (log.at, log.id) > (?, ?)) AS pit`
		),
		last: db.prepare<[string, string, string], { at: string | null }>(
			`SELECT max(at) AS at FROM (SELECT max(fitted_at) AS at FROM parts WHERE bench_id = ?
				UNION ALL ${lastOf('test-cut')} UNION ALL ${lastOf('pit')})`
		),
		version: db.prepare<[], number>('PRAGMA data_version').pluck(),
		ageLater: db.prepare<[number, string, string, number]>(
			`UPDATE log SET worn_nm = worn_nm + ?
			WHERE bench_id = ? AND undone = 0 AND kind = 'test-cut' AND (at, id) > (?, ?)`
		),
		setWorn: db.prepare<unknown[]>(
			`UPDATE log SET worn_nm = (SELECT sum(worn_nm) FROM lives WHERE bench_id = @benchId) - (
				SELECT coalesce(sum(growth_nm), 0) FROM log
				WHERE bench_id = @benchId AND undone = 0 AND (at, id) >= (@at, @id))
			WHERE id = @id`
		),
		sums: db.prepare<[string], Tally & { wornNm: number }>(
			`SELECT coalesce(sum(worn_nm), 0) AS wornNm,
				${each((c, field) => `coalesce(sum(${c}), 0) AS ${field}`)}
			FROM lives WHERE bench_id = ?`
		),
		newest: db.prepare<[string, string, number], AgedRow>(
			`SELECT ${row} FROM log
			WHERE bench_id = ? AND kind = ? AND undone = 0 ORDER BY at DESC, id DESC LIMIT ?`
		),
		cuts: db.prepare<[string, number], LoggedCut>(
			`SELECT at, arc_ms AS arcMs, starts FROM log
			WHERE bench_id = ? AND kind = 'cut' AND undone = 0 ORDER BY at DESC, id DESC LIMIT ?`
		),
		revision: db.prepare<[string], { id: number | null }>(
			'SELECT max(id) AS id FROM log WHERE bench_id = ?'
		),
		outdated: db.prepare<[], { id: string }>(
			`SELECT id FROM benches b WHERE EXISTS (
				SELECT 1 FROM lives WHERE bench_id = b.id AND version <> ${TALLY_VERSION}
			) OR (
				NOT EXISTS (SELECT 1 FROM lives WHERE bench_id = b.id)
				AND EXISTS (SELECT 1 FROM log WHERE bench_id = b.id)
			)`
		),
		page: db.prepare<[string, string, number], AgedRow>(
			`SELECT ${row} FROM log
			WHERE bench_id = ? AND undone = 0 AND kind <> 'undo' AND (at, id) > (?, ?)
			ORDER BY at, id LIMIT 500`
		),
		clear: [
			'DELETE FROM lives WHERE bench_id = ?',
			`UPDATE parts SET ${each((c) => `${c} = 0`)} WHERE bench_id = ?`,
			`UPDATE log SET ${each((c) => `${c} = 0`)}, growth_nm = 0, worn_nm = 0, pit_nm = 0 WHERE bench_id = ?`
		].map((sql) => db.prepare<[string]>(sql)),
		everything: [
			// A pair from which everything was taken back is as one that was never used.
			`SELECT * FROM lives WHERE bench_id = ? AND (worn_nm, ${columns}, pit_nm) <> (0, ${zeros}, 0) ORDER BY set_id`,
			'SELECT * FROM parts WHERE bench_id = ? ORDER BY id',
			`SELECT id, ${columns}, growth_nm, worn_nm, pit_nm FROM log WHERE bench_id = ? AND undone = 0 ORDER BY id`
		].map((sql) => db.prepare<[string], unknown>(sql)),
		setSet: db.prepare<[string | null, number]>('UPDATE log SET set_id = ? WHERE id = ?')
	};
}
