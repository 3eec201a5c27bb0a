import { recordingsSchema, type Bundle } from '@grey-keel/model';
import { extremePlan } from '../../packages/core/src/testing/extreme-plans.ts';
import { editInputs } from './edits.ts';
import { garbledText, oddTexts, type Json } from './garble.ts';
import { instrumentInputs, sources } from './instruments.ts';
import { photographInput } from './photographs.ts';
import { readingInputs } from './reading.ts';
import { recordingInputs } from './recordings.ts';
import { readsOtherwise, sameJson } from './same-json.ts';
import { atOnce, boats, fuzzSender, type FuzzReport } from './sender.ts';

export interface FuzzCounts {
  readonly reading: number;
  readonly writing: number;
  readonly printing: number;
}

/** Sends malformed and extreme input to every door of a server and reports whatever was not answered as it has to be. */
export const fuzz = async (address: string, counts: FuzzCounts, seed: number): Promise<FuzzReport> => {
  const sender = fuzzSender(address, seed);
  const { random, pick, token, newId, oldId, send, json, opened, fault, many } = sender;
  const reading = readingInputs(sender);
  await many(counts.reading, () => pick(reading)());

  const bundles = await Promise.all(
    boats.map(async (id) => json(await send('GET', `/api/boats/${id}/bundle`)) as Bundle),
  );
  const catalogue = (json(await send('GET', '/api/catalogue')) as { item: Json }[]).map(({ item }) => item);
  const bundleIn = async (text: string): Promise<string | null> => {
    const id = newId();
    const reply = await send('PUT', `/api/bundles/${id}`, text);
    if (reply === null || reply.status >= 300) return null;
    const boat = await opened(id);
    if (!boat || !sameJson(boat.plan, (JSON.parse(text) as Bundle).plan)) fault('PUT bundle', readsOtherwise, text);
    return id;
  };
  const edits = editInputs(sender);
  const instruments = instrumentInputs(sender);
  const recordings = recordingInputs(sender);
  const photograph = photographInput(sender);
  const writing: (() => Promise<unknown>)[] = [
    edits.revise,
    edits.revise,
    edits.sensible,
    edits.sensible,
    photograph,
    () => pick(instruments)(),
    () => pick(recordings.asked)(),
    // A thread for each: few are enough.
    async () => {
      if (random() < 0.3) await recordings.takeLog();
    },
    edits.restore,
    edits.restore,
    () => bundleIn(garbledText(pick(bundles), random)),
    () => bundleIn(JSON.stringify({ ...pick(bundles), plan: extremePlan(random), catalogue: [] })),
    () =>
      send('PUT', `/api/boats/${random() < 0.5 ? newId() : token()}`, garbledText({ name: pick(oddTexts) }, random)),
    () => send('POST', `/api/boats/${token()}/copy`, garbledText({ id: newId(), name: pick(oddTexts) }, random)),
    // None that another lane has just made and is about to look at.
    () => send('DELETE', `/api/boats/${random() < 0.5 ? oldId(4 * atOnce) : newId()}`),
    () => send('POST', `/api/boats/${oldId(0)}/recall`, 'null'),
    async () => {
      const id = newId();
      const text = garbledText(pick(catalogue), random);
      const reply = await send('PUT', `/api/catalogue/${id}`, text);
      if (reply?.status === 200 && !sameJson((json(reply) as { item: unknown }).item, JSON.parse(text)))
        fault('PUT catalogue', readsOtherwise, text);
    },
    () => send('POST', '/api/catalogue', garbledText({ items: [{ id: newId(), item: pick(catalogue) }] }, random)),
  ];
  await many(counts.writing, () => pick(writing)());
  // What was taken opens, and the fleet can be read.
  for (const id of boats) if (!(await opened(id))) fault(id, 'cannot be opened any more');
  await send('GET', '/api/boats', null, {}, true);
  const listed = recordingsSchema.safeParse(json(await send('GET', '/api/recordings', null, {}, true)));
  if (!listed.success) fault('GET recordings', 'cannot be listed any more');
  for (const id of sources) await send('DELETE', `/api/instruments/sources/${id}`, null, {}, true);

  const sheets = ['card', 'report', 'shopping', 'wiring', 'aboard', 'photographs'];
  const units = 'length=m&depth=m&speed=kn&temperature=C';
  await many(counts.printing, async () => {
    const id = await bundleIn(JSON.stringify({ ...pick(bundles), plan: extremePlan(random), catalogue: [] }));
    if (id === null) return fault('PUT bundle', 'a plan of the schema was refused');
    for (const sheet of sheets) await send('GET', `/api/boats/${id}/${sheet}.pdf?${units}`, null, {}, true);
    if (random() < 0.1) await send('GET', '/api/backup', null, {}, true);
    await send('DELETE', `/api/boats/${id}`);
  });
  sender.close();
  if (edits.sound.taken < edits.sound.sent / 2)
    fault('POST revisions', `only ${edits.sound.taken} of ${edits.sound.sent} sensible edits were taken`);
  return { answers: sender.answers, faults: sender.faults, slowestMs: sender.slowestMs(), sound: edits.sound };
};
