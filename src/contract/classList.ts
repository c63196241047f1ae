import Papa from 'papaparse';
import { cleanName } from '../core/studio/making/classNames.ts';

/** Most names that a class is printed for. */
export const MOST_PUPILS = 200;

/** Names of a class in a CSV: its first column, with or without a head; empty ones left out. */
export function namesOfTable(text: string): string[] {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: true });
  const names = data.map(([first = '']) => cleanName(first)).filter((name) => name !== '');
  return /^names?$/i.test(names[0] ?? '') ? names.slice(1) : names;
}
