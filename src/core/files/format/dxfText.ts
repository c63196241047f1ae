import { plain } from './pathData.ts';

/** One group of a DXF file: its code and its value. */
export type Group = readonly [code: number, value: string | number];

/** Groups as the lines of a DXF file. */
export function groupLines(groups: readonly Group[]): string {
  return groups.map(([code, value]) => `${code}\n${typeof value === 'number' ? plain(value) : value}\n`).join('');
}

/** A text that a DXF R2000 file can hold: other than ASCII as \U+XXXX, control characters dropped. */
export function dxfText(text: string): string {
  return [...text]
    .map((sign) => {
      const code = sign.codePointAt(0) ?? 0;
      if (code < 32 || code > 0xffff) return '';
      return code < 127 ? sign : `\\U+${code.toString(16).toUpperCase().padStart(4, '0')}`;
    })
    .join('');
}

/** Gives out handles: the hexadecimal names that every object of the file needs. */
export function handleMaker(first: number): { next: () => string; seed: () => string } {
  let counter = first;
  return {
    next: () => {
      counter += 1;
      return (counter - 1).toString(16).toUpperCase();
    },
    seed: () => counter.toString(16).toUpperCase(),
  };
}
