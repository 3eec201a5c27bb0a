import { planSchema, schemaAt } from '@grey-keel/model';
import * as z from 'zod';
import { bring } from '../../e2e/support/bring.ts';

/** The id of a boat all of whose things have names as long as they may be. */
export const longNamed = 'long-names';

const filling = ' with a name that goes on as far as it may, the way it is written on the maker’s plate';

const longest = (path: readonly string[]): number => {
  const schema = schemaAt(planSchema, path);
  return schema instanceof z.ZodString ? (schema.maxLength ?? 0) : 0;
};

const lengthened = (value: unknown, path: readonly string[] = []): unknown => {
  if (typeof value === 'string' && path.at(-1) === 'name') return (value + filling).slice(0, longest(path)).trim();
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, lengthened(inner, [...path, key])]));
};

/** What stands in the brief, each marked as assumed: a boat that was started from its kind is looked at, too. */
const assumedIn = ({ stations }: { readonly stations: object }): Record<string, true> =>
  Object.fromEntries(
    [
      ...['lengthM', 'beamM', 'hullMaterial', 'cruiseSpeedMps', 'bowMotor'].map((name) => `boat/${name}`),
      ...Object.keys(stations).map((id) => `stations/${id}`),
      'ways',
    ].map((place) => [place, true]),
  );

/** Adds a copy of a boat whose names are as long as the schema lets them be. */
export const addLongNamed = async (address: string, from = 'sable-wren'): Promise<void> => {
  const bundle = (await (await fetch(`${address}/api/boats/${from}/bundle`)).json()) as { plan: { stations: object } };
  // A practice copy besides, so that its mark is looked at in every light, too.
  await bring(address, longNamed, {
    ...(lengthened(bundle.plan) as object),
    assumed: assumedIn(bundle.plan),
    practice: true,
  });
};
