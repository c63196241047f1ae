// Builds the app, fills an empty table with the demo designs and starts the server. --fresh starts over.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { ensurePackages, ROOT, runTool, say } from './setup.mjs';

/** Files that are worth packing. */
const PACKED = /\.(js|css|svg|html|json)$/;

/** Packs the built files beside themselves, so that the server need not do it at each request. */
function packFiles(folder) {
  for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
    if (!PACKED.test(name) || name.endsWith('index.html')) continue;
    const file = join(folder, name);
    const bytes = readFileSync(file);
    writeFileSync(`${file}.br`, brotliCompressSync(bytes));
    writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  }
}

/** Builds the screens when a source has changed since the last build. */
export function ensureBuild() {
  const hash = createHash('sha256');
  const add = (path) => {
    if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) add(join(path, name));
    else hash.update(path).update(readFileSync(path));
  };
  for (const path of ['src/core', 'src/contract', 'src/web', 'vite.config.ts', 'package-lock.json'])
    add(join(ROOT, path));
  const stamp = join(ROOT, 'dist/.built');
  const wanted = hash.digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Building the screens ...');
  if (runTool('vite/bin/vite.js', ['build', '--logLevel', 'warn'], { stdio: ['ignore', 2, 2] }) !== 0) {
    say('The build failed: see above.');
    process.exit(1);
  }
  packFiles(join(ROOT, 'dist/web'));
  writeFileSync(stamp, wanted);
}

if (process.argv[1] === join(ROOT, 'scripts/demo.mjs')) {
  ensurePackages();
  ensureBuild();
  const data = resolve(ROOT, process.env.FAWN_DATA ?? 'data/demo');
  if (process.argv.includes('--fresh')) {
    say('Starting over with the demo designs.');
    for (const ending of ['', '-wal', '-shm']) rmSync(join(data, `fawn.sqlite${ending}`), { force: true });
  }
  say(`The table's database is ${join(data, 'fawn.sqlite')}; what you change there stays.`);
  const server = spawn(process.execPath, ['--import', 'tsx', 'src/server/main.ts', '--demo'], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, FAWN_DATA: data, FAWN_LOG: process.env.FAWN_LOG ?? 'warn' },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
}
