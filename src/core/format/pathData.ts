import { BULGE_TOLERANCE } from '../numbers.ts';
import { edgeAt, vertexAt, type Outline } from '../outline/outline.ts';

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
 * SVG path data of a closed outline, y turned down, arcs as arcs.
 *
 * @param scale units of the drawing for one mm (1 for a file in mm)
 * @param origin where the outline's (0, 0) falls in the drawing
 * @param write how a number is written
 */
export function pathData(
  outline: Outline,
  scale = 1,
  origin: readonly [number, number] = [0, 0],
  write = plain,
): string {
  const at = (x: number, y: number) => `${write(origin[0] + x * scale)} ${write(origin[1] - y * scale)}`;
  const first = vertexAt(outline, 0);
  const commands = outline.map((vertex, index) => {
    const to = vertexAt(outline, index + 1);
    if (Math.abs(vertex[2]) < BULGE_TOLERANCE) return `L${at(to[0], to[1])}`;
    const radius = write(edgeAt(outline, index).radius * scale);
    const large = Math.abs(vertex[2]) > 1 ? 1 : 0;
    const sweep = vertex[2] > 0 ? 0 : 1;
    return `A${radius} ${radius} 0 ${large} ${sweep} ${at(to[0], to[1])}`;
  });
  return `M${at(first[0], first[1])}${commands.join('')}Z`;
}
