import { inOrder, type Measurement } from '@grey-keel/core';
import type { CalibrationKind, CalibrationOf, Figure, TakenFrom } from '@grey-keel/model';

/** One reading of a sensor as it is listed, with what was made of it. */
export interface SensorRow {
  readonly id: string;
  readonly place: number;
  readonly recorded: boolean;
  /** Its figures by their names in the plan. */
  readonly figures: Readonly<Record<string, number | null>>;
  readonly leftOut: boolean;
  readonly from: TakenFrom | null;
  readonly left: Figure | null;
  readonly apart: boolean;
}

/** A reading as it is stored, of whatever kind. */
interface Stored {
  readonly leftOut: boolean;
  readonly from?: TakenFrom | undefined;
}

/** The readings of a sensor in their order, with what the result leaves over of each. */
export const sensorRows = (
  { readings }: Pick<CalibrationOf<CalibrationKind>, 'readings'>,
  measurement: Measurement | null,
): SensorRow[] =>
  inOrder(readings as Readonly<Record<string, Stored>>).map(([id, { leftOut, from, ...figures }], i) => ({
    id,
    place: i + 1,
    recorded: true,
    figures: figures,
    leftOut,
    from: from ?? null,
    left: (measurement?.known && measurement.residuals.find((one) => one.id === id)?.left) || null,
    apart: (measurement?.known && measurement.apart.includes(id)) || false,
  }));
