import { newTarget } from '../src/core/target/target.ts';
import { percentiles, type Times } from './measure.ts';
import { pause, request, slowest, startServer } from './ownServer.ts';

/** How many people work at the table at a time, for how long (ms), and the pause between two things that one does (ms). */
const PEOPLE = 30;
const LASTS = Number(process.env['FAWN_SOAK_SECONDS'] ?? 60) * 1000;
const PAUSE = 600;

/** What one does in turn: saves, reads, lists, and asks after the server. */
const STEPS = 4;

/** What came of the soak: times of what people did, refusals that were not asked for, and the least memory in the second and the last third of it (MB). */
export interface Soak {
  readonly times: readonly Times[];
  readonly wrong: number;
  readonly slow: number;
  readonly memory: readonly [from: number, to: number];
}

/** What is sent; nothing for a plain GET. */
interface Sent {
  readonly method?: string;
  readonly body?: unknown;
}

/** People who read, write and list beside one who asks for the slowest work all the time. */
export async function soak(): Promise<Soak> {
  const table = await startServer();
  // Its threads have started by then.
  await pause(3000);
  const until = performance.now() + LASTS;
  const times: Record<'save' | 'read' | 'list' | 'health', number[]> = { save: [], read: [], list: [], health: [] };
  let wrong = 0;
  const ask = async (kind: keyof typeof times, path: string, { method = 'GET', body }: Sent = {}): Promise<unknown> => {
    const from = performance.now();
    const reply = await request(`${table.url}api${path}`, method, body);
    const found = await reply.json();
    times[kind].push(performance.now() - from);
    if (!reply.ok) wrong += 1;
    return found;
  };
  const person = async (index: number): Promise<void> => {
    // They do not keep step: their saves are spread as evenly as their reading.
    await pause((index * STEPS * PAUSE) / PEOPLE);
    const target = (height: number) => ({
      ...newTarget(`Tumbler ${index}`),
      form: { kind: 'cylinder', diameter: 84, height },
    });
    let design = (await ask('save', '/designs', { method: 'POST', body: { target: target(100) } })) as {
      id: string;
      revision: number;
    };
    for (let step = 0; performance.now() < until; step += 1) {
      if (step % STEPS === 0)
        design = (await ask('save', `/designs/${design.id}`, {
          method: 'PUT',
          body: { target: target(101 + step / STEPS), baseRevision: design.revision },
        })) as typeof design;
      else if (step % STEPS === 1) await ask('read', `/designs/${design.id}`);
      else if (step % STEPS === 2) await ask('list', '/designs');
      else await ask('health', '/health');
      await pause(PAUSE);
    }
  };
  let slow = 0;
  const greedy = async (): Promise<void> => {
    while (performance.now() < until) {
      await request(`${table.url}api/develop`, 'POST', { target: slowest(slow) }).then((reply) => reply.text());
      slow += 1;
    }
  };
  const asking = greedy();
  // Memory goes up and down as it is tidied: its least in the second third and in the last one tell whether it grows.
  const least: [number, number] = [Infinity, Infinity];
  const began = performance.now();
  const looking = setInterval(() => {
    const third = Math.floor((3 * (performance.now() - began)) / LASTS);
    if (third === 1 || third === 2) least[third - 1] = Math.min(least[third - 1] as number, table.megabytes());
  }, 250);
  await Promise.all(Array.from({ length: PEOPLE }, (_, index) => person(index)));
  clearInterval(looking);
  await asking;
  await table.close();
  const told = Object.entries(times).map(([kind, all]) =>
    percentiles(`soak, ${PEOPLE} people beside the slowest work: ${kind}`, all),
  );
  return { times: told, wrong, slow, memory: least };
}
