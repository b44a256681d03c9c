-- Keys of changes that were made: one that is sent again, for its answer was lost, is not made twice.
CREATE TABLE made_change (
    id INTEGER PRIMARY KEY,
    key TEXT NOT NULL UNIQUE
) STRICT;
