import type { Plan } from '@grey-keel/model';
import { workingWater } from '../../plan/working-water.ts';
import { figure, type Rule } from '../rule.ts';

interface Fact {
  readonly name: string;
  readonly target: string;
  readonly known: (plan: Plan) => boolean;
}

const facts: readonly Fact[] = [
  { name: 'length', target: 'boat-length', known: (plan) => plan.boat.lengthM !== null },
  { name: 'draught', target: 'boat-draught', known: (plan) => plan.boat.draughtM !== null },
  { name: 'top speed', target: 'boat-top-speed', known: (plan) => plan.boat.topSpeedMps !== null },
  { name: 'a station', target: 'add-station', known: (plan) => Object.keys(plan.stations).length > 0 },
  { name: 'a water', target: 'add-water', known: (plan) => workingWater(plan) !== null },
  {
    name: 'its greatest depth',
    target: 'water-greatest',
    // Without a water that one is the fact that is missing.
    known: (plan) => workingWater(plan)?.greatestM !== null,
  },
  { name: 'what is sought', target: 'add-sought', known: (plan) => Object.keys(plan.sought).length > 0 },
  { name: 'a way of working', target: 'ways', known: (plan) => Object.keys(plan.ways).length > 0 },
];

/** The facts of the brief that later stages are judged against, and that nobody has given yet. */
export const missingFacts = (plan: Plan): readonly Fact[] => facts.filter(({ known }) => !known(plan));

export const briefMissing: Rule = {
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
        wayOut: { label: `Give ${first.name}`, target: first.target },
      },
    ];
  },
};
