-- Every kind of data keeps the version of its shape; 0: from before, told by the shape itself. Cards keep
-- the numbers that they were saved with.

ALTER TABLE benches ADD COLUMN version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0);
ALTER TABLE settings ADD COLUMN version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0);
ALTER TABLE log ADD COLUMN version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0);
ALTER TABLE charts ADD COLUMN version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0);
ALTER TABLE outlines ADD COLUMN version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0);
ALTER TABLE cards ADD COLUMN version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0);
ALTER TABLE cards ADD COLUMN plan TEXT CHECK (json_valid(plan));
ALTER TABLE cards ADD COLUMN plan_version INTEGER NOT NULL DEFAULT 0 CHECK (plan_version >= 0);
