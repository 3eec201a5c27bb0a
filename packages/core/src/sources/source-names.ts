import type { Plan, Transducer } from '@grey-keel/model';
import { workingBeamOf } from '../beams/working-beam.ts';
import { inOrder } from '../plan/working-water.ts';

const longest = 40;

/** Names a unit has as it leaves the box: a word for what it is, and at most a number. */
export const isFactoryName = (name: string): boolean =>
  /^(transducer|sonar|sounder|source|unit|device|module|sensor|channel|antenna|display|default)?[\s_#-]*\d*$/i.test(
    name.trim(),
  );

const where = ({ mounting, forwardM, starboardM }: Transducer, lengthM: number): string => {
  if (mounting === 'bow motor') return 'Bow motor';
  if (mounting === 'pole') return 'Pole';
  const along = mounting === 'transom' ? 'Stern' : forwardM > 0.66 * lengthM ? 'Bow' : 'Hull';
  return Math.abs(starboardM) < 0.1 ? along : `${along} ${starboardM < 0 ? 'port' : 'starboard'}`;
};

/**
 * A name by which a source can be told from the others at any station: where it is, what it works at, its kind, and
 * its socket where that is known. Unlike all other names of the plan; a number is added where the rule gives one twice.
 */
export const suggestSourceName = (plan: Plan, id: string): string => {
  const transducer = plan.transducers[id];
  const plug = plan.network.links[id]?.plug.trim() ?? '';
  const socket = plug === '' ? '' : ` on ${plug}`;
  const base = transducer
    ? `${where(transducer, plan.boat.lengthM ?? 6)} ${(workingBeamOf(transducer).frequencyHz / 1000).toFixed(0)} ${transducer.kind}${socket}`
    : (plan.equipment[id]?.name ?? id);
  const taken = new Set(
    inOrder(plan.sources)
      .filter(([other]) => other !== id)
      .map(([, { name }]) => name.toLowerCase()),
  );
  for (let i = 1; ; i++) {
    const ending = i === 1 ? '' : ` ${i}`;
    const name = base.slice(0, longest - ending.length) + ending;
    if (!taken.has(name.toLowerCase())) return name;
  }
};
