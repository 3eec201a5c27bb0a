import { calibrationKinds, type Plan } from '@grey-keel/model';

/** Takes away what hangs on a transducer or a piece of equipment that goes: how it is listed, and how it was calibrated. */
export const forgetSensor = (plan: Plan, id: string): void => {
  delete plan.sources[id];
  for (const kind of calibrationKinds) delete plan.calibrations[kind][id];
};
