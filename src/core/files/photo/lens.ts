import type { Pixel } from './image.ts';

/**
 * A lens that curves straight lines by one figure: a point at r from the middle of the picture (half its diagonal is 1) would be at
 * r (1 + k r2) without it (Brown 1966, its first term).
 */
export class Lens {
  readonly #cx: number;
  readonly #cy: number;
  readonly #half: number;

  constructor(
    readonly width: number,
    readonly height: number,
    readonly curve: number,
  ) {
    this.#cx = (width - 1) / 2;
    this.#cy = (height - 1) / 2;
    this.#half = Math.hypot(width, height) / 2;
  }

  /** Where a point would be if the lens were straight (px). */
  straight(at: Pixel): Pixel {
    const x = at[0] - this.#cx;
    const y = at[1] - this.#cy;
    const by = 1 + (this.curve * (x * x + y * y)) / (this.#half * this.#half);
    return [this.#cx + x * by, this.#cy + y * by];
  }

  /** Where such a point is in the picture (px): Newton's steps on the share of its radius. */
  curved(at: Pixel): Pixel {
    const x = at[0] - this.#cx;
    const y = at[1] - this.#cy;
    const bend = (this.curve * (x * x + y * y)) / (this.#half * this.#half);
    let by = 1;
    for (let step = 0; step < 4; step += 1) by -= (by * (1 + bend * by * by) - 1) / (1 + 3 * bend * by * by);
    return [this.#cx + x * by, this.#cy + y * by];
  }
}
