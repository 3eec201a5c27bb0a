import type { CatalogueEntry, DisplayEntry } from '@grey-keel/model';
import { aDisplayEntry, aTransducerEntry } from '../testing/sample-entries.ts';
import { aPlan, aTransducer } from '../testing/sample-plan.ts';
import { judgeDisplays } from './displays.ts';

const display = (id: string, inches: number, changes: Partial<DisplayEntry> = {}): CatalogueEntry =>
  aDisplayEntry(id, { screenDiagonalM: inches * 0.0254, ...changes });
const transducer = aTransducerEntry('wide', {}, { socket: 'round S' });
const plan = {
  ...aPlan(),
  transducers: { one: aTransducer({ catalogue: { entryId: 'wide', version: 1 } }) },
  stations: { helm: { name: 'Helm', viewingDistanceM: 1, posture: 'standing' as const } },
};
const first = (...list: CatalogueEntry[]) => judgeDisplays(plan, [transducer, ...list])[0]?.displays ?? [];

describe('the displays of a catalogue', () => {
  it('want a socket where nothing aboard can be plugged in, unless the network brings it', () => {
    const found = first(
      display('plain', 12),
      display('other', 12, { sockets: ['round W'] }),
      display('net', 12, { sockets: ['network'] }),
    );
    const of = (id: string) => found.find((one) => one.id === id);
    expect([of('plain')?.drives, of('plain')?.requirements]).toEqual([1, []]);
    expect(of('other')?.requirements).toEqual(['a socket for what is aboard']);
    expect([of('net')?.drives, of('net')?.byModule, of('net')?.requirements]).toEqual([0, 1, []]);
    expect(found.map(({ id }) => id)).toEqual(['plain', 'net', 'other']);
  });

  it('want a larger screen where a digit that can be read would fill more than an eighth of it', () => {
    // 16 minutes of arc at 1 m are 4.65 mm; a screen of 8:5 is 0.53 of its diagonal high.
    const [small, large] = [display('small', 2), display('large', 12)];
    const share = (id: string): number => first(small, large).find((one) => one.id === id)?.digitShare ?? 0;
    expect(share('large')).toBeCloseTo(0.004654 / (12 * 0.0254 * 0.52999), 2);
    expect(first(small).map(({ requirements }) => requirements)).toEqual([['a larger screen, or a nearer one']]);
    expect(share('large')).toBeLessThan(1 / 8);
  });

  it('want keys enough for the ways of working, or none at all', () => {
    const many = { ...plan, ways: { running: true, searching: true, trolling: true } as const };
    const requirements = (changes: object): readonly string[] =>
      judgeDisplays(many, [display('d', 12, changes)])[0]?.displays[0]?.requirements ?? [];
    expect(requirements({ keys: 2, pressesPerKey: 1 })).toEqual(['a key for each way of working']);
    expect(requirements({ keys: 2, pressesPerKey: 2 })).toEqual([]);
    expect(requirements({ keys: 0 })).toEqual([]);
  });
});
