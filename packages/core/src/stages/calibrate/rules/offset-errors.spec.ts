import type { Edit, Severity } from '@grey-keel/model';
import { enteredBy } from '../../../testing/entered-by.ts';
import { findingsOf } from '../../../findings/rule.ts';
import { edited, pair, seeded } from '../../../testing/sample-plan.ts';
import { soundBoat } from '../../../testing/sound-boat.ts';
import { offsetScale } from './offset-errors.ts';

/** Speed of sound in fresh water of 20 °C, m/s: Bilaniuk and Wong 1993. */
const warmMps = 1482.34;

/** What is said of readings of a face 0.4 m down whose depths come out `times` as long as they are. */
const said = (times: number): { severity: Severity; words: string } | undefined => {
  const plan = soundBoat(seeded(7));
  const readings = [2, 3, 4, 5, 7, 9, 10, 12].map((leadLineM, i): Edit => ({
    type: 'recordReading',
    transducerId: 'a-hull',
    readingId: `z${i}`,
    reading: pair(leadLineM, Math.round((100 * (leadLineM - 0.4) * times * 1443.6) / warmMps) / 100),
  }));
  const warm: Edit = {
    type: 'describeDepthOffset',
    transducerId: 'a-hull',
    changes: { takenIn: { temperatureC: 20, salinityPpt: 0 } },
  };
  const before = ['r1', 'r2', 'r3', 'r4'].map((readingId): Edit => ({
    type: 'removeReading',
    transducerId: 'a-hull',
    readingId,
  }));
  const [finding] = findingsOf(offsetScale, edited(plan, ...enteredBy(plan, [warm, ...before, ...readings])));
  return (
    finding && { severity: finding.severity, words: finding.reason.filter((part) => typeof part === 'string').join('') }
  );
};

describe('one offset for depths that grow too slowly or too fast', () => {
  it('stops the boat where it would show too much water at grounding, and asks for a check where too little', () => {
    // Read too short, more is missing the deeper it is: what the mean of the readings misses is too much for the shallows.
    const short = said(0.97);
    expect(short?.severity).toBe('stop');
    expect(short?.words).toContain('too much water there');
    const long = said(1.03);
    expect(long?.severity).toBe('check');
    expect(long?.words).toContain('too little there');
    expect(said(1)).toBeUndefined();
  });
});
