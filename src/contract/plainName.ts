/**
 * Characters that are not seen: controls, marks that turn the direction of writing, joiners and spaces of no width. Letters
 * that need a joiner between them keep it.
 */
const UNSEEN =
  /[\p{Cc}\p{Zl}\p{Zp}\u00AD\u061C\u180E\u200B\u200E\u200F\u202A-\u202E\u2060-\u206F\uFEFF\uFFF9-\uFFFB]|\p{Cs}/gu;

/** A name as it is kept: without what is not seen, its spaces single and none at the ends. */
export function plainName(name: string): string {
  return name.normalize('NFC').replace(UNSEEN, ' ').replace(/\s+/g, ' ').trim();
}
