-- Setups that were made new, by the key of whoever asked: asked again, for the answer was lost, it is
-- the same one.
CREATE TABLE made_setup (
    id INTEGER PRIMARY KEY,
    key TEXT NOT NULL UNIQUE,
    setup_id INTEGER NOT NULL REFERENCES setup (id)
) STRICT;
