import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import reactHooks from 'eslint-plugin-react-hooks';
import { importX } from 'eslint-plugin-import-x';
import tseslint from 'typescript-eslint';
import { rules } from './scripts/lintRules.js';

/**
 * Folders from the ground up: each may import those before it and none behind it, by whatever path. A new
 * folder is put where it belongs; one that is in no list is refused.
 */
const FLOORS = {
  'packages/core/src': [
    'failure',
    'quantity',
    'operation',
    'inference',
    'material',
    'fit',
    'match',
    'driveline',
    'access',
    'work',
    'trace',
    'gear',
    'scan',
    'instrument',
    'ratio',
    'strength',
    'make',
    'decide',
    'setup',
    'prove',
    'learn',
    'practice',
    'job',
    'book',
    'doors',
  ],
  'apps/server/src': [
    'threads',
    'migrations',
    'plugins',
    'people',
    'machines',
    'jobs',
    'families',
    'instruments',
    'photos',
    'parts',
    'imports',
    'shelf',
    'learning',
    'search',
    'operations',
    'keeping',
    'shop',
    'demo',
    'entrance',
  ],
  'apps/web/src': [
    'wording',
    'preferences',
    'design',
    'lazy',
    'data',
    'shell',
    'driveline',
    'job',
    'testing',
    'instrument',
    'desk',
    'photo',
    'scan',
    'gear',
    'log',
    'access',
    'ratio',
    'match',
    'items',
    'strength',
    'make',
    'saving',
    'decide',
    'setup',
    'prove',
    'shelf',
    'catalogue',
    'trace',
    'families',
    'practice',
    'book',
    'learning',
    'close',
    'machine',
    'intake',
    'people',
    'settings',
    'find',
    'bench',
    'entrance',
  ],
};

/** Packages and apps, and which of the others each may look into by a relative path: none. */
const HOUSES = ['packages/core', 'packages/contract', 'packages/knowledge', 'packages/wording', 'apps/server', 'apps/web'];

const zones = [
  ...Object.entries(FLOORS).flatMap(([root, floors]) =>
    floors.map((floor, i) => ({
      target: `./${root}/${floor}`,
      from: floors.slice(i + 1).map((above) => `./${root}/${above}`),
      message: `${floor} stands below: see FLOORS in eslint.config.js.`,
    })),
  ),
  ...HOUSES.map((house) => ({
    target: `./${house}`,
    from: HOUSES.filter((other) => other !== house).map((other) => `./${other}`),
    message: 'Another package is imported by its name.',
  })),
].filter(({ from }) => from.length > 0);

/** Algorithms so tight that an object for each call would be read and made a million times. */
const KERNELS = [
  'packages/core/src/{gear,scan,inference}/**/*.ts',
  'packages/core/src/driveline/solve.ts',
  'packages/core/src/trace/{lookAhead,lookMotion}.ts',
  'packages/core/src/access/opening.ts',
  'packages/core/src/instrument/gearPhoto.ts',
  'packages/core/src/ratio/tyreSize.ts',
];

/** Words that are data: headings and owners' words that are taken in, notes of a file's own form, what tests write down. */
const WORDED = [
  '**/*.test.{ts,tsx}',
  'packages/core/src/match/partRow.ts',
  'packages/core/src/trace/{words,wordTerms}.ts',
  'packages/core/src/make/formats.ts',
  'packages/core/src/material/materials.ts',
  'packages/core/src/{cases,contractText}.ts',
  'packages/core/src/job/{entrySamples,closingCases}.ts',
  'packages/core/src/fuzz/*.ts',
  'apps/web/src/testing/**',
  'apps/server/src/{demo,migrations}/**',
  'apps/server/src/{testing,testFilled}.ts',
];

/** Imports point one way: web, server → wording, knowledge → contract → core. */
const mayNotImport = (files, names, message) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group: names, message }] }] },
});

export default tseslint.config(
  { ignores: ['**/node_modules/', '**/dist/', '**/.expo/', '.data/', '.cache/', 'test-output/', '**/*.d.ts'] },
  js.configs.recommended,
  { plugins: { badger: { rules } }, rules: { 'badger/short-each': 'error' } },
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_+$', argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      'no-nested-ternary': 'error',
      'no-restricted-syntax': [
        'error',
        ...['SpreadElement > ObjectExpression', 'SpreadElement > ArrayExpression', 'SpreadElement > TSAsExpression > ArrayExpression'].map(
          (selector) => ({ selector, message: 'Fields and elements stand for themselves, each on its line where they are many.' }),
        ),
      ],
      'max-lines': ['error', { max: 350, skipBlankLines: true }],
      'max-params': ['error', { max: 3 }],
    },
  },
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { 'import-x': importX },
    settings: { 'import-x/resolver': { node: { extensions: ['.ts', '.tsx', '.js', '.json'] } }, 'import-x/extensions': ['.ts', '.tsx'] },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      '@typescript-eslint/no-unnecessary-type-assertion': 'error',
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
      'import-x/no-restricted-paths': ['error', { basePath: import.meta.dirname, zones }],
    },
  },
  mayNotImport(
    ['packages/core/src/**'],
    ['@patient-badger/*', 'node:*', 'fs', 'path', 'react', 'react-*', 'typeorm', 'pg', 'fastify'],
    'The core computes; it knows no screen, server, database or Node.',
  ),
  mayNotImport(
    ['packages/contract/src/**'],
    ['@patient-badger/knowledge', '@patient-badger/server', '@patient-badger/web', 'react*', 'fastify*', 'typeorm'],
    'contract → core only.',
  ),
  mayNotImport(
    ['packages/knowledge/src/**'],
    ['@patient-badger/server', '@patient-badger/web', 'react*', 'fastify*', 'typeorm'],
    'knowledge → contract, core only.',
  ),
  mayNotImport(
    ['apps/web/**'],
    ['@patient-badger/server', 'typeorm', 'pg', 'fastify', 'node:*'],
    'The app talks to the server over the wire.',
  ),
  mayNotImport(['apps/server/**'], ['@patient-badger/web', 'react*', 'expo*'], 'The server knows no screen.'),
  mayNotImport(
    ['packages/wording/src/**'],
    ['@patient-badger/knowledge', '@patient-badger/server', '@patient-badger/web', 'react*', 'fastify*', 'typeorm'],
    'wording → contract, core only.',
  ),
  // Tests of the core may look at the families that ship, which are data, and at files; never at a screen or server.
  mayNotImport(
    ['packages/**/*.test.ts', 'packages/core/src/job/entrySamples.ts'],
    ['@patient-badger/server', '@patient-badger/web', 'react*', 'typeorm', 'pg', 'fastify'],
    'A package knows no screen and no server, nor do its tests.',
  ),
  {
    files: ['packages/{core,contract,knowledge}/src/**/*.ts', 'apps/web/{src,app}/**/*.{ts,tsx}'],
    ignores: WORDED,
    rules: { 'badger/no-sentences': 'error' },
  },
  { files: ['apps/server/src/**/*.ts'], ignores: WORDED, rules: { 'badger/no-sentences': ['error', 'whole'] } },
  // A sentence takes what it says.
  { files: ['packages/wording/src/en/*.ts'], rules: { 'max-params': 'off' } },
  { files: KERNELS, rules: { 'max-params': ['error', { max: 6 }] } },
  { files: ['**/*.test.{ts,tsx}'], rules: { 'max-params': ['error', { max: 6 }] } },
  { ...reactHooks.configs.flat['recommended-latest'], files: ['apps/web/**/*.{ts,tsx}'] },
  {
    files: ['**/*.{js,cjs,mjs}'],
    languageOptions: {
      globals: {
        module: 'readonly',
        require: 'readonly',
        __dirname: 'readonly',
        process: 'readonly',
        console: 'readonly',
        self: 'readonly',
      },
    },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
  {
    files: ['apps/web/public/*.js'],
    languageOptions: { globals: { fetch: 'readonly', indexedDB: 'readonly', localStorage: 'readonly', location: 'readonly' } },
  },
  prettier,
);
