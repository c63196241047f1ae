import { seeded } from '../../seeded.ts';
import type { Quad } from '../screen/homography.ts';
import type { Pixel } from './image.ts';
import type { Scene, Shape } from './rendered.test.helper.ts';

const A4 = { width: 297, height: 210 };
const LETTER = { width: 279.4, height: 215.9 };
const SIZE = { width: 1024, height: 768 };

/** A shape moved to a place and turned. */
export const placed = (shape: Shape, [x, y]: Pixel, turn: number): Shape => {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return ([u, v]) => shape([c * (u - x) + s * (v - y), -s * (u - x) + c * (v - y)]);
};

export const round =
  (diameter: number): Shape =>
  ([x, y]) =>
    Math.hypot(x, y) - diameter / 2;

/** A rectangle with rounded corners. */
export const box =
  (width: number, height: number, corner: number): Shape =>
  ([x, y]) => {
    const [dx, dy] = [Math.abs(x) - width / 2 + corner, Math.abs(y) - height / 2 + corner];
    return Math.hypot(Math.max(dx, 0), Math.max(dy, 0)) + Math.min(Math.max(dx, dy), 0) - corner;
  };

/** A part of a ring, its middle up, moved so that it lies about (0, 0). */
export const arc =
  (inner: number, outer: number, sweep: number): Shape =>
  ([x, y0]) => {
    const y = y0 + (inner + outer) / 2;
    const half = sweep / 2;
    const angle = Math.abs(Math.atan2(x, y));
    const r = Math.hypot(x, y);
    const ends = r * Math.sin(angle - half);
    const within = Math.max(inner - r, r - outer, ends);
    if (within <= 0 || angle <= half) return Math.max(inner - r, r - outer, angle <= half ? ends : -Infinity);
    // Beyond an end: as far as the end, a piece of a straight line.
    const along = Math.min(outer, Math.max(inner, r * Math.cos(angle - half)));
    return Math.hypot(Math.abs(x) - along * Math.sin(half), y - along * Math.cos(half));
  };

const without =
  (shape: Shape, hole: Shape): Shape =>
  (at) =>
    Math.max(shape(at), -hole(at));

/** The corners of a sheet seen by a camera that looks down at its middle, tilted (rad) about an axis in the table, turned about its own. */
function seen(
  paper: { width: number; height: number },
  {
    tilt,
    axis,
    turn,
    fills,
  }: { readonly tilt: number; readonly axis: number; readonly turn: number; readonly fills: number },
): Quad {
  const focal = 1.15 * SIZE.width;
  const far = (focal * paper.width) / (fills * SIZE.width);
  const corners = [
    [-1, 1],
    [1, 1],
    [1, -1],
    [-1, -1],
  ].map(([x = 0, y = 0]): Pixel => {
    const [u, v] = [(x * paper.width) / 2, (y * paper.height) / 2];
    const [a, b] = [u * Math.cos(axis) + v * Math.sin(axis), -u * Math.sin(axis) + v * Math.cos(axis)];
    const [p, q, z] = [a, b * Math.cos(tilt), far + b * Math.sin(tilt)];
    const [s, t] = [
      p * Math.cos(turn - axis) + q * Math.sin(turn - axis),
      -p * Math.sin(turn - axis) + q * Math.cos(turn - axis),
    ];
    return [SIZE.width / 2 + (focal * s) / z, SIZE.height / 2 - (focal * t) / z];
  });
  return corners as unknown as Quad;
}

/** Area of a part of a ring, and of a rectangle with rounded corners (mm2). */
const ringArea = (inner: number, outer: number, sweep: number) => ((outer * outer - inner * inner) * sweep) / 2;
const boxArea = (width: number, height: number, corner: number) => width * height - (4 - Math.PI) * corner * corner;
const roundArea = (diameter: number) => (Math.PI * diameter * diameter) / 4;

/** A thing of known shape, holes and outer area, by the figures of chance. */
type Thing = readonly [name: string, holes: number, shape: Shape, size: number];
const THINGS: readonly ((between: (least: number, most: number) => number) => Thing)[] = [
  (between) => {
    const d = between(60, 150);
    return ['round', 0, round(d), roundArea(d)];
  },
  (between) => {
    const [inner, outer, sweep] = [between(120, 180), between(200, 240), between(0.5, 0.8)];
    return ['arc', 0, arc(inner, outer, sweep), ringArea(inner, outer, sweep)];
  },
  (between) => {
    const [wide, high] = [between(80, 180), between(60, 120)];
    return ['card', 0, box(wide, high, 0.01), wide * high];
  },
  (between) => {
    const [wide, high, corner] = [between(90, 190), between(70, 140), between(12, 30)];
    return ['plate', 0, box(wide, high, corner), boxArea(wide, high, corner)];
  },
  (between) => {
    const [wide, high] = [between(120, 180), between(80, 130)];
    const hole = placed(round(between(16, 40)), [between(-20, 20), between(-10, 10)], 0);
    return ['sheet with a hole', 1, without(box(wide, high, 8), hole), boxArea(wide, high, 8)];
  },
];

/** What may be asked of a scene: moved off the picture, evenly lit without shadow, the thing as bright as said. */
interface Wishes {
  readonly shift?: number;
  readonly bare?: boolean;
  readonly thing?: number;
  readonly straight?: number;
}

/** A photograph of a shape in the middle of a sheet: tilt to 25 degrees, curved lens, noise, shadow and uneven light by chance. */
export function sceneOf(
  seed: number,
  shape: Shape,
  { shift = 0, bare = false, thing, straight = 0 }: Wishes = {},
): Scene {
  const random = seeded(seed);
  const between = (least: number, most: number) => least + random() * (most - least);
  const paper = seed % 4 === 0 ? LETTER : A4;
  const middle: Pixel = [paper.width / 2 + between(-12, 12), paper.height / 2 + between(-8, 8)];
  const corners = seen(paper, {
    tilt: (between(0, 25) * Math.PI) / 180,
    axis: between(0, 2 * Math.PI),
    turn: between(-0.12, 0.12),
    fills: between(0.68, 0.76),
  });
  return {
    paper,
    shape: bare ? shape : placed(shape, middle, (1 - straight) * between(-0.3, 0.3)),
    corners: corners.map(([x, y]) => [x + shift, y]) as unknown as Quad,
    curve: between(-0.08, 0.08),
    noise: between(0.003, 0.02),
    table: between(0.12, 0.42),
    thing: thing ?? between(0.1, 0.5),
    falls: bare ? 0 : between(0, 0.4),
    shadow: { by: [between(-3, 3), between(-3, 3)], soft: between(4, 10), dark: bare ? 0 : between(0, 0.3) },
    ...SIZE,
    seed,
  };
}

/** Photographs that are made up of round things, arcs, cards, plates and sheets with a hole. */
export function scenes(count: number) {
  return Array.from({ length: count }, (_, index) => {
    const random = seeded(1000 + index);
    const make = THINGS[index % THINGS.length] as (typeof THINGS)[number];
    const [name, holes, shape, size] = make((least, most) => least + random() * (most - least));
    return { index, name, holes, size, scene: sceneOf(index + 1, shape, { straight: name === 'arc' ? 0.6 : 0 }) };
  });
}
