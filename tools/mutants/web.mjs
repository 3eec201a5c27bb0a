/** Small wrong changes to the store of the open boat: what waits, what is asked, what can be undone. */
export const mutants = [
  { file: 'plan.reducer.ts', from: '.slice(-undoDepth)', to: '.slice(0, undoDepth)' },
  { file: 'plan.reducer.ts', from: 'if (applied.patches.length === 0) return state;', to: '' },
  {
    file: 'plan.reducer.ts',
    from: 'return after.plan === state.plan ? { ...after, [from]: rest } : after;',
    to: 'return after;',
  },
  { file: 'plan.reducer.ts', from: 'taking.length > 0 || touches(patches, paths)', to: 'touches(patches, paths)' },
  { file: 'plan.reducer.ts', from: 'meets ? [] : unsent, base', to: 'unsent, base' },
  { file: 'plan.reducer.ts', from: 'number > state.number)', to: 'number >= state.number)' },
  { file: 'plan.reducer.ts', from: 'at?.revisionId !== baseId', to: 'at?.revisionId === baseId' },
  {
    file: 'plan.reducer.ts',
    from: '(number > base && !own.has(revisionId)',
    to: '(number > base + 1 && !own.has(revisionId)',
  },
  { file: 'plan.reducer.ts', from: '(number > base && !own.has(revisionId)', to: '(number > base' },
  {
    file: 'plan.reducer.ts',
    from: '!arrived.has(revisionId) && !known.has(revisionId)',
    to: '!arrived.has(revisionId)',
  },
  { file: 'plan.reducer.ts', from: '!arrived.has(revisionId) && !known.has(revisionId)', to: '!known.has(revisionId)' },
  {
    file: 'plan.reducer.ts',
    from: 'state.unsent.filter(({ revisionId }) => !unsent.some((one) => one.revisionId === revisionId));',
    to: '[];',
  },
  { file: 'plan.reducer.ts', from: 'first?.revisionId !== kept.revisionId', to: 'first === undefined' },
  {
    file: 'plan.reducer.ts',
    from: 'unsent: rest.map((entry) => ({ ...entry, base: number, baseId: revisionId })),',
    to: 'unsent: rest,',
  },
  { file: 'plan.reducer.ts', from: '!touches(patches, paths));', to: 'touches(patches, paths));' },
  { file: 'plan.reducer.ts', from: 'gone: state.gone || saysDeleted(problem),', to: 'gone: state.gone,' },
  { file: 'plan.reducer.ts', from: 'news.boatId === state.boatId', to: 'news.boatId !== ""' },
  { file: 'replay.ts', from: '    plan = applied.plan;\n', to: '' },
  { file: 'replay.ts', from: ', base: base.number, baseId: base.revisionId', to: '' },
  { file: 'conflict.ts', from: '!conflicting.includes(patch) || ', to: '' },
  { file: 'conflict.ts', from: '} else left.push(patch);', to: '}' },
];
