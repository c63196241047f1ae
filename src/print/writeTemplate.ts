import { writeDxf } from '../core/format/dxf.ts';
import { writeSvg } from '../core/format/svg.ts';
import type { Part } from '../core/part/part.ts';
import { pagesOf, type PageOptions } from '../core/sheet/pages.ts';
import { sheetOf } from '../core/sheet/sheet.ts';
import { writePdf } from './pdf.ts';
import type { TemplateFormat } from './templateFormat.ts';

/** The template of a piece as the bytes of one file. The API, the screen and the command line all come through here. */
export async function writeTemplate(
  parts: readonly Part[],
  format: TemplateFormat,
  options: PageOptions,
): Promise<Buffer> {
  switch (format) {
    case 'pdf':
      return writePdf(options.name, pagesOf(parts, options));
    case 'svg':
      return Buffer.from(writeSvg(sheetOf(options.name, parts, options.style, options.about)), 'utf8');
    case 'dxf':
      return Buffer.from(writeDxf(sheetOf(options.name, parts, options.style, options.about)), 'ascii');
  }
}
