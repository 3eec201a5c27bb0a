import { simulatedBoat, simulatedSentences } from '@grey-keel/core';
import { helmAtRest, type HelmState } from '@grey-keel/model';
import { Readable } from 'node:stream';
import type { Recordings } from '../recordings/recordings.ts';

interface Leg {
  readonly lastsS: number;
  readonly helm: Partial<HelmState>;
}
interface Sail {
  readonly id: string;
  readonly name: string;
  readonly seed: number;
  readonly legs: readonly Leg[];
}

const leg = (steerDeg: number, lastsS: number, throttle = 0.4): Leg => ({ lastsS, helm: { steerDeg, throttle } });

/** Three sails of the simulated boat on fixed seeds: pairs for the heading, a triangle for the log, and a slow full turn. */
const sails: readonly Sail[] = [
  {
    id: 'demo-pairs',
    name: 'Practice: there and back, twice',
    seed: 21,
    legs: [leg(30, 100), leg(210, 100), leg(120, 100), leg(300, 100)],
  },
  {
    id: 'demo-log',
    name: 'Practice: a triangle for the log',
    seed: 22,
    legs: [leg(10, 150), leg(130, 150), leg(250, 150)],
  },
  {
    id: 'demo-swing',
    name: 'Practice: a slow full turn',
    seed: 23,
    legs: Array.from({ length: 9 }, (_, i) => leg((i * 45) % 360, 40, 0.3)),
  },
];

/** What the instruments say over a sail, as the text of a log. */
const logOf = ({ seed, legs }: Sail, startMs: number): string => {
  const boat = simulatedBoat(seed);
  let tick = 0;
  const lines: string[] = [];
  for (const { lastsS, helm } of legs)
    for (let i = 0; i < 10 * lastsS; i++) {
      boat.step(0.1, { ...helmAtRest, ...helm });
      lines.push(...simulatedSentences(boat.now(), tick, new Date(startMs + 100 * tick), undefined, boat));
      tick += 1;
    }
  return lines.join('\r\n');
};

/** Puts the demo recordings in where they are not yet there; those that were deleted stay deleted. */
export const seedRecordings = async (recordings: Recordings, now: Date): Promise<void> => {
  for (const sail of sails) {
    if (await recordings.has(sail.id)) continue;
    const text = logOf(sail, now.getTime() - 86_400_000);
    await recordings.importLog(sail.id, sail.name, 'the simulated boat', Readable.from([Buffer.from(text, 'latin1')]));
  }
};
