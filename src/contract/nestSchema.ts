import Joi from 'joi';
import { shortValue, type Fault } from '../core/errors.ts';
import type { NestJob } from '../core/geometry/nest/nestJob.ts';
import { skylineFits } from '../core/geometry/nest/nest.ts';
import { backward } from '../core/files/drawn/drawnLines.ts';
import { area, validateOutline, type Vertex } from '../core/geometry/outline/outline.ts';
import { givenOnce } from './givenOnce.ts';
import { readShape } from './targetSchema.ts';

/** Limits of a nesting job; lengths mm. */
export const NEST_LIMITS = {
  width: 20_000,
  gap: 500,
  count: 1000,
  copies: 2000,
  vertices: 5000,
  seconds: 3600,
} as const;

const figure = () => Joi.number().strict();

/** A nesting job as a file has it: vertices may leave out a bulge of 0. */
const jobSchema = Joi.object<{
  width: number;
  gap: number;
  parts: { id: string; count: number; outline: number[][]; turns: 'any' | 'half' | 'none' }[];
}>({
  width: figure().greater(0).max(NEST_LIMITS.width).required(),
  gap: figure().min(0).max(NEST_LIMITS.gap).default(0),
  parts: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().min(1).max(120).required(),
        count: figure().integer().min(1).max(NEST_LIMITS.count).default(1),
        outline: Joi.array()
          .items(Joi.array().items(figure().required()).min(2).max(3))
          .min(2)
          .max(NEST_LIMITS.vertices)
          .required(),
        turns: Joi.string().valid('any', 'half', 'none').default('any'),
      }),
    )
    .min(1)
    .required(),
}).required();

/** A job that was read, or every fault in it. */
export type NestReading =
  { readonly kind: 'job'; readonly job: NestJob } | { readonly kind: 'faults'; readonly faults: readonly Fault[] };

/** Reads a parsed JSON value as a nesting job. Outlines may run either way round. Never throws. */
export function readNestJob(value: unknown): NestReading {
  const shape = readShape(jobSchema, value);
  if ('faults' in shape) return { kind: 'faults', faults: shape.faults };
  const faults: Fault[] = [];
  const fault = (path: string, found: unknown, rule: string) =>
    faults.push({ code: 'impossible-piece', path, value: shortValue(found), rule });
  const parts = shape.value.parts.map(({ outline, ...part }, index) => {
    const drawn = outline.map(([x = 0, y = 0, bulge = 0]): Vertex => [x, y, bulge]);
    const whole = area(drawn) < 0 ? backward({ vertices: drawn, closed: true }).vertices : drawn;
    for (const wrong of validateOutline(whole)) fault(`parts.${index}.outline`, outline, wrong);
    return { ...part, outline: whole };
  });
  faults.push(
    ...givenOnce(
      parts.map(({ id }) => id),
      (index) => `parts.${index}.id`,
    ),
  );
  const copies = parts.reduce((sum, { count }) => sum + count, 0);
  if (copies > NEST_LIMITS.copies) fault('parts', copies, `must be at most ${NEST_LIMITS.copies} copies in all`);
  if (faults.length > 0) return { kind: 'faults', faults };
  const { width, gap } = shape.value;
  parts.forEach((part, index) => {
    if (!skylineFits(part, width)) fault(`parts.${index}.outline`, part.id, `is wider than the slab of ${width} mm`);
  });
  return faults.length > 0 ? { kind: 'faults', faults } : { kind: 'job', job: { width, gap, parts } };
}
