-- The plan version a revision was written in, and what it changed in the plan as patches, which need no code of that
-- version to be put in again. 0 and null: a revision from before this was stored, of plan version 12 or older.
ALTER TABLE revisions ADD COLUMN plan_version INTEGER NOT NULL DEFAULT 0;
ALTER TABLE revisions ADD COLUMN patches TEXT;
