import { readFileSync } from 'node:fs';
import { create, type Font } from 'fontkit';
import { unpackWoff } from './unpackWoff.ts';

const PACKED = [
  'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal',
  'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal',
  'noto-sans/files/noto-sans-cyrillic-400-normal',
  'noto-sans/files/noto-sans-devanagari-700-normal',
].map((name) => readFileSync(`node_modules/@fontsource/${name}.woff`));

const openedOf = (file: Buffer) => create(file) as Font;

/** Sum of a table's words, as the format's checksum is defined. */
function checksum(table: Buffer): number {
  let sum = 0;
  for (let at = 0; at < table.length; at += 4) sum = (sum + table.readUInt32BE(at)) >>> 0;
  return sum;
}

describe('an unpacked typeface', () => {
  it.each(PACKED)('has the letters of the packed one, with the same outlines and widths (%#)', (woff) => {
    const [packed, whole] = [openedOf(woff), openedOf(unpackWoff(woff))];
    expect(whole.characterSet).toEqual(packed.characterSet);
    expect(whole.characterSet.length).toBeGreaterThan(50);
    for (const code of packed.characterSet.filter((_, index) => index % 7 === 0)) {
      const [one, other] = [packed.glyphForCodePoint(code), whole.glyphForCodePoint(code)];
      expect([other.advanceWidth, other.path.toSVG()]).toEqual([one.advanceWidth, one.path.toSVG()]);
    }
  });

  it.each(PACKED)('has its tables at whole words, in order, each with its checksum (%#)', (woff) => {
    const file = unpackWoff(woff);
    let end = 12 + 16 * file.readUInt16BE(4);
    for (let at = 12; at < 12 + 16 * file.readUInt16BE(4); at += 16) {
      const [sum, from, length] = [file.readUInt32BE(at + 4), file.readUInt32BE(at + 8), file.readUInt32BE(at + 12)];
      expect(from).toBe(end);
      end = from + Math.ceil(length / 4) * 4;
      // The checksum of the head table is taken without its own field for the whole file.
      if (file.toString('latin1', at, at + 4) !== 'head') expect(checksum(file.subarray(from, end))).toBe(sum);
    }
    expect(end).toBe(file.length);
  });

  it('is refused when it is packed in another way', () => {
    expect(() => unpackWoff(Buffer.from('wOF2 and more'))).toThrow('not a WOFF file');
    expect(() => unpackWoff(Buffer.alloc(0))).toThrow(RangeError);
  });
});
