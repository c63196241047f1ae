import type { Face } from '../../target/face.ts';

/** A stretch of an outline, between two of its vertices. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** The four edges of a wall panel once round its outline. */
export interface PanelEdges {
  readonly foot: Span;
  readonly right: Span;
  readonly rim: Span;
  readonly left: Span;
}

/**
 * The edges of a panel whose outline begins with its foot: `footCount` vertices of `count` begin an edge of the foot. With its
 * inside face up it is turned over, and the same vertices come last.
 */
export function panelEdges({ count, footCount }: { count: number; footCount: number }, faceUp: Face): PanelEdges {
  const [low, right] = faceUp === 'inside' ? [count - footCount, 0] : [0, footCount];
  const left = (low + count - 1) % count;
  return {
    foot: { from: low, to: right },
    right: { from: right, to: right + 1 },
    rim: { from: right + 1, to: left },
    left: { from: left, to: low },
  };
}
