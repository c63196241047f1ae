import type { Blank } from '../kind/blank.ts';
import { area, bounds, type Outline } from '../../geometry/outline/outline.ts';
import type { Mark, Part } from '../../parts/part/part.ts';
import { seamAllowance } from '../../parts/seam/seam.ts';
import { arcLine } from '../../geometry/outline/arcLine.ts';
import { blankLine, stretchesOf, turnedOver, withMargin, type BlankStretch } from './blankLine.ts';
import type { DrapedTarget } from './draped.ts';
import type { Point } from '../../geometry/point.ts';

/** Half of a centre line's cross (mm). */
const CROSS = 12;

/** Distance of the letters of a dart's sides from its mouth, and from the line (mm). */
const LETTER = { in: 14, off: 8 } as const;

/** The line of the mould's rim on the blank, between its darts: where it is trimmed, or where a flange is laid level. */
function rimLines(name: 'overlap' | 'fold', stretches: readonly BlankStretch[], sign: number): Mark[] {
  return stretches
    .filter(({ kind }) => kind === 'rim')
    .map(({ points }): Mark => {
      const arcs = arcLine(points);
      const closed = stretches.length === 1;
      const [x, y] = points.at(-1) ?? [0, 0];
      const line: Outline = closed ? arcs : [...arcs, [x, y, 0]];
      // Turned over, an arc bends the other way.
      return { kind: 'path', name, closed, outline: line.map(([px, py, bulge]) => [sign * px, py, sign * bulge]) };
    });
}

/** A letter at both sides of each dart, which are joined to one another. */
function dartLetters(stretches: readonly BlankStretch[], missed: readonly number[], sign: number): Mark[] {
  return stretches
    .filter(({ kind }) => kind !== 'rim')
    .map(({ kind, points, cut = 0 }): Mark => {
      const ordered = kind === 'dart-in' ? points : [...points].reverse();
      const index = Math.max(
        1,
        ordered.findIndex(([x, y]) => Math.hypot(x - (ordered[0]?.[0] ?? 0), y - (ordered[0]?.[1] ?? 0)) > LETTER.in),
      );
      const [a, b] = [ordered[index - 1] ?? [0, 0], ordered[index] ?? [0, 0]];
      const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
      const off = kind === 'dart-in' ? LETTER.off : -LETTER.off;
      // Darts that are not cut keep their letter.
      const text = String.fromCharCode(65 + missed.reduce((index, one) => (one <= index ? index + 1 : index), cut));
      return {
        kind: 'letter',
        at: [sign * (b[0] - (off * (b[1] - a[1])) / long), b[1] + (off * (b[0] - a[0])) / long],
        text,
      };
    });
}

/** Width at the mouth and depth of each dart, beside its tip (mm, at the trimmed rim). */
function dartWords(stretches: readonly BlankStretch[], sign: number): Mark[] {
  return stretches.flatMap(({ kind, points }, index): Mark[] => {
    const other = stretches[(index + 1) % stretches.length]?.points;
    if (kind !== 'dart-in' || !other) return [];
    const [mouth, tip, end] = [points[0], points.at(-1), other.at(-1)] as [Point, Point, Point];
    const width = Math.hypot(end[0] - mouth[0], end[1] - mouth[1]);
    const depth = points
      .slice(1)
      .reduce((sum, [x, y], step) => sum + Math.hypot(x - (points[step]?.[0] ?? 0), y - (points[step]?.[1] ?? 0)), 0);
    const middle = [(mouth[0] + end[0]) / 2, (mouth[1] + end[1]) / 2] as const;
    const long = Math.hypot(tip[0] - middle[0], tip[1] - middle[1]) || 1;
    const at = (axis: 0 | 1) => tip[axis] + (WORDS_OFF * (tip[axis] - middle[axis])) / long;
    return [{ kind: 'words', at: [sign * at(0), at(1)], text: `${width.toFixed(1)} wide, ${depth.toFixed(1)} deep` }];
  });
}

/** Distance of the words beyond a dart's tip (mm). */
const WORDS_OFF = 10;

/** Flat area that is left on the piece: within the mould's rim, and its flange (mm2). */
export function keptArea({ form: { flange = 0 }, slab }: DrapedTarget, blank: Blank): number {
  if (flange === 0) return blank.strain.flatArea;
  const rim = stretchesOf(blank.border, blank.cuts, blank.uv);
  return area(blankLine(withMargin(rim, flange), 0, slab.wall).outline);
}

/** The blank as a part to be cut: its line with margin, the trim line, darts with their leans. */
export function blankPart({ form, slab, seam }: DrapedTarget, blank: Blank): Part {
  const thickness = slab.wall;
  const rim = stretchesOf(blank.border, blank.cuts, blank.uv);
  const { lean } = seamAllowance(seam, thickness);
  const line = blankLine(withMargin(rim, (form.flange ?? 0) + form.margin), lean, thickness);
  const over = slab.faceUp === 'outside';
  const { outline, underside, leans } = over ? turnedOver(line) : line;
  const box = bounds(outline);
  const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const sign = over ? -1 : 1;
  const middle = (name: 'centre', from: readonly [number, number], to: readonly [number, number]): Mark => ({
    kind: 'line',
    name,
    from,
    to,
  });
  return {
    id: 'blank',
    role: 'blank',
    name: 'Blank',
    count: 1,
    thickness,
    faceUp: slab.faceUp,
    outline,
    underside,
    leans,
    marks: [
      middle('centre', [x - CROSS, y], [x + CROSS, y]),
      middle('centre', [x, y - CROSS], [x, y + CROSS]),
      ...(form.margin > 0 ? rimLines('overlap', withMargin(rim, form.flange ?? 0), sign) : []),
      ...(form.flange ? rimLines('fold', rim, sign) : []),
      ...dartLetters(rim, blank.missed, sign),
      ...dartWords(rim, sign),
    ],
    volume: (thickness * (area(outline) + area(underside))) / 2,
  };
}
