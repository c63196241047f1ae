import { DEMO_DESIGNS, openTable } from './testTable.ts';
import { countOf, eachVisit, figure, kept, read, textOf, type } from './visit.ts';

describe('the shelf', () => {
  const visit = eachVisit({ demo: true });

  it('draws every design at one scale', async () => {
    const { page } = visit.now;
    // The drawing has 2 px of air on each side.
    const width = async (name: string) =>
      ((await page.locator(`[data-design="${name}"] canvas`).boundingBox())?.width ?? 0) - 4;
    await page.locator('[data-design]').first().waitFor();
    await countOf(page.locator('[data-design]'), DEMO_DESIGNS);
    await countOf(page.locator('[data-design] .drawing svg'), 0);
    expect((await width('Rack tumbler')) / (await width('Ticket cup'))).toBeCloseTo(84 / 58, 1);
    expect(visit.now.troubles).toEqual([]);
  });

  it('renames, duplicates, and takes off with a way back', async () => {
    const { page } = visit.now;
    const verb = async (design: string, name: string) => {
      await page.getByRole('button', { name: `more: what to do with ${design}`, exact: true }).click();
      const item = page.getByRole('menuitem', { name });
      await item.click();
      await item.waitFor({ state: 'hidden' });
    };
    // The shelf stands: nothing moves under the pointer any more.
    await countOf(page.locator('[data-design]'), DEMO_DESIGNS);
    await page.evaluate('document.fonts.ready');
    await verb('Sugar pot', 'Rename');
    const name = page.getByRole('textbox', { name: 'Name of the piece' });
    await name.waitFor();
    const marked = 'document.activeElement.value?.slice(document.activeElement.selectionStart)';
    await read(
      () => page.evaluate<unknown>(marked),
      (found) => found === 'Sugar pot',
    );
    await page.keyboard.type('Sugar pot, dining');
    // The piece comes to stand on another board: the name that is being typed goes with it.
    await page.setViewportSize({ width: 700, height: 900 });
    await read(
      () => name.inputValue(),
      (found) => found === 'Sugar pot, dining',
    );
    await page.setViewportSize({ width: 1280, height: 800 });
    await name.fill('Sugar pot, dining car');
    await page.keyboard.press('Enter');
    await page.locator('[data-design="Sugar pot, dining car"]').waitFor();
    await verb('Salt dish', 'Duplicate');
    await page.locator('[data-design="Salt dish, copy"]').waitFor();
    await verb('Salt dish', 'Take off the shelf');
    await page.locator('[data-design="Salt dish"]').waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Put back' }).click();
    await page.locator('[data-design="Salt dish"]').waitFor();
    await page.reload();
    await page.locator('[data-design="Sugar pot, dining car"]').waitFor();
    await countOf(page.locator('[data-design]'), DEMO_DESIGNS + 1);
  });

  it('looks for pieces, sorts them, puts several in a set and plans their slabs together', async () => {
    const { page } = visit.now;
    const names = () =>
      page.locator('[data-design]').evaluateAll((all) => all.map((one) => one.getAttribute('data-design')));
    await countOf(page.locator('[data-design]'), DEMO_DESIGNS);
    await page.getByLabel('Find on the shelf').fill('facets box');
    await countOf(page.locator('[data-design]'), 2);
    await page.getByRole('button', { name: 'Choose several' }).click();
    await page.getByRole('button', { name: 'Choose all' }).click();
    await page.getByRole('button', { name: 'Put in a set' }).click();
    await page.getByLabel('Name of the set').fill('Dining car');
    await page.getByRole('button', { name: 'Put in this set' }).click();
    await countOf(page.locator('.set'), 2);
    await page.getByLabel('How many of each').fill('3');
    await page.getByRole('button', { name: 'Plan the slabs' }).click();
    await page.waitForURL(/\/slab$/);
    await textOf(page.locator('aside').first(), /Salt box.*Pepper box/s);
    await page.keyboard.press('s');
    await page.getByRole('button', { name: 'Dining car' }).click();
    await countOf(page.locator('[data-design]'), 2);
    await page.getByRole('button', { name: 'All', exact: true }).click();
    await page.getByLabel('Order of the shelf').press('ArrowDown');
    await page.getByRole('option', { name: 'by name' }).click();
    expect((await names())[0]).toBe('Bread bowl, square to round');
    expect(visit.now.troubles).toEqual([]);
  });

  it('finds a design by Ctrl+K and the keyboard alone, shows its shortcuts, and opens a design file', async () => {
    const { page } = visit.now;
    await page.locator('[data-design]').first().waitFor();
    await page.keyboard.press('?');
    await textOf(page.locator('.v-dialog'), /Ctrl K.*Find a piece, a place or a field/);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+k');
    await page.getByRole('textbox', { name: 'Find a piece, a place or a field' }).fill('crock');
    await textOf(page.getByRole('option').first(), /Galley crock/);
    await page.keyboard.press('Enter');
    await textOf(page.locator('h1'), /Galley crock/);
    await page.locator('.v-dialog').waitFor({ state: 'hidden' });
    // A word of the work leads to its field, opened and lit.
    for (const [word, stage, field] of [
      ['quart', 'shape', 'holds'],
      ['belly', 'shape', 'belly'],
      ['trim', 'flat', 'trim'],
      ['texture stamp', 'flat', 'repeat'],
      ['print', 'cut', 'paper'],
    ] as const) {
      await page.keyboard.press('Escape');
      await page.keyboard.press('Control+k');
      await page.getByRole('textbox', { name: 'Find a piece, a place or a field' }).fill(word);
      await page.keyboard.press('Enter');
      await page.waitForURL(new RegExp(`/${stage}$`));
      await page.locator(`[data-lit] [name="${field}"]`).waitFor();
    }
    await page.getByRole('link', { name: 'Shelf' }).click();
    await page.locator('[data-design]').first().waitFor();
    const opened = (text: string) =>
      page
        .locator('input[type=file]')
        .setInputFiles({ name: 'a.json', mimeType: 'application/json', buffer: Buffer.from(text) });
    await opened('{"broken');
    await textOf(page.getByRole('alert'), /not JSON/);
    await opened('{"format":"fawn-table/target","version":9}');
    await textOf(page.getByRole('alert'), /figures that cannot be developed/);
  });

  it('says so where there is nothing, and leads back', async () => {
    const { page, table } = visit.now;
    await page.goto(`${table.url}nowhere/at/all`);
    await textOf(page.locator('h1'), /nothing at this address/);
    await page.goto(`${table.url}piece/00000000-0000-4000-8000-000000000000`);
    await textOf(page.locator('h1'), /not on the shelf/);
    await page.getByRole('link', { name: 'Back to the shelf' }).click();
    await page.locator('[data-design]').first().waitFor();
  });

  it('loads less than 300 kB of script at first, packed, and fonts of its own', async () => {
    const { page } = visit.now;
    // What is fetched at rest, for later, does not count.
    await page.reload();
    await countOf(page.locator('[data-design] .drawing svg'), 0);
    const loaded = await page.evaluate<string[]>("performance.getEntriesByType('resource').map((entry) => entry.name)");
    const scripts = loaded.filter((url) => url.endsWith('.js'));
    // As they were sent.
    const sizes = await page.evaluate<number[]>(
      "performance.getEntriesByType('resource').filter(({ name }) => name.endsWith('.js')).map(({ encodedBodySize }) => encodedBodySize)",
    );
    expect(scripts.length).toBeGreaterThan(1);
    expect(Math.min(...sizes)).toBeGreaterThan(0);
    expect(sizes.reduce((sum, size) => sum + size, 0)).toBeLessThan(300_000);
    expect(loaded.some((url) => url.includes('bitter'))).toBe(true);
  });
});

describe('two people and one design', () => {
  const visit = eachVisit({ demo: true });

  it.each([
    ['Put mine on top', /^84\.0 × 130\.0 mm$/, DEMO_DESIGNS],
    ['Take theirs, keep mine as a copy', /^84\.0 × 140\.0 mm$/, DEMO_DESIGNS + 1],
  ])('lose neither side: %s', async (choice, onTop, designs) => {
    const { page } = visit.now;
    await page.locator('[data-design="Rack tumbler"] .drawing').click();
    await kept(page, /1/);
    const other = await visit.now.someoneElse();
    await other.goto(page.url());
    await type(other, 'height', '140');
    await kept(other, /2/);
    await type(page, 'height', '130');
    await textOf(page.getByRole('alert'), /There it is now 84\.0 × 140\.0 mm.*here it is 84\.0 × 130\.0 mm/);
    await page.getByRole('button', { name: choice }).click();
    await kept(page);
    await page.keyboard.press('s');
    await textOf(page.locator('[data-design="Rack tumbler"] .sizes'), onTop);
    await countOf(page.locator('[data-design]'), designs);
    await other.close();
  });
});

describe('a server that goes away', () => {
  const visit = eachVisit({ demo: true });

  it('loses nothing: changes are held, also over a reload of the page, and sent when it is back', async () => {
    const { page, table } = visit.now;
    await page.locator('[data-design="Rack tumbler"] .drawing').click();
    await kept(page, /1/);
    const { port } = new URL(table.url);
    await table.stop();
    await type(page, 'height', '133');
    await textOf(page.getByTestId('keeping'), /held in this browser/);
    await textOf(page.locator('.down'), /server does not answer/);
    await textOf(figure(page, 'cutHeight'), /^145\.1$/);
    const again = await openTable({ folder: table.folder, environment: { FAWN_PORT: port } });
    await kept(page, /2/);
    await page.reload();
    await textOf(figure(page, 'cutHeight'), /^145\.1$/);
    await page.close();
    await again.stop();
  });

  it('sends a change that was made just before the page was closed', async () => {
    const { page, table } = visit.now;
    await page.locator('[data-design="Rack tumbler"] .drawing').click();
    await kept(page, /1/);
    await type(page, 'height', '141');
    await page.goto('about:blank');
    await page.goto(table.url);
    await page.locator('[data-design="Rack tumbler"] .drawing').click();
    await textOf(figure(page, 'cutHeight'), /^154\.2$/);
  });
});

describe('a phone', () => {
  const visit = eachVisit({ demo: true, width: 390, height: 844 });

  it('shows everything without scrolling sideways, with targets a knuckle can press', async () => {
    const { page } = visit.now;
    const sideways = () => page.evaluate('document.documentElement.scrollWidth - window.innerWidth');
    await page.locator('[data-design]').first().waitFor();
    expect(await sideways()).toBeLessThanOrEqual(0);
    await page.locator('[data-design="Rack tumbler"] .drawing').click();
    await page.getByRole('tab', { name: 'Measure' }).click();
    for (const stage of ['Flat', 'Cut', 'Shape']) {
      await page.getByRole('link', { name: stage }).click();
      await figure(page, 'cutLength').waitFor();
      expect(await sideways()).toBeLessThanOrEqual(0);
    }
    for (const button of await page.locator('button:visible').all()) {
      expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(40);
    }
  });
});
