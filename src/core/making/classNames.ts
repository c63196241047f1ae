/** Most names of a class, and the longest of them (letters). */
export const CLASS_LIMITS = { names: 60, name: 60 } as const;

/** What could turn or hide the writing around it. */
const HIDDEN = /[\p{Cc}\u200B-\u200F\u202A-\u202E\u2060-\u2069\uFEFF]/gu;

/** Names as they are typed or pasted: one a line, or with commas between them; empty ones and what cannot be seen left out. */
export function namesIn(text: string): string[] {
  const lines = text.split(/\r\n|[\n\r\u2028\u2029]/);
  const parts = lines.length > 1 ? lines : text.split(/[,;\t]/);
  return parts
    .map((part) => part.replace(HIDDEN, '').replace(/^["'\s]+|["'\s,;]+$/g, '').slice(0, CLASS_LIMITS.name).trim())
    .filter((name) => name !== '')
    .slice(0, CLASS_LIMITS.names);
} // prettier-ignore
