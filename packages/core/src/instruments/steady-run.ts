import type { Sentence } from '@grey-keel/model';
import { bearingOf, circularMean, eastNorth, wrapped } from '../calibration/bearings.ts';

export interface Sample {
  readonly atS: number;
  readonly value: number;
}

/** What a run is taken from: each list of one channel, oldest first. The log may be left out. */
export interface RunSamples {
  readonly headingDeg: readonly Sample[];
  readonly cogDeg: readonly Sample[];
  readonly sogMps: readonly Sample[];
  readonly logMps?: readonly Sample[];
}

export interface RunAverage {
  readonly headingDeg: number;
  readonly cogDeg: number;
  readonly sogMps: number;
  readonly logMps: number | null;
}

export type RunState =
  /** Something has stopped, turns or changes still: nothing counts yet. */
  | { readonly state: 'waiting'; readonly why: Sentence }
  /** Steady, but the slowest instrument has not caught up: what it shows still belongs to the run before. */
  | { readonly state: 'settling'; readonly leftS: number; readonly why: Sentence }
  | {
      readonly state: 'averaging' | 'ready';
      readonly leftS: number;
      readonly lastedS: number;
      readonly samples: number;
      readonly average: RunAverage;
    };

/** The same of one instrument: what it shows, averaged. */
export type SteadyValue =
  | Exclude<RunState, { readonly state: 'averaging' | 'ready' }>
  | {
      readonly state: 'averaging' | 'ready';
      readonly leftS: number;
      readonly lastedS: number;
      readonly samples: number;
      readonly value: number;
    };

export interface RunRules {
  /** Of each instrument: after five of them less than a hundredth of a change is left in what it shows. */
  readonly lagS: { readonly heading: number; readonly position: number; readonly log: number };
  /** To average over at least. */
  readonly averageS: number;
  /** The run before was taken then: what came until then is its own. */
  readonly notBeforeS?: number;
}

const lagsToSettle = 5;
/** Older than so an instrument has stopped. */
const stoppedS = 5;
/** What an instrument shows now is the mean of so long. */
const newestS = 3;
/** A boat whose heading swings by more is turning; a speed that changes by more is not steady. */
const steadyDeg = 8;
const steadyShare = 0.12;
const steadyMps = 0.25;
/** Below this a course says little, whatever the boat points at. */
const leastSogMps = 1;
/** Of the course, within the run. */
const mostCourseScatterDeg = 12;

const last = (samples: readonly Sample[]): Sample | undefined => samples[samples.length - 1];
const since = (samples: readonly Sample[], fromS: number): Sample[] => samples.filter(({ atS }) => atS >= fromS);
const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
const spread = (degrees: readonly number[], middle: number): number =>
  Math.sqrt(mean(degrees.map((deg) => wrapped(deg - middle) ** 2)));

/** Since when each later sample lies near the mean of the newest ones. Asked ten times a second: the mean is made once. */
const steadySince = (
  samples: readonly Sample[],
  nowS: number,
  meanOf: (values: readonly number[]) => number,
  off: (value: number, now: number) => boolean,
): number => {
  const newest: number[] = [];
  for (let i = samples.length - 1; i >= 0; i--) {
    const sample = samples[i];
    if (!sample || sample.atS < nowS - newestS) break;
    newest.push(sample.value);
  }
  if (newest.length === 0) return samples[0]?.atS ?? nowS;
  const now = meanOf(newest);
  for (let i = samples.length - 1; i >= 0; i--) {
    const sample = samples[i];
    if (sample && off(sample.value, now)) return sample.atS;
  }
  return samples[0]?.atS ?? nowS;
};

const turns = (deg: number, nowDeg: number): boolean => Math.abs(wrapped(deg - nowDeg)) > steadyDeg;
const changes = (mps: number, nowMps: number): boolean =>
  Math.abs(mps - nowMps) > Math.max(steadyMps, steadyShare * nowMps);

/**
 * How far a straight run has come, from what the instruments have shown until now. Averaging begins five lags after the
 * last change, of the slowest instrument; what came before is refused with that reason. Course and speed over ground are
 * averaged as one velocity, the heading by its directions.
 */
export const steadyRun = (
  samples: RunSamples,
  nowS: number,
  { lagS, averageS, notBeforeS = -Infinity }: RunRules,
): RunState => {
  const waiting = (...why: Sentence): RunState => ({ state: 'waiting', why });
  const wanted: readonly (readonly [word: string, samples: readonly Sample[]])[] = [
    ['heading', samples.headingDeg],
    ['course over ground', samples.cogDeg],
    ['speed over ground', samples.sogMps],
    ...(samples.logMps ? [['log', samples.logMps] as const] : []),
  ];
  for (const [word, list] of wanted) {
    const newest = last(list);
    if (!newest) return waiting(`No ${word} comes in. Choose where it comes from.`);
    if (nowS - newest.atS > stoppedS)
      return waiting(`The ${word} has stopped, `, { value: nowS - newest.atS, quantity: 'wait' }, ' ago.');
  }
  const turnedS = steadySince(samples.headingDeg, nowS, circularMean, turns);
  const fasterS = steadySince(samples.logMps ?? samples.sogMps, nowS, mean, changes);
  const changedS = Math.max(turnedS, fasterS);
  if (nowS - changedS < 1)
    return waiting(
      turnedS >= fasterS ? 'The heading still turns: hold it.' : 'The speed still changes: hold the throttle.',
    );
  const lag = Math.max(lagS.heading, lagS.position, samples.logMps ? lagS.log : 0);
  const fromS = Math.max(changedS + lagsToSettle * lag, notBeforeS);
  if (nowS < fromS)
    return {
      state: 'settling',
      leftS: fromS - nowS,
      why: [
        'Hold heading and throttle: what the instruments show still belongs to the time before. Averaging begins in ',
        { value: fromS - nowS, quantity: 'wait' },
        '.',
      ],
    };
  const cut = averagedRun(samples, fromS, nowS);
  if ('why' in cut) return cut.few ? { state: 'settling', leftS: 1, why: cut.why } : { state: 'waiting', why: cut.why };
  const lastedS = nowS - fromS;
  return {
    state: lastedS >= averageS ? 'ready' : 'averaging',
    leftS: Math.max(0, averageS - lastedS),
    lastedS,
    samples: cut.samples,
    average: cut.average,
  };
};

export type CutRun =
  { readonly why: Sentence; readonly few: boolean } | { readonly average: RunAverage; readonly samples: number };

/**
 * The averages of a run between two times, or why it is none: too few figures, a boat that turned or changed its speed within
 * it, too slow for a course, a course that wanders. Course and speed over ground are averaged as one velocity.
 */
export const averagedRun = (samples: RunSamples, fromS: number, toS: number): CutRun => {
  const within = (list: readonly Sample[]): number[] =>
    list.flatMap(({ atS, value }) => (atS >= fromS && atS <= toS ? [value] : []));
  const headings = within(samples.headingDeg);
  const courses = within(samples.cogDeg);
  const speeds = within(samples.sogMps);
  const logs = samples.logMps ? within(samples.logMps) : [];
  const no = (...why: Sentence): CutRun => ({ why, few: false });
  if (headings.length < 3 || courses.length < 3 || speeds.length < 3 || (samples.logMps && logs.length < 3))
    return { why: ['Hold heading and throttle: the first figures of the run come in.'], few: true };
  const headingDeg = (circularMean(headings) + 360) % 360;
  if (headings.some((deg) => Math.abs(wrapped(deg - headingDeg)) > 2 * steadyDeg))
    return no('The boat turned within it: cut the run where the heading holds.');
  const sogMps = mean(speeds);
  if (sogMps < leastSogMps)
    return no('At ', { value: sogMps, quantity: 'speed' }, ' over ground the course says nothing: go faster.');
  const over = courses.map((deg) => eastNorth(deg, sogMps));
  const velocity = { east: mean(over.map(({ east }) => east)), north: mean(over.map(({ north }) => north)) };
  const cogDeg = bearingOf(velocity);
  const scatterDeg = spread(courses, cogDeg);
  if (scatterDeg > mostCourseScatterDeg)
    return no(
      'The course wanders by ',
      { value: scatterDeg, quantity: 'angle' },
      ' about its mean: go faster, or wait for less sea.',
    );
  return {
    samples: headings.length,
    average: {
      headingDeg,
      cogDeg,
      sogMps: Math.hypot(velocity.east, velocity.north),
      logMps: logs.length ? mean(logs) : null,
    },
  };
};

/**
 * The mean of a heading while it lies within `withinDeg` of what it shows now, over the newest `averageS` seconds. Ready once
 * it has been held for as long: a mark set while the boat swings would put the antenna anywhere.
 */
export const heldHeading = (
  headings: readonly Sample[],
  nowS: number,
  {
    averageS,
    withinDeg,
    notBeforeS = -Infinity,
  }: { readonly averageS: number; readonly withinDeg: number; readonly notBeforeS?: number },
): SteadyValue => {
  const newest = last(headings);
  if (!newest) return { state: 'waiting', why: ['No heading comes in. Choose where it comes from.'] };
  if (nowS - newest.atS > stoppedS)
    return {
      state: 'waiting',
      why: ['The heading has stopped, ', { value: nowS - newest.atS, quantity: 'wait' }, ' ago.'],
    };
  const heldFromS = Math.max(
    notBeforeS,
    steadySince(headings, nowS, circularMean, (deg, nowDeg) => Math.abs(wrapped(deg - nowDeg)) > withinDeg),
  );
  // The sample at that moment is still of the turn, or of the mark before.
  const fromS = Math.max(heldFromS, nowS - averageS);
  const counted = headings.flatMap(({ atS, value }) => (atS > fromS ? [value] : []));
  const lastedS = Math.min(averageS, nowS - heldFromS);
  const leftS = averageS - lastedS;
  if (lastedS < 1 || counted.length < 3)
    return { state: 'settling', leftS, why: ['Hold the heading: it turns, or has been held for a moment only.'] };
  return {
    state: leftS > 0 ? 'averaging' : 'ready',
    leftS,
    lastedS,
    samples: counted.length,
    value: (circularMean(counted) + 360) % 360,
  };
};

/** The mean of what one instrument shows once it has settled: five lags after the last change by more than `near`. */
export const steadyValue = (
  samples: readonly Sample[],
  nowS: number,
  {
    lagS,
    averageS,
    near,
    notBeforeS = -Infinity,
  }: { readonly lagS: number; readonly averageS: number; readonly near: number; readonly notBeforeS?: number },
): SteadyValue => {
  const newest = last(samples);
  if (!newest) return { state: 'waiting', why: ['Nothing comes in. Choose where it comes from.'] };
  if (nowS - newest.atS > stoppedS)
    return { state: 'waiting', why: ['It has stopped, ', { value: nowS - newest.atS, quantity: 'wait' }, ' ago.'] };
  const changedS = steadySince(samples, nowS, mean, (value, now) => Math.abs(value - now) > near);
  const fromS = Math.max(changedS + lagsToSettle * lagS, notBeforeS);
  const counted = since(samples, fromS).map(({ value }) => value);
  if (nowS < fromS || counted.length < 3)
    return {
      state: 'settling',
      leftS: Math.max(1, fromS - nowS),
      why: [
        'It still follows the water: averaging begins in ',
        { value: Math.max(1, fromS - nowS), quantity: 'wait' },
        '.',
      ],
    };
  const lastedS = nowS - fromS;
  return {
    state: lastedS >= averageS ? 'ready' : 'averaging',
    leftS: Math.max(0, averageS - lastedS),
    lastedS,
    samples: counted.length,
    value: mean(counted),
  };
};
