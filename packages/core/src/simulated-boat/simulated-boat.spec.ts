import { helmAtRest } from '@grey-keel/model';
import { answerOf } from '../calculation/calculation.ts';
import { wrapped } from '../calibration/bearings.ts';
import { antennaVector } from '../calibration/antenna-vector.ts';
import { headingOffset } from '../calibration/heading-offset.ts';
import { speedFactor } from '../calibration/speed-factor.ts';
import { measuredQuantities } from '../instruments/measured-quantities.ts';
import { readSentence } from '../instruments/read-sentence.ts';
import { pairsFrom } from '../testing/simulated-runs.ts';
import { sailedRuns } from '../testing/sailed-runs.ts';
import { droppingSensors, dropsOut } from './drop-outs.ts';
import { followScript, legS } from './helm-script.ts';
import { overTheSide } from './over-the-side.ts';
import { compassShows, shownOverGround, simulatedBoat } from './simulated-boat.ts';
import { simulatedSentences } from './simulated-sentences.ts';

const ahead = { wheel: 0, throttle: 0.5, steerDeg: 90, engineOn: true };
/** What lies within three standard deviations of a share of so many boats. */
const bound = (share: number, boats: number): number => 3 * Math.sqrt((share * (1 - share)) / boats);

describe('the simulated boat', () => {
  it('is the same for the same seed and helm, and another for another', () => {
    const [one, same, other] = [4, 4, 5].map((seed) => simulatedBoat(seed).step(30, ahead));
    expect(one).toEqual(same);
    expect(other!.shown).not.toEqual(one!.shown);
  });

  it('goes where it points and drifts with the current: the sum of the two is what goes over ground', () => {
    const boat = simulatedBoat(3, { noise: 0 });
    boat.step(60, ahead);
    const before = boat.now();
    const after = boat.step(20, ahead);
    const { current } = boat.errors;
    expect((after.eastM - before.eastM) / 20).toBeCloseTo(after.throughMps + current.east, 2);
    expect((after.northM - before.northM) / 20).toBeCloseTo(current.north, 2);
    expect(after.headingDeg).toBeCloseTo(90, 1);
  });

  it('shows each thing with its error, after its lag: a tenth of the change is left of it after 2.3 lags', () => {
    const boat = simulatedBoat(6, { noise: 0 });
    boat.step(120, ahead);
    const { shown, throughMps } = boat.now();
    expect(shown.logMps * boat.errors.logFactor).toBeCloseTo(throughMps, 3);
    expect(shown.depthM + boat.errors.faceDepthM).toBeCloseTo(boat.now().depthM, 6);
    // Without an engine the boat stops within seconds; the log still shows a tenth of it after 23 s more.
    const stopping = boat.step(40, { ...ahead, throttle: 0 });
    const start = stopping.shown.logMps;
    expect(boat.step(23, { ...ahead, throttle: 0 }).shown.logMps / start).toBeCloseTo(0.1, 1);
    // The compass shows a heading whose offset and deviation added give the magnetic one.
    const [b, c, d, e] = boat.errors.deviationDeg;
    for (const headingDeg of [0, 80, 200, 333]) {
      const compassDeg = compassShows(boat.errors, headingDeg);
      const theta = (compassDeg * Math.PI) / 180;
      const deviation = b * Math.sin(theta) + c * Math.cos(theta) + d * Math.sin(2 * theta) + e * Math.cos(2 * theta);
      expect(wrapped(compassDeg + boat.errors.headingOffsetDeg + deviation - headingDeg)).toBeCloseTo(0, 6);
    }
  });

  it('is read over the side: by lead line, thermometer and eye near the truth, by its displays with their errors', () => {
    for (const seed of [3, 12, 40]) {
      const boat = simulatedBoat(seed);
      const { errors } = boat;
      const looks = Array.from({ length: 40 }, () => {
        const moment = boat.step(7, ahead);
        return { moment, seen: overTheSide(boat) };
      });
      const mean = (of: (look: (typeof looks)[number]) => number): number =>
        looks.reduce((sum, look) => sum + of(look), 0) / looks.length;
      expect(Math.abs(mean(({ moment, seen }) => seen.leadLineM - moment.depthM))).toBeLessThan(0.05);
      expect(mean(({ seen }) => wrapped(seen.buoy.offTheBowDeg - seen.buoy.shownOffTheBowDeg))).toBeCloseTo(
        errors.pointingDeg,
        0,
      );
      expect(Math.abs(mean(({ seen }) => seen.tiltDeg) - errors.tiltDeg)).toBeLessThan(0.6);
      expect(looks.every(({ seen: { bank } }) => (bank.side !== bank.shownSide) === errors.sidesSwapped)).toBeTrue();
      // However far it sails, a buoy is near enough for a tape.
      expect(Math.max(...looks.map(({ seen }) => seen.buoy.distanceM))).toBeLessThan(155);
      // Marks set over the buoy lie off by the vector from the antenna, turned with the boat.
      const marks = [0, 90, 180, 270].flatMap((steerDeg) => {
        boat.step(30, { ...ahead, steerDeg });
        const { buoyMark, headingDeg } = overTheSide(boat);
        return [{ headingDeg, ...buoyMark }];
      });
      expect(Math.abs(answerOf(antennaVector, { marks }).forwardM - errors.antennaForwardM)).toBeLessThan(1.2);
      expect(overTheSide(boat)).toEqual(overTheSide(boat));
      // However long it lies there, its battery goes on being used, and never wholly.
      boat.step(20_000, helmAtRest);
      const used = [0, 1, 2, 3].map(() => {
        boat.step(100, helmAtRest);
        return overTheSide(boat).battery.usedAh;
      });
      expect(new Set(used).size).toBe(4);
      expect(Math.max(...used)).toBeLessThan(80);
    }
  });

  it('steers a script leg by leg from the heading it began on, and lets go', () => {
    const start = { ...helmAtRest, steerDeg: 300, script: 'two pairs' as const };
    let now = followScript(start, null, { timeS: 1000, headingDeg: 77 });
    const steered = [0, 1, 2, 3].map((leg) => {
      now = followScript(now.helm, now.running, { timeS: 1000 + (leg + 0.5) * legS, headingDeg: 0 });
      return now.helm.steerDeg;
    });
    expect(steered).toEqual([300, 120, 30, 210]);
    expect(now.helm.throttle).toBeGreaterThan(0);
    const done = followScript(now.helm, now.running, { timeS: 1001 + 4 * legS, headingDeg: 0 });
    expect([done.helm.script, done.helm.throttle, done.running]).toEqual([null, 0, null]);
    // Where no heading was steered it begins on the one the boat has.
    expect(followScript({ ...start, steerDeg: null }, null, { timeS: 0, headingDeg: 77.4 }).helm.steerDeg).toBe(77);
  });

  it('loses a sensor for seconds now and then, never in the first minutes, and the bottom when it runs too fast', () => {
    for (const sensor of droppingSensors) {
      const silent = Array.from({ length: 7200 }, (_, s) => dropsOut(12, sensor, s));
      expect(silent.slice(0, 200)).not.toContain(true);
      const share = silent.filter(Boolean).length / silent.length;
      expect(share).toBeGreaterThan(0.005);
      expect(share).toBeLessThan(0.03);
    }
    expect(dropsOut(12, 'depth', 10, 8.9)).toBeTrue();
    expect(dropsOut(12, 'log', 10, 8.9)).toBeFalse();
    const boat = simulatedBoat(12);
    boat.step(5, ahead);
    const said = (sensor: string): string =>
      Array.from({ length: 10 }, (_, tick) =>
        simulatedSentences(boat.now(), tick, new Date(0), undefined, { silent: (one) => one === sensor }),
      )
        .flat()
        .join('');
    expect(said('position')).not.toContain('RMC');
    expect(said('position')).toContain('DPT');
    expect(said('depth')).not.toContain('DPT');
    expect(said('log')).not.toContain('VHW');
  });

  it('dips its battery while the engine starts, and charges it then', () => {
    const boat = simulatedBoat(2);
    const off = { ...ahead, engineOn: false };
    expect(boat.step(5, off).batteryV).toBeCloseTo(12.7, 1);
    expect(boat.step(0.5, ahead).batteryV).toBeLessThan(10.5);
    expect(boat.step(20, ahead).batteryV).toBeCloseTo(14.1, 1);
  });

  it('says in sentences what its instruments show, and of itself what it is', () => {
    const boat = simulatedBoat(9);
    boat.step(60, ahead);
    const at = new Date('2026-05-01T09:30:00.25Z');
    const said = Array.from({ length: 10 }, (_, tick) => simulatedSentences(boat.now(), tick, at)).flat();
    const heard: Record<string, number> = {};
    for (const line of said) {
      const read = readSentence(line)!;
      expect(read.checksumOk).withContext(line).toBeTrue();
      Object.assign(heard, measuredQuantities(read));
    }
    const { shown, batteryV } = boat.now();
    const over = shownOverGround(boat.now());
    expect(heard['sogMps']).toBeCloseTo(over.sogMps, 2);
    expect(heard['cogDeg']).toBeCloseTo(over.cogDeg, 0);
    expect(heard['logMps']).toBeCloseTo(shown.logMps, 2);
    expect(heard['headingMagneticDeg']).toBeCloseTo(shown.compassDeg, 0);
    expect(heard['depthM']).toBeCloseTo(shown.depthM, 2);
    expect(heard['temperatureC']).toBeCloseTo(shown.temperatureC, 0);
    expect(heard['voltageV']).toBeCloseTo(batteryV, 2);
    // A minute of latitude is a mile: 47° and what it went.
    expect((heard['latitudeDeg']! - 47) * 60 * 1852).toBeCloseTo(shown.northM, -1);
    expect(said.some((line) => line.startsWith('$PGSIM,'))).toBeTrue();
  });

  it('errs against magnetic north, and tells the variation of its place with its heading, or leaves it out', () => {
    const boat = simulatedBoat(9, { noise: 0 });
    const { shown, headingDeg } = boat.step(90, ahead);
    // World Magnetic Model 2025 at 47 N 28 W, a west variation of about ten degrees: its field stands in the published maps.
    expect(boat.variationDeg).toBeGreaterThan(-13);
    expect(boat.variationDeg).toBeLessThan(-7);
    const [b, c, d, e] = boat.errors.deviationDeg;
    const theta = (shown.compassDeg * Math.PI) / 180;
    const deviation = b * Math.sin(theta) + c * Math.cos(theta) + d * Math.sin(2 * theta) + e * Math.cos(2 * theta);
    const trueDeg = shown.compassDeg + boat.errors.headingOffsetDeg + deviation + boat.variationDeg;
    expect(wrapped(trueDeg - headingDeg)).toBeCloseTo(0, 1);
    // What a person sights has one error of the eye, from either north.
    const { headingDeg: sightedDeg, magneticDeg } = overTheSide(boat);
    expect(Math.abs(wrapped(sightedDeg - magneticDeg - boat.variationDeg))).toBeLessThanOrEqual(0.5);
    const heard = (variationDeg: number | null): Record<string, number> =>
      Object.assign(
        {},
        ...simulatedSentences(boat.now(), 0, new Date(0), undefined, { variationDeg }).map((line) =>
          measuredQuantities(readSentence(line)!),
        ),
      ) as never;
    expect(heard(boat.variationDeg)['variationDeg']).toBeCloseTo(boat.variationDeg, 1);
    expect(heard(13)['variationDeg']).toBe(13);
    expect(heard(null)['variationDeg']).toBeUndefined();
    expect(heard(null)['compassDeg']).toBeCloseTo(shown.compassDeg, 0);
  });

  it('sends what its instruments show with what was entered in them, round the compass', () => {
    const { step, now } = simulatedBoat(9, { noise: 0 });
    const entered = { headingDeg: -20, logFactor: 1.1, temperatureByC: 0.7 };
    for (const steerDeg of [90, 5]) {
      step(60, { ...ahead, steerDeg });
      const sent = (given: typeof entered): Record<string, number> => {
        const said = Array.from({ length: 10 }, (_, tick) =>
          simulatedSentences(now(), tick, new Date(0), given),
        ).flat();
        return Object.assign({}, ...said.map((line) => measuredQuantities(readSentence(line)!))) as never;
      };
      const [bare, corrected] = [sent({ headingDeg: 0, logFactor: 1, temperatureByC: 0 }), sent(entered)];
      const { headingMagneticDeg, logMps, temperatureC } = corrected;
      expect(wrapped(headingMagneticDeg! - bare['headingMagneticDeg']!)).toBeCloseTo(-20, 6);
      expect(headingMagneticDeg! >= 0 && headingMagneticDeg! < 360).toBeTrue();
      expect(logMps! / bare['logMps']!).toBeCloseTo(1.1, 2);
      expect(temperatureC! - bare['temperatureC']!).toBeCloseTo(0.7, 6);
    }
  });

  for (const pairs of [2, 3, 4])
    it(`has its heading found by ${pairs} pairs in 93 to 97 of 100 seas, refusing one in ten at most`, () => {
      const boats = 120;
      const all = Array.from({ length: boats }, (_, i) =>
        sailedRuns(100 * pairs + i, pairsFrom(3 * i, pairs), { withLog: false, averageS: 20 }),
      ).filter(({ runs }) => runs.length === 2 * pairs);
      expect(all.length).toBeGreaterThanOrEqual(0.9 * boats);
      const held = all.filter(({ boat, runs }) => {
        const shown = runs.map(({ headingDeg, sogMps, cogDeg }) => ({ headingDeg, sogMps, cogDeg }));
        const { offsetDeg, halfInterval95Deg } = answerOf(headingOffset, { runs: shown });
        return Math.abs(wrapped(offsetDeg - boat.errors.headingOffsetDeg)) <= (halfInterval95Deg ?? 0);
      });
      expect(Math.abs(held.length / all.length - 0.95)).toBeLessThan(0.02 + bound(0.95, all.length));
    });

  for (const count of [3, 4])
    it(`has the factor of its log found by ${count} runs, where over ground by log would be wrong`, () => {
      const boats = 100;
      const all = Array.from({ length: boats }, (_, i) => {
        const headings = Array.from({ length: count }, (_ignored, k) => (13 * i + (k * 360) / count) % 360);
        return sailedRuns(1000 * count + i, headings, { averageS: 20 });
      }).filter(({ runs }) => runs.length === count);
      expect(all.length).toBeGreaterThanOrEqual(0.9 * boats);
      const answers = all.map(({ boat, runs }) => {
        const turn = boat.errors.headingOffsetDeg + 360;
        const shown = runs.map(({ logMps, headingDeg, ...over }) => ({
          ...over,
          logMps: logMps ?? 0,
          headingDeg: (headingDeg + turn) % 360,
        }));
        return { truth: boat.errors.logFactor, ...answerOf(speedFactor, { runs: shown }), one: shown[0]! };
      });
      const held = answers.filter(
        ({ truth, factor, factorHalfInterval95 }) => Math.abs(factor - truth) <= (factorHalfInterval95 ?? 0),
      );
      expect(Math.abs(held.length / all.length - 0.95)).toBeLessThan(0.02 + bound(0.95, all.length));
      const worse = answers.filter(
        ({ truth, factor, one }) => Math.abs(one.sogMps / one.logMps - truth) > Math.abs(factor - truth),
      );
      expect(worse.length / all.length).toBeGreaterThan(0.8);
    });
});
