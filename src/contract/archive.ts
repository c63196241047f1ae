/** One thing that the studio and an archive both have, each otherwise. */
export interface ArchiveClash {
  readonly kind: 'design' | 'record' | 'making';
  readonly id: string;
  readonly name: string;
  /** When it was changed last here and in the archive. */
  readonly here: string;
  readonly archive: string;
}

/** An archive that was read and found sound, and waits for a word. */
export interface ArchiveOffer {
  readonly token: string;
  readonly madeAt: string;
  readonly counts: Readonly<Record<string, number>>;
  readonly clashes: readonly ArchiveClash[];
}

/** How an archive is taken: in place of the studio, or added to it; then which of the clashing things the archive decides. */
export type ArchiveWord =
  | { readonly mode: 'exactly' }
  | { readonly mode: 'merge'; readonly archive: readonly Pick<ArchiveClash, 'kind' | 'id'>[] };
