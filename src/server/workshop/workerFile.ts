import { execFileSync } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

let built: string | undefined;

/**
 * The worker as one bundled JavaScript file, named by its content. A thread that loaded the TypeScript sources would start
 * slowly and leave their files open when it ends.
 */
export function workerFile(root = process.cwd()): string {
  if (built) return built;
  const esbuild = join(root, 'node_modules/esbuild/bin/esbuild');
  const source = join(root, 'src/server/workshop/worker.ts');
  const options = [
    '--bundle',
    '--platform=node',
    '--format=esm',
    '--packages=external',
    '--target=node20',
    '--log-level=error',
  ];
  const text = execFileSync(esbuild, [source, ...options], { maxBuffer: 2 ** 26, cwd: root });
  const folder = join(root, 'dist/server');
  const file = join(folder, `worker-${createHash('sha256').update(text).digest('hex').slice(0, 16)}.mjs`);
  if (!existsSync(file)) {
    mkdirSync(folder, { recursive: true });
    // Whole or not at all: another server may start at the same time.
    const half = join(folder, `${randomUUID()}.half`);
    writeFileSync(half, text);
    renameSync(half, file);
  }
  return (built = file);
}
