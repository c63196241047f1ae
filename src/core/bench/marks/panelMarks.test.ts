import { DEFAULT_HANDLE } from '../../target/handle.ts';
import { bounds } from '../../geometry/outline/outline.ts';
import type { Face } from '../../target/face.ts';
import type { Mark, Part } from '../../parts/part/part.ts';
import { develop } from '../../piece/develop.ts';
import type { BoxForm, FacetForm, Form, WallMarks } from '../../target/target.ts';
import { level } from '../../piece/targets.test.helper.ts';
import { placeWays } from './placeWays.ts';
import type { Point } from '../../geometry/point.ts';

const HEX: FacetForm = { kind: 'facet', sides: 6, rim: 90, foot: 66, height: 90, fold: 'separate' };
const STRIP: FacetForm = { ...HEX, fold: 'strip' };
const BOX: BoxForm = { kind: 'box', length: 140, width: 90, height: 60 };
const BUTT = { seam: { kind: 'butt', panels: 1 } } as const;

type Line = Extract<Mark, { kind: 'line' }>;
const walls = (form: Form, marks: WallMarks, more: Parameters<typeof level>[1] = {}): Part[] =>
  develop({ ...level(form, more), marks }).parts.filter(({ id }) => id !== 'base');
const lines = (part: Part | undefined, ...names: Line['name'][]) =>
  (part?.marks ?? []).filter((mark): mark is Line => mark.kind === 'line' && names.includes(mark.name));
const words = (part: Part | undefined) =>
  (part?.marks ?? []).flatMap((mark) => (mark.kind === 'words' ? [mark.text] : []));
const span = ([x, y]: Point, [u, v]: Point) => Math.hypot(x - u, y - v);
const places = (...angles: number[]): WallMarks => ({ places: angles.map((at) => ({ kind: 'handle', at })) });

/** How far a point is outside a straight-edged outline (mm); 0 within it or on it. */
function outside(part: Part, [x, y]: Point): number {
  let inside = false;
  let nearest = Infinity;
  part.outline.forEach(([ax, ay], index) => {
    const [bx, by] = part.outline[(index + 1) % part.outline.length] ?? [ax, ay];
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
    const f = Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / span([ax, ay], [bx, by]) ** 2));
    nearest = Math.min(nearest, span([x, y], [ax + f * (bx - ax), ay + f * (by - ay)]));
  });
  return inside ? 0 : nearest;
}

const FULL: WallMarks = {
  panels: { count: 18 },
  places: [
    { kind: 'handle', at: 330 },
    { kind: 'spout', at: 147 },
    { kind: 'handle', at: 60 },
  ],
  repeat: 9,
  text: 'dining car',
};

describe.each<Face>(['inside', 'outside'])('marks on flat panels, %s up', (faceUp) => {
  const slab = { faceUp };

  it.each<[string, Form, object]>([
    ['panels', HEX, {}],
    ['strip', STRIP, {}],
    ['flaring box', { ...HEX, sides: 4, rim: 120 }, {}],
    ['mitred box', BOX, {}],
    ['butted box', BOX, BUTT],
    ['mitred foot', HEX, { base: { join: 'mitre' } }],
    ['mitred foot of a box', BOX, { base: { join: 'mitre' } }],
    ['mitred foot of a strip', STRIP, { base: { join: 'mitre' } }],
  ])('never lie off the part: %s', (_, form, more) => {
    for (const part of walls(form, FULL, { slab, ...more })) {
      expect(lines(part, 'panel', 'place', 'repeat').length).toBeGreaterThan(3);
      for (const mark of part.marks) {
        for (const point of mark.kind === 'line' ? [mark.from, mark.to] : mark.kind === 'path' ? [] : [mark.at]) {
          expect(outside(part, point)).toBeLessThan(1e-6);
        }
      }
    }
  });

  it('divide each panel by lines that meet the others at the apex of the taper', () => {
    const [panel] = walls(HEX, { panels: { count: 18 } }, { slab });
    const found = lines(panel, 'panel', 'centre');
    expect(found).toHaveLength(3);
    const meet = ({ from: [ax, ay], to: [bx, by] }: Line, { from: [cx, cy], to: [dx, dy] }: Line): Point => {
      const cross = (bx - ax) * (dy - cy) - (by - ay) * (dx - cx);
      const f = ((cx - ax) * (dy - cy) - (cy - ay) * (dx - cx)) / cross;
      return [ax + f * (bx - ax), ay + f * (by - ay)];
    };
    const [middle, left, right] = found as [Line, Line, Line];
    expect(span(meet(middle, left), meet(middle, right))).toBeLessThan(1e-6);
  });

  it('put one handle on one panel, and a pair on panels across', () => {
    expect(words(walls(HEX, places(0), { slab })[0])).toEqual(['handle, on 1 of 6']);
    expect(words(walls(HEX, places(0, 180), { slab })[0])).toEqual(['handle, on panels 1 and 4']);
    expect(words(walls(BOX, places(90, 270), { slab })[0])).toEqual(['handle, on each']);
    expect(words(walls(BOX, places(90, 270), { slab })[1])).toEqual([]);
    expect(
      words(
        walls(
          HEX,
          {
            places: [
              { kind: 'handle', at: 0 },
              { kind: 'spout', at: 180 },
            ],
          },
          { slab },
        )[0],
      ),
    ).toEqual(['handle, on panel 1', 'spout, on panel 4']);
  });

  it('put a place on a strip at its panel, where a ray from the axis meets it', () => {
    const [strip] = walls(STRIP, places(60 + 12), { slab });
    const [place] = lines(strip, 'place');
    const folds = lines(strip, 'fold');
    expect(folds).toHaveLength(5);
    // The second panel lies between the first two folds; its half is seen under 30 degrees.
    const [before, after] = folds.slice(0, 2).map(({ to }) => to) as [Point, Point];
    const share = span(before, place?.to ?? [0, 0]) / span(before, after);
    expect(share).toBeCloseTo(0.5 + Math.tan((12 * Math.PI) / 180) / Math.tan(Math.PI / 6) / 2, 2);
    // Round the piece runs to the right with the outside up, and to the left with the inside up.
    expect(before[0] < after[0] === (faceUp === 'outside')).toBe(true);
  });

  it('stand opposite the seam in the middle of the strip', () => {
    const way = placeWays(level(STRIP)).find(({ words: name }) => name === 'Handle opposite the seam');
    const [strip] = walls(STRIP, { places: way?.places ?? [] }, { slab });
    const box = strip && bounds(strip.outline);
    const [place] = lines(strip, 'place');
    expect(place?.from[0]).toBeCloseTo(((box?.minX ?? 0) + (box?.maxX ?? 0)) / 2, 6);
    expect(place?.to[0]).toBeCloseTo(((box?.minX ?? 0) + (box?.maxX ?? 0)) / 2, 6);
  });

  it('count the repeats of each panel over its outer face', () => {
    const { repeats = [] } = develop({ ...level(HEX, { slab }), marks: { repeat: 9 } });
    expect(repeats.map(({ part, edge }) => [part, edge])).toEqual([
      ['panel', 'rim'],
      ['panel', 'foot'],
    ]);
    const width = (across: number) => (across * Math.tan(Math.PI / 6)) / (1 - 0.12);
    for (const { edge, length, count, give } of repeats) {
      if (edge === 'rim') expect(length).toBeCloseTo(width(90), 6);
      expect(count * (9 + give)).toBeCloseTo(length, 9);
    }
  });
});

it('ticks of a handle lie where its ends are joined, measured down the slant', () => {
  const target = { ...level({ ...HEX, height: 110 }), handle: DEFAULT_HANDLE };
  const [panel] = develop(target).parts;
  const box = panel && bounds(panel.outline);
  const ticks = lines(panel, 'repeat');
  expect(ticks).toHaveLength(2);
  const down = ticks.map(({ from }) => (box?.maxY ?? 0) - from[1]);
  expect(down[0]).toBeGreaterThan(10);
  expect(down[1]).toBeGreaterThan((down[0] ?? 0) + 30);
});

it.each([3, 4, 5, 6, 7, 8, 12, 24])(
  'a pair of handles on %d panels stands alike on both sides of the seam',
  (sides) => {
    const pair =
      placeWays(level({ ...HEX, sides })).find(({ words: name }) => name === 'A pair of handles')?.places ?? [];
    const seam = 360 - 180 / sides;
    const [one = 0, other = 0] = pair.map(({ at }) => (((at - seam) % 360) + 360) % 360);
    if (sides % 2 === 1) expect(one + other).toBeCloseTo(360, 9);
    else expect(Math.abs(one - other)).toBeCloseTo(180, 9);
  },
);
