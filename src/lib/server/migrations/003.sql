-- Outlines that were drawn or read from a file, for templates; shared by all benches.

CREATE TABLE outlines (
	id TEXT PRIMARY KEY,
	name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
	contours TEXT NOT NULL CHECK (json_valid(contours)),
	saved_at TEXT NOT NULL,
	-- Put away; kept, so that it can be taken back.
	removed_at TEXT
) STRICT;
