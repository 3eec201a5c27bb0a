import { emptyPlan, hullForms } from '@grey-keel/model';
import { answerOf } from '../calculation/calculation.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { aPlan, aTransducer, edited } from '../testing/sample-plan.ts';
import { footprint } from './footprint.ts';
import { checkSheet, halfPowerCone } from './half-power-cone.ts';
import { sectionAt } from './section.ts';
import { silhouetteOf } from './silhouette.ts';

describe('sectionAt', () => {
  it('draws each cone from its face to the bottom, as wide as its footprint', () => {
    const section = sectionAt(aPlan(), 32);
    const [wide] = section.beams;
    expect(wide?.faceM).toBeCloseTo(0.4, 9);
    const [apex, right, left] = wide?.astern[0] ?? [];
    expect(apex).toEqual({ x: -0.8, y: wide?.faceM! });
    expect(right?.y).toBe(32);
    const width = answerOf(footprint, { beamwidthDeg: 24, depthM: 31.6 }).widthAcrossM;
    expect((right?.x ?? 0) - (left?.x ?? 0)).toBeCloseTo(width, 9);
    expect((wide?.onBottom?.acrossM ?? 0) * 2).toBeCloseTo(width, 9);
  });

  it('draws a cone quoted at -10 dB as what it is at -3 dB', () => {
    const quoted = edited(aPlan(), {
      type: 'describeTransducer',
      id: 'a-wide',
      changes: { beams: [{ frequencyHz: 190_000, bandwidthHz: null, beamwidthDeg: 28, levelDb: -10, alongDeg: null }] },
    });
    expect(sectionAt(quoted, 32).beams[0]?.cone.acrossDeg).toBeCloseTo(16.4, 1);
  });

  it('works each footprint out from the cone as quoted to the width on the bottom', () => {
    const plan = edited(aPlan(), {
      type: 'describeTransducer',
      id: 'a-wide',
      changes: { beams: [{ frequencyHz: 190_000, bandwidthHz: null, beamwidthDeg: 28, levelDb: -10, alongDeg: null }] },
    });
    const foot = sectionAt(plan, 32).beams[0]?.footprint;
    expectWorkingHolds(foot?.working ?? [], 'footprint');
    expect(foot?.working[0]?.inputs[0]?.value).toBe(-10);
    expect(foot?.working.at(-1)?.value).toBe(foot?.widthAcrossM);
    expectWorkingHolds(foot?.ruleWorking ?? [], 'usual rule');
    expect(foot?.ruleWorking.at(-1)?.value).toBe(foot?.ruleShortfall);
    // tan x = x + x^3 / 3 + ...: at half of 16.4 degrees the rule falls short by about x^2 / 3.
    expect(foot?.ruleShortfall).toBeCloseTo(((8.2 * Math.PI) / 180) ** 2 / 3, 3);
  });

  it('takes the widest and the narrowest sounder for the ring, and none for one alone or for two alike', () => {
    const plan = aPlan();
    expect(sectionAt(plan, 32).ring).toEqual(jasmine.objectContaining({ wideId: 'a-wide', narrowId: 'b-narrow' }));
    expect(sectionAt(edited(plan, { type: 'removeTransducer', id: 'b-narrow' }), 32).ring).toBeNull();
    const alike = edited(plan, { type: 'describeTransducer', id: 'b-narrow', changes: { beams: aTransducer().beams } });
    expect(sectionAt(alike, 32).ring).toBeNull();
  });

  it('draws a planing bottom with the deadrise that was measured', () => {
    const boat = { ...aPlan().boat, hullForm: 'planing monohull' as const, beamM: 2, draughtM: 0.4, deadriseDeg: 20 };
    const [, chine, keel] = silhouetteOf(boat).astern[0] ?? [];
    expect((Math.atan2((chine?.y ?? 0) - (keel?.y ?? 0), Math.abs(chine?.x ?? 1)) * 180) / Math.PI).toBeCloseTo(20, 9);
    expect(keel?.y).toBe(-0.4);
  });

  it('keeps fans in their own views: side-scan to both sides, forward-facing ahead, a down fan thin along', () => {
    const fan = (kind: 'side-scan' | 'forward-facing' | 'down fan') =>
      sectionAt(
        edited(aPlan(), {
          type: 'describeTransducer',
          id: 'a-wide',
          changes: {
            kind,
            beams: [{ frequencyHz: 430_000, bandwidthHz: null, beamwidthDeg: 50, levelDb: -3, alongDeg: 1 }],
          },
        }),
        20,
      ).beams[0];
    const sides = fan('side-scan');
    expect(sides?.astern.length).toBe(2);
    expect(sides?.onBottom).toBeNull();
    const xs = (sides?.astern ?? []).map((points) => points.map(({ x }) => x + 0.8));
    expect(Math.min(...(xs[0] ?? []))).toBeGreaterThanOrEqual(-1e-9);
    expect(Math.max(...(xs[1] ?? []))).toBeLessThanOrEqual(1e-9);
    const ahead = fan('forward-facing');
    expect(ahead?.astern).toEqual([]);
    expect(Math.min(...(ahead?.side[0] ?? []).map(({ x }) => x))).toBeGreaterThanOrEqual(2 - 1e-9);
    const down = fan('down fan');
    expect((down?.onBottom?.acrossM ?? 0) / (down?.onBottom?.alongM ?? 1)).toBeGreaterThan(50);
    for (const beam of [sides, ahead, down])
      for (const points of [...(beam?.astern ?? []), ...(beam?.side ?? [])])
        for (const { y } of points) expect(y).toBeLessThanOrEqual(20 + 1e-9);
  });

  it('stays drawable in water shallower than the face and for a boat of which nothing is known', () => {
    expect(sectionAt(aPlan(), 0.5).beams[0]?.belowFaceM).toBeGreaterThan(0);
    const bare = sectionAt({ ...emptyPlan('Bare'), transducers: { a: aTransducer() } }, 10);
    expect(bare.beams[0]?.faceM).toBe(0);
    expect(bare.halfWidthM).toBeGreaterThan(0);
  });
});

describe('halfPowerCone', () => {
  const beam = { frequencyHz: 190_000, bandwidthHz: null, beamwidthDeg: 24, levelDb: -3, alongDeg: null };
  it('leaves a cone quoted at -3 dB as it is and narrows a fan quoted lower', () => {
    expect(halfPowerCone(beam)).toEqual({ acrossDeg: 24, alongDeg: 24, working: [] });
    const fan = halfPowerCone({ ...beam, alongDeg: 2, levelDb: -10 });
    // sinc: the -10 dB argument is 2.319, the -3 dB one 1.390 (tables of sin x / x).
    expect(fan.alongDeg).toBeCloseTo((2 * 1.39) / 2.319, 2);
    expect(fan.acrossDeg).toBeLessThan(24);
    expectWorkingHolds(fan.working, 'fan');
    expect(fan.working.map(({ value }) => value)).toEqual([fan.alongDeg, fan.acrossDeg]);
  });
});

describe('checkSheet', () => {
  const element = aTransducer({ apertureM: 0.0513 });
  const beam = { frequencyHz: 210_000, bandwidthHz: null, beamwidthDeg: 9.25, levelDb: -3, alongDeg: null };
  it('names the level at which sheet and face agree', () => {
    expect(checkSheet(element, beam, 1500)?.departureAsQuoted).toBeGreaterThan(0.1);
    const wide = checkSheet(element, { ...beam, beamwidthDeg: 14.0 }, 1500);
    expect(wide?.likelyLevelDb).toBe(-10);
    expect(wide?.departure).toBeLessThan(0.06);
  });
  it('has nothing to say where face or disc is wanting', () => {
    expect(checkSheet({ ...element, apertureM: null }, beam, 1500)).toBeNull();
    expect(checkSheet({ ...element, constantBeamwidth: true }, beam, 1500)).toBeNull();
    expect(checkSheet(element, { ...beam, alongDeg: 1 }, 1500)).toBeNull();
    expect(checkSheet({ ...element, apertureM: 0.002 }, beam, 1500)).toBeNull();
  });
});

describe('silhouetteOf', () => {
  it('floats each hull form at its draught and as long and as broad as it is', () => {
    for (const hullForm of hullForms) {
      const { astern, side, plan } = silhouetteOf({ ...aPlan().boat, hullForm });
      const ys = astern.flat().map(({ y }) => y);
      expect(Math.min(...ys))
        .withContext(hullForm)
        .toBeCloseTo(-0.5, 9);
      const xs = astern.flat().map(({ x }) => x);
      expect(Math.max(...xs) - Math.min(...xs))
        .withContext(hullForm)
        .toBeCloseTo(2.5, 9);
      expect(Math.max(...side.flat().map(({ x }) => x))).toBeCloseTo(7.4, 9);
      expect(Math.max(...plan.map(({ y }) => y))).toBeCloseTo(7.4, 9);
    }
  });
});
