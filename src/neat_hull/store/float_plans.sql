-- name: one
SELECT body FROM float_plan WHERE setup_id = :setup_id;

-- name: keep
INSERT INTO float_plan (setup_id, body) VALUES (:setup_id, :body)
ON CONFLICT (setup_id) DO UPDATE SET body = excluded.body;
