import { usedSeam } from '../forms/usedSeam.ts';
import { isDraped } from '../forms/mould/draped.ts';
import { once, radians, ROUNDING, TURN_TOLERANCE } from '../numbers.ts';
import type { SizeState, Target } from '../target/target.ts';
import { cross, dot, length, minus, unit } from './pose.ts';
import { ROUND, UP } from './portraitSize.ts';
import { solidFaces, type SolidFace } from './solid.ts';
import type { Point3 } from '../geometry/point.ts';

/** A point of a portrait (mm). */
export type PortraitPoint = readonly [right: number, up: number];

/** A face that is seen, with how much light falls on it (0 to 1). */
export interface PortraitFace {
  readonly face: SolidFace['face'];
  readonly corners: readonly PortraitPoint[];
  readonly light: number;
  /** Its edges that are drawn: outlines, and creases of the clay. */
  readonly lines: readonly (readonly [PortraitPoint, PortraitPoint])[];
}

/** A piece as the eye sees it, without perspective: the faces from the farthest to the nearest, and all that they reach (mm). */
export interface Portrait {
  readonly faces: readonly PortraitFace[];
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** Light from the upper left, before the piece. */
const LIGHT: Point3 = [-0.5, -0.45, 0.74];

/** Faces that meet at more than this are drawn with a line between them (degrees); a formed slab has coarser faces. */
const CREASE = { raised: 24, formed: 60 } as const;

/** Corners nearer to one another than this are one (mm). */
const SAME = 0.02;

interface Seen {
  readonly face: SolidFace['face'];
  readonly corners: readonly PortraitPoint[];
  readonly keys: readonly string[];
  readonly normal: Point3;
  readonly depth: number;
  readonly front: boolean;
}

/** The normal of a face of any number of corners, its length twice the area. */
function areaNormal(corners: readonly Point3[]): Point3 {
  const [first = [0, 0, 0]] = corners;
  let sum: Point3 = [0, 0, 0];
  for (let index = 2; index < corners.length; index += 1) {
    const [a, b] = [minus(corners[index - 1] as Point3, first), minus(corners[index] as Point3, first)];
    const [x, y, z] = cross(a, b);
    sum = [sum[0] + x, sum[1] + y, sum[2] + z];
  }
  return sum;
}

function seenFrom(faces: readonly SolidFace[], scale: number): Seen[] {
  const [a, e] = [radians(ROUND), radians(UP)];
  const right: Point3 = [-Math.sin(a), Math.cos(a), 0];
  const toEye: Point3 = [Math.cos(e) * Math.cos(a), Math.cos(e) * Math.sin(a), Math.sin(e)];
  const up = cross(toEye, right);
  return faces.flatMap(({ face, corners }): Seen[] => {
    const across = areaNormal(corners);
    if (length(across) < ROUNDING) return [];
    const normal = unit(across);
    const keys = corners.map((point) => point.map((value) => Math.round(value / SAME)).join());
    const middle = corners.reduce((sum, point) => sum + dot(point, toEye), 0) / corners.length;
    return [
      {
        face,
        corners: corners.map((point) => [scale * dot(point, right), scale * dot(point, up)] as const),
        keys,
        normal,
        // A hole is painted over the sheet round it.
        depth: face === 'hole' ? Infinity : middle,
        front: dot(normal, toEye) > TURN_TOLERANCE,
      },
    ];
  });
}

/** The name of an edge whichever way it runs. */
function edgeName(one = '', other = ''): string {
  return one < other ? `${one} ${other}` : `${other} ${one}`;
}

function drawnPortrait(target: Target, state: SizeState): Portrait | null {
  const faces = solidFaces(target);
  if (!faces) return null;
  const seen = seenFrom(faces, state === 'fired' ? 1 - target.clay.shrinkage : 1);
  const meeting = new Map<string, Seen[]>();
  for (const one of seen) {
    one.keys.forEach((key, index) => {
      const next = one.keys[(index + 1) % one.keys.length];
      if (key === next) return;
      const name = edgeName(key, next);
      const list = meeting.get(name);
      if (list) list.push(one);
      else meeting.set(name, [one]);
    });
  }
  const crease = Math.cos(radians(CREASE[isDraped(target) ? 'formed' : 'raised']));
  const isLine = (one: Seen, name: string): boolean => {
    const others = (meeting.get(name) ?? []).filter((other) => other !== one);
    if (others.length === 0) return true;
    // Two parts that meet in one surface, as at a seam, go on into one another.
    if (others.some((other) => other.front && dot(one.normal, other.normal) > crease)) return false;
    return true;
  };
  const toLight = unit(LIGHT);
  // Ends that are joined lie within the clay; a lapped end shows.
  const hidden = (one: Seen) => one.face === 'cut' && target.form.kind !== 'stand' && usedSeam(target).kind !== 'lap';
  const shown = seen
    .filter((one) => one.front && !hidden(one))
    .sort((one, other) => one.depth - other.depth)
    .map((one): PortraitFace => {
      const { face, corners, keys, normal } = one;
      const lines = corners.flatMap((corner, index) => {
        const next = (index + 1) % corners.length;
        if (keys[index] === keys[next]) return [];
        return isLine(one, edgeName(keys[index], keys[next]))
          ? [[corner, corners[next] as PortraitPoint] as const]
          : [];
      });
      return { face, corners, lines, light: Math.max(0, dot(normal, toLight)) };
    });
  const all = shown.flatMap(({ corners }) => corners);
  const reach = (axis: 0 | 1, sign: 1 | -1) =>
    sign * all.reduce((most, point) => Math.max(most, sign * point[axis]), -Infinity);
  return { faces: shown, left: reach(0, -1), right: reach(0, 1), bottom: reach(1, -1), top: reach(1, 1) };
}

const firedPortrait = once((target: Target) => drawnPortrait(target, 'fired'));
const wetPortrait = once((target: Target) => drawnPortrait(target, 'wet'));

/**
 * A quiet three-quarter view of the finished piece, made from the raised clay itself, at its own size (mm).
 * Null for an imported mould of too many triangles.
 */
export function portrait(target: Target, state: SizeState): Portrait | null {
  return (state === 'fired' ? firedPortrait : wetPortrait)(target);
}
