import type { Lid } from '../../target/lid.ts';
import { degrees, LENGTH_TOLERANCE } from '../../numbers.ts';
import { planOutline } from '../../geometry/outline/curve.ts';
import { area, bounds, mirrored } from '../../geometry/outline/outline.ts';
import { pointAt } from '../../geometry/outline/stations.ts';
import { inward, outwardSharp } from '../../geometry/outline/derived.ts';
import { turned, type Support } from '../../geometry/outline/support.ts';
import { girth, leastRadius } from '../../geometry/outline/planMeasures.ts';
import { bandPart } from '../part/bandPart.ts';
import type { Face } from '../../target/face.ts';
import { laidPanel } from '../part/panelPart.ts';
import type { Part } from '../part/part.ts';
import type { Seam } from '../../target/seam.ts';

/** Across a ball of clay (mm). */
export function ballAcross(volume: number): number {
  return Math.cbrt((6 * volume) / Math.PI);
}

/** A lid as it is cut. Wet mm. */
export interface CutLid {
  readonly kind: Lid['kind'];
  /** Level outlines: the wall's outside at the rim, the narrowest inside that the flange passes, the widest outside that the cap does. */
  readonly rim: Support;
  readonly inside: Support;
  readonly outside: Support;
  readonly clearance: number;
  readonly depth: number;
  readonly overhang: number;
  /** Thickness of the slab on top, and of the flange or side. */
  readonly top: number;
  readonly wall: number;
  readonly neutralFraction: number;
  readonly seam: Seam;
  readonly faceUp: Face;
}

/** Figures of a lid. Wet mm. */
export interface LidFigures {
  /** Across the top, along the x axis. */
  readonly across: number;
  /** Neutral length of the flange or side, once round. */
  readonly girth: number;
  /** Least radius that the flange or side is bent to; Infinity where it is made of flat strips. */
  readonly bendRadius: number;
  /** Across the free opening that the flange leaves, or the inside of the cap, along the x axis. */
  readonly free: number;
  readonly parts: readonly Part[];
  /** Level outlines of the plate, and of the outer and inner face of the flange or side. */
  readonly plate: Support;
  readonly side: { readonly outer: Support; readonly inner: Support };
}

/** Outlines with a smaller radius have corners, and are made of strips (mm). */
const CORNER = 1e-6;

/** A level plate of one outline, cut straight down. */
function topPart(plan: Support, thickness: number, faceUp: Face): Part {
  const drawn = planOutline(plan);
  const outline = faceUp === 'inside' ? drawn : mirrored(drawn);
  const box = bounds(outline);
  const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  return {
    id: 'lid',
    role: 'lid',
    name: 'Lid',
    count: 1,
    thickness,
    faceUp,
    outline,
    underside: outline,
    leans: [],
    marks: [
      { kind: 'line', name: 'centre', from: [x - 4, y], to: [x + 4, y] },
      { kind: 'line', name: 'centre', from: [x, y - 4], to: [x, y + 4] },
    ],
    volume: area(outline) * thickness,
  };
}

/** Straight strips between sharp corners, mitred where they meet; strips of one length are one part. */
function strips(outer: Support, name: string, { depth, wall, faceUp }: CutLid): Part[] {
  const sides = outer.flats.map((phi, index) => {
    const [ax, ay] = pointAt(outer, phi, 'before');
    const [bx, by] = pointAt(outer, phi, 'after');
    const turn = turned((outer.flats[(index + 1) % outer.flats.length] ?? phi) - phi);
    return { length: Math.hypot(bx - ax, by - ay), mitre: degrees(turn) / 2 };
  });
  const kinds = sides.filter(
    (side, index) => sides.findIndex((one) => Math.abs(one.length - side.length) < LENGTH_TOLERANCE) === index,
  );
  return kinds.map(
    ({ length, mitre }, index) =>
      laidPanel({
        id: kinds.length === 1 ? 'flange' : `flange-${index + 1}`,
        role: 'flange',
        name: kinds.length === 1 ? name : `${name} ${index + 1}`,
        count: sides.filter((side) => Math.abs(side.length - length) < LENGTH_TOLERANCE).length,
        thickness: wall,
        faceUp,
        corners: [
          [0, 0],
          [length, 0],
          [length, depth],
          [0, depth],
        ],
        edges: [
          { name: 'foot', lean: 0 },
          { name: 'right', lean: mitre },
          { name: 'rim', lean: 0 },
          { name: 'left', lean: mitre },
        ],
      }).part,
  );
}

/** The flange or side by its outer face: one band, or strips where the outline has corners. */
function side(
  outer: Support,
  neutral: Support,
  { name, lid }: { readonly name: string; readonly lid: CutLid },
): Part[] {
  if (leastRadius(neutral) <= CORNER) return strips(outer, name, lid);
  const length = girth(neutral);
  return [
    bandPart({
      id: 'flange',
      role: 'flange',
      name,
      letter: 'L',
      girthFoot: length,
      girthRim: length,
      slant: lid.depth,
      footLean: 0,
      rimLean: 0,
      thickness: lid.wall,
      neutralFraction: lid.neutralFraction,
      seam: lid.seam,
      faceUp: lid.faceUp,
    }),
  ];
}

/**
 * The parts of a lid (geometry: offsets of a support function). The flange's outer face lies `clearance` inside the
 * narrowest inside that it passes, the cap's inner face `clearance` outside the widest outside.
 */
export function cutLid(lid: CutLid): LidFigures {
  const { kind, clearance, wall: t, neutralFraction: k } = lid;
  const flat = kind === 'flat';
  const outer = flat ? inward(lid.inside, clearance) : outwardSharp(lid.outside, clearance + t);
  const neutral = inward(outer, (1 - k) * t);
  const free = inward(outer, t);
  const plate = flat ? outwardSharp(lid.rim, lid.overhang) : outer;
  const across = (shape: Support) => shape.h(0) + shape.h(Math.PI);
  const cornered = leastRadius(neutral) <= CORNER;
  return {
    across: across(plate),
    girth: girth(neutral),
    bendRadius: cornered ? Infinity : leastRadius(neutral),
    free: across(free),
    plate,
    side: { outer, inner: free },
    parts: [
      topPart(plate, lid.top, lid.faceUp),
      ...side(outer, neutral, { name: flat ? 'Flange' : 'Side of the cap', lid }),
    ],
  };
}
