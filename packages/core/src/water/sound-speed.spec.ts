import fc from 'fast-check';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { pressureAtDepthDbar } from './pressure-at-depth.ts';
import { soundSpeed } from './sound-speed.ts';

const speed = (input: Parameters<typeof answerOf<typeof soundSpeed.input, typeof soundSpeed.output>>[1]): number =>
  answerOf(soundSpeed, input).soundSpeedMps;

/** The check values are on the older temperature scale. */
const fromIpts68 = (t68: number): number => t68 / 1.00024;

describe('sound-speed', () => {
  it('gives the UNESCO check value at 40 ppt, 40 °C and 10 000 dbar (Fofonoff and Millard 1983)', () => {
    expect(speed({ temperatureC: fromIpts68(40), salinityPpt: 40, pressureDbar: 10_000 })).toBeCloseTo(1731.995, 2);
  });

  it('gives the table values of the same report at 0 dbar and 5000 dbar', () => {
    expect(speed({ temperatureC: fromIpts68(0), salinityPpt: 25, pressureDbar: 0 })).toBeCloseTo(1435.8, 1);
    expect(speed({ temperatureC: fromIpts68(20), salinityPpt: 35, pressureDbar: 0 })).toBeCloseTo(1521.5, 1);
    expect(speed({ temperatureC: fromIpts68(20), salinityPpt: 35, pressureDbar: 5000 })).toBeCloseTo(1604.5, 1);
  });

  it('gives 1482.3 m/s in pure water of 20 °C, and agrees there with Bilaniuk and Wong 1993 from 0 to 40 °C', () => {
    expect(speed({ temperatureC: 20, salinityPpt: 0, model: 'pure-water' })).toBeCloseTo(1482.35, 1);
    for (let t = 0; t <= 40; t += 5) {
      const bilaniuk =
        1402.38744 +
        5.03836171 * t -
        5.81172916e-2 * t ** 2 +
        3.34638117e-4 * t ** 3 -
        1.48259672e-6 * t ** 4 +
        3.1658502e-9 * t ** 5;
      expect(Math.abs(speed({ temperatureC: t, salinityPpt: 0, model: 'pure-water' }) - bilaniuk)).toBeLessThan(0.05);
    }
  });

  it('agrees with Mackenzie and Medwin in the open sea to about a metre a second', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 25, noNaN: true }),
        fc.double({ min: 0, max: 1000, noNaN: true }),
        (t, d) => {
          const main = speed({ temperatureC: t, salinityPpt: 35, depthM: d });
          expect(
            Math.abs(speed({ temperatureC: t, salinityPpt: 35, depthM: d, model: 'mackenzie' }) - main),
          ).toBeLessThan(0.7);
          expect(Math.abs(speed({ temperatureC: t, salinityPpt: 35, depthM: d, model: 'medwin' }) - main)).toBeLessThan(
            1.2,
          );
        },
      ),
    );
  });

  it('has the pressure of the check value of Saunders 1981: 7321.45 m at 30° is 7500.004 dbar', () => {
    expect(pressureAtDepthDbar(7321.45, 30)).toBeCloseTo(7500.004, 1);
  });

  it('refuses Mackenzie in brackish water and names the range', () => {
    const result = calculate(soundSpeed, { temperatureC: 10, salinityPpt: 18, model: 'mackenzie' });
    expect(result).toEqual({
      ok: false,
      errors: [jasmine.objectContaining({ field: 'salinityPpt', range: '25 to 40' })],
    });
  });

  it('refuses each model outside its own temperatures and depths, and a pressure where a depth is wanted', () => {
    const refused = (input: object): unknown => {
      const result = calculate(soundSpeed, input);
      return result.ok ? 'answered' : result.errors[0]?.field;
    };
    expect(refused({ temperatureC: 1, salinityPpt: 35, model: 'mackenzie' })).toBe('temperatureC');
    expect(refused({ temperatureC: 10, salinityPpt: 35, depthM: 1200, model: 'medwin' })).toBe('depthM');
    expect(refused({ temperatureC: 10, salinityPpt: 5, model: 'pure-water' })).toBe('salinityPpt');
    expect(refused({ temperatureC: 10, salinityPpt: 35, pressureDbar: 5, model: 'medwin' })).toBe('pressureDbar');
    expect(refused({ temperatureC: 41, salinityPpt: 35 })).toBe('temperatureC');
  });

  it('says which defaults it took', () => {
    expect(answerOf(soundSpeed, { temperatureC: 10, salinityPpt: 0 }).assumed).toEqual({
      depthM: 0,
      latitudeDeg: 45,
      model: 'unesco',
    });
  });

  it('shows what a wrong speed costs: 1500 for 1430 m/s reads 4.9 % too deep', () => {
    const cold = speed({ temperatureC: 6.0, salinityPpt: 0 });
    expect(cold).toBeCloseTo(1430.6, 0);
    expect((1500 / cold - 1) * 100).toBeCloseTo(4.9, 1);
  });
});
