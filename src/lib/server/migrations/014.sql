-- What a bench did is the sum of its pairs: an entry moves one row of sums instead of two.
-- Which way of counting they were made by.
ALTER TABLE lives ADD COLUMN version INTEGER NOT NULL DEFAULT 0;
-- Growth of the electrode by the starting rates, nm.
ALTER TABLE lives ADD COLUMN worn_nm INTEGER NOT NULL DEFAULT 0;
UPDATE lives SET
	version = coalesce((SELECT version FROM ledgers WHERE ledgers.bench_id = lives.bench_id), 0),
	worn_nm = coalesce((
		SELECT sum(growth_nm) FROM log
		WHERE log.bench_id = lives.bench_id AND log.set_id IS nullif(lives.set_id, '') AND undone = 0
	), 0);
DROP TABLE ledgers;
