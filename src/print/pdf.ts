import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import { pathData, plain } from '../core/files/format/pathData.ts';
import { MM_PER_INCH } from '../core/numbers.ts';
import type { Layer, Primitive } from '../core/studio/printer/drawing.ts';
import type { Page } from '../core/files/sheet/pages.ts';
import { unpackWoff } from './unpackWoff.ts';

/** Points of a PDF in one mm. */
const POINTS_PER_MM = 72 / MM_PER_INCH;

const INK = '#2b211c';
const SHADE = '#d9bd91';
/** Width of thin lines, as a share of the usual width. */
const THIN = 0.5;

const LINE_WIDTH: Readonly<Record<Layer, number>> = { cut: 0.3, mark: 0.15, lean: 0.15, text: 0.15 };

const FONTS = join(process.cwd(), 'node_modules/@fontsource');

/** The shipped typefaces by their parts of the alphabet: the first that has a letter draws it. */
const FACES = [
  'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin',
  'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext',
  'noto-sans/files/noto-sans-latin-ext',
  'noto-sans/files/noto-sans-vietnamese',
  'noto-sans/files/noto-sans-greek',
  'noto-sans/files/noto-sans-greek-ext',
  'noto-sans/files/noto-sans-cyrillic',
  'noto-sans/files/noto-sans-cyrillic-ext',
  'noto-sans/files/noto-sans-devanagari',
] as const;

const WEIGHTS = { regular: 400, bold: 700 } as const;

/** Drawn in place of a letter that no shipped typeface has, so that nothing prints as an empty box. */
const UNKNOWN = '?';

type Weight = keyof typeof WEIGHTS;

/** The typefaces by their files, read and unpacked once. */
const read = new Map<string, Buffer>();

function fontFile(face: string, weight: Weight): Buffer {
  const name = `${face}-${WEIGHTS[weight]}-normal.woff`;
  const file = read.get(name) ?? unpackWoff(readFileSync(join(FONTS, name)));
  read.set(name, file);
  return file;
}

/** The part of a font that tells whether it has a letter. */
interface Opened {
  readonly font: { readonly hasGlyphForCodePoint: (code: number) => boolean };
}

/** A run of letters that one typeface draws. */
interface Run {
  readonly font: string;
  readonly text: string;
}

/** Finds the typeface of each letter, opening those that are needed. */
class Letters {
  private readonly opened = new Map<string, Opened>();
  private readonly known = new Map<string, string | null>();

  constructor(private readonly doc: PDFKit.PDFDocument) {}

  runs(text: string, weight: Weight): Run[] {
    const runs: Run[] = [];
    for (const letter of text) {
      const found = this.fontOf(letter, weight);
      const font = found ?? `${FACES[0]} ${weight}`;
      const drawn = found ? letter : UNKNOWN;
      if (!found) this.open(FACES[0], weight);
      const last = runs.at(-1);
      if (last?.font === font) runs[runs.length - 1] = { font, text: last.text + drawn };
      else runs.push({ font, text: drawn });
    }
    return runs;
  }

  private fontOf(letter: string, weight: Weight): string | null {
    const name = `${weight} ${letter}`;
    const known = this.known.get(name);
    if (known !== undefined) return known;
    const code = letter.codePointAt(0) ?? 0;
    const face = FACES.find((one) => this.open(one, weight).font.hasGlyphForCodePoint(code));
    const found = face ? `${face} ${weight}` : null;
    this.known.set(name, found);
    return found;
  }

  private open(face: string, weight: Weight): Opened {
    const name = `${face} ${weight}`;
    let font = this.opened.get(name);
    if (!font) {
      this.doc.registerFont(name, fontFile(face, weight));
      font = (this.doc.font(name) as unknown as { readonly _font: Opened })._font;
      this.opened.set(name, font);
    }
    return font;
  }
}

function dashOf(doc: PDFKit.PDFDocument, dash: 'dash' | 'chain' | undefined): void {
  if (dash === 'dash') doc.dash(2, { space: 1.2 });
  else if (dash === 'chain') doc.dash(6, { space: 1.5 });
  else doc.undash();
}

function draw(
  doc: PDFKit.PDFDocument,
  {
    letters,
    item,
    page: { height, thin },
  }: { readonly letters: Letters; readonly item: Primitive; readonly page: Page },
): void {
  const width = (layer: Layer) => (thin ? THIN : 1) * LINE_WIDTH[layer];
  switch (item.kind) {
    case 'path':
      dashOf(doc, item.dash);
      doc
        .lineWidth(width(item.layer))
        .path(
          pathData(item.outline, { scale: 1, origin: [0, height], write: plain, ends: item.open ? 'open' : 'closed' }),
        );
      if (item.fill) doc.fillAndStroke(SHADE, INK);
      else doc.stroke(INK);
      return;
    case 'line':
      dashOf(doc, item.dash);
      doc
        .lineWidth(width(item.layer))
        .moveTo(item.from[0], height - item.from[1])
        .lineTo(item.to[0], height - item.to[1])
        .stroke(INK);
      return;
    case 'text': {
      doc.fontSize(item.size).fillColor(INK);
      const runs = letters
        .runs(item.text, item.weight ?? 'regular')
        .map((run) => ({ ...run, width: doc.font(run.font).widthOfString(run.text) }));
      const long = runs.reduce((sum, run) => sum + run.width, 0);
      let x = item.at[0] - (item.anchor === 'start' ? 0 : item.anchor === 'middle' ? long / 2 : long);
      for (const run of runs) {
        doc.font(run.font).text(run.text, x, height - item.at[1], { lineBreak: false, baseline: 'alphabetic' });
        x += run.width;
      }
    }
  }
}

/** Draws the pages that core has laid out as a PDF at true size; resolves to the file's bytes. */
export function writePdf(title: string, pages: readonly Page[]): Promise<Buffer> {
  const doc = new PDFDocument({ autoFirstPage: false, info: { Title: title, Creator: 'Fawn Table' } });
  const letters = new Letters(doc);
  const chunks: Buffer[] = [];
  const whole = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  for (const page of pages) {
    const [x, y] = page.stretch.map((factor) => factor * POINTS_PER_MM) as [number, number];
    doc.addPage({ size: [page.width * x, page.height * y], margin: 0 });
    doc.scale(x, y);
    for (const layer of page.layers) {
      doc.save();
      if (layer.clip) {
        const { minX, minY, maxX, maxY } = layer.clip;
        doc.rect(minX, page.height - maxY, maxX - minX, maxY - minY).clip();
      }
      for (const item of layer.items) draw(doc, { letters, item, page });
      doc.restore();
    }
  }
  doc.end();
  return whole;
}
