import { calculations } from '@grey-keel/core';
import {
  editSchema,
  helmAtRest,
  helmSchema,
  recordingSchema,
  recordingsSchema,
  type Bundle,
  type OpenedBoat,
} from '@grey-keel/model';
import { aJpeg, segment } from '../apps/server/src/testing/a-jpeg.ts';
import { soundEdit } from './sound-edit.ts';
import { Agent, request as ask } from 'node:http';
import { randomUUID } from 'node:crypto';
import { extremePlan, valueFrom } from '../packages/core/src/testing/extreme-plans.ts';
import { seeded } from '../packages/core/src/testing/sample-plan.ts';
import { garbled, garbledText, oddTexts } from './garble.ts';

type Json = Parameters<typeof garbled>[0];

export interface FuzzCounts {
  readonly reading: number;
  readonly writing: number;
  readonly printing: number;
}
export interface FuzzFault {
  readonly door: string;
  readonly what: string;
  readonly sent: string;
}
export interface FuzzReport {
  /** How often each status was answered. */
  readonly answers: Readonly<Record<number, number>>;
  readonly faults: readonly FuzzFault[];
  readonly slowestMs: number;
  /** Of edits that make sense where they are sent: how many were sent, and how many taken. */
  readonly sound: { readonly sent: number; readonly taken: number };
}

interface Reply {
  readonly status: number;
  readonly bytes: Buffer;
}

/** Longer than this no answer may take, but what is declared long work. */
const longestMs = 1000;
const atOnce = 8;
const boats = ['sable-wren', 'pewter-skua', 'old-marl'];

const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : typeof value === 'object' && value !== null
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([key, inner]) => [key, sorted(inner)]),
        )
      : value;
const sameJson = (a: unknown, b: unknown): boolean => JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));

/** Sends malformed and extreme input to every door of a server and reports whatever was not answered as it has to be. */
export const fuzz = async (address: string, counts: FuzzCounts, seed: number): Promise<FuzzReport> => {
  const random = seeded(seed);
  const { hostname, port } = new URL(address);
  const agent = new Agent({ keepAlive: true, maxSockets: atOnce });
  const answers: Record<number, number> = {};
  const faults: FuzzFault[] = [];
  let slowestMs = 0;
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const odd = (): string =>
    pick([pick(oddTexts), encodeURIComponent(pick(oddTexts).replace(/\p{Cs}/gu, '')), pick(boats)]);
  const token = (): string => odd().replace(/[^\x21-\x7e]|[\s#?]/g, '');

  const send = async (
    method: string,
    path: string,
    body: string | Buffer | null = null,
    headers: Record<string, string> = {},
    long = false,
  ): Promise<Reply | null> => {
    const fault = (what: string): void => {
      faults.push({ door: `${method} ${path.slice(0, 120)}`, what, sent: String(body ?? '').slice(0, 400) });
    };
    const from = performance.now();
    const reply = await new Promise<Reply | string>((resolve) => {
      const sent = ask(
        {
          hostname,
          port,
          path,
          method,
          agent,
          headers: body === null ? headers : { 'content-type': 'application/json', ...headers },
        },
        (response) => {
          const parts: Buffer[] = [];
          response.on('data', (part: Buffer) => parts.push(part));
          response.on('end', () => resolve({ status: response.statusCode ?? 0, bytes: Buffer.concat(parts) }));
          response.on('error', (error) => resolve(error.message));
        },
      );
      sent.on('error', (error) => {
        // An address or a head too long is answered and cut off while it is still being sent.
        const cut = path.length > 8000 && 'code' in error && (error.code === 'ECONNRESET' || error.code === 'EPIPE');
        resolve(cut ? { status: 431, bytes: Buffer.alloc(0) } : error.message);
      });
      sent.end(body ?? undefined);
    });
    const tookMs = performance.now() - from;
    if (typeof reply === 'string') {
      fault(`no answer: ${reply}`);
      return null;
    }
    answers[reply.status] = (answers[reply.status] ?? 0) + 1;
    if (!long) slowestMs = Math.max(slowestMs, tookMs);
    if (reply.status >= 500) fault(`answered ${reply.status}`);
    if (reply.status === 429) fault('not tried: the limit answered');
    if (!long && tookMs > longestMs) fault(`took ${tookMs.toFixed(0)} ms`);
    if (reply.status >= 400 && /\bat [\w.<>]+ \(|\/(home|root|work|tmp|usr)\//.test(reply.bytes.toString('utf8')))
      fault('told of its insides');
    return reply;
  };
  const json = (reply: Reply | null): unknown =>
    reply !== null && reply.status < 300 ? (JSON.parse(reply.bytes.toString('utf8')) as unknown) : null;
  const many = async (count: number, one: () => Promise<void>): Promise<void> => {
    let left = count;
    const lane = async (): Promise<void> => {
      while (left > 0) {
        left -= 1;
        await one();
      }
    };
    await Promise.all(Array.from({ length: atOnce }, lane));
  };

  const names = [...calculations.keys()];
  const reading: (() => Promise<unknown>)[] = [
    () => send('GET', `/api/boats/${token()}`),
    () => {
      const asked = new URLSearchParams(
        ['search', 'show', 'by', 'downward', 'first', 'count', token()].flatMap((name) =>
          random() < 0.6 ? [[name, pick([token(), '-1', '1e9', 'true', 'name', 'done'])]] : [],
        ),
      );
      return send('GET', `/api/boats?${asked.toString()}`);
    },
    () => send('GET', `/api/boats/${token()}/revisions?since=${token()}`),
    () => send('GET', `/api/boats/${pick(boats)}/revisions/${token()}`),
    () => send('GET', `/api/boats/${token()}/bundle`),
    () => send('GET', `/api/boats/${token()}/report.pdf?${token()}=${token()}`),
    () => send('GET', `/api/${token()}/${token()}`),
    () => send('GET', `/api/calculations/${token()}`),
    () => send('GET', `/${token()}`),
    () => send(pick(['GET', 'HEAD', 'OPTIONS', 'PATCH', 'TRACE']), `/api/boats/${token()}`),
    () =>
      send('GET', '/api/health', null, {
        [pick(['range', 'if-match', 'if-none-match', 'accept-encoding', 'origin', 'sec-fetch-site'])]: token() || 'x',
      }),
    () => {
      const name = pick(names);
      const input = calculations.get(name)?.input;
      return send('POST', `/api/calculations/${name}`, JSON.stringify(input ? valueFrom(input, random) : null));
    },
    () => {
      const name = pick(names);
      const input = calculations.get(name)?.input;
      return send(
        'POST',
        `/api/calculations/${name}`,
        garbledText(input ? (valueFrom(input, random) as Json) : {}, random),
        pick<Record<string, string>>([
          {},
          { 'content-encoding': pick(['gzip', 'deflate', 'br', 'x']) },
          { 'content-type': 'text/plain' },
        ]),
      );
    },
  ];
  await many(counts.reading, async () => {
    await pick(reading)();
  });

  const bundles = await Promise.all(
    boats.map(async (id) => json(await send('GET', `/api/boats/${id}/bundle`)) as Bundle),
  );
  const catalogue = (json(await send('GET', '/api/catalogue')) as { item: Json }[]).map(({ item }) => item);
  let made = 0;
  const newId = (): string => `fuzz-${seed}-${(made += 1)}`;
  const opened = async (id: string): Promise<OpenedBoat | null> =>
    json(await send('GET', `/api/boats/${id}`)) as OpenedBoat | null;
  const differs = (door: string, sent: unknown): void => {
    faults.push({ door, what: 'taken, and reads back otherwise', sent: JSON.stringify(sent).slice(0, 400) });
  };
  const bundleIn = async (text: string): Promise<string | null> => {
    const id = newId();
    const reply = await send('PUT', `/api/bundles/${id}`, text);
    if (reply === null || reply.status >= 300) return null;
    const boat = await opened(id);
    if (!boat || !sameJson(boat.plan, (JSON.parse(text) as Bundle).plan)) differs('PUT bundle', JSON.parse(text));
    return id;
  };
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
    if (!sameJson(first?.edits, (JSON.parse(body) as typeof wanted).edits)) differs('POST revisions', wanted);
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
  const sound = { sent: 0, taken: 0 };
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

  const logs: string[] = [];
  const logLine = (): string =>
    pick([
      () => '$SDDPT,4.10,0.3',
      () => '$GPRMC,093000.00,A,4700.000,N,02800.000,W,5.0,90.0,010526,,',
      () =>
        `${pick(['2026-05-01T09:30:00Z', '2026-99-99T09:30:00Z', '9999-12-31T23:59:59-01:00', '1777627800', '99999999999'])} $SDDPT,5.2,`,
      () => `\\c:${pick(['1777627800', '0', 'x', '9999999999999'])}*00\\$IIMTW,11.5,C`,
      () => pick(oddTexts).slice(0, 200),
    ])();
  const takeLog = async (): Promise<void> => {
    const id = random() < 0.9 ? newId() : token();
    const text = Array.from({ length: Math.floor(40 * random()) }, logLine).join(pick(['\n', '\r\n', '\r', '']));
    const reply = await send('PUT', `/api/recordings/${id}?name=${random() < 0.9 ? 'Log' : token()}`, text, {}, true);
    if (reply?.status !== 201) return;
    logs.push(id);
    const recording = recordingSchema.safeParse(json(reply));
    if (!recording.success) faults.push({ door: 'PUT recording', what: 'taken, and is no recording', sent: text });
  };
  const takePicture = async (): Promise<void> => {
    const about = segment(0xe1, Buffer.from('Exif\0\0II*\0 position'));
    const bytes = Buffer.from(aJpeg(1 + Math.floor(1400 * random()), 6, { segments: [about], after: about }));
    for (let i = Math.floor(4 * random()); i > 0; i--)
      bytes[Math.floor(random() * bytes.length)] = Math.floor(256 * random());
    const whole = random() < 0.2 ? bytes.subarray(0, Math.floor(random() * bytes.length)) : bytes;
    const id = newId();
    const reply = await send('PUT', `/api/photographs/${id}`, whole, { 'content-type': 'image/jpeg' });
    if (reply?.status !== 204) return;
    const stored = await send('GET', `/api/photographs/${id}`);
    if (stored?.bytes.includes('position') !== false)
      faults.push({ door: 'PUT photograph', what: 'stored with its position', sent: whole.toString('hex') });
  };
  const source = (): Json => ({
    name: pick(['Boat', ...oddTexts]),
    connection: pick<Json>([
      { by: 'simulated boat', seed: 1 + Math.floor(3 * random()), pace: pick([1, 10, 11]) },
      { by: 'udp', port: 47_000 + Math.floor(4 * random()) },
      { by: 'tcp', address: pick(['127.0.0.1', '8.8.8.8', '10.0.0.300']), port: 47_100 },
    ]),
  });
  const sources = ['one', 'two', 'three'] as const;
  const instruments: (() => Promise<unknown>)[] = [
    () => send('PUT', `/api/instruments/sources/${pick(sources)}`, JSON.stringify(source()), {}, true),
    () =>
      send(
        'POST',
        `/api/instruments/sources/${pick(sources)}/open`,
        JSON.stringify({ open: random() < 0.5 }),
        {},
        true,
      ),
    () => send('DELETE', `/api/instruments/sources/${pick(sources)}`, null, {}, true),
    () => send('PUT', '/api/instruments/helm', JSON.stringify(valueFrom(helmSchema, random))),
    () => send('GET', `/api/instruments${pick(['', '/hidden', '/over-the-side', `/${token()}`])}`),
    () =>
      send('POST', `/api/recordings/${pick([newId(), token()])}/record`, garbledText({ name: pick(oddTexts) }, random)),
    () => send('POST', `/api/recordings/${pick([newId(), token()])}/stop`, null, {}, true),
  ];
  const known = (): string => (logs.length > 0 ? pick(logs) : newId());
  const number = (): string => pick(['0', '1', '-1', '3.5', '1e9', 'NaN', token()]);
  const recordings: (() => Promise<unknown>)[] = [
    () =>
      send(
        'GET',
        `/api/recordings/${known()}/part?channel=${number()}&fromS=${number()}&toS=${number()}&points=${pick(['10', '5', '20001', number()])}`,
      ),
    () => send('GET', `/api/recordings/${known()}/export.${pick(['nmea', 'csv', 'gpx', token()])}`, null, {}, true),
    () => send('GET', '/api/recordings'),
    () => send('DELETE', `/api/recordings/${known()}`),
    () => send('POST', `/api/recordings/${known()}/recall`),
  ];
  const writing: (() => Promise<unknown>)[] = [
    revise,
    revise,
    sensible,
    sensible,
    takePicture,
    () => pick(instruments)(),
    () => pick(recordings)(),
    // A thread for each: few are enough.
    async () => {
      if (random() < 0.3) await takeLog();
    },
    restore,
    restore,
    () => bundleIn(garbledText(pick(bundles), random)),
    () => bundleIn(JSON.stringify({ ...pick(bundles), plan: extremePlan(random), catalogue: [] })),
    () =>
      send('PUT', `/api/boats/${random() < 0.5 ? newId() : token()}`, garbledText({ name: pick(oddTexts) }, random)),
    () => send('POST', `/api/boats/${token()}/copy`, garbledText({ id: newId(), name: pick(oddTexts) }, random)),
    // None that another lane has just made and is about to look at.
    () =>
      send(
        'DELETE',
        `/api/boats/${random() < 0.5 ? `fuzz-${seed}-${Math.ceil(random() * Math.max(0, made - 4 * atOnce))}` : newId()}`,
      ),
    () => send('POST', `/api/boats/fuzz-${seed}-${Math.ceil(random() * made)}/recall`, 'null'),
    async () => {
      const id = newId();
      const text = garbledText(pick(catalogue), random);
      const reply = await send('PUT', `/api/catalogue/${id}`, text);
      if (reply?.status === 200 && !sameJson((json(reply) as { item: unknown }).item, JSON.parse(text)))
        differs('PUT catalogue', JSON.parse(text));
    },
    () => send('POST', '/api/catalogue', garbledText({ items: [{ id: newId(), item: pick(catalogue) }] }, random)),
    () => send('PUT', '/api/instruments/helm', garbledText(helmAtRest, random)),
    // No port that could be opened is named: a garbled source is refused, or listed and found to be closed.
    () =>
      send(
        'PUT',
        `/api/instruments/sources/${token()}`,
        garbledText({ name: pick(oddTexts), connection: { by: 'udp', port: pick(oddTexts) } }, random),
      ),
  ];
  await many(counts.writing, async () => {
    await pick(writing)();
  });
  // What was taken opens, and the fleet can be read.
  for (const id of boats)
    if (!(await opened(id))) faults.push({ door: id, what: 'cannot be opened any more', sent: '' });
  await send('GET', '/api/boats', null, {}, true);
  const listed = recordingsSchema.safeParse(json(await send('GET', '/api/recordings', null, {}, true)));
  if (!listed.success) faults.push({ door: 'GET recordings', what: 'cannot be listed any more', sent: '' });
  for (const id of sources) await send('DELETE', `/api/instruments/sources/${id}`, null, {}, true);

  const sheets = ['card', 'report', 'shopping', 'wiring', 'aboard', 'photographs'];
  const units = 'length=m&depth=m&speed=kn&temperature=C';
  await many(counts.printing, async () => {
    const id = await bundleIn(JSON.stringify({ ...pick(bundles), plan: extremePlan(random), catalogue: [] }));
    if (id === null)
      return void faults.push({ door: 'PUT bundle', what: 'a plan of the schema was refused', sent: '' });
    for (const sheet of sheets) await send('GET', `/api/boats/${id}/${sheet}.pdf?${units}`, null, {}, true);
    if (random() < 0.1) await send('GET', '/api/backup', null, {}, true);
    await send('DELETE', `/api/boats/${id}`);
  });
  agent.destroy();
  if (sound.taken < sound.sent / 2)
    faults.push({
      door: 'POST revisions',
      what: `only ${sound.taken} of ${sound.sent} sensible edits were taken`,
      sent: '',
    });
  return { answers, faults, slowestMs, sound };
};
