import type { Page } from 'playwright-core';
import type { Making } from '../src/contract/makings.ts';
import { ask, designCalled, madeBy } from './ask.ts';
import { read, textOf, type Visit } from './visit.ts';

export const heading = (page: Page) => page.locator('.step-view .act');
export const press = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).click();

/** Opens a piece's stage Make with a clock that the test can move on, and begins so many. */
export async function begunIn({ page, table }: Visit, design: string, count = 1): Promise<string> {
  await page.clock.install({ time: new Date('2026-11-28T09:05:00') });
  await page.goto(`${table.url}piece/${await designCalled(table, design)}/make`);
  await page.getByRole('heading', { name: 'Make it, step by step' }).waitFor();
  if (count > 1) {
    await page.locator('input[name="making-count"]').fill(String(count));
    await page.locator('input[name="making-count"]').press('Enter');
  }
  const { id } = await madeBy(table, 'makings', () => press(page, /^Begin/));
  await textOf(page.getByTestId('sent'), /All is kept/);
  return id;
}

export const keptIn = ({ table }: Visit, id: string) => ask<Making>(table, `makings/${id}`);

/** Ticks the steps by key until a wait is shown. */
export async function toTheWait(page: Page): Promise<void> {
  for (let step = 0; step < 30; step += 1) {
    if ((await page.locator('.wait-curve').count()) > 0) return;
    const before = await page.locator('.order [aria-current="step"]').textContent();
    await page.keyboard.press('ArrowRight');
    await read(
      () => page.locator('.order [aria-current="step"]').textContent(),
      (now) => now !== before,
      { wanted: 'the next step' },
    );
  }
}
