import { calibrationKinds, type Plan } from '@grey-keel/model';

/** Takes away how something that goes was calibrated: a sensor, a station or a battery. */
export const forgetCalibrations = (plan: Plan, id: string): void => {
  for (const kind of calibrationKinds) delete plan.calibrations[kind][id];
};

/** Takes away what hangs on a transducer or a piece of equipment that goes: how it is listed, and how it was calibrated. */
export const forgetSensor = (plan: Plan, id: string): void => {
  delete plan.sources[id];
  forgetCalibrations(plan, id);
};
