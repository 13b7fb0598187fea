import js from '@eslint/js';
import next from 'eslint-config-next/core-web-vitals';
import ts from 'typescript-eslint';

/** Components and hooks: its rules compile each file once more, and what has neither has nothing to find. */
const forWeb = (entries) =>
  entries.map((entry) => ({
    ...entry,
    files: ['web/**/*.tsx', 'web/{features,ui,workers}/**/*.ts'],
    ignores: ['**/*.test.{ts,tsx}'],
    settings: { ...entry.settings, next: { rootDir: 'web' }, react: { version: '19' } },
  }));

/** What people read. `a?.name` is a chain around the same. */
const READ =
  ':matches(MemberExpression[property.name=/^(name|title|label)$/], ' +
  'ChainExpression[expression.property.name=/^(name|title|label)$/])';
const BY_ID = 'Identity is by id or by data: names, titles and labels are what people read.';

export default ts.config(
  {
    ignores: [
      '**/node_modules/',
      '**/.next/',
      '.local/',
      '**/next-env.d.ts',
      'web/server/migrations/',
      'test-results/',
      'playwright-report/',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...forWeb(next.filter((entry) => !entry.ignores || entry.rules)),
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-import-type-side-effects': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      eqeqeq: 'error',
      'max-len': ['error', { code: 120 }],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      'no-console': ['error', { allow: ['error'] }],
    },
  },
  {
    // Components
    files: ['web/**/*.tsx'],
    rules: { 'max-lines': ['error', { max: 200, skipBlankLines: true, skipComments: true }] },
  },
  {
    // The engine: no interface, no network, no database, no clock, no randomness.
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/**/*-for-cases.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                'react',
                'react-dom',
                'next',
                'next/*',
                '@chakra-ui/*',
                'drizzle-orm',
                'postgres',
                'node:*',
                'fs',
                'path',
                '@/*',
                '**/web/**',
              ],
              message: 'core has no interface, no network, no files and no database.',
            },
          ],
        },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'localStorage', 'process'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'core has no randomness.' },
        { object: 'Date', property: 'now', message: 'core has no clock.' },
      ],
    },
  },
  {
    // Judging, searching, keeping: what two things are called says nothing of whether they are one. (What is usual, in
    // core/src/rig, and what a page offers in lists are known by their names.)
    files: ['core/src/**/*.ts', 'web/{server,session,workers,layout}/**/*.ts'],
    ignores: ['core/src/rig/**', '**/*.test.ts', '**/*-for-{cases,tests}.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'BinaryExpression[operator=/^[!=]==$/]' +
            `:not([left.type="Literal"], [right.type="Literal"], [right.type="Identifier"][right.name="undefined"]) > ${READ}`,
          message: BY_ID,
        },
        {
          selector: `CallExpression[callee.property.name=/^(startsWith|endsWith|includes|match|test)$/] > ${READ}`,
          message: BY_ID,
        },
        {
          selector: `CallExpression > MemberExpression[property.name=/^(startsWith|endsWith|includes|match)$/] > ${READ}`,
          message: BY_ID,
        },
      ],
    },
  },
  {
    // A worker that has loaded a test for another's sake does not load it again: its own cases would be nobody's.
    files: ['**/*.test.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['*.test', '**/*.test'],
              message: 'What two tests share stands in a file …-for-cases.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['*.mjs', 'web/front.mjs'],
    languageOptions: {
      globals: { process: 'readonly', console: 'readonly', setTimeout: 'readonly' },
    },
  },
  { files: ['cli/**', 'bench/**', 'demo/**', 'e2e/**'], rules: { 'no-console': 'off' } },
);
