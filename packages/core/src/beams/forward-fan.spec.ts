import type { ForwardSetting } from '@grey-keel/model';
import { coveredAhead, outlineAhead, type AheadUnit } from './forward-fan.ts';

const unit: AheadUnit = { kind: 'forward-facing', acrossDeg: 130, alongDeg: 20, faceM: 0.5 };
const set = (changes: Partial<ForwardSetting> = {}): ForwardSetting => ({
  mode: 'ahead',
  tiltDeg: 0,
  rangeM: 25,
  ...changes,
});

describe('the outline of what looks ahead', () => {
  it('starts at the face and stays in the water and in range', () => {
    for (const mode of ['ahead', 'down', 'flat'] as const)
      for (const tiltDeg of [0, 15, 40])
        for (const { x, y } of outlineAhead(unit, set({ mode, tiltDeg }), 8, 6)) {
          expect(y).toBeGreaterThan(-1e-9);
          expect(y).toBeLessThan(8 + 1e-9);
          expect(Math.hypot(x - 6, y - 0.5)).toBeLessThan(25 + 1e-9);
        }
    expect(outlineAhead(unit, set(), 8, 6)[0]).toEqual({ x: 6, y: 0.5 });
  });

  it('looks astern of straight below where its sector is wider than a quarter turn, and level at its upper edge', () => {
    const outline = outlineAhead(unit, set(), 8, 6);
    expect(Math.min(...outline.map(({ x }) => x))).toBeCloseTo(6 - 7.5 * Math.tan((40 * Math.PI) / 180), 6);
    expect(outline.at(-1)?.x).toBeCloseTo(31, 6);
    expect(outline.at(-1)?.y).toBeCloseTo(0.5, 6);
  });

  it('lies flat when it turns, whatever the mode says', () => {
    const { fromDownDeg, toDownDeg } = coveredAhead({ ...unit, kind: 'sector' }, set({ mode: 'down', tiltDeg: 10 }), 8);
    expect([fromDownDeg, toDownDeg]).toEqual([70, 90]);
  });
});
