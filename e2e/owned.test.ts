import {
  download,
  eachVisit,
  fieldSays,
  figure,
  kept,
  leaveFirstField,
  newPiece,
  read,
  textOf,
  type,
  unfold,
} from './visit.ts';

const visit = eachVisit();

/** Chooses a way in a field that opens a sheet of choices. */
async function choose(name: string, way: RegExp): Promise<void> {
  const { page } = visit.now;
  await page.locator(`button[name="${name}"]`).click();
  await page.getByRole('option', { name: way }).click();
}

describe('from what is owned', () => {
  it('turns an arc template into a piece, slides it, and puts it on the shelf', async () => {
    const { page } = visit.now;
    await page.getByRole('link', { name: 'From what you own' }).click();
    await choose('way', /with a ruler/);
    // The worked cup of the geometry, traced with its rim cut square.
    await type(page, 'chord', '378.12');
    await type(page, 'rise', '67.01');
    await type(page, 'along', '98.62');
    await textOf(page.locator('.says'), /Fired: rim 1\d\d\.\d/);
    await type(page, 'slide', '100');
    await textOf(page.locator('[data-both="outside-rim"] .fired'), /^100\.0$/);
    await textOf(page.locator('.tracings'), /Slide it back along its own arcs by \d+\.\d mm/);
    await type(page, 'slide', '150');
    await textOf(page.locator('.tracings'), /Slide it on along its own arcs by \d+\.\d mm on the long one/);
    await page.getByLabel('Its name').fill('Slid cup');
    await page.getByRole('button', { name: 'Put it on the shelf' }).click();
    await page.waitForURL(/\/piece\/.*\/shape/);
    await textOf(page.locator('h1, .heading'), /Slid cup/);
    await textOf(figure(page, 'arcRim'), /^30\d\.\d$/);
    // The way to trace it stays with the piece.
    await page.keyboard.press('4');
    await textOf(page.locator('.steps'), /Lay the template down.*Slide it on along its own arcs/s);
    await page.keyboard.press('1');
    await type(page, 'height', '140');
    await textOf(page.locator('.checks'), /Your template no longer fits/);
    expect(visit.now.troubles).toEqual([]);
  });

  it('keeps to the sheet in hand: a thicker slab changes the piece, until the sheet is let go', async () => {
    const { page } = visit.now;
    await page.getByRole('link', { name: 'From what you own' }).click();
    await choose('owned', /a sheet of paper/);
    await page.getByRole('button', { name: 'A4' }).click();
    await page.getByRole('button', { name: 'Put it on the shelf' }).click();
    await page.waitForURL(/\/piece\/.*\/shape/);
    await textOf(page.getByTestId('in-hand'), /Keeps to your sheet, 297\.0 × 105\.0 mm/);
    await textOf(figure(page, 'cutLength'), /^297\.0$/);
    const across = async () => Number.parseFloat(await page.locator('input[name="diameter"]').inputValue());
    const before = await across();
    await type(page, 'wall', '9');
    await read(across, (mm) => mm > before + 2);
    await textOf(figure(page, 'cutLength'), /^297\.0$/);
    await page.locator('input[name="diameter"]').fill('120');
    await textOf(page.locator('.v-messages').first(), /set by the sheet in your hand/);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Let it go' }).click();
    await type(page, 'diameter', '120');
    await textOf(figure(page, 'cutLength'), /^400\.1$/);
    await kept(page);
    expect(visit.now.troubles).toEqual([]);
  });

  it('turns a folded sheet, a cutter and a former into pieces, and says what makes none', async () => {
    const { page } = visit.now;
    await page.getByRole('link', { name: 'From what you own' }).click();
    await choose('owned', /a sheet of paper/);
    await page.getByRole('button', { name: 'A4' }).click();
    // Half an A4 sheet, 297 round: neutral 94.5 across, outside 100.5 wet, 88.5 fired.
    await textOf(page.locator('[data-both="outside-rim"] .fired'), /^88\.5$/);
    await textOf(page.locator('[data-both="outside-rim"] td:not(.fired)'), /^100\.5$/);
    await textOf(page.locator('[data-both="height"] .fired'), /^97\.7$/);
    await type(page, 'around', '14');
    await textOf(page.getByRole('alert'), /makes no piece/);
    await choose('owned', /a round cutter/);
    await type(page, 'cutter', '75');
    await textOf(page.locator('[data-both="outside-rim"] .fired'), /^66\.0$/);
    await choose('owned', /a former/);
    await type(page, 'former', '60');
    await textOf(page.locator('[data-owned="capacity"]'), /ml$/);
    // "My circle is 280 mm, my bowl 190 across: how high does it come?"
    await choose('owned', /a round, and a bowl/);
    await type(page, 'round', '240');
    await textOf(page.locator('.says'), /Fired: [5-7]\d\.\d mm high/);
    await textOf(page.locator('.tracings'), /press the clay thinner/);
    await type(page, 'round', '150');
    await textOf(page.getByRole('alert'), /too small/);
  });
});

describe('a design', () => {
  async function begin() {
    const { page } = visit.now;
    await newPiece(page);
    await textOf(figure(page, 'cutLength'), /^281\.0$/);
    await leaveFirstField(page);
    return page;
  }

  it('is made at another size for the same slab, not zoomed', async () => {
    const page = await begin();
    await page.keyboard.press('4');
    await page.getByText('At another size?').click();
    await type(page, 'scale', '50');
    await page.getByRole('button', { name: 'Make the 50 % piece' }).click();
    await page.waitForURL(/\/flat/);
    await textOf(figure(page, 'cutLength'), /^131\.1$/);
    await textOf(page.locator('h1, .heading'), /at 50 %/);
  });

  it('is fitted to a rack hole and a cutter, and cut in pieces for a small slab', async () => {
    const page = await begin();
    await unfold(page, 'Must fit');
    await type(page, 'hole', '82');
    await textOf(page.locator('.checks'), /Too wide for the rack hole/);
    await page.getByRole('button', { name: 'Keep its height' }).click();
    await textOf(page.locator('.checks'), /Drops into the rack hole/);
    await fieldSays(page, 'diameter', /^81\.0/);
    await unfold(page, 'Your hand and slab');
    await type(page, 'slabLength', '200');
    await page.getByRole('button', { name: 'Cut it that way' }).click();
    await page.keyboard.press('2');
    await textOf(page.locator('[data-part="wall"]'), /Wall, cut 2/);
    await unfold(page, 'Cutter for the base');
    await textOf(page.locator('[data-cutter="90"]'), /Change the piece: \d+\.\d × \d+\.\d mm, holds \d+ ml/);
    await page.locator('[data-cutter="90"]').getByRole('button', { name: 'Change the piece for it' }).click();
    await textOf(page.locator('.cutter'), /Your 90\.0 mm cutter cuts the base/);
    await kept(page);
  });

  it('has its marks drawn, and printed in the file that is cut', async () => {
    const page = await begin();
    /** How many lines of a kind are drawn on the wall. */
    const marked = async (name: string) =>
      ((await page.locator(`[data-part="wall"] .mark.${name}`).getAttribute('d')) ?? '').split('M').length - 1;
    const marks = (name: string, wanted: number) =>
      read(
        () => marked(name),
        (lines) => lines === wanted,
        { wanted: `${wanted} ${name}` },
      );
    await page.keyboard.press('2');
    await unfold(page, 'Marks on the wall');
    await type(page, 'panels-count', '6');
    await marks('panel', 5);
    await textOf(page.locator('p.panelled'), /^6 panels, each 46\.8 mm wide$/);
    await page.getByRole('button', { name: 'A pair of handles' }).click();
    await marks('place', 2);
    await type(page, 'repeat', '20');
    await textOf(page.locator('p.repeat'), /Rim: 14 fit, each stretched by 0\.1 mm/);
    await page.getByRole('button', { name: 'Take off handle 1' }).click();
    await marks('place', 1);
    await page.keyboard.press('Control+z');
    await marks('place', 2);
    await page.keyboard.press('4');
    const { bytes } = await download(page, () => page.getByRole('button', { name: /SVG/ }).click());
    const svg = bytes.toString('utf8');
    expect(svg.match(/>handle</g)).toHaveLength(2);
    await page.keyboard.press('2');
    await page.getByText('Three times the diameter?').click();
    await textOf(
      page.locator('.v-expansion-panel', { hasText: 'Three times' }),
      /3 × 95\.5 = 286\.4 mm, which is 5\.3 mm too long/,
    );
  });
});
