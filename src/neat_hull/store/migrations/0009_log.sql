-- Trips as they were told afterwards. They belong to their owner: undoing a setup never touches
-- them, and setup_body keeps the setup as it was that day.
CREATE TABLE trip (
    id INTEGER PRIMARY KEY,
    on_day TEXT NOT NULL,
    out_at TEXT,
    hours REAL NOT NULL CHECK (hours > 0),
    place TEXT NOT NULL DEFAULT '',
    water TEXT NOT NULL CHECK (water IN ('fresh', 'salt')),
    setup_id INTEGER REFERENCES setup (id),
    boat_id INTEGER REFERENCES boat (id),
    revision INTEGER,
    setup TEXT NOT NULL DEFAULT '',
    setup_body TEXT CHECK (setup_body IS NULL OR json_valid(setup_body)),
    more TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(more))
) STRICT;

CREATE INDEX trip_by_day ON trip (on_day);

-- All that was aboard and where; uses is null where nobody said. An item may be deleted and come
-- back by undo, and finds its trips again: so no reference, and its name of then.
CREATE TABLE trip_thing (
    trip_id INTEGER NOT NULL REFERENCES trip (id) ON DELETE CASCADE,
    thing_id INTEGER NOT NULL,
    name TEXT NOT NULL,
    uses TEXT CHECK (uses IN ('0', '1-3', '4-15', 'more')),
    out_of_reach INTEGER NOT NULL DEFAULT 0,
    broke INTEGER NOT NULL DEFAULT 0,
    wet INTEGER NOT NULL DEFAULT 0,
    lost INTEGER NOT NULL DEFAULT 0,
    note TEXT NOT NULL DEFAULT '',
    x_m REAL,
    y_m REAL,
    z_m REAL,
    turn_deg REAL,
    PRIMARY KEY (trip_id, thing_id)
) STRICT, WITHOUT ROWID;

-- With all that is said of an item, so that a season is read without looking up a row.
CREATE INDEX trip_thing_by_thing
    ON trip_thing (thing_id, trip_id, uses, out_of_reach, broke, wet, lost);

CREATE TABLE trip_pack (
    trip_id INTEGER NOT NULL REFERENCES trip (id) ON DELETE CASCADE,
    thing_id INTEGER NOT NULL,
    start_share REAL NOT NULL DEFAULT 1 CHECK (start_share BETWEEN 0 AND 1),
    left_share REAL CHECK (left_share BETWEEN 0 AND 1),
    went_dark INTEGER NOT NULL DEFAULT 0,
    PRIMARY KEY (trip_id, thing_id)
) STRICT, WITHOUT ROWID;

-- What is looked after, where it is not as usual or was done once.
CREATE TABLE care (
    id INTEGER PRIMARY KEY,
    what TEXT NOT NULL,
    thing_id INTEGER,
    boat_id INTEGER REFERENCES boat (id),
    every_trips INTEGER CHECK (every_trips > 0),
    every_salt INTEGER CHECK (every_salt > 0),
    every_hours REAL CHECK (every_hours > 0),
    every_months INTEGER CHECK (every_months > 0),
    done_on TEXT,
    sequence INTEGER NOT NULL DEFAULT 0
) STRICT;

CREATE UNIQUE INDEX care_once ON care (what, coalesce(thing_id, 0), coalesce(boat_id, 0));

-- Lines of checklists that are their owner's: own_text, or a made line by its key that is hidden.
CREATE TABLE list_line (
    id INTEGER PRIMARY KEY,
    setup_id INTEGER NOT NULL REFERENCES setup (id),
    list TEXT NOT NULL,
    line TEXT,
    own_text TEXT,
    hidden INTEGER NOT NULL DEFAULT 0
) STRICT;
