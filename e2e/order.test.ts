import type { Page } from 'playwright-core';
import type { Making, NowReply } from '../src/contract/makings.ts';
import { ask, recordsOf } from './ask.ts';
import { countOf, eachVisit, read, textOf } from './visit.ts';

const visit = eachVisit({ demo: true });
/** A Sunday evening. */
const NOW = new Date('2026-11-29T18:00:00');

async function add(page: Page, name: string, count: number): Promise<void> {
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByLabel('Find a piece').fill(name);
  await page.keyboard.press('Enter');
  const field = page.locator('.lines li').last().locator('input');
  await textOf(page.locator('.lines li').last(), new RegExp(name));
  await field.fill(String(count));
  await field.press('Enter');
}

async function plan(counts: Readonly<Record<string, number>>): Promise<Page> {
  const { page, table } = visit.now;
  await page.clock.install({ time: NOW });
  await page.goto(`${table.url}today`);
  await page.getByRole('link', { name: 'Plan an order' }).click();
  await page.getByRole('button', { name: 'Plan an order' }).click();
  await page.locator('input[name="order-name"]').fill('The galley');
  for (const [name, count] of Object.entries(counts)) await add(page, name, count);
  return page;
}
/** Counts how often a page asks for an order to be laid. */
async function countOrders(page: Page) {
  await page.addInitScript(`
    window.ordersAsked = 0;
    const post = Worker.prototype.postMessage;
    Worker.prototype.postMessage = function (message, ...more) {
      if (message?.task) window.ordersAsked += 1;
      return post.call(this, message, ...more);
    };
  `);
  return { asked: () => page.evaluate<number>('window.ordersAsked') };
}

const verdict = (page: Page) => page.locator('.verdict h1');
const blocks = (page: Page, line: number, block: string) =>
  page.locator(`[data-block^="${line} "][data-block$=" ${block}"]`);
const order = async () => (await recordsOf(visit.now.table, 'order'))[0];
const kept = async () => (await order())?.body;

describe('an order', () => {
  it('is laid back from the day it is wanted; a block is put elsewhere and held, the rest follows, and all is kept', async () => {
    const page = await plan({ 'Soup cup': 12, 'Rack tumbler': 18 });
    await page.locator('input[name="order-ready"]').fill('2026-12-18');
    await textOf(verdict(page), /^All 30 fired by Friday 18 December/);
    await textOf(page.locator('.verdict p'), /All has to be dry by \w+ 1\d December/);
    const first = blocks(page, 0, 'wrap').first();
    const before = (await first.getAttribute('aria-label')) ?? '';
    await first.focus();
    await page.keyboard.press('ArrowDown');
    const held = await read(
      () => page.locator('.block.held').getAttribute('aria-label'),
      (label) => label !== null,
      { wanted: 'a held block' },
    );
    expect(held).not.toBe(before);
    expect(held).toMatch(/held$/);
    await textOf(verdict(page), /^All 30 fired/);
    await textOf(page.locator('.beside'), /held here by you/);
    const body = await read(
      kept,
      (now) => now?.held.length === 1 && now.laid?.blocks.some((one) => one.held) === true,
      { wanted: 'the order' },
    );
    expect(body?.lines.map(({ name, count }) => [name, count])).toEqual([
      ['Soup cup', 12],
      ['Rack tumbler', 18],
    ]);
    await page.reload();
    await textOf(verdict(page), /^All 30 fired/);
    await countOf(page.locator('.block.held'), 1);
    await page.locator('.block.held').click();
    await page.getByRole('button', { name: 'Let it go' }).click();
    await countOf(page.locator('.block.held'), 0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await countOf(page.locator('.block.held'), 1);
    expect(visit.now.troubles).toEqual([]);
  });

  it('stands on Today until it is made, is begun as one making for each clay, and knows how far they are', async () => {
    const page = await plan({ 'Rack tumbler': 3, 'Ticket cup': 2, 'Soup cup': 1 });
    const { url } = visit.now.table;
    const sent = () => textOf(page.locator('[data-testid="sent"]'), /All is kept/);
    await textOf(verdict(page), /^All 6 fired/);
    await page.getByRole('link', { name: 'Today' }).first().click();
    const planned = page.locator('section[aria-labelledby="planned-heading"]');
    await textOf(planned, /Planned for .*(cup|tumbler): .* to \d\d:\d\d, The galley/);
    await planned.getByRole('link').first().click();
    await page.getByRole('button', { name: 'Begin the making' }).click();
    await page.waitForURL(/\/make\?making=\S+&piece=0/);
    const kinds = page.locator('.kinds');
    await textOf(kinds, /^Rack tumbler, 3 ?0 of \d+ ?Ticket cup, 2 ?0 of \d+$/);
    await page.keyboard.press('Space');
    await textOf(kinds, /Rack tumbler, 3 ?1 of \d+ ?Ticket cup, 2 ?0 of/);
    await sent();
    await page.getByRole('tab', { name: /Ticket cup, 2/ }).click();
    await page.waitForURL(/piece=1/);
    await textOf(page.locator('h1'), /Ticket cup/);
    await textOf(kinds, /Ticket cup, 2 ?0 of/);
    await page.keyboard.press('Space');
    await textOf(kinds, /Rack tumbler, 3 ?1 of \d+ ?Ticket cup, 2 ?1 of/);
    await sent();
    await page.goto(`${url}order/${(await order())?.id}`);
    await textOf(
      page.locator('.makings'),
      /3\D+Rack tumbler ?1 of \d+ acts done; 0 ready for the kiln ?2\D+Ticket cup ?1 of .*1\D+Soup cup ?0 of/,
    );
    const { makings: made } = await ask<NowReply>({ url }, 'makings/now');
    expect(made.map(({ pieces }) => pieces.map(({ count }) => count)).sort()).toEqual([[1], [3, 2]]);
    await countOf(page.locator('.block.done'), 0);
    const both = made.find(({ pieces }) => pieces.length === 2)?.id;
    const cups = await ask<Making>({ url }, `makings/${both}`);
    const first =
      cups.pieces[1]?.steps.slice(
        0,
        cups.pieces[1].steps.findIndex(({ waits }) => waits),
      ) ?? [];
    const end = (await kept())?.laid?.blocks.find(({ line, block }) => line === 1 && block === first[0]?.id)?.end ?? 0;
    await page.clock.setSystemTime(end);
    const marks = first.flatMap(({ id }) =>
      [1, 2].map((number) => ({
        id: crypto.randomUUID(),
        piece: 1,
        number,
        step: id,
        kind: 'done',
        at: new Date(end).toISOString(),
      })),
    );
    await fetch(`${url}api/makings/${cups.id}/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ marks }),
    });
    await page.reload();
    expect(await page.locator('.block.done').getAttribute('aria-label')).toMatch(/^2\D+Ticket cup: .*, done$/);
    await textOf(verdict(page), /^All 6 fired/);
    await read(kept, (now) => now?.laid?.blocks.filter(({ done }) => done).length === 1, {
      wanted: 'the block that is done',
    });
    await page.locator('input[name="order-name"]').fill('The galley by noon');
    await page.keyboard.press('Tab');
    await page.getByRole('button', { name: 'Undo' }).click();
    await read(kept, (now) => now?.name === 'The galley' && now.makings?.length === 2, {
      wanted: 'the makings after undo',
    });
    for (const id of (await kept())?.makings ?? []) await fetch(`${url}api/makings/${id}`, { method: 'DELETE' });
    await page.reload();
    await page.getByRole('button', { name: 'Begin the making again' }).waitFor();
  });

  it('that lies behind is laid again from now on, once, and is kept', async () => {
    const { asked } = await countOrders(visit.now.page);
    const page = await plan({ 'Rack tumbler': 2 });
    await textOf(verdict(page), /^All 2 fired/);
    await page.getByRole('button', { name: 'Begin the making' }).click();
    await page.waitForURL(/\/make\?making=/);
    // Of a morning, when there are hands at once: a moment later that, too, has begun and is not done.
    const now = new Date('2026-12-02T10:11:12').getTime();
    await page.clock.setSystemTime(now);
    await page.goto(`${visit.now.table.url}order/${(await order())?.id}`);
    await read(
      kept,
      (body) => body?.done !== undefined && (body.laid?.blocks.every(({ start }) => start >= now) ?? false),
      { wanted: 'an order from now on' },
    );
    const before = await asked();
    await page.waitForTimeout(2000);
    expect(await asked()).toBe(before);
    await textOf(verdict(page), /^All 2 fired/);
  });

  it('is dragged by the pointer to another hour', async () => {
    const page = await plan({ 'Rack tumbler': 4 });
    await textOf(verdict(page), /^All 4 fired/);
    const bar = blocks(page, 0, 'wrap').first();
    const box = await bar.locator('.bar').boundingBox();
    if (!box) throw new Error('The block is not drawn.');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2 + 52, { steps: 6 });
    await page.mouse.up();
    await textOf(page.locator('.beside'), /Tuesday 1 December.*held here by you/s);
    await textOf(verdict(page), /^All 4 fired/);
  });

  it('that cannot be in time says so at once, and what would help, at one press', async () => {
    const page = await plan({ 'Soup cup': 12, 'Rack tumbler': 18 });
    await page.locator('input[name="order-ready"]').fill('2026-12-07');
    await textOf(verdict(page), /^\d+ of 30 cannot be fired in time|^None can be fired in time/);
    await page.locator('[data-help="ready"]').click();
    await textOf(verdict(page), /^All 30 fired by/);
    await page.locator('input[name="order-ready"]').fill('2026-11-30');
    await textOf(verdict(page), /^No time is left to fire it/);
    expect(visit.now.troubles).toEqual([]);
  });
});
