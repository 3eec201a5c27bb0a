import type { Rule } from '../../../findings/rule.ts';
import { chargedOver, dayTooLong, evenOut, packChargedOver, startsOut } from './batteries.ts';
import {
  circuitLoose,
  fuseFar,
  fuseMissing,
  fuseNearLoad,
  fuseOverWire,
  fuseUnderLoad,
  wireDrop,
  wireDropWorst,
} from './circuits.ts';

export const powerRules: readonly Rule<'fit'>[] = [
  circuitLoose,
  wireDropWorst,
  fuseMissing,
  fuseOverWire,
  chargedOver,
  packChargedOver,
  wireDrop,
  fuseUnderLoad,
  fuseNearLoad,
  fuseFar,
  startsOut,
  dayTooLong,
  evenOut,
];
