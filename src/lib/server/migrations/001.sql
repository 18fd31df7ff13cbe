-- The first shape of the store. Times are ISO 8601 in UTC, data is JSON in the core's units.

-- One row per write that is not a log row: sending the same op_id twice stores once.
CREATE TABLE writes (
	op_id TEXT PRIMARY KEY CHECK (length(op_id) BETWEEN 8 AND 64),
	at TEXT NOT NULL,
	result TEXT NOT NULL CHECK (json_valid(result))
) STRICT;

CREATE TABLE benches (
	id TEXT PRIMARY KEY,
	data TEXT NOT NULL CHECK (json_valid(data)),
	revision INTEGER NOT NULL DEFAULT 1 CHECK (revision >= 1),
	created_at TEXT NOT NULL,
	changed_at TEXT NOT NULL
) STRICT;

-- Consumable sets: electrode and nozzle as a pair. At most one is in the torch of a bench.
CREATE TABLE sets (
	id TEXT PRIMARY KEY,
	bench_id TEXT NOT NULL REFERENCES benches (id),
	name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
	fitted_at TEXT NOT NULL,
	removed_at TEXT
) STRICT;
CREATE UNIQUE INDEX one_set_in_the_torch ON sets (bench_id) WHERE removed_at IS NULL;

-- Appended only. An undo is a row that points at the row it takes back.
CREATE TABLE log (
	id INTEGER PRIMARY KEY,
	op_id TEXT NOT NULL UNIQUE CHECK (length(op_id) BETWEEN 8 AND 64),
	bench_id TEXT NOT NULL REFERENCES benches (id),
	set_id TEXT REFERENCES sets (id),
	kind TEXT NOT NULL,
	at TEXT NOT NULL,
	data TEXT NOT NULL CHECK (json_valid(data)),
	undoes INTEGER REFERENCES log (id),
	inputs_hash TEXT,
	model_version TEXT NOT NULL,
	CHECK ((kind = 'undo') = (undoes IS NOT NULL))
) STRICT;
CREATE INDEX log_by_bench ON log (bench_id, id);
CREATE INDEX log_undone ON log (undoes) WHERE undoes IS NOT NULL;

CREATE TABLE settings (
	id INTEGER PRIMARY KEY CHECK (id = 1),
	data TEXT NOT NULL CHECK (json_valid(data)),
	revision INTEGER NOT NULL CHECK (revision >= 1)
) STRICT;
