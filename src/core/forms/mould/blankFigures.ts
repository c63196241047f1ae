import type { Blank } from '../kind/blank.ts';

/** What the clay of a blank must do, in a few figures (fractions of length and thickness). */
export interface BlankFigures {
  readonly vertices: number;
  readonly iterations: number;
  readonly converged: boolean;
  /** Area-weighted mean of s1^2 + s2^2 + 1/s1^2 + 1/s2^2 - 4, at equal area. */
  readonly distortion: number;
  readonly stretch: number;
  readonly gather: number;
  readonly thinnest: number;
  readonly thickest: number;
  /** Length of each dart's sides, one and the other (wet mm). */
  readonly darts: readonly (readonly [number, number])[];
}

function flatLength(side: readonly number[], uv: Float64Array): number {
  return side.slice(1).reduce((sum, vertex, index) => {
    const before = side[index] as number;
    return (
      sum +
      Math.hypot(
        (uv[2 * vertex] as number) - (uv[2 * before] as number),
        (uv[2 * vertex + 1] as number) - (uv[2 * before + 1] as number),
      )
    );
  }, 0);
}

/** The figures of a blank. */
export function blankFigures(blank: Blank): BlankFigures {
  const { most } = blank.strain;
  return {
    vertices: blank.uv.length / 2,
    iterations: blank.iterations,
    converged: blank.converged,
    distortion: blank.distortion,
    stretch: Math.max(0, most.stretch),
    gather: Math.max(0, most.gather),
    thinnest: most.thin,
    thickest: most.thick,
    darts: blank.cuts.map(({ left, right }) => [flatLength(left, blank.uv), flatLength(right, blank.uv)]),
  };
}
