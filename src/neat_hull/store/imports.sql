-- name: same_boat
SELECT id FROM boat WHERE json(body) = json(:body);

-- name: same_angler
SELECT id FROM angler WHERE json(body) = json(:body);

-- name: names
SELECT name FROM setup;

-- name: archive
UPDATE setup SET archived = :archived WHERE id = :setup_id;
