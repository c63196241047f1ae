import type { Primitive } from './drawing.ts';
import { PAPER_MARGIN, PAPER_TITLES, type PaperName, type PaperSize } from './paper.ts';

/** How long a printer makes a true millimetre: printed over true length, along the short and the long edge of its sheet. */
export interface PrinterScale {
  readonly short: number;
  readonly long: number;
}

/** A printer by its name, and what its check sheet said on which paper. */
export interface CheckedPrinter {
  readonly name: string;
  readonly scale: PrinterScale;
  readonly paper: PaperName;
}

/** What a template says of the printer that it was corrected for; louder when its paper is not the one that was checked. */
export function printerWords({ name, scale, paper }: CheckedPrinter, now: PaperName | 'roll'): string {
  const share = (one: number) => `${(100 * one).toFixed(2).replace(/\.?0+$/, '')} %`;
  const corrected = `Corrected for ${name} (${share(scale.short)} across, ${share(scale.long)} along): do not print it on another.`;
  return paper === now
    ? corrected
    : `${corrected} CHECKED ON ANOTHER PAPER (${PAPER_TITLES[paper]}): lay a ruler on it.`;
}

/** A printer that is true. */
export const TRUE_SCALE: PrinterScale = { short: 1, long: 1 };

/** A working printer is never further off than this: the ruler was misread. */
export const SCALE_LIMITS = { least: 0.8, greatest: 1.25 } as const;

/** The two lengths of the check sheet (mm): across the sheet as it stands upright, and up it. */
export const CHECK_LENGTHS = { across: 150, up: 200 } as const;

/** Scales this near to 1 count as true: a ruler shows no less (0.3 mm in 150). */
const TRUE_WITHIN = 0.002;

/** Both ways alike within this is a setting of the print dialog, not a fault of the rollers. */
const ALIKE_WITHIN = 0.004;

/** What two measured lengths say of a printer. */
export type PrinterFinding =
  | { readonly kind: 'misread'; readonly which: 'across' | 'up' }
  | { readonly kind: 'true' | 'fitted' | 'off'; readonly scale: PrinterScale };

/**
 * Reads the check sheet: lengths as they were measured on paper (mm). Both ways smaller or larger alike is "fit to page", which
 * is to be switched off rather than corrected; anything else is the printer's own and is corrected from then on.
 */
export function printerFinding(measured: { readonly across: number; readonly up: number }): PrinterFinding {
  const scale: PrinterScale = { short: measured.across / CHECK_LENGTHS.across, long: measured.up / CHECK_LENGTHS.up };
  const sound = (one: number) => one >= SCALE_LIMITS.least && one <= SCALE_LIMITS.greatest;
  if (!sound(scale.short)) return { kind: 'misread', which: 'across' };
  if (!sound(scale.long)) return { kind: 'misread', which: 'up' };
  const off = [scale.short, scale.long].map((one) => Math.abs(one - 1));
  if (Math.max(...off) <= TRUE_WITHIN) return { kind: 'true', scale };
  const alike = Math.abs(scale.short - scale.long) <= ALIKE_WITHIN && Math.min(...off) > 2 * ALIKE_WITHIN;
  return { kind: alike ? 'fitted' : 'off', scale };
}

/** The factors by which a page is drawn larger, along its width and height as it lies, so that it prints true. */
export function stretchOf({ width, height }: PaperSize, { short, long }: PrinterScale): readonly [number, number] {
  return width <= height ? [1 / short, 1 / long] : [1 / long, 1 / short];
}

/** A paper measured in true mm of a printer with that scale. */
export function printedSize(paper: PaperSize, scale: PrinterScale): PaperSize {
  const [x, y] = stretchOf(paper, scale);
  return { width: paper.width / x, height: paper.height / y };
}

/** The check sheet: two lengths with ends that a ruler or caliper meets, and what to do with them. Upright, y up, mm. */
export function checkSheet({ width, height }: PaperSize): Primitive[] {
  const { across, up } = CHECK_LENGTHS;
  const [x, y] = [(width - across) / 2, PAPER_MARGIN + 16];
  const line = (from: readonly [number, number], to: readonly [number, number]): Primitive => ({
    kind: 'line',
    layer: 'cut',
    from,
    to,
  });
  const text = (
    left: number,
    low: number,
    { size, words, weight }: { readonly size: number; readonly words: string; readonly weight?: 'bold' },
  ): Primitive => ({
    kind: 'text',
    layer: 'text',
    at: [left, low],
    size,
    text: words,
    anchor: 'start',
    ...(weight && { weight }),
  });
  return [
    line([x, y], [x + across, y]),
    line([x, y - 5], [x, y + 5]),
    line([x + across, y - 5], [x + across, y + 5]),
    line([x, y + 12], [x, y + 12 + up]),
    line([x - 5, y + 12], [x + 5, y + 12]),
    line([x - 5, y + 12 + up], [x + 5, y + 12 + up]),
    text(x + across / 2 - 4, y + 3, { size: 6, words: 'A', weight: 'bold' }),
    text(x + 4, y + 12 + up / 2, { size: 6, words: 'B', weight: 'bold' }),
    text(x + 16, height - PAPER_MARGIN - 24, { size: 6, words: 'Printer check', weight: 'bold' }),
    text(x + 16, height - PAPER_MARGIN - 34, {
      size: 4,
      words: 'Print this sheet at 100 %, never fitted to the page.',
    }),
    text(x + 16, height - PAPER_MARGIN - 41, {
      size: 4,
      words: 'Measure A and B between the ends of the cross lines,',
    }),
    text(x + 16, height - PAPER_MARGIN - 48, { size: 4, words: 'and enter both in Kit, under your printer.' }),
    text(x + 16, height - PAPER_MARGIN - 55, { size: 4, words: `A should be ${across} mm and B ${up} mm.` }),
  ];
}
