import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

export default ts.config(
  { ignores: ['.nuxt/**', '.output/**', '.data/**', 'node_modules/**', 'test-results/**'] },
  ...ts.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: ts.parser, extraFileExtensions: ['.vue'], sourceType: 'module' } },
  },
  {
    rules: {
      // An index that the loop has just bounded may be asserted; every other one goes through noUncheckedIndexedAccess.
      '@typescript-eslint/no-non-null-assertion': 'off',
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      // Where lines break is the formatter's.
      'vue/multiline-html-element-content-newline': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/html-indent': 'off',
      // A virtual module of the build is declared beside who imports it.
      '@typescript-eslint/triple-slash-reference': ['error', { path: 'always' }],
      // Taking names out of a record is how the rest of it is copied.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      eqeqeq: ['error', 'always'],
      'no-console': ['error', { allow: ['error', 'log'] }],
    },
  },
  {
    // Every word of a screen is in the catalogue of messages; signs, units and the name of the program are not words.
    files: ['app/**/*.vue'],
    rules: {
      'vue/no-bare-strings-in-template': ['error', {
        allowlist: ['(', ')', ',', '.', ':', ';', '·', '×', '°', '%', '/', '–', '—', '+', '−', '-', '=', '#', '◇', '✓', '→', '↑', '↓', '±', '*', '"', '&nbsp;', 'pH', '…', '&', '?', '>', '<', '▲', '▼', '“', '”', 'a'],
        attributes: { '/.+/': ['title', 'label', 'description', 'help', 'hint', 'alt', 'data-label', 'aria-label', 'aria-description', 'aria-roledescription', 'aria-valuetext'] },
        directives: ['v-text'],
      }],
    },
  },
  {
    files: ['core/**/*.ts'],
    rules: { 'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage'], 'no-restricted-properties': ['error', { object: 'Math', property: 'random' }, { object: 'Date', property: 'now' }] },
  },
)
