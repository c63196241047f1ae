/** Words that are explained on the spot, as they stand in the glossary. */
export const EXPLAINED = ['neutral fraction', 'lean', 'bevel run', 'square rim, level rim'] as const;
/** A word that is explained. */
export type ExplainedWord = (typeof EXPLAINED)[number];

/** What the words of the glossary mean, by the word: its table is the one source. */
export function readGlossary(markdown: string): ReadonlyMap<string, string> {
  const rows = [...markdown.matchAll(/^\| ([^|]+?) +\| ([^|]+?) +\|$/gm)];
  return new Map(rows.slice(1).map(([, word = '', meaning = '']) => [word.trim(), meaning.trim()]));
}
