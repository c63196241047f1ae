import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { box, placed, round } from '../src/core/files/photo/scenes.test.helper.ts';
import { openBrowser } from './browser.ts';
import { madePhoto } from './madePhoto.ts';
import { openTable } from './testTable.ts';

/** One picture: its name, window, where it is taken, and what is done before. */
interface Shot {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly take: (page: Page, url: string) => Promise<void>;
}

const onPiece = (design: string, stage: string) => async (page: Page, url: string) => {
  await page.goto(url);
  await page.locator(`[data-design="${design}"] .drawing`).click();
  await page.waitForURL(/piece/);
  await page.goto(`${page.url().replace(/\/(shape|flat|cut)$/, '')}/${stage}`);
  // On a narrow screen figures wait under their tab.
  await page.locator('[data-figure]').first().waitFor({ state: 'attached' });
};
const onShelf = async (page: Page, url: string) => {
  await page.goto(url);
  await page.locator('[data-design]').first().waitFor();
  // Every piece is painted.
  while ((await page.locator('[data-design] .drawing svg').count()) > 0) await page.waitForTimeout(100);
};
/** Raises the parts by so many hundredths. */
const raise = async (page: Page, hundredths: number) => {
  const slider = page.getByRole('slider', { name: /^Raise/ });
  if (hundredths === 100) await slider.press('End');
  else for (let step = 0; step < hundredths; step += 1) await slider.press('ArrowRight');
};
const raisedTo =
  (design: string, hundredths: number, then: readonly string[] = []) =>
  async (page: Page, url: string) => {
    await onPiece(design, 'flat')(page, url);
    await raise(page, hundredths);
    await page.locator('canvas[data-scale]:not([data-scale="0"])').waitFor();
    for (const words of then) await page.getByRole('button', { name: words, exact: true }).click();
  };

const onOwned = async (page: Page, url: string) => {
  await page.goto(`${url}from`);
  await page.locator('input[name="slide"]').fill('120');
  await page.locator('input[name="slide"]').press('Enter');
  await page.locator('.tracings').waitFor();
};

const onPlace = (path: string, ready: string) => async (page: Page, url: string) => {
  await page.goto(`${url}${path}`);
  await page.locator(ready).first().waitFor();
};

/** Two batches packed on two shelves, fired by the controller that is not there. */
const kilnPacked = async (page: Page, url: string) => {
  await page.goto(`${url}kiln`);
  await page.getByRole('button', { name: 'A new firing' }).click();
  await page.getByRole('button', { name: 'Add Low shelf' }).click();
  await page.getByRole('button', { name: 'Add Small kiln shelf' }).click();
  for (const batch of [/11 × Rack tumbler/, /6 × Window vase/]) await page.getByLabel(batch).click();
  await page.getByRole('button', { name: 'Pack the kiln' }).click();
  await page.locator('.piece[role="button"]').first().waitFor();
  await page.getByRole('progressbar', { name: 'Packing' }).waitFor({ state: 'detached' });
};

/** Seconds that a plan is looked for before its picture is taken. */
const PLANNING = 12;

const slabPlanned = async (page: Page, url: string) => {
  await onPlace('', '[data-design]')(page, url);
  await page.locator('[data-design="Soup cup"] .drawing').click();
  await page.waitForURL(/piece/);
  await page.goto(page.url().replace(/(\/(shape|flat|slab|cut))?$/, '/slab'));
  await page.locator('input[name^="count-"]').fill('6');
  await page.locator('input[name^="count-"]').press('Enter');
  await page.getByTestId('lay-out').click();
  await page.waitForTimeout(PLANNING * 1000);
  await page.getByRole('button', { name: 'Stop, keep the best' }).click();
};

/** The leaf, its outline being drawn. */
const sheetDrawn = async (page: Page, url: string) => {
  await onPiece('Butter sheet', 'shape')(page, url);
  await page.getByRole('button', { name: 'Draw its outline' }).click();
  await page.locator('.grip').first().waitFor();
};

/** The tray, once its blank is laid. */
const blankLaid = (stage: string) => async (page: Page, url: string) => {
  await onPiece('Service tray', stage)(page, url);
  await page.getByText('its thinnest place keeps').waitFor();
  await page.waitForTimeout(600);
};

/** The morning on which the makings of the pictures begin. */
const MORNING = new Date('2026-11-28T09:05:00');

/** Begins so many of a piece, and ticks so many steps for all of them, two minutes each. */
const making = (design: string, count: number, ticks: number) => async (page: Page, url: string) => {
  await page.clock.install({ time: MORNING });
  await page.goto(url);
  await page.locator(`[data-design="${design}"] .drawing`).click();
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  await page.locator('input[name="making-count"]').fill(String(count));
  await page.locator('input[name="making-count"]').press('Enter');
  await page.getByRole('button', { name: /^Begin/ }).click();
  await page.locator('.step-view').waitFor();
  for (let tick = 0; tick < ticks; tick += 1) {
    await page.clock.fastForward(120_000);
    await page.getByRole('button', { name: /^Done/ }).last().click();
    await page.waitForTimeout(200);
  }
};

const todayInWork = async (page: Page, url: string) => {
  await making('Rack tumbler', 18, 7)(page, url);
  await making('Galley mug', 4, 2)(page, url);
  await page.clock.fastForward(2 * 3_600_000);
  await page.goto(`${url}today`);
  await page.locator('.today h1:not(.unseen)').waitFor();
};

/** An order of two designs, laid. */
const orderLaid = async (page: Page, url: string) => {
  await page.clock.install({ time: MORNING });
  await page.goto(`${url}order`);
  await page.getByRole('button', { name: 'Plan an order' }).click();
  await page.locator('input[name="order-name"]').fill('The galley');
  await page.locator('input[name="order-ready"]').fill('2026-12-12');
  const wanted = [
    ['Soup cup', '12'],
    ['Rack tumbler', '18'],
  ] as const;
  for (const [index, [design, count]] of wanted.entries()) {
    await page.getByRole('button', { name: 'Add a piece' }).click();
    await page.getByLabel('Find a piece').fill(design);
    await page.keyboard.press('Enter');
    await page.locator(`input[name="count-${index}"]`).fill(count);
    await page.locator(`input[name="count-${index}"]`).press('Enter');
  }
  await page.locator('.verdict h1', { hasText: /^All 30 fired by/ }).waitFor();
  await page.locator('.busy').waitFor({ state: 'detached' });
  await page.locator('.block').nth(2).click();
  await page.evaluate('scrollTo(0, 0)');
};

/** A plate with a hole on a sheet of paper: a made-up photograph. */
const photographed = async (page: Page, url: string) => {
  const [plate, hole] = [box(150, 100, 15), placed(round(30), [20, 5], 0)];
  const picture = await madePhoto(9, (at) => Math.max(plate(at), -hole(at)));
  await page.goto(`${url}photograph`);
  await page
    .locator('input[name="photo"]')
    .setInputFiles({ name: 'plate.png', mimeType: 'image/png', buffer: picture });
  await page.locator('[data-reading="sheet"]').waitFor();
};

/** The wall of a tumbler on a screen whose size is known. */
const atTrueSize = async (page: Page, url: string) => {
  await onPiece('Rack tumbler', 'cut')(page, url);
  await page.goto(page.url().replace(/piece\/([^/]+).*$/, 'size/$1'));
  await page.getByRole('button', { name: 'Measure it with a bank card' }).click();
  await page.getByRole('button', { name: 'It is as large' }).click();
  await page.locator('.sheet path.cut').first().waitFor();
};

const DESK = { width: 1280, height: 800 };
const TABLET = { width: 1024, height: 768 };
const PHONE = { width: 390, height: 844 };

/** The pictures of the README. */
const SHOTS: readonly Shot[] = [
  { name: 'shelf', ...DESK, take: onShelf },
  { name: 'photograph', ...DESK, take: photographed },
  { name: 'piece-shape', ...DESK, take: onPiece('Rack tumbler', 'shape') },
  { name: 'piece-flat', ...DESK, take: onPiece('Soup cup', 'flat') },
  { name: 'piece-mould', ...DESK, take: blankLaid('shape') },
  { name: 'records', ...DESK, take: onPlace('records', '.plot svg') },
  { name: 'piece-sheet', ...DESK, take: sheetDrawn },
  { name: 'piece-raised', ...DESK, take: raisedTo('Rack tumbler', 100, ['Cut level', 'Seam']) },
  { name: 'kiln', ...DESK, take: kilnPacked },
  { name: 'piece-slab', ...DESK, take: slabPlanned },
  { name: 'clay', ...DESK, take: onPlace('clay', '[data-bar]') },
  { name: 'kit', ...DESK, take: onPlace('kit', '[data-kit]') },
  { name: 'owned', ...DESK, take: onOwned },
  { name: 'true-size-tablet', ...TABLET, take: atTrueSize },
  { name: 'piece-shape-phone', ...PHONE, take: onPiece('Rack tumbler', 'shape') },
  { name: 'piece-cut', ...DESK, take: onPiece('Rack tumbler', 'cut') },
  { name: 'make', ...DESK, take: making('Soup cup', 6, 5) },
  { name: 'today', ...DESK, take: todayInWork },
  { name: 'order', ...DESK, take: orderLaid },
];

const [folder = 'docs/screenshots', only, light] = process.argv.slice(2);
mkdirSync(folder, { recursive: true });
const table = await openTable({ demo: true });
const browser = await openBrowser('webgl');
for (const shot of SHOTS.filter(({ name }) => !only || name.includes(only))) {
  const page = await browser.newPage({
    viewport: { width: shot.width, height: shot.height },
    reducedMotion: 'reduce',
    colorScheme: light === 'evening' ? 'dark' : 'light',
  });
  page.on('console', (message) => {
    if (message.type() === 'error' || message.type() === 'warning') console.error(`${shot.name}: ${message.text()}`);
  });
  await shot.take(page, table.url);
  await page.waitForTimeout(400);
  await page.screenshot({ path: join(folder, `${shot.name}.png`) });
  await page.close();
}
await browser.close();
await table.close();
