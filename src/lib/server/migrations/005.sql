-- What the log comes to is kept beside it, in whole numbers, so that no answer reads the whole log; and
-- everything that two people can change carries a revision.

-- Derived from the row and those before it, and made anew by the program when its way of counting changes.
ALTER TABLE log ADD COLUMN undone INTEGER NOT NULL DEFAULT 0 CHECK (undone IN (0, 1));
ALTER TABLE log ADD COLUMN starts INTEGER NOT NULL DEFAULT 0;
ALTER TABLE log ADD COLUMN arc_ms INTEGER NOT NULL DEFAULT 0;
ALTER TABLE log ADD COLUMN load_ms INTEGER NOT NULL DEFAULT 0;
ALTER TABLE log ADD COLUMN pilot_ms INTEGER NOT NULL DEFAULT 0;
ALTER TABLE log ADD COLUMN pierces_rolled INTEGER NOT NULL DEFAULT 0;
ALTER TABLE log ADD COLUMN pierces_straight INTEGER NOT NULL DEFAULT 0;
-- Growth of the electrode by the starting rates, nm.
ALTER TABLE log ADD COLUMN growth_nm INTEGER NOT NULL DEFAULT 0;
-- Of a test cut: growth on this bench before it, nm.
ALTER TABLE log ADD COLUMN worn_nm INTEGER NOT NULL DEFAULT 0;
-- Of a measured pit.
ALTER TABLE log ADD COLUMN pit_nm INTEGER NOT NULL DEFAULT 0;
UPDATE log SET undone = 1 WHERE id IN (SELECT undoes FROM log WHERE undoes IS NOT NULL);
DROP INDEX log_undone;
CREATE UNIQUE INDEX log_undone ON log (undoes) WHERE undoes IS NOT NULL;
CREATE INDEX log_by_time ON log (bench_id, at, id) WHERE undone = 0;
CREATE INDEX log_by_kind ON log (bench_id, kind, at, id) WHERE undone = 0;
CREATE INDEX log_by_set ON log (bench_id, set_id, at, id) WHERE undone = 0;
CREATE INDEX log_pits ON log (bench_id, set_id, at, id) WHERE undone = 0 AND kind = 'pit';

-- One row for each pair, and one ('') for parts from before a pair was named.
CREATE TABLE lives (
	bench_id TEXT NOT NULL REFERENCES benches (id),
	set_id TEXT NOT NULL,
	starts INTEGER NOT NULL,
	arc_ms INTEGER NOT NULL,
	load_ms INTEGER NOT NULL,
	pilot_ms INTEGER NOT NULL,
	pierces_rolled INTEGER NOT NULL,
	pierces_straight INTEGER NOT NULL,
	-- Last pit measured, and what the pair had done by then.
	pit_id INTEGER REFERENCES log (id),
	pit_nm INTEGER NOT NULL,
	pit_starts INTEGER NOT NULL,
	pit_arc_ms INTEGER NOT NULL,
	pit_load_ms INTEGER NOT NULL,
	pit_pilot_ms INTEGER NOT NULL,
	pit_pierces_rolled INTEGER NOT NULL,
	pit_pierces_straight INTEGER NOT NULL,
	PRIMARY KEY (bench_id, set_id)
) STRICT, WITHOUT ROWID;

-- Sums over all pairs of a bench.
CREATE TABLE ledgers (
	bench_id TEXT PRIMARY KEY REFERENCES benches (id),
	version INTEGER NOT NULL,
	worn_nm INTEGER NOT NULL,
	pit_nm INTEGER NOT NULL,
	pit_starts INTEGER NOT NULL,
	pit_arc_ms INTEGER NOT NULL,
	pit_load_ms INTEGER NOT NULL,
	pit_pilot_ms INTEGER NOT NULL,
	pit_pierces_rolled INTEGER NOT NULL,
	pit_pierces_straight INTEGER NOT NULL
) STRICT, WITHOUT ROWID;

ALTER TABLE benches ADD COLUMN parts_revision INTEGER NOT NULL DEFAULT 0 CHECK (parts_revision >= 0);
ALTER TABLE charts ADD COLUMN revision INTEGER NOT NULL DEFAULT 1 CHECK (revision >= 1);
ALTER TABLE cards ADD COLUMN revision INTEGER NOT NULL DEFAULT 1 CHECK (revision >= 1);
ALTER TABLE outlines ADD COLUMN revision INTEGER NOT NULL DEFAULT 1 CHECK (revision >= 1);
CREATE INDEX sets_by_time ON sets (bench_id, fitted_at);

-- What a write was and what it was done to, so that its op_id cannot pass for another; '': from before.
ALTER TABLE writes ADD COLUMN kind TEXT NOT NULL DEFAULT '';
ALTER TABLE writes ADD COLUMN target TEXT NOT NULL DEFAULT '';
