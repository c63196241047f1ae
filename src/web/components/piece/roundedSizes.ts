import { LENGTH_TOLERANCE } from '../../../core/numbers.ts';
import type { Form } from '../../../core/target/target.ts';

/** Solved sizes are rounded to tenths of a mm, so that the fields stay readable. */
const TENTHS = 10;

/** The form with every size rounded to a tenth of a mm: to the nearest, or down so that it still fits. */
export function roundedSizes(form: Form, way: 'near' | 'down' = 'near'): Form {
  const round = (value: number) =>
    (way === 'near' ? Math.round(value * TENTHS) : Math.floor(value * TENTHS + LENGTH_TOLERANCE)) / TENTHS;
  const text = JSON.stringify(form, (_, value: unknown) => (typeof value === 'number' ? round(value) : value));
  return JSON.parse(text) as Form;
}
