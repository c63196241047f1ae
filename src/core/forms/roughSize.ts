import type { Form } from '../target/target.ts';
import type { Phrase } from '../units/phrase.ts';
import type { RoughSize } from './kind/kind.ts';
import { kindOfForm } from './kinds.ts';

/** Rough size of any form: across rim and foot, and height (mm). */
export function roughSize(form: Form): RoughSize {
  return kindOfForm(form).rough(form);
}

/** A form's size in a few figures: `84 × 110`, `120 / 80 × 90` for a taper, `150 × 100 × 60` for an oval. */
export function sizePhrase(form: Form): Phrase {
  if (form.kind === 'oval' || form.kind === 'box') {
    return [{ mmPlain: form.length }, ' × ', { mmPlain: form.width }, ' × ', { mm: form.height }];
  }
  if (form.kind === 'stand') return ['for ', { mmPlain: form.device.length }, ' × ', { mm: form.device.thickness }];
  const { rim, foot, height } = roughSize(form);
  const across: Phrase = rim === foot ? [{ mmPlain: rim }] : [{ mmPlain: rim }, ' / ', { mmPlain: foot }];
  return [...across, ' × ', { mm: height }];
}
