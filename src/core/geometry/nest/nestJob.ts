import { area, type Outline } from '../outline/outline.ts';
import type { Piece } from './layout.ts';
import { nestShape, type Turns } from './nestShape.ts';
import { boxAt, skyline } from './skyline.ts';

/** A part to be nested, and how many of it. */
export interface NestPart {
  readonly id: string;
  readonly count: number;
  readonly outline: Outline;
  readonly turns: Turns;
}

/** What is nested: parts on a slab of a width (x from 0), with clay left between them (mm). */
export interface NestJob {
  readonly width: number;
  readonly gap: number;
  readonly parts: readonly NestPart[];
  /** Copies, counted among the parts, whose place is fixed: the others are laid round them. */
  readonly fixed?: readonly Placement[];
}

/** A copy of a part: its outline turned about its own origin (degrees), then moved (mm). */
export interface Placement {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}

/** A layout: length of slab used (y from 0), the share of it that is parts, and where each copy lies. */
export interface Nested {
  readonly used: number;
  readonly utilisation: number;
  readonly placements: readonly Placement[];
}

/** Every copy of every part, fixed ones where they lie. */
export function piecesOf(job: NestJob): Piece[] {
  return job.parts.flatMap(({ id, count, outline, turns }) => {
    const shape = nestShape(outline);
    const fixed = (job.fixed ?? []).filter((placement) => placement.id === id);
    return Array.from({ length: count }, (_, copy): Piece => {
      const piece = { id: `${id}\n${copy}`, shape, turns, x: 0, y: 0, turn: 0 };
      const at = fixed[copy];
      if (!at) return piece;
      const turn = (at.turn * Math.PI) / 180;
      const [mx, my] = shape.middle;
      const [c, s] = [Math.cos(turn), Math.sin(turn)];
      return { ...piece, turn, x: at.x + c * mx - s * my, y: at.y + s * mx + c * my, fixed: true };
    });
  });
}

/** A first layout: a skyline of bounding boxes, above what is fixed. Null when a part is wider than the slab. */
export function firstLayout(job: NestJob): { pieces: Piece[]; used: number } | null {
  const all = piecesOf(job);
  const fixed = all.filter((piece) => piece.fixed);
  const free = all.filter((piece) => !piece.fixed);
  const from = fixed.length > 0 ? endOf(fixed) : 0;
  if (free.length === 0) return { pieces: all, used: from };
  const laid = skyline(free, job.width, job.gap);
  if (!laid || fixed.length === 0) return laid;
  const lift = from + job.gap;
  const place = new Map(laid.pieces.map((piece) => [piece.id, { ...piece, y: piece.y + lift }]));
  return { pieces: all.map((piece) => place.get(piece.id) ?? piece), used: laid.used + lift };
}

/** Where a layout ends (mm), arcs included. */
export function endOf(pieces: readonly Piece[]): number {
  return Math.max(0, ...pieces.map((piece) => piece.y + boxAt(piece.shape, piece.turn).maxY));
}

/** The finished layout, each copy by the origin of its own outline. */
export function nestedOf(job: NestJob, pieces: readonly Piece[]): Nested {
  // Fixed pieces do not move, so the layout is not shifted to the start of the slab.
  const lowest = job.fixed?.length
    ? 0
    : Math.min(...pieces.map((piece) => piece.y + boxAt(piece.shape, piece.turn).minY));
  const used = Math.max(...pieces.map((piece) => piece.y + boxAt(piece.shape, piece.turn).maxY)) - lowest;
  const clay = job.parts.reduce((sum, part) => sum + part.count * area(part.outline), 0);
  return {
    used,
    utilisation: clay / (job.width * used),
    placements: pieces.map(({ id, shape, x, y, turn }) => {
      const [mx, my] = shape.middle;
      const [c, s] = [Math.cos(turn), Math.sin(turn)];
      const degrees = ((((turn * 180) / Math.PI) % 360) + 360) % 360;
      return {
        id: id.split('\n')[0] ?? id,
        x: x - (c * mx - s * my),
        y: y - lowest - (s * mx + c * my),
        turn: degrees,
      };
    }),
  };
}
