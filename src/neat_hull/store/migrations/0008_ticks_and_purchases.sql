-- What was ticked off on a list of a setup: it belongs to the day, so undo never touches it.
CREATE TABLE tick (
    setup_id INTEGER NOT NULL REFERENCES setup (id),
    list TEXT NOT NULL,
    line TEXT NOT NULL,
    PRIMARY KEY (setup_id, list, line)
) STRICT, WITHOUT ROWID;

-- What was paid for a thing and what became of it, in whole minor units. It belongs to its owner,
-- not to a setup. A thing that is struck off may come back by undo, and finds it again: so no
-- reference.
CREATE TABLE purchase (
    id INTEGER PRIMARY KEY,
    thing_id INTEGER,
    what TEXT NOT NULL DEFAULT '',
    on_day TEXT,
    minor INTEGER NOT NULL CHECK (minor >= 0),
    resale_minor INTEGER NOT NULL DEFAULT 0 CHECK (resale_minor >= 0),
    ended TEXT NOT NULL DEFAULT 'kept'
        CHECK (ended IN ('kept', 'replaced', 'lost', 'sold', 'broke'))
) STRICT;
