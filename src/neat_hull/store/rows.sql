-- name: get_setup
SELECT name, water, seat, day, more FROM setup WHERE id = :key;

-- name: put_setup
UPDATE setup SET name = :name, water = :water, seat = :seat, day = :day, more = :more
 WHERE id = :key;

-- name: get_boat
SELECT body FROM boat WHERE id = :key;

-- name: put_boat
UPDATE boat SET body = :body WHERE id = :key;

-- name: get_angler
SELECT body FROM angler WHERE id = :key;

-- name: put_angler
UPDATE angler SET body = :body WHERE id = :key;

-- name: get_crew
SELECT angler_id FROM setup WHERE id = :key;

-- name: put_crew
UPDATE setup SET angler_id = :angler_id WHERE id = :key;

-- name: all_things
SELECT * FROM thing ORDER BY id;

-- name: new_thing
INSERT INTO thing_number DEFAULT VALUES RETURNING id;

-- name: get_thing
SELECT name, shape, mass_kg, evidence, length_m, width_m, height_m, more FROM thing WHERE id = :key;

-- name: put_thing
INSERT INTO thing (id, name, shape, mass_kg, evidence, length_m, width_m, height_m, more)
VALUES (:key, :name, :shape, :mass_kg, :evidence, :length_m, :width_m, :height_m, :more)
ON CONFLICT (id) DO UPDATE
   SET name = excluded.name, shape = excluded.shape, mass_kg = excluded.mass_kg,
       evidence = excluded.evidence, length_m = excluded.length_m, width_m = excluded.width_m,
       height_m = excluded.height_m, more = excluded.more;

-- name: drop_thing
DELETE FROM thing WHERE id = :key;

-- name: get_place
SELECT x_m, y_m, z_m, turn_deg, tilt_deg, more FROM place WHERE setup_id = :setup_id AND thing_id = :key;

-- name: put_place
INSERT INTO place (setup_id, thing_id, x_m, y_m, z_m, turn_deg, tilt_deg, more)
VALUES (:setup_id, :key, :x_m, :y_m, :z_m, :turn_deg, :tilt_deg, :more)
ON CONFLICT (setup_id, thing_id) DO UPDATE
   SET x_m = excluded.x_m, y_m = excluded.y_m, z_m = excluded.z_m,
       turn_deg = excluded.turn_deg, tilt_deg = excluded.tilt_deg, more = excluded.more;

-- name: drop_place
DELETE FROM place WHERE setup_id = :setup_id AND thing_id = :key;
