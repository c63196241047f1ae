import { writeDxf } from '../core/format/dxf.ts';
import { writeSvg } from '../core/format/svg.ts';
import type { Part } from '../core/part/part.ts';
import { plotSheet } from '../core/plot/plotSheet.ts';
import { pagesOf, type PageOptions } from '../core/sheet/pages.ts';
import { sheetOf } from '../core/sheet/sheet.ts';
import { DEFAULT_DPI, type TemplateFormat } from '../core/sheet/templateFormat.ts';
import { writePdf } from './pdf.ts';
import { writePng } from './png.ts';

/** What a template is written for, besides its pages. */
export interface TemplateOptions extends PageOptions {
  /** Dots an inch of a PNG. */
  readonly dpi?: number;
  /** How far a drag knife's tip trails behind its middle, in a plot file (mm); left out, the middle follows the line. */
  readonly offset?: number;
}

/** The template of a piece as the bytes of one file. The API, the screen and the command line all come through here. */
export async function writeTemplate(
  parts: readonly Part[],
  format: TemplateFormat,
  options: TemplateOptions,
): Promise<Buffer> {
  const sheet = () => sheetOf(options.name, parts, options.style, options.about);
  switch (format) {
    case 'pdf':
      return writePdf(options.name, pagesOf(parts, options));
    case 'svg':
      return Buffer.from(writeSvg(sheet()), 'utf8');
    case 'dxf':
      return Buffer.from(writeDxf(sheet()), 'ascii');
    case 'png':
      return writePng(sheet(), options.dpi ?? DEFAULT_DPI);
    case 'plt':
      return Buffer.from(plotSheet(sheet(), options.offset ?? 0), 'ascii');
  }
}
