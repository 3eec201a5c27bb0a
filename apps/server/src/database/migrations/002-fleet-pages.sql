-- What the fleet is searched, filtered and put in order by. Filled when a boat's line is made anew.
ALTER TABLE boats ADD COLUMN sought TEXT NOT NULL DEFAULT '';
ALTER TABLE boats ADD COLUMN name_order TEXT NOT NULL DEFAULT '';
ALTER TABLE boats ADD COLUMN water_order TEXT NOT NULL DEFAULT '';
ALTER TABLE boats ADD COLUMN stops INTEGER NOT NULL DEFAULT 0;
ALTER TABLE boats ADD COLUMN checks INTEGER NOT NULL DEFAULT 0;
ALTER TABLE boats ADD COLUMN next_stage INTEGER NOT NULL DEFAULT 0;
UPDATE boats SET name_order = lower(name), sought = lower(name);
DROP INDEX boats_by_name;
-- With the words in it, a search reads this index alone.
CREATE INDEX boats_by_name ON boats (removed_at, name_order, id, sought);
CREATE INDEX boats_by_finding ON boats (removed_at, stops, checks, name_order, id);
CREATE INDEX boats_by_next ON boats (removed_at, next_stage, name_order, id);
CREATE INDEX boats_by_water ON boats (removed_at, water_order, name_order, id);
CREATE INDEX boats_by_change ON boats (removed_at, kept_at, id);
CREATE INDEX boats_by_version ON boats (removed_at, entry_version);
