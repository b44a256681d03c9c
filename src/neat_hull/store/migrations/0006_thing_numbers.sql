-- Gives every thing a number of its own, once: no two adders get the same, and none comes again.
CREATE TABLE thing_number (
    id INTEGER PRIMARY KEY AUTOINCREMENT
) STRICT;

INSERT INTO thing_number (id)
SELECT max(
    (SELECT coalesce(max(id), 0) FROM thing),
    (SELECT coalesce(max(change.value ->> '$.key'), 0)
       FROM step, json_each(step.changes) AS change
      WHERE change.value ->> '$.kind' = 'thing')
) + 1;

-- A thing that comes with a number, as in the demo, takes it from those to be given.
CREATE TRIGGER thing_numbered AFTER INSERT ON thing BEGIN
    INSERT OR IGNORE INTO thing_number (id) VALUES (new.id);
END;
