import { countOf, eachVisit, figure, kept, read, textOf, unfold } from './visit.ts';

const visit = eachVisit({ demo: true });

async function onPiece(design: string) {
  const { page } = visit.now;
  await page.locator(`[data-design="${design}"] .drawing`).click();
  await page.waitForURL(/piece/);
  return page;
}

const number = (text: string) => Number(/[\d.]+/.exec(text)?.[0]);

describe('handle, feet and lid', () => {
  it('a handle follows its fingers and is drawn out by its curve; the strap is as long as it is drawn', async () => {
    const page = await onPiece('Galley mug');
    const strap = async () => number(await figure(page, 'handleLength').innerText());
    const before = await read(strap, (mm) => mm > 0);
    await unfold(page, 'Handle, lugs, feet, lid');
    await page.locator('input[name="handle.fingers"]').fill('2');
    await textOf(figure(page, 'handleLength'), /^11\d/);
    const shorter = await strap();
    expect(shorter).toBeLessThan(before - 15);

    const grip = page.getByRole('slider', { name: /Drag: Stands out/ });
    const box = await grip.boundingBox();
    if (!box) throw new Error('the handle cannot be dragged');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 44, y, { steps: 4 });
    await page.mouse.up();
    const field = page.locator('input[name="handle.projection"]');
    await textOf(figure(page, 'handleLength'), /^14\d/);
    await read(
      () => field.inputValue(),
      (text) => number(text) > 40,
    );
    expect(await strap()).toBeGreaterThan(shorter + 5);

    // What lies on the table is the strap of the list, at the scale of the wall.
    const part = async (id: string) => (await page.locator(`[data-part="${id}"] .cut`).boundingBox())?.width ?? 0;
    const wrap = number(await figure(page, 'cutLength').innerText());
    expect((await part('handle')) / (await part('wall'))).toBeCloseTo((await strap()) / wrap, 1);
    await kept(page);
    expect(visit.now.troubles).toEqual([]);
  });

  it('a pair stands on both sides, a lid and pads become parts, and all of them lie in the slab plan', async () => {
    const page = await onPiece('Galley mug');
    await unfold(page, 'Handle, lugs, feet, lid');
    await page.locator('button[name="handle-place"]').click();
    await page.getByRole('option', { name: /a pair, across/ }).click();
    await page.locator('button[name="lid"]').click();
    await page.getByRole('option', { name: /^flat/ }).click();
    await page.locator('button[name="feet"]').click();
    await page.getByRole('option', { name: /^pads/ }).click();
    for (const id of ['handle', 'lid', 'flange', 'foot']) await page.locator(`[data-part="${id}"]`).first().waitFor();
    await kept(page);
    await page.keyboard.press('2');
    await textOf(page.locator('[data-part="handle"]'), /cut 3/);
    await textOf(page.locator('[data-part="wall"]'), /handle/);
    await page.keyboard.press('3');
    await page.getByTestId('lay-out').click();
    // Wall, base, lid, flange, three straps with the spare one, and three pads.
    await page.locator('[data-place]').nth(9).waitFor();
    await countOf(page.locator('[data-place]'), 10);
    expect(visit.now.troubles).toEqual([]);
  });

  it('says what does not fit: no handle on a dish that is too low', async () => {
    const page = await onPiece('Salt dish');
    await page.locator('input[name="height"]').fill('14');
    await unfold(page, 'Handle, lugs, feet, lid');
    await page.locator('button[name="handle"]').click();
    await page.getByRole('option', { name: /^a strap/ }).click();
    await textOf(page.locator('.v-alert'), /does not fit here/);
  });

  it('lugs are one template cut twice and marked on the wall; a knob is weighed, in ounces too', async () => {
    const page = await onPiece('Soup cup');
    await unfold(page, 'Handle, lugs, feet, lid');
    await page.locator('button[name="lugs"]').click();
    await page.getByRole('option', { name: /^a pair/ }).click();
    await page.locator('[data-part="lug"]').waitFor();
    await page.locator('button[name="lid"]').click();
    await page.getByRole('option', { name: /^flat/ }).click();
    const knob = page.locator('input[name="lid.knob"]');
    await read(
      () => knob.inputValue(),
      (text) => text === 'none',
    );
    await knob.fill('25');
    await knob.press('Enter');
    await textOf(page.locator('main'), /25 g, a ball of 28\.9 mm/);
    await knob.fill('plenty');
    await textOf(page.locator('main'), /write a mass such as/);
    await knob.press('Escape');
    await kept(page);
    await page.keyboard.press('2');
    await textOf(page.locator('[data-part="lug"]'), /cut 2/);
    await textOf(page.locator('[data-part="wall"]'), /lug/);
    expect(visit.now.troubles).toEqual([]);
  });
});
