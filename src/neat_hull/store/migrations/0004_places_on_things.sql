-- more: what a thing is placed on, and the rest of its place, as one document; see model.setup.
ALTER TABLE place ADD COLUMN more TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(more));
-- day: when the setup goes out, as an ISO date; more: the rest of it, as one document.
ALTER TABLE setup ADD COLUMN day TEXT;
ALTER TABLE setup ADD COLUMN more TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(more));
-- A picture stays as it came; a thing names it by id, so that a change of pictures can be undone.
CREATE TABLE photo (
    id INTEGER PRIMARY KEY,
    body BLOB NOT NULL
) STRICT;
