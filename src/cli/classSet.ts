import { MOST_PUPILS, namesOfTable } from '../contract/classList.ts';
import { developWhole } from '../core/piece/develop.ts';
import type { PageOptions } from '../core/files/sheet/pages.ts';
import type { Target } from '../core/target/target.ts';
import type { Station } from './station.ts';

/** Names of a class: the first column of a CSV, with or without a head. Null with a complaint. */
export function readNames(file: string, station: Station): string[] | null {
  try {
    const names = namesOfTable(station.readText(file));
    if (names.length > 0 && names.length <= MOST_PUPILS) return names;
    station.complain(`--class: ${file}: must have from 1 to ${MOST_PUPILS} names in its first column`);
  } catch (error) {
    station.complain(`--class: ${file}: cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  }
  return null;
}

/** What a class takes in all: names, sheets of paper, and wet clay in the pieces (g). */
export interface ClassSummed {
  readonly names: number;
  readonly sheets: number;
  readonly clay: number;
}

/** Writes `class.pdf`: for each name a card and the templates of every design. */
export async function classSet(
  pieces: readonly { readonly target: Target; readonly options: PageOptions }[],
  names: readonly string[],
  { out, station }: { readonly out: string; readonly station: Station },
): Promise<ClassSummed> {
  const { classPages } = await import('../print/writeCard.ts');
  const { writePdf } = await import('../print/pdf.ts');
  const pages = classPages(pieces, names);
  const file = `${out}/class.pdf`;
  station.writeFile(file, await writePdf('Class', pages));
  station.print(file);
  const each = pieces.reduce((sum, { target }) => sum + developWhole(target).finished.mass.wet, 0);
  return { names: names.length, sheets: pages.length, clay: each * names.length };
}
