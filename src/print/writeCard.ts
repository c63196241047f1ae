import { DEFAULT_BENCH } from '../core/advice/bench.ts';
import { orderOfWork } from '../core/studio/making/orderOfWork.ts';
import { DEFAULT_SCHOOLS } from '../core/studio/making/workStep.ts';
import { developWhole } from '../core/piece/develop.ts';
import type { Target } from '../core/target/target.ts';
import { slabsToRoll } from '../core/studio/slabPlan/quickPlan.ts';
import { benchCard } from '../core/files/sheet/benchCard.ts';
import { pagesOf, type Page, type PageOptions } from '../core/files/sheet/pages.ts';
import { PAPER_MARGIN, PAPERS } from '../core/studio/printer/paper.ts';
import { templateParts } from '../core/files/sheet/templateParts.ts';
import { printedSize, stretchOf, TRUE_SCALE } from '../core/studio/printer/printerCheck.ts';
import { writePdf } from './pdf.ts';

/** Options of a card: those of its templates, and whose it is in a class. */
export interface CardOptions extends Omit<PageOptions, 'name'> {
  /** The greatest slab that is rolled: along and across (mm). */
  readonly bench?: { readonly length: number; readonly width: number };
  readonly student?: string;
}

/** The bench card of a piece, as a page. */
export function cardPage(
  target: Target,
  { paper, style, about, printer, student, thin, bench = DEFAULT_BENCH.slab }: CardOptions,
): Page {
  const developed = developWhole(target);
  const steps = orderOfWork(target, {
    developed,
    slabs: slabsToRoll(target, developed, bench),
    schools: DEFAULT_SCHOOLS,
  });
  const scale = printer?.scale ?? TRUE_SCALE;
  const size = printedSize(PAPERS[paper], scale);
  const items = benchCard(
    { target, developed, steps, style, whole: about?.whole ?? target.name, ...(student !== undefined && { student }) },
    size,
  );
  return {
    ...size,
    parts: [],
    layers: [{ clip: null, items }],
    stretch: stretchOf(size, scale),
    ...(thin && { thin }),
  };
}

/** The bench card of a piece as a PDF of one page. */
export function writeCard(target: Target, options: CardOptions): Promise<Buffer> {
  return writePdf(`${target.name}, bench card`, [cardPage(target, options)]);
}

/** One piece of a class: its target, and its template's options. */
export interface ClassPiece {
  readonly target: Target;
  readonly options: PageOptions;
}

/** Names stand at the head of each page, clear of what is drawn (mm). */
const NAME = { size: 5, under: 4 } as const;

/** A template's page with the name of the one who cuts it. */
function named(page: Page, name: string): Page {
  const at = [page.width - PAPER_MARGIN, page.height - NAME.size - NAME.under] as const;
  return {
    ...page,
    layers: [
      ...page.layers,
      {
        clip: null,
        items: [{ kind: 'text', layer: 'text', at, size: NAME.size, text: name, anchor: 'end', weight: 'bold' }],
      },
    ],
  };
}

/** The pages of a class: for each name, or once without names, its templates for every piece, each behind its card. */
export function classPages(pieces: readonly ClassPiece[], names: readonly string[], cards = true): Page[] {
  const made = pieces.map(({ target, options }) => ({
    target,
    options,
    pages: pagesOf(templateParts(target, developWhole(target).parts), options),
  }));
  const whole = (student?: string) =>
    made.flatMap(({ target, options, pages }) => [
      ...(cards ? [cardPage(target, { ...options, ...(student !== undefined && { student }) })] : []),
      ...pages.map((page) => (student === undefined ? page : named(page, student))),
    ]);
  return names.length === 0 ? whole() : names.flatMap((name) => whole(name));
}

/** A class's cards and templates as one PDF. */
export function writeClass(
  title: string,
  pieces: readonly ClassPiece[],
  { names, cards = true }: { readonly names: readonly string[]; readonly cards?: boolean },
): Promise<Buffer> {
  return writePdf(title, classPages(pieces, names, cards));
}
