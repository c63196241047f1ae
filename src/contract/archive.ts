/** A clash: a record that the studio and an archive both have, with different contents. */
export interface ArchiveClash {
  readonly kind: 'design' | 'record' | 'making';
  readonly id: string;
  readonly name: string;
  /** When it was changed last here and in the archive (ISO 8601 in UTC). */
  readonly here: string;
  readonly archive: string;
}

/** An archive that was read, found sound, and waits for confirmation. */
export interface ArchiveOffer {
  readonly token: string;
  readonly madeAt: string;
  readonly counts: Readonly<Record<string, number>>;
  readonly clashes: readonly ArchiveClash[];
}

/** How to import an archive: in place of the studio or added to it, and in which clashes the archive's state counts. */
export type ArchiveWord =
  | { readonly mode: 'exactly' }
  | { readonly mode: 'merge'; readonly archive: readonly Pick<ArchiveClash, 'kind' | 'id'>[] };
