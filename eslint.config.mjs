import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import hooks from 'eslint-plugin-react-hooks';
import { defineConfig, globalIgnores } from 'eslint/config';
import ts from 'typescript-eslint';

const noFloats = [
  {
    selector: "CallExpression[callee.name='parseFloat']",
    message: 'Amounts are whole cents: use parseDollars or parseRate.',
  },
  { selector: "MemberExpression[property.name='toFixed']", message: 'Amounts are shown by showDollars.' },
];

export default defineConfig([
  globalIgnores([
    '**/dist/**',
    '**/node_modules/**',
    '.zakat/**',
    'apps/web/src/api/schema.d.ts',
    'e2e/test-results/**',
  ]),
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [ts.configs.recommended],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'off',
      'no-restricted-syntax': ['error', ...noFloats],
    },
  },
  {
    // A forgotten promise is lost work: these rooms are checked with types.
    files: ['apps/server/src/**/*.ts', 'apps/agencies/src/**/*.ts', 'apps/web/src/**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
    },
  },
  {
    // The core is pure: no clock, no chance, no conversions of money behind the back.
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'Date', 'fetch', 'console', 'process', 'setTimeout', 'crypto'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }],
    },
  },
  { files: ['apps/agencies/src/**/*.ts'], rules: { 'no-restricted-syntax': 'off' } },
  {
    files: ['apps/web/src/**/*.{ts,tsx}'],
    extends: [hooks.configs.flat.recommended],
    rules: { 'no-restricted-globals': ['error', { name: 'fetch', message: 'Only api/ talks to the server.' }] },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        fetch: 'readonly',
        URL: 'readonly',
        URLSearchParams: 'readonly',
        AbortSignal: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        Buffer: 'readonly',
        console: 'readonly',
        performance: 'readonly',
      },
    },
  },
  prettier,
]);
