-- Parts for gouging and o-rings; how far a lead time varies; finding in the log without reading its rows.

CREATE TABLE parts_now (
	id TEXT PRIMARY KEY,
	bench_id TEXT NOT NULL REFERENCES benches (id),
	kind TEXT NOT NULL CHECK (kind IN ('nozzle', 'ring', 'cap', 'shield', 'o-ring', 'gouge-nozzle')),
	fitted_at TEXT NOT NULL,
	why TEXT CHECK (why IN ('worn', 'blown', 'cracked', 'lost', 'partner')),
	-- What the bench had done before it was put in: derived, as the sums of the ledger are.
	starts INTEGER NOT NULL DEFAULT 0,
	arc_ms INTEGER NOT NULL DEFAULT 0,
	load_ms INTEGER NOT NULL DEFAULT 0,
	pilot_ms INTEGER NOT NULL DEFAULT 0,
	pierces_rolled INTEGER NOT NULL DEFAULT 0,
	pierces_straight INTEGER NOT NULL DEFAULT 0,
	-- Whether it came out of the drawer, so that taking it out again gives it back.
	from_stock INTEGER NOT NULL DEFAULT 0 CHECK (from_stock IN (0, 1))
) STRICT;
-- In the order in which they were put in: of two at one time the later one is in.
INSERT INTO parts_now (id, bench_id, kind, fitted_at, why, starts, arc_ms, load_ms, pilot_ms,
	pierces_rolled, pierces_straight, from_stock)
SELECT id, bench_id, kind, fitted_at, why, starts, arc_ms, load_ms, pilot_ms,
	pierces_rolled, pierces_straight, from_stock FROM parts ORDER BY rowid;
DROP TABLE parts;
ALTER TABLE parts_now RENAME TO parts;
CREATE INDEX parts_by_time ON parts (bench_id, fitted_at);

CREATE TABLE stock_now (
	bench_id TEXT NOT NULL REFERENCES benches (id),
	kind TEXT NOT NULL CHECK (kind IN ('electrode', 'nozzle', 'ring', 'cap', 'shield', 'o-ring', 'gouge-nozzle')),
	count INTEGER NOT NULL CHECK (count >= 0),
	-- They come in packs of so many.
	pack INTEGER NOT NULL CHECK (pack BETWEEN 1 AND 1000),
	lead_weeks REAL NOT NULL CHECK (lead_weeks >= 0),
	-- One standard deviation of the lead; 0: it always takes as long.
	lead_spread_weeks REAL NOT NULL CHECK (lead_spread_weeks >= 0),
	-- Order at this many at the latest, whatever is used.
	minimum INTEGER NOT NULL CHECK (minimum >= 0),
	price REAL,
	supplier TEXT NOT NULL CHECK (length(supplier) <= 80),
	revision INTEGER NOT NULL CHECK (revision >= 1),
	PRIMARY KEY (bench_id, kind)
) STRICT, WITHOUT ROWID;
INSERT INTO stock_now SELECT bench_id, kind, count, pack, lead_weeks, 0, minimum, price, supplier, revision
FROM stock;
DROP TABLE stock;
ALTER TABLE stock_now RENAME TO stock;

-- What is found in the log is counted from the index alone. Derived from the row, as its sums are.
ALTER TABLE log ADD COLUMN metal TEXT;
ALTER TABLE log ADD COLUMN start TEXT;
DROP INDEX log_by_time;
CREATE INDEX log_by_time
	ON log (bench_id, at, id, kind, starts, arc_ms, length_mm, thickness_um, output_da, metal, start)
	WHERE undone = 0;
