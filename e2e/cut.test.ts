import { writeFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { recordsOf } from './ask.ts';
import { wordsOf } from './pdfMeasure.ts';
import { download, eachVisit, entered, read, textOf } from './visit.ts';

const visit = eachVisit({ demo: true });

/** Saves what a press downloads, and returns its file. */
async function saved(name: string): Promise<string> {
  const { page } = visit.now;
  return (await download(page, () => page.getByRole('button', { name }).click())).path;
}

describe('cutting', () => {
  it('checks a printer by the caliper that is not there, and corrects the templates that are made for it', async () => {
    const { page, table, troubles } = visit.now;
    const check = await (await fetch(`${table.url}api/printer-check.pdf?paper=a4`)).arrayBuffer();
    const sheet = join(mkdtempSync(join(tmpdir(), 'fawn-cut-')), 'check.pdf');
    writeFileSync(sheet, Buffer.from(check));
    expect(wordsOf(sheet)[0]).toMatch(/A\s+should\s+be\s+150\s+mm\s+and\s+B\s+200\s+mm/);

    await page.goto(`${table.url}kit`);
    const caliper = page.getByRole('article', { name: 'Digital caliper' });
    await caliper.getByRole('button', { name: 'Start' }).click();
    await page.locator('input[name="device-jaws"]').fill('145.95');
    await page.keyboard.press('Enter');
    await page.getByRole('link', { name: /Office printer/ }).click();
    const across = page.locator('input[name="check-across"]');
    await across.click();
    await page.getByRole('contentinfo').getByRole('button', { name: 'Measure one' }).click();
    await entered(across, /^14[5-7]\.\d/);
    await across.fill('145.95');
    await page.keyboard.press('Enter');
    await page.locator('input[name="check-up"]').fill('198.2');
    await page.keyboard.press('Enter');
    await textOf(page.getByText(/It prints/), /97\.3 % across and 99\.1 % along/);
    const printer = async () => (await recordsOf(table, 'kit')).find(({ body }) => body.kind === 'printer')?.body.check;
    await read(printer, (kept) => kept?.up === 198.2, { wanted: 'the check in the kit' });

    await page.goto(table.url);
    await page.locator('[data-design="Rack tumbler"] .drawing').click();
    await page.getByRole('link', { name: 'Cut', exact: true }).click();
    await page.locator('.v-select', { hasText: 'Corrected for' }).click();
    await page.getByRole('option', { name: 'Office printer' }).click();
    const words = wordsOf(await saved('PDF at true size'))
      .join(' ')
      .replace(/\s+/g, ' ');
    expect(words).toContain('Corrected for Office printer (97.3 % across, 99.1 % along): do not print it on another.');
    expect(words).toContain('Checked: 281.03 × 119.00 mm in this file, off by 0.00.');
    expect(words).not.toContain('CHECKED ON ANOTHER PAPER');
    await page.locator('button[name="paper"]').click();
    await page.getByRole('option', { name: /^Letter/ }).click();
    await textOf(page.getByText(/It was checked on A4/), /check it on this paper too/);
    expect(troubles).toEqual([]);
  });

  it('hands out a bench card that says what is weighed, measured and done', async () => {
    const { page, troubles } = visit.now;
    await page.locator('[data-design="Rack tumbler"] .drawing').click();
    await page.getByRole('link', { name: 'Cut', exact: true }).click();
    const file = await saved('Bench card, one page');
    const [words = '', ...more] = wordsOf(file);
    expect(more).toEqual([]);
    for (const wanted of ['95.5 mm', '84.0 mm', 'Weigh out 728 g', '10. Join the seam'])
      expect(words.replace(/\s+/g, ' ')).toContain(wanted);
    expect(troubles).toEqual([]);
  });
});
