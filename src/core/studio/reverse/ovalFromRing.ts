import { root } from '../../numbers.ts';
import { girth } from '../../geometry/outline/planMeasures.ts';
import { ellipse } from '../../geometry/outline/support.ts';
import type { OvalForm } from '../../target/target.ts';

/** Across the round ring that an oval is squeezed from, over the same face (mm): as far round as the oval. */
export function ringOf({ length, width }: Pick<OvalForm, 'length' | 'width'>): number {
  return girth(ellipse(length / 2, width / 2)) / Math.PI;
}

/** The least width of an oval, as a share of its ring: a flatter one is no piece any more. */
const FLATTEST = 0.02;

/**
 * The oval of the same length and height that comes of a round ring squeezed to it: faces parallel to one another differ by
 * the same in girth, so the ring may be measured over either, as the oval is.
 *
 * @param ring across the ring, mm
 * @returns null where the ring is too small or too large for the length
 */
export function ovalFromRing(form: OvalForm, ring: number): OvalForm | null {
  if (!(ring > 0)) return null;
  const off = (width: number) => ringOf({ length: form.length, width }) - ring;
  const width = root(off, FLATTEST * ring, form.length);
  return width === null ? null : { ...form, width };
}
