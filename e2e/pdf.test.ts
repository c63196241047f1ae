import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { develop } from '../src/core/piece/develop.ts';
import { newTarget, type Target } from '../src/core/target/target.ts';
import { aboutTemplate } from '../src/core/files/sheet/about.ts';
import type { PaperName } from '../src/core/studio/printer/paper.ts';
import type { CheckedPrinter } from '../src/core/studio/printer/printerCheck.ts';
import { writeTemplate } from '../src/print/writeTemplate.ts';
import { levels, rasterise, uprights } from './pdfMeasure.ts';

async function drawn(
  target: Target,
  paper: PaperName,
  { printer, most }: { readonly printer?: CheckedPrinter; readonly most?: number } = {},
) {
  const file = join(mkdtempSync(join(tmpdir(), 'fawn-')), 'template.pdf');
  writeFileSync(
    file,
    await writeTemplate(develop(target).parts, 'pdf', {
      name: target.name,
      paper,
      style: { unit: 'mm' },
      about: aboutTemplate(target, { unit: 'mm' }, 3),
      ...(printer && { printer }),
    }),
  );
  return rasterise(file, { ...(most && { most }) });
}

/** A band of rows of the wall, clear of the words in its middle (mm from the top of the page). */
const BAND: Readonly<Record<'a4' | 'letter', readonly [number, number]>> = { a4: [142, 190], letter: [124, 172] };

describe.each(['a4', 'letter'] as const)('the PDF on %s, drawn at 300 dpi', (paper) => {
  const target = newTarget('Rack tumbler');

  it('measures the wrap within 0.1 mm across its pages, joined at the dashed lines', async () => {
    const pages = await drawn(target, paper);
    const [left, right] = pages;
    if (!left || !right) throw new Error('two pages of wall were expected');
    const solid = [0.97, 1] as const;
    const dashed = [0.5, 0.8] as const;
    const leftEnd = uprights(left, BAND[paper], solid)[0] ?? NaN;
    const joinOnLeft = uprights(left, BAND[paper], dashed).at(-1) ?? NaN;
    const joinOnRight = uprights(right, BAND[paper], dashed)[0] ?? NaN;
    const rightEnd = uprights(right, BAND[paper], solid)[0] ?? NaN;
    const length = joinOnLeft - leftEnd + (rightEnd - joinOnRight);
    expect(Math.abs(length - (develop(target).numbers.wrapLength ?? NaN))).toBeLessThan(0.1);
  });

  it('comes true out of a printer of 97.3 % by 99.1 %', async () => {
    const scale = { short: 0.973, long: 0.991 };
    const pages = await drawn(target, paper, { printer: { name: 'Office printer', paper, scale } });
    const [left, right] = pages;
    if (!left || !right) throw new Error('two pages of wall were expected');
    // What the file measures, as that printer makes it: upright pages lie with their short edge across.
    const printed = left.width < left.height ? scale.short : scale.long;
    const up = left.width < left.height ? scale.long : scale.short;
    const band = BAND[paper].map((mm) => mm / up) as [number, number];
    const ends = (page: typeof left, dark: readonly [number, number]) => uprights(page, band, dark);
    const leftEnd = ends(left, [0.97, 1])[0] ?? NaN;
    const rightEnd = ends(right, [0.97, 1])[0] ?? NaN;
    const length = (ends(left, [0.5, 0.8]).at(-1) ?? NaN) - leftEnd + (rightEnd - (ends(right, [0.5, 0.8])[0] ?? NaN));
    expect(Math.abs(length * printed - (develop(target).numbers.wrapLength ?? NaN))).toBeLessThan(0.1);
    const height = (left.height * 25.4) / 300;
    // The ruler's end lines are 0.15 mm wide, half of them beyond it at both ends.
    expect(Math.abs((levels(left, height - 28 / up, 95)[0] ?? 0) * printed - 100)).toBeLessThan(0.2);
  });

  it('draws the letters of other tongues, and a sign for what no shipped typeface has', async () => {
    const ink = async (name: string) => {
      const [page] = await drawn({ ...target, name }, paper, { most: 1 });
      if (!page) throw new Error('no page');
      // The lines of the name in the footer, of one part or of several.
      const [from, to] = [page.height - Math.round((52 * 300) / 25.4), page.height - Math.round((40.5 * 300) / 25.4)];
      return page.grey.slice(from * page.width, to * page.width).reduce((sum, grey) => sum + (grey < 150 ? 1 : 0), 0);
    };
    const asked = new Map<number, number>();
    for (const length of [4, 5, 6]) asked.set(length, await ink('?'.repeat(length)));
    expect(await ink('茶茶茶茶')).toBe(asked.get(4));
    for (const name of ['Łyżka', 'Κούπα', 'чашка', 'trà ấm']) expect(await ink(name)).not.toBe(asked.get(name.length));
  });

  it('has a ruler of 100.0 mm and one of 4 inches on every page', async () => {
    for (const page of await drawn(target, paper)) {
      const height = (page.height * 25.4) / 300;
      const rulers = levels(page, height - 28, 95);
      expect(rulers).toHaveLength(2);
      expect(Math.abs((rulers[0] ?? 0) - 100)).toBeLessThan(0.2);
      expect(Math.abs((rulers[1] ?? 0) - 101.6)).toBeLessThan(0.2);
    }
  });
});
