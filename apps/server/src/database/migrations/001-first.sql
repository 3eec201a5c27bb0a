CREATE TABLE boats (
  id TEXT PRIMARY KEY,
  number INTEGER NOT NULL,
  name TEXT NOT NULL,
  entry TEXT NOT NULL,
  entry_version INTEGER NOT NULL,
  made_at TEXT NOT NULL,
  kept_at TEXT NOT NULL,
  removed_at TEXT
);
CREATE INDEX boats_by_name ON boats (removed_at, name);

CREATE TABLE revisions (
  boat_id TEXT NOT NULL REFERENCES boats (id) ON DELETE CASCADE,
  number INTEGER NOT NULL,
  revision_id TEXT NOT NULL UNIQUE,
  edits TEXT NOT NULL,
  paths TEXT NOT NULL,
  kept_at TEXT NOT NULL,
  PRIMARY KEY (boat_id, number)
);
CREATE TRIGGER revisions_only_grow BEFORE UPDATE ON revisions
BEGIN
  SELECT RAISE(ABORT, 'Revisions are never overwritten.');
END;

CREATE TABLE snapshots (
  boat_id TEXT NOT NULL REFERENCES boats (id) ON DELETE CASCADE,
  number INTEGER NOT NULL,
  plan TEXT NOT NULL,
  PRIMARY KEY (boat_id, number)
);
CREATE TRIGGER snapshots_only_grow BEFORE UPDATE ON snapshots
BEGIN
  SELECT RAISE(ABORT, 'Snapshots are never overwritten.');
END;

CREATE TABLE catalogue_entries (
  id TEXT NOT NULL,
  version INTEGER NOT NULL,
  shipped INTEGER NOT NULL,
  item TEXT NOT NULL,
  PRIMARY KEY (id, version)
);

CREATE TABLE settings (
  name TEXT PRIMARY KEY,
  value TEXT NOT NULL
);
