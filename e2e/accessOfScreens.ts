import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Locator, Page } from 'playwright-core';
import { eachVisit, textOf, unfold } from './visit.ts';
import { faintWords } from './words.ts';

const AXE = readFileSync(createRequire(__filename).resolve('axe-core/axe.min.js'), 'utf8');
const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** What is written on a button is part of its name. */
const ALSO = { 'label-content-name-mismatch': { enabled: true } };

/** What a screen reader or a keyboard would stumble over: rule, and the first places that break it. */
async function stumbles(page: Page): Promise<string[]> {
  await page.evaluate(AXE);
  return page.evaluate<
    string[]
  >(`axe.run(document, { runOnly: ${JSON.stringify(TAGS)}, rules: ${JSON.stringify(ALSO)} }).then(({ violations }) =>
    violations.map(({ id, nodes }) => id + ': ' + nodes.slice(0, 4).map(({ target, any }) => target.join(' ') + ' ' + (any[0]?.message ?? '')).join(' | ')))`);
}

const press = (name: string | RegExp) => (page: Page) => page.getByRole('button', { name }).first().click();
const choose = (name: string) => (page: Page) => page.locator(`button[name="${name}"]`).click();

/** Waits for what is wanted, or for the button that it is behind in a small window, and presses that. */
async function orBehind(wanted: Locator, door: Locator): Promise<void> {
  await wanted.or(door).first().waitFor();
  if (await door.isVisible()) await door.click();
}

/** With the making that the screen before has begun. */
async function photograph(page: Page): Promise<void> {
  await page.keyboard.press('m');
  await page.getByRole('tab', { name: 'Photograph' }).click();
}
async function changeMaking(page: Page): Promise<void> {
  const change = page.getByText('Change', { exact: true }).last();
  await orBehind(change, page.getByRole('button', { name: 'More for this making' }));
  await change.click();
}

/** An order of two pieces, laid. */
async function laidOrder(page: Page): Promise<void> {
  await press('Plan an order')(page);
  await orBehind(
    page.getByRole('button', { name: 'Add a piece' }),
    page.getByRole('button', { name: 'What and when' }),
  );
  for (const name of ['Rack tumbler', 'Ticket cup']) {
    await press('Add a piece')(page);
    await page.getByLabel('Find a piece').fill(name);
    await page.keyboard.press('Enter');
    await textOf(page.locator('.fields .lines li').last(), new RegExp(name));
  }
  await textOf(page.locator('.verdict h1'), /^All 12 fired by/);
}
/** The order that was laid last, where it is listed. */
const openOrder = (page: Page) =>
  page.getByRole('navigation', { name: 'All orders' }).getByRole('link').first().click();
async function begunOrder(page: Page): Promise<void> {
  await openOrder(page);
  await press('Begin the making')(page);
  await page.getByRole('tab', { name: /Ticket cup, 6/ }).waitFor();
}
async function orderInWork(page: Page): Promise<void> {
  await openOrder(page);
  await page.getByRole('navigation', { name: 'Pieces in work' }).waitFor();
}
async function measuring(page: Page): Promise<void> {
  const made = page.getByRole('tab', { name: 'Made' });
  await page.locator('h1').first().waitFor();
  if ((await made.count()) > 0) await made.click();
  await page.locator('.made li a').first().click();
  await page.locator('tbody tr').first().waitFor();
}
async function packed(page: Page): Promise<void> {
  await page.locator('.all a').first().click();
  await page.locator('.piece').first().waitFor();
}
async function story(page: Page): Promise<void> {
  await measuring(page);
  await page.getByRole('link', { name: 'Their story' }).click();
  await page.locator('tbody tr').first().waitFor();
}
async function devicesOn(page: Page): Promise<void> {
  for (const name of ['Digital caliper', 'Bench scale', 'Thermo-hygrometer'])
    await page.getByRole('article', { name }).getByRole('button', { name: 'Start' }).click();
}

async function unfolded(page: Page): Promise<void> {
  for (const title of ['Without a printer', 'On a cutter', 'Tools to print in plastic']) await unfold(page, title);
}
const led = (name: string) => async (page: Page) => {
  await unfold(page, 'Without a printer');
  await page.getByRole('link', { name }).click();
  await page.locator('h1', { hasText: /true size|by light/ }).waitFor();
};
async function screenMeasure(page: Page): Promise<void> {
  await led('True size on this screen')(page);
  await page.getByRole('button', { name: 'Measure it with a bank card' }).click();
}
async function thrown(page: Page): Promise<void> {
  await led('By light, on the clay')(page);
  await page.getByRole('button', { name: /The corners fit/ }).click();
}
async function printTogether(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Choose several' }).click();
  await page.getByRole('checkbox', { name: 'Choose Rack tumbler' }).check();
  await page.getByRole('button', { name: 'Print together' }).click();
}

async function takenOff(page: Page): Promise<void> {
  await press('Choose several')(page);
  await page.getByRole('checkbox', { name: 'Choose Butter sheet' }).check();
  await press('Take off the shelf')(page);
  await page.getByRole('button', { name: 'Put back' }).waitFor();
}

/** Places, stages and dialogs: where they are, and how they are opened. */
const SCREENS: readonly (readonly [
  name: string,
  design: string | null,
  path: string,
  open?: (page: Page) => Promise<unknown>,
])[] = [
  ['the shelf', null, ''],
  ['a new piece', null, '', press('New piece')],
  ['several chosen', null, '', press('Choose several')],
  ['the clay book', null, 'clay'],
  ['the kit', null, 'kit'],
  ['the kit with its devices', null, 'kit', devicesOn],
  ['what is owned', null, 'from'],
  ['a photograph', null, 'photograph'],
  ['no order', null, 'order'],
  ['an order', null, 'order', laidOrder],
  ['orders', null, 'order'],
  ['a making of several kinds', null, 'order', begunOrder],
  ['an order in work', null, 'order', orderInWork],
  ['the firings', null, 'kiln'],
  ['a firing', null, 'kiln', packed],
  ['a story', null, 'records', story],
  ['the records', null, 'records'],
  ['pieces to be measured', null, 'records', measuring],
  ['nothing', null, 'nowhere'],
  ['Shape', 'Soup cup', 'shape'],
  ['Flat', 'Soup cup', 'flat'],
  ['Slab', 'Soup cup', 'slab'],
  ['Cut', 'Soup cup', 'cut'],
  ['Cut, all unfolded', 'Soup cup', 'cut', unfolded],
  ['true size', 'Soup cup', 'cut', led('True size on this screen')],
  ['a screen that is measured', 'Soup cup', 'cut', screenMeasure],
  ['by light', 'Soup cup', 'cut', led('By light, on the clay')],
  ['a part by light', 'Soup cup', 'cut', thrown],
  ['printed together', null, '', printTogether],
  ['Make, to begin', 'Soup cup', 'make'],
  ['an order of work of her own', 'Soup cup', 'make', press(/^The order of work/)],
  ['Make', 'Soup cup', 'make', press('Begin')],
  ['a measurement', 'Soup cup', 'make', (page) => page.keyboard.press('m')],
  ['a photograph', 'Soup cup', 'make', photograph],
  ['a making that is changed', 'Soup cup', 'make', changeMaking],
  ['Today', null, 'today'],
  ['a mould', 'Service tray', 'flat'],
  ['a sheet', 'Butter sheet', 'shape'],
  ['a choice', 'Soup cup', 'shape', choose('form')],
  ['Find', 'Soup cup', 'shape', (page) => page.keyboard.press('Control+k')],
  ['the shortcuts', 'Soup cup', 'shape', (page) => page.keyboard.press('?')],
  ['the history', 'Soup cup', 'shape', press('History')],
  ['how a figure came about', 'Soup cup', 'cut', (page) => page.locator('[data-figure]:visible').first().click()],
  ['a message', null, '', takenOff],
];

/** Goes through every screen at a size and in a light. */
export function expectNothingInTheWay({
  width,
  height,
  light,
}: {
  readonly width: number;
  readonly height: number;
  readonly light: 'day' | 'evening';
}): void {
  const visit = eachVisit({ demo: true, width, height });

  it('nothing is in the way of a screen reader or a keyboard', async () => {
    const { page, table } = visit.now;
    await page.evaluate(`localStorage.setItem('fawn-settings', ${JSON.stringify(JSON.stringify({ light }))})`);
    const designs = (await (await page.request.get(`${table.url}api/designs?limit=100`)).json()) as {
      id: string;
      name: string;
    }[];
    const found: string[] = [];
    for (const [name, design, path, open] of SCREENS) {
      const id = designs.find((one) => one.name === design)?.id;
      await page.goto(`${table.url}${design ? `piece/${id}/` : ''}${path}`);
      await textOf(page.locator('h1'), /\S/);
      await page.waitForTimeout(700);
      if (name === 'how a figure came about' && width < 700) await page.getByRole('tab', { name: 'Measure' }).click();
      await open?.(page);
      if (open) await page.waitForTimeout(400);
      const faint = (await faintWords(page)).map((words) => `faint: ${words}`);
      found.push(...[...(await stumbles(page)), ...faint].map((words) => `${name}: ${words}`));
    }
    expect(found).toEqual([]);
  });
}
