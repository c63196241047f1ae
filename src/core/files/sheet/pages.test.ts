import { chordPoints, crossOneAnother } from '../../geometry/outline/crossing.ts';
import { bounds, edgeAt, moved, type Outline } from '../../geometry/outline/outline.ts';
import { develop } from '../../piece/develop.ts';
import { randomTarget, targetWith } from '../../piece/targets.test.helper.ts';
import { once } from '../../numbers.ts';
import { seeded } from '../../seeded.ts';
import type { Target } from '../../target/target.ts';
import type { Primitive } from '../../studio/printer/drawing.ts';
import { pagesOf, type Page } from './pages.ts';
import { PAGE_OVERLAP, PAPER_NAMES, PAPERS, type PaperName } from '../../studio/printer/paper.ts';

const lines = (page: Page): Extract<Primitive, { kind: 'line' }>[] =>
  page.layers.flatMap(({ items }) => items.filter((item) => item.kind === 'line'));
const texts = (page: Page): string[] =>
  page.layers.flatMap(({ items }) => items.filter((item) => item.kind === 'text').map(({ text }) => text));

const developed = once((target: Target) => develop(target));
const pagesFor = (target: Target, paper: PaperName) =>
  pagesOf(developed(target).parts, { name: target.name, paper, style: { unit: 'mm' } });

/** Random targets, the same for every paper. */
const targetsBy = (seed: number, count: number): Target[] => {
  const random = seeded(seed);
  return Array.from({ length: count }, () => randomTarget(random));
};
const TARGETS = targetsBy(7, 40);
const ROLLED = targetsBy(31, 20);

/** Least distance between the corners and chords of two outlines (mm), by their points: not as the planner asks. */
function leastApart(one: Outline, other: Outline): number {
  const [points, others] = [one, other].map((outline) => chordPoints(outline, 0.05));
  return Math.min(...(points ?? []).flatMap(([x, y]) => (others ?? []).map(([a, b]) => Math.hypot(x - a, y - b))));
}

describe('pages', () => {
  it.each(PAPER_NAMES)('show every stretch of every cut line on %s, at true size', (paper) => {
    for (const target of TARGETS) {
      const { parts } = developed(target);
      const pages = pagesFor(target, paper);
      for (const part of parts) {
        const own = pages.flatMap(({ parts: there, layers }) =>
          there.filter(({ id }) => id === part.id).map(({ dx, dy }) => ({ dx, dy, layers })),
        );
        const unseen: unknown[] = [];
        part.outline.forEach((_, vertex) => {
          const { from, to, centre, radius } = edgeAt(part.outline, vertex);
          for (let step = 0; step < 40; step += 1) {
            const f = step / 40;
            let [x, y] = [from[0] + f * (to[0] - from[0]), from[1] + f * (to[1] - from[1])];
            if (centre) {
              const angle = Math.atan2(from[1] - centre[1], from[0] - centre[0]) + f * 4 * Math.atan(from[2]);
              [x, y] = [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)];
            }
            const seen = own.some(({ dx, dy, layers }) => {
              const clip = layers[0]?.clip;
              return clip && x + dx >= clip.minX && x + dx <= clip.maxX && y + dy >= clip.minY && y + dy <= clip.maxY;
            });
            if (!seen) unseen.push([vertex, f]);
          }
        });
        expect(unseen).toEqual([]);
      }
    }
  });

  it('overlap by their glue width and carry the same joining marks', () => {
    const pages = pagesFor(targetWith(), 'a4');
    expect(pages.map(({ parts }) => parts.map(({ id }) => id))).toEqual([['wall', 'base'], ['wall']]);
    const [left, right] = pages as [Page, Page];
    const edge = left.width - 10 - (left.parts[0]?.dx ?? 0);
    expect(edge - (10 - (right.parts[0]?.dx ?? 0))).toBeCloseTo(PAGE_OVERLAP, 9);
    const names = (page: Page) => texts(page).filter((text) => /^[A-Z]\d[ab]$/.test(text));
    expect(names(left)).toEqual(['A1a', 'A1b']);
    expect(names(right)).toEqual(names(left));
  });

  it.each(PAPER_NAMES)(
    'carry a 100 mm and a 4 inch ruler, name, size, leans and place, all on the paper %s',
    (paper) => {
      const target = targetWith({ base: { join: 'mitre', trim: 0 } });
      for (const page of pagesFor(target, paper)) {
        const lengths = lines(page).map(({ from, to }) => Math.abs(to[0] - from[0]));
        expect(lengths).toEqual(expect.arrayContaining([100, 101.6]));
        const words = texts(page).join(' | ');
        expect(words).toMatch(/Test tumbler/);
        expect(words).toMatch(/spread 45°/);
        expect(words).toMatch(/page \d of \d/i);
        expect([page.width, page.height].sort()).toEqual([PAPERS[paper].width, PAPERS[paper].height].sort());
        for (const { from, to } of lines({ ...page, layers: page.layers.filter(({ clip }) => clip === null) })) {
          expect(Math.min(from[0], to[0])).toBeGreaterThan(0);
          expect(Math.max(from[0], to[0])).toBeLessThan(page.width);
        }
      }
    },
  );

  it.each([200, 610, 914])(
    'on a roll of %d mm show every part that is narrower whole, each length cut off behind it',
    (roll) => {
      for (const target of ROLLED) {
        const { parts } = developed(target);
        const pages = pagesOf(parts, { name: 'x', paper: 'a4', roll, style: { unit: 'mm' } });
        // Margins, foot and a hair of air: parts that are wider both ways are tiled, as on sheets.
        const fits = ({ outline, underside }: (typeof parts)[number]) =>
          [outline, underside].every((line) => {
            const { minX, maxX, minY, maxY } = bounds(line);
            return Math.min(maxX - minX, maxY - minY) < roll - 90;
          });
        if (parts.every(fits)) expect(pages.length).toBeLessThanOrEqual(parts.length);
        for (const page of pages) {
          expect([page.width, page.height]).toContain(roll);
          for (const { id, dx, dy } of page.parts) {
            const part = parts.find((one) => one.id === id);
            if (!part || !fits(part)) continue;
            const { minX, maxX, minY, maxY } = bounds(part.outline);
            const clip = page.layers[0]?.clip ?? { minX: 0, minY: 0, maxX: 0, maxY: 0 };
            expect(minX + dx >= clip.minX - 1e-9 && minY + dy >= clip.minY - 1e-9).toBe(true);
            expect(maxX + dx <= page.width - 10 + 1e-9 && maxY + dy <= page.height - 10 + 1e-9).toBe(true);
          }
        }
      }
    },
  );

  it('lie or stand, whichever takes fewer pages', () => {
    const wide = pagesFor(targetWith({ form: { diameter: 72, height: 90 } }), 'a4');
    const upright = pagesFor(targetWith({ form: { diameter: 40, height: 200 } }), 'a4');
    expect(wide[0]?.width).toBe(297);
    expect(upright[0]?.width).toBe(210);
    expect(wide.filter(({ parts }) => parts.some(({ id }) => id === 'wall'))).toHaveLength(1);
  });

  it('never take more pages than one part a page, and nothing on them lies in the way of anything else', () => {
    for (const target of targetsBy(19, 16)) {
      const { parts } = developed(target);
      for (const paper of PAPER_NAMES) {
        const pages = pagesFor(target, paper);
        const alone = parts.reduce(
          (sum, part) => sum + pagesOf([part], { name: '', paper, style: { unit: 'mm' } }).length,
          0,
        );
        expect(pages.length).toBeLessThanOrEqual(alone);
        for (const { parts: there, width, height } of pages) {
          const shown = there.map(({ id, dx, dy }) =>
            moved(parts.find((part) => part.id === id)?.outline ?? [], dx, dy),
          );
          shown.slice(1).forEach((outline) => {
            const box = bounds(outline);
            expect(box.minX >= 10 && box.maxX <= width - 10 && box.minY >= 52 && box.maxY <= height - 10).toBe(true);
          });
          shown.forEach((one, at) =>
            shown.slice(at + 1).forEach((other) => {
              expect(crossOneAnother(one, other)).toBe(false);
              expect(leastApart(one, other)).toBeGreaterThan(4.5);
            }),
          );
        }
      }
    }
  });
});
