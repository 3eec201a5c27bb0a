-- What a live recording lost while there was no room, and how many times of a log were no times.
ALTER TABLE recordings ADD COLUMN gaps TEXT NOT NULL DEFAULT '[]';
ALTER TABLE recordings ADD COLUMN bad_times INTEGER NOT NULL DEFAULT 0;
