import js from '@eslint/js';
import astro from 'eslint-plugin-astro';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      'dist/',
      'dist-xx/',
      '.astro/',
      'data/',
      'coverage/',
      'test-results/',
      'playwright-report/',
      'src/data/migrations/',
      'src/wording/xx/',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strict,
  ...astro.configs.recommended,
  ...astro.configs['jsx-a11y-recommended'],
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      // An index that was just checked, or a match that must have its group: written `!` beside the check that proves it.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-console': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.property.name='flatMap']",
          message:
            'The core lays lists open with flatMap of src/core/flat-map.ts: the array’s own is some twenty times slower.',
        },
      ],
    },
  },
  {
    files: ['src/**/*.tsx'],
    plugins: { 'react-hooks': reactHooks },
    languageOptions: { globals: globals.browser },
    rules: { ...reactHooks.configs['recommended-latest'].rules, ...jsxA11y.configs.recommended.rules },
  },
  {
    // What is said to people stands in the wording, so that a second language is a folder.
    files: ['src/islands/**/*.tsx', 'src/ui/**/*.tsx'],
    ignores: ['**/*.test.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'JSXText[value=/^(?!\\s*Serrata\\s*$).*[A-Za-z]{4,}/s]',
          message: 'Texts stand in src/wording/en/screens.',
        },
        {
          selector:
            'JSXAttribute[name.name=/^(title|label|aria-label|aside|hint|legend|placeholder|said|nothing|action)$/] > Literal[value=/^[^/].*[A-Za-z]{4,}/]',
          message: 'Texts stand in src/wording/en/screens.',
        },
      ],
    },
  },
  {
    files: ['scripts/**', '*.{mjs,cjs,ts}', 'tests/**', '.dependency-cruiser.cjs'],
    languageOptions: { globals: globals.node },
  },
  { files: ['scripts/**', 'src/cli/**', 'src/server/main.ts'], rules: { 'no-console': 'off' } },
);
