import { emptyPlan, type NewBoat, type Plan } from '@grey-keel/model';
import { usualBoats } from './boat-templates.ts';

/**
 * The plan a new boat starts with: its name and hull form alone, or what is usual on a kind of boat, each value of that
 * marked as assumed until somebody confirms or changes it.
 */
export const newPlan = ({ name, hullForm, template }: NewBoat): Plan => {
  const plan = emptyPlan(name);
  if (template === undefined) return hullForm ? { ...plan, boat: { ...plan.boat, hullForm } } : plan;
  const usual = usualBoats[template];
  const places = [
    ...Object.keys(usual.boat).map((field) => `boat/${field}`),
    ...Object.keys(usual.stations).map((id) => `stations/${id}`),
    'ways',
  ];
  return {
    ...plan,
    boat: { ...plan.boat, ...usual.kind, ...usual.boat },
    stations: { ...usual.stations },
    ways: Object.fromEntries(usual.ways.map((way) => [way, true as const])),
    assumed: Object.fromEntries(places.map((place) => [place, true as const])),
  };
};
