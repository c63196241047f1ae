import { openBrowser } from '../e2e/browser.ts';
import { openTable } from '../e2e/testTable.ts';
import { percentiles, type Times } from './measure.ts';

/**
 * Watches a field of the page: from each key's input event to the moment when the changed drawing has been laid out.
 * Runs inside the page, as text, since it speaks to the page's own objects.
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

/** Pause between keys (ms): a very fast typist's, in which the page has painted what the last key changed. */
const PAUSE = 60;

/**
 * Times from a keystroke in a field to the redrawn pattern (ms), in the real page: the keyboard types over the two digits
 * of a size, now the tens (50 to 90), now the ones.
 */
export async function keystrokes(design: string, fieldName: string, count: number): Promise<Times> {
  const table = await openTable({ demo: true });
  const browser = await openBrowser();
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(table.url);
  await page.locator(`[data-design="${design}"] .drawing`).click();
  const field = page.locator(`input[name="${fieldName}"]`);
  await field.fill('80');
  await field.press('Home');
  await page.evaluate(WATCH);
  for (let index = 0; index < count; index += 1) {
    const place = index % 2;
    const digit = place === 0 ? 5 + ((index / 2) % 5) : (3 * index) % 10;
    if (place === 0) await field.press('Home');
    await field.press('Shift+ArrowRight');
    await field.press(String(digit));
    await page.waitForTimeout(PAUSE);
  }
  const times = await page.evaluate<number[]>('window.keyTimes');
  await browser.close();
  await table.close();
  if (times.length < count / 2) throw new Error(`only ${times.length} of ${count} keystrokes redrew the pattern`);
  return percentiles(`keystroke to redrawn pattern, ${design}`, times);
}
