-- name: all
SELECT id AS line_id, list, line, own_text FROM list_line WHERE setup_id = :setup_id ORDER BY id;

-- name: add
INSERT INTO list_line (setup_id, list, own_text) VALUES (:setup_id, :list, :own_text);

-- name: change
UPDATE list_line SET own_text = :own_text
 WHERE id = :line_id AND setup_id = :setup_id AND own_text IS NOT NULL;

-- name: drop
DELETE FROM list_line WHERE id = :line_id AND setup_id = :setup_id AND own_text IS NOT NULL;

-- name: show
DELETE FROM list_line WHERE setup_id = :setup_id AND list = :list AND line = :line;

-- name: hide
INSERT INTO list_line (setup_id, list, line, hidden) VALUES (:setup_id, :list, :line, 1);
