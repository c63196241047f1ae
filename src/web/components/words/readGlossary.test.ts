import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { EXPLAINED, readGlossary } from './readGlossary.ts';

describe('words explained on the spot', () => {
  it('all stand in the glossary, each with a sentence that fits two lines', () => {
    const meanings = readGlossary(readFileSync(join(import.meta.dirname, '../../../../docs/glossary.md'), 'utf8'));
    expect(meanings.size).toBeGreaterThan(80);
    for (const word of EXPLAINED) {
      expect([word, (meanings.get(word) ?? '').length]).toEqual([word, expect.any(Number)]);
      expect(meanings.get(word)?.length ?? 0).toBeGreaterThan(30);
      expect(meanings.get(word)?.length ?? 999).toBeLessThan(160);
    }
  });
});
