/**
 * Invisible characters: controls, marks of writing direction, joiners and zero-width spaces. A joiner between letters that need
 * it stays.
 */
const UNSEEN =
  /[\p{Cc}\p{Zl}\p{Zp}\u00AD\u061C\u180E\u200B\u200E\u200F\u202A-\u202E\u2060-\u206F\uFEFF\uFFF9-\uFFFB]|\p{Cs}/gu;

/** A name as it is kept: without invisible characters, its spaces single, none at the ends. */
export function plainName(name: string): string {
  return name.normalize('NFC').replace(UNSEEN, ' ').replace(/\s+/g, ' ').trim();
}
