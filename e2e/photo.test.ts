import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Design } from '../src/contract/api.ts';
import { arc, box, placed, round } from '../src/core/files/photo/scenes.test.helper.ts';
import { planReach } from '../src/core/parts/plan/plan.ts';
import { ask } from './ask.ts';
import { madePhoto } from './madePhoto.ts';
import { countOf, eachVisit, textOf } from './visit.ts';

const visit = eachVisit({ demo: true });
const folder = mkdtempSync(join(tmpdir(), 'fawn-photo-'));

/** A made-up photograph in a file. */
async function photographOf(...[seed, ...scene]: Parameters<typeof madePhoto>): Promise<string> {
  const file = join(folder, `${seed}.png`);
  writeFileSync(file, await madePhoto(seed, ...scene));
  return file;
}

async function shown(file: string): Promise<void> {
  const { page, table } = visit.now;
  await page.goto(`${table.url}photograph`);
  await page.locator('input[name="photo"]').setInputFiles(file);
}
const reading = (name: string) => visit.now.page.locator(`[data-reading="${name}"]`);
const figures = async (name: string) =>
  [...(await textOf(reading(name), /off by/)).matchAll(/\d+(\.\d+)?/g)].map(([one]) => Number(one));

describe('a photograph on a sheet of paper', () => {
  it('of an arc template gives its radii and sweep, and what it makes', async () => {
    const { page, troubles } = visit.now;
    await shown(await photographOf(7, arc(140, 230, (40 * Math.PI) / 180)));
    const [inner, outer, sweep] = await figures('arc');
    expect(Math.abs((inner ?? 0) - 140)).toBeLessThan(0.7);
    expect(Math.abs((outer ?? 0) - 230)).toBeLessThan(0.7);
    expect(Math.abs((sweep ?? 0) - 40)).toBeLessThan(0.3);
    await page.getByRole('button', { name: 'An arc template: what it makes' }).click();
    await textOf(page.locator('h1'), /From what you own/);
    expect(Math.abs(parseFloat(await page.locator('input[name="outer"]').inputValue()) - 230)).toBeLessThan(0.7);
    expect(troubles).toEqual([]);
  });

  it('of a cutter gives its diameter; a point that is moved by hand is no round cutter any more', async () => {
    const { page } = visit.now;
    await shown(await photographOf(5, round(95.3)));
    expect(Math.abs(((await figures('cutter'))[0] ?? 0) - 95.3)).toBeLessThan(0.6);
    const point = page.getByRole('button', { name: /^Point \d+ of the outline/ }).first();
    for (let press = 0; press < 3; press += 1) await point.press('Shift+ArrowDown');
    await countOf(reading('cutter'), 0);
    await page.getByRole('button', { name: 'Corners of the sheet' }).click();
    await page.getByRole('button', { name: /^Corner 1 of the sheet/ }).press('ArrowLeft');
    expect(Math.abs(((await figures('cutter'))[0] ?? 0) - 95.3)).toBeLessThan(0.6);
  });

  it('of a plate with a hole becomes a bent sheet with that hole', async () => {
    const { page, table } = visit.now;
    const hole = placed(round(30), [20, 5], 0);
    const plate = box(150, 100, 15);
    await shown(await photographOf(9, (at) => Math.max(plate(at), -hole(at))));
    await textOf(reading('sheet'), /1 hole/);
    // Points that stand close are one grip, which brings them nearer; no two grips are closer than a finger is wide.
    const grips = page.locator('.grip, .joined');
    const closest = async () => {
      // What moves is where it belongs in the next picture.
      await page.evaluate('new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))');
      const at = await grips.evaluateAll((all) =>
        all.map((one) => one.getBoundingClientRect()).map(({ x, y }) => [x, y] as const),
      );
      return Math.min(...at.flatMap(([x, y], index) => at.slice(0, index).map(([u, v]) => Math.hypot(x - u, y - v))));
    };
    const joined = page.getByRole('button', { name: /points: bring them nearer/ });
    await joined.first().waitFor();
    expect(await closest()).toBeGreaterThan(43.9);
    await joined.first().click();
    await page.locator('.grip').first().waitFor();
    expect(await closest()).toBeGreaterThan(43.9);
    await page.getByRole('button', { name: 'See all of it' }).click();
    await page.getByRole('button', { name: 'A sheet to be bent' }).click();
    await page.waitForURL(/piece\//);
    const id = /piece\/([^/]+)/.exec(page.url())?.[1];
    const { target } = await ask<Design>(table, `designs/${id}`);
    expect(target.form.kind === 'sheet' && target.form.holes).toHaveLength(1);
  });

  it('of a card becomes rim and foot of a piece', async () => {
    const { page, table, troubles } = visit.now;
    await shown(await photographOf(11, box(150, 90, 4)));
    await textOf(reading('plan'), /a wall can stand on it/);
    await page.getByRole('button', { name: 'Rim and foot of a piece' }).click();
    await page.waitForURL(/piece\//);
    const id = /piece\/([^/]+)/.exec(page.url())?.[1];
    const { target } = await ask<Design>(table, `designs/${id}`);
    if (target.form.kind !== 'loft' || target.form.foot.kind !== 'drawn') throw new Error(target.form.kind);
    // It lay slantwise on the paper.
    expect(Math.abs(planReach(target.form.rim) - 150)).toBeLessThan(1.2);
    expect(planReach(target.form.foot) / planReach(target.form.rim)).toBeCloseTo(0.75, 6);
    expect(troubles).toEqual([]);
  });

  it('that will not do says why, and its corners can be shown by hand', async () => {
    const { page } = visit.now;
    await shown(await photographOf(3, round(90), { shift: 260 }));
    await textOf(page.getByRole('alert').first(), /whole sheet/);
    await page.getByRole('button', { name: 'Show the corners by hand' }).click();
    await countOf(page.getByRole('button', { name: /^Corner \d of the sheet/ }), 4);
  });
});
