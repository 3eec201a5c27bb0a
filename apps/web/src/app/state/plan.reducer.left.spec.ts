import { opened, revision } from '../testing/plans.ts';
import { boat, edited, acknowledgedAs, ready, run, uuid } from '../testing/reducing.ts';
import { boatEvents, outboxEvents, serverEvents } from './plan.actions.ts';
import { noPlan, type PlanState, type Unsent } from './plan.state.ts';

describe('the open plan, opened with edits left in the outbox,', () => {
  const left = (n: number, changes: Parameters<typeof boat>[0]): Unsent => {
    const [unsent] = run(ready(), edited(n, changes)).unsent;
    if (!unsent) throw new Error('nothing unsent');
    return unsent;
  };
  const openedWith = (unsent: Unsent[], since: ReturnType<typeof revision>[], plan = opened().plan): PlanState =>
    run(
      noPlan,
      boatEvents.boatChosen({ id: 'test-hull' }),
      serverEvents.boatLoaded({ boat: opened(plan, 5), unsent, stuck: [], since }),
    );

  it('puts them on top of what is kept', () => {
    const state = openedWith([left(1, { lengthM: 8 })], [revision(4, []), revision(5, boat({ beamM: 3 }))]);
    expect([state.plan?.boat.lengthM, state.unsent.length]).toEqual([8, 1]);
  });

  it('leaves out those that had arrived', () => {
    const state = openedWith([left(1, { lengthM: 8 })], [revision(4, []), revision(5, boat({ lengthM: 8 }), uuid(1))]);
    expect(state.unsent).toEqual([]);
  });

  it('asks about all of them where their base is not of this history: an older file was restored', () => {
    const elsewhere = { ...left(1, { lengthM: 8 }), baseId: uuid(77) };
    const state = openedWith([elsewhere], [revision(4, []), revision(5, boat({ beamM: 3 }))]);
    expect(state.conflict?.conflicts).toEqual([{ path: ['boat', 'lengthM'], mine: 8, theirs: 7.4 }]);
    const ahead = openedWith([{ ...left(1, { lengthM: 8 }), base: 9 }], []);
    expect(ahead.conflict?.conflicts.length).toBe(1);
  });

  it('puts aside one that no longer applies, without holding up the others', () => {
    const lost: Unsent = { ...left(1, { lengthM: 8 }), edits: [{ type: 'removeWater', id: 'nowhere' }], patches: [] };
    const state = openedWith([lost, left(2, { beamM: 3 })], [revision(4, []), revision(5, [])]);
    expect([state.unsent.map(({ revisionId }) => revisionId), state.plan?.boat.beamM]).toEqual([[uuid(2)], 3]);
    expect(state.stuck.map(({ revisionId, reason }) => [revisionId, reason])).toEqual([
      [uuid(1), 'There is no water "nowhere" any more.'],
    ]);
    expect(run(state, boatEvents.stuckDropped({ revisionId: uuid(1) })).stuck).toEqual([]);
  });

  it('takes up what a window that was closed had left, and asks where it meets what was kept since', () => {
    const here = run(ready(), edited(3, { draughtM: 0.6 }), acknowledgedAs(3, 5));
    const since = [revision(4, []), revision(5, boat({ draughtM: 0.6 }), uuid(3))];
    const takeUp = (unsent: Unsent[]): PlanState => run(here, outboxEvents.leftTakenUp({ unsent, stuck: [], since }));
    const joined = takeUp([left(1, { lengthM: 8 })]);
    expect([joined.plan?.boat.lengthM, joined.plan?.boat.draughtM, joined.unsent[0]?.base]).toEqual([8, 0.6, 5]);
    expect(takeUp([left(1, { draughtM: 0.9 })]).conflict?.conflicts.length).toBe(1);
    expect(takeUp([left(3, { draughtM: 0.6 })]).unsent).toEqual([]);
  });

  it('asks where they meet what others did since', () => {
    const state = openedWith([left(1, { lengthM: 8 })], [revision(4, []), revision(5, boat({ lengthM: 9 }))]);
    expect(state.conflict?.conflicts.length).toBe(1);
  });

  it('takes what it made itself for no change of others, and nothing twice', () => {
    // Both set the draught; the first arrived, and the second was made on top of it before that was known.
    const second = left(2, { draughtM: 0.9 });
    const state = openedWith(
      [left(1, { draughtM: 0.6 }), second],
      [revision(4, []), revision(5, boat({ draughtM: 0.6 }), uuid(1))],
    );
    expect([state.conflict, state.plan?.boat.draughtM]).toEqual([null, 0.9]);
    expect(state.unsent.map(({ revisionId }) => revisionId)).toEqual([uuid(2)]);
    const again = run(state, outboxEvents.leftTakenUp({ unsent: [second], stuck: [], since: [] }));
    expect(again.unsent).toEqual(state.unsent);
  });
});
