import { figure, type Rule } from '../../../findings/rule.ts';
import { answerFor, eachGiver } from './offset-answers.ts';
import { enteredResult } from '../../../plan/held-by.ts';
import { at } from '../../../plan/target.ts';
import { measuredOffset } from '../../../calibration/depth-offset-subject.ts';

export const offsetMissing: Rule<'calibrate'> = {
  id: 'offset-missing',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver((giver) => {
    const { id, name, plan } = giver;
    if (measuredOffset.standing(plan, id).state !== 'missing') return [];
    const answer = answerFor(giver);
    return [
      {
        subject: id,
        title: 'Depth is not calibrated yet',
        reason: answer
          ? [`${name}: `, figure(answer.offsetM, 'length'), ' is worked out and not yet entered on the display.']
          : [`${name} has no offset: its display shows the depth below its face, or anything else.`],
        figure: answer ? figure(answer.offsetM, 'length') : figure(0, 'count'),
        working: answer?.working ?? [],
        fix: { label: answer ? 'Enter it' : 'Take lead-line readings', target: at('depthOffsets', id) },
      },
    ];
  }),
};

export const offsetStale: Rule<'calibrate'> = {
  id: 'offset-stale',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver(({ id, name, plan }) => {
    const standing = measuredOffset.standing(plan, id);
    const entered = enteredResult(plan, 'depth', id)?.values[0];
    if (standing.state !== 'stale' || entered === undefined) return [];
    const changed = standing.changed.join(' and ') || 'the calculation';
    return [
      {
        subject: id,
        title: 'Depth offset is stale',
        reason: [`${name}: `, figure(entered, 'length'), ` was entered; since then ${changed} changed.`],
        figure: figure(entered, 'length'),
        fix: { label: 'Measure again', target: at('depthOffsets', id) },
      },
    ];
  }),
};
