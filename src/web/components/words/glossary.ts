import text from '../../../../docs/glossary.md?raw';
import { readGlossary, type ExplainedWord } from './readGlossary.ts';

const meanings = readGlossary(text);

/** The meaning of a word, as the glossary has it. */
export function meaningOf(word: ExplainedWord): string {
  return meanings.get(word) ?? '';
}
