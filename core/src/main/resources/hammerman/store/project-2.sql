CREATE TABLE aside (
  id INTEGER PRIMARY KEY,
  at INTEGER NOT NULL,
  cell INTEGER NOT NULL REFERENCES cell (id),
  reason TEXT NOT NULL,
  struck_at INTEGER,
  struck_reason TEXT
) STRICT;

CREATE TABLE test (
  id INTEGER PRIMARY KEY,
  at INTEGER NOT NULL,
  cell INTEGER NOT NULL REFERENCES cell (id),
  bay INTEGER NOT NULL,
  due INTEGER NOT NULL,
  ended INTEGER,
  outcome TEXT CHECK (outcome IN ('MEASURED', 'BROKEN_OFF'))
) STRICT;

CREATE UNIQUE INDEX test_of_cell ON test (cell) WHERE ended IS NULL;

CREATE UNIQUE INDEX test_in_bay ON test (bay) WHERE ended IS NULL;
