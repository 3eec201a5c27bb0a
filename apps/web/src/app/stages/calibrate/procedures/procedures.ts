import type { CalibrationKind } from '@grey-keel/model';
import { antennaProcedure } from './antenna.ts';
import { batteryProcedure } from './battery.ts';
import { deviationProcedure } from './deviation.ts';
import { headingProcedure } from './heading.ts';
import { noiseProcedure } from './noise.ts';
import { pointingProcedure } from './pointing.ts';
import { rangeProcedure } from './range.ts';
import { sidesProcedure } from './sides.ts';
import { soundSpeedProcedure } from './sound-speed.ts';
import { speedProcedure } from './speed.ts';
import { stepProcedure } from './step.ts';
import { temperatureProcedure } from './temperature.ts';
import { tiltProcedure } from './tilt.ts';
import type { Procedure } from './procedure.ts';

/** How each kind is done here, in the order in which they are listed. */
export const procedures: Readonly<Record<CalibrationKind, Procedure>> = {
  step: stepProcedure,
  'sound speed': soundSpeedProcedure,
  speed: speedProcedure,
  temperature: temperatureProcedure,
  heading: headingProcedure,
  deviation: deviationProcedure,
  sides: sidesProcedure,
  pointing: pointingProcedure,
  range: rangeProcedure,
  tilt: tiltProcedure,
  antenna: antennaProcedure,
  noise: noiseProcedure,
  battery: batteryProcedure,
};
