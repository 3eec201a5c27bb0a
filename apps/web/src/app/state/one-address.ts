import * as z from 'zod';
import type { Outbox } from './outbox.ts';
import { handOverSchema, type HandOver } from './waiting-entry.ts';

/** What waits in the outbox of another name of this machine travels in the address, which no server is sent. */
const carried = '#waiting=';
/** And what of it has arrived goes back the same way, so that nothing is forgotten before it is safe. */
const arrived = '#arrived=';

const arrivedSchema = z.strictObject({ ids: z.array(z.string()), path: z.string().startsWith('/') });

const packed = (value: unknown): string => encodeURIComponent(JSON.stringify(value));
const unpacked = <S extends z.ZodType>(schema: S, text: string): z.output<S> | null => {
  try {
    return schema.parse(JSON.parse(decodeURIComponent(text)));
  } catch {
    return null;
  }
};

export interface Place {
  readonly origin: string;
  readonly pathname: string;
  readonly search: string;
  readonly hash: string;
  /** Leaves the page for another. */
  readonly replace: (address: string) => void;
  /** Takes the fragment out of the address without leaving. */
  readonly clean: () => void;
}

type Waiting = Pick<Outbox, 'everything' | 'handIn' | 'forget'>;

/**
 * Brings the browser to the one address the program is used under: a browser keeps what waits by the name in the
 * address, so that `localhost` and `127.0.0.1` would be two places. What waits here is handed over first and is only
 * forgotten once it has arrived there. True where the page is being left.
 */
export const toOneAddress = async (place: Place, here: string | null, outbox: Waiting): Promise<boolean> => {
  const { hash, origin } = place;
  if (here === null || origin === here) {
    if (!hash.startsWith(carried)) return false;
    const handed = unpacked(handOverSchema, hash.slice(carried.length));
    place.clean();
    if (!handed) return false;
    await outbox.handIn(handed.entries);
    const ids = handed.entries.map(({ revisionId }) => revisionId);
    place.replace(`${handed.from}/${arrived}${packed({ ids, path: place.pathname + place.search })}`);
    return true;
  }
  const back = hash.startsWith(arrived) ? unpacked(arrivedSchema, hash.slice(arrived.length)) : null;
  if (back) await outbox.forget(back.ids);
  const path = back?.path ?? place.pathname + place.search;
  const entries = await outbox.everything();
  const handed: HandOver = { from: origin, entries };
  place.replace(here + path + (entries.length ? carried + packed(handed) : ''));
  return true;
};
