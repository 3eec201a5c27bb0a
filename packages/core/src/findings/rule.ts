import { remembered } from '../plan/remembered.ts';
import type {
  Edit,
  Figure,
  Finding,
  Plan,
  Quantity,
  Sentence,
  Severity,
  Stage,
  Target,
  WorkingStep,
} from '@grey-keel/model';
import { act } from '../plan/target.ts';

/** One thing to judge a boat by: a pure function from its plan to what there is to say. */
export interface Rule<S extends Stage = Stage> {
  readonly id: string;
  readonly stage: S;
  readonly severity: Severity;
  readonly find: (plan: Plan) => readonly Found[];
}

/** What a rule finds, before the register adds the rule's own stage and severity. */
export interface Found {
  /** What it speaks of, when a rule can find several: a transducer's id, a way of working. */
  readonly subject?: string;
  /** The ids of the things it speaks of, where they are not the subject alone. */
  readonly of?: readonly string[];
  /** Where this one is graver, or less grave, than the rule's usual. */
  readonly severity?: Severity;
  readonly title: string;
  readonly reason: Sentence;
  readonly figure: Figure;
  /** How that number came about, where it was worked out and not just read. */
  readonly working?: readonly WorkingStep[];
  readonly fix: { readonly label: string; readonly target: Target; readonly stage?: Stage; readonly edits?: Edit[] };
}

/** The subject of what stands between two things. */
export const between = (one: string, other: string): Pick<Found, 'subject' | 'of'> => ({
  subject: `${one}-${other}`,
  of: [one, other],
});

export const figure = (value: number, quantity: Quantity): Figure => ({ value, quantity });

const figureOfNone = figure(1, 'count');

/** What is said where a rule fails on what a plan holds: as grave as what it would have said at its gravest. */
const couldNotCheck = ({ id, stage, severity }: Rule): Finding => ({
  id: `${id}:not-checked`,
  of: [],
  stage,
  severity,
  title: `Could not be checked: ${id.replaceAll('-', ' ')}`,
  reason: [
    'This check fails on the values of the plan, so nothing is known of what it looks at: ',
    figureOfNone,
    ' check was not made, the others were. Look for a value of this stage that cannot be right.',
  ],
  figure: figureOfNone,
  working: [],
  fix: { label: 'Look at the stage', stage, target: act('show the stage') },
});

const judge = (rule: Rule, plan: Plan): Finding[] => {
  let found: readonly Found[];
  try {
    found = rule.find(plan);
  } catch {
    return [couldNotCheck(rule)];
  }
  return found.map(({ subject, of, severity, title, reason, figure: number, working, fix }) => ({
    id: subject === undefined ? rule.id : `${rule.id}:${subject}`,
    of: [...(of ?? (subject === undefined ? [] : [subject]))],
    stage: rule.stage,
    severity: severity ?? rule.severity,
    title,
    reason: [...reason],
    figure: number,
    working: [...(working ?? [])],
    fix: {
      label: fix.label,
      stage: fix.stage ?? rule.stage,
      target: fix.target,
      ...(fix.edits ? { edits: fix.edits } : {}),
    },
  }));
};

const judgements = new WeakMap<Rule, (plan: Plan, key: string) => readonly Finding[]>();

/**
 * What a rule has to say of a plan, remembered as long as what it read of the plan stands. A rule that throws says that it
 * could not check, and holds up no other.
 */
export const findingsOf = (rule: Rule, plan: Plan): readonly Finding[] => {
  let judgement = judgements.get(rule);
  if (!judgement) judgements.set(rule, (judgement = remembered((one) => judge(rule, one))));
  return judgement(plan, rule.id);
};
