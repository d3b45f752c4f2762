import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import { defineConfig, globalIgnores } from 'eslint/config';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** A component that imports more modules is several. */
const MOST_IMPORTS = 25;
const few = {
  create: (context) => ({
    Program({ body }) {
      const imports = body.filter(({ type }) => type === 'ImportDeclaration');
      if (imports.length > MOST_IMPORTS)
        context.report({
          node: imports[MOST_IMPORTS],
          message: `More than ${MOST_IMPORTS} modules: split the component.`,
        });
    },
  }),
};

/** Three words or more from a capital letter to a full stop: what only people read. */
const SENTENCE = /^[“A-Z][^]*\s[^]*\s[^]*[.!?]\s*$/;
const sentences = {
  create(context) {
    const check = (node, text) => {
      const thrown = context.sourceCode
        .getAncestors(node)
        .some(({ type }) => type === 'ThrowStatement');
      if (!thrown && SENTENCE.test(text))
        context.report({ node, message: 'Give a code and values: sentences stand in messages/.' });
    };
    return {
      Literal: (node) => void (typeof node.value === 'string' && check(node, node.value)),
      TemplateLiteral: (node) =>
        check(node, node.quasis.map(({ value }) => value.cooked).join('x')),
    };
  },
};

export default defineConfig([
  globalIgnores(['dist/**', 'node_modules/**', '.cache/**', '.e2e-out/**']),
  js.configs.recommended,
  tseslint.configs.strict,
  vue.configs['flat/recommended'],
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: tseslint.parser } } },
  {
    files: ['**/*.{ts,vue}'],
    rules: {
      'no-undef': 'off',
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  {
    files: ['app/**/*.vue'],
    plugins: { own: { rules: { 'few-imports': few } } },
    rules: { 'own/few-imports': 'error' },
  },
  {
    // What is known of materials is stock data, and kept with each job.
    files: ['core/**/*.ts', 'devices/**/*.ts', 'server/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/testing/**', 'core/stock/materials.ts'],
    plugins: { own: { rules: { 'no-sentences': sentences } } },
    rules: { 'own/no-sentences': 'error' },
  },
  {
    // Words on screen stand in `app/texts/`.
    files: ['app/**/*.vue'],
    rules: {
      'vue/no-bare-strings-in-template': [
        'error',
        {
          allowlist: ['·', '×', '–', '−', '+', '…', '°', '%', ':', ',', '(', ')'],
          attributes: {
            '/.+/': [
              'title',
              'aria-label',
              'placeholder',
              'alt',
              'label',
              'cards',
              'whole',
              'none',
            ],
          },
        },
      ],
    },
  },
  {
    files: ['core/**/*.ts', 'devices/simulated/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'max-params': ['error', 4],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Chance comes in as an argument.' },
        { object: 'Date', property: 'now', message: 'Time comes in as an argument.' },
      ],
    },
  },
  prettier,
]);
