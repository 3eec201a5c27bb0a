import type { DepthReference, Plan, WorkingStep } from '@grey-keel/model';
import { deepestLoading, lowestPoint, type LowestPoint } from '../plan/lowest-point.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { depthOffsetOf, measuredOffset } from './depth-offset-subject.ts';
import { heldOffsetM } from './held-offset.ts';

/** The moment the first part of the boat touches, as a display shows it by one transducer. */
export interface Aground {
  readonly lowest: LowestPoint;
  readonly reference: DepthReference;
  /** What the display shows then. The face sinks with the hull, so that it is the same at every loading. */
  readonly shownM: number;
  /** The water there is then, from the surface, at the deepest loading entered. */
  readonly waterM: number;
  readonly loading: { readonly name: string; readonly draughtM: number };
  readonly working: readonly WorkingStep[];
}

/** The depth of water in which the first part touches, as the boat floats when calibrated, m; null without a draught. */
export const groundingDepthM = (plan: Plan): number | null =>
  plan.boat.draughtM === null ? null : plan.boat.draughtM + lowestPoint(plan).belowKeelM;

/** What touching looks like on a display that counts from the waterline or the keel; null while the draught is unknown. */
export const agroundBy = (plan: Plan, reference: DepthReference): Aground | null => {
  const { draughtM } = plan.boat;
  const loading = deepestLoading(plan);
  if (draughtM === null || !loading) return null;
  const lowest = lowestPoint(plan);
  const keelM = reference === 'keel' ? 0 : draughtM;
  const shownM = keelM + lowest.belowKeelM;
  return {
    lowest,
    reference,
    shownM,
    waterM: loading.draughtM + lowest.belowKeelM,
    loading,
    working: [
      ...lowest.working,
      calculated(
        {
          says: `Shown when ${lowest.name} touches`,
          symbol: 'a',
          value: shownM,
          unit: 'm',
          expression: 'T + b',
          source: 'plane geometry; the face sinks and rises with the hull',
        },
        given('T', keelM, 'm', reference === 'keel' ? 'the display counts from the keel' : 'draught as calibrated'),
        given('b', lowest.belowKeelM, 'm', `${lowest.name} below the keel`),
      ),
    ],
  };
};

/**
 * What a display shows by a transducer when the first part of the boat touches, with such an offset in it: one that is
 * rounded to its step, or another than was worked out, shows so much more or less. Null without a draught.
 */
export const agroundWith = (plan: Plan, transducerId: string, offsetM: number): Aground | null => {
  const aground = agroundBy(plan, depthOffsetOf(plan, transducerId).reference);
  const result = measuredOffset.of(plan, transducerId);
  if (!aground || !result?.known || Math.abs(offsetM - result.answer.offsetM) < 1e-6) return aground;
  const step = calculated(
    {
      says: 'Shown then, by the offset in the display',
      symbol: 'ae',
      value: aground.shownM + offsetM - result.answer.offsetM,
      unit: 'm',
      expression: 'a + o - m',
      source: 'sum',
    },
    given('a', aground.shownM, 'm', 'shown with the offset as measured'),
    given('o', offsetM, 'm', 'offset in the display'),
    given('m', result.answer.offsetM, 'm', 'offset measured'),
  );
  return { ...aground, shownM: step.value, working: [...aground.working, step] };
};

/**
 * The same with the offset that is entered; null while the transducer's offset is missing or stale, since then nobody knows
 * what is shown.
 */
export const agroundOf = (plan: Plan, transducerId: string): Aground | null =>
  measuredOffset.standing(plan, transducerId).state === 'fresh'
    ? agroundWith(plan, transducerId, heldOffsetM(plan, transducerId))
    : null;
