import fc from 'fast-check';
import { measuredNoise } from './measured-noise.ts';
import { targetReachM, bottomReachM, beamRangeTerms } from '../beams/beam-range.ts';
import { deepestAcoustics } from '../beams/element-acoustics.ts';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { restVoltageV } from '../power/battery-curve.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { refusalOf } from '../testing/refusal.ts';
import { aBeam, aTransducer, normal, seeded } from '../testing/sample-plan.ts';
import { antennaVector } from './antenna-vector.ts';
import { batteryPack } from './battery-pack.ts';
import { pairedOffset } from './paired-offset.ts';
import { rangeScale } from './range-scale.ts';
import { waterSound } from './water-sound.ts';
import { runCount } from '../testing/run-count.ts';

/** How often an interval holds the truth, within what chance allows of 93 to 97 in a hundred. */
const expectHeld = (held: number, boats: number): void => {
  const slack = 3 * Math.sqrt((0.95 * 0.05) / boats);
  expect(held / boats).toBeGreaterThan(0.93 - slack);
  expect(held / boats).toBeLessThan(0.97 + slack);
};

describe('paired-offset', () => {
  it('is the mean of known less shown, with Student’s interval, by hand', () => {
    const answer = answerOf(pairedOffset, {
      unit: 'm',
      pairs: [
        { known: 8.4, shown: 8 },
        { known: 12.6, shown: 12 },
        { known: 20.5, shown: 20 },
      ],
    });
    expect(answer.offset).toBeCloseTo(0.5, 9);
    expect(answer.standardError).toBeCloseTo(0.1 / Math.sqrt(3), 9);
    // Student's t at 97.5 % with two degrees of freedom: 4.303 (published tables).
    expect((answer.halfInterval95 ?? 0) / (answer.standardError ?? 1)).toBeCloseTo(4.303, 3);
    expectWorkingHolds(answer.working, 'paired-offset');
    // Figures that agree to the step are no surer than two of them rounded, whose size is known: 1.96 and no Student.
    const alike = answerOf(pairedOffset, {
      unit: 'deg',
      pairs: [10, 20, 30].map((shown) => ({ known: shown + 2, shown })),
      step: 0.5,
    });
    expect(alike.halfInterval95).toBeCloseTo((1.96 * Math.sqrt(2 * 0.25)) / Math.sqrt(12 * 3), 6);
    expect(answerOf(pairedOffset, { unit: 'm', pairs: [{ known: 1, shown: 0.8 }] }).halfInterval95).toBeNull();
  });

  it('goes the short way round, wherever the bearings lie', () => {
    const degrees = fc.double({ min: -180, max: 180, noNaN: true });
    fc.assert(
      fc.property(fc.array(degrees, { minLength: 2, maxLength: 8 }), degrees, (shown, off) => {
        const pairs = shown.map((one) => ({ known: ((((one + off) % 360) + 540) % 360) - 180, shown: one }));
        const { offset, halfInterval95 } = answerOf(pairedOffset, { unit: 'deg', pairs });
        expect(Math.abs(((((offset - off) % 360) + 540) % 360) - 180)).toBeLessThan(1e-6);
        // Nothing scatters but the rounding: a step of 0.1 in both.
        expect(halfInterval95 ?? 0).toBeLessThan(0.6);
      }),
    );
  });

  for (const count of [3, 4, 5])
    it(`holds a hidden offset 93 to 97 times of 100 with ${count} pairs`, () => {
      const uniform = seeded(40 + count);
      const boats = 2000;
      let held = 0;
      for (let i = 0; i < boats; i++) {
        const off = 6 * (uniform() - 0.5);
        const pairs = Array.from({ length: count }, () => {
          const known = 40 * (uniform() - 0.5);
          return { known, shown: known - off + 0.8 * normal(uniform) };
        });
        const { offset, halfInterval95 } = answerOf(pairedOffset, { unit: 'deg', pairs });
        if (Math.abs(offset - off) <= (halfInterval95 ?? 0)) held += 1;
      }
      expectHeld(held, boats);
    });
});

describe('water-sound', () => {
  it('is the published speed in one layer, and between its layers in two, by the time sound takes', () => {
    const at = (depthM: number, temperatureC: number, salinityPpt = 0) => ({ depthM, temperatureC, salinityPpt });
    // Pure water at 20 °C: 1482.3 m/s (Bilaniuk and Wong 1993).
    const one = answerOf(waterSound, { samples: [at(0, 20)], setMps: 1500 });
    expect(one.soundSpeedMps).toBeCloseTo(1482.3, 0);
    expect(one.displayDepthError).toBeCloseTo(1500 / 1482.3 - 1, 3);
    expect(one.flags.join(' ')).toContain('surface alone');
    // 10 m at 20 °C over 10 m at 8 °C with a sharp step: half the path each.
    const two = answerOf(waterSound, {
      samples: [at(0, 20), at(9.99, 20), at(10.01, 8), at(20, 8)].reverse(),
      setMps: 1500,
    });
    const cold = answerOf(waterSound, { samples: [at(0, 8)], setMps: 1500 }).soundSpeedMps;
    expect(two.soundSpeedMps).toBeCloseTo(20 / (10 / one.soundSpeedMps + 10 / cold), 0);
    expect(two.flags).toEqual([]);
    // Between two samples it goes over evenly: the slowness halfway is the mean of those above and below.
    const even = answerOf(waterSound, { samples: [at(0, 20), at(20, 8)], setMps: 1500 });
    const below = answerOf(waterSound, { samples: [at(20, 8)], setMps: 1500 }).soundSpeedMps;
    expect(1 / even.soundSpeedMps).toBeCloseTo((1 / one.soundSpeedMps + 1 / below) / 2, 9);
    expectWorkingHolds(two.working, 'water-sound');
  });

  it('holds the water’s own speed 93 to 97 times of 100 when its instruments are off by what they may be', () => {
    const uniform = seeded(12);
    const boats = 1500;
    let held = 0;
    for (let i = 0; i < boats; i++) {
      const truth = { depthM: 0, temperatureC: 4 + 18 * uniform(), salinityPpt: 5 + 25 * uniform() };
      const true0 = answerOf(waterSound, { samples: [truth], setMps: 1500 }).soundSpeedMps;
      const [offC, offPpt] = [(0.6 / 1.96) * normal(uniform), (1 / 1.96) * normal(uniform)];
      const read = (depthM: number) => ({
        depthM,
        temperatureC: truth.temperatureC + offC,
        salinityPpt: truth.salinityPpt + offPpt,
      });
      const answer = answerOf(waterSound, { samples: [read(0)], setMps: 1500, thermometerByC: 0.6, saltByPpt: 1 });
      if (Math.abs(answer.soundSpeedMps - true0) <= answer.halfInterval95Mps) held += 1;
    }
    expectHeld(held, boats);
  });
});

describe('range-scale', () => {
  it('finds the way that fits where the targets stand: a wall as shown, stones by the triangle', () => {
    const scale = 1.06;
    const targets = (targetHeightM: (heightM: number) => number) =>
      [12.003, 20.001, 31.007, 44.009].map((knownM, i) => {
        const heightM = 5 + i;
        const up = targetHeightM(heightM);
        return { knownM, heightM, targetHeightM: up, shownM: Math.hypot(knownM / scale, heightM - up) };
      });
    const stones = answerOf(rangeScale, { targets: targets(() => 0.3) });
    expect(stones.factor).toBeCloseTo(scale, 9);
    const true0 = targets(() => 0.3).map((one) => ({ ...one, knownM: one.knownM / scale }));
    expect(answerOf(rangeScale, { targets: true0, way: 'as shown' }).nearest).toBe('by triangle');
    // Nothing is left but what distances to the centimetre are rounded by.
    expect(stones.halfInterval95).toBeLessThan(2e-4);
    expectWorkingHolds(stones.working, 'range-scale');
    // A wall at the height of the face: the triangle has no height left, and taking off the water column is wrong.
    const wall = answerOf(rangeScale, { targets: targets((heightM) => heightM) });
    expect(wall.missesM['as shown']).toBeCloseTo(wall.missesM['by triangle'], 9);
    expect(wall.missesM['less the water column']).toBeGreaterThan(4);
    const rule = answerOf(rangeScale, { targets: targets(() => 0), way: 'less the water column' });
    expect(rule.factor).toBeGreaterThan(scale);
    expectWorkingHolds(rule.working, 'range-scale');
  });

  for (const count of [3, 4, 5])
    it(`holds a hidden scale 93 to 97 times of 100 with ${count} targets`, () => {
      const uniform = seeded(70 + count);
      const boats = 2000;
      let held = 0;
      for (let i = 0; i < boats; i++) {
        const scale = 0.9 + 0.2 * uniform();
        const targets = Array.from({ length: count }, () => {
          const shownM = 10 + 35 * uniform();
          return { shownM, knownM: scale * shownM + 0.4 * normal(uniform), heightM: 4, targetHeightM: 4 };
        });
        const { factor, halfInterval95 } = answerOf(rangeScale, { targets, way: 'as shown' });
        if (Math.abs(factor - scale) <= (halfInterval95 ?? 0)) held += 1;
      }
      expectHeld(held, boats);
    });

  it('refuses a target that is shown nearer than straight down, and names it', () => {
    const target = { knownM: 10, shownM: 3, heightM: 8, targetHeightM: 0 };
    expect(refusalOf(rangeScale, { targets: [target] })).toContain('nearer than the 8 m straight down');
    expect(refusalOf(rangeScale, { targets: [{ ...target, shownM: 7 }], way: 'less the water column' })).toContain(
      'Nothing is left',
    );
  });
});

describe('antenna-vector', () => {
  const degreeM = 111_120;
  const marks = (forwardM: number, starboardM: number, headings: readonly number[], scatterM = (): number => 0) => {
    const shrink = Math.cos((58.2 * Math.PI) / 180);
    return headings.map((headingDeg) => {
      const h = (headingDeg * Math.PI) / 180;
      const eastM = 30 - forwardM * Math.sin(h) - starboardM * Math.cos(h) + scatterM();
      const northM = -12 - forwardM * Math.cos(h) + starboardM * Math.sin(h) + scatterM();
      return { headingDeg, latitudeDeg: 58.2 + northM / degreeM, longitudeDeg: 5.7 + eastM / degreeM / shrink };
    });
  };

  it('finds the face again from two passes on, with the distance each mark lies off', () => {
    for (const headings of [
      [10, 190],
      [0, 90, 200],
      [45, 135, 225, 315],
    ]) {
      const answer = answerOf(antennaVector, { marks: marks(-4.2, 0.6, headings) });
      expect(answer.forwardM).toBeCloseTo(-4.2, 3);
      expect(answer.starboardM).toBeCloseTo(0.6, 3);
      expect(answer.lengthM).toBeCloseTo(Math.hypot(4.2, 0.6), 3);
      expect(answer.halfInterval95M === null).toBe(headings.length === 2);
      expectWorkingHolds(answer.working, 'antenna-vector');
    }
    expect(refusalOf(antennaVector, { marks: marks(3, 0, [20, 25, 15]) })).toContain('nearly one heading');
    const far = marks(3, 0, [20, 200]);
    far[1]!.latitudeDeg += 0.01;
    expect(refusalOf(antennaVector, { marks: far })).toContain('Mark 2 lies more than 500 m');
  });

  for (const count of [3, 4, 6])
    it(`holds the hidden vector forward 93 to 97 times of 100 with ${count} passes`, () => {
      const uniform = seeded(20 + count);
      const boats = 1500;
      let held = 0;
      for (let i = 0; i < boats; i++) {
        const first = 360 * uniform();
        const headings = Array.from({ length: count }, (_, k) => (first + (360 * k) / count) % 360);
        const answer = answerOf(antennaVector, { marks: marks(-3, 1, headings, () => 0.6 * normal(uniform)) });
        if (Math.abs(answer.forwardM + 3) <= (answer.halfInterval95M ?? 0)) held += 1;
      }
      expectHeld(held, boats);
    });
});

describe('battery-pack', () => {
  const pack = { chemistry: 'lead-acid' as const, nominalV: 12, capacityAh: 80 };
  const day = (
    left: number,
    ohm: number,
    {
      noiseV = () => 0,
      offV = () => 0,
      trips = 1,
      fade = 0,
    }: { noiseV?: () => number; offV?: (left: number) => number; trips?: number; fade?: number } = {},
  ) =>
    Array.from({ length: trips }, (_, t) =>
      [0, 0.16, 0.32, 0.48, 0.7, 0.9].flatMap((share, i) => {
        const holdsAh = 80 * (left + fade * (trips - 1 - t));
        const usedAh = share * holdsAh;
        const currentA = i % 2 ? 9 : 0.4;
        const restV = restVoltageV(pack, 1 - usedAh / holdsAh);
        return [{ trip: t + 1, usedAh, currentA, voltsV: restV + offV(1 - share) + 0.05 - ohm * currentA + noiseV() }];
      }),
    ).flat();

  it('finds capacity, resistance and loss from trip to trip again', () => {
    const one = answerOf(batteryPack, { ...pack, readings: day(0.72, 0.02) });
    expect(one.capacityLeft).toBeCloseTo(0.72, 4);
    expect(one.internalOhm).toBeCloseTo(0.02, 4);
    expect(one.aboveCurveV).toBeCloseTo(0.05, 4);
    expect(one.fadePerTrip).toBeNull();
    const three = answerOf(batteryPack, { ...pack, readings: day(0.7, 0.015, { trips: 3, fade: 0.06 }) });
    expect(three.capacityLeft).toBeCloseTo(0.7, 3);
    expect(three.fadePerTrip).toBeCloseTo(0.06, 3);
    expectWorkingHolds(three.working, 'battery-pack');
  });

  it('holds a hidden capacity 93 times of 100 and more where it gives one, whatever curve of its kind it has', () => {
    const uniform = seeded(9);
    let [held, given] = [0, 0];
    const packs = runCount(600, 150);
    for (let i = 0; i < packs; i++) {
      const left = 0.6 + 0.35 * uniform();
      // Its own curve lies off by a tenth of a volt, one standard deviation, at empty, half and full.
      const [empty, half, full] = [0, 1, 2].map(() => 0.1 * normal(uniform)) as [number, number, number];
      const offV = (at: number): number =>
        at < 0.5 ? empty + 2 * at * (half - empty) : half + 2 * (at - 0.5) * (full - half);
      const readings = day(left, 0.02, { offV, noiseV: () => 0.01 * normal(uniform) });
      const answer = calculate(batteryPack, { ...pack, readings });
      if (!answer.ok) continue;
      given += 1;
      if (Math.abs(answer.answer.capacityLeft - left) <= (answer.answer.capacityHalfInterval95 ?? 0)) held += 1;
    }
    expect(given).toBeGreaterThan(packs / 2);
    expect(held / given).toBeGreaterThan(0.93 - 3 * Math.sqrt((0.95 * 0.05) / given));
  });

  it('refuses what voltage does not carry: iron phosphate between its ends, and a day without a load', () => {
    const flat = [0, 8, 16, 24, 32].map((usedAh, i) => ({
      trip: 1,
      usedAh: usedAh + 12,
      currentA: i % 2 ? 8 : 0,
      voltsV: 13.15 - (i % 2 ? 0.1 : 0) + (i % 3) * 0.01,
    }));
    expect(refusalOf(batteryPack, { ...pack, chemistry: 'lithium', readings: flat })).toContain(
      'Discharge it at a known current',
    );
    const idle = day(0.8, 0).map((one) => ({ ...one, currentA: 0 }));
    expect(refusalOf(batteryPack, { ...pack, readings: idle })).toContain('under load');
  });
});

describe('measured-noise', () => {
  const transducer = aTransducer({ electricalPowerW: 300, beams: [aBeam({ frequencyHz: 200_000 })] });
  const acoustics = deepestAcoustics(transducer, transducer.beams[0] ?? aBeam());
  const at = {
    water: { temperatureC: 9, salinityPpt: 0 },
    soundSpeedMps: 1443,
    depthM: 20,
    windMps: 3,
    boatSpeedMps: 0,
    electricalFloorDb: 84,
    ownNoiseByDb: 7,
  };
  const terms = (speedMps: number) => beamRangeTerms(acoustics, transducer.mounting, { ...at, boatSpeedMps: speedMps });
  const beam = {
    frequencyHz: acoustics.frequencyHz,
    sourceLevelDb: acoustics.sourceLevelDb,
    processingGainDb: acoustics.processingGainDb,
    bandwidthHz: acoustics.bandwidthHz,
    directivityIndexDb: acoustics.shape.directivityIndexDb,
    receiveEfficiency: acoustics.receiveEfficiency,
    acrossDeg: terms(0).acrossDeg,
    resolutionM: terms(0).resolutionM,
    absorptionDbPerM: terms(0).absorptionDbPerM,
    mounting: transducer.mounting,
  };
  // A steel ball of 3 cm: the wave is small against it, so that it answers as its radius says.
  const ballDb = 10 * Math.log10(0.015 ** 2 / 4);

  it('finds the boat again whose reach lost them there: at rest its electrics, under way its own noise', () => {
    const sinker = targetReachM(terms(0), ballDb);
    const readings = [
      { lost: 'sinker' as const, depthM: sinker, speedMps: 0, sizeCm: 3 },
      { lost: 'bottom' as const, depthM: bottomReachM(terms(0), 'sand'), speedMps: 1, sizeCm: 0 },
      { lost: 'bottom' as const, depthM: bottomReachM(terms(12), 'sand'), speedMps: 12, sizeCm: 0 },
      { lost: 'bottom' as const, depthM: bottomReachM(terms(14), 'sand'), speedMps: 14, sizeCm: 0 },
    ];
    const answer = answerOf(measuredNoise, { ...beam, readings });
    expect(answer.electricalFloorDb).toBeCloseTo(84, 1);
    expect(answer.louderByDb).toBeCloseTo(7, 0);
    // Both say the same: what is left is how strong the echo really is, 4 dB, which two readings share.
    expect(answer.floorHalfInterval95Db).toBeCloseTo(1.96 * 4, 1);
    expectWorkingHolds(answer.working, 'measured-noise');
    // Without a reading at rest the floor is what it is told.
    const underWay = answerOf(measuredNoise, { ...beam, readings: readings.slice(2), electricalFloorDb: 84 });
    expect(underWay.electricalFloorDb).toBeNull();
    expect(underWay.louderByDb).toBeCloseTo(7, 0);
  });

  it('refuses what says nothing of the boat, and a sinker without a size', () => {
    const lost = { lost: 'sinker' as const, depthM: 400, speedMps: 0, sizeCm: 3 };
    expect(refusalOf(measuredNoise, { ...beam, sourceLevelDb: 150, readings: [lost] })).toContain(
      'the water itself is as loud',
    );
    expect(refusalOf(measuredNoise, { ...beam, readings: [{ ...lost, sizeCm: 0 }] })).toContain('how large the sinker');
  });
});
