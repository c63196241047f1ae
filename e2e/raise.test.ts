import { createCanvas, loadImage } from '@napi-rs/canvas';
import type { Page } from 'playwright-core';
import { countOf, eachVisit, kept, read, textOf, type, unfold } from './visit.ts';

const visit = eachVisit({ demo: true, webgl: 'webgl' });

/** Opens a design of the demo shelf at a stage. */
async function open(design: string, stage: '1' | '2'): Promise<Page> {
  const { page } = visit.now;
  await page.locator(`[data-design="${design}"] .drawing`).click();
  await page.waitForURL(/\/piece\//);
  await page.locator('[data-figure]').first().waitFor();
  await page.keyboard.press(stage);
  return page;
}

const slider = (page: Page) => page.getByRole('slider', { name: 'Raise the flat parts to the standing piece' });
const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click();

const TWO_FRAMES = 'new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))';

/** Size in mm of the clay that is seen on the canvas, once the view stands still. */
async function claySeen(page: Page): Promise<{ width: number; height: number }> {
  let before = '';
  const stands = (seen: object) => {
    const same = JSON.stringify(seen) === before;
    before = JSON.stringify(seen);
    return same;
  };
  return read(() => clayInView(page), stands, { wanted: 'the same in two looks' });
}

/** Size in mm of the clay in the frame after next: pixels warmer than the cloth, by the scale that the screen states. */
async function clayInView(page: Page): Promise<{ width: number; height: number }> {
  const canvas = page.locator('canvas[data-scale]:not([data-scale="0"])');
  await canvas.waitFor();
  await page.evaluate(TWO_FRAMES);
  const scale = Number(await canvas.getAttribute('data-scale'));
  const image = await loadImage(await canvas.screenshot());
  const drawn = createCanvas(image.width, image.height).getContext('2d');
  drawn.drawImage(image, 0, 0);
  const { data } = drawn.getImageData(0, 0, image.width, image.height);
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let y = 0; y < image.height; y += 1) {
    for (let x = 0; x < image.width; x += 1) {
      const at = 4 * (y * image.width + x);
      if ((data[at] ?? 0) - (data[at + 2] ?? 0) < 48) continue;
      [left, right] = [Math.min(left, x), Math.max(right, x + 1)];
      [top, bottom] = [Math.min(top, y), Math.max(bottom, y + 1)];
    }
  }
  return { width: (right - left) / scale, height: (bottom - top) / scale };
}

/** Of the demo vase. */
const SHRINKAGE = 0.1;

const field = async (page: Page, name: string) =>
  Number.parseFloat(await page.locator(`input[name="${name}"]`).inputValue());

describe('raising', () => {
  it('drags the profile, raises the wall, and the screen measures what was asked, wet and fired', async () => {
    const page = await open('Window vase', '1');
    const handle = page.getByRole('slider', { name: 'Drag: Across 2' });
    const box = await handle.boundingBox();
    const [x, y] = [(box?.x ?? 0) + 22, (box?.y ?? 0) + 22];
    const before = await field(page, 'profile.1.1');
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 24, y, { steps: 4 });
    await page.mouse.up();
    await kept(page, /2/);
    const widest = await field(page, 'profile.1.1');
    expect(widest).toBeGreaterThan(before + 4);
    const height = await field(page, 'profile.2.0');
    await page.keyboard.press('2');
    await slider(page).press('End');
    await press(page, 'Side');
    const shrinks = 1 - SHRINKAGE;
    const wet = await claySeen(page);
    expect(Math.abs(wet.width - widest / shrinks)).toBeLessThan(1.2);
    expect(Math.abs(wet.height - height / shrinks)).toBeLessThan(1.6);
    await press(page, 'Fired');
    const fired = await claySeen(page);
    expect(Math.abs(fired.width - widest)).toBeLessThan(1.2);
    expect(Math.abs(fired.height - height)).toBeLessThan(1.6);
    expect(visit.now.troubles.filter((text) => !/GL Driver/.test(text))).toEqual([]);
  });

  it('lies as wide as the wrap when flat, stands as wide as the piece, and is cut open level', async () => {
    const page = await open('Rack tumbler', '2');
    await slider(page).press('ArrowRight');
    await page.locator('canvas[data-scale]:not([data-scale="0"])').waitFor();
    await press(page, 'Above');
    // The seam lies along x, the wall across it: seen from above, the wrap runs up the screen.
    const flat = await claySeen(page);
    expect(Math.max(flat.width, flat.height)).toBeGreaterThan(278);
    expect(Math.max(flat.width, flat.height)).toBeLessThan(290);
    await press(page, 'Standing');
    const standing = await claySeen(page);
    expect(Math.abs(standing.width - 95.45)).toBeLessThan(1.2);
    await press(page, 'Side');
    expect(Math.abs((await claySeen(page)).height - 125)).toBeLessThan(1.6);
    await press(page, 'Cut level');
    expect(Math.abs((await claySeen(page)).height - 62.5)).toBeLessThan(1.6);
    await press(page, 'Flat');
    await page.locator('[data-part="wall"] .cut').waitFor();
    await countOf(page.locator('canvas'), 0);
  });

  it('is turned by keys and raised by R, and shows the plain side view without WebGL', async () => {
    const page = await open('Soup cup', '2');
    await page.keyboard.press('r');
    const canvas = page.locator('canvas[data-scale]:not([data-scale="0"])');
    await canvas.waitFor();
    await press(page, 'Side');
    const side = await claySeen(page);
    await canvas.focus();
    for (let times = 0; times < 4; times += 1) await page.keyboard.press('ArrowUp');
    const over = await claySeen(page);
    expect(over.height).toBeGreaterThan(side.height * 1.2);
    expect(Math.abs(over.width - side.width)).toBeLessThan(1.5);
    await page.addInitScript('HTMLCanvasElement.prototype.getContext = () => null');
    await page.reload();
    await page.locator('[data-figure]').first().waitFor();
    await slider(page).press('End');
    await textOf(page.locator('.plain-standing'), /cannot draw in three dimensions/);
    await page.locator('.plain-standing .elevation .fired').waitFor();
  });
});

describe('what the piece must fit', () => {
  it('is typed, checked at fired size, and shown round the standing piece', async () => {
    const page = await open('Rack tumbler', '1');
    await unfold(page, 'Must fit');
    await type(page, 'hole', '84.5');
    await textOf(page.locator('.ghosts'), /hole 84\.5 mm/);
    await textOf(page.locator('.checks'), /rack hole/i);
    await kept(page);
    await page.keyboard.press('2');
    await slider(page).press('End');
    await press(page, 'Rack hole');
    await page.getByRole('button', { name: 'Rack hole', pressed: true }).waitFor();
  });
});
