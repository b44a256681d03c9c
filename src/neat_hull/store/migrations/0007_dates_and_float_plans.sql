-- What runs out or wants service. It belongs to its owner, not to a setup: undo never touches it. A
-- thing that is struck off may come back by undo, and finds its dates again: so no reference.
CREATE TABLE dated (
    id INTEGER PRIMARY KEY,
    thing_id INTEGER,
    kind TEXT NOT NULL,
    due TEXT,
    every_months INTEGER,
    last_done TEXT,
    sequence INTEGER NOT NULL DEFAULT 0,
    uid TEXT NOT NULL UNIQUE,
    note TEXT NOT NULL DEFAULT ''
) STRICT;

-- The page that is left with a person; with telephone numbers, so in no file of a setup.
CREATE TABLE float_plan (
    setup_id INTEGER PRIMARY KEY REFERENCES setup (id),
    body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;
