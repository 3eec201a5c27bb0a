import { emptyPlan, type Boat, type Edit, type Plan } from '@grey-keel/model';

/** One boat of the demo: its plan as it was made, and the edits since, each at its own time. */
export interface DemoBoat {
  readonly id: string;
  readonly start: Plan;
  readonly madeAt: string;
  readonly revisions: readonly { readonly edits: readonly Edit[]; readonly at: string }[];
}

export const knots = (speed: number): number => Math.round(((speed * 1852) / 3600) * 1000) / 1000;
export const day = 86_400_000;

/** A plan with what is known of the boat, and nothing aboard. */
export const boatOf = (changes: Partial<Boat> & { name: string }): Plan => {
  const plan = emptyPlan(changes.name);
  return { ...plan, boat: { ...plan.boat, ...changes } };
};
