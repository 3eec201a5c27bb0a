import type { Plan, SettingValue } from '@grey-keel/model';
import { aPlan, aTransducer, edited } from '../testing/sample-plan.ts';
import { heldBy } from '../plan/held-by.ts';
import { readAt } from '../plan/read-at.ts';
import { enters } from '../testing/set-at.ts';
import { displaySound, soundOfType } from './display-sound.ts';

const pool = { temperatureC: 20, salinityPpt: 0 };

describe('the speed of sound a display uses', () => {
  it('is that of fresh water when set to fresh: 1482.3 m/s at 20 °C', () => {
    // Bilaniuk and Wong 1993.
    expect(soundOfType('fresh', pool, 1)).toBeCloseTo(1482.3, 0);
  });

  it('is that of the sea when set to salt: 1521.5 m/s at 20 °C and 35 ppt', () => {
    // Mackenzie 1981, at the surface.
    expect(soundOfType('salt', pool, 0)).toBeCloseTo(1521.5, 0);
    expect(soundOfType('brackish', pool, 0)).toBeLessThan(soundOfType('salt', pool, 0));
    expect(soundOfType('brackish', pool, 0)).toBeGreaterThan(soundOfType('fresh', pool, 0));
  });

  it('does not ask what the water holds, only how warm it is', () => {
    expect(soundOfType('salt', { temperatureC: 8, salinityPpt: 0 }, 5)).toBe(
      soundOfType('salt', { temperatureC: 8, salinityPpt: 35 }, 5),
    );
  });

  it('is its own figure or that of its type, and unknown where nobody looked', () => {
    const set = (sound: SettingValue<'sound'>) =>
      displaySound(heldBy(edited(aPlan(), enters('helm', 'sound', sound)), 'helm', 'sound'), pool, 5);
    expect(set({ soundSpeedMps: 1463 })).toEqual({ setTo: 'own figure', soundSpeedMps: 1463 });
    expect(set({ waterType: 'salt' })?.setTo).toBe('salt');
    expect(displaySound(heldBy(aPlan(), 'nowhere', 'sound'), pool, 5)).toBeNull();
  });
});

describe('the display a depth is read on', () => {
  const display = aPlan().displays['helm']!;
  const two = (changes: Partial<Plan>): Plan => ({
    ...aPlan(),
    displays: { helm: display, bow: display },
    transducers: { one: aTransducer() },
    feeds: {},
    network: { ...aPlan().network, links: {} },
    ...changes,
  });

  it('is the only one there is', () => {
    expect(readAt({ ...two({}), displays: { helm: display } }, 'one')).toBe('helm');
    expect(readAt(two({}), 'one')).toBeNull();
    expect(readAt({ ...two({}), displays: {} }, 'one')).toBeNull();
  });

  it('is the one it feeds, as source or fallback, before the one its cable ends at', () => {
    const links: Plan['network']['links'] = { one: { to: 'helm', plug: 'round', adapterDisables: null, cableM: 5 } };
    const network = { ...aPlan().network, links };
    expect(readAt(two({ network }), 'one')).toBe('helm');
    const fed = (depth: { sourceId: string; fallbackId: string | null }): Plan =>
      two({ network, feeds: { bow: { depth } } });
    expect(readAt(fed({ sourceId: 'one', fallbackId: null }), 'one')).toBe('bow');
    expect(readAt(fed({ sourceId: 'another', fallbackId: 'one' }), 'one')).toBe('bow');
  });
});
