import type { Battery, CalibrationKind, Edit, Plan } from '@grey-keel/model';
import { beamRangeTerms, bottomSnrDb } from '../beams/beam-range.ts';
import { deepestAcoustics } from '../beams/element-acoustics.ts';
import { requirementsOf } from '../beams/requirements.ts';
import { workingBeamOf } from '../beams/working-beam.ts';
import { hoursUntilOut } from '../power/hours-until-out.ts';
import { restVoltageV } from '../power/battery-curve.ts';
import { heldCalibration } from '../plan/held-by.ts';
import { aPlan, aTransducer, edited, fitted, seeded } from '../testing/sample-plan.ts';
import { equipment } from '../testing/sound-boat.ts';
import { finds } from '../testing/set-at.ts';
import { pairsFrom, simulatedRuns } from '../testing/simulated-runs.ts';
import { formatSentence } from '../units/format-sentence.ts';
import { unitSets } from '../units/display-units.ts';
import {
  alsoEntered,
  followsFrom,
  entryOf,
  measurementOf,
  moreFor,
  standingOf,
  toleranceOf,
  withoutApart,
} from './measured-by-kind.ts';

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
const described = (of: CalibrationKind, sensorId: string, changes: object): Edit =>
  ({ type: 'describeCalibration', of, sensorId, changes }) as Edit;
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
    // An offset adds up with what was set while it was measured, a factor multiplies.
    const warm = edited(
      aboard(),
      ...recorded('temperature', 'log', [{ referenceC: 9, displayedC: 8.6 }]),
      described('temperature', 'log', { setByC: 0.5 }),
    );
    expect(known(warm, 'temperature', 'log').enter[0]?.value).toBeCloseTo(0.9, 6);
    const { runs } = simulatedRuns(seeded(5), [20, 200, 110, 290], { exact: true });
    const fast = known(
      edited(aboard(), ...recorded('speed', 'log', runs), described('speed', 'log', { setFactor: 1.25 })),
      'speed',
      'log',
    );
    expect(fast.measured.value).not.toBeCloseTo(1, 2);
    expect(fast.enter[0]?.value).toBeCloseTo(1.25 * fast.measured.value, 6);
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
    expect(heldCalibration(plan, 'heading', 'compass')).toBe(0);
    const entered = entryOf(plan, 'heading', 'compass', { at: '2026-05-01T09:30:00Z', by: 'Installer' })!;
    const done = edited(plan, entered);
    expect(standingOf(done, 'heading', 'compass').state).toBe('fresh');
    expect(heldCalibration(done, 'heading', 'compass')).toBe(known(plan, 'heading', 'compass').enter[0]!.value);
    const moved = edited(done, { type: 'describeEquipment', id: 'compass', changes: { forwardM: 4 } });
    expect(standingOf(moved, 'heading', 'compass')).toEqual({ state: 'stale', changed: ['the sensor or its place'] });
    const read = (when: string): Plan => edited(done, finds('compass', 'heading', 1, 'compass', when));
    expect(heldCalibration(read('2026-05-02T09:30:00Z'), 'heading', 'compass')).toBe(1);
    expect(heldCalibration(read('2026-04-02T09:30:00Z'), 'heading', 'compass')).not.toBe(1);
    const gone = edited(done, { type: 'removeEquipment', id: 'compass' });
    expect(gone.calibrations.heading).toEqual({});
    expect(entryOf(aboard(), 'heading', 'compass', { at: '2026-05-01T09:30:00Z', by: '' })).toBeNull();
  });

  it('is offered without a reading that stands apart, which stays in until somebody leaves it out', () => {
    const pairs = [9.1, 9.6, 11, 12.2, 14.4].map((at, i) => ({
      referenceC: at,
      displayedC: at - (i === 4 ? 2.5 : 0.5),
    }));
    const plan = edited(aboard(), ...recorded('temperature', 'log', pairs));
    const it = known(plan, 'temperature', 'log');
    expect([it.apart.length, it.readings]).toEqual([1, 5]);
    expect(it.enter[0]?.value).toBeCloseTo((4 * 0.5 + 2.5) / 5, 6);
    const without = withoutApart(plan, 'temperature', 'log');
    expect(without?.it.enter[0]?.value).toBeCloseTo(0.5, 6);
    expect(without?.readingIds).toEqual(it.apart);
    const clean = edited(aboard(), ...recorded('temperature', 'log', pairs.slice(0, 4)));
    expect(withoutApart(clean, 'temperature', 'log')).toBeNull();
  });

  it('of a swing goes stale with the compass offset that is entered, and never rests on course over ground', () => {
    const swing = Array.from({ length: 8 }, (_, i) => ({ compassDeg: 45 * i, magneticDeg: (45 * i + 3) % 360 }));
    const held = edited(
      aboard(),
      ...recorded('deviation', 'compass', swing),
      described('deviation', 'compass', { heldAgainst: 'a bearing far off' }),
    );
    const card = entryOf(held, 'deviation', 'compass', { at: '2026-05-01T09:30:00Z', by: '' })!;
    const made = edited(held, card);
    expect(standingOf(made, 'deviation', 'compass').state).toBe('fresh');
    const { readings } = headingReadings(seeded(6), 2);
    const run = edited(made, ...recorded('heading', 'compass', readings));
    const offset = entryOf(run, 'heading', 'compass', { at: '2026-05-02T09:30:00Z', by: '' })!;
    const entered = edited(run, offset);
    // The same on every heading, A, would stand in the offset and in the card.
    expect(standingOf(entered, 'deviation', 'compass')).toEqual({
      state: 'stale',
      changed: ['the compass offset entered'],
    });
    const byCourse = edited(held, described('deviation', 'compass', { heldAgainst: 'course over ground' }));
    expect(wanting(byCourse, 'deviation', 'compass')).toContain('a current sets it off');
    const unsaid = edited(aboard(), ...recorded('deviation', 'compass', swing));
    expect(known(unsaid, 'deviation', 'compass').flags.join()).toContain('held against');
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

const { batteries, circuits } = fitted(aPlan()).power;
const aCircuit = { ...circuits['helm']!, name: 'Screens', fuseA: 15 };
const battery: Battery = {
  ...batteries['house']!,
  chemistry: 'lead-acid',
  capacityAh: 80,
  peukert: 1.2,
  internalOhm: 0.01,
};

describe('the procedures of sonar, marks and battery', () => {
  const forward = aTransducer({ name: 'Ahead', kind: 'forward-facing', mounting: 'pole' });
  const boat = (): Plan => {
    const plan = aboard();
    const second = { ...aTransducer(), name: 'Second' };
    return {
      ...plan,
      transducers: { ...plan.transducers, 'b-second': second, 'c-ahead': forward },
      equipment: { ...plan.equipment, antenna: equipment('position antenna', [1, 0, 2]) },
      power: { ...plan.power, batteries: { house: battery } },
    };
  };
  const give = (of: CalibrationKind, id: string, ...readings: object[]) =>
    known(edited(boat(), ...recorded(of, id, readings)), of, id);
  const says = (of: CalibrationKind, id: string, ...readings: object[]): string =>
    formatSentence(give(of, id, ...readings).sign, unitSets.metric);

  it('say what to enter and what the display then shows, sign and all', () => {
    const sound = give('sound speed', 'helm', { depthM: 0, temperatureC: 5, salinityPpt: 0 });
    // Cold fresh water, 1426 m/s (Marczak 1997): a display set to 1500 m/s shows 20 m as 21.0 m.
    expect(sound.enter[0]?.value).toBeCloseTo(1426.2, 0);
    expect(sound.sign).toContain({ value: jasmine.any(Number) as never, quantity: 'depth' });
    expect(formatSentence(sound.sign, unitSets.metric)).toContain('21.0');
    expect(formatSentence(sound.also?.[0] ?? [], unitSets.metric)).toContain('more water than there is');
    const step = give('step', 'b-second', { thisM: 8, otherM: 8.4 }, { thisM: 11.9, otherM: 12.3 });
    expect(step.enter[0]?.value).toBeCloseTo(0.4, 6);
    expect(formatSentence(step.sign, unitSets.metric)).toContain('shallower');
    expect(says('pointing', 'c-ahead', { knownDeg: 12, shownDeg: 8 })).toContain('4.0° to starboard');
    expect(says('pointing', 'c-ahead', { knownDeg: 179, shownDeg: -178 })).toContain('3.0° to port');
    const tilted = edited(
      boat(),
      ...recorded('tilt', 'c-ahead', [{ tiltDeg: 2 }, { tiltDeg: 3 }]),
      described('tilt', 'c-ahead', { changesAtDeg: 20 }),
    );
    expect(formatSentence(known(tilted, 'tilt', 'c-ahead').also?.[0] ?? [], unitSets.metric)).toContain('17.5°');
    const target = { knownM: 22, shownM: 20, heightM: 5, targetHeightM: 5 };
    expect(give('range', 'c-ahead', target).measured.value).toBeCloseTo(1.1, 9);
  });

  it('tell sides that are right, swapped and unsure', () => {
    const seen = (shown: string, known = 'port') => ({ known, shown });
    expect(give('sides', 'c-ahead', seen('starboard')).says?.words).toBe('swapped');
    expect(give('sides', 'c-ahead', seen('port')).says).toEqual({ words: 'the right way round', sure: false });
    expect(give('sides', 'c-ahead', seen('port'), seen('starboard', 'starboard')).says?.sure).toBeTrue();
    expect(give('sides', 'c-ahead', seen('port'), seen('starboard')).says?.words).toContain('both');
  });

  it('hold the marks against the drawing: the antenna stands 1 m from the transom, the face where it is placed', () => {
    const degreeM = 111_120;
    // Passing north and south over one buoy, the antenna 2 m astern of the face.
    const marks = [0, 180].map((headingDeg) => ({
      headingDeg,
      latitudeDeg: 58 + (headingDeg === 0 ? -2 : 2) / degreeM,
      longitudeDeg: 6,
    }));
    const it = give('antenna', 'helm', ...marks);
    expect(it.enter[0]?.value).toBeCloseTo(2, 3);
    expect(it.half).toBeNull();
    expect(formatSentence(it.sign, unitSets.metric)).toContain('astern by 2.00');
  });

  it('put a measured battery and measured noise in the place of the round figures', () => {
    const day = [0, 15, 30, 45, 56].map((usedAh, i) => {
      const currentA = i % 2 ? 8 : 0.5;
      return { trip: 1, usedAh, currentA, voltsV: restVoltageV(battery, 1 - usedAh / 60) - 0.02 * currentA };
    });
    const plan = edited(boat(), ...recorded('battery', 'house', day));
    const it = known(plan, 'battery', 'house');
    const after = edited(plan, ...alsoEntered(plan, 'house', it));
    expect(after.power.batteries['house']?.capacityLeft).toBeCloseTo(0.75, 2);
    expect(after.power.batteries['house']?.internalOhm).toBeCloseTo(0.02, 3);
    // Nothing hangs on it yet; a screen of 9 A that goes out at 11.9 V does so before the pack is empty.
    expect(followsFrom(plan, 'battery', 'house', it)).toEqual(it.also ?? []);
    // What is within its interval is no news: the capacity the plan has stays.
    const alike = edited(plan, { type: 'describeBattery', id: 'house', changes: { capacityLeft: 0.76 } });
    expect(edited(alike, ...alsoEntered(alike, 'house', it)).power.batteries['house']?.capacityLeft).toBe(0.76);
    expect(formatSentence(followsFrom(alike, 'battery', 'house', it)[0] ?? [], unitSets.metric)).toContain(
      'its capacity stays',
    );
    const hung = edited(plan, {
      type: 'addCircuit',
      id: 'screens',
      circuit: {
        ...aCircuit,
        loads: { s: { name: 'Screen', currentA: 9, lowestV: 11.9, highestV: 17, runsIn: { trolling: true } } },
      },
    });
    const out = hoursUntilOut({ ...hung, ways: { trolling: true } }, 'house', {
      ...battery,
      capacityLeft: 0.75,
      internalOhm: 0.02,
    });
    // Its voltage at rest is then 11.9 V + 9 A x 0.02 ohm: 12.08 V, 35 in a hundred parts of the charge left.
    expect(out?.deviceFirst).toBeTrue();
    const whole = 20 * (60 / 20 / 9) ** 1.2;
    expect((out?.hours ?? 0) / whole).toBeCloseTo(0.65, 6);
    expect(measurementOf(hung, 'battery', 'house')).toEqual(it);
    // What was entered does not make what it was read from stale.
    expect(measurementOf(after, 'battery', 'house')).toEqual(it);
    const lost = { lost: 'bottom', depthM: 200, speedMps: 0, sizeCm: null };
    const bottom: Edit = described('noise', 'a-wide', { bottom: 'rock' });
    expect(measurementOf(edited(boat(), ...recorded('noise', 'a-wide', [lost])), 'noise', 'a-wide')).toEqual(
      jasmine.objectContaining({ known: false, wanting: jasmine.stringContaining('Say what the bottom is') }),
    );
    const sounded = edited(boat(), ...recorded('noise', 'a-wide', [lost]), bottom);
    const noise = known(sounded, 'noise', 'a-wide');
    const loud = edited(sounded, ...alsoEntered(sounded, 'a-wide', noise));
    expect(loud.boat.electricalFloorDb).toBeCloseTo(noise.measured.value, 9);
    // It is lost there now: a trace wants 15 dB.
    const beam = workingBeamOf(loud.transducers['a-wide']!);
    const requirements = requirementsOf(loud)!;
    const terms = beamRangeTerms(deepestAcoustics(loud.transducers['a-wide']!, beam), 'through-hull', {
      ...requirements.conditions,
      boatSpeedMps: 0,
    });
    expect(bottomSnrDb(terms, 'rock', 200)).toBeCloseTo(15, 1);
    // Under way the electrical noise is taken as it stands, until it is read at rest: then the reading alone counts.
    const underWay = { ...lost, depthM: 180, speedMps: 8 };
    const electrical = (electricalFloorDb: number, ...readings: object[]) => {
      const set: Edit = { type: 'describeBoat', changes: { electricalFloorDb } };
      return known(edited(boat(), set, bottom, ...recorded('noise', 'a-wide', readings)), 'noise', 'a-wide').measured
        .value;
    };
    const floor = noise.measured.value;
    expect(electrical(floor, underWay)).toBeLessThan(electrical(floor - 30, underWay) - 1);
    expect(electrical(floor, lost, underWay)).toBeCloseTo(electrical(floor - 30, lost, underWay), 9);
  });

  it('leave nothing behind when a station, a battery or a transducer goes', () => {
    const full = edited(
      boat(),
      ...recorded('antenna', 'helm', [{ headingDeg: 0, latitudeDeg: 58, longitudeDeg: 6 }]),
      ...recorded('battery', 'house', [{ trip: 1, usedAh: 0, currentA: 0, voltsV: 12.7 }]),
      ...recorded('tilt', 'c-ahead', [{ tiltDeg: 2 }]),
      { type: 'removeStation', id: 'helm' },
      { type: 'removeBattery', id: 'house' },
      { type: 'removeTransducer', id: 'c-ahead' },
    );
    expect([full.calibrations.antenna, full.calibrations.battery, full.calibrations.tilt]).toEqual([{}, {}, {}]);
  });
});

describe('how many more readings', () => {
  it('come in pairs where readings do, and are unknown but asked for where there is no interval', () => {
    const { readings } = headingReadings(seeded(8), 1);
    const plan = edited(aboard(), ...recorded('heading', 'compass', readings));
    expect(moreFor(plan, 'heading', 'compass', known(plan, 'heading', 'compass'))).toBe(2);
    // Two runs of a log say nothing of their own uncertainty: a further one is asked for.
    const runs = [
      { logMps: 3, headingDeg: 0, sogMps: 3.1, cogDeg: 1 },
      { logMps: 3, headingDeg: 180, sogMps: 2.9, cogDeg: 181 },
    ];
    const log = edited(aboard(), ...recorded('speed', 'log', runs));
    const it = known(log, 'speed', 'log');
    expect([it.half, moreFor(log, 'speed', 'log', it)]).toEqual([null, 1]);
    expect(toleranceOf(plan, 'heading', 'compass')).toEqual({ value: 2, quantity: 'angle' });
  });
});
