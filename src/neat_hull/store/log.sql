-- name: trips
SELECT id AS trip_id, on_day, hours, water = 'salt' AS salt, boat_id
  FROM trip
 ORDER BY on_day, coalesce(out_at, ''), id;

-- name: items
SELECT thing_id, group_concat(trip_id) AS trips, group_concat(coalesce(uses, '')) AS uses,
       group_concat(out_of_reach + 2 * broke + 4 * wet + 8 * lost) AS wrong
  FROM trip_thing
 GROUP BY thing_id;

-- name: stood
SELECT trip_id, x_m, y_m, z_m, turn_deg
  FROM trip_thing WHERE thing_id = :thing_id AND x_m IS NOT NULL;

-- name: packs
SELECT thing_id, trip_id, start_share, left_share, went_dark FROM trip_pack;

-- name: rows
SELECT trip.id AS trip_id, on_day, out_at, hours, place, water, setup,
       trip.more ->> '$.note' AS note,
       count(trip_thing.thing_id) AS aboard,
       count(trip_thing.uses) AS said,
       count(CASE WHEN trip_thing.uses <> '0' THEN 1 END) AS used
  FROM trip LEFT JOIN trip_thing ON trip_thing.trip_id = trip.id
 GROUP BY trip.id
 ORDER BY on_day DESC, coalesce(out_at, '') DESC, trip.id DESC;

-- name: troubles
SELECT trip_id, name
  FROM trip_thing
 WHERE out_of_reach OR broke OR wet OR lost
 ORDER BY trip_id, thing_id;

-- name: one
SELECT id AS trip_id, on_day, out_at, hours, place, water, setup_id, revision, setup, more
  FROM trip WHERE id = :trip_id;

-- name: of_one
SELECT thing_id, name, uses, out_of_reach, broke, wet, lost, note
  FROM trip_thing WHERE trip_id = :trip_id ORDER BY thing_id;

-- name: stood_of_one
SELECT thing_id, x_m, y_m, z_m, turn_deg
  FROM trip_thing WHERE trip_id = :trip_id AND x_m IS NOT NULL ORDER BY thing_id;

-- name: packs_of_one
SELECT thing_id, start_share, left_share, went_dark
  FROM trip_pack WHERE trip_id = :trip_id ORDER BY thing_id;

-- name: same_day
SELECT id AS trip_id, out_at, hours
  FROM trip
 WHERE on_day = :on_day AND water = :water AND setup = :setup AND id <> :but
 ORDER BY id;

-- name: add
INSERT INTO trip (on_day, out_at, hours, place, water, setup_id, boat_id, revision, setup,
                  setup_body, more)
VALUES (:on_day, :out_at, :hours, :place, :water, :setup_id, :boat_id, :revision, :setup,
        :setup_body, :more);

-- name: change
UPDATE trip
   SET on_day = :on_day, out_at = :out_at, hours = :hours, place = :place, water = :water,
       more = :more
 WHERE id = :trip_id;

-- name: put_thing
INSERT INTO trip_thing (trip_id, thing_id, name, uses, out_of_reach, broke, wet, lost, note,
                        x_m, y_m, z_m, turn_deg)
VALUES (:trip_id, :thing_id, :name, :uses, :out_of_reach, :broke, :wet, :lost, :note,
        :x_m, :y_m, :z_m, :turn_deg);

-- name: mark
UPDATE trip_thing
   SET uses = :uses, out_of_reach = :out_of_reach, broke = :broke, wet = :wet, lost = :lost,
       note = :note
 WHERE trip_id = :trip_id AND thing_id = :thing_id;

-- name: drop_packs
DELETE FROM trip_pack WHERE trip_id = :trip_id;

-- name: put_pack
INSERT INTO trip_pack (trip_id, thing_id, start_share, left_share, went_dark)
VALUES (:trip_id, :thing_id, :start_share, :left_share, :went_dark);

-- name: drop
DELETE FROM trip WHERE id = :trip_id;

-- name: care
SELECT what, thing_id, boat_id, sequence, every_trips, every_salt, every_hours, every_months,
       done_on
  FROM care
 ORDER BY id;

-- name: put_care
INSERT INTO care (what, thing_id, boat_id, every_trips, every_salt, every_hours, every_months,
                  done_on)
VALUES (:what, :thing_id, :boat_id, :every_trips, :every_salt, :every_hours, :every_months,
        :done_on)
ON CONFLICT (what, coalesce(thing_id, 0), coalesce(boat_id, 0)) DO UPDATE
   SET every_trips = excluded.every_trips, every_salt = excluded.every_salt,
       every_hours = excluded.every_hours, every_months = excluded.every_months,
       done_on = excluded.done_on, sequence = sequence + 1;
