-- A bench that is taken away stays with its log, and can be put back.
ALTER TABLE benches ADD COLUMN gone_at TEXT;
