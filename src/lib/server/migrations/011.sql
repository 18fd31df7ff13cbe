-- A sensor at the cutter: one for each bench. Its token is kept as a hash.
CREATE TABLE arc_lines (
	id INTEGER PRIMARY KEY,
	bench_id TEXT NOT NULL UNIQUE REFERENCES benches (id),
	token_hash TEXT NOT NULL,
	made_at TEXT NOT NULL,
	by_rule INTEGER NOT NULL DEFAULT 0 CHECK (by_rule IN (0, 1))
) STRICT;

-- One for each start of the device: its numbers begin again.
CREATE TABLE arc_boots (
	id INTEGER PRIMARY KEY,
	line_id INTEGER NOT NULL REFERENCES arc_lines (id) ON DELETE CASCADE,
	boot TEXT NOT NULL,
	first_n INTEGER NOT NULL,
	last_n INTEGER NOT NULL,
	-- Readings that came, each counted once.
	came INTEGER NOT NULL,
	-- Came after what they belong to had been looked at.
	late INTEGER NOT NULL DEFAULT 0,
	implausible INTEGER NOT NULL DEFAULT 0,
	-- The server's clock less the device's, ms: the least of those seen, for the way takes time.
	ahead_ms REAL NOT NULL,
	first_at_ms REAL NOT NULL,
	last_at_ms REAL NOT NULL,
	last_came_ms REAL NOT NULL,
	-- Looked at up to here, by the device's clock.
	settled_ms REAL NOT NULL,
	UNIQUE (line_id, boot)
) STRICT;

-- Raw, kept for thirty days, by the device's clock.
CREATE TABLE arc_readings (
	boot_id INTEGER NOT NULL REFERENCES arc_boots (id) ON DELETE CASCADE,
	at_ms REAL NOT NULL,
	n INTEGER NOT NULL,
	arc_a REAL,
	inlet_bar REAL,
	tank_bar REAL,
	mains_a REAL,
	hot_lamp REAL,
	PRIMARY KEY (boot_id, at_ms, n)
) STRICT, WITHOUT ROWID;

-- Kept for ever, by the server's clock: arcs, failed starts, lamps, gaps.
CREATE TABLE arc_seen (
	id INTEGER PRIMARY KEY,
	bench_id TEXT NOT NULL REFERENCES benches (id),
	boot_id INTEGER REFERENCES arc_boots (id) ON DELETE SET NULL,
	kind TEXT NOT NULL CHECK (kind IN ('arc', 'failed', 'lamp', 'gap')),
	from_ms REAL NOT NULL,
	to_ms REAL NOT NULL,
	data TEXT NOT NULL,
	version INTEGER NOT NULL,
	-- 'offered' until somebody takes it into the log, or leaves it.
	state TEXT NOT NULL CHECK (state IN ('offered', 'taken', 'left')),
	op_id TEXT
) STRICT;
CREATE INDEX arc_seen_of_bench ON arc_seen (bench_id, from_ms);
CREATE INDEX arc_seen_offered ON arc_seen (bench_id, from_ms) WHERE state = 'offered';
CREATE INDEX arc_seen_by_op ON arc_seen (op_id) WHERE op_id IS NOT NULL;
