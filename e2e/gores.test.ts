import { countOf, eachVisit, figure, newPiece, textOf, type } from './visit.ts';

describe('a piece of strips', () => {
  const visit = eachVisit();

  it('is cut in gores, by a profile or a ball, and told how its edges gather', async () => {
    const { page } = visit.now;
    await newPiece(page, 'gores');
    await page.locator('button[name="side"]').click();
    await page.getByRole('option', { name: /^part of a ball/ }).click();
    await type(page, 'strips', '12');
    await type(page, 'ball', '168');
    await type(page, 'foot', '84');
    await type(page, 'height', '88');
    // Wet the ball is 190.91 across, its neutral surface 184.91: from 6 to 100 mm up its side runs 107.8, and 12 strips go round it.
    await textOf(figure(page, 'slant'), /^107\.8$/);
    await textOf(figure(page, 'panelWidest'), /^48\.4$/);
    await textOf(page.locator('main'), /Edges gather easily/);
    await type(page, 'strips', '4');
    await textOf(page.locator('main'), /from 5 to 16/);
    await type(page, 'strips', '6');
    await textOf(page.locator('main'), /Cut \d+ strips, or bend them softer/);
    await page.locator('button[name="side"]').click();
    await page.getByRole('option', { name: /^a profile/ }).click();
    const widths = page.locator('input[name^="profile."][name$=".1"]');
    await countOf(widths, 3);
    await page.getByRole('button', { name: 'Add a point' }).click();
    await countOf(widths, 4);
    await page.keyboard.press('2');
    await countOf(page.locator('[data-part="gore"]'), 1);
    expect(visit.now.troubles).toEqual([]);
  });
});
