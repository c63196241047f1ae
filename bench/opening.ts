import { openBrowser } from '../e2e/browser.ts';
import { openTable } from '../e2e/testTable.ts';

/** Keeps the tasks of the page that take 50 ms and more (only those does a browser tell). */
const WATCH = `
  window.longTasks = [];
  new PerformanceObserver((list) => window.longTasks.push(...list.getEntries().map((one) => one.toJSON()))).observe({ type: 'longtask', buffered: true });
`;

/** The shelf is at rest by then, and the piece after it is opened (ms). */
const REST = { shelf: 3000, piece: 1500 } as const;

/** Keeps when the drawing of a piece first stood on the screen: the frame after its first line was there. */
const WATCH_DRAWING = `
  window.drawnAt = 0;
  new MutationObserver(() => {
    if (window.drawnAt !== 0 || !document.querySelector('svg[aria-label$="from the side"] path')) return;
    window.drawnAt = -1;
    requestAnimationFrame(() => setTimeout(() => { window.drawnAt = performance.now(); }));
  }).observe(document, { childList: true, subtree: true });
`;

/** Opens every demo piece from the shelf, each in a browser that has never been here: time to its drawing and figures, and its longest task. */
export async function openings(): Promise<void> {
  const table = await openTable({ demo: true });
  const designs = (await (await fetch(`${table.url}api/designs?limit=100`)).json()) as { id: string; name: string }[];
  for (const { id, name } of designs) {
    const browser = await openBrowser();
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
    await page.addInitScript(WATCH + WATCH_DRAWING);
    await page.goto(table.url);
    const link = page.locator(`a[href*="${id}"]`).first();
    await link.scrollIntoViewIfNeeded();
    await page.waitForTimeout(REST.shelf);
    const from = await page.evaluate<number>('performance.now()');
    await link.click();
    await page.locator('[data-figure]').first().waitFor();
    const opened = (await page.evaluate<number>('performance.now()')) - from;
    await page.waitForTimeout(REST.piece);
    const tasks = await page.evaluate<{ startTime: number; duration: number }[]>('window.longTasks');
    const drawn = (await page.evaluate<number>('window.drawnAt')) - from;
    const longest = Math.max(0, ...tasks.filter(({ startTime }) => startTime > from).map(({ duration }) => duration));
    const task = longest > 0 ? `longest task ${longest.toFixed(0)} ms` : 'no task of 50 ms';
    console.log(
      `opening ${name}: drawn after ${drawn.toFixed(0)} ms, its figures after ${opened.toFixed(0)} ms, ${task}`,
    );
    await browser.close();
  }
  await table.close();
}
