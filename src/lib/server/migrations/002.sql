-- Cut charts, one for a bench, and setting cards that were saved with what they rest on.

CREATE TABLE charts (
	bench_id TEXT PRIMARY KEY REFERENCES benches (id),
	name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
	rows TEXT NOT NULL CHECK (json_valid(rows)),
	changed_at TEXT NOT NULL
) STRICT;

-- A card keeps its inputs, hash and model version, so that it reopens with the same numbers.
CREATE TABLE cards (
	id TEXT PRIMARY KEY,
	bench_id TEXT NOT NULL REFERENCES benches (id),
	name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
	search TEXT NOT NULL,
	inputs TEXT NOT NULL CHECK (json_valid(inputs)),
	inputs_hash TEXT NOT NULL,
	model_version TEXT NOT NULL,
	saved_at TEXT NOT NULL,
	-- Taken off the shelf; kept, so that it can be put back.
	removed_at TEXT
) STRICT;
CREATE INDEX cards_by_bench ON cards (bench_id, saved_at);
