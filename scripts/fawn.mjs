// The command line: see docs/format.md. Installs the packages first on a fresh machine.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensurePackages, ROOT } from './setup.mjs';

ensurePackages();
const caller = process.env.INIT_CWD ?? process.cwd();
const [command, ...rest] = process.argv.slice(2);
// The whole studio is the server's to read and write; everything else needs no data folder.
const [program, args] =
  command === 'archive' ? ['src/server/archive.ts', rest] : ['src/cli/main.ts', process.argv.slice(2)];
const done = spawnSync(process.execPath, ['--import', 'tsx', join(ROOT, program), ...args], {
  cwd: ROOT,
  stdio: 'inherit',
  env: { ...process.env, INIT_CWD: caller },
});
process.exitCode = done.status ?? 1;
