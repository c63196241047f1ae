import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { openBrowser } from '../e2e/browser.ts';
import { openTable } from '../e2e/testTable.ts';
import { cap } from '../src/core/geometry/flatten/meshes.test.helper.ts';

/** Rings of caps with about 5,000 and 20,000 vertices. */
const RINGS = [41, 81] as const;

/**
 * Watches for tasks of the page that take 50 ms and more (only those does a browser tell), and how long it waits for a fine
 * blank: from asking a new worker to its answer.
 */
const WATCH = `
  window.longTasks = [];
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) window.longTasks.push(duration);
  }).observe({ entryTypes: ['longtask'] });
  window.layings = [];
  const post = Worker.prototype.postMessage;
  Worker.prototype.postMessage = function (question, ...rest) {
    const asked = performance.now();
    this.addEventListener('message', ({ data }) => {
      if (question.kind === 'lay' && data.kind === 'laid') window.layings.push(performance.now() - asked);
    });
    return post.call(this, question, ...rest);
  };
`;

/** A cap as the text of an OBJ file. */
function objOf(rings: number): string {
  const { positions, triangles } = cap(240, 40, rings);
  const rows: string[] = [];
  for (let at = 0; at < positions.length; at += 3) rows.push(`v ${positions.subarray(at, at + 3).join(' ')}`);
  for (let at = 0; at < triangles.length; at += 3)
    rows.push(`f ${[0, 1, 2].map((side) => (triangles[at + side] as number) + 1).join(' ')}`);
  return rows.join('\n');
}

/** What is done with an imported mould, and how long it is given (ms). */
const STEPS: readonly (readonly [name: string, ms: number, work: (page: Page, file: string) => Promise<unknown>])[] = [
  ['reading it', 4000, (page, file) => page.locator('input[name="mould-file"]').setInputFiles(file)],
  ['laying its blank', 10_000, (page) => page.getByRole('button', { name: 'Take this mould' }).click()],
  ['opening Flat', 4000, (page) => page.keyboard.press('2')],
  [
    'the formed piece, turned',
    3000,
    async (page) => {
      await page.getByText('Formed', { exact: true }).click();
      await page.locator('.strain-map canvas').focus();
      for (let turn = 0; turn < 5; turn += 1) await page.keyboard.press('ArrowLeft', { delay: 100 });
    },
  ],
  ['back to Shape', 2000, (page) => page.keyboard.press('1')],
  [
    'thickness, three times',
    7000,
    async (page) => {
      for (const mm of ['5', '6', '7']) {
        await page.locator('input[name="wall"]').fill(mm);
        await page.waitForTimeout(6000);
      }
    },
  ],
  ['undo', 7000, (page) => page.keyboard.press('Control+z')],
];

/** Longest tasks of the page (ms, from 50) while a large mesh is read, laid flat and worked with. */
export async function blocking(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'fawn-bench-'));
  for (const rings of RINGS) {
    const file = join(folder, 'cap.obj');
    writeFileSync(file, objOf(rings));
    const table = await openTable({ demo: true });
    const browser = await openBrowser();
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(table.url);
    await page.locator('[data-design="Service tray"] .drawing').click();
    await page.locator('input[name="mould-file"]').waitFor({ state: 'attached' });
    await page.waitForTimeout(4000);
    await page.evaluate(WATCH);
    for (const [name, ms, work] of STEPS) {
      await work(page, file);
      await page.waitForTimeout(ms);
      const long = await page.evaluate<number[]>('window.longTasks.splice(0)');
      const laid = await page.evaluate<number[]>('window.layings.splice(0)');
      const tasks = long.length === 0 ? 'no task of 50 ms' : long.map((one) => `${one.toFixed(0)} ms`).join(', ');
      const blanks = laid.map((one) => `; blank laid in ${(one / 1000).toFixed(2)} s`).join('');
      console.log(`a mesh of ${1 + 3 * rings * (rings + 1)} vertices, ${name}: ${tasks}${blanks}`);
    }
    await browser.close();
    await table.close();
  }
  rmSync(folder, { recursive: true });
}
