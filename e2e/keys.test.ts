import { download, eachVisit, textOf } from './visit.ts';

const visit = eachVisit();

describe('the keyboard alone', () => {
  it('goes from the shelf to a printed cup in under 40 keys, and says the results', async () => {
    const { page } = visit.now;
    await textOf(page.locator('main'), /The shelf is empty/);
    let keys = 0;
    const press = async (key: string) => {
      keys += key.split('+').length;
      await page.keyboard.press(key);
    };
    await press('n');
    await page.locator('[role="option"]:focus').waitFor();
    await press('Enter');
    await page.locator('input[name="diameter"]:focus').waitFor();
    for (const key of ['9', '0', 'Enter']) await press(key);
    await page.locator('input[name="height"]:focus').waitFor();
    for (const key of ['1', '0', '0', 'Enter']) await press(key);
    await textOf(page.locator('[aria-live="polite"].unseen'), /Wrap \d+\.\d mm, Wall height/);
    await press('Control+p');
    await page.locator('button[name="pdf"]:focus').waitFor();
    const pdf = await download(page, () => press('Enter'));
    expect(pdf.name).toBe('new-tumbler.pdf');
    expect(keys).toBeLessThan(40);
  });
});
