// @ts-check
import js from '@eslint/js'
import vue from 'eslint-plugin-vue'
import accessibility from 'eslint-plugin-vuejs-accessibility'
import typescript from 'typescript-eslint'

const NOT_IN_CORE = 'core/ computes: time, ids and random numbers come in as arguments (docs/decisions.md).'

export default typescript.config(
  { ignores: ['.nuxt/**', '.output/**', 'data/**', 'server/database/migrations/**', 'test-results/**', 'playwright-report/**'] },
  js.configs.recommended,
  ...typescript.configs.strict,
  ...vue.configs['flat/recommended'],
  ...accessibility.configs['flat/recommended'],
  {
    files: ['**/*.{ts,vue,mjs,cjs}'],
    languageOptions: { parserOptions: { parser: typescript.parser } },
    rules: {
      // The compiler knows a ref, too; looking for one took a sixth of the time.
      'vue/no-ref-as-operand': 'off',
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
    files: ['app/**/*.vue'],
    rules: {
      // A frame puts the label before a control that it does not draw itself.
      'vuejs-accessibility/label-has-for': ['error', { required: { some: ['nesting', 'id'] } }],
      // A dialog or a door that has one field begins in it.
      'vuejs-accessibility/no-autofocus': 'off',
      // What is dragged, pasted into or listened to has keys of its own, which the browser tests press.
      'vuejs-accessibility/no-static-element-interactions': 'off',
      // The types of components took the linter longer than everything else; what they call that promises something has these names.
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ExpressionStatement > CallExpression[callee.name=/^(callServer|navigateTo|attempt|chooseTextFile)$/]',
          message: 'Wait for it, or say with void that nobody does.',
        },
      ],
    },
  },
  // A promise that nobody waits for is a failure that nobody hears of. Only core/formats has promises in core/; reading the types of the rest took minutes.
  {
    files: ['{core/formats,server,app,test}/**/*.ts'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
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
