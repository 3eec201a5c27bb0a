import type { Edit, Plan } from '@grey-keel/model';
import { depthOffsetOf, readingSetTo, readingSoundSpeedMps, readingWater } from './depth-offset-subject.ts';

/**
 * What goes on record with the first reading of a transducer: the water it is taken in, and what the display is set to.
 * Both would otherwise follow the plan, and an old reading would be judged by a water it was never in. No edit where
 * readings are there already, or no water is described.
 */
export const conditionsOfFirstReading = (plan: Plan, transducerId: string): Edit[] => {
  const { readings, takenIn, displaySetTo, soundSpeedAssumedMps } = depthOffsetOf(plan, transducerId);
  const water = readingWater(plan, transducerId);
  if (Object.keys(readings).length > 0 || !water) return [];
  const setTo = readingSetTo(plan, transducerId);
  const known = displaySetTo !== undefined || soundSpeedAssumedMps !== null || setTo === null;
  return [
    {
      type: 'describeDepthOffset',
      transducerId,
      changes: {
        takenIn: takenIn ?? water,
        ...(known
          ? {}
          : {
              displaySetTo: setTo,
              soundSpeedAssumedMps: setTo === 'own figure' ? readingSoundSpeedMps(plan, transducerId) : null,
            }),
      },
    },
  ];
};
