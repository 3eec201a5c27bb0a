import type { PlacedFish, Plan, Transducer } from '@grey-keel/model';
import fc from 'fast-check';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { aBeam, aPlan, aTransducer } from '../testing/sample-plan.ts';
import { beamShape, fanOffAxisDb } from './element-acoustics.ts';
import { usualForward } from './forward-fan.ts';
import { fansAt, type FanSeen } from './scene-fans.ts';

const fan = (kind: Transducer['kind'], beam: Partial<ReturnType<typeof aBeam>> = {}): Transducer =>
  aTransducer({
    kind,
    starboardM: 0,
    forwardM: 0,
    aboveKeelM: 0.5,
    beams: [aBeam({ frequencyHz: 430_000, beamwidthDeg: 60, alongDeg: 1, ...beam })],
  });
const boat = (transducer: Transducer, scene: Partial<Plan['scene']> = {}): Plan => ({
  ...aPlan(),
  boat: { ...aPlan().boat, draughtM: 0.5 },
  transducers: { one: transducer },
  scene: { ...aPlan().scene, ...scene },
});
const seen = (plan: Plan, fish: Partial<PlacedFish>, depthM = 12): FanSeen => {
  const all = fansAt(plan, depthM, { f: { lengthCm: 60, forwardM: 0, starboardM: 0, depthM: 6, ...fish } });
  const found = all?.[0]?.seen['f'];
  if (!found) throw new Error('No fan looks.');
  return found;
};

describe('the fans of a scene', () => {
  it('draw a fish beside the boat nearer than it is where the picture takes it to lie on the bottom', () => {
    // 9 m out and 12 m down is 15 m away; 12 m of water off leaves 9 m. Half-way up it is drawn nearer.
    const bottom = seen(boat(fan('side-scan')), { starboardM: 9, depthM: 12 });
    expect(bottom.slantM).toBeCloseTo(15, 9);
    expect(bottom.drawnM).toBeCloseTo(9, 9);
    // On the bottom the shadow begins at the fish: its 0.15 m of height hide 9 x 0.15 / 11.85.
    expect(bottom.shadowM?.[0]).toBeCloseTo(0, 9);
    expect(bottom.shadowM?.[1]).toBeCloseTo((9 * 0.15) / 11.85, 9);
    const high = seen(boat(fan('side-scan')), { starboardM: 16, depthM: 9 });
    expect(high.drawnM).toBeCloseTo(Math.sqrt(16 ** 2 + 9 ** 2 - 12 ** 2), 9);
    expect(high.shadowM?.[0]).toBeCloseTo((3 * 16) / (12 - 3), 9);
    expect([high.inWaterColumn, seen(boat(fan('side-scan')), { starboardM: 4, depthM: 6 }).inWaterColumn]).toEqual([
      false,
      true,
    ]);
    expect(seen(boat(fan('side-scan')), { starboardM: 9, depthM: 0.05 }).shadowM).toBeNull();
  });

  it('look alike to both sides, until the boat leans', () => {
    const at = (starboardM: number, rollDeg: number): number =>
      seen(boat(fan('side-scan'), { rollDeg }), { starboardM, depthM: 8 }).snrDb;
    expect(at(20, 0)).toBeCloseTo(at(-20, 0), 9);
    // Leaning to starboard turns the starboard fan down, away from what lies far out, and the port one up.
    expect(at(20, 15)).toBeLessThan(at(-20, 15));
  });

  it('of a side-scan are strongest 30° below the level, and weak straight below', () => {
    const level = (starboardM: number, depthM: number): number => {
      const it = seen(boat(fan('side-scan')), { starboardM, depthM });
      return it.snrDb + 40 * Math.log10(it.slantM);
    };
    expect(level(10 * Math.sin(Math.PI / 3), 10 * Math.cos(Math.PI / 3))).toBeGreaterThan(level(0.1, 10) + 6);
  });

  it('lose a small fish over a hard bottom, and not before the first bottom comes in', () => {
    const rock = {
      ...boat(fan('side-scan')),
      sought: { a: { ...Object.values(aPlan().sought)[0]!, over: ['rock' as const] } },
    };
    expect(seen(rock, { lengthCm: 8, starboardM: 14, depthM: 11 }).state).toBe('hidden');
    const alsoMud = { ...rock, sought: { a: { ...rock.sought.a, over: ['mud' as const, 'rock' as const] } } };
    expect(seen(alsoMud, { lengthCm: 8, starboardM: 14, depthM: 11 }).state).toBe('hidden');
    expect(seen(rock, { lengthCm: 60, starboardM: 5, depthM: 6 }).state).toBe('seen');
  });

  it('at the bow show what lies in the sector and the slice, and nothing out of range', () => {
    const live = fan('forward-facing', { beamwidthDeg: 120, alongDeg: 20 });
    const set = (mode: 'ahead' | 'down' | 'flat', tiltDeg = 0): Plan =>
      boat(live, { forward: { mode, tiltDeg, rangeM: 30 } });
    expect(seen(set('ahead'), { forwardM: 15 }).state).toBe('seen');
    expect(seen(set('ahead'), { forwardM: 40 }).state).toBe('outside');
    expect(seen(set('ahead'), { forwardM: 10, starboardM: 8 }).state).toBe('outside');
    expect(seen(set('ahead'), { forwardM: -2, depthM: 6 }).state).toBe('seen');
    expect(seen(set('down'), { forwardM: 3 }).state).toBe('seen');
    expect(seen(set('down'), { forwardM: 15 }).state).toBe('outside');
    // The flat fan sees to the sides, but a fish straight below is in its blind disc.
    expect(seen(set('flat'), { forwardM: 18, starboardM: 12, depthM: 3 }).state).toBe('seen');
    expect(seen(set('flat'), { forwardM: 1, depthM: 6 }).state).toBe('outside');
    const flat = seen(set('flat', 20), { forwardM: 16, depthM: 6 });
    expect(flat.state).toBe('seen');
    expect(flat.drawnM).toBeCloseTo(Math.hypot(16, 6), 9);
    expect(flat.trueM).toBe(16);
    expect(usualForward(12)).toEqual({ mode: 'ahead', tiltDeg: 0, rangeM: 15 });
  });

  it('never bring a fish nearer than it is along the slant, and their working holds', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('side-scan' as const, 'down fan' as const, 'forward-facing' as const),
        fc.double({ min: -30, max: 30, noNaN: true }),
        fc.double({ min: -30, max: 30, noNaN: true }),
        fc.double({ min: 1, max: 11.9, noNaN: true }),
        (kind, starboardM, forwardM, depthM) => {
          const it = seen(boat(fan(kind)), { starboardM, forwardM, depthM });
          expect(it.slantM).toBeGreaterThanOrEqual(depthM - 1e-9);
          if (kind === 'side-scan') expect(it.drawnM).toBeLessThanOrEqual(Math.abs(starboardM) + 1e-9);
          expectWorkingHolds(it.working, kind);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('have half the power at their edge, across and along, and next to none behind', () => {
    const shape = beamShape(60, 2);
    expect(fanOffAxisDb(shape, 30, 0)).toBeCloseTo(-3.01, 1);
    expect(fanOffAxisDb(shape, 0, 1)).toBeCloseTo(-3.01, 1);
    expect(fanOffAxisDb(shape, 30, 1)).toBeCloseTo(-6.02, 1);
    expect(fanOffAxisDb(shape, 95, 0)).toBe(-60);
  });

  it('take any depth a plan can be worked at, and any cone', () => {
    for (const depthM of [0.5, 2000])
      for (const kind of ['side-scan', 'down fan', 'forward-facing', 'sector'] as const)
        for (const beamwidthDeg of [0.1, 170])
          expect(() => seen(boat(fan(kind, { beamwidthDeg })), {}, depthM))
            .withContext(`${kind} ${beamwidthDeg} ${depthM}`)
            .not.toThrow();
  });
});
