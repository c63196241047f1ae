/** What can be wrong with a value that a person or a file gave; each is explained in docs/format.md. */
export type FaultCode =
  | 'unreadable'
  | 'unknown-key'
  | 'missing'
  | 'wrong-type'
  | 'out-of-range'
  | 'not-offered'
  | 'newer-version'
  | 'impossible-piece';

/** One fault: where it is, what stood there, and the rule that it breaks. */
export interface Fault {
  readonly code: FaultCode;
  /** Dotted path in the file or form, for example `form.height`; empty for the whole. */
  readonly path: string;
  /** The value found, as a short readable text. */
  readonly value: string;
  /** The rule in plain words, for example `must be greater than 0`. */
  readonly rule: string;
}

/** Thrown by core when it is given a target that cannot be developed. Carries every fault found. */
export class FaultError extends Error {
  readonly faults: readonly Fault[];

  constructor(faults: readonly Fault[]) {
    super(faults.map(faultLine).join('\n'));
    this.name = 'FaultError';
    this.faults = faults;
  }
}

/** One fault on one line: path, value and rule. */
export function faultLine(fault: Fault): string {
  return `${fault.path || '(file)'}: ${fault.value}: ${fault.rule}`;
}

/** A short, one-line text of any value for a message (at most 60 characters). */
export function shortValue(value: unknown): string {
  const text = value === undefined ? 'nothing' : (JSON.stringify(value) ?? String(value));
  return text.length > 60 ? `${text.slice(0, 57)}...` : text;
}
