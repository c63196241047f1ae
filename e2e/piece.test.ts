import DxfParser from 'dxf-parser';
import { levels, rasterise } from './pdfMeasure.ts';
import {
  countOf,
  download,
  drawnBox,
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

/** Begins a new piece from the bare shelf. */
async function begin() {
  const { page } = visit.now;
  await textOf(page.locator('main'), /The shelf is empty/);
  await newPiece(page);
  await textOf(figure(page, 'cutLength'), /^281\.0$/);
  await leaveFirstField(page);
  return page;
}

describe('a piece', () => {
  it('is made from nothing, redraws as an inch fraction is typed, and is still so after leaving', async () => {
    const page = await begin();
    await page.getByRole('radio', { name: 'inch' }).click();
    await textOf(figure(page, 'cutLength'), /^11 1\/16$/);
    const field = page.locator('input[name="diameter"]');
    await field.click();
    await field.fill('3 15/16"');
    // Not yet left: the pattern follows the typing.
    await textOf(figure(page, 'cutLength'), /^13 5\/16$/);
    await field.press('Enter');
    await page.getByRole('radio', { name: 'mm' }).click();
    await textOf(figure(page, 'cutLength'), /^338\.2$/);
    const wall = '[data-part="wall"] .cut';
    const before = await drawnBox(page, wall);
    await kept(page);
    await page.getByRole('link', { name: 'Shelf' }).click();
    await textOf(page.locator('[data-design="New tumbler"]'), /100\.0 × 110\.0 mm/);
    await page.locator('[data-design="New tumbler"] .drawing').click();
    await textOf(figure(page, 'cutLength'), /^338\.2$/);
    await read(
      () => drawnBox(page, wall),
      (box) => JSON.stringify(box) === JSON.stringify(before),
      { wanted: JSON.stringify(before) },
    );
    expect(visit.now.troubles).toEqual([]);
  });

  it('is drawn to true proportion: the parts at one scale, the piece fired and wet at another', async () => {
    const page = await begin();
    const box = (selector: string) => drawnBox(page, selector);
    const wall = await box('[data-part="wall"] .cut');
    const base = await box('[data-part="base"] .cut');
    const wet = await box('.elevation .wet');
    const fired = await box('.elevation .fired');
    const scale = wall.width / 281.0297;
    expect(wall.height / scale).toBeCloseTo(119, 1);
    expect(base.width / scale).toBeCloseTo(95.4545, 1);
    expect(wet.width / fired.width).toBeCloseTo(1 / 0.88, 3);
    expect(fired.height / fired.width).toBeCloseTo(110 / 84, 3);
    // The piece leads.
    expect(fired.height).toBeGreaterThan(2 * wall.height);
    expect(fired.y + fired.height).toBeCloseTo(wet.y + wet.height, 3);
  });

  it('turns the other face up, is undone, redone, and every step is kept as a revision', async () => {
    const page = await begin();
    await page.keyboard.press('2');
    await page.locator('button[name="base"]').click();
    await page.getByRole('option', { name: /both mitred/ }).click();
    await textOf(page.locator('.lean-tag', { hasText: 'foot' }), /spread 45°/);
    await kept(page, /2/);
    await page.locator('button[name="faceUp"]').click();
    await page.getByRole('option', { name: /textured outside/ }).click();
    await textOf(page.locator('.lean-tag', { hasText: 'foot' }), /tuck 45°/);
    await textOf(page.locator('[data-part="wall"]'), /outside face up/);
    await kept(page, /3/);
    await page.keyboard.press('Control+z');
    await textOf(page.locator('.lean-tag', { hasText: 'foot' }), /spread 45°/);
    await page.keyboard.press('Control+z');
    await page.locator('.lean-tag', { hasText: 'foot' }).waitFor({ state: 'detached' });
    await page.keyboard.press('Control+Shift+z');
    await textOf(page.locator('.lean-tag', { hasText: 'foot' }), /spread 45°/);
    await kept(page);
  });

  it('has an older revision put back on top', async () => {
    const page = await begin();
    await type(page, 'height', '150');
    await kept(page, /2/);
    await type(page, 'height', '9 cm');
    await kept(page, /3/);
    await page.getByRole('button', { name: 'History' }).click();
    // Each says what it was when it is asked.
    const show = page.getByRole('button', { name: 'Show its sizes' });
    await show.first().waitFor();
    for (let left = await show.count(); left > 0; left -= 1) await show.nth(left - 1).click();
    await page
      .getByRole('listitem')
      .filter({ hasText: '84.0 × 150.0 mm' })
      .getByRole('button', { name: 'Put back' })
      .click();
    await kept(page, /4/);
    await textOf(figure(page, 'cutHeight'), /^164\.5$/);
    await page.getByRole('button', { name: 'Undo' }).click();
    await textOf(figure(page, 'cutHeight'), /^96\.3$/);
  });

  it('says what is wrong with a figure and goes on with the last good one', async () => {
    const page = await begin();
    const field = page.locator('input[name="wall"]');
    for (const [text, words] of [
      ['60', /must be from 1\.0 mm to 40\.0 mm/],
      ['wide', /write a length/],
      ['-3', /must be from 1\.0 mm to 40\.0 mm/],
    ] as const) {
      await field.click();
      await field.fill(text);
      await textOf(page.getByRole('alert'), words);
      await textOf(figure(page, 'cutLength'), /^281\.0$/);
      await field.press('Escape');
    }
    await countOf(page.getByRole('alert'), 0);
    await type(page, 'shrinkage', '10');
    await textOf(figure(page, 'cutLength'), /^274\.4$/);
  });

  it('keeps nothing of an entry that is refused, and no beginning of one', async () => {
    const page = await begin();
    await kept(page, /1/);
    // 4 % could be kept, 40 % not: Enter leaves the message, and leaving the field what was there before.
    const shrinkage = page.locator('input[name="shrinkage"]');
    await shrinkage.click();
    await shrinkage.pressSequentially('40', { delay: 700 });
    await textOf(page.getByRole('alert'), /must be from 0 to 25/);
    await shrinkage.press('Enter');
    await textOf(page.getByRole('alert'), /must be from 0 to 25/);
    await shrinkage.press('Tab');
    await fieldSays(page, 'shrinkage', /^12 %$/);
    await textOf(figure(page, 'cutLength'), /^281\.0$/);
    // A hole that cannot be read does not take the one away that was there.
    await unfold(page, 'Must fit');
    await type(page, 'hole', '92');
    const hole = page.locator('input[name="hole"]');
    await hole.click();
    await hole.fill('');
    await hole.fill('abc');
    await hole.press('Tab');
    await fieldSays(page, 'hole', /^92\.0/);
    // On the drawing alike, in words.
    await page.getByRole('button', { name: /Height, 110\.0 mm, change/ }).click();
    const onDrawing = page.locator('.figure-tag input');
    await onDrawing.fill('9999999');
    await textOf(page.getByRole('alert'), /must be/);
    await onDrawing.press('Escape');
    await fieldSays(page, 'height', /^110\.0/);
    await kept(page);
    const design = new URL(page.url()).pathname.split('/')[2];
    const revisions = (await (
      await fetch(`${visit.now.table.url}api/designs/${design}/revisions`)
    ).json()) as unknown[];
    // The first, and the hole.
    expect(revisions.length).toBeLessThanOrEqual(3);
  });

  it('is sized by dragging, by arrow keys and by typing on the drawing; a drag is one step of undo', async () => {
    const page = await begin();
    const handle = page.getByRole('slider', { name: 'Drag: Height' });
    const box = await handle.boundingBox();
    const [x, y] = [(box?.x ?? 0) + 22, (box?.y ?? 0) + 22];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x, y - 40, { steps: 4 });
    await page.mouse.move(x, y - 61, { steps: 4 });
    await page.mouse.up();
    const dragged = Number(await textOf(figure(page, 'cutHeight'), /^1[4-9]\d\.\d$/));
    await page.getByRole('button', { name: 'Undo' }).click();
    await textOf(figure(page, 'cutHeight'), /^119\.0$/);
    await page.getByRole('button', { name: 'Redo' }).click();
    await textOf(figure(page, 'cutHeight'), new RegExp(`^${dragged.toFixed(1)}$`));
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('slider', { name: 'Drag: Across' }).focus();
    await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('ArrowLeft');
    await textOf(page.locator('.figure-tag .typed').first(), /^Ø 93\.0$/);
    await page.locator('.figure-tag .typed').first().click();
    await page.locator('.figure-tag input').fill('84/2');
    await page.keyboard.press('Enter');
    await textOf(figure(page, 'cutLength'), /^131\.1$/);
  });

  it('says how each figure came about, in the unit that is shown', async () => {
    const page = await begin();
    await page.locator('[data-figure="cutLength"]').click();
    await textOf(page.locator('.v-dialog'), /84\.0 ÷ \(1 − 0\.12\) =\s?95\.5 mm.*π × 89\.5 =\s?281\.0 mm/);
    await page.keyboard.press('Escape');
    // The keyboard is again where it was.
    await page.locator('[data-figure="cutLength"]:focus').waitFor();
    await page.getByRole('radio', { name: 'cm' }).click();
    await page.locator('[data-figure="cutHeight"]').click();
    await textOf(page.locator('.v-dialog').last(), /12\.50 − 0\.60 =\s?11\.90 cm/);
  });

  it('is made to hold what is wanted, and turned into another form', async () => {
    const page = await begin();
    await page.locator('input[name="holds"]').fill('300 ml');
    await page.getByRole('button', { name: 'Keep its height' }).click();
    await textOf(figure(page, 'capacityBrim'), /^(299|300|301) ml$/);
    await fieldSays(page, 'holds', /^(299|300|301) ml$/);
    await textOf(page.locator('.figure-tag .typed').nth(1), /^110\.0$/);
    // Inches go with pounds and fluid ounces, those of the United States or imperial ones.
    await page.getByRole('radio', { name: 'inch' }).click();
    await textOf(figure(page, 'capacityBrim'), /^10 fl oz$/);
    await textOf(figure(page, 'weighOut'), /^1 lb( \d+(\.5)? oz)?$/);
    await page.getByRole('button', { name: /Fluid ounces: United States/ }).click();
    await textOf(figure(page, 'capacityBrim'), /^10\.5 fl oz$/);
    await page.locator('[data-figure="capacityBrim"]').click();
    await page.getByLabel('It should hold').fill('a cup');
    await page.getByRole('button', { name: 'Keep its height' }).click();
    await textOf(page.locator('.hold'), /Write a volume such as 12\.5 fl oz/);
    await page.keyboard.press('Escape');
    await page.getByRole('radio', { name: 'mm' }).click();
    await page.locator('button[name="form"]').click();
    await page.getByRole('option', { name: /^tapered/ }).click();
    await type(page, 'rim', '120');
    await type(page, 'foot', '80');
    await type(page, 'height', '90');
    await page.keyboard.press('2');
    await page.locator('button[name="rim-cut"]').click();
    await page.getByRole('option', { name: /^level/ }).click();
    await textOf(figure(page, 'sweep'), /^78\.1°$/);
    await textOf(page.locator('.lean-tag', { hasText: 'rim' }), /spread 12\.5°/);
    await kept(page);
    expect(visit.now.troubles).toEqual([]);
  });

  it('has the points of its profile dragged', async () => {
    const page = await begin();
    await page.locator('button[name="form"]').click();
    await page.getByRole('option', { name: /^stacked tapers/ }).click();
    const handle = page.getByRole('slider', { name: 'Drag: Across 2' });
    const before = Number(await handle.getAttribute('aria-valuenow'));
    const box = await handle.boundingBox();
    await page.mouse.move((box?.x ?? 0) + 22, (box?.y ?? 0) + 22);
    await page.mouse.down();
    await page.mouse.move((box?.x ?? 0) + 52, (box?.y ?? 0) + 22, { steps: 5 });
    await page.mouse.up();
    await read(
      () => handle.getAttribute('aria-valuenow'),
      (now) => Number(now) > before + 10,
    );
    await countOf(page.locator('[data-part^="wall-"]'), 2);
    await page.getByRole('button', { name: 'Add a band' }).click();
    await page.locator('[data-part="wall-3"]').waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.locator('[data-part="wall-3"]').waitFor({ state: 'detached' });
  });

  it('gives templates that measure what the screen says', async () => {
    const page = await begin();
    await page.keyboard.press('4');
    await page.getByRole('img', { name: 'Page 1 of 2, wall and base' }).waitFor();
    const svg = await download(page, () => page.getByRole('button', { name: /^SVG/ }).click());
    expect(svg.name).toBe('new-tumbler.svg');
    const xs = [...(/class="cut" d="([^"]+)"/.exec(svg.bytes.toString())?.[1] ?? '').matchAll(/[ML]([\d.]+) /g)];
    const across = xs.map(([, x]) => Number(x));
    expect(Math.max(...across) - Math.min(...across)).toBeCloseTo(281.0297, 3);
    const dxf = await download(page, () => page.getByRole('button', { name: /^DXF/ }).click());
    const entities = new DxfParser().parseSync(dxf.bytes.toString())?.entities as unknown as {
      layer: string;
      vertices: { x: number; y: number }[];
    }[];
    const cut = entities.find(({ layer }) => layer === 'CUT')?.vertices ?? [];
    expect(Math.max(...cut.map(({ x }) => x)) - Math.min(...cut.map(({ x }) => x))).toBeCloseTo(281.0297, 3);
    expect(Math.max(...cut.map(({ y }) => y)) - Math.min(...cut.map(({ y }) => y))).toBeCloseTo(119, 3);
    const pdf = await download(page, () => page.getByRole('button', { name: /^PDF/ }).click());
    const pages = rasterise(pdf.path);
    expect(pages).toHaveLength(2);
    for (const one of pages) expect(Math.abs((levels(one, 269, 95)[0] ?? 0) - 100)).toBeLessThan(0.2);
    const design = await download(page, () => page.getByRole('button', { name: /piece itself/ }).click());
    expect(JSON.parse(design.bytes.toString())).toMatchObject({ format: 'fawn-table/target', name: 'New tumbler' });
    expect(visit.now.troubles).toEqual([]);
  });
});
