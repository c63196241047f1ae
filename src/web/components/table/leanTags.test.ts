import type { Point } from '../../../core/geometry/point.ts';
import { develop } from '../../../core/piece/develop.ts';
import { targetsOfEveryKind } from '../../../core/piece/everyKind.test.helper.ts';
import { bounds } from '../../../core/geometry/outline/outline.ts';
import { targetWith } from '../../../core/piece/targets.test.helper.ts';
import type { Target } from '../../../core/target/target.ts';
import { dimensionLine, partDimensions } from './dimensionLines.ts';
import { leanTags, type LeanTagPlace } from './leanTags.ts';
import { layTable, tablePlaces, type PartPlace } from './tablePlaces.ts';

interface Box {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

/** As wide as "right end, spread 45°" is in the letters of the table, and as high (px). */
const TAG_SIZE = { width: 158, height: 40 };
/** Half a seam's letter (px). */
const HALF_LETTER = { across: 8, up: 8 };

function boxOf({ left, top, hang }: LeanTagPlace): Box {
  const x0 = left - { start: 0, middle: 0.5, end: 1 }[hang] * TAG_SIZE.width;
  return { x0, x1: x0 + TAG_SIZE.width, y0: top, y1: top + TAG_SIZE.height };
}

function letters({ part, x, y }: PartPlace, scale: number): Box[] {
  const [up, under] = [bounds(part.outline), bounds(part.underside)];
  const [minX, minY] = [Math.min(up.minX, under.minX), Math.min(up.minY, under.minY)];
  return part.marks.flatMap((mark) => {
    if (mark.kind !== 'letter') return [];
    const [px, py] = [x + (mark.at[0] - minX) * scale, y - (mark.at[1] - minY) * scale];
    const { across, up: half } = HALF_LETTER;
    return [{ x0: px - across, x1: px + across, y0: py - half, y1: py + half }];
  });
}

const apart = (one: Box, other: Box) =>
  one.x1 <= other.x0 || other.x1 <= one.x0 || one.y1 <= other.y0 || other.y1 <= one.y0;

/** Cylinders and ovals, low and high, with every join of the base: their walls are long and may carry tags. */
const long: Target[] = ['under', 'inside', 'mitre', 'skirt'].flatMap((join) =>
  [22, 46, 70, 110].flatMap((height) => [
    targetWith({ form: { diameter: 150, height }, base: { join, trim: 0, overlap: 10 } } as never),
    {
      ...targetWith({ base: { join, trim: 0, overlap: 10 } } as never),
      form: { kind: 'oval', length: 176, width: 112, height },
    } as Target,
  ]),
);

describe('tags of leaning edges', () => {
  const tabled = [
    ...long,
    ...targetsOfEveryKind(17, 48),
    ...targetsOfEveryKind(18, 40, { kinds: ['facet', 'box', 'gores'] }),
  ].map((target) => ({ target, developed: develop(target) }));

  it.each([
    [716, 694],
    [1100, 900],
    [374, Infinity],
  ])('stand clear of each other and of the seam letters on a table of %d by %d', (width, height) => {
    let met = 0;
    for (const { target, developed } of tabled) {
      const { parts, scale } = tablePlaces(target, developed, layTable(target, developed, { width, height }));
      for (const place of parts) {
        const tags = leanTags(place).map(boxOf);
        met += tags.length;
        tags.forEach((tag, index) => {
          for (const other of tags.slice(index + 1)) expect(apart(tag, other)).toBe(true);
          for (const letter of letters(place, scale)) expect(apart(tag, letter)).toBe(true);
        });
      }
    }
    expect(met).toBeGreaterThan(100);
  });
});

describe('dimension lines', () => {
  it.each<[readonly [Point, Point], string]>([
    [
      [
        [10, 40],
        [90, 40],
      ],
      'M10 40L90 40M10 33L10 47M90 33L90 47',
    ],
    [
      [
        [10, 40],
        [10, 90],
      ],
      'M10 40L10 90M3 40L17 40M3 90L17 90',
    ],
  ])('have a tick at each end: %j', (ends, path) => {
    expect(dimensionLine(...ends)).toBe(path);
  });

  it('run along and up a wall, and across a base', () => {
    const target = targetWith({});
    const developed = develop(target);
    const { parts, scale } = tablePlaces(target, developed, layTable(target, developed, { width: 716, height: 694 }));
    const lengths = (place: PartPlace) =>
      [...partDimensions(place).matchAll(/M([\d.]+) ([\d.]+)L([\d.]+) ([\d.]+)/g)]
        .map(([, ...ends]) => ends.map(Number) as [number, number, number, number])
        .map(([x0, y0, x1, y1]) => Math.hypot(x1 - x0, y1 - y0) / scale);
    const [wall, base] = ['wall', 'base'].map((id) => parts.find(({ part }) => part.id === id) as PartPlace);
    expect(lengths(wall as PartPlace)).toEqual(
      expect.arrayContaining([
        expect.closeTo(developed.numbers.wrapLength ?? 0, 6),
        expect.closeTo(developed.numbers.wallHeight ?? 0, 6),
      ]),
    );
    expect(lengths(base as PartPlace)[0]).toBeCloseTo(developed.numbers.baseTopDiameter ?? 0, 6);
  });
});
