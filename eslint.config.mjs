// @ts-check
import js from '@eslint/js'
import vue from 'eslint-plugin-vue'
import accessibility from 'eslint-plugin-vuejs-accessibility'
import typescript from 'typescript-eslint'

const NOT_IN_CORE = 'core/ computes: time, ids and random numbers come in as arguments (docs/decisions.md).'

const NO_NEW_DATE = { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: NOT_IN_CORE }
const KINDS = '/^(fair-test|before-after|over-time|order|improve|describe)$/'
const WAYS = '/^(number|words|sorts|race|balance)$/'
const ASK_THE_TEST = 'Ask the test (core/test): a further kind or way would be forgotten here.'
/** A kind of test or a way of reading compared with a word, told apart by a switch, or looked up in a list or a table. */
const NO_WORD_FOR_A_KIND = [
  ...[
    ['kind', KINDS],
    ['way', WAYS],
  ].flatMap(([name, words]) => [
    `BinaryExpression[operator=/^[!=]==?$/][right.value=${words}]:matches([left.name='${name}'], [left.property.name='${name}'])`,
    `BinaryExpression[operator=/^[!=]==?$/][left.value=${words}]:matches([right.name='${name}'], [right.property.name='${name}'])`,
    `SwitchStatement:matches([discriminant.name='${name}'], [discriminant.property.name='${name}']) > SwitchCase[test.value=${words}]`,
  ]),
  "CallExpression[callee.property.name='includes'] > MemberExpression.arguments[property.name='kind'][object.name=/^(plan|draft)$/]",
  "TSTypeReference[typeName.name='Record'] > TSTypeParameterInstantiation > TSTypeReference.params[typeName.name=/^(Kind|Way)$/]",
].map((selector) => ({ selector, message: ASK_THE_TEST }))
const WAIT_FOR_IT = {
  selector: 'ExpressionStatement > CallExpression[callee.name=/^(callServer|navigateTo|attempt|chooseTextFile)$/]',
  message: 'Wait for it, or say with void that nobody does.',
}

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
      'no-restricted-syntax': ['error', WAIT_FOR_IT, ...NO_WORD_FOR_A_KIND],
      'vue/no-restricted-syntax': ['error', ...NO_WORD_FOR_A_KIND],
      // Neither the compiler nor the page says that a component is not there. Vuetify's, Nuxt's and the four buttons (vuetify.config.ts) are known everywhere.
      'vue/no-undef-components': ['error', { ignorePatterns: ['^V[A-Z]', '^Nuxt', '^(Main|Quiet|Link|Sign)Btn$', '^(day|time)$'] }],
    },
  },
  {
    files: ['{schemas,server,app}/**/*.ts'],
    ignores: ['**/*.test.ts', 'schemas/plan.ts'],
    rules: { 'no-restricted-syntax': ['error', ...NO_WORD_FOR_A_KIND] },
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
      'no-restricted-syntax': ['error', NO_NEW_DATE, ...NO_WORD_FOR_A_KIND],
    },
  },
  {
    // Here they are told apart, once.
    files: ['core/test/**/*.ts', 'core/wording/{kinds,ways}/**/*.ts', 'core/formats/migrate.ts'],
    rules: { 'no-restricted-syntax': ['error', NO_NEW_DATE] },
  },
)
