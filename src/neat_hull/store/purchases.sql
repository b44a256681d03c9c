-- name: all
SELECT id AS purchase_id, thing_id, what, on_day, minor, resale_minor, ended
  FROM purchase
 ORDER BY on_day, id;

-- name: one
SELECT thing_id, what, on_day, minor, resale_minor, ended FROM purchase WHERE id = :id;

-- name: add
INSERT INTO purchase (thing_id, what, on_day, minor, resale_minor, ended)
VALUES (:thing_id, :what, :on_day, :minor, :resale_minor, :ended);

-- name: change
UPDATE purchase
   SET thing_id = :thing_id, what = :what, on_day = :on_day, minor = :minor,
       resale_minor = :resale_minor, ended = :ended
 WHERE id = :id;

-- name: drop
DELETE FROM purchase WHERE id = :id;
