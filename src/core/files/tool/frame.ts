import { arcLine } from '../../geometry/outline/arcLine.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { mouldSurface } from '../../forms/mould/mouldSurface.ts';
import { POINT_TOLERANCE } from '../../numbers.ts';
import { planOutline } from '../../geometry/outline/curve.ts';
import { between, inward } from '../../geometry/outline/derived.ts';
import type { Outline } from '../../geometry/outline/outline.ts';
import { pointsAt, stationsAround } from '../../geometry/outline/stations.ts';
import type { Support } from '../../geometry/outline/support.ts';
import type { Part } from '../../parts/part/part.ts';
import type { Target } from '../../target/target.ts';
import { writeLength, type LengthStyle } from '../../units/writeLength.ts';
import type { About } from '../sheet/about.ts';
import type { Point } from '../../geometry/point.ts';

/** Wood left round the opening of a frame (mm). */
const BOARD = 50;

/** Steps up the wall, and places round a level outline, by which a section is taken; arcs follow it within this (mm). */
const STEPS = 90;
const ROUND = 720;
const TOLERANCE = 0.02;

/** Where a convex outline crosses the line through a point along x (0) or along y (1): least and greatest place along it. */
function crossed(shape: Support, along: 0 | 1, [x, y]: Point): Point | null {
  const points = pointsAt(shape, stationsAround(shape, ROUND));
  const level = along === 0 ? y : x;
  const across = 1 - along;
  const found = points.slice(1).flatMap((point, index): number[] => {
    const before = points[index] as Point;
    const [a, b] = [(before[across] as number) - level, (point[across] as number) - level];
    if (a === b || a * b > 0) return [];
    return [(before[along] as number) + (a / (a - b)) * ((point[along] as number) - (before[along] as number))];
  });
  return found.length > 1 ? [Math.min(...found), Math.max(...found)] : null;
}

/** A mould's hollow cut upright through the middle of its rim, along x or y: its rim level at the top, about the middle (mm). */
function section(form: MouldForm, along: 0 | 1): Outline {
  const { foot, rim, depth, profile } = mouldSurface(form);
  const middle = ((shape: Support): Point => [
    (shape.h(0) - shape.h(Math.PI)) / 2,
    (shape.h(Math.PI / 2) - shape.h(1.5 * Math.PI)) / 2,
  ])(rim);
  const right: Point[] = [];
  const left: Point[] = [];
  for (let step = 0; step <= STEPS; step += 1) {
    const { out, up } = profile(step / STEPS);
    const ends = crossed(between(foot, rim, out), along, middle);
    if (!ends) continue;
    left.push([ends[0] - (middle[along] as number), up * depth]);
    right.push([ends[1] - (middle[along] as number), up * depth]);
  }
  const [floor, start, end] = [left[0], right[0], right.at(-1)] as [Point, Point, Point];
  const flat = Math.hypot(start[0] - floor[0], start[1] - floor[1]) > POINT_TOLERANCE;
  const down = arcLine([...left].reverse(), TOLERANCE);
  const up = arcLine(right, TOLERANCE);
  return [...down, ...(flat ? [[floor[0], floor[1], 0] as const] : []), ...up, [end[0], end[1], 0]];
}

const BOARD_ID = 'frame';

const part = (
  id: string,
  name: string,
  { outline, holes }: { readonly outline: Outline; readonly holes?: readonly Outline[] },
): Part => ({
  id,
  role: 'frame',
  name,
  count: 1,
  thickness: 0,
  faceUp: 'outside',
  outline,
  ...(holes && { holes }),
  underside: outline,
  leans: [],
  marks: [],
  volume: 0,
});

/**
 * What is sawn of wood for a mould, at the size that the clay lies on: the board with the opening that a slab hangs in, or for
 * a hump the board that it stands on, and the upright sections through its middle, lengthwise and across.
 */
export function frameParts(form: MouldForm): readonly Part[] {
  const { rim } = mouldSurface(form);
  const opening = planOutline(rim);
  const board =
    form.side === 'slump'
      ? part(BOARD_ID, 'Frame', { outline: planOutline(inward(rim, -BOARD)), holes: [opening] })
      : part(BOARD_ID, 'Board', { outline: opening });
  return [
    board,
    part('section-long', 'Section, long', { outline: section(form, 0) }),
    part('section-across', 'Section, across', { outline: section(form, 1) }),
  ];
}

/** What the pattern of a frame says. */
export function aboutFrame({ name, form }: Target, style: LengthStyle): About {
  const side = form.kind === 'mould' ? form.side : 'hump';
  const depth = form.kind === 'mould' ? writeLength(form.depth, style) : '';
  return {
    whole: [
      name,
      `a wooden ${side === 'slump' ? 'frame' : 'hump'}, ${depth} deep, at the size that the clay lies on`,
    ].join(' · '),
    of: ({ id }) => {
      if (id === BOARD_ID)
        return [
          side === 'slump'
            ? 'Saw out the opening, round its upper edge and seal the wood. The slab hangs in it, face down on cloth.'
            : 'The board that the hump stands on.',
        ];
      return [
        side === 'slump'
          ? 'Held into the hanging slab, its straight edge level with the frame: the slab’s underside follows the curve.'
          : 'A rib, or a template to shape the hump by: its straight edge on the board.',
      ];
    },
  };
}
