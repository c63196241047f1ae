import { circle, mould } from './moulds.test.helper.ts';
import type { MouldForm, MouldWall } from '../../target/mouldForm.ts';
import { mouldSurface } from './mouldSurface.ts';
import { movedMould } from './movedMould.ts';
import { tightCorners } from './tightCorners.ts';
import { shifted, spotAt, standsOf } from './wallStand.ts';

const SHARP = { kind: 'polygon', sides: 4, acrossFlats: 200, corner: 0 } as const;
const SHARP_FOOT = { kind: 'polygon', sides: 4, acrossFlats: 160, corner: 0 } as const;
const OVAL = { kind: 'ellipse', length: 260, width: 180 } as const;
const WALLS = ['straight', 'curved', 's', 'dome', 'drawn'] as const satisfies readonly MouldWall[];

const formOf = (wall: MouldWall): MouldForm =>
  mould({
    rim: circle(200),
    depth: 50,
    wall,
    ...(wall === 'dome' ? {} : { foot: circle(120) }),
    ...(wall === 'drawn' && {
      profile: [
        [0, 0],
        [0.5, 0.2],
        [0.8, 0.7],
        [1, 1],
      ],
    }),
  }).form as MouldForm;

describe('the profile of a wall', () => {
  it.each(WALLS)('%s: runs from the floor to the rim, and its slope is that of its points', (wall) => {
    const { profile } = mouldSurface(formOf(wall));
    const [foot, rim] = [profile(0), profile(1)];
    [foot.out, foot.up].forEach((value) => expect(value).toBeCloseTo(0, 9));
    [rim.out, rim.up].forEach((value) => expect(value).toBeCloseTo(1, 9));
    const step = 1e-6;
    // The speed along the way does not matter, only its direction.
    for (let share = 0.05; share < 0.96; share += 0.05) {
      const [before, at, after] = [profile(share - step), profile(share), profile(share + step)];
      const cross = (after.out - before.out) * at.upBy - (after.up - before.up) * at.outBy;
      expect(Math.abs(cross) / (2 * step * Math.hypot(at.outBy, at.upBy))).toBeLessThan(1e-6);
    }
  });
});

describe('corners that are too tight', () => {
  const rounded = { kind: 'polygon', sides: 4, acrossFlats: 200, corner: 6 } as const;
  it.each([
    ['sharp, on a hump', SHARP, 5, 0],
    ['sharp, in a hollow', SHARP, -5, 4],
    ['round, wider than the way in', rounded, -5, 0],
    ['round, as tight as the way in', rounded, -6, 4],
    ['round, tighter than the way in', rounded, -8, 4],
  ] as const)('%s', (_, rim, distance, count) => {
    const { rim: shape } = mouldSurface({ ...formOf('straight'), rim });
    expect(tightCorners(shape, shape.flats, distance)).toHaveLength(count);
  });

  it('move along the planes on both sides', () => {
    const surface = mouldSurface({ ...formOf('straight'), rim: SHARP, foot: SHARP_FOOT });
    const { flats } = surface.rim;
    const tight = tightCorners(surface.rim, flats, -4);
    const standAt = standsOf(surface, tight);
    const slant = Math.hypot(20, 50);
    for (const [index, from] of flats.entries()) {
      const to = flats[(index + 1) % flats.length] as number;
      const spot = spotAt(standAt(from, 'after'), surface.depth, surface.profile(0.5));
      const moved = shifted(spot, -4);
      for (const phi of [from, to]) {
        const normal = [(Math.cos(phi) * 50) / slant, (Math.sin(phi) * 50) / slant, -20 / slant];
        const off = normal.reduce(
          (sum, share, axis) => sum + share * ((moved[axis] ?? 0) - (spot.place[axis] ?? 0)),
          0,
        );
        expect(off).toBeCloseTo(-4, 9);
      }
    }
  });
});

describe('a moved surface', () => {
  it.each([-6, -2, 3, 8])('lies everywhere %d mm from the unmoved one, along its normal', (distance) => {
    for (const wall of WALLS) {
      const surface = mouldSurface({ ...formOf(wall), rim: OVAL });
      const [still, moved] = [movedMould(surface, 0), movedMould(surface, distance)];
      for (let turn = 0; turn < 12; turn += 1) {
        const bearing = moved.facing((turn * Math.PI) / 6 + 0.1);
        // The wall of a hollow with an edge begins further up: its points are looked for on the unmoved one.
        const place = moved.wallAt(bearing, 0.5);
        const near = nearest((share) => still.wallAt(bearing, share), place);
        expect(near).toBeCloseTo(Math.abs(distance), 3);
      }
    }
  });
});

/** Distance from a place to a line that is given by a share (mm). */
function nearest(at: (share: number) => readonly number[], place: readonly number[]): number {
  const off = (share: number) => Math.hypot(...at(share).map((value, axis) => value - (place[axis] ?? 0)));
  let [low, high] = [0, 1];
  while (high - low > 1e-7) {
    const [one, other] = [low + (high - low) / 3, high - (high - low) / 3];
    if (off(one) < off(other)) high = other;
    else low = one;
  }
  return off((low + high) / 2);
}
