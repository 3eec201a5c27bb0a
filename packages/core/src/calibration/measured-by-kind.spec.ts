import type { CalibrationKind, Edit, Plan } from '@grey-keel/model';
import { applyEdits } from '../job/apply-edits.ts';
import { copyPlan } from '../job/copy-plan.ts';
import { aPlan, edited, seeded } from '../testing/sample-plan.ts';
import { equipment } from '../testing/sound-boat.ts';
import { pairsFrom, simulatedRuns } from '../testing/simulated-runs.ts';
import { formatSentence } from '../units/format-sentence.ts';
import { unitSets } from '../units/display-units.ts';
import { entryOf, heldValue, measurementOf, moreFor, standingOf, toleranceOf } from './measured-by-kind.ts';
import { moreReadings } from './more-readings.ts';

const aboard = (): Plan => ({
  ...aPlan(),
  equipment: {
    compass: equipment('heading sensor', [3, 0, 1]),
    log: equipment('speed and temperature sensor', [3, 0.2, 0.1]),
  },
});
const recorded = (of: CalibrationKind, sensorId: string, readings: readonly object[]): Edit[] =>
  readings.map(
    (reading, i) =>
      ({
        type: 'recordCalibration',
        of,
        sensorId,
        readingId: `r${i}`,
        reading: { ...reading, leftOut: false },
      }) as Edit,
  );
const described = (of: CalibrationKind, sensorId: string, changes: object): Edit => ({
  type: 'describeCalibration',
  of,
  sensorId,
  changes,
});
const known = (plan: Plan, of: CalibrationKind, id: string) => {
  const it = measurementOf(plan, of, id);
  if (!it?.known) throw new Error(it?.wanting);
  return it;
};
const wanting = (plan: Plan, of: CalibrationKind, id: string): string => {
  const it = measurementOf(plan, of, id);
  return it && !it.known ? it.wanting : '';
};
const headingReadings = (uniform: () => number, pairs: number) => {
  const boat = simulatedRuns(uniform, pairsFrom(30, pairs), { exact: true });
  return { boat, readings: boat.runs.map(({ headingDeg, sogMps, cogDeg }) => ({ headingDeg, sogMps, cogDeg })) };
};

describe('what is entered on a display', () => {
  it('is what was set there and what was measured, whichever north the heading is shown from', () => {
    const { boat, readings } = headingReadings(seeded(3), 2);
    const base = edited(aboard(), ...recorded('heading', 'compass', readings));
    expect(known(base, 'heading', 'compass').enter[0]?.value).toBeCloseTo(boat.offsetDeg, 6);
    const set = edited(base, described('heading', 'compass', { setDeg: 5 }));
    expect(known(set, 'heading', 'compass').enter[0]?.value).toBeCloseTo(boat.offsetDeg + 5, 6);
    // The same figures read from magnetic north, 7° east of the true one, are 7° short of true.
    const magnetic = edited(base, described('heading', 'compass', { north: 'magnetic' }));
    expect(wanting(magnetic, 'heading', 'compass')).toContain('variation is missing');
    const varied = edited(magnetic, described('heading', 'compass', { variationDeg: 7 }));
    expect(known(varied, 'heading', 'compass').measured.value).toBeCloseTo(boat.offsetDeg - 7, 6);
  });

  it('makes the display show what its sentence says: the sign is never left to be guessed', () => {
    const { readings } = headingReadings(seeded(4), 2);
    const { measured, sign } = known(
      edited(aboard(), ...recorded('heading', 'compass', readings)),
      'heading',
      'compass',
    );
    expect(sign[3]).toEqual({ value: (((90 - measured.value) % 360) + 360) % 360, quantity: 'angle' });
    const cold = edited(aboard(), ...recorded('temperature', 'log', [{ referenceC: 9, displayedC: 8.6 }]));
    expect(formatSentence(known(cold, 'temperature', 'log').sign, unitSets.metric)).toContain('0.4\u00a0°C too low');
    const { runs, factor } = simulatedRuns(seeded(5), [20, 200, 110, 290], { exact: true });
    const log = known(edited(aboard(), ...recorded('speed', 'log', runs)), 'speed', 'log');
    // Headings of that boat's compass are off as well, which turns the runs and leaves the factor.
    expect(log.measured.value / factor).toBeGreaterThan(0.97);
    expect(log.sign[0]).toContain(log.measured.value > 1 ? 'too little' : 'too much');
    expect(log.sign[3]).toEqual({ value: 3 * log.measured.value, quantity: 'speed' });
  });

  it('is noted with all it depended on, is fresh until that changes, and held until something else is set', () => {
    const { readings } = headingReadings(seeded(6), 2);
    const plan = edited(aboard(), ...recorded('heading', 'compass', readings));
    expect(standingOf(plan, 'heading', 'compass').state).toBe('missing');
    expect(heldValue(plan, 'heading', 'compass')).toBe(0);
    const entered = entryOf(plan, 'heading', 'compass', { at: '2026-05-01T09:30:00Z', by: 'Installer' })!;
    const done = edited(plan, { type: 'enterCalibration', of: 'heading', sensorId: 'compass', entered });
    expect(standingOf(done, 'heading', 'compass').state).toBe('fresh');
    expect(heldValue(done, 'heading', 'compass')).toBe(entered.values[0]!);
    const moved = edited(done, { type: 'describeEquipment', id: 'compass', changes: { forwardM: 4 } });
    expect(standingOf(moved, 'heading', 'compass')).toEqual({ state: 'stale', changed: ['the sensor or its place'] });
    expect(heldValue(edited(done, described('heading', 'compass', { setDeg: 1 })), 'heading', 'compass')).toBe(1);
    const gone = edited(done, { type: 'removeEquipment', id: 'compass' });
    expect(gone.calibrations.heading).toEqual({});
    expect(entryOf(aboard(), 'heading', 'compass', { at: '2026-05-01T09:30:00Z', by: '' })).toBeNull();
  });

  it('waits for a run back, a second heading, a whole swing and readings without a gap, and says which', () => {
    const { readings } = headingReadings(seeded(7), 2);
    const three = edited(aboard(), ...recorded('heading', 'compass', readings.slice(0, 3)));
    expect(wanting(three, 'heading', 'compass')).toContain('Run 3 has no run back');
    const half = edited(aboard(), ...recorded('heading', 'compass', [{ ...readings[0], cogDeg: null }]));
    expect(wanting(half, 'heading', 'compass')).toContain('No complete run yet');
    const one = edited(aboard(), ...recorded('speed', 'log', [{ logMps: 3, headingDeg: 0, sogMps: 3, cogDeg: 0 }]));
    expect(wanting(one, 'speed', 'log')).toContain('One run cannot tell');
    expect(wanting(aboard(), 'deviation', 'compass')).toContain('4 headings');
    expect(wanting(aboard(), 'temperature', 'log')).toContain('No complete reading');
  });
});

describe('how many more readings', () => {
  it('are enough: with them the interval is within the tolerance, and with one fewer it is not', () => {
    // Student's t at 97.5 %: 12.706, 4.303, 3.182, 2.776 for 1 to 4 degrees of freedom (published tables).
    const half = (n: number): number => [12.706, 4.303, 3.182, 2.776][n - 2]! / Math.sqrt(n);
    const more = moreReadings({ readings: 2, fitted: 1, half: half(2), tolerance: half(4) * 1.001 });
    expect(more).toBe(2);
    expect(moreReadings({ readings: 5, fitted: 1, half: 1, tolerance: 1 })).toBe(0);
    expect(moreReadings({ readings: 3, fitted: 1, half: 5, tolerance: 0.01 })).toBeNull();
  });

  it('come in pairs where readings do, and are unknown but asked for where there is no interval', () => {
    const { readings } = headingReadings(seeded(8), 1);
    const plan = edited(aboard(), ...recorded('heading', 'compass', readings));
    expect(moreFor(plan, 'heading', 'compass', known(plan, 'heading', 'compass'))).toBe(2);
    // Two runs of a log give four equations for three values: their interval is wide, and more runs are known to help.
    const runs = [
      { logMps: 3, headingDeg: 0, sogMps: 3.1, cogDeg: 1 },
      { logMps: 3, headingDeg: 180, sogMps: 2.9, cogDeg: 181 },
    ];
    const log = edited(aboard(), ...recorded('speed', 'log', runs));
    const it = known(log, 'speed', 'log');
    const more = moreFor(log, 'speed', 'log', it);
    expect(it.half).not.toBeNull();
    expect(more).toBeGreaterThan(0);
    expect(more).toBeLessThan(12);
    expect(toleranceOf(plan, 'heading', 'compass')).toEqual({ value: 2, quantity: 'angle' });
  });
});

describe('readings of the simulated boat', () => {
  const from = { source: 'simulated boat', simulated: true, at: '2026-05-01T09:30:00Z', lastedS: 30, samples: 60 };
  const edit: Edit = {
    type: 'recordCalibration',
    of: 'temperature',
    sensorId: 'log',
    readingId: 'r1',
    reading: { referenceC: 9, displayedC: 8.6, leftOut: false, from },
  };

  it('are taken on a practice copy, and on no other boat by any way in', () => {
    const practice = copyPlan(aboard(), 'Practice', 'practice');
    const taken = edited(practice, edit);
    expect(applyEdits(aboard(), [edit])).toEqual(jasmine.objectContaining({ ok: false, code: 'simulated' }));
    // A practice copy that has them cannot be made a boat, nor can its copy.
    const asBoat: Edit = { type: 'restore', patches: [{ op: 'remove', path: ['practice'] }] };
    expect(applyEdits(taken, [asBoat]).ok).toBeFalse();
    const again = copyPlan(taken, 'Again');
    expect(again.practice).toBeUndefined();
    expect(again.calibrations.temperature).toEqual({});
  });
});
