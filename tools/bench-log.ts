import { simulatedBoat, simulatedSentences } from '@grey-keel/core';
import { helmAtRest } from '@grey-keel/model';
import { createReadStream, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { noLimit, scratchFolder, serverOn } from '../apps/server/src/testing/test-server.ts';
import { milliseconds, type Row } from './bench-row.ts';

const dayBytes = 60e6;

/** Ten minutes of the simulated boat, said again and again until it is a day's log. */
const dayLog = (): string => {
  const boat = simulatedBoat(3);
  const start = Date.parse('2026-05-01T09:30:00Z');
  const lines = Array.from({ length: 6000 }, (_, tick) => {
    boat.step(0.1, { ...helmAtRest, throttle: 0.4, wheel: 0.1 });
    return simulatedSentences(boat.now(), tick, new Date(start + 100 * tick)).join('\r\n');
  });
  const once = `${lines.join('\r\n')}\r\n`;
  return once.repeat(Math.ceil(dayBytes / once.length)).slice(0, dayBytes);
};

/** Splitting the bytes into lines and adding up each checksum: the least that any reader does. */
const checksumsAlone = (file: string): number => {
  const start = performance.now();
  let held = 0;
  for (const line of readFileSync(file, 'latin1').split(/\r\n|\n|\r/)) {
    let sum = 0;
    const star = line.lastIndexOf('*');
    for (let i = 1; i < star; i++) sum ^= line.charCodeAt(i);
    if (sum === Number.parseInt(line.slice(star + 1), 16)) held += 1;
  }
  if (held < 1e6) throw new Error('The log is shorter than a day.');
  return performance.now() - start;
};

/** A day's log of 60 MB taken in and stored, beside splitting and checksums alone, and how far the memory rises meanwhile. */
export const logRows = async (): Promise<Row[]> => {
  const folder = scratchFolder();
  const file = join(folder.path, 'day.nmea');
  writeFileSync(file, dayLog(), 'latin1');
  const server = await serverOn(folder.path, noLimit);
  const before = process.memoryUsage().rss;
  let most = before;
  const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 20);
  const took = await milliseconds(async () => {
    const reply = await fetch(`${server.address}/api/recordings/day?name=Day`, {
      method: 'PUT',
      body: Readable.toWeb(createReadStream(file)) as never,
      duplex: 'half',
    } as never);
    if (reply.status !== 201) throw new Error(`The log was answered ${reply.status}.`);
  });
  clearInterval(watch);
  const alone = checksumsAlone(file);
  await server.stop();
  folder.remove();
  const risen = (most - before) / 1e6;
  return [
    {
      name: 'a day’s log of 60 MB taken in and stored',
      value: took,
      unit: 'ms',
      baseline: 'eight times splitting and checksums alone',
      baselineValue: 8 * alone,
      ratio: took / (8 * alone),
    },
    {
      name: 'memory while a day’s log is taken in',
      value: risen,
      unit: 'MB',
      baseline: 'budget',
      baselineValue: 200,
      ratio: risen / 200,
    },
  ];
};
