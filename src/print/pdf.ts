import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import { pathData } from '../core/format/pathData.ts';
import { MM_PER_INCH } from '../core/numbers.ts';
import type { Layer, Primitive } from '../core/sheet/drawing.ts';
import type { Page } from '../core/sheet/pages.ts';

/** Points of a PDF in one mm. */
const POINTS_PER_MM = 72 / MM_PER_INCH;

const INK = '#2b211c';
const SHADE = '#d9bd91';
const LINE_WIDTH: Readonly<Record<Layer, number>> = { cut: 0.3, mark: 0.15, lean: 0.15, text: 0.15 };

const FONT_FOLDER = join(process.cwd(), 'node_modules/@fontsource/atkinson-hyperlegible-next/files');

/** The shipped typeface, read once: regular and bold. */
let fonts: { readonly regular: Buffer; readonly bold: Buffer } | undefined;

function loadFonts() {
  const read = (weight: number) =>
    readFileSync(join(FONT_FOLDER, `atkinson-hyperlegible-next-latin-${weight}-normal.woff`));
  fonts ??= { regular: read(400), bold: read(700) };
  return fonts;
}

function dashOf(doc: PDFKit.PDFDocument, dash: 'dash' | 'chain' | undefined): void {
  if (dash === 'dash') doc.dash(2, { space: 1.2 });
  else if (dash === 'chain') doc.dash(6, { space: 1.5 });
  else doc.undash();
}

function draw(doc: PDFKit.PDFDocument, item: Primitive, height: number): void {
  switch (item.kind) {
    case 'path':
      dashOf(doc, item.dash);
      doc.lineWidth(LINE_WIDTH[item.layer]).path(pathData(item.outline, 1, [0, height]));
      if (item.fill) doc.fillAndStroke(SHADE, INK);
      else doc.stroke(INK);
      return;
    case 'line':
      dashOf(doc, item.dash);
      doc
        .lineWidth(LINE_WIDTH[item.layer])
        .moveTo(item.from[0], height - item.from[1])
        .lineTo(item.to[0], height - item.to[1])
        .stroke(INK);
      return;
    case 'text': {
      doc.font(item.weight ?? 'regular').fontSize(item.size);
      const width = doc.widthOfString(item.text);
      const shift = item.anchor === 'start' ? 0 : item.anchor === 'middle' ? width / 2 : width;
      doc
        .fillColor(INK)
        .text(item.text, item.at[0] - shift, height - item.at[1], { lineBreak: false, baseline: 'alphabetic' });
    }
  }
}

/** Draws the pages that core has laid out as a PDF at true size; resolves to the file's bytes. */
export function writePdf(title: string, pages: readonly Page[]): Promise<Buffer> {
  const doc = new PDFDocument({ autoFirstPage: false, info: { Title: title, Creator: 'Fawn Table' } });
  const { regular, bold } = loadFonts();
  doc.registerFont('regular', regular).registerFont('bold', bold);
  const chunks: Buffer[] = [];
  const whole = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  for (const page of pages) {
    doc.addPage({ size: [page.width * POINTS_PER_MM, page.height * POINTS_PER_MM], margin: 0 });
    doc.scale(POINTS_PER_MM);
    for (const layer of page.layers) {
      doc.save();
      if (layer.clip) {
        const { minX, minY, maxX, maxY } = layer.clip;
        doc.rect(minX, page.height - maxY, maxX - minX, maxY - minY).clip();
      }
      for (const item of layer.items) draw(doc, item, page.height);
      doc.restore();
    }
  }
  doc.end();
  return whole;
}
