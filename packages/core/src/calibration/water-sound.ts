import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { answerOf, defineCalculation } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { soundSpeed } from '../water/sound-speed.ts';

interface Sample {
  readonly depthM: number;
  readonly temperatureC: number;
  readonly salinityPpt: number;
}

const clamped = (value: number): number => Math.min(40, Math.max(0, value));

/** Mean speed of sound from the surface down to the deepest sample: the depth over the time sound takes, by layers. */
const meanSpeedMps = (samples: readonly Sample[], byC = 0, byPpt = 0): number => {
  const speeds = samples.map(({ depthM, temperatureC, salinityPpt }) => ({
    depthM,
    soundSpeedMps: answerOf(soundSpeed, {
      temperatureC: clamped(temperatureC + byC),
      salinityPpt: clamped(salinityPpt + byPpt),
      depthM,
    }).soundSpeedMps,
  }));
  const [first] = speeds;
  const last = speeds[speeds.length - 1];
  if (!first || !last) return Number.NaN;
  if (last.depthM === 0) return first.soundSpeedMps;
  // Above the uppermost sample the water is taken to be as there.
  let timeS = first.depthM / first.soundSpeedMps;
  for (let i = 1; i < speeds.length; i++) {
    const [above, below] = [speeds[i - 1], speeds[i]];
    if (above && below)
      timeS += ((below.depthM - above.depthM) * (1 / above.soundSpeedMps + 1 / below.soundSpeedMps)) / 2;
  }
  return last.depthM / timeS;
};

/**
 * Mean speed of sound of a water from what thermometer and salt said at one depth or several, and what the display's fixed
 * figure costs: how far its depths are off.
 *
 * samples: 0 to 40 °C and 0 to 40 ppt, 0 to 500 m; sorted by depth here. Above the uppermost the water is as there; the mean
 * holds down to the deepest. The interval is what the two instruments may be off by, which all samples share.
 * Sources: Chen and Millero 1977 (UNESCO form); time of travel by layers; propagation of errors.
 */
export const waterSound = defineCalculation({
  name: 'water-sound',
  purpose: 'Speed of sound of the water as measured, and what a fixed figure in the display costs in depth',
  version: 1,
  input: z.strictObject({
    samples: z
      .array(
        z.strictObject({
          depthM: z.number().min(0).max(500),
          temperatureC: z.number().min(0).max(40),
          salinityPpt: z.number().min(0).max(40),
        }),
      )
      .min(1)
      .max(100),
    setMps: z.number().min(1300).max(1700),
    /** What the instruments may be off by, 95 times of 100. */
    thermometerByC: z.number().min(0).max(5).default(0.3),
    saltByPpt: z.number().min(0).max(10).default(0.5),
  }),
  output: z.strictObject({
    soundSpeedMps: z.number(),
    halfInterval95Mps: z.number(),
    /** Of the depth: positive where the display shows too deep. */
    displayDepthError: z.number(),
    toDepthM: z.number(),
  }),
  run: ({ samples, setMps, thermometerByC, saltByPpt }) => {
    const sorted = [...samples].sort((a, b) => a.depthM - b.depthM);
    const soundSpeedMps = meanSpeedMps(sorted);
    const perC = meanSpeedMps(sorted, thermometerByC) - soundSpeedMps;
    const perPpt = meanSpeedMps(sorted, 0, saltByPpt) - soundSpeedMps;
    const halfInterval95Mps = Math.hypot(perC, perPpt);
    const displayDepthError = setMps / soundSpeedMps - 1;
    const toDepthM = sorted[sorted.length - 1]?.depthM ?? 0;
    const c = given('c', soundSpeedMps, 'm/s', 'mean speed of sound');
    const working: WorkingStep[] = [
      {
        says: 'Mean speed of sound down to the deepest sample',
        symbol: 'c',
        value: soundSpeedMps,
        unit: 'm/s',
        expression: null,
        method: 'depth over the time sound takes, layer by layer between the samples',
        inputs: sorted.flatMap(({ depthM, temperatureC, salinityPpt }, i) => [
          given(`z${i + 1}`, depthM, 'm', `depth of sample ${i + 1}`),
          given(`T${i + 1}`, temperatureC, '°C', `thermometer, sample ${i + 1}`),
          given(`S${i + 1}`, salinityPpt, 'ppt', `salt, sample ${i + 1}`),
        ]),
        source: 'Chen and Millero 1977, UNESCO form',
      },
      calculated(
        {
          says: 'Half of its 95 % interval, by what the instruments may be off by',
          symbol: 'half',
          value: halfInterval95Mps,
          unit: 'm/s',
          expression: 'sqrt(a ^ 2 + b ^ 2)',
          source: 'propagation of independent errors',
        },
        given('a', perC, 'm/s', `by ${thermometerByC} K of the thermometer`),
        given('b', perPpt, 'm/s', `by ${saltByPpt} ppt of the salt`),
      ),
      calculated(
        {
          says: 'How far the display is off in depth',
          symbol: 'e',
          value: displayDepthError,
          unit: '',
          expression: 'c0 / c - 1',
          source: 'time of travel x speed of sound',
        },
        given('c0', setMps, 'm/s', 'set in the display'),
        c,
      ),
    ];
    return {
      soundSpeedMps,
      halfInterval95Mps,
      displayDepthError,
      toDepthM,
      flags:
        toDepthM === 0 ? ['Read at the surface alone: colder water below makes sound slower than this figure.'] : [],
      working,
    };
  },
});
