import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { importsIn, nextOf, reachedFrom } from '../../core/imports.test.helper.ts';

/** Readers that measure what was written, and what writes it. */
const READERS = [
  'print/measured/readBack.ts',
  'print/measured/readPdf.ts',
  'print/stl/readBackStl.ts',
  'core/files/plot/readHpgl.ts',
  'core/files/drawn/readDxf.ts',
];
const WRITERS = [
  'core/files/format/dxf.ts',
  'core/files/format/svg.ts',
  'core/files/plot/hpgl.ts',
  'core/files/plot/plotSheet.ts',
  'print/pdf.ts',
  'print/stl/writeStl.ts',
];

/** Shared basics that know nothing of any file format. */
const COMMON = /^core\/(numbers|geometry\/outline\/outline)\.ts$/;

const SRC = join(import.meta.dirname, '../..');
const next = nextOf(importsIn(SRC).filter(({ typesOnly }) => !typesOnly));
const codeOf = (file: string) => new Set([file, ...reachedFrom(file, next)]);

describe('a file is measured by a reader', () => {
  it.each(READERS)('%s, that shares no code with what wrote it', (reader) => {
    const read = codeOf(reader);
    const shared = WRITERS.flatMap((writer) => [...codeOf(writer)]).filter(
      (file) => read.has(file) && !COMMON.test(file),
    );
    expect([...new Set(shared)]).toEqual([]);
  });

  it.each([...READERS, ...WRITERS])('looks at %s, which is there', (file) => {
    expect(existsSync(join(SRC, file))).toBe(true);
  });

  it('follows imports of imports', () => {
    expect([...codeOf('core/files/format/svg.ts')]).toEqual(
      expect.arrayContaining(['core/files/format/pathData.ts', 'core/geometry/outline/outline.ts']),
    );
  });
});
