import type { Plan, Target } from '@grey-keel/model';
import { workingWater } from '../../../plan/working-water.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

interface Fact {
  readonly name: string;
  readonly target: (plan: Plan) => Target;
  readonly known: (plan: Plan) => boolean;
}

const facts: readonly Fact[] = [
  { name: 'length', target: () => at('boat', 'lengthM'), known: (plan) => plan.boat.lengthM !== null },
  { name: 'draught', target: () => at('boat', 'draughtM'), known: (plan) => plan.boat.draughtM !== null },
  { name: 'top speed', target: () => at('boat', 'topSpeedMps'), known: (plan) => plan.boat.topSpeedMps !== null },
  { name: 'a station', target: () => at('stations'), known: (plan) => Object.keys(plan.stations).length > 0 },
  { name: 'a water', target: () => at('waters'), known: (plan) => workingWater(plan) !== null },
  {
    name: 'its greatest depth',
    target: (plan) => at('waters', workingWater(plan) === null ? '' : (plan.working.waterId ?? ''), 'greatestM'),
    // Without a water that one is the fact that is missing.
    known: (plan) => workingWater(plan)?.greatestM !== null,
  },
  { name: 'target species', target: () => at('sought'), known: (plan) => Object.keys(plan.sought).length > 0 },
  { name: 'a way of working', target: () => at('ways'), known: (plan) => Object.keys(plan.ways).length > 0 },
];

/** The facts of the brief that later stages are judged against, and that nobody has given yet. */
export const missingFacts = (plan: Plan): readonly Fact[] => facts.filter(({ known }) => !known(plan));

export const briefMissing: Rule<'brief'> = {
  id: 'brief-missing',
  stage: 'brief',
  severity: 'check',
  find: (plan) => {
    const missing = missingFacts(plan);
    const [first] = missing;
    if (!first) return [];
    return [
      {
        title: 'The brief is not complete',
        reason: [
          `${missing.length} of ${facts.length} facts are missing: ${missing.map(({ name }) => name).join(', ')}.`,
        ],
        figure: figure(missing.length, 'count'),
        fix: { label: `Give ${first.name}`, target: first.target(plan) },
      },
    ];
  },
};
