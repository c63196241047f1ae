import { DEFAULT_FEET } from '../target/feet.ts';
import { DEFAULT_HANDLE } from '../target/handle.ts';
import { DEFAULT_LID } from '../target/lid.ts';
import { bounds, type Outline } from '../geometry/outline/outline.ts';
import { develop } from './develop.ts';
import { elevation, type Elevation } from './elevation.ts';
import { targetsOfEveryKind } from './everyKind.test.helper.ts';
import type { Target } from '../target/target.ts';
import { targetWith } from './targets.test.helper.ts';

const cup = (more: Partial<Target> = {}): Target => ({
  ...targetWith({ clay: { shrinkage: 0.13 } }),
  rim: 'level',
  form: { kind: 'taper', rim: 104, foot: 82, height: 96 },
  ...more,
});
const TARGETS: readonly (readonly [string, Target])[] = [
  ...targetsOfEveryKind(91, 36).map((target, index) => [`${target.form.kind} ${index}`, target] as const),
  ['a mug with a strap', cup({ handle: DEFAULT_HANDLE })],
  ['a jar with a lid on pads', cup({ lid: DEFAULT_LID, feet: DEFAULT_FEET })],
  ['a jar with a cap', cup({ lid: { ...DEFAULT_LID, kind: 'cap' } })],
];

const outlines = ({ outer, hollow, added }: Elevation): readonly Outline[] => [outer, hollow, ...added];

describe.each(TARGETS)('the elevation of %s', (_, target) => {
  const wet = elevation(target, 'wet');
  const fired = elevation(target, 'fired');
  const shrunk = 1 - target.clay.shrinkage;

  it('fired is the wet one shrunk, all of its clay alike', () => {
    const many = outlines(fired);
    expect(many).toHaveLength(outlines(wet).length);
    outlines(wet).forEach((outline, index) => {
      expect(many[index]).toEqual(
        outline.map(([x, y, bulge]) => [
          expect.closeTo(x * shrunk, 6),
          expect.closeTo(y * shrunk, 6),
          expect.closeTo(bulge, 9),
        ]),
      );
    });
    expect(fired.body.top).toBeCloseTo(wet.body.top * shrunk, 6);
  });

  it('reaches as far as its drawing does, stands on the table, and has its hollow inside', () => {
    for (const side of [wet, fired]) {
      const all = outlines(side)
        .filter((outline) => outline.length > 0)
        .map(bounds);
      expect(Math.min(...all.map(({ minX }) => minX))).toBeCloseTo(side.left, 6);
      expect(Math.max(...all.map(({ maxX }) => maxX))).toBeCloseTo(side.right, 6);
      expect(Math.min(...all.map(({ minY }) => minY))).toBeCloseTo(0, 6);
      expect(Math.max(...all.map(({ maxY }) => maxY))).toBeCloseTo(side.height, 6);
      expect(side.width).toBeCloseTo(side.right - side.left, 9);
      const [outer, hollow] = [bounds(side.outer), bounds(side.hollow)];
      expect(hollow.minX).toBeGreaterThan(outer.minX);
      expect(hollow.maxX).toBeLessThan(outer.maxX);
      expect(hollow.minY).toBeGreaterThanOrEqual(outer.minY - 1e-9);
      expect(hollow.maxY).toBeLessThanOrEqual(outer.maxY + 1e-9);
    }
  });

  it('has the finished sizes that are told', () => {
    const { finished } = develop(target);
    expect(bounds(fired.outer).maxY - bounds(fired.outer).minY).toBeCloseTo(finished.height, 2);
    expect(fired.rim[1] - fired.rim[0]).toBeLessThanOrEqual(fired.body.right - fired.body.left + 1e-9);
    expect(fired.rimHeight).toBeLessThanOrEqual(fired.body.top + 1e-9);
  });
});

describe('what is added, seen from the side', () => {
  it('a strap stands out on the right, its grips on its own line, with room for fingers', () => {
    const bare = elevation(cup(), 'fired');
    const mug = elevation(cup({ handle: DEFAULT_HANDLE }), 'fired');
    expect(mug.right).toBeGreaterThan(bare.right + 10);
    expect(mug.left).toBeCloseTo(bare.left, 6);
    expect(mug.fingers).toHaveLength(DEFAULT_HANDLE.fingers);
    const { upper, lower, crest } = mug.grips ?? { upper: [0, 0], lower: [0, 0], crest: [0, 0] };
    expect(upper[1]).toBeGreaterThan(lower[1]);
    // Its upper edge stands so far below the rim, the grip in its middle.
    const half = (DEFAULT_HANDLE.thickness * (1 - 0.13)) / 2;
    expect(upper[1]).toBeCloseTo(mug.body.top - DEFAULT_HANDLE.below - half, 6);
    expect(crest[0]).toBeCloseTo(mug.right, 6);
    for (const finger of mug.fingers) expect(bounds(finger).maxX).toBeLessThan(mug.right);
  });

  it.each([0, 45, 90, 200])('a strap of an oval at %d degrees is joined to the silhouette', (angle) => {
    const oval: Target = cup({ form: { kind: 'oval', length: 150, width: 90, height: 96 } });
    const [bare, mug] = [
      elevation(oval, 'fired'),
      elevation({ ...oval, handle: DEFAULT_HANDLE, marks: { places: [{ kind: 'handle', at: angle }] } }, 'fired'),
    ];
    const [strap] = mug.added;
    expect(bounds(strap ?? []).minX).toBeCloseTo(bare.right, 0);
  });

  it('pads lift the piece, and a flat lid adds its thickness', () => {
    const shrunk = 1 - 0.13;
    const bare = elevation(cup(), 'fired');
    const jar = elevation(cup({ lid: DEFAULT_LID, feet: DEFAULT_FEET }), 'fired');
    expect(jar.body.foot).toBeCloseTo(DEFAULT_FEET.thickness * shrunk, 6);
    expect(jar.body.top - bare.body.top).toBeCloseTo(DEFAULT_FEET.thickness * shrunk, 6);
    expect(jar.height - jar.body.top).toBeCloseTo(cup().slab.base * shrunk, 6);
  });
});
