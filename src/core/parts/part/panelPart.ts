import { radians } from '../../numbers.ts';
import { area, bounds, mirrored, moved } from '../../geometry/outline/outline.ts';
import { insetPolygon } from '../../geometry/outline/polygon.ts';
import { leanWord, turnedLean, type Lean } from './lean.ts';
import type { Face } from '../../target/face.ts';
import type { Part, PartRole } from './part.ts';

/**
 * A flat panel by the corners of its outer face (mm, counter-clockwise, foot first, as seen from outside) and the lean of
 * each edge in degrees as seen with the inside face up: foot, right, rim, left, in the order of the corners.
 */
export interface Panel {
  readonly id: string;
  /** A panel when left out. */
  readonly role?: PartRole;
  readonly name: string;
  readonly count: number;
  readonly corners: readonly (readonly [number, number])[];
  readonly edges: readonly { readonly name: Lean['edge']; readonly lean: number }[];
  readonly thickness: number;
  readonly faceUp: Face;
}

/** A point of a panel's outer face as seen from outside, and the point of its part as it lies straight through the slab (mm). */
export type PlaceOnPart = (at: readonly [number, number]) => readonly [number, number];

/** The flat part of a panel as it lies with `faceUp` up, its box starting at (0, 0), and where points of its outer face lie on it. */
export function laidPanel(panel: Panel): { readonly part: Part; readonly place: PlaceOnPart } {
  const { corners, edges, thickness: t, faceUp } = panel;
  // Seen with the inside up, a spread edge is larger on the outer face: the inner one lies inward by t tan(lean).
  const insets = (depth: number) => edges.map(({ lean }) => depth * Math.tan(radians(lean)));
  const outer = insetPolygon(corners, insets(0));
  const middle = insetPolygon(corners, insets(t / 2));
  const inner = insetPolygon(corners, insets(t));
  const [up, down] = faceUp === 'inside' ? [mirrored(inner), mirrored(outer)] : [outer, inner];
  const box = bounds(up);
  const last = corners.length - 1;
  const sign = faceUp === 'inside' ? -1 : 1;
  const place: PlaceOnPart = ([x, y]) => [sign * x - box.minX, y - box.minY];
  const part: Part = {
    id: panel.id,
    role: panel.role ?? 'panel',
    name: panel.name,
    count: panel.count,
    thickness: t,
    faceUp,
    outline: moved(up, -box.minX, -box.minY),
    underside: moved(down, -box.minX, -box.minY),
    leans: edges.map(({ name, lean }, index) => {
      const seen = faceUp === 'inside' ? lean : turnedLean(lean);
      // Turned over, the corners run the other way round from the same first one.
      const from = faceUp === 'inside' ? (last - index + corners.length) % corners.length : index;
      return {
        edge: faceUp === 'inside' ? turnedEdge(name) : name,
        from,
        to: (from + 1) % corners.length,
        lean: seen,
        word: leanWord(seen),
      };
    }),
    marks: [],
    volume: (t * (area(outer) + 4 * area(middle) + area(inner))) / 6,
  };
  return { part, place };
}

function turnedEdge(name: Lean['edge']): Lean['edge'] {
  return name === 'left' ? 'right' : name === 'right' ? 'left' : name;
}
