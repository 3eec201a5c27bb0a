CREATE TABLE photographs (
  id TEXT PRIMARY KEY,
  -- JPEG; it never changes under its id.
  bytes BLOB NOT NULL,
  made_at TEXT NOT NULL
);
