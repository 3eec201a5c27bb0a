import type { Plan } from '@grey-keel/model';
import { fittedStations, type FittedStation } from '../plan/fitted-stations.ts';
import type { Found } from './rule.ts';

/** A rule that looks at one station with its display at a time. */
export const eachFitted =
  (find: (fitted: FittedStation) => Found[]) =>
  (plan: Plan): Found[] =>
    fittedStations(plan).flatMap(find);
