import fc from 'fast-check';
import { bandShareDb, type Band } from './band-share.ts';

const band = (middleHz: number, widthHz: number): Band => ({ middleHz, widthHz });

/** The same integral by a plain sum over fine, even steps. */
const bySum = (sent: Band, received: Band): number => {
  const at = ({ middleHz, widthHz }: Band, hz: number): number => 1 / (1 + ((2 * (hz - middleHz)) / widthHz) ** 16);
  const from = Math.min(sent.middleHz, received.middleHz) - 30 * Math.max(sent.widthHz, received.widthHz);
  const to = Math.max(sent.middleHz, received.middleHz) + 30 * Math.max(sent.widthHz, received.widthHz);
  const step = Math.min(sent.widthHz, received.widthHz) / 40;
  let [both, all] = [0, 0];
  for (let hz = from; hz < to; hz += step) {
    both += at(sent, hz) * at(received, hz);
    all += at(sent, hz);
  }
  return Math.max(-200, 10 * Math.log10(both / all));
};

const frequency = fc.double({ min: 30_000, max: 1_200_000, noNaN: true });
const width = fc.double({ min: 1000, max: 100_000, noNaN: true });

describe('the share of a pulse that falls into another band', () => {
  it('agrees with a plain sum over the spectrum', () => {
    fc.assert(
      fc.property(frequency, width, width, fc.double({ min: -3, max: 3, noNaN: true }), (hz, a, b, apart) => {
        const [sent, received] = [band(hz, a), band(hz + apart * (a + b), b)];
        expect(bandShareDb(sent, received)).toBeCloseTo(bySum(sent, received), 0);
      }),
      { numRuns: 60 },
    );
  });

  it('only falls as the bands move apart, and has no edge', () => {
    fc.assert(
      fc.property(frequency, width, width, (hz, a, b) => {
        let before = bandShareDb(band(hz, a), band(hz, b));
        for (let i = 1; i <= 80; i++) {
          const now = bandShareDb(band(hz, a), band(hz + 0.05 * i * (a + b), b));
          expect(now).toBeLessThanOrEqual(before + 0.05);
          // Each step is a twentieth of both widths: no more than 48 dB an octave and what the corners turn.
          expect(before - now).toBeLessThan(16);
          before = now;
        }
      }),
      { numRuns: 40 },
    );
  });

  it('is nearly all within one wide band, and a share by widths where the receiver is the narrower', () => {
    expect(bandShareDb(band(190_000, 2000), band(190_000, 60_000))).toBeCloseTo(0, 1);
    expect(bandShareDb(band(190_000, 60_000), band(190_000, 2000))).toBeCloseTo(10 * Math.log10(2000 / 60_000), 1);
  });

  it('tells 190 kHz little more from 194 than from 193.5 kHz, and is far below for 95', () => {
    const against = (kHz: number): number => bandShareDb(band(190_000, 6250), band(1000 * kHz, 6250));
    expect(against(193.5) - against(194)).toBeLessThan(3);
    expect(against(193.5)).toBeGreaterThan(-6);
    expect(against(95)).toBeLessThan(-60);
  });
});
