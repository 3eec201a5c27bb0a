import type { Boat, Water } from '@grey-keel/model';

/** What the brief asks of the boat, in the order it is asked; each can be found by its name. */
export const boatFields = [
  'name',
  'lengthM',
  'beamM',
  'draughtM',
  'hullForm',
  'hullMaterial',
  'propulsion',
  'bowMotor',
  'cruiseSpeedMps',
  'topSpeedMps',
  'systemVoltageV',
  'deadriseDeg',
  'runningTrimDeg',
  'bowHeightM',
] as const satisfies readonly (keyof Boat)[];

/** And of each water. */
export const waterFields = [
  'name',
  'kind',
  'salinityPpt',
  'temperatureC',
  'coldestC',
  'warmestC',
  'shallowestM',
  'usualDeepestM',
  'greatestM',
  'clarity',
] as const satisfies readonly (keyof Water)[];
