CREATE TABLE state (
  id INTEGER PRIMARY KEY,
  at INTEGER NOT NULL,
  station TEXT NOT NULL,
  what TEXT NOT NULL,
  in_line INTEGER NOT NULL,
  document TEXT NOT NULL
) STRICT;

CREATE TABLE present (
  only_row INTEGER PRIMARY KEY CHECK (only_row = 1),
  state INTEGER NOT NULL REFERENCES state (id)
) STRICT;

CREATE TABLE mark (
  id INTEGER PRIMARY KEY,
  state INTEGER NOT NULL REFERENCES state (id),
  name TEXT NOT NULL,
  at INTEGER NOT NULL
) STRICT;

CREATE TABLE cell (
  id INTEGER PRIMARY KEY,
  at INTEGER NOT NULL,
  label TEXT NOT NULL UNIQUE,
  type TEXT NOT NULL,
  lot TEXT NOT NULL,
  source TEXT NOT NULL,
  bought TEXT,
  price REAL,
  notes TEXT NOT NULL,
  photo TEXT NOT NULL
) STRICT;

CREATE TABLE measurement (
  id INTEGER PRIMARY KEY,
  at INTEGER NOT NULL,
  subject TEXT NOT NULL CHECK (subject IN ('CELL', 'GROUP', 'PACK')),
  number INTEGER NOT NULL,
  quantity TEXT NOT NULL,
  value REAL NOT NULL,
  current_A REAL,
  cut_off_V REAL,
  temperature_K REAL,
  rest_s REAL,
  instrument TEXT NOT NULL,
  origin TEXT NOT NULL,
  struck_at INTEGER,
  struck_reason TEXT
) STRICT;

CREATE INDEX measurement_of ON measurement (subject, number);

CREATE TABLE place (
  cell INTEGER PRIMARY KEY REFERENCES cell (id),
  pack INTEGER NOT NULL,
  cell_group INTEGER NOT NULL,
  place INTEGER NOT NULL,
  at INTEGER NOT NULL,
  UNIQUE (pack, cell_group, place)
) STRICT;

CREATE TABLE step (
  id INTEGER PRIMARY KEY,
  at INTEGER NOT NULL,
  step TEXT NOT NULL,
  reading REAL,
  verdict TEXT NOT NULL CHECK (verdict IN ('DONE', 'WITHIN', 'OUTSIDE', 'OVERRIDDEN')),
  reason TEXT NOT NULL,
  struck_at INTEGER,
  struck_reason TEXT
) STRICT;

CREATE TABLE run (
  id INTEGER PRIMARY KEY,
  at INTEGER NOT NULL,
  name TEXT NOT NULL,
  state INTEGER REFERENCES state (id),
  conditions TEXT NOT NULL,
  notes TEXT NOT NULL,
  source TEXT NOT NULL,
  source_hash TEXT NOT NULL,
  samples INTEGER NOT NULL,
  struck_at INTEGER,
  struck_reason TEXT
) STRICT;

CREATE TABLE channel (
  id INTEGER PRIMARY KEY,
  run INTEGER NOT NULL REFERENCES run (id),
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  unit TEXT NOT NULL,
  UNIQUE (run, position)
) STRICT;

CREATE TABLE block (
  channel INTEGER NOT NULL REFERENCES channel (id),
  level INTEGER NOT NULL,
  number INTEGER NOT NULL,
  figures BLOB NOT NULL,
  PRIMARY KEY (channel, level, number)
) STRICT, WITHOUT ROWID;

CREATE TABLE calibration (
  id INTEGER PRIMARY KEY,
  at INTEGER NOT NULL,
  quantity TEXT NOT NULL,
  scale REAL NOT NULL,
  uncertainty REAL NOT NULL,
  runs TEXT NOT NULL,
  accepted INTEGER,
  struck_at INTEGER,
  struck_reason TEXT
) STRICT;
