import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'test-results/**', 'playwright-report/**'] },
  js.configs.recommended,
  ...ts.configs.strict,
  {
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      'no-console': 'error',
      'prefer-const': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  { files: ['web/src/**/*.{ts,tsx}'], ...hooks.configs.flat['recommended-latest'] },
  {
    // what the compiler would pass over, silently, is an error: a view that is not compiled renders at every key
    files: ['web/src/**/*.{ts,tsx}'],
    rules: Object.fromEntries(
      [
        'todo',
        'syntax',
        'unsupported-syntax',
        'invariant',
        'incompatible-library',
        'rule-suppression',
        'exhaustive-deps',
      ].map((rule) => [`react-hooks/${rule}`, 'error']),
    ),
  },
  { files: ['scripts/**', 'server/src/**', 'core/src/cli/**', 'bench/**'], rules: { 'no-console': 'off' } },
);
