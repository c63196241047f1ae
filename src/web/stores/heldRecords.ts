import type { Kept, RecordBodies, RecordKind } from '../../contract/records.ts';
import { dropChange, heldChanges, holdChange } from './heldChanges.ts';

/** A change to a record that the server has not acknowledged; revision 0 means that the record itself is new. */
export interface HeldRecord<K extends RecordKind> {
  readonly id: string;
  readonly body: RecordBodies[K];
  readonly baseRevision: number;
  /** Fingerprints of what was sent from there without an answer. */
  readonly sent?: readonly string[];
}

/** Holds a change in this browser until the server has it. */
export function holdRecord<K extends RecordKind>(
  kind: K,
  { id, body, revision }: Kept<K>,
  sent: readonly string[] = [],
): void {
  holdChange<HeldRecord<K>>(kind, id, { id, body, baseRevision: revision, ...(sent.length > 0 && { sent }) });
}

/** Deletes what is held of a record. */
export function dropHeldRecord(kind: RecordKind, id: string): void {
  dropChange(kind, id);
}

/** All held changes of a kind. */
export async function heldRecords<K extends RecordKind>(kind: K): Promise<HeldRecord<K>[]> {
  return (await heldChanges<HeldRecord<K>>(kind)).map(({ what }) => what);
}

/** An id for a record that this browser creates; the server adopts it. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}
