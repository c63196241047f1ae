import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { MadeLine } from '../src/contract/made.ts';
import { peakOf } from '../src/core/studio/kiln/schedule.ts';
import { ask, recordMadeBy, recordsOf } from './ask.ts';
import { wordsOf } from './pdfMeasure.ts';
import { countOf, eachVisit, read, textOf } from './visit.ts';

const visit = eachVisit({ demo: true });

describe('a kiln', () => {
  it('is packed, changed by hand, fired by the controller that is not there, and kept', async () => {
    const { page, table, troubles } = visit.now;
    await page.getByRole('link', { name: 'Records' }).click();
    await page.getByRole('link', { name: 'Kiln and firings' }).click();
    await countOf(page.locator('.all li'), 2);
    const { id } = await recordMadeBy(table, 'firing', () =>
      page.getByRole('button', { name: 'A new firing' }).click(),
    );
    const firing = async () => (await recordsOf(table, 'firing')).find((one) => one.id === id)?.body;
    await page.getByRole('button', { name: 'Add Low shelf' }).click();
    await page.getByLabel(/11 × Rack tumbler/).click();
    await page.getByLabel(/10 × Rack tumbler/).click();
    await page.getByRole('button', { name: 'Pack the kiln' }).click();
    await textOf(page.locator('.told'), /^21 of 21 pieces stand\.$/);
    await countOf(page.locator('.piece[role="button"]'), 21);

    // A piece that is put on another cannot stand like that; undone it can.
    const first = page.locator('.piece[role="button"]').first();
    await first.focus();
    for (let times = 0; times < 3; times += 1) await page.keyboard.press('Shift+ArrowRight');
    await textOf(page.locator('.told'), /\d pieces cannot stand like that\./);
    await page.getByRole('button', { name: 'Let go' }).waitFor();
    for (let times = 0; times < 3; times += 1) await page.getByRole('button', { name: 'Undo' }).click();
    await textOf(page.locator('.told'), /^21 of 21 pieces stand\.$/);

    await page.getByRole('button', { name: 'Fire it, simulated' }).click();
    const curve = await read(
      async () => (await firing())?.curve ?? [],
      (now) => (now.at(-1)?.[0] ?? 0) > 1400,
      { wanted: 'the curve' },
    );
    expect(peakOf(curve)?.celsius).toBeGreaterThan(1215);
    await page.reload();
    await textOf(page.locator('figcaption').last(), /Read: 12\d\d °C after/);
    expect((await firing())?.placed).toHaveLength(21);
    expect(troubles).toEqual([]);
  });

  it('has a story of its pieces that is printed on a page', async () => {
    const { page, table, troubles } = visit.now;
    const [line] = await ask<MadeLine[]>(table, 'made?find=Tumblers, the rest');
    await page.goto(`${table.url}story/${line?.making}/${line?.piece}`);
    await textOf(page.locator('h1'), /^11 × Rack tumbler$/);
    await textOf(
      page.locator('tbody tr').filter({ hasText: 'Rim across' }),
      /83\.\d mm \(48\.2 mm to 84\.\d mm\)planned 84\.0 mm/,
    );
    await textOf(
      page.locator('.columns'),
      /Too late: 2, 5 and 10\..*Firing of 16 November: once, cone 6\..*crack at the base: 3 pieces/s,
    );
    const file = join(mkdtempSync(join(tmpdir(), 'fawn-story-')), 'story.pdf');
    await page.pdf({ format: 'A4', path: file });
    const [text, ...more] = wordsOf(file);
    expect(more).toEqual([]);
    const plain = (text ?? '').replace(/\s+/g, ' ');
    for (const words of ['Rack tumbler', 'Too late', 'crack at the base', 'Firing of 16 November', 'planned 84.0 mm'])
      expect(plain).toContain(words);
    expect(plain).not.toContain('Print it');
    expect(troubles).toEqual([]);
  });
});
