import type { Page } from 'playwright-core';
import type { Making } from '../src/contract/makings.ts';
import { read, textOf, type Visit } from './visit.ts';

export const heading = (page: Page) => page.locator('.step-view .act');
export const press = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).click();

/** Opens a piece's stage Make with a clock that the test can move on, and begins so many. */
export async function begunIn({ page, table }: Visit, design: string, count = 1): Promise<string> {
  await page.clock.install({ time: new Date('2026-11-28T09:05:00') });
  const designs = (await (await fetch(`${table.url}api/designs`)).json()) as { id: string; name: string }[];
  await page.goto(`${table.url}piece/${designs.find(({ name }) => name === design)?.id}/make`);
  await page.getByRole('heading', { name: 'Make it, step by step' }).waitFor();
  if (count > 1) {
    await page.locator('input[name="making-count"]').fill(String(count));
    await page.locator('input[name="making-count"]').press('Enter');
  }
  await press(page, /^Begin/);
  await textOf(page.getByTestId('sent'), /All is kept/);
  const [line] = (await (await fetch(`${table.url}api/makings`)).json()) as { id: string }[];
  return line?.id ?? '';
}

export const keptIn = async ({ table }: Visit, id: string) =>
  (await (await fetch(`${table.url}api/makings/${id}`)).json()) as Making;

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
