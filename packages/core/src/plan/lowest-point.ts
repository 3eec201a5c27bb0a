import { waysOfWorking, type Plan, type Transducer, type Way, type WaySet, type WorkingStep } from '@grey-keel/model';
import { inOrder } from './working-water.ts';
import { type Skeg, skegOf } from './skeg.ts';
import { waysAfloat } from './way-speeds.ts';
import { given, calculated } from '../calculation/working-step.ts';

/** What is raised out of the water when running and on the trailer, where nothing else was said. */
const raisedWhenRunning = (way: Way): boolean => way !== 'running' && way !== 'trailer';
const always = (way: Way): boolean => way !== 'trailer';

/** Whether something hangs in the water in a way of working: as was said of it, or as such things usually are. */
const isLowered = (loweredIn: WaySet | undefined, usually: (way: Way) => boolean, way: Way): boolean =>
  loweredIn ? loweredIn[way] === true : usually(way);

/** Whether a transducer is down in the water in a way of working: what hangs on a motor or a pole is lifted to run. */
export const transducerLowered = (
  { mounting, loweredIn }: Pick<Transducer, 'mounting' | 'loweredIn'>,
  way: Way,
): boolean => isLowered(loweredIn, mounting === 'bow motor' || mounting === 'pole' ? raisedWhenRunning : always, way);

interface Hanging {
  readonly id: string;
  readonly name: string;
  readonly belowKeelM: number;
  readonly assumed: boolean;
  readonly lowered: (way: Way) => boolean;
  readonly step: WorkingStep;
}

const geometry = 'plane geometry';

const reaches = (name: string, aboveKeelM: number, diameterM: number): WorkingStep =>
  calculated(
    {
      says: `${name} below the keel`,
      symbol: 'b',
      value: diameterM / 2 - aboveKeelM,
      unit: 'm',
      expression: 'D / 2 - z',
      source: geometry,
    },
    given('D', diameterM, 'm', diameterM > 0 ? 'diameter of its propeller' : 'it has no propeller'),
    given('z', aboveKeelM, 'm', 'its place above the keel’s lowest point'),
  );

/** The skeg of an engine's leg reaches below its blades, and strikes first. */
const skegReaches = (name: string, blades: WorkingStep, { belowBladesM, assumed }: Skeg): WorkingStep =>
  calculated(
    {
      says: `${name} below the keel`,
      symbol: 'b',
      value: blades.value + belowBladesM,
      unit: 'm',
      expression: 'b0 + s',
      source: geometry,
    },
    given('b0', blades.value, 'm', 'its blades below the keel'),
    given(
      's',
      belowBladesM,
      'm',
      assumed ? 'its skeg below the blades, assumed until measured' : 'its skeg below the blades',
    ),
  );

const hangingOf = (plan: Plan): Hanging[] => [
  ...inOrder(plan.equipment).map(([id, piece]): Hanging => {
    const { kind, aboveKeelM, propellerDiameterM, loweredIn } = piece;
    const skeg = skegOf(plan, piece);
    const name = skeg ? `${piece.name}’s ${skeg.assumed ? 'assumed ' : ''}skeg` : piece.name;
    const blades = reaches(piece.name, aboveKeelM, propellerDiameterM ?? 0);
    const step = skeg ? skegReaches(name, blades, skeg) : blades;
    const usually = kind === 'bow motor' ? raisedWhenRunning : always;
    return {
      id,
      name,
      step,
      belowKeelM: step.value,
      assumed: skeg?.assumed ?? false,
      lowered: (way) => isLowered(loweredIn, usually, way),
    };
  }),
  ...inOrder(plan.transducers).map(([id, transducer]): Hanging => {
    const { name, aboveKeelM } = transducer;
    const step = reaches(name, aboveKeelM, 0);
    return {
      id,
      name,
      step,
      belowKeelM: step.value,
      assumed: false,
      lowered: (way) => transducerLowered(transducer, way),
    };
  }),
];

/** The first thing of a boat that touches the bottom. */
export interface LowestPoint {
  /** The piece of equipment or the transducer; null for the keel itself. */
  readonly id: string | null;
  readonly name: string;
  /** Below the keel's lowest point; 0 for the keel. */
  readonly belowKeelM: number;
  /** Its reach is a guess that nobody measured. */
  readonly assumed: boolean;
  /** The ways of working in which it is the lowest. */
  readonly ways: readonly Way[];
  readonly working: readonly WorkingStep[];
}

const keel = { id: null, name: 'the keel', belowKeelM: 0, assumed: false, working: [] };

const lowestIn = (hanging: readonly Hanging[], way: Way): Omit<LowestPoint, 'ways'> =>
  hanging.reduce<Omit<LowestPoint, 'ways'>>(
    (lowest, one) =>
      one.lowered(way) && one.belowKeelM > lowest.belowKeelM + 1e-9
        ? { id: one.id, name: one.name, belowKeelM: one.belowKeelM, assumed: one.assumed, working: [one.step] }
        : lowest,
    keel,
  );

/** Whether a transducer or piece of equipment is down in the water in a way of working. */
export const loweredWays = (plan: Plan, id: string): Way[] => {
  const one = hangingOf(plan).find((each) => each.id === id);
  return one ? waysOfWorking.filter((way) => one.lowered(way)) : [];
};

/**
 * What touches first, over every way of working the boat uses afloat: the keel, or blades, a face, a bow motor or a pole
 * that reach below it, each raised or lowered as that way of working has it. Raised counts as clear of the water.
 */
export const lowestPoint = (plan: Plan): LowestPoint => {
  const hanging = hangingOf(plan);
  const all = waysAfloat(plan).map((way) => ({ way, ...lowestIn(hanging, way) }));
  const worst = all.reduce((a, b) => (b.belowKeelM > a.belowKeelM + 1e-9 ? b : a));
  const { way: _way, ...point } = worst;
  return { ...point, ways: all.filter(({ id }) => id === worst.id).map(({ way }) => way) };
};

/** The deepest the boat's keel lies, and at which loading; that of the brief where no other was entered. */
export const deepestLoading = (plan: Plan): { readonly name: string; readonly draughtM: number } | null => {
  const { draughtM } = plan.boat;
  const entered = inOrder(plan.loadings).map(([, one]) => one);
  const calibrated = draughtM === null ? [] : [{ name: 'as calibrated', draughtM }];
  const [deepest] = [...calibrated, ...entered].sort((a, b) => b.draughtM - a.draughtM);
  return deepest ?? null;
};
