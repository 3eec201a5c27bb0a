import type { OpenedBoat } from '@grey-keel/model';
import { Agent, request as ask } from 'node:http';
import { seeded } from '../../packages/core/src/testing/sample-plan.ts';
import { oddTexts } from './garble.ts';

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

export interface Reply {
  readonly status: number;
  readonly bytes: Buffer;
}

/** Longer than this no answer may take, but what is declared long work. */
const longestMs = 1000;
/** How many inputs are under way at a time. */
export const atOnce = 8;
export const boats = ['sable-wren', 'pewter-skua', 'old-marl'];

/** What sends inputs to a server, makes them on a seed, and keeps whatever was not answered as it has to be. */
export const fuzzSender = (address: string, seed: number) => {
  const random = seeded(seed);
  const { hostname, port } = new URL(address);
  const agent = new Agent({ keepAlive: true, maxSockets: atOnce });
  const answers: Record<number, number> = {};
  const faults: FuzzFault[] = [];
  let slowestMs = 0;
  let made = 0;
  const fault = (door: string, what: string, sent = ''): void => {
    faults.push({ door, what, sent: sent.slice(0, 400) });
  };
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  /** Text for a part of an address. */
  const token = (): string =>
    pick([pick(oddTexts), encodeURIComponent(pick(oddTexts).replace(/\p{Cs}/gu, '')), pick(boats)]).replace(
      /[^\x21-\x7e]|[\s#?]/g,
      '',
    );
  const newId = (): string => `fuzz-${seed}-${(made += 1)}`;

  const send = async (
    method: string,
    path: string,
    body: string | Buffer | null = null,
    headers: Record<string, string> = {},
    long = false,
  ): Promise<Reply | null> => {
    const wrong = (what: string): void => {
      fault(`${method} ${path.slice(0, 120)}`, what, String(body ?? ''));
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
      wrong(`no answer: ${reply}`);
      return null;
    }
    answers[reply.status] = (answers[reply.status] ?? 0) + 1;
    if (!long) slowestMs = Math.max(slowestMs, tookMs);
    if (reply.status >= 500) wrong(`answered ${reply.status}`);
    if (reply.status === 429) wrong('not tried: the limit answered');
    if (!long && tookMs > longestMs) wrong(`took ${tookMs.toFixed(0)} ms`);
    if (reply.status >= 400 && /\bat [\w.<>]+ \(|\/(home|root|work|tmp|usr)\//.test(reply.bytes.toString('utf8')))
      wrong('told of its insides');
    return reply;
  };
  const json = (reply: Reply | null): unknown =>
    reply !== null && reply.status < 300 ? (JSON.parse(reply.bytes.toString('utf8')) as unknown) : null;
  const opened = async (id: string): Promise<OpenedBoat | null> =>
    json(await send('GET', `/api/boats/${id}`)) as OpenedBoat | null;
  /** One of the ids given so far, but none of the last `fresh`. */
  const oldId = (fresh: number): string => `fuzz-${seed}-${Math.ceil(random() * Math.max(0, made - fresh))}`;
  const many = async (count: number, one: () => Promise<unknown>): Promise<void> => {
    let left = count;
    const lane = async (): Promise<void> => {
      while (left > 0) {
        left -= 1;
        await one();
      }
    };
    await Promise.all(Array.from({ length: atOnce }, lane));
  };
  return {
    random,
    pick,
    token,
    newId,
    oldId,
    send,
    json,
    opened,
    fault,
    many,
    answers,
    faults,
    slowestMs: () => slowestMs,
    close: () => agent.destroy(),
  };
};
export type FuzzSender = ReturnType<typeof fuzzSender>;
