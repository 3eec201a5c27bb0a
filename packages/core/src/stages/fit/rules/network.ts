import type { Rule } from '../../../findings/rule.ts';
import {
  backboneFuse,
  backboneLoad,
  backboneLong,
  backboneVolts,
  dropLong,
  dropsLong,
  oneSupply,
  terminators,
} from './backbone.ts';
import { beamOff, notConnected, socketCannotDrive, socketTaken, socketWrong, takenAlong } from './sockets.ts';

export const networkRules: readonly Rule<'fit'>[] = [
  socketWrong,
  socketCannotDrive,
  beamOff,
  terminators,
  oneSupply,
  notConnected,
  socketTaken,
  takenAlong,
  backboneLong,
  dropLong,
  dropsLong,
  backboneLoad,
  backboneFuse,
  backboneVolts,
];
