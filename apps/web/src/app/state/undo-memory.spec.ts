import { emptyPlan } from '@grey-keel/model';
import { noPlan, type PlanState } from './plan.state.ts';
import { UndoMemory } from './undo-memory.ts';

describe('what can be undone', () => {
  const memory = new UndoMemory();
  const revisionId = 'a0000000-0000-4000-8000-000000000001';
  const step = { label: 'a draught', patches: [{ op: 'replace' as const, path: ['boat', 'draughtM'], value: 0.5 }] };
  const plan = emptyPlan('Tern');
  const state: PlanState = { ...noPlan, status: 'ready', boatId: 'tern', revisionId, plan, kept: plan, undo: [step] };
  afterEach(() => sessionStorage.clear());

  it('is there again after a reload of the same boat on the same change, sent or not', () => {
    memory.write(state);
    expect(memory.read({ ...state, undo: [] })).toEqual({ undo: [step], redo: [] });
    const waiting = { revisionId: 'b', edits: [], patches: [], base: 1, baseId: revisionId };
    memory.write({ ...state, unsent: [waiting] });
    // It arrived meanwhile.
    expect(memory.read({ ...state, undo: [], revisionId: 'b' })?.undo).toEqual([step]);
  });

  it('is let go where anything else came in between, on another boat, and where it cannot be read', () => {
    memory.write(state);
    expect(memory.read({ ...state, revisionId: 'other' })).toBeNull();
    expect(memory.read({ ...state, boatId: 'skua' })).toBeNull();
    // Nothing to undo is nothing to remember: what was there stays for the reload that is under way.
    memory.write({ ...state, undo: [] });
    expect(memory.read(state)).not.toBeNull();
    // The program was updated meanwhile, and a place may be called otherwise.
    const kept = JSON.parse(sessionStorage.getItem('grey-keel-undo') ?? '') as { planVersion: number };
    sessionStorage.setItem('grey-keel-undo', JSON.stringify({ ...kept, planVersion: kept.planVersion - 1 }));
    expect(memory.read(state)).toBeNull();
    sessionStorage.setItem('grey-keel-undo', '{');
    expect(memory.read(state)).toBeNull();
  });
});
