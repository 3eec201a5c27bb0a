import { answerOf } from '../calculation/calculation.ts';
import { beamwidth } from './beamwidth.ts';
import { linePattern, pistonPattern } from './directivity.ts';

const radian = Math.PI / 180;
const soundSpeedMps = 1480;

/** What a face of many small sources sends in a direction, dB: the sum of their phases, and no Bessel function. */
const summedDb = (shape: 'piston' | 'line', apertureM: number, frequencyHz: number, angleDeg: number): number => {
  const k = (2 * Math.PI * frequencyHz) / soundSpeedMps;
  const n = 1200;
  let sum = 0;
  let weights = 0;
  for (let i = 0; i < n; i++) {
    // Strips across the aperture: all alike on a line, as long as the chord on a disc.
    const u = Math.cos(((i + 0.5) * Math.PI) / n);
    const strip = Math.sin(((i + 0.5) * Math.PI) / n) * (shape === 'line' ? 1 : 2 * Math.sqrt(1 - u * u));
    sum += strip * Math.cos(k * (apertureM / 2) * u * Math.sin(angleDeg * radian));
    weights += strip;
  }
  return 20 * Math.log10(Math.abs(sum / weights) + 1e-12);
};

const faces = [
  { shape: 'piston', apertureM: 0.05, frequencyHz: 190_000 },
  { shape: 'piston', apertureM: 0.11, frequencyHz: 95_000 },
  { shape: 'line', apertureM: 0.2, frequencyHz: 430_000 },
  { shape: 'line', apertureM: 0.03, frequencyHz: 200_000 },
] as const;

describe('patterns', () => {
  for (const { shape, apertureM, frequencyHz } of faces) {
    const pattern = shape === 'piston' ? pistonPattern : linePattern;
    const half = (Math.PI * frequencyHz * apertureM) / soundSpeedMps;

    it(`of a ${shape} of ${apertureM} m at ${frequencyHz / 1000} kHz are the sum of its parts to 0.05 dB over -30 dB`, () => {
      let compared = 0;
      for (let angleDeg = 0; angleDeg < 89; angleDeg += 0.29) {
        const summed = summedDb(shape, apertureM, frequencyHz, angleDeg);
        if (summed < -30) continue;
        compared += 1;
        const level = 20 * Math.log10(Math.abs(pattern(half * Math.sin(angleDeg * radian))));
        expect(Math.abs(level - summed))
          .withContext(`${angleDeg}°`)
          .toBeLessThan(0.05);
      }
      expect(compared).toBeGreaterThan(20);
    });

    it(`of a ${shape} of ${apertureM} m at ${frequencyHz / 1000} kHz fall to -3 and -10 dB where the sum does, to 0.1°`, () => {
      for (const levelDb of [-3, -10]) {
        let edge = 0;
        while (summedDb(shape, apertureM, frequencyHz, edge) > levelDb) edge += 0.02;
        const { beamwidthDeg } = answerOf(beamwidth, { shape, apertureM, frequencyHz, soundSpeedMps, levelDb });
        expect(Math.abs(beamwidthDeg - 2 * edge)).toBeLessThan(0.1);
      }
    });
  }
});
