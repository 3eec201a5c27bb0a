import { themeNames, themes } from './theme.ts';

const linear = (channel: number): number => (channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4);

/** Relative luminance of an sRGB colour (WCAG 2.1). */
const luminance = (hex: string): number => {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => linear(parseInt(hex.slice(at, at + 2), 16) / 255));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
};

const contrast = (one: string, other: string): number => {
  const [light = 0, dark = 0] = [luminance(one), luminance(other)].sort((a, b) => b - a);
  return (light + 0.05) / (dark + 0.05);
};

describe('contrast of the themes', () => {
  it('is measured as the standard says: black on white is 21 to 1', () => {
    expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 9);
    expect(contrast('#777777', '#FFFFFF')).toBeCloseTo(4.48, 2);
  });

  for (const name of themeNames) {
    // In full sun more is needed.
    const wanted = name === 'sun' ? 7 : 4.5;
    it(`is at least ${wanted} to 1 for every text of the ${name} theme`, () => {
      const it = themes[name];
      const inks = ['ink', 'faint', 'water', 'stop', 'check', 'note', 'fresh'] as const;
      const grounds = ['paper', 'sheet', 'caution', 'waterWash'] as const;
      const pairs = [
        ...inks.flatMap((ink) =>
          grounds
            // Only ink and faint words stand on the wash and on cautions.
            .filter((ground) => !['waterWash', 'caution'].includes(ground) || ink === 'ink')
            .map((ground) => [ink, ground] as const),
        ),
        ['onWater', 'water'],
        ['onHull', 'hull'],
        ['onHull', 'antifoul'],
        ['artBright', 'artDark'],
      ] as const;
      for (const [ink, ground] of pairs)
        expect(contrast(it[ink], it[ground])).withContext(`${ink} on ${ground}`).toBeGreaterThanOrEqual(wanted);
      // Signs without words need 3 to 1.
      for (const sign of ['signStop', 'signStale'] as const)
        for (const ground of ['hull', 'antifoul'] as const)
          expect(contrast(it[sign], it[ground])).withContext(`${sign} on ${ground}`).toBeGreaterThanOrEqual(3);
    });
  }

  it('keeps the night dark: nothing on it, the lines of charts included, is brighter than two fifths of white', () => {
    const colours = Object.entries(themes.night).flatMap(([token, value]) =>
      (Array.isArray(value) ? (value as readonly unknown[]) : [value]).map((one) => [token, one] as const),
    );
    const judged = colours.filter(([, value]) => typeof value === 'string' && /^#[0-9A-F]{6}$/i.test(value));
    expect(judged.filter(([token]) => token === 'series').length).toBe(themes.night.series.length);
    for (const [token, value] of judged)
      expect(luminance(String(value)))
        .withContext(`${token} ${String(value)}`)
        .toBeLessThan(0.4);
  });
});
