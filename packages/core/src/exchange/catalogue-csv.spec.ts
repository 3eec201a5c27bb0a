import { idSchema } from '@grey-keel/model';
import { csvColumns, csvTemplate, guessColumns, idOfName, readCatalogueCsv } from './catalogue-csv.ts';

const titles = csvColumns.map(({ title }) => title);
const row = (changes: Record<string, string> = {}): string[] => {
  const cells: Record<string, string> = {
    name: 'Wide 150',
    frequency_khz: '150',
    cone_deg: '22',
    level_db: '-3',
    mountings: 'transom / through-hull',
    ...changes,
  };
  return titles.map((title) => cells[title] ?? '');
};

describe('a catalogue from CSV', () => {
  it('is read in SI, with rows of one name as beams of one element', () => {
    const { items, faults } = readCatalogueCsv([
      titles,
      row({ aperture_mm: '26', power_w: '600', efficiency_percent: '45', source_level_db: '214' }),
      row({ frequency_khz: '75,5', band_khz: '20', cone_deg: '40' }),
      [''],
      row({ name: 'Side 500', kind: 'Side-scan', along_deg: '0.9', mountings: 'transom', constant_cone: 'yes' }),
    ]);
    expect(faults).toEqual([]);
    expect(items.map(({ id }) => id)).toEqual(['own-wide-150', 'own-side-500']);
    const [wide, side] = items.map(({ item }) => (item.type === 'transducer' ? item : null));
    expect(wide?.element.beams.map(({ frequencyHz, bandwidthHz }) => [frequencyHz, bandwidthHz])).toEqual([
      [150_000, null],
      [75_500, 20_000],
    ]);
    expect([wide?.element.apertureM, wide?.element.electricalPowerW, wide?.element.efficiency]).toEqual([
      0.026, 600, 0.45,
    ]);
    expect(wide?.element.beams[0]?.sourceLevelDb).toBe(214);
    expect(wide?.mountings).toEqual(['transom', 'through-hull']);
    expect([side?.element.kind, side?.element.constantBeamwidth, side?.element.beams[0]?.alongDeg]).toEqual([
      'side-scan',
      true,
      0.9,
    ]);
  });

  it('names each bad row and cell, and keeps the good ones', () => {
    const { items, faults } = readCatalogueCsv([
      titles,
      row(),
      row({ name: 'Bad one', frequency_khz: 'fast', cone_deg: '' }),
      row({ name: 'Bad two', cone_deg: '400' }),
      row({ name: 'Bad three', mountings: 'mast' }),
      row({ name: 'Bad four', efficiency_percent: '130' }),
    ]);
    expect(items.map(({ id }) => id)).toEqual(['own-wide-150']);
    expect(faults.map(({ row: line, column }) => `${line} ${column}`)).toEqual([
      '3 cone_deg',
      '3 frequency_khz',
      '4 cone_deg',
      '5 mountings',
      '6 efficiency_percent',
    ]);
    expect(faults[1]?.message).toContain('"fast" is no number');
  });

  it('finds its columns whatever their order and spelling, and says which are missing', () => {
    expect(guessColumns(['Cone deg', 'NAME', 'frequencyKHz']).coneDeg).toBe(0);
    expect(guessColumns(['Cone deg', 'NAME', 'frequencyKHz']).frequencyKHz).toBe(2);
    const { items, faults } = readCatalogueCsv([
      ['name', 'colour'],
      ['x', 'red'],
    ]);
    expect(items).toEqual([]);
    expect(faults.map(({ column }) => column)).toEqual(['frequency_khz', 'cone_deg', 'level_db', 'mountings']);
  });

  it('reads its own template, and says how far it has come', () => {
    const lines = csvTemplate().trim().split('\n');
    expect(lines[0]?.split(',')).toEqual([...titles]);
    const shares: number[] = [];
    readCatalogueCsv([titles, ...Array.from({ length: 600 }, (_, i) => row({ name: `n ${i}` }))], undefined, (share) =>
      shares.push(share),
    );
    expect(shares[0]).toBe(0);
    expect(shares[shares.length - 1]).toBe(1);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
  });

  it('takes six beams an element at most', () => {
    const { items, faults } = readCatalogueCsv([titles, ...Array.from({ length: 7 }, () => row())]);
    expect([items.length, faults.length, faults[0]?.row]).toEqual([1, 1, 8]);
  });

  it('gives every name an id of its own, in any script and of any length', () => {
    const names = [
      'Wide 150',
      'Wide-150',
      'Wide/150',
      'Широкий 150',
      'Узкий 150',
      '广角 150',
      '\u{1f6a4}',
      '-',
      `${'Long '.repeat(15)}a`,
      `${'Long '.repeat(15)}b`,
      'Wide 150 \u00e9',
      'Wide 150 e',
    ];
    const ids = names.map(idOfName);
    expect(new Set(ids).size).toBe(names.length);
    for (const id of ids) expect(idSchema.safeParse(id).success).withContext(id).toBeTrue();
    expect(idOfName(' wide  150 ')).toBe(idOfName('WIDE 150'));
    expect(idOfName('Wide 150')).toBe('own-wide-150');
    // One letter, written as one sign or as two.
    expect(idOfName('Caf\u00e9')).toBe(idOfName('Cafe\u0301'));
  });
});
