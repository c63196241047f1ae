import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import DxfParser from 'dxf-parser';
import type { Page } from 'playwright-core';
import { bounds } from '../src/core/geometry/outline/outline.ts';
import { countOf, download, eachVisit, fieldSays, figure, kept, read, textOf, type } from './visit.ts';

const visit = eachVisit({ demo: true });
const folder = mkdtempSync(join(tmpdir(), 'fawn-mould-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** A shallow round bowl, 200 across and 24 deep, as an OBJ file. */
function bowl(): string {
  const rings = 12;
  const rows = ['v 0 0 0'];
  const node = (ring: number, at: number) => (ring === 0 ? 1 : 2 + 3 * ring * (ring - 1) + (at % (6 * ring)));
  for (let ring = 1; ring <= rings; ring += 1) {
    for (let at = 0; at < 6 * ring; at += 1) {
      const [share, turn] = [ring / rings, (2 * Math.PI * at) / (6 * ring)];
      rows.push(`v ${100 * share * Math.cos(turn)} ${100 * share * Math.sin(turn)} ${40 * share * share}`);
    }
  }
  for (let ring = 1; ring <= rings; ring += 1) {
    for (let sector = 0; sector < 6; sector += 1) {
      for (let at = 0; at < ring; at += 1) {
        const [outer, inner] = [sector * ring + at, sector * (ring - 1) + at];
        rows.push(`f ${node(ring, outer)} ${node(ring, outer + 1)} ${node(ring - 1, inner)}`);
        if (at < ring - 1)
          rows.push(`f ${node(ring - 1, inner)} ${node(ring, outer + 1)} ${node(ring - 1, inner + 1)}`);
      }
    }
  }
  return rows.join('\n');
}

function file(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

async function onTray() {
  const { page } = visit.now;
  await page.locator('[data-design="Service tray"] .drawing').click();
  await page.waitForURL(/piece/);
  await page.locator('input[name="depth"]').waitFor();
  return page;
}

/** Reads a mesh and takes it as it is proposed. */
async function takeMesh(page: Page, path: string): Promise<void> {
  await page.locator('input[name="mould-file"]').setInputFiles(path);
  await page.getByRole('button', { name: 'Take this mould' }).click();
}

const number = (text: string) => Number(/[\d.]+/.exec(text)?.[0]);

describe('moulds', () => {
  it.each([
    ['is looked at', '2', async (page: Page) => page.keyboard.press('1')],
    [
      'is left for another place',
      's',
      async (page: Page) => page.locator('[data-design="Service tray"] .drawing').click(),
    ],
  ])('goes on reading a mesh while Shape %s', async (_, leave, back) => {
    const page = await onTray();
    await takeMesh(page, file('bowl.obj', bowl()));
    await page.getByRole('button', { name: 'Take this mould' }).waitFor({ state: 'detached' });
    await page.keyboard.press(leave);
    await page.locator('input[name="mould-file"]').waitFor({ state: 'detached' });
    await textOf(page.getByTestId('keeping').or(page.locator('[data-design="Service tray"] .sizes')), /./);
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await back(page);
    await textOf(page.locator('.left'), /Read from a file: 469 vertices/);
    expect(visit.now.troubles).toEqual([]);
  });

  it('says on the next stage why a mesh was not taken', async () => {
    const page = await onTray();
    await page.locator('input[name="mould-file"]').setInputFiles(file('bad.obj', 'v 0 0 0\nv 1 0 0\nf 1 2 9'));
    await page.keyboard.press('2');
    await textOf(page.getByRole('alert'), /bad\.obj/);
  });

  it('says that a file is gone, and waits for it no longer', async () => {
    const page = await onTray();
    await page.evaluate("File.prototype.arrayBuffer = () => Promise.reject(new Error('gone'))");
    await page.locator('input[name="mould-file"]').setInputFiles(file('gone.obj', bowl()));
    await textOf(page.locator('.left'), /gone\.obj could not be read/);
    expect(await page.getByText('Reading the file').count()).toBe(0);
    expect(visit.now.troubles).toEqual([]);
  });

  it('reads a mesh, lays its blank, cuts a dart into it, and the file that is saved has the wedge', async () => {
    const page = await onTray();
    await takeMesh(page, file('bowl.obj', bowl()));
    await textOf(page.locator('.left'), /Read from a file: 469 vertices/);
    await page.keyboard.press('2');
    const map = page.getByRole('img', { name: /The flat blank: gather/ });
    await map.waitFor();
    const across = async () => number(await figure(page, 'cutLength').innerText());
    // Between the rim's width with its margin and the length along the bowl.
    await read(across, (mm) => mm > 240 && mm < 280, { wanted: '240 to 280 mm' });
    await page.getByRole('button', { name: 'Add a dart' }).click();
    const tip = page.getByRole('slider', { name: /Tip of dart A/ });
    await tip.waitFor();
    await type(page, 'dart-0-depth', '60');
    await tip.waitFor();
    await page.keyboard.press('4');
    const dxf = await download(page, () => page.getByRole('button', { name: /^DXF/ }).click());
    const entities = new DxfParser().parseSync(dxf.bytes.toString())?.entities as unknown as {
      layer: string;
      vertices: { x: number; y: number; bulge?: number }[];
    }[];
    const cut = entities.find(({ layer }) => layer === 'CUT')?.vertices ?? [];
    // Its edge is arcs, which reach beyond their ends.
    const { minX, minY, maxX, maxY } = bounds(cut.map(({ x, y, bulge = 0 }) => [x, y, bulge] as const));
    const wide = maxX - minX;
    expect(wide).toBeGreaterThan(230);
    // The tip lies its depth and the margin inside the rim, at the side on which the dart is cut.
    const middle = (maxY + minY) / 2;
    const inner = cut.filter(({ x, y }) => Math.abs(y - middle) < 4 && x > minX + wide / 2);
    const tipX = Math.min(...inner.map(({ x }) => x));
    expect(Math.abs(maxX - tipX - 80)).toBeLessThan(8);
    expect(visit.now.troubles).toEqual([]);
  });

  it('keeps a mould that was read while the server was away, over a reload of the page', async () => {
    const page = await onTray();
    await page.route('**/api/designs/*', (route) =>
      route.request().method() === 'PUT' ? route.abort() : route.continue(),
    );
    await takeMesh(page, file('bowl.obj', bowl()));
    await textOf(page.locator('.left'), /Read from a file: 469 vertices/);
    await textOf(page.getByTestId('keeping'), /held in this browser/);
    await page.unroute('**/api/designs/*');
    await page.reload();
    await textOf(page.locator('.left'), /Read from a file: 469 vertices/);
    await kept(page);
    // It is the server's now, lists and all.
    await page.evaluate('localStorage.clear()');
    await page.reload();
    await textOf(page.locator('.left'), /Read from a file: 469 vertices/);
    await type(page, 'wall', '6');
    await kept(page);
    await page.reload();
    await textOf(page.locator('.left'), /Read from a file: 469 vertices/);
  });

  it('proposes darts until the gather is within the limit, and draws the map on the formed piece', async () => {
    const page = await onTray();
    await page.keyboard.press('2');
    await page.getByRole('button', { name: 'None', exact: true }).click();
    await textOf(page.locator('.right'), /Needs darts/);
    await page.getByRole('button', { name: 'Propose darts' }).click();
    await textOf(page.locator('.right'), /Works with a rib/);
    await countOf(page.getByRole('slider', { name: /Tip of dart/ }), 4);
    await page.getByRole('button', { name: 'Formed' }).click();
    await page.getByRole('img', { name: /The formed piece: gather/ }).waitFor();
    await page.getByRole('button', { name: 'Thickness left' }).click();
    await page.getByRole('img', { name: /The formed piece: thickness/ }).waitFor();
    await kept(page);
  });

  it.each([
    ['torn.obj', 'v 0 0 0\nv 90 0 0\nv 0 90 0\nf 1 2 9', /not there/],
    [
      'entities.svg',
      '<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0"/></svg>',
      /entities/,
    ],
    [
      'script.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" onload="document.title=\'run\'"><script>document.title="run"</script></svg>',
      /0 paths/,
    ],
    [
      'back.svg',
      '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 50 L80 40 L20 20 L90 0" onload="document.title=\'run\'"/></svg>',
      /turns back/,
    ],
  ])('refuses %s in plain words and stays as it was', async (name, text, words) => {
    const page = await onTray();
    await page.locator('input[name="mould-file"]').setInputFiles(file(name, text));
    await textOf(page.locator('.left [role="alert"]'), words);
    expect(await page.title()).toBe('Service tray · Fawn Table');
    await fieldSays(page, 'depth', /^32(\.0)?( mm)?$/);
  });

  it('asks for the unit of a mesh, and shows what is taken', async () => {
    const page = await onTray();
    const inches = bowl().replace(
      /^v (\S+) (\S+) (\S+)$/gm,
      (_, x, y, z) => `v ${Number(x) / 25.4} ${Number(y) / 25.4} ${Number(z) / 25.4}`,
    );
    await page.locator('input[name="mould-file"]').setInputFiles(file('inches.obj', inches));
    // It is 7.87 wide: in mm that is no mould, in cm it could be one.
    await textOf(page.getByTestId('mesh-size'), /^78\.7 × /);
    await page.getByRole('button', { name: 'inches', exact: true }).click();
    await textOf(page.getByTestId('mesh-size'), /^200\.0 × 200\.0 mm, 40\.0 mm high/);
    await type(page, 'mesh-scale', '50');
    await textOf(page.getByTestId('mesh-size'), /^100\.0 × 100\.0 mm, 20\.0 mm high/);
    await type(page, 'mesh-scale', '100');
    await page.getByRole('button', { name: 'metres', exact: true }).click();
    await textOf(page.getByRole('alert'), /unit right/);
    expect(await page.getByRole('button', { name: 'Take this mould' }).isDisabled()).toBe(true);
    await page.getByRole('button', { name: 'inches', exact: true }).click();
    await textOf(page.getByTestId('mesh-size'), /^200\.0 × 200\.0 mm/);
    await page.getByRole('button', { name: 'Take this mould' }).click();
    await textOf(page.locator('.left'), /Read from a file: 469 vertices/);
    await kept(page);
    expect(visit.now.troubles).toEqual([]);
  });

  it('keeps its mould in the kit, takes it for another piece, and becomes the next mould', async () => {
    const page = await onTray();
    await page.getByRole('button', { name: 'Keep this mould in the kit' }).click();
    await textOf(page.locator('button[name="kit-mould"]'), /Mould of Service tray/);
    await type(page, 'rim.length', '300');
    await textOf(page.locator('button[name="kit-mould"]'), /not from the kit/);
    await page.locator('button[name="kit-mould"]').click();
    await page.getByRole('option', { name: /Mould of Service tray/ }).click();
    await fieldSays(page, 'rim.length', /^320\.0/);
    await kept(page);
    // Its inside, half dry, is the next hollow.
    await page.getByRole('button', { name: 'Press into it' }).click();
    await page.waitForURL((url) => url.pathname.endsWith('/shape'));
    await textOf(page.locator('h1, .heading'), /Service tray, from its cast/);
    await textOf(page.locator('button[name="side"]'), /in a hollow/);
    await textOf(page.getByTestId('model'), /Model it 320\.\d × 210\.\d mm/);
    expect(visit.now.troubles).toEqual([]);
  });

  it('takes a wall that is drawn as an SVG path', async () => {
    const page = await onTray();
    const drawn = '<svg xmlns="http://www.w3.org/2000/svg"><path d="M10 60 C 40 60 60 50 70 20 L 80 10"/></svg>';
    await page.locator('input[name="mould-file"]').setInputFiles(file('wall.svg', drawn));
    await textOf(page.locator('[name="mould-wall"]'), /drawn/);
    await kept(page);
  });
});
