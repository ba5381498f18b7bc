ALTER TABLE reading ADD COLUMN instrument TEXT NOT NULL DEFAULT 'unknown';

CREATE INDEX reading_by_instrument ON reading (instrument);
