-- What a thing is and does stands in aspects, a parent in a tagged shape, a rule's name in its code;
-- see model.upcast, which does the work. History is brought up with the rows, so that it can still
-- be gone back in. brought_up(kind, row) takes a row as JSON.
UPDATE boat SET body = brought_up('boat', body);

UPDATE thing
   SET more = json_remove(
           brought_up('thing', json_patch(more, json_object(
               'name', name, 'shape', shape, 'mass_kg', mass_kg, 'evidence', evidence,
               'length_m', length_m, 'width_m', width_m, 'height_m', height_m,
               'sloshes', json(iif(sloshes, 'true', 'false'))))),
           '$.name', '$.shape', '$.mass_kg', '$.evidence', '$.length_m', '$.width_m', '$.height_m');

UPDATE place SET more = brought_up('place', more);

-- The numbers of demands stand with the other sections.
UPDATE setup
   SET more = brought_up('setup', json_set(more, '$.demands', json(coalesce(demands, '{}'))));

UPDATE step SET changes = brought_up('step', changes);

ALTER TABLE thing DROP COLUMN sloshes;
ALTER TABLE setup DROP COLUMN demands;
