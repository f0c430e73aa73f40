import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import jsdoc from 'eslint-plugin-jsdoc'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import tseslint from 'typescript-eslint'
import { walls } from './eslint.walls.mjs'

export default tseslint.config(
  { ignores: ['dist', '.cache', 'node_modules', 'test-results', 'playwright-report'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
  },
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      'no-undef': 'off',
      eqeqeq: ['error', 'smart'],
      'no-console': 'error',
    },
  },
  {
    files: ['app/**'],
    rules: {
      'vue/component-api-style': ['error', ['script-setup']],
      'vue/define-macros-order': 'error',
      'vue/no-static-inline-styles': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
    },
  },
  ...walls,
  {
    files: ['app/{state,words,kit,stations,frame}/**'],
    ignores: ['**/*.test.ts', '**/*.fixture.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "CallExpression[callee.name=/^(Number|parseFloat|parseInt)$/], CallExpression[callee.object.name='Number'][callee.property.name=/^parse/], CallExpression[callee.property.name='replace'][arguments.0.value=',']",
          message:
            'core/quantity reads numbers: parseNumber and parseQuantity what is typed, writtenNumber what programs write',
        },
      ],
    },
  },
  {
    files: ['core/**'],
    ignores: ['**/*.test.ts', '**/*.fixture.ts', 'core/fixtures/**'],
    plugins: { jsdoc },
    rules: {
      'jsdoc/require-jsdoc': [
        'error',
        {
          publicOnly: true,
          require: { FunctionDeclaration: true, ArrowFunctionExpression: true, ClassDeclaration: true },
        },
      ],
    },
  },
  {
    files: ['core/**', 'library/**'],
    ignores: ['**/*.test.ts', '**/*.fixture.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'time is an argument in core' },
        { object: 'Math', property: 'random', message: 'randomness is an argument in core' },
      ],
      'no-restricted-globals': [
        'error',
        ...[
          'window',
          'document',
          'navigator',
          'fetch',
          'process',
          'Buffer',
          'localStorage',
          'indexedDB',
          'setTimeout',
        ],
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'time is an argument in core',
        },
      ],
    },
  },
  {
    files: ['scripts/**', '*.config.*', '.ci/**'],
    languageOptions: { globals: globals.node },
    rules: { 'no-console': 'off' },
  },
  {
    // Rows of numbers are walked by index inside their own bounds; a guard at each would hide the formula.
    files: [
      'core/{light,run,sun,tone,simulate,negative,chart,scan,calibration,schedule,quantity}/**',
      'core/formats/{png16,icc}.ts',
      'app/workers/{filmFile,decodePicture,writing}.ts',
      'app/stations/negative/proofing.ts',
    ],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    files: ['**/*.test.ts', '**/*.fixture.ts', 'e2e/**'],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-dynamic-delete': 'off',
    },
  },
  prettier,
)
