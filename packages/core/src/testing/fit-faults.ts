import { hullFaults } from './hull-faults.ts';
import { networkFaults } from './network-faults.ts';
import { powerFaults } from './power-faults.ts';
import type { Fault } from './sound-boat.ts';
import { sourceFaults } from './source-faults.ts';

/** Faults of fit, wires and sources, by the id of the rule that has to speak, once. */
export const fitFaults: Readonly<Record<string, Fault>> = {
  ...hullFaults,
  ...powerFaults,
  ...networkFaults,
  ...sourceFaults,
};
