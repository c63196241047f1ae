import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readSolid } from '../src/print/stl/readBackStl.ts';
import { wordsOf } from './pdfMeasure.ts';
import { DEMO_DESIGNS, openTable } from './testTable.ts';
import { countOf, download, drawnBox, eachVisit, entered, read, textOf, unfold } from './visit.ts';

const visit = eachVisit({ demo: true });

const folder = () => mkdtempSync(join(tmpdir(), 'fawn-tools-'));

/** Opens Cut of the tumbler. */
async function cut(): Promise<string> {
  const { page } = visit.now;
  await page.locator('[data-design="Rack tumbler"] .drawing').click();
  await page.getByRole('link', { name: 'Cut', exact: true }).click();
  await page.getByRole('button', { name: 'PDF at true size' }).waitFor();
  return /piece\/([^/]+)/.exec(page.url())?.[1] ?? '';
}
const fold = (name: string) => unfold(visit.now.page, name);

describe('tools at Cut', () => {
  it('prints a class of two pieces from a CSV of names, and says first how much paper and clay that takes', async () => {
    const { page, troubles } = visit.now;
    await page.getByRole('button', { name: 'Choose several' }).click();
    await page.getByRole('checkbox', { name: 'Choose Rack tumbler' }).check();
    await page.getByRole('checkbox', { name: 'Choose Salt box' }).check();
    await page.getByRole('button', { name: 'Print together' }).click();
    const sheet = page.getByRole('dialog', { name: 'Print together' });
    const once = Number(/^(\d+) sheets/.exec(await textOf(sheet.getByRole('status'), /sheets of paper/))?.[1]);
    const names = join(folder(), 'names.csv');
    writeFileSync(names, '\uFEFFName,Table\r\n"Ann, the elder",1\r\nBo,2\r\nCy,2\r\n');
    await sheet.locator('input[name="names"]').setInputFiles(names);
    await textOf(sheet.getByRole('status'), new RegExp(`^${3 * once} sheets of paper, .* of clay in the pieces$`));
    await entered(sheet.getByRole('textbox'), /^Ann, the elder\nBo\nCy$/);
    const saved = await download(page, () => sheet.getByRole('button', { name: 'PDF at true size' }).click());
    const pages = wordsOf(saved.path);
    expect(pages).toHaveLength(3 * once);
    expect(pages.filter((words) => words.includes('Ann, the elder'))).toHaveLength(once);
    expect(troubles).toEqual([]);
  });

  it('sends the plot file to the cutter that is not there, which says what it cut; a slipping belt is found', async () => {
    const { page, troubles } = visit.now;
    await cut();
    await fold('On a cutter');
    await page.getByRole('button', { name: 'Send to the cutter, simulated' }).click();
    await textOf(
      page.locator('.run [role="status"]'),
      /Cut 1(099\.9|100\.\d) mm in 2 lines\. Furthest from the file: 0\.0\d mm\./,
    );
    await page.locator('.v-select', { hasText: 'Fault' }).click();
    await page.getByRole('option', { name: 'belt slips' }).click();
    await page.getByRole('button', { name: 'Send to the cutter, simulated' }).click();
    await textOf(page.locator('.run [role="status"]'), /Furthest from the file: 1\.\d+ mm: do not use this sheet\./);
    expect(troubles).toEqual([]);
  });

  it('hands out a cutter and a former as closed solids, and the cut list', async () => {
    const { page, troubles } = visit.now;
    await cut();
    await fold('Tools to print in plastic');
    for (const [button, name] of [
      ['Cutter: wall', 'rack-tumbler-wall-cutter.stl'],
      [/^Former/, 'rack-tumbler-former.stl'],
    ] as const) {
      const saved = await download(page, () => page.getByRole('button', { name: button }).click());
      expect(saved.name).toBe(name);
      expect(readSolid(readFileSync(saved.path)).kind).toBe('closed');
    }
    const list = await download(page, () => page.getByRole('button', { name: 'Cut list, for a spreadsheet' }).click());
    expect(readFileSync(list.path, 'utf8').split('\r\n')[1]).toMatch(/^Rack tumbler,Wall,1,6,281\.03,119,/);
    expect(troubles).toEqual([]);
  });

  it('shows a part at true size once the screen was measured with a bank card, and locks it', async () => {
    const { page, troubles } = visit.now;
    const id = await cut();
    await fold('Without a printer');
    await page.getByRole('link', { name: 'True size on this screen' }).click();
    await page.getByRole('button', { name: 'Measure it with a bank card' }).click();
    const slider = page.getByRole('slider', { name: 'Size of the frame' });
    await slider.focus();
    for (let press = 0; press < 20; press += 1) await page.keyboard.press('ArrowRight');
    const frame = await page.locator('.frame.card').boundingBox();
    await page.getByRole('button', { name: 'It is as large' }).click();
    // What a card of 85.60 mm took on the screen says how large 281.03 mm are.
    const perMm = (frame?.width ?? 0) / 85.6;
    expect(perMm).toBeGreaterThan(3.8);
    // The line's own width, without that of its stroke.
    const wide = async () => {
      const px = await page
        .locator('.sheet path.cut')
        .first()
        .evaluate((element) => {
          const drawn = element as unknown as { getBBox: () => { width: number }; getScreenCTM: () => { a: number } };
          return drawn.getBBox().width * drawn.getScreenCTM().a;
        });
      return px / perMm;
    };
    await read(wide, (mm) => Math.abs(mm - 281.03) < 0.6, { wanted: '281.03 mm' });
    // Kept by this browser.
    await page.reload();
    await read(wide, (mm) => Math.abs(mm - 281.03) < 0.6, { wanted: '281.03 mm again' });
    await countOf(page.getByText('This screen has not been measured'), 0);
    const place = async () => (await page.locator('.sheet path.cut').first().boundingBox())?.x ?? 0;
    const at = await place();
    await page.locator('.sheet').focus();
    await page.keyboard.press('Shift+ArrowRight');
    await read(place, (x) => Math.abs(x - at - 10 * perMm) < 0.5, { wanted: '10 mm further' });
    await page.getByRole('button', { name: 'Lock and trace' }).click();
    await page.locator('.sheet').focus();
    await page.keyboard.press('ArrowRight');
    await page.mouse.move(640, 500);
    await page.mouse.down();
    await page.mouse.move(740, 560, { steps: 4 });
    await page.mouse.up();
    expect(Math.abs((await place()) - at - 10 * perMm)).toBeLessThan(0.5);
    expect(page.url()).toContain(`/size/${id}`);
    expect(troubles).toEqual([]);
  });

  it('throws a part by light through four corners that are dragged on a sheet of paper', async () => {
    const { page, troubles } = visit.now;
    await cut();
    await fold('Without a printer');
    await page.getByRole('link', { name: 'By light, on the clay' }).click();
    const corner = page.getByRole('button', { name: /Corner of light, upper right/ });
    const box = await corner.boundingBox();
    await page.mouse.move((box?.x ?? 0) + 24, (box?.y ?? 0) + 24);
    await page.mouse.down();
    await page.mouse.move((box?.x ?? 0) + 64, (box?.y ?? 0) - 6, { steps: 5 });
    await page.mouse.up();
    await read(
      async () => (await corner.boundingBox())?.x ?? 0,
      (x) => Math.abs(x - (box?.x ?? 0) - 40) < 2,
      { wanted: 'the corner 40 px further' },
    );
    const [wide] = [await drawnBox(page, 'polyline.frame')];
    await page.getByRole('button', { name: 'The corners fit: throw the part' }).click();
    await textOf(page.getByRole('status'), /One dot of light is .* wide on the clay/);
    // The wall is 281 of the sheet's 297 mm long.
    const thrown = await drawnBox(page, 'polygon.cut');
    expect(thrown.width / wide.width).toBeGreaterThan(0.8);
    expect(thrown.width / wide.width).toBeLessThan(1.1);
    await page.reload();
    expect(Math.abs(((await corner.boundingBox())?.x ?? 0) - (box?.x ?? 0) - 40)).toBeLessThan(2);
    expect(troubles).toEqual([]);
  });
});

describe('devices and files in the kit', () => {
  it('checks a printer that is not true from its printed sheet to the kept figures, by the caliper alone', async () => {
    const { page, troubles } = visit.now;
    await page.goto(`${visit.now.table.url}kit`);
    const printer = page.getByRole('article', { name: 'Paper printer' });
    await printer.getByRole('button', { name: 'Print the check sheet' }).click();
    await textOf(printer.getByRole('status'), /The sheet lies on the table/);
    const take = async (which: 'A' | 'B', name: string, wanted: number) => {
      await printer.getByRole('button', { name: `Caliper on ${which}` }).click();
      await page.getByRole('link', { name: /Office printer/ }).click();
      await page.locator(`input[name="${name}"]`).click();
      const strip = page.getByRole('contentinfo');
      const reading = async () =>
        Number(/[\d.]+/.exec((await strip.locator('[data-reading="caliper"]').textContent()) ?? '')?.[0]);
      await read(reading, (mm) => Math.abs(mm - wanted) < 0.3, { wanted: String(wanted), most: 15_000 });
      await strip.getByRole('button', { name: 'Put it in' }).click();
      await page.keyboard.press('Enter');
    };
    await take('A', 'check-across', 145.95);
    await take('B', 'check-up', 198.2);
    await textOf(page.getByText(/It prints/), /97\.3 % across and 99\.1 % along/);
    expect(troubles).toEqual([]);
  });

  it('carries the studio away, and brings it to a fresh table', async () => {
    const { page, table, troubles } = visit.now;
    await page.goto(`${table.url}kit`);
    const saved = await download(page, () => page.getByRole('link', { name: 'Download the studio' }).click());
    const other = await openTable({ demo: false });
    try {
      await page.goto(`${other.url}kit`);
      const broken = join(folder(), 'broken.zip');
      writeFileSync(broken, readFileSync(saved.path).subarray(0, 5000));
      const field = page.locator('input[name="archive"]');
      await field.setInputFiles(broken);
      await textOf(page.getByText(/Nothing was changed/), /The file is not a zip file, or was cut short/);
      troubles.length = 0;
      await field.setInputFiles(saved.path);
      const sheet = page.getByRole('dialog', { name: 'Studio file' });
      await textOf(
        sheet.locator('.holds'),
        new RegExp(`^${DEMO_DESIGNS} pieces, \\d+ clays, kit and plans, \\d+ makings?, \\d+ photographs?$`),
      );
      await sheet.getByRole('button', { name: 'Add it' }).click();
      await textOf(page.getByText('The archive was added.'), /added/);
      await page.goto(other.url);
      await countOf(page.locator('[data-design]'), DEMO_DESIGNS);
      expect(troubles.filter((one) => !one.startsWith(other.url))).toEqual([]);
    } finally {
      await other.close();
    }
  });

  it('reads shrink bars and kit from tables, and says what is wrong with one', async () => {
    const { page, table, troubles } = visit.now;
    await page.goto(`${table.url}kit`);
    await fold('The kit in a table');
    const file = join(folder(), 'kit.csv');
    writeFileSync(file, 'kind,name,diameter\nround cutter,Ring of 88,88\n');
    await page.locator('input[name="kit-csv"]').setInputFiles(file);
    await textOf(page.locator('[data-kit="Ring of 88"]'), /Ring of 88/);
    writeFileSync(file, 'kind,name,diameter\nspoon,Mine,88\n');
    await page.locator('input[name="kit-csv"]').setInputFiles(file);
    await textOf(page.getByText(/Nothing was added/), /kit\.csv line 2: “kind” must be stick, /);
    expect(troubles).toEqual([]);
    await page.goto(`${table.url}clay`);
    const rows = () => page.locator('[data-bar]').count();
    await page.locator('[data-bar]').first().waitFor();
    const before = await rows();
    await fold('Bars in a table');
    writeFileSync(file, 'wet;fired\n100;88,2\n100;87,9\n');
    await page.locator('input[name="bars-csv"]').setInputFiles(file);
    await read(rows, (count) => count === before + 2, { wanted: `${before + 2} bars` });
    expect(troubles).toEqual([]);
  });
});
