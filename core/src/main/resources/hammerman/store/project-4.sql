CREATE TABLE incident (
  id INTEGER PRIMARY KEY,
  at INTEGER NOT NULL,
  kind TEXT NOT NULL,
  run INTEGER REFERENCES run (id),
  words TEXT NOT NULL,
  struck_at INTEGER,
  struck_reason TEXT
) STRICT;
