-- What instruments said over a time: what is known of each recording, its channels, and their values in chunks.
CREATE TABLE recordings (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  came_from TEXT NOT NULL,
  state TEXT NOT NULL,
  simulated INTEGER NOT NULL DEFAULT 0,
  times_known TEXT NOT NULL DEFAULT 'arrival',
  started_at TEXT,
  lasted_s REAL NOT NULL DEFAULT 0,
  sentences INTEGER NOT NULL DEFAULT 0,
  wrong_checksum INTEGER NOT NULL DEFAULT 0,
  no_sentence INTEGER NOT NULL DEFAULT 0,
  not_read INTEGER NOT NULL DEFAULT 0,
  bytes INTEGER NOT NULL DEFAULT 0,
  made_at TEXT NOT NULL,
  removed_at TEXT
);
CREATE TABLE recording_channels (
  recording_id TEXT NOT NULL REFERENCES recordings (id) ON DELETE CASCADE,
  channel INTEGER NOT NULL,
  talker TEXT NOT NULL,
  type TEXT NOT NULL,
  quantity TEXT NOT NULL,
  samples INTEGER NOT NULL DEFAULT 0,
  PRIMARY KEY (recording_id, channel)
);
CREATE TABLE recording_chunks (
  recording_id TEXT NOT NULL REFERENCES recordings (id) ON DELETE CASCADE,
  channel INTEGER NOT NULL,
  part INTEGER NOT NULL,
  from_s REAL NOT NULL,
  to_s REAL NOT NULL,
  samples INTEGER NOT NULL,
  -- Seconds since the recording began, and the values: eight bytes each.
  times BLOB NOT NULL,
  figures BLOB NOT NULL,
  PRIMARY KEY (recording_id, channel, part)
);
