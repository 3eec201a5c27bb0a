import type { Element, Mounting, Plan, Transducer } from '@grey-keel/model';
import { usefulWays } from '../beams/useful-ways.ts';
import { usualSideM } from './usual-side.ts';

/** Where a transducer of a mounting usually sits, as a share of the boat's length; measured aboard and corrected later. */
const usualPlace: Readonly<Record<Mounting, { readonly along: number; readonly aboveKeelM: number }>> = {
  'through-hull': { along: 0.35, aboveKeelM: 0.05 },
  'shoot-through-hull': { along: 0.2, aboveKeelM: 0.08 },
  transom: { along: 0, aboveKeelM: 0.1 },
  'bow motor': { along: 0.97, aboveKeelM: 0 },
  pole: { along: 0.9, aboveKeelM: 0 },
};

/** A transducer as it usually goes on a boat: where its mounting sits, clear of its like, sending in the ways it is of use. */
export const asUsuallyPlaced = (
  plan: Plan,
  element: Element,
  mounting: Mounting,
  catalogue: Transducer['catalogue'],
): Transducer => {
  const { along, aboveKeelM } = usualPlace[mounting];
  const already = Object.values(plan.transducers).filter((one) => one.mounting === mounting).length;
  return {
    ...element,
    catalogue,
    mounting,
    forwardM: Math.round((plan.boat.lengthM ?? 6) * along * 100) / 100,
    starboardM: usualSideM(plan, mounting, already),
    aboveKeelM,
    workingBeam: 0,
    transmitsIn: usefulWays(plan, { kind: element.kind, mounting }),
  };
};
