import type { Edit, Plan } from '@grey-keel/model';
import { applyEdits, undoing } from '../job/apply-edits.ts';
import { findings } from '../job/findings.ts';
import { editSamples } from './edit-samples.ts';
import { ruleFaults } from './every-fault.ts';
import { seeded } from './sample-plan.ts';
import { soundBoat } from './sound-boat.ts';

/**
 * Makes edits at random, forth and back, and looks after each whether the findings that are remembered are those of a
 * plan never seen before. Gives the edit after which they are not, or null.
 */
export const findingsForgotten = (edits: number, seed: number): string | null => {
  const random = seeded(seed);
  const sound = soundBoat(random);
  const pool: (readonly Edit[])[] = [
    ...Object.values(ruleFaults).flatMap((fault) => {
      const { faulty, nearly } = fault(sound, random);
      return [faulty, nearly];
    }),
    ...Object.values(editSamples).map(({ edit }) => [edit]),
  ];
  let plan = sound;
  let back: Edit[] = [];
  for (let done = 0; done < edits;) {
    // Back to a sound boat now and then: what is wrong everywhere hides what changes.
    if (random() < 0.1) plan = sound;
    const chosen = random() < 0.3 && back.length ? back : (pool[Math.floor(random() * pool.length)] ?? []);
    const result = applyEdits(plan, chosen);
    back = result.ok ? undoing(result.inverse) : [];
    if (!result.ok) continue;
    plan = result.plan;
    done += 1;
    const anew = JSON.parse(JSON.stringify(plan)) as Plan;
    if (JSON.stringify(findings(plan)) !== JSON.stringify(findings(anew)))
      return `edit ${done}: ${JSON.stringify(chosen).slice(0, 400)}`;
  }
  return null;
};
