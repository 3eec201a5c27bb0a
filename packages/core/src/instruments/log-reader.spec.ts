import fc from 'fast-check';
import { seeded } from '../testing/sample-plan.ts';
import { encodeSentence } from './nmea-encode.ts';
import { logReader } from './log-reader.ts';
import { thinned } from './thinned.ts';

const depth = (metres: number): string => encodeSentence('SD', 'DPT', [metres.toFixed(1), '']);
const clock = (time: string, date = '010526'): string =>
  encodeSentence('GP', 'RMC', [time, 'A', '4700.000', 'N', '02800.000', 'W', '5.0', '90.0', date, '', '']);
const read = (...lines: string[]) => {
  const took: { name: string; timeS: number; value: number }[] = [];
  const reader = logReader(({ talker, quantity }, timeS, value) =>
    took.push({ name: `${talker} ${quantity}`, timeS, value }),
  );
  lines.forEach(reader.line);
  return {
    counts: reader.counts(),
    channels: reader.channels(),
    depths: took.filter(({ name }) => name === 'SD depthM'),
  };
};

describe('a log', () => {
  it('is timed by what stands in front of its lines, in whichever way it is written', () => {
    for (const tags of [
      ['2026-05-01T09:30:00.500Z ', '2026-05-01 09:30:02.000,'],
      ['1777627800.5 ', '1777627802 '],
      ['1777627800500\t', '1777627802000\t'],
      ['\\s:a,c:1777627800500*00\\', '\\c:1777627802000*00\\'],
    ]) {
      const [first = '', second = ''] = tags;
      const { depths, counts } = read(first + depth(4), depth(5), second + depth(6));
      expect(depths.map(({ timeS }) => timeS))
        .withContext(first)
        .toEqual([0, 0, 1.5]);
      expect(counts).toEqual(
        jasmine.objectContaining({ timesKnown: 'tags', lastedS: 1.5, startedMs: 1_777_627_800_500 }),
      );
    }
  });

  it('is timed by the clock of its sentences where its lines bear none, over midnight and past a clock that jumps', () => {
    const { depths, counts } = read(
      clock('235959.00'),
      depth(4),
      clock('000001.00', '020526'),
      depth(5),
      // Back an hour, on by eight, and on by two seconds from there.
      clock('230000.00', '010526'),
      depth(6),
      clock('070000.00', '020526'),
      clock('070002.00', '020526'),
      depth(7),
    );
    expect(depths.map(({ timeS }) => timeS)).toEqual([0, 2, 2, 4]);
    expect(counts).toEqual(
      jasmine.objectContaining({ timesKnown: 'clock', lastedS: 4, startedMs: Date.parse('2026-05-01T23:59:59Z') }),
    );
  });

  it('counts a time that is none, and goes on as if it bore no time: at the beginning, in the middle, past the year 9999', () => {
    const bad = ['2026-99-99T09:30:00Z ', '9999-12-31T23:30:00-01:00 ', '2026-05-01T25:61:00Z '];
    for (const tag of bad) {
      const before = read(tag + depth(4), `2026-05-01T09:30:00Z ${depth(5)}`, `2026-05-01T09:31:00Z ${depth(6)}`);
      expect(before.counts)
        .withContext(tag)
        .toEqual(jasmine.objectContaining({ badTimes: 1, lastedS: 60.1, startedMs: 1_777_627_800_000 }));
      const within = read(`2026-05-01T09:30:00Z ${depth(4)}`, tag + depth(5), `2026-05-01T09:40:00Z ${depth(6)}`);
      expect(within.depths.map(({ timeS }) => timeS))
        .withContext(tag)
        .toEqual([0, 0, 600]);
      expect(within.counts.badTimes).withContext(tag).toBe(1);
      expect(read(tag + depth(4)).counts.startedMs)
        .withContext(tag)
        .toBeNull();
    }
  });

  it('is as long as one clock says, though a second receiver tells the time a second late, and is never set back', () => {
    const at = (s: number): string =>
      new Date(Date.UTC(2026, 4, 1, 23, 55) + 1000 * s).toISOString().slice(11, 19).replace(/:/g, '');
    const gll = (s: number): string =>
      encodeSentence('GN', 'GLL', ['4700.000', 'N', '02800.000', 'W', `${at(s)}.00`, 'A', 'A']);
    const lines = Array.from({ length: 601 }, (_, s) => [gll(s - 1), clock(`${at(s)}.00`), depth(4)]).flat();
    const { counts, depths } = read(...lines);
    expect(counts).toEqual(jasmine.objectContaining({ timesKnown: 'clock', badTimes: 0 }));
    expect(Math.abs(counts.lastedS - 600)).toBeLessThanOrEqual(1);
    expect(depths.every(({ timeS }, i) => i === 0 || timeS >= depths[i - 1]!.timeS)).toBeTrue();
    // The receiver with the date falls silent: the other goes on, and its second is no step back.
    const silent = read(...lines.slice(0, 900), ...Array.from({ length: 300 }, (_, s) => gll(300 + s)));
    expect(Math.abs(silent.counts.lastedS - 599)).toBeLessThanOrEqual(1);
  });

  it('without any time is taken as evenly spaced, which is said', () => {
    const { depths, counts } = read(depth(4), depth(5), depth(6));
    expect(counts.timesKnown).toBe('assumed');
    expect(counts.startedMs).toBeNull();
    expect(depths[2]!.timeS - depths[0]!.timeS).toBeCloseTo(0.2, 9);
  });

  it('counts by kind what it cannot use, and keeps two talkers of one sentence apart', () => {
    const { counts, channels } = read(
      depth(4),
      depth(4).replace('4.0', '5.0'),
      encodeSentence('II', 'DPT', ['9.0', '']),
      encodeSentence('GP', 'GSV', ['1']),
      'broken',
      depth(4).slice(0, -1),
      encodeSentence('PG', 'SIM', [1]),
    );
    expect(counts).toEqual(
      jasmine.objectContaining({ sentences: 5, wrongChecksum: 1, noSentence: 2, notRead: 1, simulated: true }),
    );
    expect(channels.map(({ talker, quantity }) => `${talker} ${quantity}`)).toEqual(['SD depthM', 'II depthM']);
  });

  it('of a hundred thousand garbled sentences gives no value that a garbled one brought, and no throw', () => {
    const random = seeded(17);
    const sound = [depth(4.2), clock('093000.00'), encodeSentence('HC', 'HDG', ['101.5', '', '', '7.1', 'W'])];
    const garbled = Array.from({ length: 100_000 }, (): string => {
      const line = sound[Math.floor(random() * sound.length)]!;
      // One letter of what the checksum covers becomes another: the checksum always tells.
      const at = 1 + Math.floor(random() * (line.indexOf('*') - 1));
      const other = String.fromCharCode(33 + ((line.charCodeAt(at) - 33 + 1 + Math.floor(random() * 90)) % 93));
      return line.slice(0, at) + other + line.slice(at + 1);
    });
    const took: unknown[] = [];
    const reader = logReader((...one) => took.push(one));
    garbled.forEach(reader.line);
    const { sentences, wrongChecksum, noSentence } = reader.counts();
    expect(took).toEqual([]);
    expect(sentences + noSentence).toBe(100_000);
    expect(wrongChecksum).toBe(sentences);
    fc.assert(
      fc.property(fc.string({ maxLength: 90, unit: 'binary' }), (line) => reader.line(line)),
      { numRuns: 3000 },
    );
  });
});

describe('a thinned series', () => {
  it('has no more points than asked, its peaks among them, and its times in order', () => {
    const random = seeded(4);
    const values = Array.from({ length: 5000 }, () => random());
    values[3333] = 9;
    values[17] = -9;
    const times = values.map((_, i) => i / 10);
    const thin = thinned(times, values, 200);
    expect(thin.values.length).toBeLessThanOrEqual(200);
    expect([Math.max(...thin.values), Math.min(...thin.values)]).toEqual([9, -9]);
    expect(thin.timesS[thin.values.indexOf(9)]).toBe(333.3);
    expect([...thin.timesS].sort((a, b) => a - b)).toEqual(thin.timesS);
    expect(thinned(times.slice(0, 50), values.slice(0, 50), 200).values).toEqual(values.slice(0, 50));
  });
});
