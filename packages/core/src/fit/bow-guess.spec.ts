import { hullForms } from '@grey-keel/model';
import { aPlan } from '../testing/sample-plan.ts';
import { bowHeightM, runningTrimDeg } from './bow-guess.ts';

const { boat } = aPlan();

describe('what of a hull is guessed', () => {
  it('is marked so, and gives way to what was measured', () => {
    expect(bowHeightM({ ...boat, bowHeightM: 1.23 })).toEqual({ value: 1.23, guessed: false });
    expect(runningTrimDeg({ ...boat, runningTrimDeg: 0 })).toEqual({ value: 0, guessed: false });
    expect(bowHeightM(boat).guessed && runningTrimDeg(boat).guessed).toBeTrue();
  });

  it('goes by form and length: half a metre to two, more for a longer boat, least for a flat skiff', () => {
    for (const hullForm of hullForms) {
      const of = (lengthM: number): number => bowHeightM({ ...boat, hullForm, lengthM }).value;
      expect(of(4)).toBeGreaterThan(0.4);
      expect(of(12)).toBeLessThan(2);
      expect(of(12)).toBeGreaterThan(of(5));
    }
    expect(bowHeightM({ ...boat, hullForm: 'flat-bottomed', lengthM: 5 }).value).toBeLessThan(
      bowHeightM({ ...boat, hullForm: 'displacement', lengthM: 5 }).value,
    );
  });

  it('rises with speed until the boat planes, hardly at all where it never does', () => {
    const of = (hullForm: (typeof hullForms)[number], cruiseSpeedMps: number): number =>
      runningTrimDeg({ ...boat, hullForm, cruiseSpeedMps }).value;
    expect(of('planing monohull', 12)).toBe(of('planing monohull', 20));
    expect(of('planing monohull', 3)).toBeLessThan(of('planing monohull', 12));
    expect(of('displacement', 4)).toBeLessThan(1.01);
  });
});
