-- name: is_made
SELECT 1 FROM made_change WHERE key = :key;

-- name: make
INSERT INTO made_change (key) VALUES (:key);

-- name: forget_old
DELETE FROM made_change WHERE id <= (SELECT max(id) FROM made_change) - :keep;
