import { seeded } from '../../seeded.ts';
import { BASE_JOINS, DEFAULT_SKIRT, type Base } from '../../target/target.ts';
import { coneBase } from './cone.ts';
import { roundBase, type RoundFaces } from './roundBase.ts';

const random = seeded(531);
const between = (low: number, high: number) => low + random() * (high - low);
const bases: readonly Base[] = BASE_JOINS.flatMap((join): Base[] =>
  [0, 3].map((trim) => (join === 'skirt' ? { join, overlap: DEFAULT_SKIRT, trim } : { join, trim })),
);
const tan = (lean: number) => Math.tan((lean * Math.PI) / 180);

/** A wall that bulges: its outer face is part of a ball, its inner one of a smaller ball about the same middle. */
function ball(radius: number, middle: number, wall: number): RoundFaces {
  const at = (r: number) => (z: number) => Math.sqrt(r * r - (z - middle) ** 2);
  return {
    outer: at(radius),
    inner: at(radius - wall),
    slopeAt: (z) => -Math.asin((z - middle) / (radius - wall / 2)),
  };
}

describe('a round base', () => {
  it.each(bases)(
    'joined %j has the radii of the very faces that it meets, and an edge that leans from one to the other',
    (base) => {
      for (let index = 0; index < 60; index += 1) {
        const [wall, floor, k] = [between(3, 9), between(3, 9), between(0, 1)];
        const faces = ball(between(80, 120), between(20, 50), wall);
        const { start, footLean, disc } = roundBase(faces, base, { wall, floor, neutralFraction: k });
        const grown = base.trim;
        const wide = Math.max(faces.outer(0), faces.outer(floor));
        const wanted: Record<Base['join'], readonly [under: number, top: number, start: number] | null> = {
          none: null,
          under: base.trim > 0 ? [wide, wide, floor] : [faces.outer(0), faces.outer(floor), floor],
          inside: [faces.inner(0), faces.inner(floor), 0],
          skirt: [faces.outer(floor) + DEFAULT_SKIRT, faces.outer(floor), floor],
          mitre: [faces.outer(0), faces.inner(floor), floor * (1 - k)],
        };
        const want = wanted[base.join];
        if (!want) {
          expect([disc, start]).toEqual([null, 0]);
          continue;
        }
        expect(disc?.under).toBeCloseTo(2 * (want[0] + grown), 9);
        expect(disc?.top).toBeCloseTo(2 * (want[1] + grown), 9);
        expect(start).toBeCloseTo(want[2], 9);
        expect(tan(disc?.lean ?? NaN) * floor).toBeCloseTo(want[0] - want[1], 9);
        if (base.join !== 'mitre') expect(tan(footLean)).toBeCloseTo(-Math.tan(faces.slopeAt(start)), 9);
      }
    },
  );

  it('under a cone is the cone’s own, for every join', () => {
    for (const base of bases)
      for (let index = 0; index < 20; index += 1) {
        const line = { radius: between(30, 70), halfAngle: between(-0.5, 0.5) };
        const slab = { wall: between(3, 9), floor: between(3, 9), neutralFraction: between(0, 1) };
        const { wall } = slab;
        const outer = (z: number) => line.radius + z * Math.tan(line.halfAngle);
        const made = roundBase(
          { outer, inner: (z) => outer(z) - wall / Math.cos(line.halfAngle), slopeAt: () => line.halfAngle },
          base,
          slab,
        );
        expect(made).toEqual(coneBase(line, base, slab));
      }
  });

  it('in a straight mitre is cut at the angle of base and wall, from the outer edge below to the inner one above', () => {
    for (const [wall, floor] of [
      [6, 6],
      [5, 8],
    ] as const) {
      const faces: RoundFaces = { outer: () => 40, inner: () => 40 - wall, slopeAt: () => 0 };
      const { footLean, disc } = roundBase(faces, { join: 'mitre', trim: 0 }, { wall, floor, neutralFraction: 0.5 });
      expect(tan(footLean)).toBeCloseTo(floor / wall, 9);
      expect(disc).toMatchObject({ under: 80, top: 80 - 2 * wall });
    }
  });
});
