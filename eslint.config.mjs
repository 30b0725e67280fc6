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
      // the type check says it
      '@typescript-eslint/no-unused-vars': 'off',
    },
  },
  {
    // the other rules of this plugin are the compiler's, and are looked at where it compiles (web/vite.config.ts)
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    // the interface is made of the kit (web/src/ui): what a paper prints and what is drawn are the exceptions
    files: ['web/src/**/*.tsx'],
    ignores: ['web/src/ui/**', 'web/src/drawing/**', 'web/src/**/*Sheet.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'JSXOpeningElement[name.name=/^(button|input|select|textarea|table)$/]',
          message: 'Controls and tables are parts of the kit: see web/src/ui.',
        },
        {
          selector: 'Literal[value=/\\bMui[A-Z]/]',
          message: 'What the toolkit calls its parts stays in the kit: see web/src/ui/theme.ts.',
        },
      ],
    },
  },
  { files: ['scripts/**', 'server/src/**', 'core/src/cli/**', 'bench/**'], rules: { 'no-console': 'off' } },
);
