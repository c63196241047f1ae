import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import DxfParser from 'dxf-parser';
import { countOf, download, eachVisit, fieldSays, figure, kept, read, textOf, type } from './visit.ts';

const visit = eachVisit({ demo: true });
const folder = mkdtempSync(join(tmpdir(), 'fawn-sheet-'));
afterAll(() => rmSync(folder, { recursive: true }));

function file(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

async function onLeaf() {
  const { page } = visit.now;
  await page.locator('[data-design="Butter sheet"] .drawing').click();
  await page.waitForURL(/piece/);
  return page;
}

describe('an outline of rim and foot', () => {
  it('is read from a drawing, scaled by its longest side, and refused where it bends inward', async () => {
    const { page } = visit.now;
    await page.locator('[data-design="Bread bowl, square to round"] .drawing').click();
    await page.waitForURL(/piece/);
    const svg = (shapes: string) =>
      `<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="200mm" viewBox="0 0 200 200">${shapes}</svg>`;
    const half = '<path d="M20 60H180A80 80 0 0 1 20 60Z"/><circle cx="100" cy="90" r="25"/>';
    await page.locator('input[name="plan-file"]').setInputFiles(file('half.svg', svg(half)));
    await fieldSays(page, 'rim.points', /^160\.0/);
    await fieldSays(page, 'foot.points', /^50\.0/);
    await fieldSays(page, 'rim.corner', /^8\.0/);
    await textOf(page.locator('.right'), /Wall, along ?\d+\.\d/);
    await type(page, 'rim.points', '200');
    await fieldSays(page, 'rim.corner', /^10\.0/);
    await textOf(page.locator('[name="rim-plan"]'), /as drawn/);
    await page
      .locator('input[name="plan-file"]')
      .setInputFiles(file('dent.svg', svg('<path d="M20 20H180V180L100 120L20 180Z"/>')));
    await textOf(
      page.locator('.left [role="alert"]'),
      /dent\.svg bends inward by \d+\.\d mm, 0 mm .* below its middle/,
    );
    await kept(page);
    expect(visit.now.troubles).toEqual([]);
  });
});

describe('bent sheets', () => {
  it('reads the outline of a sheet with its hole, bends it, and cuts it smaller by what it grew', async () => {
    const page = await onLeaf();
    const drawn =
      '<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="100mm" viewBox="0 0 100 50"><path d="M10 5H60V45H10Z M20 15H30V35H20Z"/></svg>';
    await page.locator('input[name="sheet-file"]').setInputFiles(file('sheet.svg', drawn));
    // 50 by 40 units of 2 mm.
    await textOf(figure(page, 'cutLength'), /^100\.0$/);
    await textOf(figure(page, 'cutHeight'), /^80\.0$/);
    await page.locator('[data-part="sheet"] .hole').waitFor();
    await type(page, 'sheet-grew', '105');
    await textOf(figure(page, 'cutLength'), /^95\.2$/);
    await page.locator('input[name="sheet-file"]').setInputFiles(file('open.svg', drawn.replace(/Z/g, '')));
    await textOf(page.locator('.left [role="alert"]'), /no closed line/);
    await kept(page);
  });

  it('stands on feet that can be moved, and says their lengths wet and fired', async () => {
    const page = await onLeaf();
    const fired = (key: string) => page.locator(`[data-both="${key}"] .fired`);
    await textOf(fired('foot-0'), /^\d+\.\d$/);
    await textOf(fired('height'), /^21\.6$/);
    await page.getByRole('button', { name: 'Draw its outline' }).click();
    const foot = page.locator('[data-foot="1"]');
    await foot.press('Shift+ArrowUp');
    await textOf(page.getByRole('alert'), /A foot would hang over the edge of the sheet or a hole/);
    const before = number(await fired('foot-1').innerText());
    for (let step = 0; step < 4; step += 1) await foot.press('ArrowRight');
    await read(
      async () => number(await fired('foot-1').innerText()),
      (mm) => mm < before - 0.2,
      { wanted: 'a shorter foot' },
    );
    await page.getByRole('button', { name: 'Place the feet for me' }).click();
    await read(
      async () => number(await fired('foot-1').innerText()),
      (mm) => mm === before,
      { wanted: 'the foot as it was' },
    );
    await kept(page);
  });

  it('are drawn by points and curves, with holes and lines, and undone', async () => {
    const page = await onLeaf();
    await page.getByRole('button', { name: 'Draw its outline' }).click();
    const grips = (kind: string) => page.locator(`.grip.${kind}`);
    await countOf(grips('point'), 2);
    await page.getByRole('button', { name: 'Add a point' }).click();
    await countOf(grips('point'), 3);
    await kept(page);
    // The middle of an edge is drawn out: the sheet grows by as much.
    const wide = async () => number(await figure(page, 'cutLength').innerText());
    const before = await wide();
    const edge = grips('edge').last();
    const box = await edge.boundingBox();
    const [x, y] = [(box?.x ?? 0) + 22, (box?.y ?? 0) + 22];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x - 20, y, { steps: 4 });
    await page.mouse.up();
    await read(wide, (mm) => mm > before + 4);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await read(wide, (mm) => Math.abs(mm - before) < 0.06);
    // A point is placed by its figures, by keys, and refused where the line would run through itself.
    await grips('point').nth(1).focus();
    await type(page, 'point-x', '30');
    await fieldSays(page, 'point-x', /^30\.0/);
    await grips('point').nth(1).focus();
    await page.keyboard.press('Shift+ArrowRight');
    await fieldSays(page, 'point-x', /^40\.0/);
    await type(page, 'point-x', '-300');
    await textOf(page.locator('.sheet-desk [role="alert"]:visible'), /crosses itself|cannot be cut|close round/);
    await page.getByRole('button', { name: 'Add a hole' }).click();
    await page.getByRole('button', { name: 'Hole 3', pressed: true }).waitFor();
    await page.getByRole('button', { name: 'Take hole 3 off' }).click();
    await page.getByRole('button', { name: 'Outline', exact: true, pressed: true }).waitFor();
    await page.getByRole('button', { name: 'The piece', exact: true }).click();
    await page.locator('[data-part="sheet"] .cut').waitFor();
    await kept(page);
    expect(visit.now.troubles).toEqual([]);
  });

  it.each([
    ['nan.svg', '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0 L NaN 5 L9 9Z"/></svg>', /not sound/],
    [
      'cross.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" width="90mm" height="90mm" viewBox="0 0 90 90"><path d="M0 0L80 80L80 0L0 70Z"/></svg>',
      /crosses itself/,
    ],
    [
      'bomb.svg',
      '<!DOCTYPE svg [<!ENTITY a "aa"><!ENTITY b "&a;&a;">]><svg xmlns="http://www.w3.org/2000/svg"><path d="&b;"/></svg>',
      /entities/,
    ],
    [
      'far.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" width="90mm" height="90mm" viewBox="0 0 90 90"><path d="M0 0L90 0L10454545 90Z"/></svg>',
      /more than 5 m across/,
    ],
    ['half.svg', '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0', /not sound SVG/],
    [
      'script.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" onload="document.title=\'run\'"><script>document.title="run"</script><text>a</text></svg>',
      /no lines/,
    ],
    ['nan.dxf', '0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n10\nNaN\n20\n0\n40\n5\n0\nENDSEC\n', /without a sound figure/],
    ['huge.dxf', '0\n'.repeat(4_100_000), /too large/],
  ])('%s is refused in plain words and runs nothing', async (name, text, words) => {
    const page = await onLeaf();
    await page.locator('input[name="sheet-file"]').setInputFiles(file(name, text));
    await textOf(page.locator('.left [role="alert"]'), words);
    expect(await page.title()).toBe('Butter sheet · Fawn Table');
    await fieldSays(page, 'sheet-length', /^174\.0/);
  });

  it('are read from DXF, laid on a mould, and cut as they were drawn', async () => {
    const page = await onLeaf();
    const line = (...figures: number[]) =>
      `0\nLINE\n8\nA\n${[10, 20, 11, 21].map((code, at) => `${code}\n${figures[at]}\n`).join('')}`;
    const arc = '0\nARC\n8\nA\n10\n55\n20\n70\n40\n55\n50\n0\n51\n180\n';
    const circle = '0\nCIRCLE\n8\nA\n10\n55\n20\n70\n40\n12\n';
    const entities = [
      line(0, 0, 110, 0),
      line(110, 0, 110, 70),
      arc,
      line(0, 70, 0, 0),
      line(40, 20, 70, 20),
      circle,
    ].join('');
    const dxf = `0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`;
    await page.locator('input[name="sheet-file"]').setInputFiles(file('plate.dxf', dxf));
    await textOf(figure(page, 'cutLength'), /^110\.0$/);
    await textOf(figure(page, 'cutHeight'), /^125\.0$/);
    await page.locator('[name="sheet-bend"]').click();
    await page.getByText('on a mould', { exact: true }).click();
    await textOf(page.locator('.right'), /It follows the mould/);
    await type(page, 'sheet-finished', '100');
    await read(
      async () => number(await figure(page, 'cutHeight').innerText()),
      (mm) => mm > 113 && mm < 116,
      { wanted: '114 mm: 100 mm fired, and a little for the bend' },
    );
    await kept(page);
    await page.keyboard.press('4');
    const { bytes } = await download(page, () => page.getByRole('button', { name: /DXF/ }).click());
    const drawn = new DxfParser().parseSync(bytes.toString('latin1'));
    const cut = drawn?.entities.filter(({ layer }) => layer === 'CUT') ?? [];
    expect(cut).toHaveLength(2);
    await page.keyboard.press('1');
    await page.locator('input[name="sheet-file"]').setInputFiles(file('half.dxf', dxf.slice(0, 90)));
    await textOf(page.locator('.left [role="alert"]'), /half\.dxf (is not whole|ends in the middle|has LINE)/);
  });
});

function number(text: string): number {
  return Number.parseFloat(text.replace('−', '-'));
}
