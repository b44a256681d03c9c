-- name: all
SELECT list, line FROM tick WHERE setup_id = :setup_id ORDER BY list, line;

-- name: set
INSERT INTO tick (setup_id, list, line) VALUES (:setup_id, :list, :line) ON CONFLICT DO NOTHING;

-- name: unset
DELETE FROM tick WHERE setup_id = :setup_id AND list = :list AND line = :line;

-- name: clear
DELETE FROM tick WHERE setup_id = :setup_id AND list = :list;
