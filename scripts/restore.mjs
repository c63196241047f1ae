// Lists the backups of the data folder, or puts one back. Set FAWN_DATA to the folder; the demo's is data/demo.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensurePackages, ROOT } from './setup.mjs';

ensurePackages();
const done = spawnSync(
  process.execPath,
  ['--import', 'tsx', join(ROOT, 'src/server/restore.ts'), ...process.argv.slice(2)],
  {
    cwd: ROOT,
    stdio: 'inherit',
  },
);
process.exitCode = done.status ?? 1;
