import { aBeam, aTransducerEntry } from '@grey-keel/core/testing';
import { elementSchema, type TransducerEntry } from '@grey-keel/model';
import { elementFrom, emptySheet, sheetOf, sheetSchema } from './sheet-figures.ts';

const said = (changes: object): string | undefined =>
  sheetSchema.safeParse({ ...emptySheet, name: 'A', level: '-3', frequencyHz: 2e5, beamwidthDeg: 12, ...changes }).error
    ?.issues[0]?.message;

describe('the figures of a data sheet', () => {
  it('give an entry back as it was, whichever of its beams is looked at', () => {
    const item = aTransducerEntry('two', {
      kind: 'side-scan',
      beams: [aBeam({ alongDeg: 0.9, levelDb: -10 }), aBeam({ frequencyHz: 700_000, alongDeg: 0.6 })],
      apertureM: 0.05,
      efficiency: 0.4,
      shortestPulseS: 1e-4,
      longestPulseS: 1e-3,
    }).item as TransducerEntry;
    for (const i of [0, 1]) {
      const back = elementFrom(sheetSchema.parse(sheetOf(item, i)), item.element, i);
      const missing = { sourceLevelDb: null };
      expect(back).toEqual(
        elementSchema.parse({
          ...item.element,
          beams: item.element.beams.map((beam, k) => (k === i ? { ...missing, ...beam } : beam)),
        }),
      );
    }
  });

  it('are asked for by name where they are missing, the level of the cone first', () => {
    expect(said({})).toBeUndefined();
    expect(said({ level: '', name: '', frequencyHz: null })).toContain('at which level');
    expect(said({ name: '' })).toBe('Name is needed before it can be placed.');
    expect(said({ frequencyHz: null })).toBe('Frequency is needed before it can be placed.');
    expect(said({ beamwidthDeg: null })).toBe('Beamwidth, full is needed before it can be placed.');
    expect(said({ shortestPulseS: 2e-3, longestPulseS: 1e-3 })).toContain('longer than the longest');
  });

  it('have no width along the boat where the element is no fan', () => {
    const sheet = { ...emptySheet, name: 'A', level: '-3', frequencyHz: 2e5, beamwidthDeg: 12, alongDeg: 1 };
    const along = (kind: string) => elementFrom(sheetSchema.parse({ ...sheet, kind }), null, 0).beams[0]?.alongDeg;
    expect([along('sounder'), along('down fan')]).toEqual([null, 1]);
  });
});
