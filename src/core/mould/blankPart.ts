import { area, bounds } from '../outline/outline.ts';
import type { Mark, Part } from '../part/part.ts';
import { seamAllowance } from '../seam/seam.ts';
import type { Blank } from './blank.ts';
import { blankLine, stretchesOf, turnedOver, withMargin, type BlankStretch } from './blankLine.ts';
import type { DrapedTarget } from './draped.ts';

/** A piece of the trim line is drawn for every so many mm. */
const TRIM_STEP = 4;

/** Half of a centre line's cross (mm). */
const CROSS = 12;

/** Letters of a dart's sides stand this far from its mouth, and from the line (mm). */
const LETTER = { in: 14, off: 8 } as const;

/** The line of the mould's rim, where the blank is trimmed, as short straight pieces. */
function trimLine(stretches: readonly BlankStretch[], sign: number): Mark[] {
  return stretches
    .filter(({ kind }) => kind === 'rim')
    .flatMap(({ points }) => {
      const marks: Mark[] = [];
      let from = points[0];
      points.forEach((point, index) => {
        if (!from || (index < points.length - 1 && Math.hypot(point[0] - from[0], point[1] - from[1]) < TRIM_STEP)) return; // prettier-ignore
        if (index > 0) marks.push({ kind: 'line', name: 'overlap', from: [sign * from[0], from[1]], to: [sign * point[0], point[1]] }); // prettier-ignore
        from = point;
      });
      return marks;
    });
}

/** The mould's rim on a blank with a flange, where the flange is laid level. */
function bendLine(stretches: readonly BlankStretch[], sign: number): Mark[] {
  return trimLine(stretches, sign).map((mark): Mark => (mark.kind === 'line' ? { ...mark, name: 'fold' } : mark));
}

/** A letter at both sides of each dart, which are joined to one another. */
function dartLetters(stretches: readonly BlankStretch[], missed: readonly number[], sign: number): Mark[] {
  return stretches
    .filter(({ kind }) => kind !== 'rim')
    .map(({ kind, points, cut = 0 }): Mark => {
      const ordered = kind === 'dart-in' ? points : [...points].reverse();
      const index = Math.max(1, ordered.findIndex(([x, y]) => Math.hypot(x - (ordered[0]?.[0] ?? 0), y - (ordered[0]?.[1] ?? 0)) > LETTER.in)); // prettier-ignore
      const [a, b] = [ordered[index - 1] ?? [0, 0], ordered[index] ?? [0, 0]];
      const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
      const off = kind === 'dart-in' ? LETTER.off : -LETTER.off;
      // Darts that are not cut keep their letter.
      const text = String.fromCharCode(65 + missed.reduce((index, one) => (one <= index ? index + 1 : index), cut));
      return { kind: 'letter', at: [sign * (b[0] - (off * (b[1] - a[1])) / long), b[1] + (off * (b[0] - a[0])) / long], text }; // prettier-ignore
    });
}

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
  const middle = (name: 'centre', from: readonly [number, number], to: readonly [number, number]): Mark => ({ kind: 'line', name, from, to }); // prettier-ignore
  return {
    id: 'blank',
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
      ...(form.margin > 0 ? trimLine(withMargin(rim, form.flange ?? 0), sign) : []),
      ...(form.flange ? bendLine(rim, sign) : []),
      ...dartLetters(rim, blank.missed, sign),
    ],
    volume: (thickness * (area(outline) + area(underside))) / 2,
  };
}
