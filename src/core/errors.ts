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

/** One fault on one line: path, value and rule. Terminal control characters are shown by their code. */
export function faultLine(fault: Fault): string {
  return printable(`${fault.path || '(file)'}: ${fault.value}: ${fault.rule}`);
}

/** A text without characters that move a terminal's cursor, change its colours or turn the direction of writing. */
export function printable(text: string): string {
  return text.replace(
    /[\p{Cc}\u200E\u200F\u202A-\u202E\u2066-\u2069]/gu,
    (sign) => `\\u${sign.charCodeAt(0).toString(16).padStart(4, '0')}`,
  );
}

/** Longest text of a value in a message (characters). */
const SHORT = 60;

/** A short, one-line text of any value for a message (at most 60 characters); long lists are told by their length. */
export function shortValue(value: unknown): string {
  if (value === undefined) return 'nothing';
  if (Array.isArray(value) && value.length > 12) return `a list of ${value.length}`;
  if (typeof value === 'string' && value.length > SHORT)
    return `${JSON.stringify(value.slice(0, SHORT - 4)).slice(0, -1)}...`;
  if (typeof value === 'object' && value !== null && !Array.isArray(value)) {
    const keys = Object.keys(value);
    const large = keys.some((key) => typeof (value as Record<string, unknown>)[key] === 'object');
    if (large || keys.length > 12)
      return `{${keys
        .slice(0, 4)
        .map((key) => printable(key.slice(0, 12)))
        .join(', ')}${keys.length > 4 ? ', ...' : ''}}`;
  }
  const text = JSON.stringify(value) ?? String(value);
  return text.length > SHORT ? `${text.slice(0, SHORT - 3)}...` : text;
}
