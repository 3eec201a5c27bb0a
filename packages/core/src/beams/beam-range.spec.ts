import { type Plan, propulsions } from '@grey-keel/model';
import fc from 'fast-check';
import { electricalFloorOf, electricalInBandDb, electricalStep } from '../acoustics/electrical-floor.ts';
import { noiseSpectrum } from '../acoustics/noise.ts';
import { detectionRange } from '../acoustics/detection-range.ts';
import { sonarBudget } from '../acoustics/sonar-budget.ts';
import { bottomBackscatterDb } from '../acoustics/backscatter.ts';
import { answerOf } from '../calculation/calculation.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { aBeam, aPlan, aTransducer, edited, fitted } from '../testing/sample-plan.ts';
import { beamRange } from './beam-range-calculation.ts';
import { elementAcoustics } from './element-acoustics.ts';
import {
  bottomReachM,
  bottomSnrDb,
  fillTargetSnr,
  rangeGrid,
  beamRangeTerms,
  requiredSnrDb,
  targetReachM,
  targetRangeSpan,
  targetSnrDb,
  traceSnrDb,
} from './beam-range.ts';

const water = { temperatureC: 9, salinityPpt: 0 };
const at = {
  water,
  soundSpeedMps: 1443,
  depthM: 0,
  windMps: 4,
  boatSpeedMps: 2,
  electricalFloorDb: -300,
  ownNoiseByDb: 0,
};
const element = (changes = {}, beam = {}) => aTransducer({ beams: [aBeam(beam)], ...changes });
const termsOf = (changes = {}, beam = {}, conditions = {}) => {
  const it = element(changes, beam);
  return beamRangeTerms(elementAcoustics(it, it.beams[0] ?? aBeam(), 32), it.mounting, { ...at, ...conditions });
};

describe('reach', () => {
  const cases = fc.record({
    frequencyHz: fc.integer({ min: 40_000, max: 900_000 }),
    beamwidthDeg: fc.integer({ min: 5, max: 60 }),
    electricalPowerW: fc.integer({ min: 50, max: 2000 }),
    salinityPpt: fc.constantFrom(0, 35),
  });

  it('is the range that the public calculation finds from the same terms', () => {
    fc.assert(
      fc.property(cases, ({ frequencyHz, beamwidthDeg, electricalPowerW, salinityPpt }) => {
        const it = element({ electricalPowerW }, { frequencyHz, beamwidthDeg });
        const acoustics = elementAcoustics(it, it.beams[0] ?? aBeam(), 32);
        const conditions = { ...at, water: { ...water, salinityPpt } };
        const noise = answerOf(noiseSpectrum, { frequencyHz, windSpeedMps: 4, boatSpeedMps: 2, mounting: it.mounting });
        const budget = {
          frequencyHz,
          sourceLevelDb: acoustics.sourceLevelDb,
          directivityIndexDb: acoustics.shape.directivityIndexDb,
          bandwidthHz: acoustics.bandwidthHz,
          noiseSpectrumDb: noise.noiseSpectrumDb,
          temperatureC: 9,
          salinityPpt,
          depthM: 0,
          targetStrengthDb: -40,
        };
        const terms = beamRangeTerms(acoustics, it.mounting, conditions);
        const { rangeM } = answerOf(detectionRange, { ...budget, requiredSnrDb });
        expect(targetReachM(terms, -40)).toBeCloseTo(rangeM ?? 0, 2);
        expect(targetSnrDb(terms, -40, 77)).toBeCloseTo(answerOf(sonarBudget, { ...budget, rangeM: 77 }).snrDb, 6);
      }),
      { numRuns: 60 },
    );
  });

  it('is never shortened by power nor lengthened by absorption, for a target or for the bottom', () => {
    fc.assert(
      fc.property(cases, fc.integer({ min: 0, max: 900 }), ({ frequencyHz, beamwidthDeg, electricalPowerW }, more) => {
        const reach = (changes: object, conditions = {}): number[] => {
          const terms = termsOf({ electricalPowerW, ...changes }, { frequencyHz, beamwidthDeg }, conditions);
          return [targetReachM(terms, -38), bottomReachM(terms, 'sand')];
        };
        const [fish = 0, bottom = 0] = reach({});
        const [fishMore = 0, bottomMore = 0] = reach({ electricalPowerW: electricalPowerW + more });
        const [fishSalt = 0, bottomSalt = 0] = reach({}, { water: { temperatureC: 9, salinityPpt: 35 } });
        expect(fishMore).toBeGreaterThanOrEqual(fish);
        expect(bottomMore).toBeGreaterThanOrEqual(bottom);
        expect(fishSalt).toBeLessThanOrEqual(fish);
        expect(bottomSalt).toBeLessThanOrEqual(bottom);
      }),
      { numRuns: 60 },
    );
  });

  it('of the bottom is where its signal is what is required, and longer over rock than over mud', () => {
    const terms = termsOf();
    const reach = bottomReachM(terms, 'mud');
    expect(bottomSnrDb(terms, 'mud', reach)).toBeCloseTo(traceSnrDb, 3);
    expect(bottomReachM(terms, 'rock')).toBeGreaterThan(reach);
    expect(bottomBackscatterDb('sand', 30) - bottomBackscatterDb('sand', 90)).toBeCloseTo(-6.02, 2);
  });

  it('shrinks with speed, more on the transom than through the hull, and by the hull it looks through', () => {
    const reach = (mounting: string, boatSpeedMps: number): number =>
      bottomReachM(termsOf({ mounting }, {}, { boatSpeedMps }), 'sand');
    expect(reach('transom', 12)).toBeLessThan(reach('transom', 3));
    expect(reach('through-hull', 15) / reach('through-hull', 3)).toBeGreaterThan(
      reach('transom', 15) / reach('transom', 3),
    );
    const [open, behind] = [termsOf(), termsOf({ mounting: 'shoot-through-hull' })];
    expect(behind.constantDb).toBeLessThan(open.constantDb - 8);
  });

  it('as a curve is the same as point by point', () => {
    const terms = termsOf();
    const grid = rangeGrid(1, 80, 400);
    const curve = fillTargetSnr(terms, -38, grid, new Float64Array(400));
    for (const i of [0, 57, 399]) expect(curve[i]).toBeCloseTo(targetSnrDb(terms, -38, grid.rangesM[i] ?? 0), 9);
    expect([grid.rangesM[0], grid.rangesM[399]]).toEqual([1, 80]);
  });
});

describe('the electrical floor of a boat', () => {
  const at = { frequencyHz: 190_000, bandwidthHz: 1000, receiveEfficiency: 1 };

  it('grows with the band, rises over 200 kHz, and counts for more in a face that hears less', () => {
    expect(electricalInBandDb(78, at)).toBeCloseTo(78, 9);
    expect(electricalInBandDb(78, { ...at, bandwidthHz: 10_000 })).toBeCloseTo(88, 9);
    expect(electricalInBandDb(78, { ...at, receiveEfficiency: 0.5 })).toBeCloseTo(81.01, 2);
    expect(electricalInBandDb(78, { ...at, frequencyHz: 2_000_000 })).toBeCloseTo(98, 9);
    expectWorkingHolds([electricalStep(78, { ...at, frequencyHz: 430_000, receiveEfficiency: 0.4 })], 'floor');
  });

  it('is not kept out by a cone, as the noise of the water is', () => {
    const wide = termsOf({}, { beamwidthDeg: 40 }, { electricalFloorDb: 90 });
    const narrow = termsOf({}, { beamwidthDeg: 8 }, { electricalFloorDb: 90 });
    expect(wide.noiseDb).toBeCloseTo(narrow.noiseDb, 2);
    expect(termsOf({}, { beamwidthDeg: 40 }).noiseDb).toBeGreaterThan(termsOf({}, { beamwidthDeg: 8 }).noiseDb + 10);
  });

  it('is as measured, else by the engine and by whether the displays share its battery, within 75 and 82 dB', () => {
    const plan = fitted(aPlan());
    const of = (changes: Partial<Plan['boat']>, crankingA = 0) =>
      electricalFloorOf(
        edited(
          plan,
          { type: 'describeBoat', changes },
          { type: 'describeBattery', id: 'house', changes: { crankingA } },
        ),
      );
    for (const propulsion of propulsions)
      for (const crankingA of [0, 300]) {
        expect(of({ propulsion }, crankingA).in1kHzDb).toBeGreaterThanOrEqual(75);
        expect(of({ propulsion }, crankingA).in1kHzDb).toBeLessThanOrEqual(82);
      }
    expect(of({}, 300).in1kHzDb).toBeGreaterThan(of({}).in1kHzDb);
    expect(of({ propulsion: 'oars' }).in1kHzDb).toBeLessThan(of({ propulsion: 'inboard shaft' }).in1kHzDb);
    expect(of({ electricalFloorDb: 64 })).toEqual(jasmine.objectContaining({ in1kHzDb: 64, assumed: false }));
  });
});

describe('reach, at idle speed over sand, as practice sees it', () => {
  const of = (input: object) => answerOf(beamRange, { lengthCm: 45, ...input } as never);

  it('600 W, 190 kHz, 12 degrees in fresh water of 9 degrees: a fish of 45 cm to 100 to 200 m', () => {
    const it = of({ frequencyHz: 190_000, beamwidthDeg: 12, electricalPowerW: 600, temperatureC: 9, salinityPpt: 0 });
    expect(it.fishM).toBeGreaterThan(100);
    expect(it.fishM).toBeLessThan(200);
  });

  it('300 W, 190 kHz, 12 degrees in salt water of 10 degrees: the bottom to 250 to 450 m', () => {
    const it = of({ frequencyHz: 190_000, beamwidthDeg: 12, electricalPowerW: 300, temperatureC: 10, salinityPpt: 35 });
    expect(it.bottomM).toBeGreaterThan(250);
    expect(it.bottomM).toBeLessThan(450);
  });

  it('1 kW, 50 kHz, 20 degrees in salt water, pulses of 4 to 8 ms: the bottom to 900 to 1 400 m', () => {
    const it = { frequencyHz: 50_000, beamwidthDeg: 20, electricalPowerW: 1000, temperatureC: 10, salinityPpt: 35 };
    for (const pulseLengthS of [undefined, 0.008]) {
      const { bottomM } = of(pulseLengthS === undefined ? it : { ...it, pulseLengthS });
      expect(bottomM).toBeGreaterThan(900);
      expect(bottomM).toBeLessThan(1400);
    }
  });

  it('says what it assumed, spans what is not known, and shows its working', () => {
    const it = of({ frequencyHz: 50_000, beamwidthDeg: 20, electricalPowerW: 1000, temperatureC: 10, salinityPpt: 35 });
    expect(it.assumed).toEqual(
      jasmine.objectContaining({
        efficiency: 0.5,
        pulseLengthS: 0.006,
        electricalFloorDb: 78,
        traceSnrDb: 15,
        windMps: 3,
      }),
    );
    expect(it.fishLowM).toBeLessThan(it.fishM ?? 0);
    expect(it.fishHighM).toBeGreaterThan(it.fishM ?? 0);
    expectWorkingHolds(it.working, 'reach');
    // What is not known of target and noise, 3 dB of that alone, as independent errors.
    const terms = termsOf({}, {}, { electricalFloorDb: 78 });
    const span = targetRangeSpan(terms, -38, 4);
    expect(targetSnrDb(terms, -38, span.lowM)).toBeCloseTo(requiredSnrDb + 5, 3);
    expect(targetSnrDb(terms, -38, span.highM)).toBeCloseTo(requiredSnrDb - 5, 3);
  });

  it('is null for what is not even seen at a metre', () => {
    const it = of({
      frequencyHz: 1_000_000,
      beamwidthDeg: 60,
      electricalPowerW: 1,
      efficiency: 0.01,
      lengthCm: 1,
      bottom: 'mud',
      temperatureC: 10,
      salinityPpt: 35,
      electricalFloorDb: 140,
    });
    expect([it.fishM, it.bottomM, it.limitedBy]).toEqual([null, null, null]);
  });
});
