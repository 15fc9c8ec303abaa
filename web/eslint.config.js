import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['dist/', 'target/', 'node_modules/', 'src/lib/platform/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...svelte.configs.recommended,
  prettier,
  ...svelte.configs.prettier,
  { languageOptions: { globals: { ...globals.browser } } },
  { files: ['scripts/**', '*.js'], languageOptions: { globals: { ...globals.node } } },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'] } },
  },
  {
    rules: {
      // There is no router here, only addresses behind the hash.
      'svelte/no-navigation-without-resolve': 'off',
      // Look-ups made and dropped within one call, and listener tables, are not state of the page.
      'svelte/prefer-svelte-reactivity': 'off',
    },
  },
);
