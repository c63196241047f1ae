import { newTarget } from '../src/core/target/target.ts';
import { percentiles, type Times } from './measure.ts';
import { pause, request, slowest, startServer } from './ownServer.ts';

/** How long each attack lasts (ms), and the pause between two saves of the one who works beside it (ms). */
const LASTS = 10_000;
const PAUSE = 40;

const cylinder = (height: number) => ({ ...newTarget('Crock'), form: { kind: 'cylinder', diameter: 400, height } });
const mesh = {
  kind: 'mesh',
  side: 'hump',
  margin: 0,
  vertices: Array.from({ length: 300_000 }, () => ['a', 0, 0]),
  triangles: [[0, 1, 2]],
};

/** Large texts are written once, so that who attacks keeps nobody waiting by writing. */
const WRONG_MESH = JSON.stringify({ target: { ...newTarget('Mesh'), form: mesh } });
const WRONG_KEYS = JSON.stringify({
  target: Object.fromEntries(Array.from({ length: 100_000 }, (_, key) => [`k${key}`, key])),
});

/** What one asks for all the time, by its number: small requests that want much, large wrong ones, and the slowest that are right. */
const ATTACKS: readonly (readonly [name: string, path: string, body: (index: number) => string])[] = [
  ['nothing', '/health', () => ''],
  [
    'marks every 0.0001 mm',
    '/develop',
    () => JSON.stringify({ target: { ...cylinder(5000), marks: { repeat: 0.0001 } } }),
  ],
  ['300,000 wrong vertices', '/develop', () => WRONG_MESH],
  ['100,000 unknown keys', '/designs', () => WRONG_KEYS],
  ['brackets 30,000 deep', '/designs', () => `{"target":${'['.repeat(30_000)}${']'.repeat(30_000)}}`],
  ['the slowest blank', '/develop', (index) => JSON.stringify({ target: slowest(index) })],
  [
    'the PDF of a crock of 5 m',
    '/sheets',
    (index) => JSON.stringify({ target: cylinder(4900 + index / 10), format: 'pdf', paper: 'a4' }),
  ],
];

/** How long one person's saves, and a look at the server's health, take beside each attack. */
export async function attacks(): Promise<Times[]> {
  const times: Times[] = [];
  for (const [name, path, body] of ATTACKS) {
    const table = await startServer();
    await pause(4000);
    let [asked, going, status] = [0, true, 0];
    const attacking = (async () => {
      while (going) {
        const text = body(asked);
        const reply = await request(`${table.url}api${path}`, text ? 'POST' : 'GET', text || undefined);
        await reply.arrayBuffer();
        status = reply.status;
        asked += 1;
        await pause(text ? 0 : PAUSE);
      }
    })();
    const taken: Record<'save' | 'health', number[]> = { save: [], health: [] };
    const timed = async (
      kind: keyof typeof taken,
      { at, method, sent }: { readonly at: string; readonly method: string; readonly sent?: unknown },
    ) => {
      const from = performance.now();
      const found = (await (await request(`${table.url}api${at}`, method, sent)).json()) as {
        id: string;
        revision: number;
      };
      taken[kind].push(performance.now() - from);
      return found;
    };
    let design = await timed('save', { at: '/designs', method: 'POST', sent: { target: newTarget('Tumbler') } });
    for (let height = 100; taken.save.length * PAUSE < LASTS / 2; height += 1) {
      const target = { ...newTarget('Tumbler'), form: { kind: 'cylinder', diameter: 84, height: 100 + (height % 90) } };
      design = await timed('save', {
        at: `/designs/${design.id}`,
        method: 'PUT',
        sent: { target, baseRevision: design.revision },
      });
      await timed('health', { at: '/health', method: 'GET' });
      await pause(PAUSE);
    }
    going = false;
    await attacking;
    await table.close();
    for (const kind of ['save', 'health'] as const)
      times.push(percentiles(`${kind} beside ${name} (${asked} asked, ${status})`, taken[kind]));
  }
  return times;
}
