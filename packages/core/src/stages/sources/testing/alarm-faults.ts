import type { Edit } from '@grey-keel/model';
import { enteredBy } from '../../../testing/entered-by.ts';
import { enters } from '../../../testing/set-at.ts';
import { between, type Fault } from '../../../testing/sound-boat.ts';

const set = (shallowM: number): Edit => enters('helm', 'shallow-alarm', shallowM);
const inFeet = enters('helm', 'depth-display', { unit: 'ft', step: 0.1 });
const hanging = (belowKeelM: number, diameterM: number): Edit => ({
  type: 'describeEquipment',
  id: 'a-propeller',
  changes: { propellerDiameterM: diameterM, aboveKeelM: diameterM / 2 - belowKeelM },
});

/** Alarms that call too late, by what touches first and how a display counts. */
export const alarmFaults: Readonly<Record<string, Fault>> = {
  // Half a metre of draught, a tolerance of a tenth, half a metre to act in, and what hangs below the keel.
  'alarm-shallow-late: the blades touch first': (_, random) => {
    const belowM = Math.round(100 * between(random, 0.2, 0.6)) / 100;
    const up = Math.ceil(10 * (1.1 + belowM) - 1e-6) / 10;
    return {
      faulty: [hanging(belowM, 0.3), set(up - 0.1)],
      nearly: [hanging(belowM, 0.3), set(up)],
    };
  },
  'alarm-shallow-late: in feet, rounded up': () => ({
    // 1.1 m is 3.61 ft: 3.7 is the next tenth of a foot.
    faulty: [inFeet, set(3.6 * 0.3048)],
    nearly: [inFeet, set(3.7 * 0.3048)],
  }),
  'alarm-shallow-late: by the fallback': (plan) => {
    // The fallback's offset is less sure: its tolerance is a metre.
    const wide = enteredBy(
      plan,
      [{ type: 'describeDepthOffset', transducerId: 'b-stern', changes: { toleranceM: 1 } }],
      'b-stern',
    ).slice(0, 1);
    return { faulty: [...wide, set(1.9)], nearly: [...wide, set(2)] };
  },
  'alarm-shallow-none': (plan, random) => {
    // Half a metre of draught; in ten seconds over five degrees the bottom comes up by 0.875 m for each metre a second.
    const runs = (cruiseSpeedMps: number): Edit[] => [
      { type: 'useWay', way: 'running', used: true },
      { type: 'describeBoat', changes: { cruiseSpeedMps, topSpeedMps: cruiseSpeedMps + 2 } },
      enters('helm', 'shallow-alarm', 'off'),
    ];
    const shallowest = (shallowestM: number): Edit => ({
      type: 'describeWater',
      id: plan.working.waterId!,
      changes: { shallowestM },
    });
    const reachM = 0.5 + 6 * 10 * Math.tan((5 * Math.PI) / 180);
    return {
      faulty: [...runs(6), shallowest(reachM - 0.1)],
      nearly: random() < 0.5 ? [...runs(6), shallowest(reachM + 0.1)] : [...runs(5), shallowest(2)],
    };
  },
  'alarm-no-time': () => {
    // Trolling at 1.3 m/s over ten degrees costs 0.229 m a second: 2 m over what touches leave 8.7 s, where 10 are needed.
    const slope: Edit = { type: 'setScene', changes: { slopeDeg: 10 } };
    return { faulty: [slope, set(2.6)], nearly: [slope, set(3)] };
  },
};
