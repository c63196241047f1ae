// For developers: the server, started again on every change, and the screens with hot reload.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensurePackages, ROOT, say } from './setup.mjs';

ensurePackages();
const env = {
  ...process.env,
  FAWN_DATA: process.env.FAWN_DATA ?? 'data/dev',
  FAWN_LOG: process.env.FAWN_LOG ?? 'debug',
};
const run = (args) => spawn(process.execPath, args, { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit'], env });
const children = [
  run([join(ROOT, 'node_modules/tsx/dist/cli.mjs'), 'watch', 'src/server/main.ts', '--demo']),
  run([join(ROOT, 'node_modules/vite/bin/vite.js')]),
];
say('The API answers at port 4310; open the address that Vite prints.');
const stop = () => children.forEach((child) => child.kill());
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, stop);
for (const child of children) child.on('exit', stop);
