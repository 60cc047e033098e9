import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import reactHooks from 'eslint-plugin-react-hooks';
import { importX } from 'eslint-plugin-import-x';
import tseslint from 'typescript-eslint';

/** Imports point one way: web, server → contract, knowledge → core. */
const mayNotImport = (files, names, message) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group: names, message }] }] },
});

export default tseslint.config(
  { ignores: ['**/node_modules/', '**/dist/', '**/.expo/', '.data/', '.cache/', 'test-output/', '**/*.d.ts'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_+$', argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      'no-nested-ternary': 'error',
      'max-lines': ['error', { max: 350, skipBlankLines: true }],
      'max-params': ['error', { max: 6 }],
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
  { files: ['packages/**/*.test.ts'], rules: { 'no-restricted-imports': 'off' } },
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
  prettier,
);
