/** A file name from a design's name: lower-case letters, figures and hyphens; `piece` when nothing is left. */
export function fileStem(name: string): string {
  const stem = name
    .normalize('NFKD')
    .replace(/[^\p{ASCII}]/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  return stem || 'piece';
}
