import type { Plan, PlacedFish } from '@grey-keel/model';
import fc from 'fast-check';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { aPlan, aTransducer } from '../testing/sample-plan.ts';
import { deadZone } from './dead-zone.ts';
import { resolutionOf, elementAcoustics } from './element-acoustics.ts';
import { answerOf } from '../calculation/calculation.ts';
import { soundSpeed } from '../water/sound-speed.ts';
import { bottomAtM, sceneAt, thermoclineError } from './scene.ts';

const rad = Math.PI / 180;
const plan = (scene: Partial<Plan['scene']> = {}, transducer = {}): Plan => ({
  ...aPlan(),
  // The face lies at the waterline on the centreline, so that ranges are depths.
  boat: { ...aPlan().boat, draughtM: 0.5 },
  transducers: { one: aTransducer({ starboardM: 0, forwardM: 0, aboveKeelM: 0.5, ...transducer }) },
  scene: { ...aPlan().scene, ...scene },
});
const fish = (changes: Partial<PlacedFish> = {}): PlacedFish => ({
  lengthCm: 45,
  forwardM: 0,
  starboardM: 0,
  depthM: 20,
  ...changes,
});
const scene = (boat: Plan, ...list: PlacedFish[]) => {
  const made = sceneAt(boat, 32, Object.fromEntries(list.map((one, i) => [`f${i}`, one])));
  if (!made) throw new Error('There is no scene.');
  return made;
};
const seen = (boat: Plan, one: PlacedFish) => {
  const [first] = scene(boat, one).fish[0]?.seen ?? [];
  if (!first) throw new Error('Nothing looks.');
  return first;
};

describe('the scene', () => {
  it('has the first echo and the hidden water of the calculation, whichever way the bottom falls', () => {
    const it = aTransducer();
    const [beam] = it.beams;
    if (!beam) throw new Error('No beam.');
    const pulseM = resolutionOf(elementAcoustics(it, beam, 32), 1443.6);
    for (const slopeDeg of [0, 9, -9, 25]) {
      const [drawn] = scene(plan({ slopeDeg })).beams;
      const answer = answerOf(deadZone, {
        beamwidthDeg: 24,
        depthM: 32,
        pulseLengthS: (2 * pulseM) / 1443.6,
        soundSpeedMps: 1443.6,
        slopeDeg: Math.abs(slopeDeg),
      });
      expect(drawn?.firstEchoM).withContext(String(slopeDeg)).toBeCloseTo(answer.firstEchoRangeM, 6);
      // The lower edge of the hidden water lies on the bottom.
      for (const { x, y } of drawn?.deadZone.slice(0, 25) ?? []) expect(y).toBeCloseTo(bottomAtM(32, slopeDeg, x), 6);
      const heights = (drawn?.deadZone.slice(25) ?? []).map(({ x, y }) => bottomAtM(32, slopeDeg, x) - y);
      expect(Math.max(...heights)).toBeCloseTo(answer.heightAtEdgeM, 1);
    }
  });

  it('draws a fish straight below at its depth, and one off the axis too deep by r - r cos', () => {
    expect(seen(plan(), fish()).tooDeepM).toBeCloseTo(0, 9);
    const aside = seen(plan(), fish({ starboardM: 20 * Math.tan(10 * rad) }));
    expect(aside.offAxisDeg).toBeCloseTo(10, 9);
    const range = 20 / Math.cos(10 * rad);
    expect(aside.tooDeepM).toBeCloseTo(range - range * Math.cos(10 * rad), 9);
    expect(aside.insideCone).toBeTrue();
    expect(seen(plan(), fish({ starboardM: 20 * Math.tan(13 * rad) })).insideCone).toBeFalse();
  });

  it('is six decibels down at the edge of the cone, both ways', () => {
    const angle = 12 * rad;
    const edge = seen(plan(), fish({ starboardM: 20 * Math.sin(angle), depthM: 20 * Math.cos(angle) }));
    expect(seen(plan(), fish()).snrDb - edge.snrDb).toBeCloseTo(6.02, 1);
  });

  it('hides a fish on the bottom, and one that stands clear it sees', () => {
    expect(seen(plan(), fish({ depthM: 31.95 })).state).toBe('hidden');
    expect(seen(plan(), fish({ depthM: 31 })).state).toBe('seen');
    // On a slope the same metre over the bottom is not enough.
    expect(seen(plan({ slopeDeg: 20 }), fish({ depthM: 31 })).state).toBe('hidden');
    expect(seen(plan(), fish({ starboardM: 60, depthM: 5 })).state).not.toBe('seen');
    expect(scene(plan(), fish({ depthM: 33 })).fish[0]?.aground).toBeTrue();
  });

  it('looks to port when the boat leans to starboard', () => {
    const leaning = plan({ rollDeg: 10 });
    const port = seen(leaning, fish({ starboardM: -20 * Math.tan(10 * rad) }));
    const starboard = seen(leaning, fish({ starboardM: 20 * Math.tan(10 * rad) }));
    expect(port.offAxisDeg).toBeCloseTo(0, 5);
    expect(starboard.offAxisDeg).toBeCloseTo(20, 5);
    expect(port.snrDb).toBeGreaterThan(starboard.snrDb);
  });

  it('never draws a fish shallower than it is, and its working holds', () => {
    const any = fc.record({
      lengthCm: fc.integer({ min: 5, max: 150 }),
      forwardM: fc.double({ min: -20, max: 20, noNaN: true }),
      starboardM: fc.double({ min: -20, max: 20, noNaN: true }),
      depthM: fc.double({ min: 1, max: 31, noNaN: true }),
    });
    fc.assert(
      fc.property(any, fc.integer({ min: -30, max: 30 }), (one, slopeDeg) => {
        const found = seen(plan({ slopeDeg }), one);
        expect(found.tooDeepM).toBeGreaterThanOrEqual(-1e-9);
        expectWorkingHolds(found.working, 'fish');
      }),
      { numRuns: 60 },
    );
  });

  it('reads a colder layer below as deeper than it is, and one below the bottom not at all', () => {
    const error = thermoclineError(plan({ thermocline: { depthM: 12, colderByC: 5 } }), 32);
    // 9 °C and 4 °C in fresh water: 1443 and 1422 m/s (UNESCO), over 20 of the 32 m.
    expect((error?.readsM ?? 0) - 32).toBeCloseTo(20 * (1443.2 / 1421.7 - 1), 1);
    expect(error?.meanMps).toBeLessThan(1443);
    expectWorkingHolds(error?.working ?? [], 'thermocline');
    expect(thermoclineError(plan({ thermocline: { depthM: 40, colderByC: 5 } }), 32)).toBeNull();
  });

  it('takes the time through each layer as the sound speed at every depth adds up to', () => {
    const at = (depthM: number, temperatureC: number): number =>
      answerOf(soundSpeed, { depthM, temperatureC, salinityPpt: 0 }).soundSpeedMps;
    for (const [layerM, depthM] of [
      [12, 32],
      [20, 400],
      [150, 900],
    ] as const) {
      // Simpson's rule over the slowness, 200 panels a layer.
      const seconds = (from: number, to: number, temperatureC: number): number => {
        const h = (to - from) / 200;
        let sum = 1 / at(from, temperatureC) + 1 / at(to, temperatureC);
        for (let i = 1; i < 200; i++) sum += (i % 2 ? 4 : 2) / at(from + i * h, temperatureC);
        return (sum * h) / 3;
      };
      const mean = depthM / (seconds(0, layerM, 9) + seconds(layerM, depthM, 4));
      const found = thermoclineError(plan({ thermocline: { depthM: layerM, colderByC: 5 } }), depthM);
      expect((found?.meanMps ?? 0) / mean)
        .withContext(`${depthM} m`)
        .toBeCloseTo(1, 4);
      expect(Math.abs((found?.meanMps ?? 0) / mean - 1)).toBeLessThan(1e-5);
    }
    expect(thermoclineError(plan(), 32)).toBeNull();
  });
});
