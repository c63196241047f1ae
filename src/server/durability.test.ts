import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Design } from '../contract/api.ts';
import { newTarget } from '../core/target/target.ts';
import { cylinderOf } from '../core/piece/targets.test.helper.ts';
import { openDatabase } from './models/database.ts';
import { designService } from './services/designs.ts';

/** Starts the real server in a process of its own and resolves to its address. */
function start(folder: string): Promise<{ server: ChildProcess; url: string }> {
  const server = spawn(process.execPath, ['--import', 'tsx', 'src/server/main.ts'], {
    env: { ...process.env, FAWN_DATA: folder, FAWN_PORT: '0', FAWN_LOG: 'silent' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return new Promise((resolve, reject) => {
    server.once('exit', () => reject(new Error('the server did not start')));
    server.stdout?.on('data', (chunk: Buffer) => {
      const url = /http:\S+/.exec(chunk.toString())?.[0];
      if (url) resolve({ server, url });
    });
  });
}

it('opens again with every acknowledged save after the server was killed in the middle of writing', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'fawn-kill-'));
  const { server, url } = await start(folder);
  const send = async (path: string, method: string, body: unknown) => {
    const reply = await fetch(`${url}api/${path}`, {
      method,
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!reply.ok) throw new Error(String(reply.status));
    return (await reply.json()) as Design;
  };
  const target = (height: number) => ({
    ...newTarget('Kept tumbler'),
    form: { kind: 'cylinder', diameter: 84, height },
  });
  const acknowledged = new Map<string, number[]>();
  const writer = async () => {
    let design = await send('designs', 'POST', { target: target(100) });
    const heights = [100];
    acknowledged.set(design.id, heights);
    for (let height = 101; ; height += 1) {
      design = await send(`designs/${design.id}`, 'PUT', { target: target(height), baseRevision: design.revision });
      heights.push(height);
    }
  };
  let killed = false;
  const writers = [writer(), writer(), writer()].map((work) =>
    work.catch((error: unknown) => {
      // Before the server is killed, every save is acknowledged.
      if (!killed) throw error;
    }),
  );
  const written = async () => {
    while ([...acknowledged.values()].flat().length < 60) await new Promise((resolve) => setTimeout(resolve, 5));
  };
  await Promise.race([written(), ...writers]);
  killed = true;
  server.kill('SIGKILL');
  await Promise.all(writers);

  const database = await openDatabase(folder);
  const [check] = (await database.sequelize.query('PRAGMA integrity_check'))[0] as { integrity_check: string }[];
  expect(check?.integrity_check).toBe('ok');
  const service = designService(database);
  expect(acknowledged.size).toBe(3);
  for (const [id, heights] of acknowledged) {
    const { entries } = await service.history(id, { limit: 500, offset: 0 });
    const kept: number[] = [];
    for (const { number } of [...entries].reverse())
      kept.push(cylinderOf((await service.revision(id, number)).target).height);
    expect(kept.slice(0, heights.length)).toEqual(heights);
    const design = JSON.parse(await service.read(id)) as Design;
    expect(cylinderOf(design.target).height).toBe(kept.at(-1));
    expect(design.revision).toBe(kept.length);
  }
  await database.close();
  rmSync(folder, { recursive: true, force: true });
});

it('stops gracefully when asked, leaving a database that opens with nothing missing', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'fawn-stop-'));
  const { server, url } = await start(folder);
  const body = JSON.stringify({ target: newTarget('Last tumbler') });
  const reply = fetch(`${url}api/designs`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body });
  expect((await reply).status).toBe(201);
  const ended = new Promise((resolve) => server.once('exit', resolve));
  server.kill('SIGTERM');
  expect(await ended).toBe(0);
  const database = await openDatabase(folder);
  expect((await designService(database).list({ find: 'Last', limit: 9, offset: 0 })).total).toBe(1);
  await database.close();
  rmSync(folder, { recursive: true, force: true });
});
