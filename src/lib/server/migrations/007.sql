-- Parts of the torch besides the electrode, each with a life of its own; and corrections in the log.

-- One was put in; it is in until the next of its kind. `why` tells why it came out then.
CREATE TABLE parts (
	id TEXT PRIMARY KEY,
	bench_id TEXT NOT NULL REFERENCES benches (id),
	kind TEXT NOT NULL CHECK (kind IN ('nozzle', 'ring', 'cap', 'shield')),
	fitted_at TEXT NOT NULL,
	why TEXT CHECK (why IN ('worn', 'blown', 'cracked', 'lost', 'partner')),
	-- What the bench had done before it was put in: derived, as the sums of the ledger are.
	starts INTEGER NOT NULL DEFAULT 0,
	arc_ms INTEGER NOT NULL DEFAULT 0,
	load_ms INTEGER NOT NULL DEFAULT 0,
	pilot_ms INTEGER NOT NULL DEFAULT 0,
	pierces_rolled INTEGER NOT NULL DEFAULT 0,
	pierces_straight INTEGER NOT NULL DEFAULT 0
) STRICT;
CREATE INDEX parts_by_time ON parts (bench_id, fitted_at);
-- Until now every pair was put in as a pair.
INSERT INTO parts (id, bench_id, kind, fitted_at)
SELECT 'nozzle-' || id, bench_id, 'nozzle', fitted_at FROM sets;
ALTER TABLE sets ADD COLUMN why TEXT CHECK (why IN ('worn', 'blown', 'cracked', 'lost', 'partner'));

-- All sums of a bench are made anew by the program.
DROP TABLE ledgers;
CREATE TABLE ledgers (
	bench_id TEXT PRIMARY KEY REFERENCES benches (id),
	version INTEGER NOT NULL,
	worn_nm INTEGER NOT NULL,
	starts INTEGER NOT NULL,
	arc_ms INTEGER NOT NULL,
	load_ms INTEGER NOT NULL,
	pilot_ms INTEGER NOT NULL,
	pierces_rolled INTEGER NOT NULL,
	pierces_straight INTEGER NOT NULL
) STRICT, WITHOUT ROWID;

-- A correction is a new row that points at the old, which then counts no more; who did it and what for may be told.
ALTER TABLE log ADD COLUMN corrects INTEGER REFERENCES log (id);
ALTER TABLE log ADD COLUMN who TEXT CHECK (length(who) <= 60);
ALTER TABLE log ADD COLUMN what_for TEXT CHECK (length(what_for) <= 200);
CREATE UNIQUE INDEX log_corrects ON log (corrects) WHERE corrects IS NOT NULL AND undone = 0;

-- What the log is searched by: derived from the row, as its sums are.
ALTER TABLE log ADD COLUMN thickness_um INTEGER;
ALTER TABLE log ADD COLUMN output_da INTEGER;
ALTER TABLE log ADD COLUMN length_mm INTEGER NOT NULL DEFAULT 0;

-- What lies in the drawer for each torch; a part that is put in is taken out of it.
CREATE TABLE stock (
	bench_id TEXT NOT NULL REFERENCES benches (id),
	kind TEXT NOT NULL CHECK (kind IN ('electrode', 'nozzle', 'ring', 'cap', 'shield')),
	count INTEGER NOT NULL CHECK (count >= 0),
	-- They come in packs of so many.
	pack INTEGER NOT NULL CHECK (pack BETWEEN 1 AND 1000),
	lead_weeks REAL NOT NULL CHECK (lead_weeks >= 0),
	-- Order at this many at the latest, whatever is used.
	minimum INTEGER NOT NULL CHECK (minimum >= 0),
	price REAL,
	supplier TEXT NOT NULL CHECK (length(supplier) <= 80),
	revision INTEGER NOT NULL CHECK (revision >= 1),
	PRIMARY KEY (bench_id, kind)
) STRICT, WITHOUT ROWID;
-- Whether it came out of the drawer, so that taking it out again gives it back.
ALTER TABLE parts ADD COLUMN from_stock INTEGER NOT NULL DEFAULT 0 CHECK (from_stock IN (0, 1));
ALTER TABLE sets ADD COLUMN from_stock INTEGER NOT NULL DEFAULT 0 CHECK (from_stock IN (0, 1));
-- Few lines of a log say who or what for.
CREATE INDEX log_said ON log (bench_id, at, id)
	WHERE undone = 0 AND (what_for IS NOT NULL OR who IS NOT NULL);
