import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import DxfParser from 'dxf-parser';
import { readTargetText } from '../src/contract/targetSchema.ts';
import { area, type Outline } from '../src/core/geometry/outline/outline.ts';
import { developWhole, type Development } from '../src/core/piece/develop.ts';
import { templateParts } from '../src/core/files/sheet/templateParts.ts';
import { ask } from './ask.ts';
import { eachVisit, figure, textOf } from './visit.ts';

jest.setTimeout(400_000);

const FILES = readdirSync('demo')
  .filter((file) => file.endsWith('.fawn.json'))
  .sort()
  .map((file) => join('demo', file));
const TARGETS = FILES.map((file) => {
  const reading = readTargetText(readFileSync(file, 'utf8'));
  if (reading.kind === 'faults') throw new Error(`${file} cannot be read`);
  return reading.target;
});

describe('the real command line', () => {
  const fawn = (...args: string[]) => execFileSync('npm', ['run', '-s', 'fawn', '--', ...args], { encoding: 'utf8' });

  it('develops every demo design as core does, one line each, in order', () => {
    const results = fawn('develop', ...FILES)
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as Development);
    expect(results).toHaveLength(FILES.length);
    results.forEach((result, index) => {
      const target = TARGETS[index];
      if (target) expect(result).toEqual(JSON.parse(JSON.stringify(developWhole(target))));
    });
  });

  it('writes a DXF of every kind that a reader opens with the very outlines, closed, arcs as arcs', () => {
    const folder = mkdtempSync(join(tmpdir(), 'fawn-kinds-'));
    const written = fawn('sheet', ...FILES, '--out', folder, '--formats', 'dxf')
      .trim()
      .split('\n');
    expect(written.at(-1)).toBe(join(folder, 'summary.json'));
    const paths = written.slice(0, -1);
    expect(paths).toHaveLength(FILES.length);
    paths.forEach((path, index) => {
      const target = TARGETS[index];
      if (!target) throw new Error(`${path} belongs to no design`);
      const entities = new DxfParser().parseSync(readFileSync(path, 'utf8'))?.entities as unknown as {
        layer: string;
        shape: boolean;
        vertices: { x: number; y: number; bulge?: number }[];
      }[];
      const cut = entities.filter(({ layer }) => layer === 'CUT');
      // The paper of a sleeve is cut too, and holes stand on the same layer.
      const parts = templateParts(target, developWhole(target).parts);
      const lines = parts.flatMap(({ outline, holes = [] }) => [outline, ...holes]);
      expect(cut).toHaveLength(lines.length);
      cut.forEach((line, at) => {
        const outline: Outline = line.vertices.map(({ x, y, bulge = 0 }) => [x, y, bulge]);
        expect(line.shape).toBe(true);
        expect(area(outline)).toBeCloseTo(area(lines[at] ?? []), 1);
      });
    });
  });

  it('answers bad input with exit code 2 and nothing on standard output', () => {
    try {
      fawn('develop', 'package.json');
    } catch (error) {
      const { status, stdout, stderr } = error as { status: number; stdout: string; stderr: string };
      expect([status, stdout]).toEqual([2, '']);
      expect(stderr).toMatch(/package\.json: format: nothing: must be given/);
      return;
    }
    throw new Error('it was accepted');
  });
});

describe('every demo design', () => {
  const visit = eachVisit({ demo: true });

  it('is drawn in every stage without a complaint', async () => {
    const { page, table, troubles } = visit.now;
    const designs = await ask<{ id: string; name: string }[]>(table, 'designs');
    for (const { id, name } of designs) {
      for (const stage of ['shape', 'flat', 'cut']) {
        await page.goto(`${table.url}piece/${id}/${stage}`);
        await textOf(page.locator('h1'), new RegExp(name.slice(0, 8)));
        await figure(page, 'weighOut').waitFor();
        const drawn =
          stage === 'cut'
            ? page.locator('figure svg')
            : page.locator('.elevation .fired, .flat-part .cut, .strain-map canvas');
        await drawn.first().waitFor();
      }
    }
    expect(troubles).toEqual([]);
  });
});

describe('a table with a passphrase', () => {
  const visit = eachVisit({ environment: { FAWN_PASSPHRASE: 'under the fawn' } });

  it('lets nobody in without it, and leads where they wanted to go with it', async () => {
    const { page } = visit.now;
    await textOf(page.locator('h1'), /asks for its passphrase/);
    await page.getByLabel('Passphrase').fill('a wrong guess');
    await page.getByRole('button', { name: 'Come in' }).click();
    await textOf(page.getByRole('alert'), /not the passphrase/);
    await page.getByLabel('Passphrase').fill('under the fawn');
    await page.getByRole('button', { name: 'Come in' }).click();
    await textOf(page.locator('main'), /The shelf is empty/);
    await page.reload();
    await textOf(page.locator('main'), /The shelf is empty/);
  });
});
