import { ROUNDING, TINY } from '../../../core/numbers.ts';
import type { Blank } from '../../../core/forms/kind/blank.ts';
import type { Projected } from './mapViews.ts';
import type { MapFigures } from './strainDrawing.ts';

/** Half the width of a contour line and of the limit's (px), and how strong they are drawn. */
const LINE = { half: 0.55, strength: 0.5, limitHalf: 1.3 } as const;

/** Coverage of a pixel at this distance from a line's middle (px). */
function cover(far: number, half: number): number {
  return Math.max(0, Math.min(1, half + 0.5 - far));
}

/** A picture being painted: its pixels as red, green, blue and alpha, and its size. */
export interface Picture {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/**
 * How the map is painted: pixels of the picture to a px of the screen, the scale's shades from least to greatest (red, green
 * and blue of each), the colour of its lines, and which of the triangles in order.
 */
export interface Brush {
  readonly ladder: Uint8ClampedArray;
  readonly sharp: number;
  readonly ink: readonly [number, number, number];
  readonly from: number;
  readonly to: number;
}

/** What is painted: a blank as it is seen, its triangles from back to front, and the figures. */
export interface PaintedMap {
  readonly blank: Blank;
  readonly view: Projected;
  readonly order: Uint32Array;
  readonly figures: MapFigures;
}

/**
 * Paints the map into a picture: every pixel by the figure interpolated in its triangle, with contour lines and the line of
 * the limit. Triangles are painted in order, what lies behind first.
 */
export function paintMap(
  { data, width, height }: Picture,
  { blank, view, order, figures }: PaintedMap,
  { sharp, ladder, ink, from, to }: Brush,
): void {
  const { triangles } = blank.mesh;
  const { x, y } = view;
  const { values, bows, least, greatest, step, limit } = figures;
  const span = Math.max(ROUNDING, greatest - least);
  const shades = ladder.length / 3;
  for (let at = from; at < to; at += 1) {
    const index = 3 * (order[at] as number);
    const [a, b, c] = [triangles[index] as number, triangles[index + 1] as number, triangles[index + 2] as number];
    const [x0, y0] = [sharp * (x[a] as number), sharp * (y[a] as number)];
    const [ux, uy] = [sharp * (x[b] as number) - x0, sharp * (y[b] as number) - y0];
    const [vx, vy] = [sharp * (x[c] as number) - x0, sharp * (y[c] as number) - y0];
    const whole = ux * vy - uy * vx;
    if (Math.abs(whole) < ROUNDING) continue;
    const [p, q, r] = [values[a] as number, values[b] as number, values[c] as number];
    const [pq, qr, rp] = [
      4 * (bows[index] as number),
      4 * (bows[index + 1] as number),
      4 * (bows[index + 2] as number),
    ];
    const left = Math.max(0, Math.floor(x0 + Math.min(0, ux, vx) - 0.5));
    const right = Math.min(width - 1, Math.ceil(x0 + Math.max(0, ux, vx) - 0.5));
    const top = Math.max(0, Math.floor(y0 + Math.min(0, uy, vy) - 0.5));
    const bottom = Math.min(height - 1, Math.ceil(y0 + Math.max(0, uy, vy) - 0.5));
    // Neighbours both paint the pixels on their common edge, so that there is no gap.
    const over = (0.5 * (Math.abs(ux) + Math.abs(uy) + Math.abs(vx) + Math.abs(vy))) / Math.abs(whole);
    const slack = Math.min(0.5, over);
    for (let row = top; row <= bottom; row += 1) {
      const dy = row + 0.5 - y0;
      for (let column = left; column <= right; column += 1) {
        const dx = column + 0.5 - x0;
        const f = (dx * vy - dy * vx) / whole;
        const g = (ux * dy - uy * dx) / whole;
        if (f < -slack || g < -slack || f + g > 1 + slack) continue;
        const e = 1 - f - g;
        const value = e * p + f * q + g * r + pq * e * f + qr * f * g + rp * g * e;
        // Gradient of the figure, from pixel to pixel.
        const alongU = q - p + pq * (e - f) + qr * g - rp * g;
        const alongV = r - p - pq * f + qr * f + rp * (e - g);
        const alongX = (alongU * vy - alongV * uy) / whole;
        const alongY = (alongV * ux - alongU * vx) / whole;
        const steep = Math.sqrt(alongX * alongX + alongY * alongY);
        const shade = 3 * Math.max(0, Math.min(shades - 1, Math.round(((value - least) / span) * (shades - 1))));
        let line = 0;
        if (steep > TINY) {
          const near = Math.round(value / step) * step;
          if (near > least && near < greatest)
            line = LINE.strength * cover(Math.abs(value - near) / steep, LINE.half * sharp);
          if (limit !== null) line = Math.max(line, cover(Math.abs(value - limit) / steep, LINE.limitHalf * sharp));
        }
        const pixel = 4 * (row * width + column);
        const clear = 1 - line;
        data[pixel] = clear * (ladder[shade] as number) + line * ink[0];
        data[pixel + 1] = clear * (ladder[shade + 1] as number) + line * ink[1];
        data[pixel + 2] = clear * (ladder[shade + 2] as number) + line * ink[2];
        data[pixel + 3] = 255;
      }
    }
  }
}
