import globals from 'globals'
import tseslint from 'typescript-eslint'
import vue from 'eslint-plugin-vue'
import vueParser from 'vue-eslint-parser'

/** Names what a folder may not import; core's own tsconfig forbids the rest of the world. */
const never = (folder, ...forbidden) => ({
  files: [`${folder}/**/*.ts`, `${folder}/**/*.vue`],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            regex: forbidden.join('|'),
            message: `${folder}/ may not import this: imports go client, server -> core, never back.`,
          },
        ],
      },
    ],
  },
})

export default tseslint.config(
  { ignores: ['dist/', 'node_modules/', 'test-results/', 'data/'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/essential'],
  { files: ['**/*.vue'], languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser } } },
  { files: ['client/**'], languageOptions: { globals: globals.browser } },
  {
    files: ['scripts/**', 'e2e/**', 'commands/**', 'bench/**', 'server/**', '*.config.*', '*.cjs'],
    languageOptions: { globals: globals.node },
  },
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'vue/multi-word-component-names': 'off',
      // A bound value wipes out what is being typed whenever the page is drawn meanwhile.
      'vue/no-restricted-syntax': [
        'error',
        {
          selector:
            "VElement[name=/^(input|textarea)$/] > VStartTag:has(VAttribute[key.argument.name='value']):has(VAttribute[key.argument.name='change']):not(:has(VAttribute[key.name='type'][value.value=/^(radio|color|date)$/]))",
          message: 'A field that is read when it is left takes its value by v-typed.',
        },
      ],
      'no-undef': 'off',
      eqeqeq: 'error',
    },
  },
  never('core', '/(server|client|commands)/', '^(vue|pinia|express|zod|drizzle-orm|node:)'),
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [{ regex: '/contract/', allowTypeImports: true, message: 'core takes only types from contract/.' }],
        },
      ],
    },
  },
  never('contract', '/(core|server|client|commands)/', '^(vue|pinia|express|drizzle-orm|node:)'),
  never('server', '/client/', '^(vue|pinia)'),
  never('client', '/server/', '^(express|drizzle-orm|node:)'),
)
