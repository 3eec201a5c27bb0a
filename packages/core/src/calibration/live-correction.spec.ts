import type { CalibrationKind, Edit } from '@grey-keel/model';
import { aPlan, edited } from '../testing/sample-plan.ts';
import { asDisplayed, correctionIsSet } from './live-correction.ts';

const boat = (of: CalibrationKind, changes: object) =>
  edited(aPlan(), { type: 'describeCalibration', of, sensorId: 'a-wide', changes } as unknown as Edit);
const shown = (of: CalibrationKind, changes: object, figures: Readonly<Record<string, number>>) => {
  const found = asDisplayed(boat(of, changes), of, 'a-wide', figures);
  return 'figures' in found ? found.figures : found.why.map(String).join('');
};

describe('what comes in from the instruments, as the display shows it', () => {
  it('has what is set in the display added, and is left alone where the sensor has it in already', () => {
    expect(shown('heading', { setDeg: -10, correctionIn: 'display' }, { headingDeg: 5, cogDeg: 9 })).toEqual({
      headingDeg: 355,
      cogDeg: 9,
    });
    expect(shown('speed', { setFactor: 1.1, correctionIn: 'display' }, { logMps: 3 })).toEqual({
      logMps: 3.3000000000000003,
    });
    expect(shown('temperature', { setByC: 0.5, correctionIn: 'display' }, { displayedC: 9 })).toEqual({
      displayedC: 9.5,
    });
    expect(shown('heading', { setDeg: -10, correctionIn: 'sensor' }, { headingDeg: 5 })).toEqual({ headingDeg: 5 });
  });

  it('is refused while a correction is set and nobody said where, and taken as it comes while none is', () => {
    expect(shown('heading', { setDeg: -10 }, { headingDeg: 5 })).toContain('in the display or in the sensor itself');
    expect(shown('heading', { setDeg: 0 }, { headingDeg: 5 })).toEqual({ headingDeg: 5 });
    expect(shown('deviation', { toleranceDeg: 3 }, { compassDeg: 5 })).toEqual({ compassDeg: 5 });
    expect(correctionIsSet(boat('speed', { setFactor: 1.1 }), 'speed', 'a-wide')).toBeTrue();
    expect(correctionIsSet(boat('speed', { setFactor: 1 }), 'speed', 'a-wide')).toBeFalse();
    expect(correctionIsSet(aPlan(), 'battery', 'a-wide')).toBeFalse();
  });
});
