// @ts-check
import js from '@eslint/js'
import vue from 'eslint-plugin-vue'
import typescript from 'typescript-eslint'

const NOT_IN_CORE = 'core/ computes: time, ids and random numbers come in as arguments (docs/decisions.md).'

export default typescript.config(
  { ignores: ['.nuxt/**', '.output/**', 'data/**', 'server/database/migrations/**', 'test-results/**', 'playwright-report/**'] },
  js.configs.recommended,
  ...typescript.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.{ts,vue,mjs,cjs}'],
    languageOptions: { parserOptions: { parser: typescript.parser } },
    rules: {
      // The type checker knows what is not defined, and Prettier decides how things look.
      'no-undef': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/attributes-order': 'off',
      'vue/multi-word-component-names': 'off',
      // A prop that may be left out is undefined then.
      'vue/require-default-prop': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      // Indexed access is checked by the compiler; an exclamation mark says that the place is known to be there.
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: NOT_IN_CORE },
        { object: 'Date', property: 'now', message: NOT_IN_CORE },
        { object: 'crypto', property: 'randomUUID', message: NOT_IN_CORE },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: NOT_IN_CORE },
      ],
    },
  },
)
