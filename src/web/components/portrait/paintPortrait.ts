import type { Portrait, PortraitFace, PortraitPoint } from '../../../core/raise/portrait.ts';

/** Colours of a portrait: one for each kind of face, and one for the lines. */
export type PortraitTones = Readonly<Record<PortraitFace['face'] | 'line' | 'dark', string>>;

/** Number of tones between light and shade: few, for a quiet drawing. */
const TONES = 10;

/** Share of the dark tone in the darkest shade. */
const DEEPEST = 0.42;

/**
 * Paints a portrait on a canvas, its lowest point at the bottom and its left end at the left, `margin` px inside.
 *
 * @param scale px per mm
 */
export function paintPortrait(
  canvas: HTMLCanvasElement,
  { faces, left, right, bottom, top }: Portrait,
  { scale, margin, tones }: { readonly scale: number; readonly margin: number; readonly tones: PortraitTones },
): void {
  const [width, height] = [(right - left) * scale + 2 * margin, (top - bottom) * scale + 2 * margin];
  const ratio = Math.min(2, window.devicePixelRatio || 1);
  canvas.width = Math.ceil(width * ratio);
  canvas.height = Math.ceil(height * ratio);
  canvas.style.width = `${width}px`;
  canvas.style.height = `${height}px`;
  const context = canvas.getContext('2d');
  if (!context) return;
  context.setTransform(ratio, 0, 0, ratio, 0, 0);
  context.lineJoin = context.lineCap = 'round';
  const at = ([x, y]: PortraitPoint) => [margin + (x - left) * scale, height - margin - (y - bottom) * scale] as const;
  const shades = new Map<string, string>();
  const shade = ({ face, light }: PortraitFace): string => {
    const step = Math.round((1 - light) * TONES);
    const name = `${face} ${step}`;
    const share = (100 * DEEPEST * step) / TONES;
    const known = shades.get(name) ?? `color-mix(in srgb, ${tones.dark} ${share}%, ${tones[face]})`;
    shades.set(name, known);
    return known;
  };
  for (const face of faces) {
    context.beginPath();
    face.corners.forEach((corner, index) => {
      if (index === 0) context.moveTo(...at(corner));
      else context.lineTo(...at(corner));
    });
    context.closePath();
    context.fillStyle = context.strokeStyle = shade(face);
    context.fill();
    // A thin line of the same colour closes the gap between neighbouring faces.
    context.lineWidth = 0.7;
    context.stroke();
    if (face.lines.length === 0) continue;
    context.beginPath();
    for (const [from, to] of face.lines) {
      context.moveTo(...at(from));
      context.lineTo(...at(to));
    }
    context.strokeStyle = tones.line;
    context.lineWidth = 1.5;
    context.stroke();
  }
}
