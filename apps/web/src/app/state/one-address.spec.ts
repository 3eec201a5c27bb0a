import { planVersion } from '@grey-keel/model';
import { Outbox } from './outbox.ts';
import type { Made } from './waiting-entry.ts';
import { toOneAddress, type Place } from './one-address.ts';

const made = (): Made => ({
  planVersion,
  revisionId: crypto.randomUUID(),
  boatId: 'hull',
  base: 3,
  baseId: null,
  edits: [{ type: 'describeBoat', changes: { notes: 'a # and a % and \u{1f6a4}' } }],
  patches: [],
});

/** The outboxes of two names of one machine, and a browser that goes where it is sent. */
const browser = () => {
  const boxes: Record<string, Made[]> = { 'http://localhost:4310': [], 'http://127.0.0.1:4310': [] };
  const boxOf = (origin: string): Pick<Outbox, 'everything' | 'handIn' | 'forget'> => ({
    everything: () => Promise.resolve([...(boxes[origin] ?? [])]),
    handIn: (entries) => Promise.resolve(void (boxes[origin] ??= []).push(...entries)),
    forget: (ids) =>
      Promise.resolve(
        void (boxes[origin] = (boxes[origin] ?? []).filter(({ revisionId }) => !ids.includes(revisionId))),
      ),
  });
  const visited: string[] = [];
  const visit = async (address: string, until = 9): Promise<void> => {
    const { origin, pathname, search, hash } = new URL(address);
    visited.push(origin + pathname + search);
    let next: string | null = null;
    const place: Place = { origin, pathname, search, hash, replace: (to) => (next = to), clean: () => undefined };
    await toOneAddress(place, 'http://127.0.0.1:4310', boxOf(origin));
    if (next !== null && visited.length < until) await visit(next, until);
  };
  return { boxes, visited, visit };
};

describe('two names of one machine', () => {
  it('lead to one address, the page stays the same', async () => {
    const { visited, visit } = browser();
    await visit('http://localhost:4310/boats/hull/beams?x=1');
    expect(visited).toEqual([
      'http://localhost:4310/boats/hull/beams?x=1',
      'http://127.0.0.1:4310/boats/hull/beams?x=1',
    ]);
    await visit('http://127.0.0.1:4310/');
    expect(visited.length).toBe(3);
  });

  it('hand over what waits under the other one, and forget it only when it has arrived', async () => {
    const waiting = [made(), made()];
    for (const stop of [2, 9]) {
      const { boxes, visited, visit } = browser();
      boxes['http://localhost:4310'] = [...waiting];
      await visit('http://localhost:4310/boats/hull/brief', stop);
      const [there, here] = [boxes['http://localhost:4310'], boxes['http://127.0.0.1:4310']];
      expect(here).toEqual(waiting);
      // The browser closed half way: it waits in both, and under the same ids, so that it is saved once.
      expect(there).toEqual(stop === 2 ? waiting : []);
      if (stop === 9) expect(visited.at(-1)).toBe('http://127.0.0.1:4310/boats/hull/brief');
    }
  });

  it('make nothing of an address that somebody garbled', async () => {
    const { boxes, visit } = browser();
    await visit('http://127.0.0.1:4310/#waiting=%7Bnonsense');
    expect(boxes['http://127.0.0.1:4310']).toEqual([]);
  });
});
