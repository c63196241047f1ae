import { writeDxf } from '../core/files/format/dxf.ts';
import { writeSvg } from '../core/files/format/svg.ts';
import type { Part } from '../core/parts/part/part.ts';
import { FaultError, type Fault } from '../core/errors.ts';
import type { About } from '../core/files/sheet/about.ts';
import { checkedWords } from '../core/files/sheet/words.ts';
import { plotSheet } from '../core/files/plot/plotSheet.ts';
import type { Checked } from '../core/files/sheet/words.ts';
import { pagesOf, type PageOptions } from '../core/files/sheet/pages.ts';
import { sheetOf } from '../core/files/sheet/sheet.ts';
import { DEFAULT_DPI, type TemplateFormat } from '../core/files/sheet/templateFormat.ts';
import { checkedAgainst, CHECKED_WITHIN, type CutSize } from './measured/cutSize.ts';
import { readDxfCuts, readPlotCuts, readSvgCuts } from './measured/readBack.ts';
import { readPdfCuts } from './measured/readPdf.ts';
import { writePdf } from './pdf.ts';
import { writePng } from './png.ts';

/** Options of a template, besides its pages. */
export interface TemplateOptions extends PageOptions {
  /** Dots an inch of a PNG. */
  readonly dpi?: number;
  /** How far a drag knife's tip trails behind its middle, in a plot file (mm); left out, the middle follows the line. */
  readonly offset?: number;
}

/** Draws a template, with what was measured of it where that is known. */
async function drawn(parts: readonly Part[], format: TemplateFormat, options: TemplateOptions): Promise<Buffer> {
  const sheet = () => sheetOf(options.name, parts, { style: options.style, about: withChecked(options) });
  switch (format) {
    case 'pdf':
      return writePdf(options.name, pagesOf(parts, options));
    case 'svg':
      return Buffer.from(writeSvg(sheet(), { thin: options.thin }), 'utf8');
    case 'dxf':
      return Buffer.from(writeDxf(sheet()), 'ascii');
    case 'png':
      return writePng(sheet(), options.dpi ?? DEFAULT_DPI, { thin: options.thin });
    case 'plt':
      return Buffer.from(plotSheet(sheet(), options.offset ?? 0), 'ascii');
  }
}

/** The words for a part, and what its lines measured in the file. */
function withChecked({ about, checked }: TemplateOptions): About | undefined {
  if (!about || !checked) return about;
  return {
    ...about,
    of: (part) => [...about.of(part), ...checked.filter(({ id }) => id === part.id).map(checkedWords)],
  };
}

/** Reads a file back and measures its lines; null for a picture, which has none, and for a blade's path, which is not the line. */
function measured(
  file: Buffer,
  parts: readonly Part[],
  { format, options }: { readonly format: TemplateFormat; readonly options: TemplateOptions },
): readonly Checked[] | null {
  const whole = (cuts: readonly CutSize[]) =>
    checkedAgainst(parts, cuts) ?? parts.map(({ id }) => ({ id, ...NOTHING }));
  switch (format) {
    case 'svg':
      return whole(readSvgCuts(file.toString('utf8')));
    case 'dxf':
      return whole(readDxfCuts(file.toString('ascii')));
    case 'plt':
      return options.offset ? null : whole(readPlotCuts(file.toString('ascii')));
    case 'pdf':
      return measuredPages(file, parts, options);
    case 'png':
      return null;
  }
}

/** The measure of a missing line. */
const NOTHING = { width: 0, height: 0, off: Infinity } as const;

/** Every page shows its parts by whole lines: the worst of the pages counts. */
function measuredPages(file: Buffer, parts: readonly Part[], options: TemplateOptions): Checked[] {
  const pages = pagesOf(parts, options);
  const cuts = readPdfCuts(
    file,
    (page) => (pages[page]?.stretch ?? [1, 1]).map((one) => 1 / one) as [number, number],
    options.thin ? 'thin' : 'usual',
  );
  const found = pages.flatMap(({ parts: there }, page) => {
    const shown = there.flatMap(({ id }) => parts.filter((part) => part.id === id));
    return checkedAgainst(shown, cuts[page] ?? []) ?? shown.map(({ id }) => ({ id, ...NOTHING }));
  });
  return parts.map(({ id }) =>
    found
      .filter((one) => one.id === id)
      .reduce<Checked>((worst, one) => (one.off >= worst.off ? one : worst), { ...NOTHING, id, off: 0 }),
  );
}

/**
 * The template of a piece as the bytes of one file. The API, the screen and the command line all come through here. Each file is
 * read back by a reader of its own and measured against the development; it says so, and one that is off is not handed over.
 *
 * @throws FaultError where a part's lines measure otherwise in the file
 */
export async function writeTemplate(
  parts: readonly Part[],
  format: TemplateFormat,
  options: TemplateOptions,
): Promise<Buffer> {
  const file = await drawn(parts, format, options);
  const checked = measured(file, parts, { format, options });
  if (!checked) return file;
  const wrong = checked.filter(({ off }) => !(off <= CHECKED_WITHIN));
  if (wrong.length > 0)
    throw new FaultError(
      wrong.map(({ id, off }): Fault => ({
        code: 'impossible-piece',
        path: id,
        value: `off by ${off.toFixed(2)} mm`,
        rule: `measures differently in the ${format} file, which is not handed over`,
      })),
    );
  return drawn(parts, format, { ...options, checked });
}
