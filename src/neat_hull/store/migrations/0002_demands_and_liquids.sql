-- demands: the numbers that demands are asked with; null asks for typical ones.
ALTER TABLE setup ADD COLUMN demands TEXT CHECK (demands IS NULL OR json_valid(demands));
-- sloshes: holds a liquid that can run from side to side.
ALTER TABLE thing ADD COLUMN sloshes INTEGER NOT NULL DEFAULT 0 CHECK (sloshes IN (0, 1));
