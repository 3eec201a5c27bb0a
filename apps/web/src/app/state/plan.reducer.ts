import { applyEdits, overlaps, splitPatches, touches, undoing } from '@grey-keel/core';
import type { Edit, Path, Plan, Revision } from '@grey-keel/model';
import { createFeature, createReducer, on } from '@ngrx/store';
import { pathsInWords } from './path-in-words.ts';
import { planEvents } from './plan.actions.ts';
import { noPlan, type PlanState, type Unsent, type UndoStep } from './plan.state.ts';

const undoDepth = 200;

const push = (steps: readonly UndoStep[], step: UndoStep): UndoStep[] => [...steps, step].slice(-undoDepth);

/** The plan with unsent edits on top, or the first of them that no longer applies. */
const replay = (kept: Plan, unsent: readonly Unsent[]): { plan: Plan; unsent: Unsent[] } | null => {
  let plan = kept;
  const again: Unsent[] = [];
  for (const { revisionId, edits } of unsent) {
    const applied = applyEdits(plan, edits);
    if (!applied.ok) return null;
    plan = applied.plan;
    again.push({ revisionId, edits, patches: [...applied.patches] });
  }
  return { plan, unsent: again };
};

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
    unsent: [...state.unsent, { revisionId, edits, patches: [...applied.patches] }],
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

/** Takes in what others have kept meanwhile: under the unsent edits where they do not meet, as a clash where they do. */
const taken = (state: PlanState, revisions: readonly Revision[]): PlanState => {
  if (!state.kept) return state;
  const news = revisions.filter(({ number }) => number > state.number).sort((a, b) => a.number - b.number);
  const last = news[news.length - 1];
  if (!last) return state;
  const kept = replay(
    state.kept,
    news.map(({ revisionId, edits }) => ({ revisionId, edits, patches: [] })),
  )?.plan;
  if (!kept) return { ...state, problem: 'What was kept elsewhere cannot be followed; open the boat again.' };

  const own = new Set(state.unsent.map(({ revisionId }) => revisionId));
  const arrived = new Set(news.map(({ revisionId }) => revisionId));
  const unsent = state.unsent.filter(({ revisionId }) => !arrived.has(revisionId));
  const theirs = news.filter(({ revisionId }) => !own.has(revisionId));
  const paths = theirs.flatMap((revision) => revision.paths);
  const base: PlanState = { ...state, kept, number: last.number, keptAt: last.keptAt };
  const undo = withoutMet(state.undo, paths);
  const redo = withoutMet(state.redo, paths);
  const dropped = undo.length < state.undo.length;
  const notice =
    theirs.length === 0
      ? state.notice
      : `Changed in another window: ${pathsInWords(kept, paths)}.${dropped ? ' What was undone there can no longer be undone here.' : ''}`;

  const mine = unsent.flatMap(({ patches }) => patches);
  const again = touches(mine, paths) ? null : replay(kept, unsent);
  if (again) return { ...base, ...again, undo, redo, notice };

  const { clear, clashing, clashes } = splitPatches(mine, paths, kept);
  const cleared = clear.length ? applyEdits(kept, undoing(clear)) : null;
  return {
    ...base,
    plan: cleared?.ok ? cleared.plan : kept,
    unsent: [],
    undo,
    redo,
    notice,
    clash: { clear, clashing, clashes, replaces: unsent.map(({ revisionId }) => revisionId) },
  };
};

/** Puts together what was clear and what was chosen; a choice that no longer has a place to go is let go. */
const settled = (state: PlanState, revisionId: string, mine: readonly Path[]): PlanState => {
  if (!state.clash || !state.kept) return state;
  const chosen = state.clash.clashing.filter(({ path }) => mine.some((own) => overlaps(own, path)));
  const wanted = [...state.clash.clear, ...chosen];
  const applied = wanted.length ? applyEdits(state.kept, undoing(wanted)) : null;
  const first: Unsent[] = applied?.ok ? [{ revisionId, edits: undoing(wanted), patches: [...applied.patches] }] : [];
  const again = replay(state.kept, [...first, ...state.unsent]) ?? { plan: state.kept, unsent: [] };
  return {
    ...state,
    ...again,
    clash: null,
    notice: applied && !applied.ok ? 'What you changed is no longer there; the other change stands.' : null,
  };
};

export const planFeature = createFeature({
  name: 'plan',
  reducer: createReducer(
    noPlan,
    on(planEvents.boatChosen, (_state, { id }): PlanState => ({ ...noPlan, status: 'loading', boatId: id })),
    on(planEvents.boatNotFound, (state): PlanState => ({ ...state, status: 'not found' })),
    on(planEvents.boatNotLoaded, (state, { problem }): PlanState => ({
      ...state,
      status: 'failed',
      problem: problem.detail,
    })),
    on(planEvents.boatClosed, (): PlanState => noPlan),
    on(planEvents.boatLoaded, (state, { boat, unsent, since }): PlanState => {
      const arrived = new Set(since.map(({ revisionId }) => revisionId));
      const waiting = unsent.filter(({ revisionId }) => !arrived.has(revisionId));
      const loaded: PlanState = {
        ...noPlan,
        status: 'ready',
        boatId: state.boatId,
        number: boat.number,
        keptAt: boat.keptAt,
        kept: boat.plan,
        plan: boat.plan,
      };
      const mine = waiting.flatMap(({ patches }) => patches);
      const paths = since
        .filter(({ revisionId }) => !unsent.some((own) => own.revisionId === revisionId))
        .flatMap((revision) => revision.paths);
      const again = touches(mine, paths) ? null : replay(boat.plan, waiting);
      if (again) return { ...loaded, ...again };
      const { clear, clashing, clashes } = splitPatches(mine, paths, boat.plan);
      const cleared = clear.length ? applyEdits(boat.plan, undoing(clear)) : null;
      return {
        ...loaded,
        plan: cleared?.ok ? cleared.plan : boat.plan,
        clash: { clear, clashing, clashes, replaces: waiting.map(({ revisionId }) => revisionId) },
      };
    }),
    on(planEvents.edited, (state, { revisionId, edits, label }): PlanState =>
      changed(state, {
        revisionId,
        edits,
        undo: (patches) => ({ undo: push(state.undo, { label, patches }), redo: [] }),
      }),
    ),
    on(planEvents.undone, (state, { revisionId }): PlanState => stepping(state, revisionId, 'undo')),
    on(planEvents.redone, (state, { revisionId }): PlanState => stepping(state, revisionId, 'redo')),
    on(planEvents.revisionKept, (state, { kept }): PlanState => {
      const [first, ...rest] = state.unsent;
      if (!state.kept || first?.revisionId !== kept.revisionId) return state;
      const applied = applyEdits(state.kept, first.edits);
      if (!applied.ok) return state;
      return {
        ...state,
        kept: applied.plan,
        number: kept.number,
        keptAt: kept.keptAt,
        unsent: rest,
        waiting: null,
      };
    }),
    on(planEvents.othersChanged, (state, { revisions }): PlanState => taken({ ...state, waiting: null }, revisions)),
    on(planEvents.clashSettled, (state, { revisionId, mine }): PlanState => settled(state, revisionId, mine)),
    on(planEvents.sendingFailed, (state, { problem }): PlanState => ({ ...state, waiting: problem })),
    on(planEvents.revisionRefused, (state, { revisionId, detail }): PlanState => {
      if (!state.kept) return state;
      const rest = state.unsent.filter((one) => one.revisionId !== revisionId);
      const again = replay(state.kept, rest) ?? { plan: state.kept, unsent: [] };
      return {
        ...state,
        ...again,
        undo: [],
        redo: [],
        waiting: null,
        notice: `The server refused a change: ${detail}`,
      };
    }),
    on(planEvents.noticeRead, (state): PlanState => ({ ...state, notice: null })),
  ),
});
