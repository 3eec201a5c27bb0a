import { randomUUID } from 'node:crypto';
import type { BoatStore } from '../fleet/boat-store.ts';
import { demoFleet } from './demo-fleet.ts';

/** Puts the demo boats into a store that does not have them yet; what the user changed since is left alone. */
export const seedDemo = async (boats: BoatStore, now: Date): Promise<number> => {
  let made = 0;
  for (const { id, start, madeAt, revisions } of demoFleet(now)) {
    if ((await boats.create(id, start, madeAt)) !== 'made') continue;
    made += 1;
    for (const [base, { edits, at }] of revisions.entries()) {
      const appended = await boats.append(id, { revisionId: randomUUID(), base, edits: [...edits] }, at);
      if (appended.kind !== 'kept') throw new Error(`Demo boat ${id}: revision ${base + 1} was not kept.`);
    }
  }
  return made;
};
