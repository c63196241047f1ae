// Measures speed as percentiles and ratios within one run: npm run bench
import { spawnSync } from 'node:child_process';
import { ensureBuild } from './demo.mjs';
import { ensureChromium, ensurePackages, ROOT } from './setup.mjs';

ensurePackages();
ensureBuild();
const env = { ...process.env, FAWN_CHROMIUM: ensureChromium() };
const done = spawnSync(process.execPath, ['--import', 'tsx', 'bench/main.ts', ...process.argv.slice(2)], {
  cwd: ROOT,
  stdio: 'inherit',
  env,
});
process.exitCode = done.status ?? 1;
