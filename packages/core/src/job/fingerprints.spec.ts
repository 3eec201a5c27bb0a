import type { Plan } from '@grey-keel/model';
import fc from 'fast-check';
import { cardFingerprint, cardOf, printedCard } from '../handover/card.ts';
import { aPlan, edited, withEntered } from '../testing/sample-plan.ts';
import { lengthUnits, toDisplay, toSi } from '../units/display-units.ts';
import { fingerprint, quantised } from '../plan/fingerprint.ts';
import { measuredOffset } from '../calibration/depth-offset-subject.ts';

type Leaf = (string | number)[];

const leavesOf = (data: unknown, path: Leaf = []): Leaf[] =>
  typeof data === 'object' && data !== null
    ? Object.entries(data).flatMap(([key, value]) =>
        leavesOf(value, [...path, Array.isArray(data) ? Number(key) : key]),
      )
    : [path];

const withLeaf = (plan: Plan, path: Leaf, change: (value: unknown) => unknown): Plan => {
  const copy = JSON.parse(JSON.stringify(plan)) as Plan;
  const parent = path
    .slice(0, -1)
    .reduce<Record<string | number, unknown>>((at, key) => at[key] as never, copy as never);
  const last = path[path.length - 1] ?? '';
  parent[last] = change(parent[last]);
  return copy;
};

const other =
  (factor: number) =>
  (value: unknown): unknown =>
    typeof value === 'number' ? value * factor + 0.001 : typeof value === 'boolean' ? !value : value;

const resultOf = (plan: Plan): string => {
  const result = measuredOffset.of(plan, 'a-wide');
  return result?.known
    ? JSON.stringify([result.answer.offsetM, result.answer.standardErrorM, result.answer.flagged])
    : 'unknown';
};
const fingerprintOf = (plan: Plan): string => {
  const inputs = measuredOffset.slice(plan, 'a-wide');
  return inputs ? measuredOffset.fingerprint(inputs) : '';
};

describe('fingerprints', () => {
  it('change whenever the result changes, whatever leaf of the plan is changed', () => {
    const plan = aPlan();
    const leaves = leavesOf(plan);
    expect(leaves.length).toBeGreaterThan(60);
    fc.assert(
      fc.property(fc.constantFrom(...leaves), fc.double({ min: 0.9, max: 1.1, noNaN: true }), (leaf, factor) => {
        const changed = withLeaf(plan, leaf, other(factor));
        if (resultOf(changed) !== resultOf(plan)) expect(fingerprintOf(changed)).not.toBe(fingerprintOf(plan));
        const [card, otherCard] = [cardOf(plan), cardOf(changed)];
        if (JSON.stringify(quantised(figuresOf(card))) !== JSON.stringify(quantised(figuresOf(otherCard))))
          expect(cardFingerprint(otherCard)).not.toBe(cardFingerprint(card));
      }),
      { numRuns: 400 },
    );
  });

  it('stay the same from metres to feet and back', () => {
    fc.assert(
      fc.property(fc.double({ min: -100, max: 100, noNaN: true }), (metres) => {
        const andBack = toSi(toDisplay(metres, lengthUnits.ft), lengthUnits.ft);
        expect(fingerprint({ metres: andBack + 0 }, 1)).toBe(fingerprint({ metres }, 1));
      }),
    );
  });

  it('do not hang on the order of keys, and do hang on the version', () => {
    expect(fingerprint({ a: 1, b: [2, null] }, 1)).toBe(fingerprint({ b: [2, null], a: 1 }, 1));
    expect(fingerprint({ a: 1 }, 1)).not.toBe(fingerprint({ a: 1 }, 2));
  });
});

const figuresOf = (card: ReturnType<typeof cardOf>): unknown => [
  card.depthM,
  card.water?.soundSpeedMps,
  card.ring?.nearestM,
  card.ring?.farthestM,
  card.transducers.map(({ footprintM, coneDeg, offset }) => [
    footprintM,
    coneDeg,
    offset?.offsetM,
    offset?.aground?.shownM,
  ]),
  card.stations.map(({ alarms }) => alarms),
];

describe('what was entered', () => {
  it('is missing, then fresh, then stale with what changed, and fresh again when it is put back', () => {
    const plan = aPlan();
    expect(measuredOffset.standing(plan, 'a-wide').state).toBe('missing');
    const entered = withEntered(plan, 'a-wide');
    expect(measuredOffset.standing(entered, 'a-wide')).toEqual({ state: 'fresh', changed: [] });
    const moved = edited(entered, { type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.18 } });
    expect(measuredOffset.standing(moved, 'a-wide')).toEqual({
      state: 'stale',
      changed: ['the transducer or its place'],
    });
    const warmer = edited(moved, { type: 'describeWater', id: 'pool', changes: { temperatureC: 15 } });
    expect(measuredOffset.standing(warmer, 'a-wide').changed).toEqual(['the water', 'the transducer or its place']);
    const back = edited(moved, { type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.1 } });
    expect(measuredOffset.standing(back, 'a-wide').state).toBe('fresh');
  });

  it('is not made stale by what it does not depend on', () => {
    const entered = withEntered(aPlan(), 'a-wide');
    const renamed = edited(
      entered,
      { type: 'describeBoat', changes: { name: 'New Name', topSpeedMps: 3 } },
      { type: 'describeStation', id: 'helm', changes: { posture: 'seated' } },
      { type: 'describeDepthOffset', transducerId: 'a-wide', changes: { toleranceM: 0.3 } },
    );
    expect(measuredOffset.standing(renamed, 'a-wide').state).toBe('fresh');
  });

  it('says what is wanting for a result', () => {
    const wanting = (plan: Plan): string => {
      const result = measuredOffset.of(plan, 'a-wide');
      return result && !result.known ? result.wanting : '';
    };
    expect(wanting({ ...aPlan(), depthOffsets: {} })).toContain('reading');
    expect(wanting(edited(aPlan(), { type: 'removeWater', id: 'pool' }))).toContain('water');
    const toKeel = edited(
      aPlan(),
      { type: 'describeDepthOffset', transducerId: 'a-wide', changes: { reference: 'keel' } },
      { type: 'describeBoat', changes: { draughtM: null } },
    );
    expect(wanting(toKeel)).toContain('draught');
    expect(measuredOffset.slice(aPlan(), 'nowhere')).toBeNull();
  });

  it('makes a printed card stale when a figure on it changes, and only then', () => {
    const plan = withEntered(aPlan(), 'a-wide');
    expect(printedCard.standing(plan, 'card').state).toBe('missing');
    const printed = edited(plan, {
      type: 'printCard',
      id: 'k1',
      card: { at: '2026-05-01T10:00:00Z', fingerprint: cardFingerprint(cardOf(plan)) },
    });
    expect(printedCard.standing(printed, 'card').state).toBe('fresh');
    expect(printedCard.standing(edited(printed, { type: 'workAtDepth', depthM: 20 }), 'card').state).toBe('stale');
    expect(
      printedCard.standing(edited(printed, { type: 'describeBoat', changes: { topSpeedMps: 2 } }), 'card').state,
    ).toBe('fresh');
  });
});
