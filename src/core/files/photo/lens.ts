import type { Pixel } from './image.ts';

/**
 * A lens that curves straight lines by one figure: a point at r from the middle of the picture (half its diagonal is 1) would be at
 * r (1 + k r2) without it (Brown 1966, its first term).
 */
export class Lens {
  readonly #middle: Pixel;
  readonly #half: number;

  constructor(
    readonly width: number,
    readonly height: number,
    readonly curve: number,
  ) {
    this.#middle = [(width - 1) / 2, (height - 1) / 2];
    this.#half = Math.hypot(width, height) / 2;
  }

  /** Where a point would be if the lens were straight (px). */
  straight([x, y]: Pixel): Pixel {
    const [cx, cy] = this.#middle;
    const [u, v] = [(x - cx) / this.#half, (y - cy) / this.#half];
    const by = this.#half * (1 + this.curve * (u * u + v * v));
    return [cx + u * by, cy + v * by];
  }

  /** Where such a point is in the picture (px): Newton's steps on the radius. */
  curved([x, y]: Pixel): Pixel {
    const [cx, cy] = this.#middle;
    const [u, v] = [(x - cx) / this.#half, (y - cy) / this.#half];
    const far = Math.sqrt(u * u + v * v);
    if (far === 0) return [x, y];
    let r = far;
    for (let step = 0; step < 4; step += 1) r -= (r * (1 + this.curve * r * r) - far) / (1 + 3 * this.curve * r * r);
    return [cx + (u / far) * r * this.#half, cy + (v / far) * r * this.#half];
  }
}
