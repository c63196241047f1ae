import { radians, ROUNDING } from '../numbers.ts';
import { vectorLength, type Point3 } from '../geometry/point.ts';
import type { Face } from '../target/face.ts';
import { seamAllowance } from '../parts/seam/seam.ts';
import type { RaisedPart, Ribbon, StripWall } from '../forms/kind/body.ts';
import { plus, times } from './pose.ts';

/** Columns of a strip from one side to the other. */
const COLUMNS = 6;

/** A row of a strip on its way: its middle, and the frame there: along the strip, out of the clay, and how its level line bends. */
interface Row {
  readonly middle: Point3;
  readonly along: Point3;
  readonly out: Point3;
  /** Curvature of the level line (1/mm), and how much of it lies along the strip and out of the clay. */
  readonly bend: number;
  readonly share: { readonly along: number; readonly out: number };
  readonly radius: number;
}

/** A strip on its way up: the wall, the share of the way, which face lay up, and where its foot lies flat. */
interface Way {
  readonly wall: StripWall;
  readonly f: number;
  readonly faceUp: Face;
  /** From the middle of the piece to the middle of the flat strip's foot, and the neutral surface's height there (mm). */
  readonly reach: number;
  readonly low: number;
}

/**
 * The rows of a strip at the share `f` of its way. Its middle line bends by that share of every angle, and each level line by
 * that share of its curvature out of the slab; both keep their lengths, and so does the angle between them.
 */
function rowsOf({ wall, f, reach, low }: Way): Row[] {
  const radial: Point3 = [Math.cos(wall.turn), Math.sin(wall.turn), 0];
  const [first] = wall.rows;
  let [r, z] = [(1 - f) * reach + f * (first?.radius ?? 0), (1 - f) * low + f * (first?.z ?? 0)];
  return wall.rows.map((row, index) => {
    const before = wall.rows[index - 1];
    if (before) {
      const [dr, dz, ds] = [row.radius - before.radius, row.z - before.z, row.along - before.along];
      const chord = ds - f * f * (ds - vectorLength(dr, dz));
      const angle = f * Math.atan2(dz, dr);
      r += chord * Math.cos(angle);
      z += chord * Math.sin(angle);
    }
    const lean = f * (Math.PI / 2 - row.slope);
    const at = (x: number, up: number): Point3 => [x * radial[0], x * radial[1], up];
    const [flat, out] = [Math.sin(row.slope), f * Math.cos(row.slope)];
    const whole = vectorLength(flat, out);
    const straight = whole < ROUNDING;
    return {
      middle: at(r, z),
      along: at(Math.cos(lean), Math.sin(lean)),
      out: at(Math.sin(lean), -Math.cos(lean)),
      bend: straight ? 0 : whole / row.radius,
      share: straight ? { along: 0, out: 1 } : { along: flat / whole, out: out / whole },
      radius: row.radius,
    };
  });
}

/** A point of a strip: `side` mm along the level line of its row, `off` mm out of the neutral surface, `up` mm along the strip. */
function pointOf(
  { middle, along, out, bend, share }: Row,
  aside: Point3,
  { side, off, up }: { readonly side: number; readonly off: number; readonly up: number },
): Point3 {
  const inward = plus(times(along, share.along), out, share.out);
  const still = plus(times(along, share.out), out, -share.along);
  const turned = bend * side;
  const half = Math.sin(turned / 2);
  const [far, back] = bend === 0 ? [side, 0] : [Math.sin(turned) / bend, (2 * half * half) / bend];
  const line = plus(plus(middle, aside, far), inward, -back);
  const now = plus(times(inward, Math.cos(turned)), aside, Math.sin(turned));
  const normal = plus(times(now, share.out), still, -share.along);
  const ahead = plus(times(now, share.along), still, share.out);
  return plus(plus(line, normal, off), ahead, up);
}

/** Turned about the strip's middle line as it lies: with the outside up it comes over on its way. */
function turnedOver(point: Point3, { wall, f, faceUp }: Way, foot: Point3): Point3 {
  if (faceUp === 'inside') return point;
  const angle = Math.PI * (1 - f);
  const [cos, sin] = [Math.cos(wall.turn), Math.sin(wall.turn)];
  const [x, y, z] = plus(point, foot, -1);
  const [out, aside] = [x * cos + y * sin, -x * sin + y * cos];
  const [side, up] = [aside * Math.cos(angle) - z * Math.sin(angle), aside * Math.sin(angle) + z * Math.cos(angle)];
  return plus(foot, [out * cos - side * sin, out * sin + side * cos, up]);
}

/** How far a flat strip's foot reaches back from its middle (mm). */
export function stripBack({ rows, sweep }: StripWall): number {
  const [foot] = rows;
  if (!foot || Math.abs(foot.slope) < ROUNDING) return 0;
  const far = foot.radius / Math.sin(foot.slope);
  return Math.max(0, far * (1 - Math.cos((sweep / 2) * Math.sin(foot.slope))));
}

/** A strip at the share `f` of its way from lying flat to standing. */
export function raisedStrip(wall: StripWall, way: Pick<Way, 'f' | 'faceUp' | 'reach'>): RaisedPart {
  const { thickness: t, neutralFraction: k, seam } = wall;
  const inside = way.faceUp === 'inside';
  const whole: Way = { ...way, wall, low: inside ? (1 - k) * t : k * t };
  const rows = rowsOf(whole);
  const foot = rows[0]?.middle ?? [0, 0, 0];
  const aside: Point3 = [-Math.sin(wall.turn), Math.cos(wall.turn), 0];
  const { run } = seamAllowance(seam, t);
  /** A face `off` mm out of the neutral surface, in rows from foot to rim of points anticlockwise seen from above. */
  const face = (off: number): Point3[][] => {
    // The face that lay up has the traced line; the other one is moved by the slant of both sides.
    const slant = inside ? (-run * (off + k * t)) / t : (run * ((1 - k) * t - off)) / t;
    return rows.map((row, index) => {
      const up =
        index === 0
          ? -off * Math.tan(radians(wall.footLean))
          : index === rows.length - 1
            ? off * Math.tan(radians(wall.rimLean))
            : 0;
      return Array.from({ length: COLUMNS + 1 }, (_, column) => {
        const { from, to } = wall;
        const angle = from + ((to - from) * column) / COLUMNS;
        const slanted = (slant * Math.abs(angle) * 2) / wall.sweep;
        return turnedOver(pointOf(row, aside, { side: row.radius * angle + slanted, off, up }), whole, foot);
      });
    });
  };
  const [inner, outer] = [face(-k * t), face((1 - k) * t)];
  const bands = (face: 'inside' | 'outside', low: readonly Point3[][]) =>
    low.slice(1).map((high, index): Ribbon => {
      const under = low[index] as Point3[];
      return face === 'outside' ? { face, one: under, other: high } : { face, one: high, other: under };
    });
  const side = (points: readonly Point3[][], column: number) => points.map((row) => row.at(column) as Point3);
  const [low, high] = [
    (lines: readonly Point3[][]) => lines[0] as Point3[],
    (lines: readonly Point3[][]) => lines.at(-1) as Point3[],
  ];
  return {
    part: wall.part,
    ribbons: [
      ...bands('outside', outer),
      ...bands('inside', inner),
      { face: 'edge', one: low(inner), other: low(outer) },
      { face: 'edge', one: high(outer), other: high(inner) },
      { face: 'cut', one: side(inner, -1), other: side(outer, -1) },
      { face: 'cut', one: side(outer, 0), other: side(inner, 0) },
    ],
    neutral: null,
  };
}
