import type { Plan, SettingValue } from '@grey-keel/model';
import fc from 'fast-check';
import { aPlan, edited } from '../testing/sample-plan.ts';
import { enters } from '../testing/set-at.ts';
import { offsetForDisplay } from './offset-for-display.ts';

const showing = (unit: SettingValue<'depth-display'>['unit'], step: number): Plan =>
  edited(aPlan(), enters('helm', 'depth-display', { unit, step }));

describe('an offset as a display takes it', () => {
  it('is the next step of its own unit that shows less water', () => {
    const feet = showing('ft', 0.5);
    // 0.42 m is 1.378 ft: 1 ft is the step under it; under the water line -0.42 m goes down to -1.5 ft.
    expect(offsetForDisplay(feet, 'a-wide', 0.42)).toBeCloseTo(0.3048, 9);
    expect(offsetForDisplay(feet, 'a-wide', -0.42)).toBeCloseTo(-0.4572, 9);
    expect(offsetForDisplay(showing('m', 0.1), 'a-wide', 0.4)).toBe(0.4);
  });

  it('is by the step its readings were taken with where nobody looked at the display', () => {
    const plan = edited(aPlan(), {
      type: 'describeDepthOffset',
      transducerId: 'a-wide',
      changes: { displayResolutionM: 0.05 },
    });
    const unseen = { ...plan, units: {} };
    expect(offsetForDisplay(unseen, 'a-wide', 0.44)).toBeCloseTo(0.4, 9);
  });

  it('never shows more water than was measured, is never a whole step off, and is taken as it is the second time', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.constantFrom<readonly ['m' | 'ft' | 'fathom', number, number]>(
          ['m', 0.1, 1],
          ['ft', 0.1, 0.3048],
          ['ft', 1, 0.3048],
          ['fathom', 0.5, 1.8288],
        ),
        (offsetM, [depthUnit, depthStep, metres]) => {
          const plan = showing(depthUnit, depthStep);
          const taken = offsetForDisplay(plan, 'a-wide', offsetM);
          expect(taken).toBeLessThanOrEqual(offsetM + 1e-6);
          expect(taken).toBeGreaterThan(offsetM - depthStep * metres - 1e-6);
          expect(offsetForDisplay(plan, 'a-wide', taken)).toBeCloseTo(taken, 7);
        },
      ),
    );
  });
});
