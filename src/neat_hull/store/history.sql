-- name: at
SELECT revision, done FROM setup WHERE id = :setup_id;

-- name: forget_undone
DELETE FROM step WHERE setup_id = :setup_id AND number > :done;

-- name: add
INSERT INTO step (setup_id, number, label, changes)
VALUES (:setup_id, :number, :label, :changes);

-- name: get
SELECT label, changes FROM step WHERE setup_id = :setup_id AND number = :number;

-- name: move
UPDATE setup SET revision = revision + 1, done = :done, saved_at = :now WHERE id = :setup_id;

-- name: shown
-- what others show has changed: a copy of it that they hold is old
UPDATE setup SET revision = revision + 1
 WHERE id <> :setup_id AND (:things OR boat_id = :boat_id OR angler_id = :angler_id);

-- name: steps
SELECT number, label FROM step WHERE setup_id = :setup_id ORDER BY number DESC LIMIT 500;
