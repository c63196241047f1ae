import type { Design } from '../contract/api.ts';
import type { Kept, RecordKind } from '../contract/records.ts';
import { ERRORS, type ErrorCode } from '../contract/errors.ts';
import type { Fault } from '../core/errors.ts';

/** What a refusal may carry. */
export interface RefusalDetail {
  readonly faults?: readonly Fault[];
  readonly current?: Design;
  readonly record?: Kept<RecordKind>;
}

/** A refusal out of the error catalogue; the error middleware turns it into a reply. */
export class Refusal extends Error {
  readonly code: ErrorCode;
  readonly detail: RefusalDetail;

  constructor(code: ErrorCode, detail: RefusalDetail = {}) {
    super(ERRORS[code].message);
    this.name = 'Refusal';
    this.code = code;
    this.detail = detail;
  }
}
