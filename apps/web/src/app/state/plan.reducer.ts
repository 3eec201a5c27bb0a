import { applyEdits, replayEdits, touches, undoing } from '@grey-keel/core';
import type { Edit, Path, Plan, Revision } from '@grey-keel/model';
import { createFeature, createReducer, on } from '@ngrx/store';
import { saysDeleted } from '../api/problem.ts';
import { chosenPatches, everywhere, openConflict, whatFits } from './conflict.ts';
import { pathsInWords } from './path-in-words.ts';
import { boatEvents, outboxEvents, serverEvents } from './plan.actions.ts';
import { noPlan, type PlanState, type Stuck, type Unsent, type UndoStep } from './plan.state.ts';
import { replay } from './replay.ts';

const undoDepth = 200;

const push = (steps: readonly UndoStep[], step: UndoStep): UndoStep[] => [...steps, step].slice(-undoDepth);

interface Change {
  readonly revisionId: string;
  readonly edits: Edit[];
  readonly undo: (step: UndoStep['patches']) => Pick<PlanState, 'undo' | 'redo'>;
}

const changed = (state: PlanState, { revisionId, edits, undo }: Change): PlanState => {
  if (!state.plan) return state;
  const applied = applyEdits(state.plan, edits);
  if (!applied.ok) return { ...state, notice: applied.errors[0]?.message ?? 'That cannot be done.' };
  if (applied.patches.length === 0) return state;
  return {
    ...state,
    plan: applied.plan,
    unsent: [
      ...state.unsent,
      { revisionId, edits, patches: [...applied.patches], base: state.number, baseId: state.revisionId },
    ],
    ...undo([...applied.inverse]),
    notice: null,
  };
};

const stepping = (state: PlanState, revisionId: string, from: 'undo' | 'redo'): PlanState => {
  const step = state[from][state[from].length - 1];
  if (!step) return state;
  const to = from === 'undo' ? 'redo' : 'undo';
  const rest = state[from].slice(0, -1);
  const after = changed(state, {
    revisionId,
    edits: undoing(step.patches),
    undo: (patches) =>
      ({ [from]: rest, [to]: push(state[to], { label: step.label, patches }) }) as Pick<PlanState, 'undo' | 'redo'>,
  });
  return after.plan === state.plan ? { ...after, [from]: rest } : after;
};

const withoutMet = (steps: readonly UndoStep[], paths: readonly Path[]): UndoStep[] =>
  steps.filter(({ patches }) => !touches(patches, paths));

/** What is said of edits that came to be stuck. */
const stuckNotice = (stuck: readonly Stuck[]): string =>
  `${stuck.length === 1 ? 'One change' : `${stuck.length} changes`} made here no longer fit, and wait aside to be exported or dropped: ${stuck[0]?.reason ?? ''}`;

/**
 * Puts what waits here on top of a plan that was kept: as it is where nothing was changed elsewhere in the same places,
 * as a question where something was, even one that answers itself. `paths` are those places, for what waits and for a question that is open already.
 */
const onTop = (
  state: PlanState,
  kept: Plan,
  { unsent, paths }: { readonly unsent: readonly Unsent[]; readonly paths: readonly Path[] },
): PlanState => {
  const base = { number: state.number, revisionId: state.revisionId };
  const asked = state.conflict;
  const patches = unsent.flatMap((entry) => entry.patches);
  // What it said before in a place that stood so already would now take back what was changed there.
  const taking = replay(kept, unsent, base)
    .unsent.flatMap((entry) => entry.patches)
    .filter((patch) => touches([patch], paths) && !touches(patches, [patch.path]));
  const meets = taking.length > 0 || touches(patches, paths);
  const opened =
    asked || meets
      ? openConflict(kept, {
          mine: [...(asked?.mine ?? []), ...(meets ? [...patches, ...taking] : [])],
          paths: [...(asked?.paths ?? []), ...paths],
          replaces: [...(asked?.replaces ?? []), ...(meets ? unsent.map(({ revisionId }) => revisionId) : [])],
        })
      : null;
  const { plan, unsent: again, stuck } = replay(opened?.plan ?? kept, meets ? [] : unsent, base);
  return {
    ...state,
    kept,
    plan,
    conflict: opened?.conflict ?? null,
    unsent: again,
    stuck: [...state.stuck, ...stuck],
    notice: stuck.length ? stuckNotice(stuck) : state.notice,
  };
};

/** Takes in what others have kept meanwhile: under the unsent edits where they do not meet, as a conflict where they do. */
const taken = (state: PlanState, revisions: readonly Revision[]): PlanState => {
  if (!state.kept) return state;
  const news = revisions.filter(({ number }) => number > state.number).sort((a, b) => a.number - b.number);
  const last = news[news.length - 1];
  if (!last) return state;
  let kept = state.kept;
  for (const { edits } of news) {
    const applied = replayEdits(kept, edits);
    if (!applied.ok) return { ...state, problem: 'What was saved elsewhere cannot be followed; open the boat again.' };
    kept = applied.plan;
  }
  const own = new Set([...state.unsent.map(({ revisionId }) => revisionId), ...(state.conflict?.replaces ?? [])]);
  const arrived = new Set(news.map(({ revisionId }) => revisionId));
  const theirs = news.filter(({ revisionId }) => !own.has(revisionId));
  const paths = theirs.flatMap((revision) => revision.paths);
  const undo = withoutMet(state.undo, paths);
  const dropped = undo.length < state.undo.length;
  const notice =
    theirs.length === 0
      ? state.notice
      : `Changed in another window: ${pathsInWords(kept, paths)}.${dropped ? ' What was undone there can no longer be undone here.' : ''}`;
  const moved: PlanState = {
    ...state,
    number: last.number,
    revisionId: last.revisionId,
    heard: Math.max(state.heard, last.number),
    keptAt: last.keptAt,
    undo,
    redo: withoutMet(state.redo, paths),
    notice,
  };
  return onTop(moved, kept, { unsent: state.unsent.filter(({ revisionId }) => !arrived.has(revisionId)), paths });
};

/** The places that were changed since an edit was made, by others than whoever made it. */
const changedSince = ({ base, baseId }: Unsent, since: readonly Revision[], own: ReadonlySet<string>): Path[] => {
  const at = since.find(({ number }) => number === base);
  // A base that this history does not have: an older file was restored. Everything may have changed.
  if (base > 0 && at?.revisionId !== baseId) return [everywhere];
  return since.flatMap(({ number, revisionId, paths }) => (number > base && !own.has(revisionId) ? paths : []));
};

/** Takes in edits that were made before, here or in a window that was closed, on top of what is kept now. */
const takenUp = (
  state: PlanState,
  kept: Plan,
  { unsent, stuck, since }: { unsent: readonly Unsent[]; stuck: readonly Stuck[]; since: readonly Revision[] },
): PlanState => {
  const known = new Set([...state.unsent, ...state.stuck].map(({ revisionId }) => revisionId));
  const arrived = new Set(since.map(({ revisionId }) => revisionId));
  const own = new Set(unsent.map(({ revisionId }) => revisionId));
  const waiting = unsent.filter(({ revisionId }) => !arrived.has(revisionId) && !known.has(revisionId));
  const past = since.filter(({ number }) => number <= state.number);
  const paths = waiting.flatMap((entry) => {
    const meeting = changedSince(entry, past, own);
    return touches(entry.patches, meeting) ? meeting : [];
  });
  const before = { ...state, stuck: [...state.stuck, ...stuck.filter(({ revisionId }) => !known.has(revisionId))] };
  return waiting.length === 0 ? before : onTop(before, kept, { unsent: [...state.unsent, ...waiting], paths });
};

/** What was made here while the boat was opened again, as it is where the server's file was replaced. */
const madeMeanwhile = (state: PlanState, unsent: readonly Unsent[]): Unsent[] =>
  state.unsent.filter(({ revisionId }) => !unsent.some((one) => one.revisionId === revisionId));

/** Puts together what was clear and what was chosen; a choice that no longer has a place to go is let go, and said. */
const settled = (state: PlanState, revisionId: string, mine: readonly Path[]): PlanState => {
  if (!state.conflict || !state.kept) return state;
  const base = { number: state.number, revisionId: state.revisionId };
  const { edits, left } = whatFits(state.kept, chosenPatches(state.conflict, mine));
  const first: Unsent[] = edits.length
    ? [{ revisionId, edits, patches: [], base: base.number, baseId: base.revisionId }]
    : [];
  const { stuck, ...again } = replay(state.kept, [...first, ...state.unsent], base);
  return {
    ...state,
    ...again,
    stuck: [...state.stuck, ...stuck],
    conflict: null,
    notice: stuck.length
      ? stuckNotice(stuck)
      : left.length
        ? `What was changed here is no longer there, so that the other change stands: ${pathsInWords(
            state.kept,
            left.map(({ path }) => path),
          )}. Everything else that was changed here stands.`
        : null,
  };
};

export const planFeature = createFeature({
  name: 'plan',
  reducer: createReducer(
    noPlan,
    on(boatEvents.boatChosen, (_state, { id }): PlanState => ({ ...noPlan, status: 'loading', boatId: id })),
    on(serverEvents.boatNotFound, (state): PlanState => ({ ...state, status: 'not found' })),
    on(serverEvents.boatNotLoaded, (state, { problem }): PlanState => ({
      ...state,
      status: 'failed',
      problem: problem.detail,
    })),
    on(boatEvents.boatClosed, (): PlanState => noPlan),
    on(serverEvents.boatLoaded, (state, { boat, unsent, stuck, since }): PlanState =>
      takenUp(
        {
          ...noPlan,
          status: 'ready',
          boatId: state.boatId,
          number: boat.number,
          revisionId: boat.revisionId,
          heard: boat.number,
          keptAt: boat.keptAt,
          kept: boat.plan,
          plan: boat.plan,
        },
        boat.plan,
        { unsent: [...unsent, ...madeMeanwhile(state, unsent)], stuck, since },
      ),
    ),
    on(outboxEvents.leftTakenUp, (state, left): PlanState => (state.kept ? takenUp(state, state.kept, left) : state)),
    on(serverEvents.newsHeard, (state, { news }): PlanState =>
      news.boatId === state.boatId
        ? { ...state, heard: Math.max(state.heard, news.number), gone: news.removed }
        : state,
    ),
    on(boatEvents.edited, (state, { revisionId, edits, label }): PlanState =>
      changed(state, {
        revisionId,
        edits,
        undo: (patches) => ({ undo: push(state.undo, { label, patches }), redo: [] }),
      }),
    ),
    on(boatEvents.stepsRecalled, (state, { undo, redo }): PlanState => ({ ...state, undo, redo })),
    on(boatEvents.undone, (state, { revisionId }): PlanState => stepping(state, revisionId, 'undo')),
    on(boatEvents.redone, (state, { revisionId }): PlanState => stepping(state, revisionId, 'redo')),
    on(serverEvents.revisionKept, (state, { kept }): PlanState => {
      const [first, ...rest] = state.unsent;
      if (!state.kept || first?.revisionId !== kept.revisionId) return state;
      const applied = replayEdits(state.kept, first.edits);
      if (!applied.ok) return state;
      const { number, revisionId, keptAt } = kept;
      return {
        ...state,
        kept: applied.plan,
        number,
        revisionId,
        heard: Math.max(state.heard, number),
        keptAt,
        unsent: rest.map((entry) => ({ ...entry, base: number, baseId: revisionId })),
        waiting: null,
        gone: false,
      };
    }),
    on(serverEvents.othersChanged, (state, { revisions }): PlanState => taken({ ...state, waiting: null }, revisions)),
    on(boatEvents.conflictSettled, (state, { revisionId, mine }): PlanState => settled(state, revisionId, mine)),
    on(serverEvents.sendingFailed, (state, { problem }): PlanState => ({
      ...state,
      waiting: problem,
      gone: state.gone || saysDeleted(problem),
    })),
    on(serverEvents.revisionRefused, (state, { revisionId, detail }): PlanState => {
      const entry = state.unsent.find((one) => one.revisionId === revisionId);
      if (!state.kept || !entry) return state;
      const refused: Stuck = { ...entry, reason: detail };
      const rest = state.unsent.filter((one) => one !== entry);
      const next = onTop({ ...state, stuck: [...state.stuck, refused] }, state.kept, { unsent: rest, paths: [] });
      return { ...next, undo: [], redo: [], waiting: null, notice: `The server refused a change: ${detail}` };
    }),
    on(boatEvents.stuckDropped, (state, { revisionId }): PlanState => ({
      ...state,
      stuck: state.stuck.filter((one) => one.revisionId !== revisionId),
    })),
    on(outboxEvents.told, (state, { words }): PlanState => ({ ...state, notice: words })),
    on(boatEvents.noticeRead, (state): PlanState => ({ ...state, notice: null })),
  ),
});
