/** Small wrong changes to the model: what is stored, what is refused, and how older plans are read. */
export const mutants = [
  { file: 'plan/upgrade.ts', from: 'if (version > target)', to: 'if (version > target + 1)' },
  { file: 'plan/upgrade.ts', from: 'plan = { ...step(plan), version };', to: 'plan = { version, ...step(plan) };' },
  { file: 'plan/upgrade.ts', from: 'if (!step) throw', to: 'if (!steps) throw' },
  {
    file: 'plan/upgrade.ts',
    from: '3: (plan) => ({\n    ...plan,\n    equipment: {},',
    to: '3: (plan) => ({\n    ...plan,',
  },
  { file: 'plan/upgrade.ts', from: '5: (plan) => ({ ...plan, loadings: {} }),', to: '5: (plan) => plan,' },
  {
    file: 'plan/plan.ts',
    from: '    ...Object.values(depthOffsets).flatMap(({ readings }) => Object.values(readings)),',
    to: '    ...Object.values(depthOffsets).slice(1e9).flatMap(({ readings }) => Object.values(readings)),',
  },
  { file: 'plan/id.ts', from: '(?!constructor$)', to: '' },
  { file: 'plan/id.ts', from: 'Object.keys(record).length <= most', to: 'Object.keys(record).length <= most + 1' },
  { file: 'plan/id.ts', from: '/[^\\s\\p{C}]/u', to: '/[^\\s]/u' },
  { file: 'plan/id.ts', from: '/^[^\\p{Cc}\\p{Cs}', to: '/^[^\\p{Cs}' },
  { file: 'edits/edit.ts', from: '__proto__|', to: '' },
  { file: 'edits/edit.ts', from: 'length|', to: '' },
  { file: 'fields/field-words.ts', from: 'return at.valueType;', to: 'return at.keyType;' },
  { file: 'fields/field-words.ts', from: 'schema instanceof z.ZodNullable || ', to: '' },
  { file: 'fields/field-words.ts', from: '.find((found) => found !== null) ?? null', to: '[0] ?? null' },
  { file: 'plan/plan.ts', from: 'practice === true ||', to: 'true ||' },
  { file: 'live/instruments.ts', from: '172\\\\.(?:1[6-9]|2', to: '172\\\\.(?:1[6-9]|[2-9]' },
  { file: 'plan/upgrade.ts', from: 'over: [one.over]', to: 'over: one.over' },
];
