import type Database from 'better-sqlite3';
import type { Reading } from '$lib/core/arcline/batch';
import { SEEN } from '$lib/core/stored/kinds';
import type { StoredSeen } from '$lib/formats/arcLine';

/** One start of a sensor, and how far its readings have come. */
export interface Boot {
	id: number;
	lineId: number;
	boot: string;
	firstN: number;
	lastN: number;
	came: number;
	late: number;
	implausible: number;
	aheadMs: number;
	firstAtMs: number;
	lastAtMs: number;
	lastCameMs: number;
	settledMs: number;
}
/** Old readings that go with one look, so that nobody waits for them. */
const FORGOTTEN_AT_ONCE = 20_000;
const BOOT = `id, line_id AS lineId, boot, first_n AS firstN, last_n AS lastN, came, late, implausible,
	ahead_ms AS aheadMs, first_at_ms AS firstAtMs, last_at_ms AS lastAtMs, last_came_ms AS lastCameMs, settled_ms AS settledMs`;
const SEEN_COLUMNS = 'id, state, data, version';
export type SeenRow = { id: number; state: StoredSeen['state']; data: string; version: number };

/** What the repository of sensors asks and writes, prepared once; parameters in the order in which each names them. */
export const arcLineStatements = (db: Database.Database) => ({
	line: db.prepare<
		[string],
		{ id: number; benchId: string; madeAt: string; byRule: number; tokenHash: string }
	>(
		`SELECT id, bench_id AS benchId, made_at AS madeAt, by_rule AS byRule, token_hash AS tokenHash
		FROM arc_lines WHERE bench_id = ?`
	),
	pair: db.prepare<[string, string, string]>(
		`INSERT INTO arc_lines (bench_id, token_hash, made_at) VALUES (?, ?, ?)
		ON CONFLICT (bench_id) DO UPDATE SET token_hash = excluded.token_hash, made_at = excluded.made_at`
	),
	unpair: db.prepare<[string]>('DELETE FROM arc_lines WHERE bench_id = ?'),
	rule: db.prepare<[number, string]>('UPDATE arc_lines SET by_rule = ? WHERE bench_id = ?'),
	boot: db.prepare<[number, string], Boot>(
		`SELECT ${BOOT} FROM arc_boots WHERE line_id = ? AND boot = ?`
	),
	boots: db.prepare<[number], Boot>(
		`SELECT ${BOOT} FROM arc_boots WHERE line_id = ? AND last_at_ms > settled_ms ORDER BY id`
	),
	newest: db.prepare<[number], Boot>(
		`SELECT ${BOOT} FROM arc_boots WHERE line_id = ? ORDER BY last_came_ms DESC LIMIT 1`
	),
	addBoot: db.prepare<unknown[]>(
		`INSERT INTO arc_boots (line_id, boot, first_n, last_n, came, ahead_ms, first_at_ms, last_at_ms, last_came_ms, settled_ms)
		VALUES (?, ?, ?, ?, 0, ?, ?, ?, ?, ?)`
	),
	setBoot: db.prepare<unknown[]>(
		`UPDATE arc_boots SET first_n = ?, last_n = ?, came = ?, late = ?, ahead_ms = ?, last_at_ms = ?,
			last_came_ms = ? WHERE id = ?`
	),
	settle: db.prepare<[number, number, number]>(
		'UPDATE arc_boots SET settled_ms = ?, implausible = implausible + ? WHERE id = ?'
	),
	add: db.prepare<(number | null)[]>(
		`INSERT OR IGNORE INTO arc_readings (boot_id, at_ms, n, arc_a, inlet_bar, tank_bar, mains_a, hot_lamp)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?)`
	),
	readings: db.prepare<[number, number, number, number], Reading>(
		`SELECT at_ms AS atMs, arc_a AS arcA, inlet_bar AS inletBar, tank_bar AS tankBar, mains_a AS mainsA,
			hot_lamp AS hotLamp FROM arc_readings
		WHERE boot_id = ? AND at_ms >= ? AND at_ms <= ? ORDER BY at_ms, n LIMIT ?`
	),
	// A start of the device whose last word is so old goes with all that it sent.
	forgetBoots: db.prepare<[number, number]>(
		'DELETE FROM arc_boots WHERE line_id = ? AND last_came_ms < ?'
	),
	forget: db.prepare<[number, number, number]>(
		`DELETE FROM arc_readings WHERE (boot_id, at_ms, n) IN (
			SELECT r.boot_id, r.at_ms, r.n FROM arc_boots b JOIN arc_readings r
				ON r.boot_id = b.id AND r.at_ms < ? - b.ahead_ms
			WHERE b.line_id = ? AND b.first_at_ms + b.ahead_ms < ? LIMIT ${FORGOTTEN_AT_ONCE})`
	),
	addSeen: db.prepare<unknown[]>(
		`INSERT INTO arc_seen (bench_id, boot_id, kind, from_ms, to_ms, data, version, state)
		VALUES (?, ?, ?, ?, ?, ?, ${SEEN.version}, ?)`
	),
	offered: db.prepare<[string, number], SeenRow>(
		`SELECT ${SEEN_COLUMNS} FROM arc_seen WHERE bench_id = ? AND state = 'offered' ORDER BY from_ms, id LIMIT ?`
	),
	lately: db.prepare<[string, number, number], SeenRow>(
		`SELECT ${SEEN_COLUMNS} FROM arc_seen WHERE bench_id = ? AND from_ms >= ? ORDER BY from_ms, id LIMIT ?`
	),
	state: db.prepare<[number, string], { state: string }>(
		'SELECT state FROM arc_seen WHERE id = ? AND bench_id = ?'
	),
	mark: db.prepare<[string, string | null, number]>(
		'UPDATE arc_seen SET state = ?, op_id = ? WHERE id = ?'
	),
	byOp: db.prepare<[string], { id: number; benchId: string }>(
		'SELECT id, bench_id AS benchId FROM arc_seen WHERE op_id = ?'
	),
	otherWrite: db.prepare<[string, string, string], { kind: string }>(
		`SELECT kind FROM writes WHERE op_id = ? UNION ALL SELECT kind FROM log WHERE op_id = ?
		UNION ALL SELECT kind FROM list_ticks WHERE op_id = ?`
	),
	logged: db.prepare<[string, string], { id: number }>(
		"SELECT id FROM log WHERE op_id >= ? AND op_id < ? AND kind <> 'undo' AND undone = 0"
	)
});
