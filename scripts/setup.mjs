// Gets a fresh machine ready with nothing but Node: packages by npm, Chromium by apt. Imports no package.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
export const say = (line) => process.stderr.write(`${line}\n`);

const STAMP = join(ROOT, 'node_modules/.fawn-lock');
const CHROMIUMS = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

function lockHash() {
  return createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
}

const apt = (...args) =>
  spawnSync('apt-get', args, { stdio: ['ignore', 2, 2], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });

/** The database driver is compiled where no ready-made one can be had; gets the compiler by apt when there is none. */
function ensureCompiler() {
  const missing = ['make', 'g++', 'python3'].filter((tool) => spawnSync(tool, ['--version']).status !== 0);
  if (missing.length === 0) return;
  say(`Installing ${missing.join(', ')} by apt, to compile the database driver ...`);
  if (apt('update').status === 0) apt('install', '-y', '--no-install-recommends', ...missing);
}

/** Installs the packages that the lock file names, unless they are already there. */
export function ensurePackages() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    say(`Fawn Table needs Node 20.19 or newer; this is ${process.versions.node}.`);
    process.exit(1);
  }
  const wanted = lockHash();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return;
  ensureCompiler();
  say('Installing packages (the database driver may take two minutes to compile) ...');
  const done = spawnSync('npm', ['ci', '--include=dev', '--no-audit', '--no-fund'], {
    cwd: ROOT,
    stdio: ['ignore', 2, 2],
    shell: process.platform === 'win32',
  });
  if (done.status !== 0) {
    say('npm ci failed: see above.');
    process.exit(1);
  }
  mkdirSync(dirname(STAMP), { recursive: true });
  writeFileSync(STAMP, wanted);
}

/** Path of Chromium; installs Debian's when there is none and apt can. Ends with a clear message when it cannot. */
export function ensureChromium() {
  const named = process.env.FAWN_CHROMIUM;
  const find = () => [named, ...CHROMIUMS].find((path) => path && existsSync(path));
  const found = find();
  if (found) return found;
  say('Installing Chromium by apt ...');
  if (apt('update').status === 0) apt('install', '-y', '--no-install-recommends', 'chromium');
  const installed = find();
  if (installed) return installed;
  say(
    'The browser tests need Chromium. Install it (Debian: apt-get install chromium) or set FAWN_CHROMIUM to its path.',
  );
  process.exit(1);
}

/** Debian's reader of plot files, by which ours are measured: installed where apt can; without it those tests are left out. */
export function ensurePlotReader() {
  if (spawnSync('hp2xx', ['-h'], { input: '' }).error === undefined) return;
  say('Installing a reader of plot files by apt ...');
  if (apt('install', '-y', '--no-install-recommends', 'hp2xx').status === 0) return;
  if (apt('update').status === 0 && apt('install', '-y', '--no-install-recommends', 'hp2xx').status === 0) return;
  say('hp2xx could not be installed: plot files are not measured by it.');
}

/** Runs one of the project's tools to its end and returns its exit code; its output goes where `stdio` says. */
export function runTool(command, args, options = {}) {
  const done = spawnSync(process.execPath, [join(ROOT, 'node_modules', command), ...args], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    ...options,
  });
  return done.status ?? 1;
}
