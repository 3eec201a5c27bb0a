import type { Edit } from '@grey-keel/model';
import { boat, transducer } from '../../../testing/fault-edits.ts';
import { aBeam } from '../../../testing/sample-plan.ts';
import type { Fault } from '../../../testing/sound-boat.ts';

/** Faults of what transmits, by the rule that has to speak, once. */
export const beamFaults: Readonly<Record<string, Fault>> = {
  'same-band': (_, random) => {
    const at = (kHz: number): Edit =>
      transducer('b-stern', { beams: [aBeam({ frequencyHz: 1000 * kHz, beamwidthDeg: 20 })] });
    return { faulty: [at(190 + 3 * random())], nearly: [at(random() < 0.5 ? 150 : 230)] };
  },
  'transmits-for-nothing: stowed, or too fast': (_, random) => {
    const running: Edit = { type: 'useWay', way: 'running', used: true };
    const on = (id: string): Edit => ({ type: 'transmitIn', id, way: 'running', transmits: true });
    return random() < 0.5
      ? {
          faulty: [running, on('d-ahead')],
          nearly: [running, on('d-ahead'), transducer('d-ahead', { loweredIn: { running: true, trolling: true } })],
        }
      : {
          faulty: [running, on('c-sides'), boat({ cruiseSpeedMps: 7.1 })],
          nearly: [running, on('c-sides'), boat({ cruiseSpeedMps: 7 })],
        };
  },
};
