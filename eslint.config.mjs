import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

const impure = [
  'react',
  'react-dom',
  '@nestjs/*',
  '@mikro-orm/*',
  'styled-components',
  'node:*',
  'fs',
  'path',
  '@yaylak/*',
];

const onlyInNode = [
  ...['process', 'Buffer', 'require', 'module', 'global', 'setImmediate', '__dirname'],
  ...['jest', 'describe', 'it', 'test', 'expect', 'beforeEach', 'afterEach', 'beforeAll', 'afterAll'],
];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/build/**', '**/node_modules/**', 'data/**'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { project: './tsconfig.tests.json', tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: impure }] },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      // The virtualizer keeps its own memo; this component is not compiled, which is fine.
      'react-hooks/incompatible-library': 'off',
    },
  },
  // Types are looked at once for everything, tests among them: what a browser does not have is forbidden here.
  {
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', 'web/src/tests/**'],
    rules: {
      'no-restricted-globals': ['error', ...onlyInNode],
      'no-restricted-imports': ['error', { patterns: ['node:*', 'fs', 'path'] }],
    },
  },
  {
    files: ['**/*.{mjs,cjs}'],
    languageOptions: { globals: globals.node },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
  // Parts of it run in the page that is measured.
  { files: ['bench/**/*.mjs'], languageOptions: { globals: globals.browser } },
  prettier,
);
