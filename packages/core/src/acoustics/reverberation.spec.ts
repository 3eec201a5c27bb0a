import { volumeReverberation } from './reverberation.ts';
import { answerOf } from '../calculation/calculation.ts';

describe('volume-reverberation', () => {
  it('is the backscatter of the water that answers at once, and grows by six decibels when the range doubles', () => {
    const input = {
      rangeM: 10,
      equivalentBeamDb: -10,
      rangeResolutionM: 0.5,
      volumeBackscatterDb: -70,
      targetStrengthDb: -40,
    };
    const near = answerOf(volumeReverberation, input);
    expect(near.volumeM3).toBeCloseTo(0.1 * 100 * 0.5, 9);
    expect(near.clutterStrengthDb).toBeCloseTo(-70 + 10 * Math.log10(5), 9);
    const far = answerOf(volumeReverberation, { ...input, rangeM: 20 });
    expect(near.targetOverClutterDb - far.targetOverClutterDb).toBeCloseTo(6.02, 2);
  });
});
