import { BULGE_TOLERANCE } from '../../numbers.ts';
import { edgeAt, vertexAt, type Outline } from '../../geometry/outline/outline.ts';

/** A number for a drawing file: up to six decimals, no exponent, no trailing zeros. */
export function plain(value: number): string {
  const text = value.toFixed(6).replace(/\.?0+$/, '');
  return text === '-0' ? '0' : text;
}

/** A length on the screen, to a hundredth of a pixel: quicker than {@link plain}, and no eye sees more. */
export function screenPx(value: number): string {
  return String(Math.round(value * 100) / 100);
}

/**
 * SVG path data of an outline, closed or open, y turned down, arcs as arcs.
 *
 * @param scale units of the drawing for one mm (1 for a file in mm)
 * @param origin where the outline's (0, 0) falls in the drawing
 * @param write how a number is written
 */
export function pathData(
  outline: Outline,
  {
    scale = 1,
    origin = [0, 0],
    write = plain,
    ends = 'closed',
  }: {
    readonly scale?: number;
    readonly origin?: readonly [number, number];
    readonly write?: (value: number) => string;
    readonly ends?: 'closed' | 'open';
  } = {},
): string {
  const first = vertexAt(outline, 0);
  let path = `M${write(origin[0] + first[0] * scale)} ${write(origin[1] - first[1] * scale)}`;
  const edges = ends === 'open' ? outline.length - 1 : outline.length;
  for (let index = 0; index < edges; index += 1) {
    const bulge = vertexAt(outline, index)[2];
    const to = vertexAt(outline, index + 1);
    if (Math.abs(bulge) < BULGE_TOLERANCE) path += 'L';
    else {
      const radius = write(edgeAt(outline, index).radius * scale);
      path += `A${radius} ${radius} 0 ${Math.abs(bulge) > 1 ? 1 : 0} ${bulge > 0 ? 0 : 1} `;
    }
    path += `${write(origin[0] + to[0] * scale)} ${write(origin[1] - to[1] * scale)}`;
  }
  return ends === 'open' ? path : `${path}Z`;
}
