/** Papers that a template prints on. */
export type PaperName = 'a4' | 'letter';

export const PAPER_NAMES: readonly PaperName[] = ['a4', 'letter'];

/** Width and height upright (mm). */
export const PAPERS: Readonly<Record<PaperName, { readonly width: number; readonly height: number }>> = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
};

export const DEFAULT_PAPER: PaperName = 'a4';

/** Edge that home printers leave white (mm). */
export const PAPER_MARGIN = 10;

/** Strip at the foot of each page for the check rulers, the words and the page map (mm). */
export const FOOTER_HEIGHT = 42;

/** Width by which two pages of one part overlap, so that they can be glued (mm). */
export const PAGE_OVERLAP = 12;
