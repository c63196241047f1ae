/** Packages that come as ES modules only. */
const MODULES = ['@vueuse/core', '@vueuse/shared', 'clipper2-ts', 'earcut'];

const swc = (syntax) => ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax } }, module: { type: 'commonjs' } }];

/** Globals that product code uses in its inner loops. */
const FREQUENT = [
  'Math',
  'Infinity',
  'Number',
  'Array',
  'Object',
  'Map',
  'Set',
  'Float64Array',
  'Int32Array',
  'Uint32Array',
];

const shared = {
  // Looking these up in each test's own global object takes as long as the sums themselves.
  sandboxInjectedGlobals: FREQUENT,
  // Outside the temporary folder, which is removed after each run.
  cacheDirectory: '<rootDir>/node_modules/.cache/jest',
  testEnvironment: 'node',
  transform: {
    '^.+\\.ts$': swc('typescript'),
    [`/node_modules/(${MODULES.join('|')})/.+\\.js$`]: swc('ecmascript'),
  },
  transformIgnorePatterns: [`/node_modules/(?!(${MODULES.join('|')})/)`],
  extensionsToTreatAsEsm: [],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
};

/**
 * For code without state: each worker loads the product once for all its test files, so the engine compiles and optimises it once.
 * Files share modules and globals, modules cannot be mocked, and a test has no time limit.
 */
const readOnce = {
  runner: 'jest-light-runner',
  setupFiles: ['<rootDir>/scripts/readTypeScript.mjs'],
  testEnvironment: 'node',
  testPathIgnorePatterns: shared.testPathIgnorePatterns,
};

export default {
  // No test is a measure of speed: one that waits for the disk or a worker beside others may take long on a slow machine.
  testTimeout: 900_000,
  projects: [
    {
      ...readOnce,
      displayName: 'unit',
      testMatch: ['<rootDir>/src/{core,contract,devices,print,cli,web/components,web/look}/**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'web',
      testMatch: ['<rootDir>/src/web/**/*.test.ts'],
      testPathIgnorePatterns: [...shared.testPathIgnorePatterns, '/src/web/(components|look)/'],
    },
    { ...shared, displayName: 'api', testMatch: ['<rootDir>/src/server/**/*.test.ts'] },
    { ...shared, displayName: 'browser', testMatch: ['<rootDir>/e2e/**/*.test.ts'] },
  ],
};
