import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { runCommand } from '../cli/commands.ts';
import { nodeStation } from '../cli/station.ts';
import { openDatabase } from './models/database.ts';
import { seedDemo } from './services/seed.ts';

const made = mkdtempSync(join(tmpdir(), 'fawn-examples-'));
afterAll(() => rmSync(made, { recursive: true, force: true }));

/** Every command of docs/examples.md, its files in a folder that goes away. */
const calls = [...readFileSync('docs/examples.md', 'utf8').matchAll(/^npm run -s fawn -- (.+)$/gm)].map(
  ([, call = '']) => call.split(' ').map((word) => word.replace(/^made(?=\/|$)/, made)),
);
const plain = calls.filter(([command]) => command !== 'archive');
const archive = calls.filter(([command]) => command === 'archive');

describe('the examples of the docs', () => {
  it.each(plain.map((call) => [call.join(' ').replaceAll(made, 'made'), call] as const))('run: %s', async (_, call) => {
    const lines: string[] = [];
    const complaints: string[] = [];
    const station = {
      ...nodeStation(process.cwd()),
      print: (line: string) => void lines.push(line),
      complain: (line: string) => void complaints.push(line),
    };
    expect([await runCommand(call, station), complaints]).toEqual([0, []]);
    expect(lines.length).toBeGreaterThan(0);
    // What is printed is JSON, or the paths of files that are there.
    if (call[0] === 'sheet') for (const path of lines) expect(readFileSync(path).length).toBeGreaterThan(100);
    else for (const line of lines) expect(JSON.parse(line)).toBeTruthy();
  });

  it('carry a whole studio away and back', async () => {
    const folder = join(made, 'data');
    const database = await openDatabase(folder);
    await seedDemo(database, join(process.cwd(), 'demo'));
    await database.close();
    expect(archive.length).toBeGreaterThan(2);
    for (const call of archive) {
      const { status, stderr } = spawnSync(
        process.execPath,
        ['--import', 'tsx', 'src/server/archive.ts', ...call.slice(1)],
        { env: { ...process.env, FAWN_DATA: folder }, encoding: 'utf8' },
      );
      expect([call[1], status, stderr.replace(/^npm warn.*\n/gm, '')]).toEqual([call[1], 0, '']);
    }
    expect(readdirSync(made)).toContain('studio.zip');
  });
});
