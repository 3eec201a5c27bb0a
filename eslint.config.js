import ngrx from '@ngrx/eslint-plugin/v9';
import angular from 'angular-eslint';
import boundaries from 'eslint-plugin-boundaries';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';
import { retiredWords } from './tools/retired-words.mjs';

/**
 * The folders of the core, from the ground up: each may use what stands before it, so that no cycle can arise. The stages
 * stand beside each other: none knows another, the job knows them all.
 */
const coreFolders = [
  'units',
  'calculation',
  'water',
  'plan',
  'acoustics',
  'beams',
  'pages',
  'keys',
  'network',
  'advice',
  'drill',
  'power',
  'fit',
  'edits',
  'sources',
  'calibration',
  'instruments',
  'simulated-boat',
  'alarms',
  'interference',
  'handover',
  'sheets',
  'findings',
];
const coreElement = (folder) => ({ type: `core/${folder}`, pattern: `packages/core/src/${folder}/**`, mode: 'full' });
const coreLayers = [
  { type: 'core/tests', pattern: ['packages/core/src/**/*.spec.ts', 'packages/core/src/**/testing/**'], mode: 'full' },
  ...coreFolders.map(coreElement),
  // Each stage is one of its own.
  { type: 'core/stage', pattern: 'packages/core/src/stages/*/**', mode: 'full', capture: ['stage'] },
  ...['stages', 'job', 'exchange'].map(coreElement),
  { type: 'core', pattern: 'packages/core/src/**', mode: 'full' },
];
const allCore = coreLayers.map(({ type }) => type);
const coreRules = [
  { from: 'core/tests', allow: [...allCore, 'model'] },
  ...coreFolders.map((folder, i) => ({
    from: `core/${folder}`,
    allow: ['model', ...coreFolders.slice(0, i + 1).map((lower) => `core/${lower}`)],
  })),
  {
    from: 'core/stage',
    allow: [
      'model',
      ...coreFolders.map((lower) => `core/${lower}`),
      'core/stages',
      ['core/stage', { stage: '${from.stage}' }],
    ],
  },
  { from: 'core/stages', allow: ['model', ...coreFolders.map((lower) => `core/${lower}`)] },
  {
    from: 'core/job',
    allow: ['model', ...coreFolders.map((lower) => `core/${lower}`), 'core/stage', 'core/stages', 'core/job'],
  },
  {
    from: 'core/exchange',
    allow: ['model', ...coreFolders.map((lower) => `core/${lower}`), 'core/job', 'core/exchange'],
  },
  { from: 'core', allow: [...allCore.filter((type) => type !== 'core/tests'), 'model'] },
];

/** One way down: web and server to core, core to model. */
const layers = [
  { type: 'model', pattern: 'packages/model/src/**', mode: 'full' },
  ...coreLayers,
  { type: 'server', pattern: 'apps/server/src/**', mode: 'full' },
  // What the tests in the browser and the pictures walk over: data alone.
  {
    type: 'web/views',
    pattern: [
      'apps/web/src/app/stages/*/views.ts',
      'apps/web/src/app/stages/views.ts',
      'apps/web/src/app/stages/stage-views.ts',
    ],
    mode: 'full',
  },
  { type: 'web/stage', pattern: 'apps/web/src/app/stages/*/**', mode: 'full', capture: ['stage'] },
  { type: 'web', pattern: 'apps/web/src/**', mode: 'full' },
  { type: 'e2e', pattern: 'e2e/**', mode: 'full' },
  { type: 'tools', pattern: 'tools/**', mode: 'full' },
];

const wholeZod = {
  selector: 'ImportDeclaration[source.value="zod"] > ImportSpecifier[imported.name="z"]',
  message: "Write: import * as z from 'zod'. The named import brings every language's messages along.",
};

const noEnums = {
  selector: 'TSEnumDeclaration',
  message: 'Write a union of words, or take the type from a schema.',
};

/** Where what a device holds is stored is known to its reader, its edits and the list of its lines alone. */
const askHeldBy = [
  'MemberExpression[property.name=/^(held|resets)$/][object.name=/^(plan|draft)$/]',
  'MemberExpression[property.name=/^(held|resets)$/] > CallExpression.object[callee.property.name="plan"]',
  'VariableDeclarator[init.name=/^(plan|draft)$/] > ObjectPattern > Property[key.name=/^(held|resets)$/]',
].map((selector) => ({ selector, message: 'Ask heldBy: where what a device holds is stored is its business alone.' }));

/** What a pure package may not reach for. */
const impure = [
  {
    group: ['node:*', 'fs', 'path', 'http', 'crypto', '@angular/*', 'express', 'sequelize'],
    message: 'The core and the model are pure.',
  },
];
const impureGlobals = ['window', 'document', 'fetch', 'localStorage', 'process', 'setTimeout', 'setInterval'].map(
  (name) => ({ name, message: 'The core and the model are pure.' }),
);
const impureCalls = [
  { object: 'Math', property: 'random', message: 'Randomness comes from a seed that is handed in.' },
  { object: 'Date', property: 'now', message: 'The time is handed in.' },
];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/.angular/**', '**/node_modules/**', 'coverage/**', 'data/**', '**/replay-12.mjs'] },
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strictTypeChecked, ...tseslint.configs.stylisticTypeChecked],
    languageOptions: {
      parserOptions: {
        // Few programs, each with its files once: a service would read the core anew for every package.
        project: ['tsconfig.packages.json', 'tsconfig.programs.json', 'apps/web/tsconfig.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    plugins: { boundaries },
    settings: {
      'boundaries/elements': layers,
      'boundaries/include': ['packages/*/src/**', 'apps/*/src/**', 'e2e/**', 'tools/**'],
      'import/resolver': { typescript: { project: 'apps/web/tsconfig.json' } },
    },
    rules: {
      'boundaries/element-types': [
        'error',
        {
          default: 'disallow',
          rules: [
            { from: 'model', allow: ['model'] },
            ...coreRules,
            { from: 'server', allow: ['server', ...allCore, 'model'] },
            // Of the core the names of its stages.
            { from: 'web/views', allow: ['web/views', 'core', 'model'] },
            {
              from: 'web/stage',
              allow: ['web', 'web/views', ['web/stage', { stage: '${from.stage}' }], ...allCore, 'model'],
            },
            { from: 'web', allow: ['web', 'web/views', 'web/stage', ...allCore, 'model'] },
            { from: 'tools', allow: ['tools', 'web', 'web/views', ...allCore, 'model', 'e2e', 'server'] },
            { from: 'e2e', allow: ['e2e', 'tools', 'web/views', 'server', ...allCore, 'model'] },
          ],
        },
      ],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowNullish: false }],
      '@typescript-eslint/consistent-type-definitions': 'off',
      '@typescript-eslint/no-confusing-void-expression': 'off',
      '@typescript-eslint/no-extraneous-class': 'off',
      // There are none, as is seen to below: looking at every assignment for one takes a sixth of the whole.
      '@typescript-eslint/no-unsafe-enum-assignment': 'off',
      '@typescript-eslint/no-unnecessary-condition': 'off',
      '@typescript-eslint/dot-notation': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      '@typescript-eslint/unbound-method': 'off',
      '@typescript-eslint/prefer-nullish-coalescing': 'off',
      '@typescript-eslint/no-deprecated': 'off',
      // Collections are records by id: taking an entry out is what the edits do.
      '@typescript-eslint/no-dynamic-delete': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'off',
    },
  },
  {
    files: ['packages/*/src/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: impure }],
      'no-restricted-globals': ['error', ...impureGlobals],
      'no-restricted-properties': ['error', ...impureCalls],
    },
  },
  {
    files: ['**/*.ts'],
    rules: { 'no-restricted-syntax': ['error', wholeZod, noEnums] },
  },
  {
    files: ['apps/*/src/**/*.ts', 'packages/*/src/**/*.ts'],
    ignores: ['**/*.spec.ts', '**/testing/**'],
    rules: { 'no-restricted-syntax': ['error', wholeZod, noEnums, ...retiredWords, ...askHeldBy] },
  },
  {
    files: [
      'packages/core/src/plan/held-by.ts',
      'packages/core/src/edits/*.ts',
      'packages/core/src/job/entered-lines.ts',
      'packages/model/src/**/*.ts',
    ],
    ignores: ['**/*.spec.ts', '**/testing/**'],
    rules: { 'no-restricted-syntax': ['error', wholeZod, noEnums, ...retiredWords] },
  },
  {
    files: ['apps/web/src/**/*.ts'],
    extends: [
      ...angular.configs.tsRecommended,
      ...ngrx.configs.store,
      ...ngrx.configs.effectsTypeChecked,
      ...ngrx.configs.operators,
    ],
    rules: {
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'gk', style: 'kebab-case' }],
      '@angular-eslint/component-class-suffix': 'off',
      '@angular-eslint/directive-class-suffix': 'off',
      '@ngrx/prefer-effect-callback-in-block-statement': 'off',
    },
  },
  {
    // What is drawn asks the store or a service, never the server.
    files: ['apps/web/src/app/{fleet,shared,shell,stages}/**/*.ts'],
    ignores: [
      '**/*.spec.ts',
      '**/fleet/backups.ts',
      '**/fleet/removed-boats.ts',
      '**/stages/printing.ts',
      '**/stages/photographs.ts',
    ],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['**/api/server-api.ts'], message: 'Components tell the store, or ask a service.' },
            { group: ['@angular/common/http'], message: 'HTTP lives behind the doors in api.' },
          ],
        },
      ],
    },
  },
  {
    files: ['**/*.spec.ts', '**/testing/**', 'e2e/**'],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-non-null-asserted-optional-chain': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
    },
  },
  prettier,
);
