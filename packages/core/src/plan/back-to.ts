import type { Edit, Patch, Path, Plan } from '@grey-keel/model';
import canonicalize from 'canonicalize';

type Things = Readonly<Record<string, unknown>>;
const isThings = (value: unknown): value is Things =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Down to the things of a part: what others changed elsewhere in it meanwhile is left alone, and little is sent. */
const deepest = 2;

const between = (before: Things, after: Things, path: Path): Patch[] =>
  [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key): Patch[] => {
    const here = [...path, key];
    const [was, will] = [before[key], after[key]];
    if (!(key in after)) return [{ op: 'remove', path: here }];
    if (!(key in before)) return [{ op: 'add', path: here, value: will as never }];
    if (here.length < deepest && isThings(was) && isThings(will)) return between(was, will, here);
    return canonicalize(was) === canonicalize(will) ? [] : [{ op: 'replace', path: here, value: will as never }];
  });

/**
 * The edit that leads from a plan to an earlier state of it, thing by thing; null where nothing differs. The states that
 * were given a name stay as they are: going back loses none of those named since.
 */
export const backTo = (now: Plan, then: Plan): Edit | null => {
  const { restorePoints: _now, ...before } = now;
  const { restorePoints: _then, ...after } = then;
  return changedTo(before, after);
};

/** The edit that makes a plan another, its named states with it; null where they are the same. */
export const changedTo = (before: Partial<Plan>, after: Partial<Plan>): Edit | null => {
  const patches = between(before, after, []);
  return patches.length ? { type: 'restore', patches } : null;
};
