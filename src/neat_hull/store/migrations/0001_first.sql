-- A thing belongs to its owner, not to a setup: it moves between boats and trips.
CREATE TABLE boat (
    id INTEGER PRIMARY KEY,
    body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;

CREATE TABLE angler (
    id INTEGER PRIMARY KEY,
    body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;

CREATE TABLE thing (
    id INTEGER PRIMARY KEY,
    name TEXT NOT NULL,
    shape TEXT NOT NULL,
    mass_kg REAL NOT NULL CHECK (mass_kg > 0),
    evidence TEXT NOT NULL,
    length_m REAL NOT NULL,
    width_m REAL NOT NULL,
    height_m REAL NOT NULL
) STRICT;

-- revision grows with every change, undo and redo included; done is the last step in force.
CREATE TABLE setup (
    id INTEGER PRIMARY KEY,
    name TEXT NOT NULL,
    boat_id INTEGER NOT NULL REFERENCES boat (id),
    angler_id INTEGER NOT NULL REFERENCES angler (id),
    water TEXT NOT NULL,
    seat TEXT NOT NULL CHECK (json_valid(seat)),
    revision INTEGER NOT NULL DEFAULT 1,
    done INTEGER NOT NULL DEFAULT 0,
    saved_at TEXT NOT NULL
) STRICT;

CREATE TABLE place (
    setup_id INTEGER NOT NULL REFERENCES setup (id),
    thing_id INTEGER NOT NULL REFERENCES thing (id),
    x_m REAL NOT NULL,
    y_m REAL NOT NULL,
    z_m REAL,
    turn_deg REAL NOT NULL,
    tilt_deg REAL NOT NULL,
    PRIMARY KEY (setup_id, thing_id)
) STRICT, WITHOUT ROWID;

-- One step of the history: rows before and after, as JSON, in the order they were written.
CREATE TABLE step (
    setup_id INTEGER NOT NULL REFERENCES setup (id),
    number INTEGER NOT NULL,
    label TEXT NOT NULL,
    changes TEXT NOT NULL CHECK (json_valid(changes)),
    PRIMARY KEY (setup_id, number)
) STRICT, WITHOUT ROWID;

-- Counts all changes of the file, so that a reader knows when what it holds is old.
CREATE TABLE clock (
    one INTEGER PRIMARY KEY CHECK (one = 1),
    ticks INTEGER NOT NULL
) STRICT;
INSERT INTO clock (one, ticks) VALUES (1, 0);
