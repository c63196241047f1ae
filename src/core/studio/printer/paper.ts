/** Papers that a template prints on. */
export const PAPER_NAMES = ['a4', 'letter', 'legal', 'a3', 'tabloid'] as const;

/** A paper by its name. */
export type PaperName = (typeof PAPER_NAMES)[number];

/** What the papers are called. */
export const PAPER_TITLES: Readonly<Record<PaperName, string>> = {
  a4: 'A4',
  letter: 'Letter',
  legal: 'Legal',
  a3: 'A3',
  tabloid: 'Tabloid',
};

/** A sheet of paper as it lies (mm). */
export interface PaperSize {
  readonly width: number;
  readonly height: number;
}

/** Width and height upright (mm). */
export const PAPERS: Readonly<Record<PaperName, PaperSize>> = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
  legal: { width: 215.9, height: 355.6 },
  a3: { width: 297, height: 420 },
  tabloid: { width: 279.4, height: 431.8 },
};

/** A roll of paper: its width, and the longest piece that is printed of it (mm). */
export const ROLL_LIMITS = { least: 200, greatest: 1600, usual: 610, length: 5000 } as const;

/** The paper when none is chosen. */
export const DEFAULT_PAPER: PaperName = 'a4';

/** Edge that home printers leave white (mm). */
export const PAPER_MARGIN = 10;

/** Strip at the foot of each page for the check rulers, the words and the page map (mm). */
export const FOOTER_HEIGHT = 42;

/** Width by which two pages of one part overlap, so that they can be glued (mm). */
export const PAGE_OVERLAP = 12;
