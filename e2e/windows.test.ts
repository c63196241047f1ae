import type { Page } from 'playwright-core';
import type { MadeLine } from '../src/contract/made.ts';
import { newTarget } from '../src/core/target/target.ts';
import { ask, recordsOf } from './ask.ts';
import { eachVisit, textOf } from './visit.ts';
import { crossedWords } from './words.ts';

/** Sixty letters, as a potter with a large order writes them. */
const NAME = 'Second order for the harbour kitchen, tall tumblers, no. 4 b';

/** 200 % zoom, a phone both ways, a tablet both ways, a desk. */
const WINDOWS = [
  [640, 400],
  [844, 390],
  [390, 844],
  [820, 1180],
  [1024, 768],
  [1280, 800],
] as const;

/** What is too small for a finger, or lies off the side; links in running text are words. */
const CROWDED = `(() => {
  const LEAST = 43.5;
  const found = [];
  const wide = document.documentElement.scrollWidth - window.innerWidth;
  if (wide > 1) found.push('the page is ' + wide + ' px too wide');
  const own = 'button, a[href], input, textarea, [role="button"], [role="slider"], [role="tab"], [role="link"]';
  for (const one of document.querySelectorAll(own)) {
    if (!one.checkVisibility({ visibilityProperty: true, opacityProperty: true })) continue;
    // Parts on a slab and the sheet's own lines are as large as they are; words in a sentence are words.
    if (one.closest('[data-place], .v-navigation-drawer:not(.v-navigation-drawer--active), .unseen, .skip, p, li > small, svg')) continue;
    if (one.getAttribute('type') === 'file' || one.tabIndex < 0) continue;
    const frame = one.closest('.v-input, .v-selection-control, .v-switch, .v-slider') ?? one;
    const { width, height, left, right } = frame.getBoundingClientRect();
    const name = (one.getAttribute('aria-label') ?? one.textContent ?? one.getAttribute('name') ?? '').trim().slice(0, 40) || one.getAttribute('name');
    if (width === 0) continue;
    if (Math.min(width, height) < LEAST) found.push(name + ' is ' + width.toFixed(0) + ' x ' + height.toFixed(0));
    const scrolls = one.closest('.v-overlay, .v-slide-group, .v-table, [style*="overflow"]');
    if (!scrolls && (left < -1 || right > window.innerWidth + 1)) found.push(name + ' lies off the side');
  }
  // A tag that is cut off by its drawing says nothing.
  for (const tag of document.querySelectorAll('.lean-tag')) {
    const stage = tag.closest('[role="region"]')?.getBoundingClientRect();
    const { left, right } = tag.getBoundingClientRect();
    if (stage && (left < stage.left - 1 || right > stage.right + 1)) found.push('the tag “' + tag.textContent.trim() + '” is cut off');
  }
  return [...new Set(found)];
})()`;

/** An order with a long name, laid; its id. */
async function orderOf(page: Page, url: string): Promise<string> {
  await page.goto(`${url}order`);
  await page.getByRole('button', { name: 'Plan an order' }).click();
  await page.locator('input[name="order-name"]').fill(NAME);
  for (const name of ['Soup cup', 'Second order']) {
    await page.getByRole('button', { name: 'Add a piece' }).click();
    await page.getByLabel('Find a piece').fill(name);
    await page.keyboard.press('Enter');
    await textOf(page.locator('.fields .lines li').last(), new RegExp(name));
  }
  await textOf(page.locator('.verdict h1'), /fired/);
  return new URL(page.url()).pathname.split('/').at(-1) ?? '';
}

describe('in every window', () => {
  const visit = eachVisit({ demo: true });

  it.each(WINDOWS)(
    '%d x %d: nothing lies off the side, no words lie on others and everything is large enough for a finger, with a long name and in inches',
    async (width, height) => {
      const { page, table } = visit.now;
      const target = {
        ...newTarget(NAME),
        form: { kind: 'box', length: 1007.9, width: 603.6, height: 404.4 },
        fit: { shelf: 420, clearance: 1 },
      };
      const made = await page.request.post(`${table.url}api/designs`, { data: { target } });
      const { id } = (await made.json()) as { id: string };
      const settings = JSON.stringify({ unit: 'inch', marks: 64 });
      await page.evaluate(`localStorage.setItem('fawn-settings', ${JSON.stringify(settings)})`);
      // What leans by turns, lies in an arc, has many sides, or is one of two.
      const demo = (await (await page.request.get(`${table.url}api/designs?limit=100`)).json()) as {
        id: string;
        name: string;
      }[];
      const flats = demo
        .filter(({ name }) =>
          ['Bread bowl, square to round', 'Soup cup', 'Salt box', 'Window vase', 'Preserve jar'].includes(name),
        )
        .map((one) => `piece/${one.id}/flat`);
      const order = await orderOf(page, table.url);
      const [first] = await ask<MadeLine[]>(table, 'made');
      const [firing] = await recordsOf(table, 'firing');
      const measured = `made/${first?.making}/${first?.piece}`;
      const found: string[] = [];
      await page.setViewportSize({ width, height });
      for (const path of [
        '',
        'today',
        'clay',
        'kit',
        'from',
        'photograph',
        `size/${id}`,
        `light/${id}`,
        'records',
        measured,
        measured.replace('made', 'story'),
        'kiln',
        `kiln/${firing?.id}`,
        `order/${order}`,
        ...['shape', 'flat', 'slab', 'cut', 'make'].map((stage) => `piece/${id}/${stage}`),
        ...flats,
      ]) {
        await page.goto(`${table.url}${path}`);
        await textOf(page.locator('h1').first(), /\S/);
        await page.waitForTimeout(600);
        const words = [...(await page.evaluate<string[]>(CROWDED)), ...(await crossedWords(page))];
        found.push(...words.map((word) => `${path.replace(id, '…') || 'shelf'}: ${word}`));
      }
      expect(found).toEqual([]);
    },
  );
});
