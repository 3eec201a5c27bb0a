import * as z from 'zod';
import { planVersion } from './plan.ts';
import { toHeld } from './upgrade-to-held.ts';

/** Brings a plan of one version to the next. Takes and gives plain JSON: the old schema is gone by then. */
export type Upgrade = (plan: Record<string, unknown>) => Record<string, unknown>;

interface OldPropeller {
  readonly kind: unknown;
  readonly forwardM: unknown;
  readonly aboveKeelM: unknown;
  readonly propellerDiameterM: unknown;
}

/** Where propellers were put up to version 11, hub and diameter in metres, by what drives the boat; hubs lay too high. */
const guessedUpTo11: Readonly<Record<string, readonly [forwardM: number, aboveKeelM: number, diameterM: number]>> = {
  'single outboard': [-0.5, -0.05, 0.34],
  'twin outboards': [-0.5, -0.05, 0.36],
  sterndrive: [-0.4, -0.1, 0.38],
  electric: [-0.3, -0.05, 0.28],
};

/** With the plate at keel level the blades' upper sweep is 0.04 m under it. What was moved or measured stays. */
const lowered = ({ boat, equipment }: Record<string, unknown>): Record<string, OldPropeller> => {
  const pieces = equipment as Record<string, OldPropeller>;
  const [forwardM, aboveKeelM, diameterM = 0] = guessedUpTo11[(boat as { propulsion: string }).propulsion] ?? [];
  return Object.fromEntries(
    Object.entries(pieces).map(([id, piece]) => [
      id,
      piece.kind === 'propeller' &&
      piece.forwardM === forwardM &&
      piece.aboveKeelM === aboveKeelM &&
      piece.propellerDiameterM === diameterM
        ? { ...piece, aboveKeelM: -Math.round(100 * (diameterM / 2 + 0.04)) / 100 }
        : piece,
    ]),
  );
};

/** By the version they start from. */
export const upgrades: Readonly<Record<number, Upgrade>> = {
  1: (plan) => ({ ...plan, displays: {}, pages: {}, keys: {} }),
  2: (plan) => ({
    ...plan,
    advice: { school: 'by the brief', weights: {} },
    scene: { slopeDeg: 0, thermocline: null, windMps: 4, rollDeg: 0 },
    fish: {},
  }),
  3: (plan) => ({
    ...plan,
    equipment: {},
    power: { batteries: {}, circuits: {}, hours: {} },
    network: { links: {}, devices: {}, backbone: { lengthM: null, terminators: 2, supplies: 1, supplyA: 3 } },
    sources: {},
    feeds: {},
    units: {},
  }),
  // New fields only, all of which may be left out.
  4: (plan) => plan,
  // Loadings; the rest are fields that may be left out.
  5: (plan) => ({ ...plan, loadings: {} }),
  // The course may stand on a page.
  6: (plan) => plan,
  7: (plan) => ({ ...plan, calibrations: { speed: {}, temperature: {}, heading: {}, deviation: {} } }),
  8: (plan) => ({
    ...plan,
    calibrations: {
      ...(plan['calibrations'] as object),
      'sound speed': {},
      step: {},
      sides: {},
      pointing: {},
      range: {},
      tilt: {},
      antenna: {},
      battery: {},
      noise: {},
    },
  }),
  // What is assumed, and whose the boat is: fields that may be left out.
  9: (plan) => plan,
  // A species may stand over several grounds.
  10: (plan) => ({
    ...plan,
    sought: Object.fromEntries(
      Object.entries(plan['sought'] as Record<string, { readonly over: unknown }>).map(([id, one]) => [
        id,
        { ...one, over: [one.over] },
      ]),
    ),
  }),
  // Fields that may be left out; propellers that stand where they were guessed too high are lowered to the better guess.
  11: (plan) => ({ ...plan, equipment: lowered(plan) }),
  // What devices hold, in one register.
  12: toHeld,
};

export class UnreadablePlan extends Error {
  override readonly name = 'UnreadablePlan';
}

const headSchema = z.looseObject({
  format: z.literal('grey-keel-plan'),
  version: z.number().int().min(1),
});

/**
 * Brings any earlier plan up to `target`, one version at a time.
 * Throws UnreadablePlan for what is no plan, for a newer version and where a step is missing.
 */
export const upgradePlan = (
  raw: unknown,
  steps: Readonly<Record<number, Upgrade>> = upgrades,
  target: number = planVersion,
): unknown => {
  const head = headSchema.safeParse(raw);
  if (!head.success) throw new UnreadablePlan('This is no boat plan: "format" or "version" is missing or wrong.');
  let plan: Record<string, unknown> = head.data;
  let version = head.data.version;
  if (version > target)
    throw new UnreadablePlan(
      `The plan is of version ${version}; this program reads up to version ${target}. Open it with a newer Grey Keel.`,
    );
  while (version < target) {
    const step = steps[version];
    if (!step) throw new UnreadablePlan(`There is no upgrade from plan version ${version}.`);
    version += 1;
    plan = { ...step(plan), version };
  }
  return plan;
};
