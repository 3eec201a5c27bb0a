import type { LineStanding } from '@grey-keel/core';
import type { StageState } from '@grey-keel/model';

/** How a line is marked at its edge: what could mislead, what has to be done, what is done. */
export const lineMarks: Readonly<Record<LineStanding, 'bad' | 'check' | 'open' | 'done'>> = {
  'look again': 'bad',
  differs: 'bad',
  changed: 'check',
  'to enter': 'open',
  unknown: 'open',
  'right as found': 'done',
  entered: 'done',
  seen: 'done',
};
const signs = { bad: 'stop', check: 'stale', open: 'missing', done: 'fresh' } as const;

/** The sign of a line’s standing: the shapes of the ladder. */
export const lineSign = (standing: LineStanding): StageState => signs[lineMarks[standing]];
