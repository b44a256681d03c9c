-- name: ticks
SELECT ticks FROM clock WHERE one = 1;

-- name: tick
UPDATE clock SET ticks = ticks + 1 WHERE one = 1;

-- name: list
SELECT setup.id, setup.name, boat.body ->> 'name' AS boat, setup.saved_at, setup.archived
  FROM setup JOIN boat ON boat.id = setup.boat_id
 ORDER BY setup.archived, setup.id;

-- name: one
SELECT setup.*, boat.body AS boat, angler.body AS angler
  FROM setup
  JOIN boat ON boat.id = setup.boat_id
  JOIN angler ON angler.id = setup.angler_id
 WHERE setup.id = :setup_id;

-- name: places
SELECT * FROM place WHERE setup_id = :setup_id;

-- name: labels
SELECT (SELECT label FROM step WHERE setup_id = :setup_id AND number = :done) AS undo,
       (SELECT label FROM step WHERE setup_id = :setup_id AND number = :done + 1) AS redo;

-- name: add_boat
INSERT INTO boat (body) VALUES (:body);

-- name: add_angler
INSERT INTO angler (body) VALUES (:body);

-- name: add
INSERT INTO setup (name, boat_id, angler_id, water, seat, day, more, saved_at)
VALUES (:name, :boat_id, :angler_id, :water, :seat, :day, :more, :now);

-- name: elsewhere
SELECT here.thing_id, other.id AS setup_id, other.name
  FROM setup AS mine
  JOIN setup AS other ON other.day = mine.day AND other.id <> mine.id AND NOT other.archived
  JOIN place AS here ON here.setup_id = mine.id
  JOIN place AS there ON there.setup_id = other.id AND there.thing_id = here.thing_id
 WHERE mine.id = :setup_id
 ORDER BY here.thing_id, other.id;

-- name: holding
SELECT place.more ->> '$.on.name' AS part, thing.name AS thing, setup.name AS setup
  FROM place
  JOIN setup ON setup.id = place.setup_id
  JOIN thing ON thing.id = place.thing_id
 WHERE setup.boat_id = :boat_id AND setup.id <> :setup_id
   AND place.more ->> '$.on.kind' = :kind
 ORDER BY setup.id, thing.id;

-- name: anglers
SELECT id, body FROM angler ORDER BY id;
