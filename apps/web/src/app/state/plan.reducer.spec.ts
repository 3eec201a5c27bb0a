import type { Edit } from '@grey-keel/model';
import type { Action } from '@ngrx/store';
import { opened, revision } from '../testing/plans.ts';
import { planEvents } from './plan.actions.ts';
import { planFeature } from './plan.reducer.ts';
import { noPlan, type PlanState, type Unsent } from './plan.state.ts';

const { reducer } = planFeature;
const uuid = (n: number): string => `00000000-0000-4000-9000-${String(n).padStart(12, '0')}`;
const boat = (changes: Extract<Edit, { type: 'describeBoat' }>['changes']): Edit[] => [
  { type: 'describeBoat', changes },
];
const run = (state: PlanState, ...events: Action[]): PlanState => events.reduce(reducer, state);
const edited = (n: number, changes: Parameters<typeof boat>[0]): Action =>
  planEvents.edited({ revisionId: uuid(n), edits: boat(changes), label: `edit ${n}` });
const keptAs = (n: number, number: number): Action =>
  planEvents.revisionKept({ kept: { revisionId: uuid(n), number, keptAt: '2026-05-01T11:00:00.000Z' } });

const ready = (): PlanState =>
  run(
    noPlan,
    planEvents.boatChosen({ id: 'test-hull' }),
    planEvents.boatLoaded({ boat: opened(), unsent: [], since: [] }),
  );

describe('the open plan', () => {
  it('is loading, then ready as kept, or says what went wrong', () => {
    const loading = run(noPlan, planEvents.boatChosen({ id: 'test-hull' }));
    expect([loading.status, loading.boatId]).toEqual(['loading', 'test-hull']);
    expect(ready().status).toBe('ready');
    expect(ready().plan).toEqual(opened().plan);
    expect(run(loading, planEvents.boatNotFound({ id: 'test-hull' })).status).toBe('not found');
    const failed = run(
      loading,
      planEvents.boatNotLoaded({ id: 'test-hull', problem: { status: 0, detail: 'gone', body: null } }),
    );
    expect([failed.status, failed.problem]).toEqual(['failed', 'gone']);
    expect(run(ready(), planEvents.boatClosed())).toEqual(noPlan);
  });

  it('shows an edit at once, as unsent, and keeps it when the server has answered', () => {
    const one = run(ready(), edited(1, { lengthM: 8 }));
    expect([one.plan?.boat.lengthM, one.kept?.boat.lengthM, one.unsent.length]).toEqual([8, 7.4, 1]);
    const kept = run(one, keptAs(1, 5));
    expect([kept.kept?.boat.lengthM, kept.number, kept.unsent.length]).toEqual([8, 5, 0]);
    expect(kept.keptAt).toBe('2026-05-01T11:00:00.000Z');
  });

  it('leaves things as they are for an edit that cannot be, and says why', () => {
    const state = run(
      ready(),
      planEvents.edited({ revisionId: uuid(1), edits: [{ type: 'removeWater', id: 'nowhere' }], label: 'x' }),
    );
    expect(state.unsent).toEqual([]);
    expect(state.notice).toContain('no water "nowhere"');
    expect(run(state, planEvents.noticeRead()).notice).toBeNull();
  });

  it('is not changed, and sends nothing, by an edit that changes nothing', () => {
    expect(run(ready(), edited(1, { lengthM: 7.4 })).unsent).toEqual([]);
  });

  it('undoes and redoes by edits of their own, so that the history only grows', () => {
    const two = run(ready(), edited(1, { lengthM: 8 }), edited(2, { lengthM: 9 }));
    const undone = run(two, planEvents.undone({ revisionId: uuid(3) }));
    expect([undone.plan?.boat.lengthM, undone.unsent.length, undone.undo.length, undone.redo.length]).toEqual([
      8, 3, 1, 1,
    ]);
    const redone = run(undone, planEvents.redone({ revisionId: uuid(4) }));
    expect([redone.plan?.boat.lengthM, redone.unsent.length, redone.redo.length]).toEqual([9, 4, 0]);
    const other = run(undone, edited(5, { beamM: 3 }));
    expect(other.redo).toEqual([]);
    expect(run(ready(), planEvents.undone({ revisionId: uuid(6) }))).toEqual(ready());
  });

  it('takes in what others changed elsewhere under its own unsent edits', () => {
    const state = run(
      ready(),
      edited(1, { lengthM: 8 }),
      planEvents.othersChanged({ revisions: [revision(5, boat({ beamM: 3 }))] }),
    );
    expect([state.plan?.boat.lengthM, state.plan?.boat.beamM, state.number]).toEqual([8, 3, 5]);
    expect(state.unsent.length).toBe(1);
    expect(state.clash).toBeNull();
    expect(state.notice).toContain('another window');
  });

  it('knows its own revisions among the news, and does not apply them twice', () => {
    const mine = run(ready(), edited(1, { lengthM: 8 }));
    const state = run(
      mine,
      planEvents.othersChanged({
        revisions: [revision(5, boat({ lengthM: 8 }), uuid(1)), revision(6, boat({ beamM: 3 }))],
      }),
    );
    expect([state.plan?.boat.lengthM, state.plan?.boat.beamM, state.number, state.unsent.length]).toEqual([8, 3, 6, 0]);
    expect(run(state, planEvents.othersChanged({ revisions: [revision(5, boat({ lengthM: 1 }))] })).plan).toEqual(
      state.plan,
    );
  });

  it('drops undo steps that meet what others changed, and says so', () => {
    const two = run(ready(), edited(1, { lengthM: 8 }), keptAs(1, 5), edited(2, { beamM: 3 }), keptAs(2, 6));
    const state = run(two, planEvents.othersChanged({ revisions: [revision(7, boat({ beamM: 2 }))] }));
    expect(state.undo.map(({ label }) => label)).toEqual(['edit 1']);
    expect(state.notice).toContain('no longer be undone');
  });

  const clashed = (): PlanState =>
    run(
      ready(),
      edited(1, { lengthM: 8, notes: 'mine' }),
      edited(2, { beamM: 3 }),
      planEvents.othersChanged({ revisions: [revision(5, boat({ lengthM: 9 }))] }),
    );

  it('asks where both changed the same, and shows meanwhile what is clear', () => {
    const state = clashed();
    expect(state.clash?.clashes).toEqual([{ path: ['boat', 'lengthM'], mine: 8, theirs: 9 }]);
    expect([state.plan?.boat.lengthM, state.plan?.boat.beamM, state.plan?.boat.notes]).toEqual([9, 3, 'mine']);
    expect(state.unsent).toEqual([]);
  });

  it('settles by field, mine or theirs, in one edit on top of what is kept', () => {
    const mine = run(clashed(), planEvents.clashSettled({ revisionId: uuid(9), mine: [['boat', 'lengthM']] }));
    expect([mine.plan?.boat.lengthM, mine.plan?.boat.beamM, mine.clash]).toEqual([8, 3, null]);
    expect(mine.unsent.map(({ revisionId }) => revisionId)).toEqual([uuid(9)]);
    const theirs = run(clashed(), planEvents.clashSettled({ revisionId: uuid(9), mine: [] }));
    expect([theirs.plan?.boat.lengthM, theirs.plan?.boat.beamM, theirs.plan?.boat.notes]).toEqual([9, 3, 'mine']);
    const later = run(
      clashed(),
      edited(4, { draughtM: 0.6 }),
      planEvents.clashSettled({ revisionId: uuid(9), mine: [] }),
    );
    expect([later.plan?.boat.draughtM, later.unsent.length]).toEqual([0.6, 2]);
  });

  it('lets go a change to what is no longer there', () => {
    const state = run(
      ready(),
      planEvents.edited({
        revisionId: uuid(1),
        edits: [{ type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.3 } }],
        label: 'move',
      }),
      planEvents.othersChanged({
        revisions: [
          { ...revision(5, [{ type: 'removeTransducer', id: 'a-wide' }]), paths: [['transducers', 'a-wide']] },
        ],
      }),
    );
    expect(state.clash?.clashes[0]?.theirs).toBeUndefined();
    const settled = run(
      state,
      planEvents.clashSettled({ revisionId: uuid(9), mine: [['transducers', 'a-wide', 'aboveKeelM']] }),
    );
    expect(settled.plan?.transducers['a-wide']).toBeUndefined();
    expect(settled.unsent).toEqual([]);
    expect(settled.notice).toContain('no longer there');
  });

  it('waits with what is unsent while the server does not answer', () => {
    const waiting = run(
      ready(),
      edited(1, { lengthM: 8 }),
      planEvents.sendingFailed({ problem: { status: 0, detail: 'no server', body: null } }),
    );
    expect([waiting.waiting?.detail, waiting.unsent.length]).toEqual(['no server', 1]);
    expect(run(waiting, keptAs(1, 5)).waiting).toBeNull();
  });

  it('takes back what the server refuses, and keeps the rest', () => {
    const state = run(
      ready(),
      edited(1, { lengthM: 8 }),
      edited(2, { beamM: 3 }),
      planEvents.revisionRefused({ revisionId: uuid(1), detail: 'no' }),
    );
    expect([state.plan?.boat.lengthM, state.plan?.boat.beamM, state.unsent.length]).toEqual([7.4, 3, 1]);
    expect(state.notice).toContain('refused');
  });

  describe('when it is opened with edits left in the outbox', () => {
    const left = (n: number, changes: Parameters<typeof boat>[0]): Unsent => {
      const [unsent] = run(ready(), edited(n, changes)).unsent;
      if (!unsent) throw new Error('nothing unsent');
      return unsent;
    };
    const openedWith = (unsent: Unsent[], since: ReturnType<typeof revision>[], plan = opened().plan): PlanState =>
      run(
        noPlan,
        planEvents.boatChosen({ id: 'test-hull' }),
        planEvents.boatLoaded({ boat: opened(plan, 5), unsent, since }),
      );

    it('puts them on top of what is kept', () => {
      const state = openedWith([left(1, { lengthM: 8 })], [revision(5, boat({ beamM: 3 }))]);
      expect([state.plan?.boat.lengthM, state.unsent.length]).toEqual([8, 1]);
    });

    it('leaves out those that had arrived', () => {
      const state = openedWith([left(1, { lengthM: 8 })], [revision(5, boat({ lengthM: 8 }), uuid(1))]);
      expect(state.unsent).toEqual([]);
    });

    it('asks where they meet what others did since', () => {
      const state = openedWith([left(1, { lengthM: 8 })], [revision(5, boat({ lengthM: 9 }))]);
      expect(state.clash?.clashes.length).toBe(1);
    });
  });
});
