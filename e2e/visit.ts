import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Locator, Page } from 'playwright-core';
import { openBrowser } from './browser.ts';
import { openTable, type TestTable } from './testTable.ts';

/** A visit to a table of its own: a page, and everything that went wrong on it. */
export interface Visit {
  readonly page: Page;
  readonly table: TestTable;
  /** Console errors, page errors and requests to other hosts. */
  readonly troubles: string[];
  /** A page of another person: same table, another browser. */
  readonly someoneElse: () => Promise<Page>;
}

/**
 * Chance without its tails, for `addInitScript`: a reading of a simulated device is off by less than a standard deviation, either
 * way, so that none of a dozen is taken for a slip. No two draws are made equal, since windows name themselves by one.
 */
function withoutTails(): void {
  const chance = Math.random;
  Math.random = () => 0.1 + 0.3 * chance();
}

/**
 * How late what a page sends is answered (ms, from FAWN_LATE): half of it on the way there, half on the way back. What it reads is
 * a third as late. Tests must pass with 900 as well.
 */
const LATE = Number(process.env['FAWN_LATE'] ?? 0);
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Makes the table slow to answer a page, if FAWN_LATE says so: a test that does not wait for what it needs fails then. */
export async function lateAnswers(page: Page): Promise<void> {
  if (!(LATE > 0)) return;
  await page.route('**/api/**', async (route) => {
    const reads = route.request().method() === 'GET';
    await pause(reads ? LATE / 3 : LATE / 2);
    // The page may have gone meanwhile.
    if (reads) return route.continue().catch(() => undefined);
    const response = await route.fetch().catch(() => undefined);
    await pause(LATE / 2);
    await (response ? route.fulfill({ response }) : route.abort()).catch(() => undefined);
  });
}

/** Opens browser and table before each test and closes them after; the test reads them from the returned holder. */
export function eachVisit(
  options: {
    webgl?: 'webgl';
    demo?: boolean;
    width?: number;
    height?: number;
    /** Where the browser is, such as America/Vancouver. */
    timezone?: string;
    environment?: Record<string, string>;
    /** Lets the browser keep the page itself, so that it opens with the server away. */
    holds?: boolean;
  } = {},
): { readonly now: Visit } {
  let browser: Browser;
  const holder = {} as { now: Visit };
  beforeAll(async () => {
    browser = await openBrowser(options.webgl);
  });
  afterAll(() => browser.close());
  beforeEach(async () => {
    const table = await openTable({ demo: options.demo ?? false, environment: options.environment });
    const page = await browser.newPage({
      viewport: { width: options.width ?? 1280, height: options.height ?? 800 },
      reducedMotion: 'reduce',
      timezoneId: options.timezone,
      acceptDownloads: true,
      serviceWorkers: options.holds ? 'allow' : 'block',
    });
    const troubles: string[] = [];
    await page.addInitScript(withoutTails);
    await lateAnswers(page);
    page.setDefaultTimeout(60_000);
    page.on('console', (message) => message.type() === 'error' && troubles.push(message.text()));
    page.on('pageerror', (error) => troubles.push(String(error)));
    page.on('request', (request) => {
      const { protocol, host } = new URL(request.url());
      if (!['blob:', 'data:'].includes(protocol) && host !== new URL(table.url).host) troubles.push(request.url());
    });
    holder.now = { page, table, troubles, someoneElse: () => browser.newPage({ reducedMotion: 'reduce' }) };
    await page.goto(table.url);
  });
  afterEach(async () => {
    await holder.now.page.close();
    await holder.now.table.close();
  });
  return holder;
}

/** Reads again and again until what is read fits, and returns it: fields and figures follow the table a frame later. */
export async function read<T>(
  from: () => Promise<T>,
  fits: (found: T) => boolean,
  { wanted = 'what was expected', most = 60_000 }: { readonly wanted?: string; readonly most?: number } = {},
): Promise<T> {
  const until = Date.now() + most;
  for (;;) {
    const found = await from();
    if (fits(found)) return found;
    if (Date.now() > until) throw new Error(`“${String(found)}” did not become ${wanted}`);
    await new Promise((resolve) => setTimeout(resolve, 25));
  }
}

/** Waits until an element's text fits, and returns it. */
export function textOf(locator: Locator, wanted: RegExp, most = 60_000): Promise<string> {
  const text = async () => ((await locator.first().textContent()) ?? '').replace(/\s+/g, ' ').trim();
  return read(text, (found) => wanted.test(found), { wanted: String(wanted), most });
}

/** Waits until what is entered in a field fits, and returns it. */
export const entered = (field: Locator, wanted: RegExp) =>
  read(
    () => field.inputValue(),
    (found) => wanted.test(found),
    { wanted: String(wanted) },
  );

/** Waits until the field of a name shows the text, and returns it. */
export const fieldSays = (page: Page, name: string, wanted: RegExp) =>
  entered(page.locator(`input[name="${name}"]`), wanted);

/** Waits until so many elements are there. */
export const countOf = (locator: Locator, wanted: number) =>
  read(
    () => locator.count(),
    (found) => found === wanted,
    { wanted: String(wanted) },
  );

/** Waits until everything on the piece screen is kept. */
export const kept = (page: Page, revision = /\d+/) =>
  textOf(page.getByTestId('keeping'), new RegExp(`^revision ${revision.source}, saved`));

/** Size and place of a drawn shape without its line's thickness (px of its drawing). */
export function drawnBox(
  page: Page,
  selector: string,
): Promise<{ x: number; y: number; width: number; height: number }> {
  return page
    .locator(selector)
    .first()
    .evaluate((element) => {
      const drawn = element as unknown as { getBBox: () => { x: number; y: number; width: number; height: number } };
      const { x, y, width, height } = drawn.getBBox();
      return { x, y, width, height };
    });
}

/** A figure of the list of figures to measure. */
export const figure = (page: Page, id: string) => page.locator(`[data-figure="${id}"] strong`);

/** Leaves the first field of a new piece, so that letters are shortcuts. */
export async function leaveFirstField(page: Page): Promise<void> {
  await page.locator('.left input:focus').waitFor();
  await page.evaluate('document.activeElement.blur()');
}

/** Types into a field and presses Enter, then leaves the next field, where the focus went; a refused entry stays. */
export async function type(page: Page, name: string, text: string): Promise<void> {
  const field = page.locator(`input[name="${name}"]`);
  await field.click();
  await field.fill(text);
  await field.press('Enter');
  await page.evaluate(`document.activeElement.name !== ${JSON.stringify(name)} && document.activeElement.blur()`);
}

/** Presses a button that saves a file and reads what was saved. */
export async function download(
  page: Page,
  press: () => Promise<void>,
): Promise<{ name: string; bytes: Buffer; path: string }> {
  const [file] = await Promise.all([page.waitForEvent('download'), press()]);
  const path = join(mkdtempSync(join(tmpdir(), 'fawn-down-')), file.suggestedFilename());
  await file.saveAs(path);
  return { name: file.suggestedFilename(), bytes: readFileSync(path), path };
}

/** Begins a new piece of a form from the shelf, and waits until it is open. */
export async function newPiece(page: Page, form = 'straight, round'): Promise<void> {
  await page.getByRole('button', { name: 'New piece' }).first().click();
  await page.getByRole('dialog').getByRole('option', { name: form }).click();
  await page.waitForURL(/\/piece\//);
}

/** Opens the line under which rarer fields are folded away, unless it stands open. */
export async function unfold(page: Page, title: string): Promise<void> {
  const line = page.locator('.v-expansion-panel-title', { hasText: title });
  const isOpen = async () => (await line.getAttribute('aria-expanded')) === 'true';
  // What is drawn anew between the press and the release swallows a click.
  for (let press = 0; press < 3 && !(await isOpen()); press += 1) {
    await line.click();
    await read(isOpen, (now) => now, { wanted: 'unfolded', most: 2000 }).catch(() => false);
  }
  await read(isOpen, (now) => now, { wanted: `unfolded: ${title}` });
}
