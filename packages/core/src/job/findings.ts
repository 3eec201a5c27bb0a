import { severities, stageNumber, type Finding, type Plan } from '@grey-keel/model';
import { findingsOf, type Rule } from '../findings/rule.ts';
import { builtStages } from './stages.ts';

/** Every rule a boat is judged by. */
export const rules: readonly Rule[] = builtStages.flatMap(({ rules }) => rules);

/** All there is to say about a boat: by stage, the gravest first. */
export const findings = (plan: Plan): Finding[] =>
  rules
    .flatMap((rule) => findingsOf(rule, plan))
    .sort(
      (a, b) =>
        stageNumber(a.stage) - stageNumber(b.stage) || severities.indexOf(a.severity) - severities.indexOf(b.severity),
    );
