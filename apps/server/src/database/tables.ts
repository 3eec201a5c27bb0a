import {
  DataTypes,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

export interface BoatRow extends Model<InferAttributes<BoatRow>, InferCreationAttributes<BoatRow>> {
  id: string;
  number: number;
  name: string;
  /** The fleet's line about it, as JSON, so that a list needs no plans. */
  entry: string;
  entry_version: number;
  /** What the line is searched, filtered and put in order by. */
  sought: string;
  name_order: string;
  water_order: string;
  stops: number;
  checks: number;
  next_stage: number;
  made_at: string;
  kept_at: string;
  removed_at: CreationOptional<string | null>;
}
export interface RevisionRow extends Model<InferAttributes<RevisionRow>, InferCreationAttributes<RevisionRow>> {
  boat_id: string;
  number: number;
  revision_id: string;
  edits: string;
  paths: string;
  kept_at: string;
  plan_version: CreationOptional<number>;
  patches: CreationOptional<string | null>;
}
export interface SnapshotRow extends Model<InferAttributes<SnapshotRow>, InferCreationAttributes<SnapshotRow>> {
  boat_id: string;
  number: number;
  plan: string;
}
export interface CatalogueRow extends Model<InferAttributes<CatalogueRow>, InferCreationAttributes<CatalogueRow>> {
  id: string;
  version: number;
  shipped: boolean;
  item: string;
}

export interface SettingRow extends Model<InferAttributes<SettingRow>, InferCreationAttributes<SettingRow>> {
  name: string;
  value: string;
}

export interface RecordingRow extends Model<InferAttributes<RecordingRow>, InferCreationAttributes<RecordingRow>> {
  id: string;
  name: string;
  came_from: string;
  state: string;
  simulated: CreationOptional<boolean>;
  times_known: CreationOptional<string>;
  started_at: CreationOptional<string | null>;
  lasted_s: CreationOptional<number>;
  sentences: CreationOptional<number>;
  wrong_checksum: CreationOptional<number>;
  no_sentence: CreationOptional<number>;
  not_read: CreationOptional<number>;
  bad_times: CreationOptional<number>;
  gaps: CreationOptional<string>;
  bytes: CreationOptional<number>;
  made_at: string;
  removed_at: CreationOptional<string | null>;
}
export interface RecordingChannelRow extends Model<
  InferAttributes<RecordingChannelRow>,
  InferCreationAttributes<RecordingChannelRow>
> {
  recording_id: string;
  channel: number;
  talker: string;
  type: string;
  quantity: string;
  samples: number;
}
export interface RecordingChunkRow extends Model<
  InferAttributes<RecordingChunkRow>,
  InferCreationAttributes<RecordingChunkRow>
> {
  recording_id: string;
  channel: number;
  part: number;
  from_s: number;
  to_s: number;
  samples: number;
  times: Buffer;
  figures: Buffer;
}

export interface PhotographRow extends Model<InferAttributes<PhotographRow>, InferCreationAttributes<PhotographRow>> {
  id: string;
  bytes: Buffer;
  made_at: string;
}

export interface Tables {
  readonly boats: ModelStatic<BoatRow>;
  readonly revisions: ModelStatic<RevisionRow>;
  readonly snapshots: ModelStatic<SnapshotRow>;
  readonly catalogue: ModelStatic<CatalogueRow>;
  readonly settings: ModelStatic<SettingRow>;
  readonly recordings: ModelStatic<RecordingRow>;
  readonly recordingChannels: ModelStatic<RecordingChannelRow>;
  readonly recordingChunks: ModelStatic<RecordingChunkRow>;
  readonly photographs: ModelStatic<PhotographRow>;
}

// A fresh object each time: Sequelize writes into the ones it is given.
const text = () => ({ type: DataTypes.TEXT, allowNull: false });
const whole = () => ({ type: DataTypes.INTEGER, allowNull: false });
const key = { primaryKey: true } as const;
const real = () => ({ type: DataTypes.DOUBLE, allowNull: false });
const blob = () => ({ type: DataTypes.BLOB, allowNull: false });
const preset = (value: number | string) => ({ defaultValue: value });

/** The tables as the migrations made them; Sequelize never makes or alters one itself. */
export const defineTables = (sequelize: Sequelize): Tables => {
  const options = (tableName: string) => ({ tableName, timestamps: false });
  return {
    boats: sequelize.define<BoatRow>(
      'boat',
      {
        id: { ...text(), ...key },
        number: whole(),
        name: text(),
        entry: text(),
        entry_version: whole(),
        sought: text(),
        name_order: text(),
        water_order: text(),
        stops: whole(),
        checks: whole(),
        next_stage: whole(),
        made_at: text(),
        kept_at: text(),
        removed_at: DataTypes.TEXT,
      },
      options('boats'),
    ),
    revisions: sequelize.define<RevisionRow>(
      'revision',
      {
        boat_id: { ...text(), ...key },
        number: { ...whole(), ...key },
        revision_id: text(),
        edits: text(),
        paths: text(),
        kept_at: text(),
        plan_version: { ...whole(), ...preset(0) },
        patches: DataTypes.TEXT,
      },
      options('revisions'),
    ),
    snapshots: sequelize.define<SnapshotRow>(
      'snapshot',
      { boat_id: { ...text(), ...key }, number: { ...whole(), ...key }, plan: text() },
      options('snapshots'),
    ),
    recordings: sequelize.define<RecordingRow>(
      'recording',
      {
        id: { ...text(), ...key },
        name: text(),
        came_from: text(),
        state: text(),
        simulated: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
        times_known: { ...text(), ...preset('arrival') },
        started_at: DataTypes.TEXT,
        lasted_s: { ...real(), ...preset(0) },
        sentences: { ...whole(), ...preset(0) },
        wrong_checksum: { ...whole(), ...preset(0) },
        no_sentence: { ...whole(), ...preset(0) },
        not_read: { ...whole(), ...preset(0) },
        bad_times: { ...whole(), ...preset(0) },
        gaps: { ...text(), ...preset('[]') },
        bytes: { ...whole(), ...preset(0) },
        made_at: text(),
        removed_at: DataTypes.TEXT,
      },
      options('recordings'),
    ),
    recordingChannels: sequelize.define<RecordingChannelRow>(
      'recordingChannel',
      {
        recording_id: { ...text(), ...key },
        channel: { ...whole(), ...key },
        talker: text(),
        type: text(),
        quantity: text(),
        samples: whole(),
      },
      options('recording_channels'),
    ),
    recordingChunks: sequelize.define<RecordingChunkRow>(
      'recordingChunk',
      {
        recording_id: { ...text(), ...key },
        channel: { ...whole(), ...key },
        part: { ...whole(), ...key },
        from_s: real(),
        to_s: real(),
        samples: whole(),
        times: blob(),
        figures: blob(),
      },
      options('recording_chunks'),
    ),
    photographs: sequelize.define<PhotographRow>(
      'photograph',
      { id: { ...text(), ...key }, bytes: blob(), made_at: text() },
      options('photographs'),
    ),
    settings: sequelize.define<SettingRow>(
      'setting',
      { name: { ...text(), ...key }, value: text() },
      options('settings'),
    ),
    catalogue: sequelize.define<CatalogueRow>(
      'catalogueEntry',
      {
        id: { ...text(), ...key },
        version: { ...whole(), ...key },
        shipped: { type: DataTypes.BOOLEAN, allowNull: false },
        item: text(),
      },
      options('catalogue_entries'),
    ),
  };
};
