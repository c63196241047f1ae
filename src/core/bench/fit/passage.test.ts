import { DEFAULT_HANDLE } from '../../target/handle.ts';
import { DEFAULT_LID } from '../../target/lid.ts';
import { hull } from '../../geometry/outline/hull.ts';
import type { RaisedPart } from '../../forms/kind/body.ts';
import { raiseAdded } from '../../raise/added.ts';
import { raisePiece } from '../../raise/pushed.ts';
import { standingBody } from '../../raise/raise.ts';
import { seeded } from '../../seeded.ts';
import { checkTarget } from '../../forms/checkTarget.ts';
import { stopIn, widestAcross } from './passage.ts';
import { standingLevels } from './standingLevels.ts';
import type { Form, Target } from '../../target/target.ts';
import { level, targetWith } from '../../piece/targets.test.helper.ts';

/** The standing piece as it is raised from its flat parts: a way of its own to where its clay is. Fired mm. */
function raisedPoints(target: Target): (readonly [number, number, number])[] {
  const body = standingBody(target);
  const parts: RaisedPart[] = raiseAdded(target, {
    raised: raisePiece(target, body, 1),
    flat: raisePiece(target, body, 0),
    f: 1,
  });
  const fired = 1 - target.clay.shrinkage;
  return parts
    .flatMap(({ ribbons }) => ribbons.flatMap(({ one, other }) => [...one, ...other]))
    .map(([x, y, z]) => [x * fired, y * fired, z * fired] as const);
}

/** The least circle by steps towards the furthest point (Badoiu and Clarkson): slow, and not the way it is done in core. */
function acrossOf(cloud: readonly (readonly [number, number, number])[]): number {
  const points = hull(cloud.map(([x, y]) => [x, y] as const));
  let [x, y] = [0, 0];
  let most = 0;
  for (let step = 1; step <= 3000; step += 1) {
    most = 0;
    let far = points[0] as readonly [number, number];
    for (const point of points) {
      const away = Math.sqrt((point[0] - x) ** 2 + (point[1] - y) ** 2);
      if (away > most) [most, far] = [away, point];
    }
    [x, y] = [x + (far[0] - x) / (step + 1), y + (far[1] - y) / (step + 1)];
  }
  return 2 * most;
}

const KINDS: Readonly<Record<string, (between: (low: number, high: number) => number) => Form>> = {
  cylinder: (b) => ({ kind: 'cylinder', diameter: b(60, 140), height: b(90, 140) }),
  taper: (b) => ({ kind: 'taper', rim: b(60, 140), foot: b(60, 140), height: b(90, 140) }),
  stack: (b) => ({
    kind: 'stack',
    profile: [
      [0, b(60, 90)],
      [b(40, 60), b(70, 120)],
      [b(100, 140), b(60, 120)],
    ],
  }),
  oval: (b) => ({ kind: 'oval', length: b(70, 160), width: b(70, 160), height: b(90, 140) }),
  facet: (b) => ({
    kind: 'facet',
    sides: Math.floor(b(3, 9)),
    rim: b(80, 120),
    foot: b(70, 120),
    height: b(90, 140),
    fold: 'separate',
  }),
  box: (b) => ({ kind: 'box', length: b(60, 140), width: b(60, 140), height: b(90, 140) }),
  loft: (b) => ({
    kind: 'loft',
    rim: { kind: 'rounded', length: b(70, 130), width: b(70, 130), corner: b(12, 30) },
    foot: { kind: 'ellipse', length: b(70, 130), width: b(70, 130), at: [b(-15, 15), b(-15, 15)] },
    height: b(90, 140),
  }),
};

describe('what a hole must take of a piece', () => {
  it.each(Object.entries(KINDS))('is the circle round all of its raised clay: %s', (_, make) => {
    const random = seeded(31);
    const between = (low: number, high: number) => low + random() * (high - low);
    let tried = 0;
    let asked = 0;
    while (tried < 4) {
      asked += 1;
      if (asked > 200) throw new Error('too few can be made');
      const form = make(between);
      const round = ['cylinder', 'taper', 'stack'].includes(form.kind);
      const wide = form.kind === 'stack' ? 125 : 145;
      const target: Target = {
        ...level(form, {
          seam: { kind: 'butt', panels: 1 } as never,
          clay: { shrinkage: between(0, 0.15) },
          slab: { wall: 5, base: 5 },
        }),
        ...(tried % 2 === 1 && {
          handle: { ...DEFAULT_HANDLE, projection: between(30, 45) },
          marks: {
            places: [
              { kind: 'handle', at: round || form.kind === 'box' || form.kind === 'facet' ? 0 : between(0, 360) },
            ],
          },
        }),
        ...(tried % 4 > 1 && { lid: { ...DEFAULT_LID, overhang: between(0, 8) } }),
        ...(round && { belly: { diameter: wide, at: between(30, 70) } }),
      };
      if (checkTarget(target).length > 0) continue;
      tried += 1;
      const points = raisedPoints(target);
      const across = acrossOf(points);
      expect(Math.abs(widestAcross(target) - across)).toBeLessThan(0.12);
      const top = points.reduce((most, [, , z]) => Math.max(most, z), 0);
      expect(Math.abs(standingLevels(target).height - top)).toBeLessThan(0.03);
      // In a smaller hole it stops where all the clay below needs no more than the hole.
      const hole = 0.97 * across;
      const stop = stopIn(target, hole);
      if (!stop) throw new Error('nothing stops it');
      const below = points.filter(([, , z]) => z < stop.z - 0.6);
      if (below.length > 2) expect(acrossOf(below)).toBeLessThan(hole + 0.12);
    }
  });

  it('grows with nothing that is inside: pads, a flat lid within the rim', () => {
    const plain = targetWith();
    expect(widestAcross({ ...plain, lid: DEFAULT_LID })).toBeCloseTo(widestAcross(plain), 6);
  });
});
