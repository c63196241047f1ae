import { eachVisit, read } from './visit.ts';

const visit = eachVisit({ demo: true });

describe('bringing a drawing nearer', () => {
  it('enlarges the flat parts by buttons and Ctrl with the wheel, moves them, and shows all of them again', async () => {
    const { page } = visit.now;
    await page.locator('[data-design="Rack tumbler"] .drawing').click();
    await page.locator('[data-figure]').first().waitFor();
    await page.keyboard.press('2');
    const wall = page.locator('[data-part="wall"] .cut');
    await wall.waitFor();
    const box = async () => (await wall.boundingBox()) ?? { x: NaN, y: NaN, width: NaN, height: NaN };
    const before = await box();
    const wide = (times: number) =>
      read(box, ({ width }) => Math.abs(width / before.width - times) < 0.02, { wanted: `${times} times as wide` });
    await page.getByRole('button', { name: 'Nearer' }).click();
    const nearer = await wide(1.5);
    // Dragged on the cloth, below the parts.
    const table = await page.locator('.work-table').boundingBox();
    const [x, y] = [(table?.x ?? 0) + 40, (table?.y ?? 0) + (table?.height ?? 0) - 60];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 60, y, { steps: 4 });
    await page.mouse.up();
    await read(box, (now) => now.x > nearer.x + 40, { wanted: 'further right' });
    await page.getByRole('button', { name: 'See all of it' }).click();
    expect((await wide(1)).x).toBeCloseTo(before.x, 0);
    await page.mouse.move(x, y);
    await page.keyboard.down('Control');
    await page.mouse.wheel(0, -240);
    await page.keyboard.up('Control');
    await read(box, ({ width }) => width > before.width * 1.1, { wanted: 'nearer' });
    expect(visit.now.troubles).toEqual([]);
  });
});
