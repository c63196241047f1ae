// The command line: see docs/format.md. Installs the packages first on a fresh machine.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensurePackages, ROOT } from './setup.mjs';

ensurePackages();
const caller = process.env.INIT_CWD ?? process.cwd();
const done = spawnSync(process.execPath, ['--import', 'tsx', join(ROOT, 'src/cli/main.ts'), ...process.argv.slice(2)], {
  cwd: ROOT,
  stdio: 'inherit',
  env: { ...process.env, INIT_CWD: caller },
});
process.exitCode = done.status ?? 1;
