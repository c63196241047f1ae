// Takes the README's pictures from the demo data into docs/screenshots (or the folder given).
import { spawnSync } from 'node:child_process';
import { ensureBuild } from './demo.mjs';
import { ensureChromium, ensurePackages, ROOT } from './setup.mjs';

ensurePackages();
ensureBuild();
const chromium = ensureChromium();
const done = spawnSync(process.execPath, ['--import', 'tsx', 'e2e/screenshots.ts', ...process.argv.slice(2)], {
  cwd: ROOT,
  stdio: 'inherit',
  env: { ...process.env, FAWN_CHROMIUM: chromium },
});
process.exitCode = done.status ?? 1;
