import prettier from 'eslint-config-prettier'
import regexp from 'eslint-plugin-regexp'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

export default tseslint.config(
  { ignores: ['.nuxt/**', '.output/**', '.data/**', '.tmp/**', 'node_modules/**', 'db/migrations/**'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: tseslint.parser } } },
  {
    // rules that need to know types
    files: ['**/*.ts', '**/*.vue'],
    ignores: ['*.config.ts'],
    languageOptions: {
      parserOptions: {
        project: [
          './core/tsconfig.json',
          './usecases/tsconfig.json',
          './tsconfig.node.json',
          './tests/e2e/tsconfig.json',
          './.nuxt/tsconfig.app.json',
          './.nuxt/tsconfig.server.json',
        ],
        extraFileExtensions: ['.vue'],
      },
    },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/no-unnecessary-condition': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
    },
  },
  {
    rules: {
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'separate-type-imports' }],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: 'ExportAllDeclaration', message: 'Name what is exported.' },
      ],
      // pages are named by their address, small parts by one plain word
      'vue/multi-word-component-names': 'off',
      // an absent property is an absent property
      'vue/require-default-prop': 'off',
    },
  },
  {
    // a pattern over outside text must not take longer than the text is long
    ignores: ['**/*.test.ts', 'tests/**'],
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': 'error',
      'regexp/no-super-linear-move': 'error',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 45, skipBlankLines: true, skipComments: true }] },
  },
  // texts and generated-looking tables of the made-up school
  {
    files: ['demo/content/**', '**/*.test.ts', 'app/places/**', 'demo/history.ts'],
    rules: { 'max-lines': 'off' },
  },
  // layout is Prettier's; what would collide with it is off
  prettier,
)
