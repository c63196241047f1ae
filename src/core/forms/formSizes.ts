import type { Form } from '../target/target.ts';
import type { FormSize } from './kind/formSize.ts';
import { kindOfForm } from './kinds.ts';

/** The figures of a form in the order in which they are asked for. */
export function formSizes(form: Form): readonly FormSize[] {
  return kindOfForm(form).sizes(form);
}
