import fc from 'fast-check';
import { propulsions, type Plan } from '@grey-keel/model';
import { electricalFloorOf, electricalInBandDb, electricalStep } from '../acoustics/electrical-floor.ts';
import { noiseSpectrum } from '../acoustics/noise.ts';
import { detectionRange } from '../acoustics/detection-range.ts';
import { sonarBudget } from '../acoustics/sonar-budget.ts';
import { volumeReverberation } from '../acoustics/reverberation.ts';
import { bottomBackscatterDb } from '../acoustics/backscatter.ts';
import { answerOf } from '../calculation.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { aBeam, aPlan, aTransducer, edited, fitted } from '../testing/sample-plan.ts';
import { reach } from './reach-calculation.ts';
import { beamwidth } from './beamwidth.ts';
import { budgetDifference } from './budget-difference.ts';
import { beamShape, elementAcoustics, impliedEfficiency, offAxisDb, resolutionOf } from './element-acoustics.ts';
import { imagingFrequency } from './imaging-frequency.ts';
import {
  bottomReachM,
  bottomSnrDb,
  fillTargetSnr,
  rangeGrid,
  reachTerms,
  requiredSnrDb,
  targetReachM,
  targetReachSpan,
  targetSnrDb,
  traceSnrDb,
} from './reach.ts';

const water = { temperatureC: 9, salinityPpt: 0 };
const at = { water, soundSpeedMps: 1443, depthM: 0, windMps: 4, boatSpeedMps: 2, electricalFloorDb: -300 };
const element = (changes = {}, beam = {}) => aTransducer({ beams: [aBeam(beam)], ...changes });
const termsOf = (changes = {}, beam = {}, conditions = {}) => {
  const it = element(changes, beam);
  return reachTerms(elementAcoustics(it, it.beams[0] ?? aBeam(), 32), it.mounting, { ...at, ...conditions });
};

describe('a beam by its width alone', () => {
  it('has the directivity of the disc that gives the width', () => {
    // ka sin(half) = 1.6163: an aperture of ka / pi wavelengths.
    const apertureM = ((1.6163399 / Math.sin((12 * Math.PI) / 180)) * 1500) / 190_000 / Math.PI;
    const disc = answerOf(beamwidth, { shape: 'piston', apertureM, frequencyHz: 190_000, soundSpeedMps: 1500 });
    expect(disc.beamwidthDeg).toBeCloseTo(24, 3);
    expect(beamShape(24, 24).directivityIndexDb).toBeCloseTo(disc.directivityIndexDb, 2);
  });

  it('has the two-way equivalent beam of a disc: 5.78 / (ka)² steradians', () => {
    // Simmonds and MacLennan 2005, ch. 3.
    const ka = 1.6163399 / Math.sin((4.5 * Math.PI) / 180);
    expect(beamShape(9, 9).equivalentBeamDb).toBeCloseTo(10 * Math.log10(5.78 / ka ** 2), 1);
  });

  it('as a fan, has about the directivity of a rectangle that size: 4 pi over the product of the widths', () => {
    // For a line of n wavelengths the half-power width is 0.886 / n and its share of directivity 1 / n.
    const [across, along] = [12, 1].map((deg) => (deg * Math.PI) / 180) as [number, number];
    const rectangle = 10 * Math.log10((4 * Math.PI * 0.886 ** 2) / (across * along));
    expect(beamShape(12, 1).directivityIndexDb).toBeCloseTo(rectangle, 0);
  });

  it('is half the power down at the edge of its width, and 17.6 dB at the first side lobe of a disc', () => {
    expect(offAxisDb(beamShape(24, 24), 12)).toBeCloseTo(-3.0103, 2);
    expect(offAxisDb(beamShape(24, 24), 0)).toBeCloseTo(0, 6);
    const ka = 1.6163399 / Math.sin((12 * Math.PI) / 180);
    expect(offAxisDb(beamShape(24, 24), (Math.asin(5.1356 / ka) * 180) / Math.PI)).toBeCloseTo(-17.57, 1);
  });
});

describe('an element as the sonar equation takes it', () => {
  it('names what its sheet does not say', () => {
    const bare = element({ electricalPowerW: null });
    expect(elementAcoustics(bare, aBeam(), 32).derived).toEqual([
      'source level',
      'efficiency',
      'power',
      'pulse lengths',
    ]);
    const whole = element({ efficiency: 0.6, shortestPulseS: 1e-4, longestPulseS: 1e-3 }, { sourceLevelDb: 214 });
    expect(elementAcoustics(whole, whole.beams[0] ?? aBeam(), 32).derived).toEqual([]);
  });

  it('has the efficiency that its source level implies', () => {
    const derived = elementAcoustics(element({ efficiency: 0.4 }), aBeam(), 32).sourceLevelDb;
    const quoted = element({}, { sourceLevelDb: derived });
    expect(impliedEfficiency(quoted, quoted.beams[0] ?? aBeam())).toBeCloseTo(0.4, 9);
    expect(impliedEfficiency(element(), aBeam())).toBeNull();
  });

  it('pulses longer in deep water, within its sheet, and a chirp resolves by its band', () => {
    const pulse = (depthM: number, changes = {}): number =>
      elementAcoustics(element(changes), aBeam(), depthM).pulseLengthS;
    expect(pulse(100)).toBeCloseTo(0.0005, 9);
    expect(pulse(1)).toBeCloseTo(12 / 190_000, 9);
    expect(pulse(1, { shortestPulseS: 0.0002 })).toBe(0.0002);
    expect(pulse(900, { longestPulseS: 0.002 })).toBe(0.002);
    const chirp = elementAcoustics(element(), aBeam({ bandwidthHz: 50_000 }), 100);
    expect(resolutionOf(chirp, 1500)).toBeCloseTo(0.015, 9);
    expect(chirp.processingGainDb).toBeCloseTo(10 * Math.log10(50_000 * 0.0005), 9);
  });
});

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
        const terms = reachTerms(acoustics, it.mounting, conditions);
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

  it('grows with the band, falls over 200 kHz, and counts for more in a face that hears less', () => {
    expect(electricalInBandDb(78, at)).toBeCloseTo(78, 9);
    expect(electricalInBandDb(78, { ...at, bandwidthHz: 10_000 })).toBeCloseTo(88, 9);
    expect(electricalInBandDb(78, { ...at, receiveEfficiency: 0.5 })).toBeCloseTo(81.01, 2);
    expect(electricalInBandDb(78, { ...at, frequencyHz: 2_000_000 })).toBeCloseTo(58, 9);
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
  const of = (input: object) => answerOf(reach, { lengthCm: 45, ...input } as never);

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
    const span = targetReachSpan(terms, -38, 4);
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

describe('noise-spectrum', () => {
  it('has the published levels of water and wind, added as powers', () => {
    // Mellen: 31 dB at 200 kHz; Coates at 10 kHz and 5 m/s: 50 + 16.77 + 20 - 40 log 10.4.
    const answer = answerOf(noiseSpectrum, { frequencyHz: 200_000, windSpeedMps: 0 });
    expect(answer.thermalDb).toBeCloseTo(31.02, 2);
    expect(answerOf(noiseSpectrum, { frequencyHz: 10_000, windSpeedMps: 5 }).windDb).toBeCloseTo(46.09, 1);
    const powers = [answer.thermalDb, answer.windDb, answer.ownShipDb].map((level) => 10 ** (level / 10));
    expect(10 ** (answer.noiseSpectrumDb / 10)).toBeCloseTo(
      powers.reduce((sum, one) => sum + one),
      3,
    );
  });

  it('rises by 18 dB when the speed doubles, and says which noise is the loudest', () => {
    const own = (boatSpeedMps: number): number =>
      answerOf(noiseSpectrum, { frequencyHz: 200_000, boatSpeedMps, mounting: 'transom' }).ownShipDb;
    expect(own(10) - own(5)).toBeCloseTo(18.06, 2);
    const loudest = (input: object): string => answerOf(noiseSpectrum, { frequencyHz: 50_000, ...input }).loudest;
    expect(loudest({ boatSpeedMps: 10 })).toBe('own boat');
    expect(loudest({ windSpeedMps: 20, frequencyHz: 10_000 })).toBe('wind');
    expect(loudest({ frequencyHz: 1_000_000, windSpeedMps: 0 })).toBe('thermal');
  });
});

describe('budget-difference', () => {
  it('adds up to the difference of two separate budgets, to a hundredth of a decibel', () => {
    const side = fc.record({
      frequencyHz: fc.integer({ min: 30_000, max: 900_000 }),
      acousticPowerW: fc.double({ min: 10, max: 1000, noNaN: true }),
      directivityIndexDb: fc.double({ min: 8, max: 35, noNaN: true }),
      bandwidthHz: fc.integer({ min: 500, max: 50_000 }),
      processingGainDb: fc.double({ min: 0, max: 20, noNaN: true }),
      noiseSpectrumDb: fc.double({ min: 20, max: 70, noNaN: true }),
      targetStrengthDb: fc.double({ min: -60, max: -25, noNaN: true }),
    });
    fc.assert(
      fc.property(side, side, fc.double({ min: 1, max: 400, noNaN: true }), (first, second, rangeM) => {
        const snr = ({ acousticPowerW, ...rest }: typeof first): number =>
          answerOf(sonarBudget, {
            ...rest,
            sourceLevelDb: 170.8 + 10 * Math.log10(acousticPowerW) + rest.directivityIndexDb,
            ...water,
            rangeM,
          }).snrDb;
        const answer = answerOf(budgetDifference, { first, second, ...water, rangeM });
        const terms = [
          answer.spreadingDb,
          answer.absorptionDb,
          answer.directivityDb,
          answer.powerDb,
          answer.bandwidthDb,
          answer.processingDb,
          answer.noiseDb,
          answer.targetDb,
        ];
        expect(answer.totalDb).toBeCloseTo(snr(first) - snr(second), 2);
        expect(terms.reduce((sum, term) => sum + term)).toBeCloseTo(answer.totalDb, 2);
        expect(answer.firstSnrDb).toBeCloseTo(snr(first), 2);
      }),
    );
  });

  it('says which term decides, and that a cone does play a part', () => {
    const one = {
      frequencyHz: 190_000,
      acousticPowerW: 300,
      directivityIndexDb: 26,
      bandwidthHz: 5000,
      noiseSpectrumDb: 40,
      targetStrengthDb: -38,
    };
    const cones = answerOf(budgetDifference, {
      first: one,
      second: { ...one, directivityIndexDb: 18 },
      ...water,
      rangeM: 40,
    });
    expect([cones.largest, cones.coneRuleDepartsDb]).toEqual(['directivity', 16]);
    const salty = { temperatureC: 9, salinityPpt: 35, rangeM: 250 };
    expect(answerOf(budgetDifference, { first: one, second: { ...one, frequencyHz: 45_000 }, ...salty }).largest).toBe(
      'absorption',
    );
  });
});

describe('volume-reverberation', () => {
  it('is the backscatter of the water that answers at once, and grows by six decibels when the range doubles', () => {
    const input = {
      rangeM: 10,
      equivalentBeamDb: -10,
      rangeResolutionM: 0.5,
      volumeBackscatterDb: -70,
      targetStrengthDb: -40,
    };
    const near = answerOf(volumeReverberation, input);
    expect(near.volumeM3).toBeCloseTo(0.1 * 100 * 0.5, 9);
    expect(near.clutterStrengthDb).toBeCloseTo(-70 + 10 * Math.log10(5), 9);
    const far = answerOf(volumeReverberation, { ...input, rangeM: 20 });
    expect(near.targetOverClutterDb - far.targetOverClutterDb).toBeCloseTo(6.02, 2);
  });
});

describe('imaging-frequency', () => {
  const snrAt = (frequencyHz: number, rangeM: number, salinityPpt: number): number => {
    const { directivityIndexDb } = beamShape(50, 0.9);
    const thermal = 10 ** ((-15 + 20 * Math.log10(frequencyHz / 1000)) / 10);
    const kHz = frequencyHz / 1000;
    const wind = 10 ** ((50 + 15 + 20 * Math.log10(kHz) - 40 * Math.log10(kHz + 0.4)) / 10);
    return answerOf(sonarBudget, {
      frequencyHz,
      sourceLevelDb: 170.8 + 10 * Math.log10(150) + directivityIndexDb,
      directivityIndexDb,
      bandwidthHz: 10_000,
      // The boat's electrics, 78 dB in 1 kHz and 20 dB a decade less over 200 kHz, as if the water had made them.
      noiseSpectrumDb:
        10 *
        Math.log10(
          thermal +
            wind +
            10 **
              ((78 - 20 * Math.log10(Math.max(1, kHz / 200)) - 30 - 10 * Math.log10(0.5) + directivityIndexDb) / 10),
        ),
      temperatureC: 10,
      salinityPpt,
      rangeM,
      targetStrengthDb: -50,
    }).snrDb;
  };

  it('just covers the range, and a little higher does not', () => {
    for (const [rangeM, salinityPpt] of [
      [40, 35],
      [60, 0],
    ] as const) {
      const { frequencyHz } = answerOf(imagingFrequency, { rangeM, temperatureC: 10, salinityPpt });
      expect(snrAt(frequencyHz ?? 0, rangeM, salinityPpt)).toBeCloseTo(3, 2);
      expect(snrAt((frequencyHz ?? 0) * 1.02, rangeM, salinityPpt)).toBeLessThan(3);
    }
  });

  it('falls with range and with salt, and says when there is none', () => {
    const of = (rangeM: number, salinityPpt: number) =>
      answerOf(imagingFrequency, { rangeM, temperatureC: 10, salinityPpt }).frequencyHz ?? 0;
    expect(of(60, 0)).toBeLessThan(of(50, 0));
    expect(of(50, 35)).toBeLessThan(of(50, 0));
    const none = answerOf(imagingFrequency, { rangeM: 1000, temperatureC: 10, salinityPpt: 35, acousticPowerW: 0.1 });
    expect([none.frequencyHz, none.atEnd, none.flags.length]).toEqual([null, 'lowest', 1]);
    expect(answerOf(imagingFrequency, { rangeM: 1, temperatureC: 10, salinityPpt: 0 }).atEnd).toBe('highest');
  });
});
