import type { Form, FormKind } from '../target/target.ts';
import { KINDS } from './kinds.ts';
import { roughSize } from './roughSize.ts';

/** A form of another kind of about the same size. */
export function formOfKind(kind: FormKind, from: Form): Form {
  return KINDS[kind].fresh(roughSize(from));
}
