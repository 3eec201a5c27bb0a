import { aWater } from '@grey-keel/core/testing';
import type { Edit } from '@grey-keel/model';
import { idOf, opened, revision } from '../testing/plans.ts';
import { boat, edited, acknowledgedAs, ready, run, uuid } from '../testing/reducing.ts';
import { boatEvents, serverEvents } from './plan.actions.ts';
import { noPlan, type PlanState } from './plan.state.ts';

describe('the open plan', () => {
  it('is loading, then ready as kept, or says what went wrong', () => {
    const loading = run(noPlan, boatEvents.boatChosen({ id: 'test-hull' }));
    expect([loading.status, loading.boatId]).toEqual(['loading', 'test-hull']);
    expect(ready().status).toBe('ready');
    expect(ready().plan).toEqual(opened().plan);
    expect(run(loading, serverEvents.boatNotFound({ id: 'test-hull' })).status).toBe('not found');
    const failed = run(
      loading,
      serverEvents.boatNotLoaded({ id: 'test-hull', problem: { status: 0, detail: 'gone', body: null } }),
    );
    expect([failed.status, failed.problem]).toEqual(['failed', 'gone']);
    expect(run(ready(), boatEvents.boatClosed())).toEqual(noPlan);
  });

  it('shows an edit at once, as unsent, and keeps it when the server has answered', () => {
    const one = run(ready(), edited(1, { lengthM: 8 }));
    expect([one.plan?.boat.lengthM, one.kept?.boat.lengthM, one.unsent.length]).toEqual([8, 7.4, 1]);
    const kept = run(one, acknowledgedAs(1, 5));
    expect([kept.kept?.boat.lengthM, kept.number, kept.unsent.length]).toEqual([8, 5, 0]);
    expect(kept.keptAt).toBe('2026-05-01T11:00:00.000Z');
  });

  it('leaves things as they are for an edit that cannot be, and says why', () => {
    const state = run(
      ready(),
      boatEvents.edited({ revisionId: uuid(1), edits: [{ type: 'removeWater', id: 'nowhere' }], label: 'x' }),
    );
    expect(state.unsent).toEqual([]);
    expect(state.notice).toContain('no water "nowhere"');
    expect(run(state, boatEvents.noticeRead()).notice).toBeNull();
  });

  it('is not changed, and sends nothing, by an edit that changes nothing', () => {
    expect(run(ready(), edited(1, { lengthM: 7.4 })).unsent).toEqual([]);
  });

  it('undoes and redoes by edits of their own, so that the history only grows', () => {
    const two = run(ready(), edited(1, { lengthM: 8 }), edited(2, { lengthM: 9 }));
    const undone = run(two, boatEvents.undone({ revisionId: uuid(3) }));
    expect([undone.plan?.boat.lengthM, undone.unsent.length, undone.undo.length, undone.redo.length]).toEqual([
      8, 3, 1, 1,
    ]);
    const redone = run(undone, boatEvents.redone({ revisionId: uuid(4) }));
    expect([redone.plan?.boat.lengthM, redone.unsent.length, redone.redo.length]).toEqual([9, 4, 0]);
    const other = run(undone, edited(5, { beamM: 3 }));
    expect(other.redo).toEqual([]);
    expect(run(ready(), boatEvents.undone({ revisionId: uuid(6) }))).toEqual(ready());
  });

  it('takes in what others changed elsewhere under its own unsent edits', () => {
    const state = run(
      ready(),
      edited(1, { lengthM: 8 }),
      serverEvents.othersChanged({ revisions: [revision(5, boat({ beamM: 3 }))] }),
    );
    expect([state.plan?.boat.lengthM, state.plan?.boat.beamM, state.number]).toEqual([8, 3, 5]);
    expect(state.unsent.length).toBe(1);
    expect(state.conflict).toBeNull();
    expect(state.notice).toContain('another window');
  });

  it('knows its own revisions among the news, and does not apply them twice', () => {
    const mine = run(ready(), edited(1, { lengthM: 8 }));
    const state = run(
      mine,
      serverEvents.othersChanged({
        revisions: [revision(5, boat({ lengthM: 8 }), uuid(1)), revision(6, boat({ beamM: 3 }))],
      }),
    );
    expect([state.plan?.boat.lengthM, state.plan?.boat.beamM, state.number, state.unsent.length]).toEqual([8, 3, 6, 0]);
    expect(run(state, serverEvents.othersChanged({ revisions: [revision(5, boat({ lengthM: 1 }))] })).plan).toEqual(
      state.plan,
    );
  });

  it('is not changed by a revision it has, nor by word of one that is not the first to be sent', () => {
    const known = revision(4, [{ type: 'removeWater', id: 'pool' }]);
    expect(run(ready(), serverEvents.othersChanged({ revisions: [known] }))).toEqual(ready());
    const two = run(ready(), edited(1, { lengthM: 8 }), edited(2, { beamM: 3 }));
    expect(run(two, acknowledgedAs(2, 5))).toBe(two);
  });

  it('takes back the newest of more steps than it remembers, and lets go one that has no place any more', () => {
    const many = Array.from({ length: 205 }, (_, i) => edited(i, { lengthM: 5 + i / 100 }));
    const undone = run(ready(), ...many, boatEvents.undone({ revisionId: uuid(900) }));
    expect(undone.plan?.boat.lengthM).toBeCloseTo(7.03, 9);
    expect(undone.undo.length).toBe(199);
    const removed = run(
      ready(),
      boatEvents.edited({ revisionId: uuid(1), edits: [{ type: 'removeWater', id: 'pool' }], label: 'remove' }),
      acknowledgedAs(1, 5),
    );
    const others = Array.from({ length: 60 }, (_, i): Edit => ({ type: 'addWater', id: `w${i}`, water: aWater() }));
    const full = run(removed, serverEvents.othersChanged({ revisions: [revision(6, others)] }));
    expect([full.conflict, full.undo.length]).toEqual([null, 1]);
    const refused = run(full, boatEvents.undone({ revisionId: uuid(2) }));
    expect([refused.plan, refused.undo]).toEqual([full.plan, []]);
    expect(refused.notice).toContain('At most 60');
  });

  it('drops undo steps that meet what others changed, and says so', () => {
    const two = run(
      ready(),
      edited(1, { lengthM: 8 }),
      acknowledgedAs(1, 5),
      edited(2, { beamM: 3 }),
      acknowledgedAs(2, 6),
    );
    const state = run(two, serverEvents.othersChanged({ revisions: [revision(7, boat({ beamM: 2 }))] }));
    expect(state.undo.map(({ label }) => label)).toEqual(['edit 1']);
    expect(state.notice).toContain('no longer be undone');
  });

  const conflicted = (): PlanState =>
    run(
      ready(),
      edited(1, { lengthM: 8, notes: 'mine' }),
      edited(2, { beamM: 3 }),
      serverEvents.othersChanged({ revisions: [revision(5, boat({ lengthM: 9 }))] }),
    );

  it('asks where both changed the same, and shows meanwhile what is clear', () => {
    const state = conflicted();
    expect(state.conflict?.conflicts).toEqual([{ path: ['boat', 'lengthM'], mine: 8, theirs: 9 }]);
    expect([state.plan?.boat.lengthM, state.plan?.boat.beamM, state.plan?.boat.notes]).toEqual([9, 3, 'mine']);
    expect(state.unsent).toEqual([]);
  });

  it('asks where an edit says a value that stood so already, and that was changed elsewhere since', () => {
    const before = ready();
    const own = run(before, edited(1, { lengthM: 8, beamM: before.plan?.boat.beamM ?? 0 }));
    expect(own.unsent[0]?.patches.map(({ path }) => path)).toEqual([['boat', 'lengthM']]);
    const others = run(own, serverEvents.othersChanged({ revisions: [revision(5, boat({ beamM: 3 }))] }));
    expect(others.conflict?.conflicts).toEqual([{ path: ['boat', 'beamM'], mine: before.plan?.boat.beamM, theirs: 3 }]);
    const theirs = run(others, boatEvents.conflictSettled({ revisionId: uuid(9), mine: [], replaces: [] }));
    expect([theirs.plan?.boat.lengthM, theirs.plan?.boat.beamM]).toEqual([8, 3]);
  });

  it('settles by field, mine or theirs, in one edit on top of what is kept', () => {
    const mine = run(
      conflicted(),
      boatEvents.conflictSettled({ revisionId: uuid(9), mine: [['boat', 'lengthM']], replaces: [] }),
    );
    expect([mine.plan?.boat.lengthM, mine.plan?.boat.beamM, mine.conflict]).toEqual([8, 3, null]);
    expect(mine.unsent.map(({ revisionId }) => revisionId)).toEqual([uuid(9)]);
    const theirs = run(conflicted(), boatEvents.conflictSettled({ revisionId: uuid(9), mine: [], replaces: [] }));
    expect([theirs.plan?.boat.lengthM, theirs.plan?.boat.beamM, theirs.plan?.boat.notes]).toEqual([9, 3, 'mine']);
    const later = run(
      conflicted(),
      edited(4, { draughtM: 0.6 }),
      boatEvents.conflictSettled({ revisionId: uuid(9), mine: [], replaces: [] }),
    );
    expect([later.plan?.boat.draughtM, later.unsent.length]).toEqual([0.6, 2]);
  });

  it('lets go a change to what is no longer there', () => {
    const state = run(
      ready(),
      boatEvents.edited({
        revisionId: uuid(1),
        edits: [{ type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.3 } }],
        label: 'move',
      }),
      serverEvents.othersChanged({
        revisions: [
          { ...revision(5, [{ type: 'removeTransducer', id: 'a-wide' }]), paths: [['transducers', 'a-wide']] },
        ],
      }),
    );
    expect(state.conflict?.conflicts[0]?.theirs).toBeUndefined();
    const settled = run(
      state,
      boatEvents.conflictSettled({
        revisionId: uuid(9),
        mine: [['transducers', 'a-wide', 'aboveKeelM']],
        replaces: [],
      }),
    );
    expect(settled.plan?.transducers['a-wide']).toBeUndefined();
    expect(settled.unsent).toEqual([]);
    expect(settled.notice).toContain('no longer there');
  });

  it('keeps what met nothing when a choice of its own has no place any more, and says which', () => {
    const state = run(
      ready(),
      boatEvents.edited({
        revisionId: uuid(1),
        edits: [
          { type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.3 } },
          { type: 'describeBoat', changes: { lengthM: 8 } },
        ],
        label: 'move',
      }),
      edited(2, { beamM: 3 }),
      serverEvents.othersChanged({
        revisions: [
          { ...revision(5, [{ type: 'removeTransducer', id: 'a-wide' }]), paths: [['transducers', 'a-wide']] },
        ],
      }),
      boatEvents.conflictSettled({
        revisionId: uuid(9),
        mine: [['transducers', 'a-wide', 'aboveKeelM']],
        replaces: [uuid(1), uuid(2)],
      }),
    );
    expect([state.plan?.boat.lengthM, state.plan?.boat.beamM]).toEqual([8, 3]);
    expect(state.unsent.map(({ revisionId }) => revisionId)).toEqual([uuid(9)]);
    expect(state.notice).toContain('no longer there');
  });

  it('goes on asking while more is changed elsewhere, and asks about that too', () => {
    const state = run(conflicted(), serverEvents.othersChanged({ revisions: [revision(6, boat({ beamM: 2 }))] }));
    expect(state.conflict?.conflicts.map(({ path, theirs }) => [path.join('.'), theirs])).toEqual([
      ['boat.lengthM', 9],
      ['boat.beamM', 2],
    ]);
    expect([state.plan?.boat.beamM, state.plan?.boat.notes, state.number]).toEqual([2, 'mine', 6]);
    const mine = run(
      state,
      boatEvents.conflictSettled({ revisionId: uuid(9), mine: [['boat', 'beamM']], replaces: [] }),
    );
    expect([mine.plan?.boat.lengthM, mine.plan?.boat.beamM, mine.unsent[0]?.base]).toEqual([9, 3, 6]);
  });

  it('keeps waiting what is made while a boat whose file was replaced is opened again, and asks about it', () => {
    const state = run(
      ready(),
      edited(1, { lengthM: 8 }),
      serverEvents.boatLoaded({ boat: opened(undefined, 2), unsent: [], stuck: [], since: [revision(2, [])] }),
    );
    expect(state.conflict?.conflicts.map(({ path, mine }) => [path.join('.'), mine])).toEqual([['boat.lengthM', 8]]);
    expect(state.conflict?.replaces).toEqual([uuid(1)]);
    expect(run(ready(), edited(1, { lengthM: 8 }), boatEvents.boatChosen({ id: 'other' })).unsent).toEqual([]);
  });

  it('leaves nothing to choose where both came to the same, and lets what met go', () => {
    const asked = run(
      ready(),
      edited(1, { lengthM: 7 }),
      edited(2, { lengthM: 8, beamM: 3 }),
      serverEvents.othersChanged({ revisions: [revision(5, boat({ lengthM: 8 }))] }),
    );
    expect([asked.conflict?.conflicts, asked.plan?.boat.lengthM, asked.unsent]).toEqual([[], 8, []]);
    const state = run(asked, boatEvents.conflictSettled({ revisionId: uuid(9), mine: [], replaces: [] }));
    expect([state.conflict, state.notice, state.plan?.boat.lengthM, state.plan?.boat.beamM]).toEqual([
      null,
      null,
      8,
      3,
    ]);
    expect(state.unsent.map(({ revisionId }) => revisionId)).toEqual([uuid(9)]);
    expect(state.unsent[0]?.patches.map(({ path }) => path)).toEqual([['boat', 'beamM']]);
  });

  it('builds each edit on the revision it was made on, by number and id, and moves it up with what is kept', () => {
    const two = run(ready(), edited(1, { lengthM: 8 }), edited(2, { beamM: 3 }));
    expect(two.unsent.map(({ base, baseId }) => [base, baseId])).toEqual(two.unsent.map(() => [4, idOf(4)]));
    expect(run(two, acknowledgedAs(1, 5)).unsent.map(({ base, baseId }) => [base, baseId])).toEqual([[5, uuid(1)]]);
    const others = run(two, serverEvents.othersChanged({ revisions: [revision(5, boat({ draughtM: 0.6 }))] }));
    expect(others.unsent.map(({ base, baseId }) => [base, baseId])).toEqual(others.unsent.map(() => [5, idOf(5)]));
  });

  it('knows that it is behind, and that the boat was deleted elsewhere, from the news of its own boat', () => {
    const news = (number: number, removed = false, boatId = 'test-hull') =>
      serverEvents.newsHeard({ news: { boatId, number, revisionId: null, removed } });
    expect(run(ready(), news(9, false, 'other')).heard).toBe(4);
    const behind = run(ready(), news(6));
    expect([behind.heard, behind.number, behind.gone]).toEqual([6, 4, false]);
    expect(run(behind, news(6, true)).gone).toBeTrue();
    expect(run(behind, news(6, true), news(6)).gone).toBeFalse();
    const told = serverEvents.sendingFailed({ problem: { status: 0, detail: 'x', body: { deleted: true } } });
    expect(run(ready(), told).gone).toBeTrue();
  });

  it('waits with what is unsent while the server does not answer', () => {
    const waiting = run(
      ready(),
      edited(1, { lengthM: 8 }),
      serverEvents.sendingFailed({ problem: { status: 0, detail: 'no server', body: null } }),
    );
    expect([waiting.waiting?.detail, waiting.unsent.length]).toEqual(['no server', 1]);
    expect(run(waiting, acknowledgedAs(1, 5)).waiting).toBeNull();
  });

  it('puts aside what the server refuses, and keeps the rest', () => {
    const state = run(
      ready(),
      edited(1, { lengthM: 8 }),
      edited(2, { beamM: 3 }),
      serverEvents.revisionRefused({ revisionId: uuid(1), detail: 'no' }),
    );
    expect([state.plan?.boat.lengthM, state.plan?.boat.beamM, state.unsent.length]).toEqual([7.4, 3, 1]);
    expect(state.stuck.map(({ revisionId, reason }) => [revisionId, reason])).toEqual([[uuid(1), 'no']]);
    expect(state.notice).toContain('refused');
  });
});
