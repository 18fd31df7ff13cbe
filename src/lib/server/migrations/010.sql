-- The day's lists of a bench, and what was ticked on the run sheet: appended, taken back, never changed.
CREATE TABLE day_lists (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 1 AND 64),
	bench_id TEXT NOT NULL REFERENCES benches (id),
	data TEXT NOT NULL,
	version INTEGER NOT NULL,
	revision INTEGER NOT NULL CHECK (revision >= 1),
	changed_at TEXT NOT NULL,
	archived_at TEXT
) STRICT, WITHOUT ROWID;
CREATE INDEX day_lists_of_bench ON day_lists (bench_id, changed_at);

CREATE TABLE list_ticks (
	id INTEGER PRIMARY KEY,
	op_id TEXT NOT NULL UNIQUE,
	list_id TEXT NOT NULL REFERENCES day_lists (id),
	item TEXT NOT NULL,
	kind TEXT NOT NULL CHECK (kind IN ('done', 'failed', 'pause', 'on')),
	at TEXT NOT NULL,
	-- The row of the log that it wrote.
	log_id INTEGER REFERENCES log (id),
	undone INTEGER NOT NULL DEFAULT 0 CHECK (undone IN (0, 1))
) STRICT;
CREATE INDEX list_ticks_of_list ON list_ticks (list_id, id);
