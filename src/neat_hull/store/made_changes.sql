-- name: is_made
SELECT 1 FROM made_change WHERE key = :key;

-- name: make
INSERT INTO made_change (key) VALUES (:key);

-- name: forget_old
DELETE FROM made_change WHERE id <= (SELECT max(id) FROM made_change) - :keep;

-- name: made_setup
SELECT setup_id FROM made_setup WHERE key = :key;

-- name: make_setup
INSERT INTO made_setup (key, setup_id) VALUES (:key, :setup_id);

-- name: forget_old_setups
DELETE FROM made_setup WHERE id <= (SELECT max(id) FROM made_setup) - :keep;
