-- name: all
SELECT id AS dated_id, thing_id, kind, due, every_months, last_done, sequence, uid, note
  FROM dated
 ORDER BY id;

-- name: one
SELECT thing_id, kind, due, every_months, last_done, note FROM dated WHERE id = :id;

-- name: add
INSERT INTO dated (thing_id, kind, due, every_months, last_done, uid, note)
VALUES (:thing_id, :kind, :due, :every_months, :last_done, :uid, :note);

-- name: change
UPDATE dated
   SET thing_id = :thing_id, kind = :kind, due = :due, every_months = :every_months,
       last_done = :last_done, note = :note, sequence = sequence + 1
 WHERE id = :id;

-- name: drop
DELETE FROM dated WHERE id = :id;
