-- Photos kept beside entries of the log, if the person wants: made small, with nothing of place or device.
CREATE TABLE pictures (
	id INTEGER PRIMARY KEY,
	log_id INTEGER NOT NULL REFERENCES log (id) ON DELETE CASCADE,
	kept_at TEXT NOT NULL,
	width INTEGER NOT NULL,
	height INTEGER NOT NULL,
	jpeg BLOB NOT NULL,
	-- Of the blob, so that a sum over all does not read them.
	bytes INTEGER NOT NULL
) STRICT;
CREATE INDEX pictures_of_entry ON pictures (log_id);
CREATE INDEX pictures_bytes ON pictures (bytes);
