import type { LogChannel } from '@grey-keel/core';
import { seeded } from '@grey-keel/core/testing';
import type { Connection } from '@grey-keel/model';
import type { PortEvents } from '../../apps/server/src/instruments/ports.ts';
import { SourceLine } from '../../apps/server/src/instruments/source-line.ts';
import { LiveRecording } from '../../apps/server/src/recordings/live-recording.ts';

/** What was found wrong, or null. */
type Fault = string | null;

const soon = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

const lateTicks = 160;

/** A source that is opened, closed, changed and given up at random, on a gateway that is slow, refuses and hangs up. */
export const sourceModel = async (seed: number): Promise<Fault> => {
  const random = seeded(seed);
  let open = 0;
  let most = 0;
  let heard = 0;
  const ports = new Set<{ readonly events: PortEvents; readonly to: Connection; live: boolean }>();
  let kind = true;
  const line = new SourceLine({
    againMs: [1],
    changed: () => undefined,
    line: () => (heard += 1),
    make: async (to, events) => {
      for (let i = Math.floor(3 * random()); i > 0; i--) await soon();
      if (!kind && random() < 0.2) throw new Error('Nothing listens there.');
      const port = { events, to, live: true };
      ports.add(port);
      open += 1;
      most = Math.max(most, open);
      const end = (problem: string | null): void => {
        if (!port.live) return;
        port.live = false;
        open -= 1;
        ports.delete(port);
        events.ended(problem);
      };
      void (async () => {
        // A gateway that is far away answers late, or never before it is given up.
        for (let i = random() < 0.3 ? lateTicks : 1; i > 0; i--) await soon();
        if (!kind && random() < 0.2) end('It does not answer.');
        else if (port.live) events.opened();
      })();
      return {
        close: () => {
          if (random() < 0.3) void soon().then(() => end(null));
          else end(null);
        },
      };
    },
  });
  const one: Connection = { by: 'tcp', address: '127.0.0.1', port: 10_110 };
  const other: Connection = { by: 'udp', port: 2000 };
  let wanted: Connection | null = null;
  let waiting = 0;
  for (let turn = 0; turn < 30; turn++) {
    kind = turn > 20;
    wanted = [one, one, other, null][Math.floor(4 * random())] ?? null;
    if (wanted === null) {
      waiting += 1;
      void line.closed().then(() => (waiting -= 1));
    } else line.want(wanted);
    if (random() < 0.6) await soon();
    const [port] = ports;
    if (port && !kind && random() < 0.2) {
      port.live = false;
      open -= 1;
      ports.delete(port);
      port.events.ended('The other side closed the connection.');
    }
  }
  for (
    let i = 0;
    i < (wanted === null ? lateTicks / 4 : 4 * lateTicks) &&
    (wanted === null ? open + waiting > 0 : line.state !== 'open');
    i++
  )
    await (i % 8 === 7 ? new Promise((resolve) => setTimeout(resolve, 2)) : soon());
  if (most > 1) return `${most} ports at once`;
  if (open !== (wanted === null ? 0 : 1)) return `${open} ports where ${wanted === null ? 'none is' : 'one is'} wanted`;
  await soon();
  if (waiting > 0) return `${waiting} wait for it to close`;
  const [last] = ports;
  if (last && last.to !== wanted) return 'the port of another connection';
  heard = 0;
  last?.events.line('$');
  if (last && heard !== 1) return `a line was counted ${heard} times`;
  await line.closed();
  return open === 0 ? null : 'open after it was closed';
};

/** A recording on a disk that is full now and then, ended or killed at random: what was taken is stored once, or told as dropped. */
export const recordingModel = async (seed: number): Promise<Fault> => {
  const random = seeded(seed);
  const channel: LogChannel = { id: 1, talker: 'SD', type: 'DPT', quantity: 'depthM' };
  const stored: number[] = [];
  const parts = new Set<string>();
  let [full, done, nowS, taken, told, safe] = [false, 0, 0, 0, 0, 0];
  let doubled = false;
  const recording = new LiveRecording({
    flushEveryMs: 1e9,
    mostWaiting: 40,
    elapsedS: () => nowS,
    done: () => (done += 1),
    store: async ({ chunks, gaps }) => {
      if (random() < 0.5) await soon();
      if (full) throw new Error('SQLITE_FULL');
      for (const { channel: id, part, figures } of chunks) {
        doubled ||= parts.has(`${id}/${part}`);
        parts.add(`${id}/${part}`);
        stored.push(...figures);
      }
      told = gaps.reduce((sum, { samples }) => sum + samples, 0);
    },
  });
  const take = (): void => {
    nowS += random();
    recording.take(channel, taken);
    taken += 1;
  };
  for (let turn = 0; turn < 40; turn++) {
    const what = random();
    if (what < 0.6) for (let i = Math.floor(20 * random()); i > 0; i--) take();
    else if (what < 0.8) {
      const flushing = recording.flush();
      if (random() < 0.5) take();
      if (await flushing) safe = stored.length;
    } else full = random() < 0.5;
  }
  const sorted = stored.every((value, i) => i === 0 || value > (stored[i - 1] ?? 0));
  if (random() < 0.3) {
    recording.abandon();
    return doubled || !sorted || stored.length < safe ? 'killed, and what was stored is not in order' : null;
  }
  for (full = true; random() < 0.5;) await recording.end();
  full = false;
  const ends = await Promise.all([recording.end(), recording.end()]);
  if (ends.includes(false)) return 'did not end though there was room';
  if (doubled) return 'a part was stored twice';
  if (stored.length + told !== taken) return `${taken} taken, ${stored.length} stored, ${told} told as dropped`;
  if (stored.some((value, i) => i > 0 && value <= (stored[i - 1] ?? 0))) return 'stored out of order';
  return done >= 1 ? null : 'it never ended';
};

/** Runs both models; what was wrong, by its seed. */
export const keepModel = async (count: number, seed: number): Promise<string[]> => {
  const faults: string[] = [];
  const atOnce = 50;
  for (let from = 0; from < count; from += atOnce)
    await Promise.all(
      Array.from({ length: Math.min(atOnce, count - from) }, async (_, i) => {
        const own = seed + from + i;
        for (const [name, model] of Object.entries({ sourceModel, recordingModel })) {
          const fault = await model(own);
          if (fault !== null) faults.push(`${name}, seed ${own}: ${fault}`);
        }
      }),
    );
  return faults;
};
