import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newTarget, type Target } from '../src/core/target/target.ts';

/**
 * The slowest target that is legal: a bowl so deep that no darts are enough, which only the whole search shows. No two are
 * alike, so that no earlier result serves.
 */
export const slowest = (index: number): Target => ({
  ...newTarget('Deep bowl'),
  clay: { shrinkage: 0.12, wetDensity: 1.95, stiffness: 'stiff' },
  form: {
    kind: 'mould',
    rim: { kind: 'circle', diameter: 300 },
    depth: 145 - index / 100,
    wall: 'dome',
    side: 'hump',
    margin: 20,
  },
});

/** The server in a process of its own, so that only its own work is measured, and its memory (MB). */
export async function startServer() {
  const folder = mkdtempSync(join(tmpdir(), 'fawn-soak-'));
  const env = { ...process.env, FAWN_DATA: folder, FAWN_PORT: '0', FAWN_LOG: 'silent' };
  const server = spawn(process.execPath, ['--import', 'tsx', 'src/server/main.ts', '--demo'], {
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((resolve) => {
    server.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\S+/.exec(chunk.toString())?.[0];
      if (found) resolve(found);
    });
  });
  const megabytes = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1]) / 1024;
  const close = async () => {
    const ended = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGTERM');
    await ended;
    rmSync(folder, { recursive: true, force: true });
  };
  return { url, megabytes, close };
}

export const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Asks as the page does: a body as JSON text (or as it is, when it is text), and for short replies. */
export function request(url: string, method = 'GET', body?: unknown): Promise<Response> {
  if (body === undefined) return fetch(url, { method });
  const headers = { 'Content-Type': 'application/json', Prefer: 'return=minimal' };
  return fetch(url, { method, headers, body: typeof body === 'string' ? body : JSON.stringify(body) });
}
