import type { Boat, Criterion, Plan, Way } from '@grey-keel/model';
import { bottomsOf, type BottomType } from '../acoustics/backscatter.ts';
import { electricalFloorOf } from '../acoustics/electrical-floor.ts';
import { remembered } from '../plan/remembered.ts';
import { inOrder, soundSpeedDownTo, workingWater } from '../plan/working-water.ts';
import { deepestWaterM } from './beam-range-said.ts';
import type { Conditions } from './beam-range.ts';

/** What the brief asks of a transducer, in numbers. */
export interface Requirements {
  readonly conditions: Conditions;
  /** The fish that is hardest to see. */
  readonly lengthCm: number;
  /** Where it stands at the deepest. */
  readonly deepestM: number;
  readonly workingM: number;
  /** The deepest the boat's water is. */
  readonly waterM: number;
  /** Of all grounds of the target species: the bottom that is lost first, and the one that hides and answers most. */
  readonly softest: BottomType;
  readonly hardest: BottomType;
  readonly slopeDeg: number;
  readonly cruiseMps: number;
  readonly topMps: number;
  /** 0 where it is only fished straight below, 1 where it is only searched. */
  readonly searches: number;
  readonly hullMaterial: Boat['hullMaterial'];
  readonly lengthM: number | null;
  /** Without a deck over the bilge: flat-bottomed, or a small planing hull. */
  readonly open: boolean;
  /** Whether an engine charges what the sonar takes. */
  readonly charged: boolean;
  /** Whether the brief runs on plane and so wants the bottom there. */
  readonly runs: boolean;
}

const searchWays: readonly Way[] = ['searching', 'trolling', 'approaching', 'casting'];
const belowWays: readonly Way[] = ['on the spot', 'anchored', 'drifting'];

const usualFishCm = 30;
const usualSlopeDeg = 5;

/** Reads the brief: null while the water is not described. */
export const requirementsOf = (plan: Plan): Requirements | null => read(plan, '');

const read = remembered((plan): Requirements | null => {
  const water = workingWater(plan);
  if (!water) return null;
  const workingM = plan.working.depthM;
  const sought = inOrder(plan.sought).map(([, one]) => one);
  const lengths = sought.flatMap(({ lengthCm }) => (lengthCm === null ? [] : [lengthCm]));
  const depths = sought.flatMap(({ deepestM }) => (deepestM === null ? [] : [deepestM]));
  const used = (ways: readonly Way[]): number => ways.filter((way) => plan.ways[way]).length;
  const [search, below] = [used(searchWays), used(belowWays)];
  const topMps = plan.boat.topSpeedMps ?? 0;
  return {
    conditions: {
      water,
      soundSpeedMps: soundSpeedDownTo(water, workingM).soundSpeedMps,
      depthM: Math.max(workingM, ...depths),
      windMps: plan.scene.windMps,
      boatSpeedMps: 2,
      electricalFloorDb: electricalFloorOf(plan).in1kHzDb,
      ownNoiseByDb: plan.boat.ownNoiseByDb ?? 0,
    },
    lengthCm: Math.min(...(lengths.length ? lengths : [usualFishCm])),
    deepestM: Math.max(workingM, ...depths),
    workingM,
    waterM: deepestWaterM(plan),
    ...bottomsOf(sought.flatMap(({ over }) => over)),
    slopeDeg: Math.abs(plan.scene.slopeDeg) || usualSlopeDeg,
    cruiseMps: plan.boat.cruiseSpeedMps ?? topMps / 2,
    topMps,
    searches: search + below === 0 ? 0.5 : search / (search + below),
    hullMaterial: plan.boat.hullMaterial,
    lengthM: plan.boat.lengthM,
    open:
      plan.boat.hullForm === 'flat-bottomed' ||
      plan.boat.hullForm === 'planing monohull' ||
      plan.boat.propulsion === 'oars',
    charged: plan.boat.propulsion !== 'oars' && plan.boat.propulsion !== 'electric',
    runs: plan.ways.running === true && topMps > 7,
  };
});

export type Weights = Readonly<Record<Criterion, number>>;

const wide: Weights = {
  reach: 6,
  footprint: 9,
  'bottom detail': 2,
  separation: 3,
  'dead zone': 1,
  'blanking zone': 2,
  speed: 3,
  fitting: 4,
  power: 1,
};
const narrow: Weights = {
  reach: 6,
  footprint: 1,
  'bottom detail': 8,
  separation: 4,
  'dead zone': 7,
  'blanking zone': 3,
  speed: 3,
  fitting: 4,
  power: 1,
};

/** How much more or less than usual a criterion counts for this brief. */
const urgency = (criterion: Criterion, requirements: Requirements): number => {
  const { runs, deepestM, workingM, hullMaterial, charged } = requirements;
  if (criterion === 'speed') return runs ? 1.7 : 0.3;
  if (criterion === 'reach') return deepestM > 100 ? 1.5 : 1;
  // In shallow water the blind metre is a good part of it; a battery that nothing charges has to last.
  if (criterion === 'blanking zone') return Math.min(3, Math.max(0.5, 10 / workingM));
  if (criterion === 'power') return charged ? 1 : 4;
  // A hole through a cored hull is a yard's work.
  if (criterion === 'fitting') return hullMaterial === 'cored composite' ? 2 : 1;
  return 1;
};

/** The weights a boat's transducers are ranked by: the school's, between the two by the brief, and what was moved by hand. */
export const weightsOf = (plan: Plan, requirements: Requirements, school = plan.advice.school): Weights => {
  const share = school === 'wide first' ? 1 : school === 'narrow first' ? 0 : requirements.searches;
  const names = Object.keys(wide) as Criterion[];
  const weights = Object.fromEntries(
    names.map((name) => {
      const between = narrow[name] + share * (wide[name] - narrow[name]);
      return [
        name,
        plan.advice.weights[name] ?? Math.round(10 * Math.min(10, between * urgency(name, requirements))) / 10,
      ];
    }),
  );
  return weights as Record<Criterion, number>;
};
