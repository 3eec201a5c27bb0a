import { gauges, type Plan } from '@grey-keel/model';
import fc from 'fast-check';
import { findings } from '../job/findings.ts';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { ampacity } from './ampacity.ts';
import { batteryDay } from './battery-day.ts';
import { aPlan, edited, fitted } from '../testing/sample-plan.ts';
import { circuitStanding } from './circuit-standing.ts';
import { restVoltageV } from './battery-curve.ts';
import { dayLine, dayOf } from './day-voltage.ts';
import { startDip } from './start-dip.ts';
import { voltageDrop } from './voltage-drop.ts';
import { ohmPerKm20, sectionMm2, warmthFactor } from './wire.ts';

describe('the wires', () => {
  it('are as NBS Handbook 100 prints them: solid copper at 20 °C, ohms a thousand feet', () => {
    const printed = { 'AWG 14': 2.525, 'AWG 12': 1.588, 'AWG 10': 0.9989, 'AWG 8': 0.6282, 'AWG 4': 0.2485 } as const;
    for (const [gauge, ohms] of Object.entries(printed))
      expect((ohmPerKm20(gauge as keyof typeof printed, 'solid') * 0.3048) / ohms).toBeCloseTo(1, 3);
    expect(sectionMm2('AWG 12')).toBeCloseTo(3.309, 3);
    expect(sectionMm2('AWG 4/0')).toBeCloseTo(107.2, 1);
    expect(sectionMm2('2.5 mm2')).toBe(2.5);
  });

  it('resist more when stranded and tinned: by 5 to 15 %, whatever the size', () => {
    for (const gauge of gauges) {
      const more = ohmPerKm20(gauge, 'stranded-tinned') / ohmPerKm20(gauge, 'solid');
      expect(more).withContext(gauge).toBeGreaterThan(1.05);
      expect(more).withContext(gauge).toBeLessThan(1.15);
    }
  });
});

describe('voltage-drop', () => {
  it('agrees with the sum by hand: 5 m of AWG 12 stranded tinned with 10 A, NEC table 8 at 75 °C', () => {
    // 2.05 ohm a thousand feet; 10 m there and back is 32.81 ft: 0.0673 ohm, 0.673 V.
    const { dropV, dropPercent } = answerOf(voltageDrop, {
      oneWayLengthM: 5,
      currentA: 10,
      gauge: 'AWG 12',
      supplyV: 12,
      temperatureC: 75,
    });
    expect(dropV).toBeCloseTo(0.6726, 3);
    expect(dropPercent).toBeCloseTo(5.605, 2);
  });

  it('grows with length and current and falls with section, and its working holds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.double({ min: 0.1, max: 100, noNaN: true }),
        fc.constantFrom(...gauges),
        fc.integer({ min: -20, max: 90 }),
        (oneWayLengthM, currentA, gauge, temperatureC) => {
          const input = { oneWayLengthM, currentA, gauge, supplyV: 12, temperatureC };
          const answer = answerOf(voltageDrop, input);
          expectWorkingHolds(answer.working, gauge);
          expect(answerOf(voltageDrop, { ...input, oneWayLengthM: 2 * oneWayLengthM }).dropV).toBeCloseTo(
            2 * answer.dropV,
            9,
          );
          expect(answerOf(voltageDrop, { ...input, temperatureC: temperatureC + 1 }).dropV).toBeGreaterThan(
            answer.dropV,
          );
        },
      ),
      { numRuns: 60 },
    );
  });

  it('refuses a gauge that is not sold, by its field', () => {
    const refused = calculate(voltageDrop, { oneWayLengthM: 1, currentA: 1, gauge: 'AWG 13', supplyV: 12 });
    expect(refused.ok ? '' : refused.errors[0]?.field).toBe('gauge');
  });
});

describe('ampacity', () => {
  it('is the row of ISO 10133 for a metric section, and of the next smaller for a gauge between two', () => {
    expect(answerOf(ampacity, { gauge: '2.5 mm2' }).ampacityA).toBe(25);
    expect(answerOf(ampacity, { gauge: '16 mm2', insulationC: 105 }).ampacityA).toBe(130);
    // AWG 12 has 3.31 mm2: between 2.5 and 4.
    expect(answerOf(ampacity, { gauge: 'AWG 12' }).ampacityA).toBe(25);
    expect(answerOf(ampacity, { gauge: '2.5 mm2', engineSpace: true }).ampacityA).toBeCloseTo(18.75, 9);
    expect(answerOf(ampacity, { gauge: '2.5 mm2', insulationC: 60, engineSpace: true }).flags.length).toBe(1);
  });

  it('carries less where it is warm: all to 30 °C, the table’s share at 60, none at the rating of its insulation', () => {
    // ISO 10133 in an engine space of 60 °C: 0.75, 0.82, 0.86, 0.89 of the current by rating.
    for (const [rated, share] of [
      [70, 0.75],
      [85, 0.82],
      [105, 0.86],
      [125, 0.89],
    ] as const) {
      expect([-10, 30].map((aroundC) => warmthFactor(rated, aroundC))).toEqual([1, 1]);
      expect(warmthFactor(rated, 60)).toBeCloseTo(share, 12);
      expect(warmthFactor(rated, 45)).toBeCloseTo((1 + share) / 2, 12);
      expect(warmthFactor(rated, rated)).toBe(0);
      // Heat given off is as the square of the current: a quarter of the warmth left bears half the current.
      expect(warmthFactor(rated, rated - (rated - 60) / 4)).toBeCloseTo(share / 2, 12);
      let before = 1;
      for (let aroundC = 30; aroundC <= rated; aroundC += 0.5) {
        const now = warmthFactor(rated, aroundC);
        expect(now).withContext(`${rated} at ${aroundC}`).toBeLessThanOrEqual(before);
        before = now;
      }
    }
    expect(warmthFactor(60, 52.5)).toBeCloseTo(0.5, 12);
    expect(warmthFactor(60, 60)).toBe(0);
    expect(answerOf(ampacity, { gauge: '2.5 mm2', aroundC: 45 }).ampacityA).toBeCloseTo(25 * 0.875, 9);
    expect(answerOf(ampacity, { gauge: '2.5 mm2', aroundC: 71 }).flags.length).toBe(1);
  });

  it('never falls from one section to the next larger', () => {
    const bySection = [...gauges].sort((a, b) => sectionMm2(a) - sectionMm2(b));
    bySection.slice(1).forEach((gauge, i) => {
      const before = bySection[i] ?? gauge;
      expect(answerOf(ampacity, { gauge }).ampacityA)
        .withContext(gauge)
        .toBeGreaterThanOrEqual(answerOf(ampacity, { gauge: before }).ampacityA);
    });
  });
});

describe('battery-day', () => {
  it('takes the charge itself from lithium: 5 A for 8 h of 100 Ah leave 12 h at 5 A', () => {
    const day = answerOf(batteryDay, { loads: [{ currentA: 5, hours: 8 }], capacityAh: 100, chemistry: 'lithium' });
    expect(day.usedAh).toBe(40);
    expect(day.usedPercent).toBeCloseTo(40, 9);
    expect(day.hoursLeft).toBeCloseTo(12, 9);
  });

  it('gives a lead-acid battery just its rated hours at its rated current', () => {
    const day = answerOf(batteryDay, { loads: [{ currentA: 5, hours: 20 }], capacityAh: 100, chemistry: 'lead-acid' });
    expect(day.usedPercent).toBeCloseTo(100, 9);
    expect(day.hoursLeft).toBeCloseTo(0, 9);
  });

  it('obeys Peukert over the rated current, I to the k times the time is one constant, and counts charge under it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 80, noNaN: true }),
        fc.double({ min: 1, max: 1.6, noNaN: true }),
        fc.double({ min: 20, max: 400, noNaN: true }),
        (currentA, peukert, capacityAh) => {
          const { usedPercent, working } = answerOf(batteryDay, {
            loads: [{ currentA, hours: 1 }],
            capacityAh,
            chemistry: 'lead-acid',
            peukert,
          });
          const lasts = 100 / usedPercent;
          const k = currentA > capacityAh / 20 ? peukert : 1;
          const constant = 20 * (capacityAh / 20) ** k;
          expect((currentA ** k * lasts) / constant).toBeCloseTo(1, 6);
          expectWorkingHolds(working, 'battery-day');
        },
      ),
    );
  });

  it('counts loads that run together as one current while both run', () => {
    const apart = answerOf(batteryDay, {
      loads: [
        { currentA: 4, hours: 2 },
        { currentA: 6, hours: 5 },
      ],
      capacityAh: 80,
      chemistry: 'lead-acid',
    });
    const whole = (currentA: number, hours: number) =>
      answerOf(batteryDay, { loads: [{ currentA, hours }], capacityAh: 80, chemistry: 'lead-acid' }).usedPercent;
    expect(apart.usedPercent).toBeCloseTo(whole(10, 2) + whole(6, 3), 9);
    expect(apart.usedAh).toBe(38);
  });

  it('says so when the day takes more than there is, and has no hours left to give', () => {
    const day = answerOf(batteryDay, { loads: [{ currentA: 30, hours: 9 }], capacityAh: 100, chemistry: 'lithium' });
    expect(day.flags).toContain('The day takes more than the battery holds.');
    expect(day.hoursLeft).toBe(0);
    expect(
      answerOf(batteryDay, { loads: [{ currentA: 0, hours: 9 }], capacityAh: 100, chemistry: 'lithium' }).hoursLeft,
    ).toBeNull();
  });
});

describe('start-dip', () => {
  it('is the closed form E - I R - D, with its margin, and says what a fuse is not', () => {
    const dip = answerOf(startDip, { restV: 12.6, internalOhm: 0.006, crankingA: 400, lossV: 0.2, lowestV: 10.5 });
    expect(dip.dipV).toBeCloseTo(10, 9);
    expect(dip.marginV).toBeCloseTo(-0.5, 9);
    expect(dip.flags[0]).toContain('neither a dip nor a spike');
    expectWorkingHolds(dip.working, 'start-dip');
  });
});

describe('the day of a battery', () => {
  const boat = (chemistry: 'lead-acid' | 'lithium', currentA: number): Plan => {
    const plan = fitted(aPlan());
    return edited(
      plan,
      { type: 'describeBattery', id: 'house', changes: { chemistry, peukert: 1.2, capacityAh: 100 } },
      {
        type: 'putLoad',
        circuitId: 'helm',
        id: 'screen',
        load: { ...plan.power.circuits['helm']!.loads['screen']!, currentA },
      },
      { type: 'workHours', way: 'trolling', hours: 4 },
    );
  };
  const left = (plan: Plan): number => dayOf(plan, 'house')[0]?.leftAtEnd ?? Number.NaN;

  it('takes the charge itself of lithium, and of lead-acid under its rated current; by Peukert over it', () => {
    expect(left(boat('lithium', 10))).toBeCloseTo(0.6, 9);
    expect(left(boat('lead-acid', 4))).toBeCloseTo(0.84, 9);
    // 20 h at 5 A; at 10 A 20 x (5 / 10)^1.2 = 8.706 h.
    expect(left(boat('lead-acid', 10))).toBeCloseTo(1 - 4 / 8.7055, 4);
  });

  it('ends where the battery is empty: 20 A from 50 Ah of lead-acid after 1.65 h, and no voltage from then on', () => {
    // 20 h (50 Ah / (20 A 20 h))^1.2
    expect(20 * (50 / 400) ** 1.2).toBeCloseTo(1.65, 2);
    const plan = edited(boat('lead-acid', 20), { type: 'describeBattery', id: 'house', changes: { capacityAh: 50 } });
    const [span] = dayOf(plan, 'house');
    expect(span?.emptyAtHour).toBeCloseTo(1.65, 2);
    expect([span?.voltageAtEndV, span?.leftAtEnd]).toEqual([0, 0]);
    expect(span?.voltageAtStartV).toBeGreaterThan(12);
    const starting = edited(plan, { type: 'describeBattery', id: 'house', changes: { crankingA: 100 } });
    expect(circuitStanding(starting, starting.power.circuits['helm']!)?.dips[0]?.dip.dipV).toBe(0);
    const found = findings(starting).map(({ id }) => id);
    expect(found).toContain('day-too-long:house');
    expect(found).toContain('evening-out:helm-screen');
    expect(found).toContain('starts-out:helm-screen');
    expect(dayOf(boat('lead-acid', 5), 'house')[0]?.emptyAtHour).toBeNull();
    // Drawn with a step down at that hour, and not as a slope to nothing.
    const line = dayLine(plan.power.batteries['house']!, dayOf(plan, 'house'));
    expect(line.map(({ hour }) => Math.round(100 * hour) / 100)).toEqual([0, 1.65, 1.65, 4]);
    expect([line[1]!.volts > 11, line[2]!.volts, line[3]!.volts]).toEqual([true, 0, 0]);
  });

  it('starts the engine at its end, when least is left', () => {
    const plan = edited(boat('lithium', 10), {
      type: 'describeBattery',
      id: 'house',
      changes: { crankingA: 100, internalOhm: 0.01 },
    });
    const circuit = plan.power.circuits['helm']!;
    const standing = circuitStanding(plan, circuit);
    // 60 % left is 13.15 V at rest.
    expect(standing?.dips[0]?.dip.dipV).toBeCloseTo(13.15 - 1 - (standing?.drop.dropV ?? 0), 9);
  });
});

describe('a battery at rest', () => {
  it('falls with what is left, scales with its nominal voltage, and ends flat', () => {
    for (const chemistry of ['lead-acid', 'lithium'] as const) {
      const at = (left: number, nominalV = 12) => restVoltageV({ chemistry, nominalV }, left);
      for (let left = 0.05; left <= 1; left += 0.05) expect(at(left)).toBeGreaterThan(at(left - 0.05));
      expect(at(0.5, 24)).toBeCloseTo(2 * at(0.5), 9);
      expect(at(-1)).toBe(at(0));
    }
  });

  it('goes by its own nominal voltage: 12.8 V of iron phosphate rests near 13.4 V full, of sloping cells at 4.15 V each', () => {
    const full = (nominalV: number, curve: 'flat' | 'sloping') =>
      restVoltageV({ chemistry: 'lithium', curve, nominalV }, 1);
    for (const nominalV of [12, 12.8]) expect(full(nominalV, 'flat')).toBeCloseTo(13.4, 9);
    for (const nominalV of [24, 25.6]) expect(full(nominalV, 'flat')).toBeCloseTo(26.8, 9);
    for (const nominalV of [36, 38.4]) expect(full(nominalV, 'flat')).toBeCloseTo(40.2, 9);
    expect(full(14.8, 'sloping')).toBeCloseTo(16.6, 9);
    expect(full(11.1, 'sloping')).toBeCloseTo(12.45, 9);
    // A sloping pack falls by over a tenth of its voltage between nearly full and nearly empty, a flat one does not.
    const fall = (curve: 'flat' | 'sloping') =>
      restVoltageV({ chemistry: 'lithium', curve, nominalV: 14.8 }, 0.2) /
      restVoltageV({ chemistry: 'lithium', curve, nominalV: 14.8 }, 0.9);
    expect(fall('sloping')).toBeLessThan(0.9);
    expect(fall('flat')).toBeGreaterThan(0.95);
  });
});
