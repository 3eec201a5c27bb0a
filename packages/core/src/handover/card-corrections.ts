import type { Plan, Sentence } from '@grey-keel/model';
import { calibratedSensors } from '../calibration/calibration-rows.ts';
import { compassToSteer } from '../calibration/deviation-calibration.ts';
import { standingOf } from '../calibration/measured-by-kind.ts';
import { calibrationOf } from '../calibration/sensor-calibration.ts';
import { enteredResult } from '../plan/held-by.ts';

/** What no display takes and the helmsman corrects by hand. */
export interface CardCorrection {
  readonly id: string;
  readonly name: string;
  readonly state: 'fresh' | 'stale';
  readonly of:
    | { readonly kind: 'range'; readonly way: string; readonly factor: number }
    | { readonly kind: 'tilt'; readonly tiltDeg: number; readonly changesAtDeg: number | null };
}

/** What to steer by a compass for each magnetic course. */
export interface DeviationTable {
  readonly id: string;
  readonly name: string;
  readonly state: 'fresh' | 'stale';
  readonly courses: readonly { readonly magneticDeg: number; readonly compassDeg: number }[];
}

export interface CardCorrections {
  readonly lines: readonly CardCorrection[];
  readonly deviations: readonly DeviationTable[];
}

const stateOf = (plan: Plan, kind: 'range' | 'tilt' | 'deviation', id: string): 'fresh' | 'stale' =>
  standingOf(plan, kind, id).state === 'stale' ? 'stale' : 'fresh';

const noted = <T>(
  plan: Plan,
  kind: 'range' | 'tilt' | 'deviation',
  make: (values: readonly number[], id: string) => T,
) =>
  calibratedSensors(plan, kind).flatMap(({ id, name }) => {
    const values = enteredResult(plan, kind, id)?.values;
    return values ? [{ id, name, state: stateOf(plan, kind, id), of: make(values, id) }] : [];
  });

/** Degrees between the courses of a deviation table. */
const everyDeg = 15;

/**
 * What was measured for the card: what a distance read off a picture is multiplied by, how a pole hangs, and what to steer
 * by each compass, every 15° magnetic. Null while nothing of the kind is entered.
 */
export const cardCorrections = (plan: Plan): CardCorrections | null => {
  const lines = [
    ...noted(plan, 'range', ([factor = 1], id) => ({
      kind: 'range' as const,
      way: calibrationOf(plan, 'range', id).way,
      factor,
    })),
    ...noted(plan, 'tilt', ([tiltDeg = 0], id) => ({
      kind: 'tilt' as const,
      tiltDeg,
      changesAtDeg: calibrationOf(plan, 'tilt', id).changesAtDeg,
    })),
  ];
  const deviations = noted(plan, 'deviation', (coefficients) =>
    Array.from({ length: 360 / everyDeg }, (_, i) => ({
      magneticDeg: i * everyDeg,
      compassDeg: Math.round(compassToSteer(coefficients, i * everyDeg)) % 360,
    })),
  ).map(({ of: courses, ...rest }) => ({ ...rest, courses }));
  return lines.length + deviations.length > 0 ? { lines, deviations } : null;
};

/** A correction as the card says it. */
export const correctionInWords = ({ name, of }: CardCorrection): Sentence => {
  if (of.kind === 'range')
    return [
      `${name}: what is read ${of.way} as `,
      { value: 20, quantity: 'length' },
      ' is ',
      { value: 20 * of.factor, quantity: 'length' },
      ' off over the ground.',
    ];
  const bow = (deg: number): string => (deg < 0 ? 'bow down' : 'bow up');
  return [
    `${name}: it hangs `,
    { value: Math.abs(of.tiltDeg), quantity: 'angle' },
    ` ${bow(of.tiltDeg)} from the plumb`,
    ...(of.changesAtDeg === null
      ? ['.']
      : [
          '; its view changes by itself at ',
          { value: Math.abs(of.changesAtDeg), quantity: 'angle' as const },
          ` ${bow(of.changesAtDeg)}.`,
        ]),
  ];
};

/** Over a deviation table. */
export const deviationInWords = ({ name }: DeviationTable): string =>
  `${name}: for a magnetic course, steer by compass`;
