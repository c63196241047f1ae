import type { Browser, Page } from 'playwright-core';
import type { Kept } from '../src/contract/records.ts';
import { recordsOf } from './ask.ts';
import { openBrowser } from './browser.ts';
import { openTable, type TestTable } from './testTable.ts';
import { countOf, fieldSays, lateAnswers, read, textOf, unfold } from './visit.ts';

let table: TestTable;
let browser: Browser;
let page: Page;

beforeAll(async () => {
  table = await openTable({ demo: true });
  browser = await openBrowser();
});
afterAll(async () => {
  await browser.close();
  await table.close();
});
beforeEach(async () => {
  page = await browser.newPage({ viewport: { width: 1280, height: 900 } });
  await lateAnswers(page);
});
afterEach(() => page.close());

async function onPiece(design: string, stage: string): Promise<void> {
  await page.goto(table.url);
  await page.locator(`[data-design="${design}"] .drawing`).click();
  await page.waitForURL(/piece/);
  await page.goto(`${page.url().replace(/\/(shape|flat|slab|cut)$/, '')}/${stage}`);
}
/** The records of a kind that the server has, once they fit. */
const recordsThat = <K extends 'clay' | 'kit' | 'plan'>(kind: K, fits: (found: Kept<K>[]) => boolean) =>
  read(() => recordsOf(table, kind), fits, {
    wanted: 'what was changed on the screen',
  });
/** Stops laying out. Where a slow machine comes to the end of it before the press, it is laid out again, three times at most. */
async function stopLaying(): Promise<void> {
  const again = page.getByTestId('lay-out');
  for (let left = 2; ; left -= 1) {
    try {
      await page.getByRole('button', { name: 'Stop, keep the best' }).click();
      return await again.waitFor();
    } catch (error) {
      if (left === 0 || !(await again.isVisible())) throw error;
      await again.click();
    }
  }
}
/** Waits until an element says something. */
const says = (selector: string, text: string) => page.locator(selector, { hasText: text }).first().waitFor();
const words = async (selector: string) => (await page.locator(selector).first().innerText()).replace(/\s+/g, ' ');

describe('the clay book', () => {
  it('takes shrink bars, and a design’s finished range changes with them', async () => {
    await onPiece('Rack tumbler', 'shape');
    await page.locator('[data-range="diameter"]').waitFor();
    const before = await words('[data-range="diameter"]');
    expect(before).toMatch(/84\.0 mm, between 83\.[0-9] and 84\.[0-9]/);

    await page.goto(`${table.url}clay`);
    await page.locator('[data-clay="Siding buff"]').click();
    await page.getByRole('button', { name: 'Add a bar' }).click();
    await page.getByLabel('Bar 7, fired').fill('8.6 cm');
    await page.getByLabel('Bar 7, fired').blur();
    await textOf(page.locator('[data-bar="6"] strong'), /^14\.0 %$/);
    await says('[data-bar="6"]', 'out of line');
    await says('[data-testid="sureness"]', '7 bars');
    await recordsThat('clay', (all) => all.some(({ body }) => body.bars.length === 7));

    await onPiece('Rack tumbler', 'shape');
    await page.locator('[data-range="diameter"]').waitFor();
    const after = await read(
      () => words('[data-range="diameter"]'),
      (text) => text !== before,
    );
    const low = (text: string) => Number(/between ([\d.]+)/.exec(text)?.[1]);
    expect(low(after)).toBeLessThan(low(before));
    await countOf(page.getByRole('button', { name: /Cut it for 12\.3 %/ }), 1);
  });

  it('refuses a bar that is longer than when it was wet, and undoes', async () => {
    await page.goto(`${table.url}clay`);
    await page.locator('[data-clay="Fog bank grey"]').click();
    await says('[data-testid="sureness"]', 'a guess');
    await page.getByRole('button', { name: 'Add a bar' }).click();
    await page.getByLabel('Bar 1, fired').fill('120');
    await says('[role="alert"]', 'longer than when it was wet');
    await page.getByLabel('Bar 1, fired').fill('90');
    await page.getByLabel('Bar 1, fired').blur();
    await says('[data-testid="sureness"]', 'one bar');
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.locator('[data-testid="sureness"]', { hasText: 'a guess' }).waitFor();
  });
});

describe('the kit', () => {
  it('takes a new cutter and keeps it', async () => {
    await page.goto(`${table.url}kit`);
    await page.getByRole('button', { name: 'Add something' }).click();
    await page.locator('[data-kind="cutter"]').click();
    await page.locator('input[name="kit-name"]').fill('Tin lid');
    await page.locator('input[name="diameter"]').fill('3 5/16"');
    await page.locator('input[name="diameter"]').press('Enter');
    await recordsThat('kit', (all) => all.some(({ body }) => body.name === 'Tin lid' && 'diameter' in body.sizes));
    await page.reload();
    await page.locator('[data-kit="Tin lid"]').waitFor();
    await says('[data-kit="Tin lid"]', '84.1');
  });
});

describe('a piece and the kit', () => {
  it('takes wall and base from the sticks with one press, and says what it uses', async () => {
    await onPiece('Night tumbler, short', 'shape');
    await page.getByRole('button', { name: 'Wall and base 8.0 mm' }).click();
    await fieldSays(page, 'wall', /^8\.0 mm$/);
    await unfold(page, 'Base');
    await fieldSays(page, 'base', /^8\.0 mm$/);
    await page.locator('[data-use="slab"]', { hasText: 'Ash sticks, 8' }).waitFor();
    await textOf(page.locator('[data-use="shelf"]'), /Low shelf ?\d+ at once/);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await fieldSays(page, 'wall', /^6\.0 mm$/);
  });
});

describe('a slab plan', () => {
  it('is made, a part is locked, the rest is laid out again round it, and the plan is printed', async () => {
    await onPiece('Soup cup', 'slab');
    // Typed digit by digit, at once: the plan's record is made once all the same.
    await page.locator('input[name^="count-"]').fill('');
    await page.locator('input[name^="count-"]').pressSequentially('14');
    await page.locator('input[name^="count-"]').fill('4');
    await page.locator('input[name^="count-"]').press('Enter');
    await page.getByTestId('lay-out').click();
    await page.locator('[data-slab="0"] [data-place="7"]').waitFor();
    await stopLaying();
    await textOf(page.getByTestId('weigh-out'), /^\d+ g$/);

    const part = page.locator('[data-slab="0"] [data-place="0"]');
    await part.focus();
    const at = () => part.getAttribute('data-at');
    const before = await at();
    await page.keyboard.press('ArrowRight');
    await read(at, (now) => now !== before);
    await page.getByRole('button', { name: 'Lock', exact: true }).click();
    const locked = await at();
    await page.keyboard.press('ArrowRight');
    expect(await at()).toBe(locked);

    await page.getByTestId('lay-out').click();
    await page.waitForTimeout(1500);
    await stopLaying();
    await countOf(page.locator('.part.locked'), 1);
    expect(await page.locator('.part.locked').getAttribute('data-at')).toBe(locked);
    await countOf(page.locator('[data-slab="0"] .part'), 8);

    const kept = await recordsThat('plan', (all) => all.some(({ body }) => body.slabs.length > 0));
    expect(kept.map(({ body }) => [body.name, body.pieces[0]?.count, body.slabs.length])).toEqual([['Soup cup', 4, 1]]);

    await page.emulateMedia({ media: 'print' });
    expect(await page.locator('.desk .bar').isVisible()).toBe(false);
    expect(await page.locator('[data-slab="0"]').isVisible()).toBe(true);
    const sheet = await page.pdf({ format: 'A4', landscape: true });
    expect(sheet.length).toBeGreaterThan(5000);
  });

  it('says where parts that were moved by hand lie too near, and undoes the move', async () => {
    await onPiece('Rack tumbler', 'slab');
    await page.getByTestId('lay-out').click();
    await page.locator('[data-slab="0"] [data-place="1"]').waitFor();
    await stopLaying();
    const disc = page.locator('[data-slab="0"] .part', { hasText: 'Base' });
    const wall = await page.locator('[data-slab="0"] .part', { hasText: 'Wall' }).boundingBox();
    const box = await disc.boundingBox();
    if (!box || !wall) throw new Error('the parts are not drawn');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(wall.x + wall.width / 2, wall.y + wall.height / 2, { steps: 4 });
    await page.mouse.up();
    await page.locator('.part.wrong').first().waitFor();
    await countOf(page.locator('.part.wrong'), 2);
    await page.getByRole('button', { name: 'Undo on the slab' }).click();
    await page.locator('.part.wrong').first().waitFor({ state: 'detached' });
  });
});
