import type { Plan } from '@grey-keel/model';

/** The parts of a plan that are taken apart themselves: whoever reads the draught does not read the name. */
const takenApart = ['boat', 'working', 'power', 'network'] as const;

type Fields = Readonly<Record<string, unknown>>;

/** Something an answer rests on: how it is read of a plan, and what it was. */
export interface Read {
  readonly of: (plan: Plan) => unknown;
  readonly was: unknown;
}
/** Told of each thing that is read, by a name of its own; null while nobody asks. */
type Listener = (name: string, read: Read) => void;
let listener: Listener | null = null;

/** Does work while each thing that is read of a tracked plan is told. */
export const whileTelling = <T>(telling: Listener, work: () => T): T => {
  const before = listener;
  listener = telling;
  try {
    return work();
  } finally {
    listener = before;
  }
};
export const tell: Listener = (name, read) => listener?.(name, read);

/** Stands in for an object and answers as it does. The target is another one: a frozen object could not be stood in for. */
const standIn = (of: Fields, read: (key: string) => unknown): object =>
  new Proxy(
    {},
    {
      get: (_, key) => (typeof key === 'string' ? read(key) : undefined),
      has: (_, key) => typeof key === 'string' && read(key) !== undefined,
      ownKeys: () => Reflect.ownKeys(of),
      getOwnPropertyDescriptor: (_, key) =>
        typeof key === 'string' && key in of
          ? { value: read(key), enumerable: true, configurable: true, writable: false }
          : undefined,
    },
  );

const told = (name: string, of: (plan: Plan) => unknown, plan: Plan): unknown => {
  const was = of(plan);
  tell(name, { of, was });
  return was;
};

const standIns = new WeakMap<Plan, Plan>();
const plans = new WeakMap<object, Plan>();

/** The plan itself, of a plan that may be tracked. */
export const plainPlan = (plan: Plan): Plan => plans.get(plan) ?? plan;
export const isTracked = (value: object): boolean => plans.has(value);

/** A plan that reads as this one does, and tells which of its parts are read. */
export const tracked = (plan: Plan): Plan => {
  if (plans.has(plan)) return plan;
  const before = standIns.get(plan);
  if (before) return before;
  const apart = new Map<string, object>(
    takenApart.map((part) => [
      part,
      standIn(plan[part], (key) => {
        const name = `${part}.${key}`;
        return told(name, (one) => (one[part] as Fields)[key], plan);
      }),
    ]),
  );
  const made = standIn(plan, (key) => {
    const inner = apart.get(key);
    if (inner) return inner;
    return told(key, (one) => (one as Fields)[key], plan);
  }) as Plan;
  standIns.set(plan, made);
  plans.set(made, plan);
  return made;
};
