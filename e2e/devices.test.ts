import type { Page } from 'playwright-core';
import { begunIn, keptIn } from './makingVisit.ts';
import { countOf, eachVisit, entered, fieldSays, read, textOf } from './visit.ts';

const visit = eachVisit({ demo: true });
const device = (page: Page, name: string) => page.getByRole('article', { name });
const link = (page: Page, name: string | RegExp) => page.getByRole('link', { name }).first().click();

async function startIn(page: Page, name: string): Promise<void> {
  await device(page, name).getByRole('button', { name: 'Start' }).click();
  await textOf(device(page, name).locator('.reading'), /\d/);
}

describe('measuring devices', () => {
  it('are started in Kit, marked as simulated; the caliper writes into the field that has the focus', async () => {
    const { page, table, troubles } = visit.now;
    const id = await begunIn(visit.now, 'Rack tumbler');
    await page.clock.resume();
    await link(page, 'Kit');
    await countOf(page.getByText('simulated', { exact: true }), 4);
    await startIn(page, 'Digital caliper');
    await page.locator('input[name="device-jaws"]').fill('83.4');
    await page.keyboard.press('Enter');
    await textOf(device(page, 'Digital caliper').locator('.reading'), /^83\.[34]\d mm$/);
    await link(page, 'Shelf');
    await link(page, /Rack tumbler/);
    await link(page, 'Make');
    await page.getByRole('button', { name: 'Measure, note, fault' }).click();
    const field = page.getByRole('dialog').locator('input[name="measured"]');
    await field.click();
    // Entering a field changes nothing: only what is measured then follows into it.
    await page.waitForTimeout(600);
    expect(parseFloat(await field.inputValue())).toBe(0);
    const strip = page.getByRole('dialog').getByRole('region', { name: 'Digital caliper' });
    // Pieces of one size differ by 0.3 mm, as a normal distribution has it.
    await strip.getByRole('button', { name: 'Measure one' }).click();
    await entered(field, /^8[1-5]\.\d\d mm$/);
    expect(await page.evaluate<string>('document.activeElement.name')).toBe('measured');
    // A hand that types has the field to itself.
    await field.press('Control+a');
    await field.pressSequentially('77.5', { delay: 40 });
    await strip.getByRole('button', { name: 'Measure one' }).click();
    await page.waitForTimeout(900);
    expect(await field.inputValue()).toBe('77.5');
    await strip.getByRole('button', { name: 'Put it in' }).click();
    await entered(field, /^8[1-5]\.\d/);
    await page.getByRole('button', { name: 'Write it down' }).click();
    const made = await read(
      () => keptIn(visit.now, id),
      ({ measurements }) => measurements.length === 1,
      { wanted: 'a measurement' },
    );
    expect(Math.abs((made.measurements[0]?.value ?? 0) - 83.4)).toBeLessThan(1.5);
    expect(table.url).toBeTruthy();
    expect(troubles).toEqual([]);
  });

  it('that go quiet or are weak say so; the air of the shed is taken from the hygrometer', async () => {
    const { page, table } = visit.now;
    await page.goto(`${table.url}kit`);
    const caliper = device(page, 'Digital caliper');
    await startIn(page, 'Digital caliper');
    await caliper.locator('.v-select').click();
    await page.getByRole('option', { name: 'weak battery' }).click();
    await textOf(caliper, /Its battery is weak/);
    await caliper.getByRole('button', { name: 'Stop' }).click();
    await textOf(caliper.locator('.reading'), /^off$/);
    await startIn(page, 'Thermo-hygrometer');
    await page.locator('input[name="device-temperature"]').fill('12');
    await page.locator('input[name="device-humidity"]').fill('71');
    await page.keyboard.press('Enter');
    await textOf(device(page, 'Thermo-hygrometer').locator('.reading'), /^1[12]\.\d °C, (70|71|72) %$/);
    await page.getByRole('button', { name: /As the hygrometer reads/ }).click();
    await fieldSays(page, 'air-temperature', /^1[12](\.\d)? °C$/);
    await fieldSays(page, 'air-humidity', /^7[012] %$/);
  });

  it('of the real kind that type digits and Enter work in any field and grid as they are', async () => {
    const { page, table } = visit.now;
    await page.goto(`${table.url}clay`);
    await page
      .getByRole('link', { name: /Siding buff/ })
      .first()
      .click();
    const cells = page.locator('.rows [data-takes="length"] input');
    await cells.first().waitFor();
    const before = await cells.count();
    expect(before).toBeGreaterThan(3);
    await cells.first().click();
    await page.keyboard.press('Control+a');
    // As quick as a device types: no pause between the keys.
    await page.keyboard.type('100.02');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Control+a');
    await page.keyboard.type('93.51');
    await page.keyboard.press('Enter');
    await entered(cells.nth(0), /^100\.02\b/);
    await entered(cells.nth(1), /^93\.51\b/);
    await countOf(page.getByRole('alert'), 0);
  });
});
