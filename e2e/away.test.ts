import sharp from 'sharp';
import { ask } from './ask.ts';
import { begunIn, keptIn, press } from './makingVisit.ts';
import { DEMO_DESIGNS, openTable } from './testTable.ts';
import { countOf, eachVisit, read, textOf, type } from './visit.ts';

const visit = eachVisit({ demo: true, holds: true });

/** The page itself is in the browser. */
async function heldPage(): Promise<void> {
  const { page } = visit.now;
  const pages = `navigator.serviceWorker.ready
    .then(() => caches.keys())
    .then((names) => Promise.all(names.map((name) => caches.open(name).then((held) => held.keys()))))
    .then((found) => found.flat().map(({ url }) => new URL(url).pathname))`;
  await read(
    () => page.evaluate<string[]>(pages),
    (found) => found.includes('/') && found.filter((path) => path.endsWith('.js')).length > 30,
    { wanted: 'a held page' },
  );
}

describe('with the server away', () => {
  it('a making goes on over two reloads: ticks and sizes are held, and are there once when it is back', async () => {
    const { page, table } = visit.now;
    await countOf(page.locator('[data-design]'), DEMO_DESIGNS);
    const id = await begunIn(visit.now, 'Rack tumbler', 12);
    await heldPage();
    const { port } = new URL(table.url);
    await table.stop();
    const tick = async () => {
      const before = await page.locator('.kicker').textContent();
      await page.keyboard.press('ArrowRight');
      await read(
        () => page.locator('.kicker').textContent(),
        (now) => now !== before,
        { wanted: 'the next piece' },
      );
    };
    for (let ticks = 0; ticks < 17; ticks += 1) await tick();
    await page.reload();
    await textOf(page.locator('.down'), /The server does not answer/);
    await textOf(page.getByTestId('sent'), /17 entries wait to be sent/);
    for (let ticks = 17; ticks < 30; ticks += 1) await tick();
    await press(page, 'Measure, note, fault');
    for (let size = 1; size <= 5; size += 1) {
      await page.locator('input[name="measured"]').fill(String(100 + size));
      await page.locator('input[name="measured"]').press('Enter');
      await press(page, 'Write it down');
      await textOf(page.locator('.said'), new RegExp(`10${size}\\.0 mm is written`));
    }
    await page.getByRole('tab', { name: 'Photograph' }).click();
    const picture = await sharp({ create: { width: 640, height: 480, channels: 3, background: '#b98d62' } })
      .jpeg()
      .toBuffer();
    await page
      .locator('input[type="file"]')
      .setInputFiles({ name: 'foot.jpg', mimeType: 'image/jpeg', buffer: picture });
    await textOf(page.locator('.pictures'), /waits to be sent/);
    await press(page, 'Close');
    await textOf(page.getByTestId('sent'), /36 entries wait to be sent/);
    await page.reload();
    await textOf(page.getByTestId('sent'), /36 entries wait to be sent/);
    const again = await openTable({ folder: table.folder, environment: { FAWN_PORT: port } });
    await textOf(page.getByTestId('sent'), /All is kept/);
    await page.reload();
    await textOf(page.locator('.kicker'), /Rack tumbler 7 of 12/);
    const making = await keptIn(visit.now, id);
    expect(making.marks).toHaveLength(30);
    expect(making.measurements.map(({ value }) => value).sort()).toEqual([101, 102, 103, 104, 105]);
    expect(making.photographs.map(({ width, height }) => [width, height])).toEqual([[640, 480]]);
    await press(page, 'Measure, note, fault');
    await page.getByRole('tab', { name: 'Photograph' }).click();
    await page.locator('.pictures img').waitFor();
    await read(
      () => page.evaluate<number>("document.querySelector('.pictures img').naturalWidth"),
      (wide) => wide === 320,
      { wanted: 'a thumbnail' },
    );
    await page.close();
    await again.stop();
  });

  it('the shelf, a piece, the clay book and Today open as they were last seen, and a change is sent later', async () => {
    const { page, table } = visit.now;
    await countOf(page.locator('[data-design]'), DEMO_DESIGNS);
    await begunIn(visit.now, 'Soup cup');
    const soupCup = page.url().replace(/make$/, 'shape');
    await page.goto(`${table.url}today`);
    await textOf(page.locator('.today h1'), /Soup cup/);
    await page.goto(`${table.url}clay`);
    const clays = page.locator('[data-clay]');
    await clays.first().waitFor();
    const names = await clays.allTextContents();
    await heldPage();
    const { port } = new URL(table.url);
    await table.stop();
    await page.goto(table.url);
    await countOf(page.locator('[data-design]'), DEMO_DESIGNS);
    await page.goto(`${table.url}today`);
    await textOf(page.locator('.today h1'), /Soup cup/);
    await page.goto(`${table.url}clay`);
    await read(
      () => clays.allTextContents(),
      (found) => found.join() === names.join(),
    );
    await page.goto(soupCup);
    await type(page, 'height', '77');
    await page.reload();
    await read(
      () => page.locator('input[name="height"]').inputValue(),
      (value) => value.startsWith('77'),
    );
    const again = await openTable({ folder: table.folder, environment: { FAWN_PORT: port } });
    const heights = async () =>
      (await ask<{ name: string; target: { form: { height?: number } } }[]>(table, 'designs'))
        .filter(({ name }) => name === 'Soup cup')
        .map(({ target }) => target.form.height);
    await read(heights, ([height]) => height === 77, { wanted: 'the change on the server' });
    await page.close();
    await again.stop();
  });
});
