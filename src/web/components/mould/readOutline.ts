import { arcLine } from '../../../core/mould/arcLine.ts';
import { area, type Outline } from '../../../core/outline/outline.ts';
import { SHEET_LIMITS } from '../../../core/bentSheet/bentSheet.ts';

/** An outline with its holes that was read, mm, y up; or why it was not. */
export type OutlineReading =
  | { readonly kind: 'outline'; readonly outline: Outline; readonly holes: readonly Outline[] }
  | { readonly kind: 'refused'; readonly rule: string };

const LONGEST = { file: 1_000_000, path: 200_000, paths: 60 } as const;

/** Distance between the points that a path is taken at (mm). */
const STEP = 1;

/** Size of one px of a drawing that names no other unit (mm). */
const PX = 25.4 / 96;

const refused = (rule: string): OutlineReading => ({ kind: 'refused', rule });

/** Mm in one unit of the drawing: by its width and its view box, else px. */
function unitOf(svg: Element): number {
  const width = /^\s*([\d.]+)\s*(mm|cm|in|px)?\s*$/.exec(svg.getAttribute('width') ?? '');
  const box = (svg.getAttribute('viewBox') ?? '').trim().split(/[\s,]+/).map(Number); // prettier-ignore
  const each = { mm: 1, cm: 10, in: 25.4, px: PX }[width?.[2] ?? 'px'] ?? PX;
  const across = box[2];
  if (width && across && across > 0) return (Number(width[1]) * each) / across;
  return width ? each : PX;
}

/**
 * Reads the closed paths of an SVG drawing: the largest is the outline, all others are its holes. Only path data is looked
 * at: nothing in the file is shown, followed or run.
 */
export function readOutline(text: string): OutlineReading {
  if (text.length > LONGEST.file) return refused('is too large to be read');
  if (/<!DOCTYPE|<!ENTITY/i.test(text)) return refused('declares entities, which are not read');
  const page = new DOMParser().parseFromString(text, 'image/svg+xml');
  const svg = page.querySelector('svg');
  if (page.querySelector('parsererror') || !svg) return refused('is not sound SVG');
  const data = [...page.querySelectorAll('path')].map((path) => path.getAttribute('d') ?? '');
  if (data.length === 0) return refused('has no path');
  if (data.length > LONGEST.paths || data.some((one) => one.length > LONGEST.path)) return refused('has too many or too long paths'); // prettier-ignore
  const unit = unitOf(svg);
  // A path may hold several closed lines, each begun by its own move.
  const closed = data.flatMap((one) => one.split(/(?=M)/)).filter((one) => /z\s*$/i.test(one));
  if (closed.length === 0) return refused('has no closed path');
  const lines: Outline[] = [];
  for (const one of closed) {
    const path = document.createElementNS('http://www.w3.org/2000/svg', 'path');
    path.setAttribute('d', one);
    const length = path.getTotalLength();
    const count = Math.ceil((length * unit) / STEP);
    if (!(length > 0) || count > 6000) return refused('has a path without length, or one longer than 6 m');
    const points = Array.from({ length: count + 1 }, (_, index) => {
      const { x, y } = path.getPointAtLength((length * index) / count);
      return [x * unit, -y * unit] as const;
    });
    const line = arcLine(points);
    lines.push(area(line) < 0 ? reversed(line) : line);
  }
  const [outline, ...holes] = lines.sort((one, other) => area(other) - area(one));
  if (!outline || outline.length > SHEET_LIMITS.points.greatest) return refused('has too many points');
  return { kind: 'outline', outline, holes };
}

/** The same line the other way round. */
function reversed(line: Outline): Outline {
  return line.map((_, index) => {
    const at = line[(line.length - index) % line.length] as Outline[number];
    const before = line[(line.length - index - 1 + line.length) % line.length] as Outline[number];
    return [at[0], at[1], -before[2]];
  });
}
