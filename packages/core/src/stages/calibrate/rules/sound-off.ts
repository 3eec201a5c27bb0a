import { soundOff as soundOffOf } from '../../../calibration/sound-off.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';
import { depthGivers } from '../../../sources/depth-givers.ts';

/** A display works with another speed of sound than the water has: no one offset holds, whatever was measured. */
export const soundOff: Rule<'calibrate'> = {
  id: 'sound-off',
  stage: 'calibrate',
  severity: 'check',
  find: (plan) => {
    const off = depthGivers(plan).flatMap(({ id, name }) => {
      const one = soundOffOf(plan, id);
      return one ? [{ id, name, ...one }] : [];
    });
    // Once for each display, whatever it shows the depth of.
    return off
      .filter(({ stationId }, i) => stationId === null || off.findIndex((one) => one.stationId === stationId) === i)
      .map(({ id, name, stationId, share, looked, usedMps, waterMps, working }) => {
        const display = stationId === null ? undefined : plan.stations[stationId]?.name;
        return {
          subject: stationId ?? id,
          title: share > 0 ? 'Every depth is shown too deep' : 'Every depth is shown too shallow',
          reason: [
            `${display ?? name} ${looked ? 'is set to' : 'was set, when it was read, to'} `,
            figure(usedMps, 'soundSpeed'),
            ', the water has ',
            figure(waterMps, 'soundSpeed'),
            ': depths are off by ',
            figure(Math.abs(share), 'fraction'),
            ', and no offset mends that.',
          ],
          figure: figure(Math.abs(share), 'fraction'),
          working: [working],
          fix:
            stationId === null
              ? { label: 'Say what the display was set to', target: at('depthOffsets', id, 'displaySetTo') }
              : {
                  label: 'Set its water',
                  stage: 'sources' as const,
                  target: at('held', stationId, 'sound', stationId),
                },
        };
      });
  },
};
