-- What a shop writes itself: its own checks, and its own file of faults in place of the one that is shipped.
CREATE TABLE shop_lists (
	name TEXT PRIMARY KEY CHECK (name IN ('checks', 'faults')),
	data TEXT NOT NULL,
	version INTEGER NOT NULL,
	revision INTEGER NOT NULL CHECK (revision >= 1)
) STRICT, WITHOUT ROWID;
