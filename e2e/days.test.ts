import { recordMadeBy, recordsOf } from './ask.ts';
import { eachVisit, read, textOf } from './visit.ts';

describe.each([
  // In the evening it is already tomorrow in Greenwich, in the morning still yesterday.
  ['America/Vancouver', '2026-11-28T06:30:00Z', '2026-11-27'],
  ['Pacific/Auckland', '2026-11-27T18:30:00Z', '2026-11-28'],
])('a day in %s', (timezone, time, day) => {
  const visit = eachVisit({ demo: true, timezone });

  it('is the one on the wall: of a firing, a checked printer and what comes out of the bag', async () => {
    const { page, table, troubles } = visit.now;
    await page.clock.install({ time: new Date(time) });
    await page.goto(`${table.url}kiln`);
    const firing = await recordMadeBy(table, 'firing', () =>
      page.getByRole('button', { name: 'A new firing' }).click(),
    );
    expect(firing.body.day).toBe(day);

    await page.goto(`${table.url}kit`);
    await page.getByRole('link', { name: /Office printer/ }).click();
    for (const [name, text] of [
      ['check-across', '145.95'],
      ['check-up', '198.2'],
    ] as const) {
      await page.locator(`input[name="${name}"]`).fill(text);
      await page.keyboard.press('Enter');
    }
    const printer = async () => (await recordsOf(table, 'kit')).find(({ body }) => body.kind === 'printer')?.body.check;
    const check = await read(printer, (kept) => kept?.up === 198.2, { wanted: 'the check in the kit' });
    expect(check?.day).toBe(day);

    await page.goto(`${table.url}clay`);
    await page
      .getByRole('link', { name: /Siding buff/ })
      .first()
      .click();
    await page.locator('input[name="scrap-out"]').fill('2000');
    const scrap = await recordMadeBy(table, 'scrap', () => page.keyboard.press('Enter'));
    expect(scrap.body).toMatchObject({ day, out: 2000 });
    await textOf(page.locator('main'), new RegExp(day));
    expect(troubles).toEqual([]);
  });
});
