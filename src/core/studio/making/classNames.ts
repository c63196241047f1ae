/** Most names of a class, and the longest of them (letters). */
export const CLASS_LIMITS = { names: 60, name: 60 } as const;

/** Characters that could reverse or hide the text around them. */
const HIDDEN = /[\p{Cc}\u200B-\u200F\u202A-\u202E\u2060-\u2069\uFEFF]/gu;

/** A name without quotes and invisible characters; empty where nothing is left. */
export function cleanName(text: string): string {
  return text
    .replace(HIDDEN, '')
    .replace(/^["'\s]+|["'\s,;]+$/g, '')
    .slice(0, CLASS_LIMITS.name)
    .trim();
}

/** Names as they are typed or pasted: one a line, or with commas between them; empty ones and what cannot be seen left out. */
export function namesIn(text: string, most: number = CLASS_LIMITS.names): string[] {
  const lines = text.split(/\r\n|[\n\r\u2028\u2029]/);
  const parts = lines.length > 1 ? lines : text.split(/[,;\t]/);
  return parts
    .map(cleanName)
    .filter((name) => name !== '')
    .slice(0, most);
}
