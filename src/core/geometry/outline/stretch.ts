import { alongEdge, edgeLength, vertexAt, type Outline } from './outline.ts';

/** A stretch of an outline's edges, from vertex `from` to vertex `to`. */
export class Stretch {
  /** Lengths of its edges one by one, and of all together (mm). */
  private readonly lengths: readonly number[];
  readonly length: number;

  constructor(
    private readonly outline: Outline,
    private readonly from: number,
    to: number,
  ) {
    const count = outline.length;
    const steps = (to - from + count) % count || count;
    const lengths: number[] = [];
    let total = 0;
    for (let step = 0; step < steps; step += 1) {
      const length = edgeLength(outline, from + step);
      lengths.push(length);
      total += length;
    }
    this.lengths = lengths;
    this.length = total;
  }

  /** The point `along` mm after its start. */
  pointAt(along: number): readonly [number, number] {
    const { outline, from, lengths } = this;
    let rest = along;
    for (let step = 0; step < lengths.length; step += 1) {
      const length = lengths[step] as number;
      if (rest <= length) return alongEdge(outline, from + step, length > 0 ? Math.max(0, rest / length) : 0);
      rest -= length;
    }
    const [x, y] = vertexAt(outline, from + lengths.length);
    return [x, y];
  }
}

/** The point halfway round a stretch of an outline's edges (mm). */
export function halfway(outline: Outline, from: number, to: number): readonly [number, number] {
  const stretch = new Stretch(outline, from, to);
  return stretch.pointAt(stretch.length / 2);
}
