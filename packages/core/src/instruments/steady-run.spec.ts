import { formatSentence } from '../units/format-sentence.ts';
import { unitSets } from '../units/display-units.ts';
import {
  averagedRun,
  heldHeading,
  type RunSamples,
  type RunState,
  type Sample,
  steadyRun,
  steadyValue,
} from './steady-run.ts';

const rules = { lagS: { heading: 3, position: 3, log: 10 }, averageS: 20 };
/** Once a second from 0 to `toS`. */
const each = (toS: number, value: (atS: number) => number): Sample[] =>
  Array.from({ length: toS + 1 }, (_, atS) => ({ atS, value: value(atS) }));
const run = (toS: number, of: Partial<Record<keyof RunSamples, (atS: number) => number>> = {}): RunSamples => ({
  headingDeg: each(toS, of.headingDeg ?? (() => 40)),
  cogDeg: each(toS, of.cogDeg ?? (() => 50)),
  sogMps: each(toS, of.sogMps ?? (() => 3)),
  ...(of.logMps ? { logMps: each(toS, of.logMps) } : {}),
});
const why = (state: RunState): string => ('why' in state ? formatSentence(state.why, unitSets.metric) : state.state);

describe('a steady run', () => {
  it('waits five lags of the slowest instrument after a turn, and averages only what came then', () => {
    // Turned from 200° to 40° at 10 s; course and heading still swing into it for a while.
    const turn = (atS: number): number => (atS <= 10 ? 200 : 40);
    const at = (toS: number, log = false): RunState =>
      steadyRun(run(toS, { headingDeg: turn, ...(log ? { logMps: () => 3 } : {}) }), toS, rules);
    expect(why(at(11))).toContain('still turns');
    expect(why(at(20))).toContain('Averaging begins in 5');
    expect(at(24).state).toBe('settling');
    expect(at(28).state).toBe('averaging');
    expect(at(45)).toEqual(jasmine.objectContaining({ state: 'ready', lastedS: 20, samples: 21, leftS: 0 }));
    // With the log in it the wait is fifty seconds.
    expect(why(at(45, true))).toContain('Averaging begins in 15');
    expect(at(80, true).state).toBe('ready');
  });

  it('averages course and speed as one velocity and headings by their directions, across north', () => {
    const swing = (by: number) => (atS: number) => (360 + (atS % 2 ? by : -by)) % 360;
    const ready = steadyRun(run(60, { headingDeg: swing(4), cogDeg: swing(6) }), 60, rules);
    if (ready.state !== 'ready') throw new Error(why(ready));
    expect(Math.min(ready.average.headingDeg, 360 - ready.average.headingDeg)).toBeLessThan(0.2);
    expect(Math.min(ready.average.cogDeg, 360 - ready.average.cogDeg)).toBeLessThan(0.3);
    // Steps of 6° each way shorten the mean velocity by the cosine.
    expect(ready.average.sogMps).toBeCloseTo(3 * Math.cos((6 * Math.PI) / 180), 3);
  });

  it('counts nothing of the run that was taken before', () => {
    const long = steadyRun(run(100), 100, { ...rules, notBeforeS: 90 });
    expect(long).toEqual(jasmine.objectContaining({ state: 'averaging', lastedS: 10, samples: 11 }));
  });

  it('refuses a boat too slow for a course, a course that wanders, a speed that changes, and what has stopped', () => {
    expect(why(steadyRun(run(60, { sogMps: () => 0.7 }), 60, rules))).toContain('go faster');
    const wild = steadyRun(run(60, { cogDeg: (atS) => 50 + (atS % 2 ? 25 : -25) }), 60, rules);
    expect(why(wild)).toContain('wanders by 25.0°');
    expect(why(steadyRun(run(60, { sogMps: (atS) => (atS < 60 ? 3 : 6) }), 60, rules))).toContain(
      'speed still changes',
    );
    // One that grows without end never comes to be averaged.
    expect(steadyRun(run(60, { sogMps: (atS) => 1 + atS / 10 }), 60, rules).state).toBe('settling');
    expect(why(steadyRun(run(60), 70, rules))).toContain('heading has stopped');
    expect(why(steadyRun({ ...run(60), cogDeg: [] }, 60, rules))).toContain('No course over ground');
    expect(why(steadyRun({ ...run(60), logMps: [] }, 60, rules))).toContain('No log');
  });
});

describe('a run cut out of a recording', () => {
  const sailed = run(200, { headingDeg: (atS) => (atS < 100 ? 40 : 220), cogDeg: (atS) => (atS < 100 ? 50 : 230) });
  it('is averaged between its ends, and refused where the boat turned within it or little is in it', () => {
    const cut = averagedRun(sailed, 20, 80);
    expect('average' in cut && cut.average.headingDeg).toBeCloseTo(40, 6);
    expect('average' in cut && cut.samples).toBe(61);
    const across = averagedRun(sailed, 80, 120);
    expect('why' in across && formatSentence(across.why, unitSets.metric)).toContain('turned within it');
    expect('why' in averagedRun(sailed, 20, 21)).toBeTrue();
  });
});

describe('a held heading', () => {
  const rules = { averageS: 8, withinDeg: 4 };
  it('is averaged once it is held, across north, from what came after the turn and the mark before alone', () => {
    // Turned away from 90° at 5 s, held about north by steps of 3° from there.
    const turned = each(40, (atS) => (atS <= 5 ? 90 : (360 + (atS % 2 ? 3 : -1)) % 360));
    const until = (toS: number, notBeforeS = -Infinity) =>
      heldHeading(turned.slice(0, toS + 1), toS, { ...rules, notBeforeS });
    expect([6, 9, 13].map((toS) => until(toS).state)).toEqual(['settling', 'averaging', 'ready']);
    const ready = until(20);
    expect('value' in ready && Math.abs(((ready.value + 180) % 360) - 181)).toBeLessThan(0.3);
    expect(until(20, 15)).toEqual(jasmine.objectContaining({ state: 'averaging', lastedS: 5, leftS: 3, samples: 5 }));
  });

  it('is none yet where it has only just come in, swings, or has stopped', () => {
    expect(
      heldHeading(
        each(1, () => 90),
        1,
        rules,
      ).state,
    ).toBe('settling');
    expect(
      heldHeading(
        each(30, (atS) => 9 * atS),
        30,
        rules,
      ).state,
    ).toBe('settling');
    expect(
      heldHeading(
        each(30, () => 90),
        37,
        rules,
      ).state,
    ).toBe('waiting');
    expect(heldHeading([], 0, rules).state).toBe('waiting');
  });
});

describe('a steady value', () => {
  const wait = { lagS: 10, averageS: 20, near: 0.3 };
  it('is the mean of what is shown once the sensor has followed', () => {
    const followed = (toS: number) =>
      steadyValue(
        each(toS, (atS) => (atS <= 5 ? 14 : 9 + (atS % 2) / 10)),
        toS,
        wait,
      );
    expect(followed(30).state).toBe('settling');
    const ready = followed(80);
    expect(ready.state === 'ready' && ready.value).toBeCloseTo(9.05, 1);
    expect(steadyValue([], 10, wait).state).toBe('waiting');
    expect(
      steadyValue(
        each(10, () => 9),
        30,
        wait,
      ).state,
    ).toBe('waiting');
  });
});
