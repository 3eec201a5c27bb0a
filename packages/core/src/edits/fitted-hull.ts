import type { Plan } from '@grey-keel/model';

export const hullOf = ({ lengthM, beamM, draughtM, hullForm }: Plan['boat']): NonNullable<Plan['fittedHull']> => ({
  lengthM,
  beamM,
  draughtM,
  hullForm,
});

/** The first thing that is put on a hull is put on the hull as it is. */
export const putOnHull = (plan: Plan): void => {
  plan.fittedHull ??= hullOf(plan.boat);
};
