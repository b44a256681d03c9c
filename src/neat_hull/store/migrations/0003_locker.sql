-- more: what a thing is told beyond weight and size, as one document; see model.thing.
ALTER TABLE thing ADD COLUMN more TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(more));
-- archived setups are out of the way, not gone.
ALTER TABLE setup ADD COLUMN archived INTEGER NOT NULL DEFAULT 0 CHECK (archived IN (0, 1));
