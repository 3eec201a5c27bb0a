import { waysOfWorking, type Plan } from '@grey-keel/model';
import { aPlan, aTransducer } from '../testing/sample-plan.ts';
import { transmitsInVain, usefulWays } from './useful-ways.ts';

const plan = (cruiseSpeedMps: number, ...used: (keyof Plan['ways'])[]): Plan => ({
  ...aPlan(),
  boat: { ...aPlan().boat, cruiseSpeedMps },
  ways: Object.fromEntries(used.map((way) => [way, true])),
});
const sides = aTransducer({ kind: 'side-scan' });
const ahead = aTransducer({ mounting: 'bow motor', loweredIn: { anchored: true } });

describe('the ways a unit is of use in', () => {
  it('are those the boat uses afloat: a sounder in the hull in all of them, and never on the trailer', () => {
    expect(usefulWays(plan(12, 'running', 'trolling', 'trailer'), aTransducer())).toEqual({
      running: true,
      trolling: true,
    });
    expect(usefulWays(plan(12), aTransducer())).toEqual({});
  });

  it('leave out a side-scan at speed, and what is not lowered', () => {
    expect(usefulWays(plan(12, 'running', 'searching'), sides)).toEqual({ searching: true });
    expect(usefulWays(plan(4, 'running', 'searching'), sides)).toEqual({ running: true, searching: true });
    expect(usefulWays(plan(12, 'running', 'anchored', 'casting'), ahead)).toEqual({ anchored: true });
  });

  it('say why not, in every way they leave out', () => {
    const all = plan(12, ...waysOfWorking);
    for (const unit of [sides, ahead])
      for (const way of waysOfWorking.filter((one) => one !== 'trailer'))
        expect(transmitsInVain(all, unit, way) === null)
          .withContext(way)
          .toBe(usefulWays(all, unit)[way] === true);
    expect(transmitsInVain(all, ahead, 'running')).toContain('out of the water');
    expect(transmitsInVain(all, sides, 'running')).toContain('speed');
  });
});
