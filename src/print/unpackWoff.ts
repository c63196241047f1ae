import { inflateSync } from 'node:zlib';

/** Sizes of the headers and of one entry of the list of tables (bytes), in a WOFF file and in an OpenType file. */
const WOFF = { header: 44, entry: 20 } as const;
const OPEN_TYPE = { header: 12, entry: 16 } as const;

const SIGNATURE = 'wOFF';

/** Tables begin at multiples of four bytes. */
const padded = (length: number) => (length + 3) & ~3;

/**
 * Unpacks a WOFF typeface into the OpenType file that it was made from, so that a writer need not inflate each table whenever
 * it reads it (WOFF File Format 1.0, W3C).
 *
 * @throws RangeError when the file is no WOFF 1.0 file
 */
export function unpackWoff(woff: Buffer): Buffer {
  if (woff.toString('latin1', 0, 4) !== SIGNATURE) throw new RangeError('not a WOFF file');
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, index) => {
    const at = WOFF.header + WOFF.entry * index;
    const [from, packed, length] = [woff.readUInt32BE(at + 4), woff.readUInt32BE(at + 8), woff.readUInt32BE(at + 12)];
    const data = woff.subarray(from, from + packed);
    return {
      tag: woff.subarray(at, at + 4),
      sum: woff.readUInt32BE(at + 16),
      data: packed < length ? inflateSync(data) : data,
    };
  });
  const first = OPEN_TYPE.header + OPEN_TYPE.entry * count;
  const file = Buffer.alloc(tables.reduce((size, { data }) => size + padded(data.length), first));
  woff.copy(file, 0, 4, 8);
  file.writeUInt16BE(count, 4);
  // The header also stores three figures for a binary search of the tables.
  const halvings = Math.floor(Math.log2(count));
  file.writeUInt16BE(OPEN_TYPE.entry * 2 ** halvings, 6);
  file.writeUInt16BE(halvings, 8);
  file.writeUInt16BE(OPEN_TYPE.entry * (count - 2 ** halvings), 10);
  let next = first;
  tables.forEach(({ tag, sum, data }, index) => {
    const at = OPEN_TYPE.header + OPEN_TYPE.entry * index;
    tag.copy(file, at);
    file.writeUInt32BE(sum, at + 4);
    file.writeUInt32BE(next, at + 8);
    file.writeUInt32BE(data.length, at + 12);
    data.copy(file, next);
    next += padded(data.length);
  });
  return file;
}
