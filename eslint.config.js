import angular from 'angular-eslint';
import boundaries from 'eslint-plugin-boundaries';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

/** One way down: web and server to core, core to model. */
const layers = [
  { type: 'model', pattern: 'packages/model/src/**', mode: 'full' },
  { type: 'core', pattern: 'packages/core/src/**', mode: 'full' },
  { type: 'server', pattern: 'apps/server/src/**', mode: 'full' },
  { type: 'web', pattern: 'apps/web/src/**', mode: 'full' },
  { type: 'e2e', pattern: 'e2e/**', mode: 'full' },
  { type: 'tools', pattern: 'tools/**', mode: 'full' },
];

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
  { ignores: ['**/dist/**', '**/.angular/**', '**/node_modules/**', 'coverage/**', 'data/**'] },
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strictTypeChecked, ...tseslint.configs.stylisticTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { boundaries },
    settings: {
      'boundaries/elements': layers,
      'boundaries/include': ['packages/*/src/**', 'apps/*/src/**', 'e2e/**', 'tools/**'],
      'import/resolver': { typescript: { project: ['apps/web/tsconfig.json', 'apps/server/tsconfig.json'] } },
    },
    rules: {
      'boundaries/element-types': [
        'error',
        {
          default: 'disallow',
          rules: [
            { from: 'model', allow: ['model'] },
            { from: 'core', allow: ['core', 'model'] },
            { from: 'server', allow: ['server', 'core', 'model'] },
            { from: 'web', allow: ['web', 'core', 'model'] },
            { from: 'tools', allow: ['tools', 'core', 'model', 'e2e', 'server'] },
            { from: 'e2e', allow: ['e2e', 'server', 'core', 'model'] },
          ],
        },
      ],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowNullish: false }],
      '@typescript-eslint/consistent-type-definitions': 'off',
      '@typescript-eslint/no-confusing-void-expression': 'off',
      '@typescript-eslint/no-extraneous-class': 'off',
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
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ImportDeclaration[source.value="zod"] > ImportSpecifier[imported.name="z"]',
          message: "Write: import * as z from 'zod'. The named import brings every language's messages along.",
        },
      ],
    },
  },
  {
    files: ['apps/web/src/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    rules: {
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'gk', style: 'kebab-case' }],
      '@angular-eslint/component-class-suffix': 'off',
      '@angular-eslint/directive-class-suffix': 'off',
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
