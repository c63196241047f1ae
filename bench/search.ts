import { openBrowser } from '../e2e/browser.ts';
import { openTable } from '../e2e/testTable.ts';
import { keptTarget } from './keptTarget.ts';
import { designService } from '../src/server/services/designs.ts';
import { percentiles, type Times } from './measure.ts';

/** The field of the dialog in which anything is found. */
const FIND = 'Find a piece, a place or a field';

/** Times from a key in the find field to the designs that it leaves (ms), in the real page, among many designs. */
export async function searches(count: number): Promise<Times> {
  const table = await openTable();
  const service = designService(table.database);
  for (let index = 0; index < count; index += 1) await service.create(keptTarget(`Tumbler ${index}`));
  const browser = await openBrowser();
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(table.url);
  await page.locator('[data-design="Tumbler 9"]').waitFor();
  await page.getByRole('button', { name: 'Find' }).click();
  await page.getByRole('textbox', { name: FIND }).waitFor();
  const times: number[] = [];
  for (let index = 0; index < 40; index += 1) {
    const found = page.evaluate<number>(`new Promise((done) => {
      const from = performance.now();
      const field = document.querySelector('input[aria-label="${FIND}"]');
      field.value = '${(37 * index) % count}';
      field.dispatchEvent(new Event('input', { bubbles: true }));
      setTimeout(() => { document.body.getBoundingClientRect(); done(performance.now() - from); });
    })`);
    times.push(await found);
  }
  await browser.close();
  await table.close();
  return percentiles(`search among ${count} designs on the screen`, times);
}
