// Plugins for npm run mutate: one tries only a sample of the changes, one records each as soon as it was tried.
import { appendFileSync, readFileSync, writeFileSync } from 'node:fs';
import { CheckStatus } from '@stryker-mutator/api/check';
import { declareClassPlugin, PluginKind } from '@stryker-mutator/api/plugin';

/** The changes of a sample, as `keyOf` names them. */
export const DRAWN = 'data/mutation/drawn.json';
/** One line of JSON for each change: its place, what it became, and whether a test noticed. */
export const TRIED = 'data/mutation/tried.jsonl';

/** Identifies a change by its place and its replacement. */
export function keyOf({ fileName, location: { start, end }, replacement }) {
  const file = fileName.replace(/^.*?(?=src\/)/, '');
  return [file, start.line, start.column, end.line, end.column, replacement].join(' ');
}

/** Lets only the sampled changes through: otherwise every change within their places would be tried. */
class SampleChecker {
  #drawn = new Set(JSON.parse(readFileSync(new URL(`../${DRAWN}`, import.meta.url), 'utf8')));

  async init() {}

  async check(mutants) {
    return Object.fromEntries(
      mutants.map((mutant) => [
        mutant.id,
        this.#drawn.has(keyOf(mutant))
          ? { status: CheckStatus.Passed }
          : { status: CheckStatus.CompileError, reason: 'not of the sample' },
      ]),
    );
  }
}

/** Records each change as it is tried, so that an interrupted run still reports. */
class TriedReporter {
  onMutationTestingPlanReady() {
    writeFileSync(TRIED, '');
  }

  onMutantTested({ status, mutatorName, replacement, statusReason, killedBy, ...mutant }) {
    if (status === 'CompileError' || status === 'Ignored') return;
    const key = keyOf({ ...mutant, replacement });
    const reason = statusReason?.split('\n')[0];
    appendFileSync(TRIED, `${JSON.stringify({ key, status, mutatorName, reason, killedBy })}\n`);
  }
}

export const strykerPlugins = [
  declareClassPlugin(PluginKind.Checker, 'sample', SampleChecker),
  declareClassPlugin(PluginKind.Reporter, 'tried', TriedReporter),
];
