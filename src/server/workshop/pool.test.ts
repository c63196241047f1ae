import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { poolOf, type Pool, type PoolOptions } from './pool.ts';

/** What starting a thread takes here, and how long an order may take (ms): the start alone is over the limit. */
const [START, LIMIT] = [3000, 2000];
/** Longer than any test waits (ms). */
const ENDLESS = 3_600_000;

/** A worker whose orders are the times (ms) that they take. */
const sleeper = (start: number) => `
import { parentPort } from 'node:worker_threads';
const sleep = (time) => Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, time);
sleep(${start});
export default ({ number, order }) => {
  parentPort.postMessage(number);
  sleep(order);
  return order;
};
`;

const folder = mkdtempSync(join(tmpdir(), 'fawn-pool-'));
const pools: Pool<number, number>[] = [];

function sleeping(options: Partial<PoolOptions> & { readonly start?: number } = {}): Pool<number, number> {
  const file = join(folder, `sleeper-${pools.length}.mjs`);
  writeFileSync(file, sleeper(options.start ?? 0));
  const pool = poolOf<number, number>({ least: 1, most: 1, niceIncrement: 0, ...options, file });
  pools.push(pool);
  return pool;
}

afterAll(async () => {
  await Promise.all(pools.map((pool) => pool.close()));
  rmSync(folder, { recursive: true });
});

describe('the time of an order', () => {
  it.each([1, 0])('does not hold the start of its thread, of which %i is kept', async (least) => {
    const pool = sleeping({ start: START, least });
    expect(await Promise.all([1, 2, 3].map((time) => pool.run(time, LIMIT)))).toEqual([1, 2, 3]);
  });

  it('does not hold the wait for those before it', async () => {
    const pool = sleeping();
    const times = [700, 700, 700, 700];
    expect(await Promise.all(times.map((time) => pool.run(time, LIMIT)))).toEqual(times);
  });

  it('ends an order that takes longer, and the next is done by a new thread, whose start is not counted either', async () => {
    const pool = sleeping({ start: START });
    const orders = [pool.run(ENDLESS, LIMIT), pool.run(1, LIMIT)];
    await expect(orders[0]).rejects.toMatchObject({ code: 'too-slow' });
    expect(await orders[1]).toBe(1);
  });
});

describe('the wait of an order', () => {
  it.each([1, 2])('ends in the order in which they came, with %i threads at most', async (most) => {
    const pool = sleeping({ most });
    const done: number[] = [];
    const orders = Array.from({ length: 30 }, async (_, place) => {
      await new Promise((resolve) => setTimeout(resolve, 8 * place));
      await pool.run(20, LIMIT);
      done.push(place);
    });
    await Promise.all(orders);
    // Only orders that other threads still work on can be overtaken.
    const early = done.map((place, turn) => place - turn);
    expect(Math.max(...early)).toBeLessThan(most);
  });

  it('ends as busy when it is too long, and the one before it is still done', async () => {
    const pool = sleeping({ longestWait: 1000 });
    await pool.run(0, LIMIT);
    const before = pool.run(1900, ENDLESS);
    await expect(pool.run(0, LIMIT)).rejects.toMatchObject({ code: 'busy' });
    expect(await before).toBe(1900);
    expect(await pool.run(0, LIMIT)).toBe(0);
  });

  it('is refused as busy at once behind a hundred others', async () => {
    const pool = sleeping();
    const first = pool.run(1900, ENDLESS).catch((error: unknown) => error);
    const codeOf = ({ code }: { readonly code?: string }) => code;
    const others = Array.from({ length: 120 }, () => pool.run(0, LIMIT).catch(codeOf));
    expect(new Set(await Promise.all(others.slice(101)))).toEqual(new Set(['busy']));
    await pool.close();
    await Promise.all([first, ...others]);
  });
});
