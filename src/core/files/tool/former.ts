import { kindOf } from '../../forms/kinds.ts';
import type { Mesh } from '../../geometry/mesh/mesh.ts';
import { raise, standingBody } from '../../raise/raise.ts';
import type { Target } from '../../target/target.ts';
import { fan, meanPoint, planSize, strip, type Tool } from './mouldTool.ts';
import type { Point3 } from '../../geometry/point.ts';

/** Points closer than this count as one (mm). */
const ONE = 0.05;

const apart = (p: Point3, q: Point3) => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);

/** A former, or why there is none. */
export type FormerMade =
  | { readonly kind: 'tool'; readonly tool: Tool; readonly clearance: number }
  | { readonly kind: 'refused'; readonly rule: string };

/** The inside of the standing wall as two lines once round, point by point: its foot and its rim (wet mm). */
function insideLines(target: Target): { foot: Point3[]; rim: Point3[] } {
  const [foot, rim]: [Point3[], Point3[]] = [[], []];
  const body = standingBody(target);
  // Its ends cut straight down: a bevel's tips lie beside the round.
  const plain = { ...body, walls: body.walls.map((wall) => (wall.kind === 'bent' ? { ...wall, seam: null } : wall)) };
  const ribbons = raise(plain, 1)
    .filter(({ part }) => part !== 'base')
    .flatMap((part) => part.ribbons.filter(({ face }) => face === 'inside'));
  for (const { one: top, other: bottom } of ribbons) {
    const [one, other] = (top[0]?.[2] ?? 0) < (bottom[0]?.[2] ?? 0) ? [top, bottom] : [bottom, top];
    one.forEach((low, index) => {
      const high = other[index] as Point3;
      const there = (at: number) => {
        const [p, q] = [foot[at], rim[at]];
        return p !== undefined && q !== undefined && apart(p, low) < ONE && apart(q, high) < ONE;
      };
      if (there(0) || there(foot.length - 1)) return;
      foot.push(low);
      rim.push(high);
    });
  }
  return { foot, rim };
}

/** A closed counter-clockwise line with each side moved inward in plan by a distance (mm). */
function inwards(line: readonly Point3[], by: number): Point3[] {
  return line.map(([x, y, z], index) => {
    const before = line[(index + line.length - 1) % line.length] as Point3;
    const next = line[(index + 1) % line.length] as Point3;
    const side = (p: Point3, q: Point3): readonly [number, number] => {
      const long = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
      return [-(q[1] - p[1]) / long, (q[0] - p[0]) / long];
    };
    const [u, v] = [side(before, [x, y, z]), side([x, y, z], next)];
    const share = 1 + u[0] * v[0] + u[1] * v[1];
    return [x + (by * (u[0] + v[0])) / share, y + (by * (u[1] + v[1])) / share, z];
  });
}

/**
 * A solid that the wet wall is wrapped round: its inside, smaller by a clearance all round (mm), standing on its smaller end
 * turned so that it comes out. Only where the wall is level above and below and no wider in between.
 *
 * @throws Error where its ends cannot be cut into triangles
 */
export function formerOf(target: Target, clearance: number): FormerMade {
  if (!kindOf(target).traits.former) return { kind: 'refused', rule: 'has no wall that one former fits' };
  const whole = insideLines(target);
  const level = (line: readonly Point3[]) => line.every(([, , z]) => Math.abs(z - (line[0]?.[2] ?? 0)) < ONE);
  if (whole.foot.length < 3 || !level(whole.foot) || !level(whole.rim))
    return { kind: 'refused', rule: 'has no former: its wall is not level above and below' };
  const [foot, rim] = [inwards(whole.foot, clearance), inwards(whole.rim, clearance)];
  const height = (rim[0]?.[2] ?? 0) - (foot[0]?.[2] ?? 0);
  const [low, high] = [planSize(foot), planSize(rim)];
  if (!(low > 0 && high > 0 && height > 0))
    return { kind: 'refused', rule: 'has no former: no room is left within its wall' };
  const middle = planSize(
    foot.map(
      (point, index) =>
        point.map((value, axis) => (value + ((rim[index] as Point3)[axis] as number)) / 2) as unknown as Point3,
    ),
  );
  // A ruled wall between level ends: its sections grow as a square of the height, so Simpson's rule is exact.
  const volume = (height * (low + 4 * middle + high)) / 6;
  return { kind: 'tool', tool: { mesh: solidBetween(foot, rim), volume }, clearance };
}

/** A solid between two level lines of as many points, standing on the wider one at z = 0. */
function solidBetween(foot: readonly Point3[], rim: readonly Point3[]): Mesh {
  const over = planSize(rim) > planSize(foot);
  const top = rim[0]?.[2] ?? 0;
  const bottom = foot[0]?.[2] ?? 0;
  // Turned over about the x axis it stands on its rim.
  const stood = ([x, y, z]: Point3): Point3 => (over ? [x, -y, top - z] : [x, y, z - bottom]);
  const low = foot.map((_, index) => index);
  const high = rim.map((_, index) => foot.length + index);
  const positions = [...foot, ...rim, meanPoint(foot), meanPoint(rim)].flatMap(stood);
  const triangles = [
    ...strip(low, high),
    ...fan([...low].reverse(), 2 * foot.length),
    ...fan(high, 2 * foot.length + 1),
  ];
  return { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) };
}
