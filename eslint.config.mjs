import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import jsdoc from 'eslint-plugin-jsdoc';
import vue from 'eslint-plugin-vue';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** Imports point one way: core, then contract, devices and print, then server, web and cli, which never import one another. */
const MAY_NOT_SEE = {
  core: ['contract', 'devices', 'print', 'server', 'web', 'cli'],
  devices: ['contract', 'print', 'server', 'web', 'cli'],
  contract: ['devices', 'print', 'server', 'web', 'cli'],
  print: ['contract', 'devices', 'server', 'web', 'cli'],
  server: ['devices', 'web', 'cli'],
  web: ['print', 'server', 'cli'],
  cli: ['devices', 'server', 'web'],
};

function oneWay([layer, forbidden]) {
  const patterns = [
    {
      regex: `^(\\.\\./)+(${forbidden.join('|')})/`,
      message: `src/${layer} does not import ${forbidden.join(', ')}: imports point one way.`,
    },
  ];
  if (layer === 'core') {
    patterns.push({ regex: '^[^.]', message: 'src/core is pure: it imports nothing from outside core.' });
  }
  if (layer === 'web') {
    patterns.push({
      regex: 'contract/(targetSchema|requests)',
      message: 'Joi stays on the server: the screens check with core.',
    });
  }
  return {
    files: [`src/${layer}/**/*.{ts,vue}`],
    ignores: ['**/*.test.ts', '**/*.test.helper.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns }] },
  };
}

/** A tolerance has a name that says of what: a constant, or one of src/core/numbers.ts. */
const NAMED_TOLERANCE = {
  selector:
    ':not(:matches(VariableDeclarator, Property, UnaryExpression, ArrayExpression, TSAsExpression)) > Literal[raw=/e-\\d+$/]',
  message: 'Give a tolerance a name, or take one from core/numbers.ts.',
};

/** A call says what a choice is about: `{ fine: true }` or 'up', not `true`. */
const NAMED_CHOICE = {
  selector: 'CallExpression > Literal[raw=/^(true|false)$/]',
  message: 'Name the choice: an option or a word instead of a bare boolean.',
};

/** Vue takes a new array for a change even if its items are equal, so that a watcher could trigger itself for ever. */
const WATCHED_ONE_BY_ONE = {
  selector:
    'CallExpression[callee.name="watch"] > ArrowFunctionExpression:first-child > :matches(ArrayExpression, TSAsExpression:has(> ArrayExpression))',
  message: 'Watch a list of getters, not a getter of a list.',
};

export default tseslint.config(
  { ignores: ['dist/', 'node_modules/', 'data/', 'out/'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    languageOptions: { globals: { ...globals.node } },
    rules: {
      'no-undef': 'off',
      eqeqeq: ['error', 'always'],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-invalid-void-type': 'off',
      'max-lines': ['error', { max: 300 }],
      'max-params': ['error', { max: 3 }],
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser }, globals: { ...globals.browser } },
    rules: { 'vue/multi-word-component-names': 'off', 'vue/require-default-prop': 'off' },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.test.helper.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'setTimeout', 'localStorage'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'core is pure: no randomness.' },
        { object: 'Date', property: 'now', message: 'core is pure: no clock.' },
      ],
    },
  },
  {
    files: ['src/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts', '**/*.test.helper.ts'],
    rules: { 'no-restricted-syntax': ['error', NAMED_TOLERANCE, WATCHED_ONE_BY_ONE] },
  },
  {
    files: ['src/{core,print,cli,devices}/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.test.helper.ts'],
    rules: { 'no-restricted-syntax': ['error', NAMED_TOLERANCE, NAMED_CHOICE] },
  },
  {
    // Every export has a docstring. Migrations are explained by their names and first lines.
    files: ['src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.test.helper.ts', 'src/server/migrations/**'],
    plugins: { jsdoc },
    rules: {
      'jsdoc/require-jsdoc': [
        'error',
        {
          publicOnly: true,
          require: { ArrowFunctionExpression: true, ClassDeclaration: true },
          contexts: ['TSInterfaceDeclaration', 'TSTypeAliasDeclaration'],
          checkConstructors: false,
        },
      ],
      'jsdoc/check-tag-names': 'error',
      'jsdoc/empty-tags': 'error',
      'jsdoc/no-types': 'error',
    },
  },
  {
    // A table test takes each column as a parameter.
    files: ['**/*.test.ts'],
    rules: { 'max-params': 'off' },
  },
  {
    // Unit tests of a worker share its modules and globals (jest.config.mjs).
    files: ['src/{core,contract,devices,print,cli,web/components,web/look}/**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'jest', 'globalThis'],
      'no-restricted-properties': ['error', { object: 'process', property: 'chdir' }],
    },
  },
  ...Object.entries(MAY_NOT_SEE).map(oneWay),
  prettier,
  // After the formatter's own, which leaves lines alone that it cannot break.
  {
    rules: {
      'max-len': ['error', { code: 160, ignoreUrls: true }],
      'no-warning-comments': ['error', { terms: ['prettier-ignore'], location: 'anywhere' }],
    },
  },
);
