import { readdirSync, readFileSync } from 'node:fs'
import tseslint from 'typescript-eslint'
import vue from 'eslint-plugin-vue'

const only = (group, message) => ['error', { patterns: [{ group, message }] }]

const dataDir = new URL('./packages/core/data/materials/', import.meta.url)
const slug = (text) =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
const ids = new Set(
  readdirSync(dataDir).flatMap((f) =>
    JSON.parse(readFileSync(new URL(f, dataDir), 'utf8')).map((m) => m.id ?? slug(m.inci.join(', '))),
  ),
)
/** Words of the code that happen to be ids too: water, which is the solvent, and a solubility. */
for (const word of ['aqua', 'alcohol']) ids.delete(word)
/** No rule names a material: it reads traits, which a maker's own material can have too. */
const noMaterialIds = {
  create: (context) => ({
    Literal(node) {
      if (typeof node.value === 'string' && ids.has(node.value))
        context.report({
          node,
          message: `“${node.value}” is a material: read a trait, or put it into core/data.`,
        })
    },
  }),
}

/** Two words in a row, one of them without a capital: a sentence or a part of one. */
const SENTENCE = /\p{L}{2,},? \p{Ll}{2,}/u
/** What decides says nothing: it gives a code with its facts, and the sentence stands in core/src/words. */
const noSentences = {
  create(context) {
    const look = (node, text) => {
      if (SENTENCE.test(text))
        context.report({
          node,
          message: `“${text.slice(0, 40)}” is a sentence: give a code, and put it into words.`,
        })
    }
    return {
      Literal: (node) => typeof node.value === 'string' && look(node, node.value),
      TemplateElement: (node) => look(node, node.value.raw),
    }
  },
}
/** All of the core decides, but its words and these, which hold names of the trade, patterns or a protocol. */
const DECIDES = ['packages/core/src/**/*.ts']
const NAMES_AND_PATTERNS = [
  'words/**/*',
  'bench/{simulated,state}',
  'feel/body',
  'files/{json,own-kind,trial}',
  'formula/json-schema',
  'materials/{catalogue,guess,legal,resolve,sources}',
  'recipes/{amounts,match}',
  'shapes/material-words',
  'stability/head',
  'text/{numbers,units}',
].map((file) => `packages/core/src/${file}.ts`)

export default tseslint.config(
  { ignores: ['**/node_modules/**', '**/dist/**', 'coverage/**', 'test-results/**', 'playwright-report/**'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
  },
  {
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { ignoreRestSiblings: true, varsIgnorePattern: '^_', argsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/attributes-order': 'off',
    },
  },
  // With types: what is promised is waited for, every kind of a union has its case.
  {
    files: ['packages/*/src/**/*.ts'],
    languageOptions: {
      parserOptions: {
        projectService: true,
        tsconfigRootDir: import.meta.dirname,
        extraFileExtensions: ['.vue'],
      },
    },
    rules: {
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      '@typescript-eslint/no-redundant-type-constituents': 'error',
      '@typescript-eslint/no-unnecessary-type-assertion': 'error',
      '@typescript-eslint/only-throw-error': 'error',
      '@typescript-eslint/prefer-promise-reject-errors': 'error',
      '@typescript-eslint/restrict-plus-operands': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
    },
  },
  // No function is longer than a screen. A store's set-up is the scope of its functions, which are short.
  {
    files: ['packages/*/src/**/*.ts'],
    ignores: ['packages/web/src/stores/**'],
    rules: { 'max-lines-per-function': ['error', { max: 80, skipComments: true, skipBlankLines: true }] },
  },
  // Formatted, no file is longer than 400 lines and no function takes more than 20 turns: what is about two things is two.
  { rules: { 'max-lines': ['error', 400], complexity: ['error', 20] } },
  {
    files: ['packages/core/src/**/*.ts', 'packages/cli/src/**/*.ts', 'packages/web/src/features/bench/**'],
    plugins: { omblet: { rules: { 'no-material-ids': noMaterialIds } } },
    rules: { 'omblet/no-material-ids': 'error' },
  },
  {
    files: DECIDES,
    ignores: NAMES_AND_PATTERNS,
    plugins: { words: { rules: { 'no-sentences': noSentences } } },
    rules: { 'words/no-sentences': 'error' },
  },
  // The core is pure; which way imports go is checked by .dependency-cruiser.mjs.
  {
    files: ['packages/core/**/*.ts'],
    rules: {
      'no-restricted-imports': only(
        ['vue', 'pinia', 'vue-router', 'primevue*', 'idb', 'express', '@omblet/*', 'node:*'],
        'core holds computation only: no interface, storage, server or Node code',
      ),
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'indexedDB',
        'navigator',
        'fetch',
        { name: 'Date', message: 'core has no clock: take the time as an argument' },
        { name: 'crypto', message: 'core has no random source: take it as an argument' },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'core has no random source' },
      ],
    },
  },
  {
    files: ['packages/core/test/**/*.ts'],
    rules: { 'no-restricted-imports': 'off', 'no-restricted-globals': 'off' },
  },
)
