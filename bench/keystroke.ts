import type { Locator, Page } from 'playwright-core';
import { openBrowser } from '../e2e/browser.ts';
import { openTable } from '../e2e/testTable.ts';
import { percentiles, type Times } from './measure.ts';

/**
 * Watches a field of the page: from each key's input event to the moment when the changed drawing has been laid out, all
 * of which is done within that event. Runs inside the page, as text, since it speaks to the page's own objects.
 */
const WATCH = `
  window.keyTimes = [];
  let from = 0;
  document.addEventListener('input', () => { from = performance.now(); }, true);
  new MutationObserver(() => {
    if (!from) return;
    document.body.getBoundingClientRect();
    window.keyTimes.push(performance.now() - from);
    from = 0;
  }).observe(document.querySelector('.work-table'), { subtree: true, attributes: true, childList: true, characterData: true });
`;

/** Fixed sums in the page, about so many ms of them, and the time that they took: how far the machine itself spreads equal work. */
const SUMS = `
  (ms) => {
    const sums = (count) => {
      const from = performance.now();
      let sum = 0;
      for (let at = 1; at < count; at += 1) sum += Math.sin(at) / at;
      return performance.now() - from + 0 * sum;
    };
    window.perMs ??= 1e6 / [0, 0, 0].map(() => sums(1e6)).sort((one, other) => one - other)[1];
    return sums(ms * window.perMs);
  }
`;

/** Pause between keys (ms): a very fast typist's, in which the page has painted what the last key changed. */
const PAUSE = 60;

/** Before the first key (ms): nobody reads a piece and types into it faster. */
const SETTLED = 1500;

/** An event of the browser's trace: how long it took (microseconds), and how long of it the page's thread ran at all. */
interface Traced {
  readonly name: string;
  readonly ph: string;
  readonly dur?: number;
  readonly tdur?: number;
  readonly args?: { readonly data?: { readonly type?: string } };
}

/** What the page's thread worked in each input event (ms), by the browser's own trace: waiting for a processor left out. */
function worked(trace: string): number[] {
  const { traceEvents } = JSON.parse(trace) as { traceEvents: readonly Traced[] };
  return traceEvents
    .filter(({ name, ph, args }) => name === 'EventDispatch' && ph === 'X' && args?.data?.type === 'input')
    .map(({ tdur = 0 }) => tdur / 1000);
}

/** Types over the two digits of a size, now the tens (50 to 90), now the ones, at a fast typist's pace. */
async function type(page: Page, field: Locator, count: number): Promise<void> {
  for (let index = 0; index < count; index += 1) {
    const place = index % 2;
    const digit = place === 0 ? 5 + ((index / 2) % 5) : (3 * index) % 10;
    if (place === 0) await field.press('Home');
    await field.press('Shift+ArrowRight');
    await field.press(String(digit));
    await page.waitForTimeout(PAUSE);
  }
}

/** Keys whose work is traced. */
const TRACED = 60;

/**
 * Times from a keystroke in a field to the redrawn pattern (ms), in the real page. First by the clock, with nothing else
 * running; then the processor time of the page's thread, traced over further keys, since on few processors the browser's
 * other threads, the server and this program compete with it; then fixed sums at the same pace, whose spread shows the
 * machine's own.
 */
export async function keystrokes(design: string, fieldName: string, count: number): Promise<Times[]> {
  const table = await openTable({ demo: true });
  const browser = await openBrowser();
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(table.url);
  await page.locator(`[data-design="${design}"] .drawing`).click();
  const field = page.locator(`input[name="${fieldName}"]`);
  await field.fill('80');
  await field.press('Home');
  await page.waitForTimeout(SETTLED);
  await page.evaluate(WATCH);
  await type(page, field, count);
  const times = await page.evaluate<number[]>('window.keyTimes');
  await browser.startTracing(page, { categories: ['devtools.timeline'] });
  await type(page, field, TRACED);
  const work = worked((await browser.stopTracing()).toString());
  const median = [...times].sort((one, other) => one - other)[times.length >> 1] ?? 1;
  const sums: number[] = [];
  for (let index = 0; index < TRACED; index += 1) {
    sums.push(await page.evaluate<number>(`(${SUMS})(${median})`));
    await page.waitForTimeout(PAUSE);
  }
  await browser.close();
  await table.close();
  for (const [list, typed] of [
    [times, count],
    [work, TRACED],
  ] as const)
    if (list.length < typed / 2) throw new Error(`only ${list.length} of ${typed} keystrokes redrew the pattern`);
  return [
    percentiles(`keystroke to redrawn pattern, ${design}`, times),
    percentiles(`  of it the page's own work`, work),
    percentiles('  fixed sums as long, in the same page', sums),
  ];
}
