import { PAPER_TITLES, PAPERS, type PaperName } from '../core/studio/printer/paper.ts';
import { checkSheet } from '../core/studio/printer/printerCheck.ts';
import { writePdf } from './pdf.ts';

/** The sheet by which a printer is checked, as a PDF: never corrected. */
export function writeCheckSheet(paper: PaperName): Promise<Buffer> {
  const layers = [{ clip: null, items: checkSheet(PAPERS[paper]) }];
  return writePdf(`Printer check, ${PAPER_TITLES[paper]}`, [{ ...PAPERS[paper], parts: [], layers, stretch: [1, 1] }]);
}
