import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { develop } from '../piece/develop.ts';
import { elevation } from '../piece/elevation.ts';
import { targetsOfEveryKind } from '../piece/everyKind.test.helper.ts';
import { checkTarget } from '../forms/checkTarget.ts';
import { DEFAULT_LID } from '../target/lid.ts';
import { DEFAULT_LUGS } from '../target/lugs.ts';
import { newTarget, type Target } from '../target/target.ts';
import { portrait } from './portrait.ts';
import { portraitSize } from './portraitSize.ts';
import { solidFaces, type SolidFace } from './solid.ts';

/** Volume inside faces that look outward (mm3), by the divergence theorem: negative or too small where some look inward. */
function volumeOf(faces: readonly SolidFace[]): number {
  let sum = 0;
  for (const { corners, face } of faces) {
    if (face === 'hole') continue;
    const [a = [0, 0, 0]] = corners;
    for (let index = 2; index < corners.length; index += 1) {
      const [b = [0, 0, 0], c = [0, 0, 0]] = [corners[index - 1], corners[index]];
      sum +=
        a[0] * (b[1] * c[2] - b[2] * c[1]) + a[1] * (b[2] * c[0] - b[0] * c[2]) + a[2] * (b[0] * c[1] - b[1] * c[0]);
    }
  }
  return sum / 6;
}

const folder = join(import.meta.dirname, '../../../demo');
const demo = readdirSync(folder)
  .filter((name) => name.endsWith('.fawn.json'))
  .map((name) => [name, JSON.parse(readFileSync(join(folder, name), 'utf8')) as Target] as const);

describe('the solid of a piece', () => {
  it('has faces that all look outward, and holds the clay that is weighed: 60 pieces of every kind', () => {
    for (const found of targetsOfEveryKind(161, 60)) {
      // Bent about its middle, clay keeps its volume.
      const target: Target = {
        ...found,
        base: { ...found.base, trim: 0 },
        slab: { ...found.slab, neutralFraction: 0.5 },
      };
      const { finished, numbers } = develop(target);
      const clay = (finished.mass.wet / target.clay.wetDensity) * 1000;
      // The edges of gores thicken by what they gather; they are drawn as thick as the slab, and by chords.
      const thicker = target.form.kind === 'gores' ? (numbers.edgeGather ?? 0) + 0.01 : 0;
      expect(Math.abs(volumeOf(solidFaces(target) ?? []) / clay - 1)).toBeLessThan(0.012 + thicker);
    }
  });

  it('holds the clay of lugs and knob too, whatever the wall', () => {
    for (const found of targetsOfEveryKind(162, 60)) {
      const target: Target = {
        ...found,
        base: { ...found.base, trim: 0 },
        slab: { ...found.slab, neutralFraction: 0.5 },
        lugs: { ...DEFAULT_LUGS, width: 18, out: 14, below: 6, thickness: 4 },
      };
      const bare = Object.fromEntries(Object.entries(target).filter(([key]) => key !== 'lugs')) as unknown as Target;
      if (checkTarget(target).length > 0) continue;
      const grams = (one: Target) => (develop(one).finished.mass.wet / target.clay.wetDensity) * 1000;
      const clay = volumeOf(solidFaces(target) ?? []) - volumeOf(solidFaces(bare) ?? []);
      expect(Math.abs(clay / (grams(target) - grams(bare)) - 1)).toBeLessThan(0.02);
    }
    const lidded: Target = { ...newTarget('Jar'), lid: { ...DEFAULT_LID, knob: 24 } };
    const knob = 1000 * (24 / lidded.clay.wetDensity);
    const ball = volumeOf(solidFaces(lidded) ?? []) - volumeOf(solidFaces({ ...lidded, lid: DEFAULT_LID }) ?? []);
    expect(Math.abs(ball / knob - 1)).toBeLessThan(0.02);
  });

  it.each(demo)('of the demo piece %s looks outward everywhere', (_, target) => {
    expect(volumeOf(solidFaces(target) ?? [])).toBeGreaterThan(0);
  });
});

describe('the portrait', () => {
  it.each(demo)('of %s stands as wide and as high as its side view, seen from a little above', (_, target) => {
    const drawn = portrait(target, 'fired');
    const { outer, added } = elevation(target, 'fired');
    if (!drawn) throw new Error('not drawn');
    // Seen from 17 degrees above, what is upright keeps 0.956 of its height, and what lies level adds to it.
    const height = Math.max(...[outer, ...added].flat().map(([, y]) => y));
    expect((drawn.top - drawn.bottom) / height).toBeGreaterThan(0.95);
    const figures = drawn.faces.flatMap(({ light, corners }) => [light - 1, ...corners.flat()]);
    expect(figures.filter((figure) => !Number.isFinite(figure))).toEqual([]);
    expect(drawn.faces.every(({ light }) => light >= 0 && light <= 1 + 1e-9)).toBe(true);
  });

  it.each(demo)('of %s takes about the room that is laid out for it', (_, target) => {
    const drawn = portrait(target, 'fired');
    const { width, height } = portraitSize(target);
    if (!drawn) throw new Error('not drawn');
    expect(Math.abs((drawn.right - drawn.left) / width - 1)).toBeLessThan(0.35);
    expect(Math.abs((drawn.top - drawn.bottom) / height - 1)).toBeLessThan(0.35);
  });

  it('draws the edge of two faces that go on into one another on neither', () => {
    // Round the rim and the foot of a tumbler, down its two sides, and at its seam: not between the steps of its bend.
    const drawn = portrait(newTarget('Rack tumbler'), 'fired');
    const upright = (drawn?.faces ?? [])
      .flatMap(({ lines }) => lines)
      .filter(([[x, y], [u, v]]) => Math.abs(x - u) < 1e-6 && Math.abs(y - v) > 20);
    expect(drawn?.faces.length).toBeGreaterThan(60);
    expect(upright.length).toBeGreaterThan(0);
    expect(upright.length).toBeLessThan(8);
  });

  it('is smaller after firing by the shrinkage of its clay', () => {
    for (const [, target] of demo) {
      const [fired, wet] = [portrait(target, 'fired'), portrait(target, 'wet')];
      if (!fired || !wet) throw new Error('not drawn');
      expect((fired.right - fired.left) / (wet.right - wet.left)).toBeCloseTo(1 - target.clay.shrinkage, 9);
    }
  });
});
