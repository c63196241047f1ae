// Sets the machine up, then checks types, lint, unit, API and browser tests. Last line: N passed, N failed.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild } from './demo.mjs';
import { ensureChromium, ensurePackages, ensurePlotReader, runTool, say } from './setup.mjs';

ensurePackages();
process.env.FAWN_CHROMIUM = ensureChromium();
ensurePlotReader();
ensureBuild();

/** Folder for the temporary files of all tests; removed at the end. */
const folder = mkdtempSync(join(tmpdir(), 'fawn-test-'));
process.env.TMPDIR = folder;
process.on('exit', () => rmSync(folder, { recursive: true, force: true }));

// Tests allocate many short-lived objects: a larger young generation is collected less often.
process.env.NODE_OPTIONS = `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=64`.trim();

let passed = 0;
let failed = 0;

/** A check that is one test by itself: it passes or it fails. */
function check(name, command, args) {
  say(`\n${name}`);
  if (runTool(command, args) === 0) passed += 1;
  else {
    failed += 1;
    say(`${name}: failed`);
  }
}

check('Types of core, server and command line', 'typescript/bin/tsc', ['--noEmit']);
check('Types of the screens', 'vue-tsc/bin/vue-tsc.js', ['--noEmit', '-p', 'tsconfig.web.json']);
check('Lint', 'eslint/bin/eslint.js', ['.', '--max-warnings', '0']);
check('Format', 'prettier/bin/prettier.cjs', ['--check', '--log-level', 'warn', '.']);

/** How many files are tested at once: each browser test has a browser, a server and workers of its own beside it. */
const AT_ONCE = { unit: '100%', web: '100%', api: '100%', browser: '2' };

for (const [project, workers] of Object.entries(AT_ONCE)) {
  say(`\nTests: ${project}`);
  const report = join(folder, `${project}.json`);
  const status = runTool(
    'jest/bin/jest.js',
    ['--selectProjects', project, `--maxWorkers=${workers}`, '--json', `--outputFile=${report}`],
    {
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  );
  try {
    const result = JSON.parse(readFileSync(report, 'utf8'));
    passed += result.numPassedTests;
    failed += result.numFailedTests + result.numRuntimeErrorTestSuites;
    if (status !== 0 && result.success) failed += 1;
  } catch {
    failed += 1;
    say(`${project}: no report was written`);
  }
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
