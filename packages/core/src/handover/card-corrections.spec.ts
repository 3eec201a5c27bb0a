import type { Edit, NotedKind, Plan } from '@grey-keel/model';
import fc from 'fast-check';
import { compassToSteer, deviationCard } from '../calibration/deviation-calibration.ts';
import { aPlan, edited } from '../testing/sample-plan.ts';
import { cardCorrections, correctionInWords } from './card-corrections.ts';
import { cardFingerprint, cardOf, printedCard } from './card.ts';

const at = '2026-05-01T10:00:00Z';
const notes = (of: NotedKind, sensorId: string, ...values: number[]): Edit => ({
  type: 'noteCalibration',
  of,
  sensorId,
  entered: { values, halfInterval95: null, at, by: 'Installer', fingerprint: 'a'.repeat(64), inputs: {} },
});
const said = (plan: Plan): string =>
  (cardCorrections(plan)?.lines ?? [])
    .map((line) =>
      correctionInWords(line)
        .map((part) => (typeof part === 'string' ? part : `${part.value.toFixed(1)} ${part.quantity}`))
        .join(''),
    )
    .join(' ');

const apartDeg = (a: number, b: number): number => Math.abs(((((a - b) % 360) + 540) % 360) - 180);

describe('what to steer by a compass', () => {
  it('makes the magnetic course with its own deviation, whatever the curve', () => {
    const term = fc.double({ min: -12, max: 12, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(term, term, term, term, term), fc.integer({ min: 0, max: 359 }), (curve, magneticDeg) => {
        const compassDeg = compassToSteer(curve, magneticDeg);
        const [a, b, c, d, e] = curve;
        const [sin, cos] = [Math.sin, Math.cos].map(
          (of) => (times: number) => of((times * compassDeg * Math.PI) / 180),
        );
        const madeDeg = compassDeg + a + b * sin!(1) + c * cos!(1) + d * sin!(2) + e * cos!(2);
        expect(apartDeg(madeDeg, magneticDeg)).toBeLessThan(1e-6);
        expect(compassDeg).toBeGreaterThanOrEqual(0);
        expect(compassDeg).toBeLessThan(360);
      }),
    );
  });

  it('is the course itself where the compass is right, and less by an offset that is added to it', () => {
    for (const magneticDeg of [0, 15, 345]) {
      expect(apartDeg(compassToSteer([0, 0, 0, 0, 0], magneticDeg), magneticDeg)).toBeLessThan(1e-6);
      expect(apartDeg(compassToSteer([5], magneticDeg), magneticDeg - 5)).toBeLessThan(1e-6);
    }
    expect(deviationCard([0, 10]).map(({ deviationDeg }) => Math.round(deviationDeg))).toContain(10);
  });
});

describe('what a card says to correct by hand', () => {
  const wide = aPlan().transducers['a-wide']!;
  const plan: Plan = {
    ...aPlan(),
    transducers: { pole: { ...wide, kind: 'forward-facing', mounting: 'pole' } },
    equipment: {
      compass: {
        name: 'Compass',
        kind: 'heading sensor',
        forwardM: 3,
        starboardM: 0,
        aboveKeelM: 1,
        propellerDiameterM: null,
      },
    },
  };

  it('is nothing while nothing of it is entered: the card is the one it was', () => {
    expect(cardCorrections(plan)).toBeNull();
    expect('corrections' in cardOf(plan)).toBeFalse();
  });

  it('is the scale of ranges, the tilt with where the view changes, and a table of 24 courses', () => {
    const with3 = edited(
      plan,
      notes('range', 'pole', 1.05),
      notes('tilt', 'pole', -3),
      notes('deviation', 'compass', 0, 8),
    );
    expect(said(with3)).toContain('as 20.0 length is 21.0 length off over the ground');
    expect(said(with3)).toContain('it hangs 3.0 angle bow down from the plumb.');
    const changes = { changesAtDeg: 12 };
    const told = edited(with3, { type: 'describeCalibration', of: 'tilt', sensorId: 'pole', changes });
    expect(said(told)).toContain('; its view changes by itself at 12.0 angle bow up.');
    const courses = cardCorrections(with3)?.deviations[0]?.courses ?? [];
    expect(courses.map(({ magneticDeg }) => magneticDeg)).toEqual(Array.from({ length: 24 }, (_, i) => 15 * i));
    // Eight degrees of deviation to the east at 90: that much less is steered, and as much more at 270.
    expect(courses[6]).toEqual({ magneticDeg: 90, compassDeg: 82 });
    expect(courses[18]).toEqual({ magneticDeg: 270, compassDeg: 278 });
  });

  it('makes a printed card stale, by name, and says where it has itself gone stale', () => {
    for (const [kind, id] of [
      ['range', 'pole'],
      ['tilt', 'pole'],
      ['deviation', 'compass'],
    ] as const) {
      const printed = edited(plan, {
        type: 'printCard',
        id: 'card',
        card: { at, fingerprint: cardFingerprint(cardOf(plan)) },
      });
      expect(printedCard.standing(printed, 'card').state).toBe('fresh');
      const now = edited(printed, notes(kind, id, 1.1, 2));
      expect(printedCard.standing(now, 'card').state).withContext(kind).toBe('stale');
      const { lines = [], deviations = [] } = cardCorrections(now) ?? {};
      // Nothing was measured that its fingerprint could be of.
      expect([...lines, ...deviations].map(({ state }) => state))
        .withContext(kind)
        .toEqual(['stale']);
    }
  });
});
