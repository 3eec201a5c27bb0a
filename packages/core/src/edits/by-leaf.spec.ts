import type { Edit, Plan } from '@grey-keel/model';
import { applyEdits } from '../job/apply-edits.ts';
import { heldBy } from '../plan/held-by.ts';
import { aDisplay, aPlan, edited } from '../testing/sample-plan.ts';
import { enters } from '../testing/set-at.ts';
import { touches } from './rebase.ts';

const boat = (): Plan => edited(aPlan(), { type: 'fitDisplay', stationId: 'helm', display: aDisplay() });
const applied = (plan: Plan, edit: Edit) => {
  const made = applyEdits(plan, [edit]);
  if (!made.ok) throw new Error(made.errors[0]?.message);
  return made;
};

describe('two people at one device', () => {
  const [north, alarm] = [enters('helm', 'north', 'true'), enters('helm', 'shallow-alarm', 2)];

  it('never meet, though both write its first line, and both lines stand whoever comes first', () => {
    const [one, other] = [applied(boat(), north), applied(boat(), alarm)];
    const paths = other.patches.map(({ path }) => path);
    expect(touches(one.patches, paths)).toBeFalse();
    for (const plan of [edited(one.plan, alarm), edited(other.plan, north)])
      expect([heldBy(plan, 'helm', 'north'), heldBy(plan, 'helm', 'shallow-alarm')]).toEqual(['true', 2]);
  });

  it('take back what they wrote themselves, and leave the other’s', () => {
    const one = applied(boat(), north);
    const back = edited(one.plan, alarm, { type: 'restore', patches: [...one.inverse] });
    expect([heldBy(back, 'helm', 'north'), heldBy(back, 'helm', 'shallow-alarm')]).toEqual([null, 2]);
    expect(Object.keys(back.held['helm'] ?? {})).toEqual(['shallow-alarm']);
  });
});
