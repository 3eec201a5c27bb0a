import { editSchema } from '@grey-keel/model';
import { randomUUID } from 'node:crypto';
import { valueFrom } from '../../packages/core/src/testing/extreme-plans.ts';
import { garbled, garbledText, oddTexts, type Json } from './garble.ts';
import { readsOtherwise, sameJson } from './same-json.ts';
import { boats, type FuzzSender } from './sender.ts';
import { soundEdit } from './sound-edit.ts';

/** Edits of the demo boats: of the schema's shape, garbled, to odd places, and such as a person could have made. */
export const editInputs = ({ random, pick, send, json, opened, fault }: FuzzSender) => {
  const sound = { sent: 0, taken: 0 };
  const revise = async (): Promise<void> => {
    const id = pick(boats);
    const boat = await opened(id);
    if (!boat) return;
    const edits = Array.from({ length: 1 + Math.floor(3 * random()) }, () => valueFrom(editSchema, random) as Json);
    const wanted = { revisionId: randomUUID(), base: boat.number, edits };
    const body = random() < 0.5 ? JSON.stringify(wanted) : garbledText(wanted, random);
    const reply = await send('POST', `/api/boats/${id}/revisions`, body);
    if (reply?.status !== 201) return;
    const { number } = json(reply) as { number: number };
    const [first] = json(await send('GET', `/api/boats/${id}/revisions?since=${number - 1}`)) as { edits: unknown }[];
    if (!sameJson(first?.edits, (JSON.parse(body) as typeof wanted).edits))
      fault('POST revisions', readsOtherwise, JSON.stringify(wanted));
  };
  /** Patches of the kind that undo sends, to places of a plan and to places that no plan has. */
  const restore = async (): Promise<void> => {
    const id = pick(boats);
    const boat = await opened(id);
    if (!boat) return;
    const path: (string | number)[] = [];
    let at: unknown = boat.plan;
    while (typeof at === 'object' && at !== null && random() < 0.8) {
      const step = Object.keys(at).length ? pick(Object.keys(at)) : '0';
      path.push(Array.isArray(at) ? Number(step) : step);
      at = (at as Record<string, unknown>)[step];
    }
    if (random() < 0.4) path.push(pick([...oddTexts, 0, 1, 7, 999]));
    const value = random() < 0.5 ? garbled((at ?? null) as Json, random) : ((at ?? null) as Json);
    const patch = { op: pick(['add', 'replace', 'remove']), path, value };
    await send(
      'POST',
      `/api/boats/${id}/revisions`,
      JSON.stringify({ revisionId: randomUUID(), base: boat.number, edits: [{ type: 'restore', patches: [patch] }] }),
    );
  };
  /** Edits that a person could have made: what they change lies deep, and is judged by every rule. */
  const sensible = async (): Promise<void> => {
    const id = pick(boats);
    const boat = await opened(id);
    const edit = boat && soundEdit(boat.plan, random);
    if (!edit) return;
    const wanted = { revisionId: randomUUID(), base: boat.number, edits: [edit] };
    const reply = await send('POST', `/api/boats/${id}/revisions`, JSON.stringify(wanted));
    // Another lane may have been quicker.
    if (reply?.status === 412) return;
    sound.sent += 1;
    if (reply?.status === 201) sound.taken += 1;
  };
  return { revise, restore, sensible, sound };
};
