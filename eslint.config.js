import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

export default tseslint.config(
  { ignores: ['.nuxt/**', '.output/**', '.data/**', '.tmp/**', 'node_modules/**', 'db/migrations/**'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: tseslint.parser } } },
  {
    rules: {
      'max-lines': ['error', { max: 250, skipBlankLines: true, skipComments: true }],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'separate-type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true }],
      'no-restricted-syntax': ['error', { selector: 'ExportAllDeclaration', message: 'Name what is exported.' }],
      // line breaks and attribute order are left to the writer
      'vue/max-attributes-per-line': 'off', 'vue/singleline-html-element-content-newline': 'off', 'vue/html-self-closing': 'off', 'vue/multiline-html-element-content-newline': 'off',
      'vue/attributes-order': 'off', 'vue/multi-word-component-names': 'off', 'vue/html-closing-bracket-newline': 'off', 'vue/first-attribute-linebreak': 'off', 'vue/html-indent': 'off', 'vue/require-default-prop': 'off',
    },
  },
  { files: ['core/**/*.ts'], ignores: ['**/*.test.ts'], rules: { 'max-lines-per-function': ['error', { max: 40, skipBlankLines: true, skipComments: true }] } },
  // texts and generated-looking tables of the made-up school
  { files: ['demo/content/**'], rules: { 'max-lines': 'off' } },
)
