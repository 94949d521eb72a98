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
  {
    files: ['packages/core/src/**/*.ts', 'packages/cli/src/**/*.ts', 'packages/web/src/features/bench/**'],
    plugins: { omblet: { rules: { 'no-material-ids': noMaterialIds } } },
    rules: { 'omblet/no-material-ids': 'error' },
  },
  // Dependencies point one way: web, server and cli use core; core uses none of them.
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
  {
    files: ['packages/server/**/*.ts', 'packages/cli/**/*.ts'],
    rules: {
      'no-restricted-imports': only(
        ['@omblet/web*', '**/web/**'],
        'server and cli use core, never the interface',
      ),
    },
  },
  {
    files: ['packages/web/src/storage/**', 'packages/web/src/workers/**'],
    rules: {
      'no-restricted-imports': only(
        ['**/features/**', '**/app/**'],
        'storage and workers know nothing of the screens',
      ),
    },
  },
  ...['formulas', 'formula', 'print', 'shelf'].map((feature, _, all) => ({
    files: [`packages/web/src/features/${feature}/**`],
    rules: {
      'no-restricted-imports': only(
        all
          .filter((other) => other !== feature)
          .flatMap((other) => [`**/features/${other}/**`, `../${other}/*`, `../${other}`]),
        'a feature does not import another feature: share through components, stores or core',
      ),
    },
  })),
)
