// Changes the code in small ways, one at a time, and says which changes no test notices: npm run mutate -- FILES AND FOLDERS.
// --sample 100 tries only 100 of them, --seed 7 draws another sample; --tests core/forms,core/raise runs only the tests there;
// --constants tries what is worked out once, when a file is read, too, and takes much longer.
import { mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { Stryker } from '@stryker-mutator/core';
import { Instrumenter } from '@stryker-mutator/instrumenter';
import jestConfig from '../jest.config.mjs';
import { ensureBuild } from './demo.mjs';
import { DRAWN, keyOf, TRIED } from './mutantPlugins.mjs';

/** What is mutated when nothing is named. */
const ROOMS = ['src/core', 'src/contract', 'src/server'];

/** Words are read by people, and a whole block that is left out is tried by its parts. */
const LEFT_OUT = ['StringLiteral', 'BlockStatement'];

/** The slowest tests: run only where they are named. */
const LONG = ['photo/tracePhoto', 'mould/dart', 'mould/flatDepths', 'sheet/pages', 'stl/stl', 'web/fuzz'];

/** Where the report is written; git leaves it out. */
const REPORT = 'data/mutation/report.json';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    sample: { type: 'string' },
    seed: { type: 'string', default: '1' },
    tests: { type: 'string' },
    constants: { type: 'boolean', default: false },
    workers: { type: 'string', default: '2' },
  },
});

/** The source files of a path: no tests, no helpers of tests. */
function sources(path) {
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !/\.test(\.helper)?\.ts$/.test(file))
    .map((file) => join(path, file));
}

/** Chance that a seed repeats (mulberry32). */
function seeded(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const silent = { info() {}, debug() {}, isDebugEnabled: () => false, warn: console.warn, error: console.error };

/** Every change that can be made in the files. */
async function changesIn(files) {
  const { mutants } = await new Instrumenter(silent).instrument(
    files.map((name) => ({ name, mutate: true, content: readFileSync(name, 'utf8') })),
    { plugins: null, excludedMutations: LEFT_OUT, ignorers: [], noHeader: true },
  );
  return mutants.filter(({ ignoreReason }) => !ignoreReason);
}

/** The place of a change, as `file:line:column-line:column`. */
function placeOf({ fileName, location }) {
  const at = ({ line, column }) => `${line + 1}:${column}`;
  return `${fileName}:${at(location.start)}-${at(location.end)}`;
}

/** Draws a number of changes at random, by a seed. */
function drawn(changes, count, seed) {
  const random = seeded(seed);
  const left = [...changes];
  const found = [];
  while (found.length < count && left.length > 0) found.push(...left.splice(Math.floor(random() * left.length), 1));
  return found;
}

const files = (positionals.length > 0 ? positionals : ROOMS).flatMap(sources);
mkdirSync(dirname(REPORT), { recursive: true });
rmSync(TRIED, { force: true });
let places = files;
if (values.sample) {
  const sample = drawn(await changesIn(files), Number(values.sample), Number(values.seed));
  places = [...new Set(sample.map(placeOf))];
  writeFileSync(DRAWN, JSON.stringify(sample.map(keyOf), null, 1));
}
if (places.length === 0) throw new Error('nothing to change in the files given');

const [unit, web, api] = jestConfig.projects;
const chosen = values.tests
  ?.split(',')
  .flatMap((path) => [`<rootDir>/src/${path}/**/*.test.ts`, `<rootDir>/src/${path}*.test.ts`]);
// Jest's own runner, which isolates each file: a change must not outlive its tests.
const config = { ...api, testMatch: chosen ?? [unit, web, api].flatMap(({ testMatch }) => testMatch) };
delete config.displayName;
// The server's tests serve the built screens.
ensureBuild();
const results = await new Stryker({
  mutate: places,
  mutator: { excludedMutations: LEFT_OUT },
  testRunner: 'jest',
  testRunnerNodeArgs: ['--max-old-space-size=4096'],
  plugins: ['@stryker-mutator/jest-runner', fileURLToPath(new URL('./mutantPlugins.mjs', import.meta.url))],
  jest: {
    projectType: 'custom',
    config: {
      ...config,
      testTimeout: jestConfig.testTimeout,
      testPathIgnorePatterns: [
        ...config.testPathIgnorePatterns,
        ...LONG.filter((path) => !values.tests?.includes(path)),
      ],
    },
    enableFindRelatedTests: !values.tests,
  },
  coverageAnalysis: 'perTest',
  // A figure that is worked out once, when its file is read, can only be tried with all tests of the run.
  ignoreStatic: !values.constants,
  concurrency: Number(values.workers),
  ignorePatterns: ['/data', '/e2e', '/bench', '/docs/screenshots'],
  tempDirName: 'data/mutation/work',
  checkers: values.sample ? ['sample'] : [],
  reporters: ['clear-text', 'json', 'tried'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false, reportScoreTable: false },
  jsonReporter: { fileName: REPORT },
  thresholds: { high: 95, low: 85, break: null },
  timeoutMS: 60_000,
  dryRunTimeoutMinutes: 60,
  allowEmpty: true,
}).runMutationTest();

const counted = Object.groupBy
  ? Object.groupBy(results, ({ status }) => status)
  : results.reduce((all, one) => ({ ...all, [one.status]: [...(all[one.status] ?? []), one] }), {});
const of = (...names) => names.reduce((sum, name) => sum + (counted[name]?.length ?? 0), 0);
const [noticed, missed] = [of('Killed', 'Timeout', 'RuntimeError'), of('Survived', 'NoCoverage')];
console.log(
  `${noticed + missed} changes: ${noticed} noticed, ${missed} not ` +
    `(${((100 * noticed) / (noticed + missed || 1)).toFixed(1)} % noticed)`,
);
