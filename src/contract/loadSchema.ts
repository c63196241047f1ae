import Joi from 'joi';
import { shortValue, type Fault } from '../core/errors.ts';
import { backward } from '../core/files/drawn/drawnLines.ts';
import type { LoadJob, LoadShelf } from '../core/studio/kiln/loadJob.ts';
import { crossesItself } from '../core/geometry/outline/crossing.ts';
import { area, validateOutline, type Outline, type Vertex } from '../core/geometry/outline/outline.ts';
import { givenOnce } from './givenOnce.ts';
import { readShape } from './targetSchema.ts';

/** Limits of a kiln's load; lengths mm. */
export const LOAD_LIMITS = {
  length: 10_000,
  gap: 500,
  shelves: 40,
  kinds: 400,
  count: 1000,
  copies: 2000,
  vertices: 2000,
} as const;

const length = () => Joi.number().strict().greater(0).max(LOAD_LIMITS.length);
const id = () => Joi.string().min(1).max(120).required();

const jobSchema = Joi.object<{
  shelves: ({ id: string; width: number; depth: number } | { id: string; diameter: number })[];
  clear: number[];
  gap: number;
  pieces: { id: string; count: number; outline: number[][]; height: number }[];
}>({
  shelves: Joi.array()
    .items(
      Joi.object({ id: id(), width: length(), depth: length(), diameter: length() })
        .xor('width', 'diameter')
        .and('width', 'depth'),
    )
    .min(1)
    .max(LOAD_LIMITS.shelves)
    .required(),
  clear: Joi.array().items(length().required()).min(1).max(LOAD_LIMITS.shelves).required(),
  gap: Joi.number().strict().min(0).max(LOAD_LIMITS.gap).default(0),
  pieces: Joi.array()
    .items(
      Joi.object({
        id: id(),
        count: Joi.number().strict().integer().min(1).max(LOAD_LIMITS.count).default(1),
        outline: Joi.array()
          .items(Joi.array().items(Joi.number().strict().required()).min(2).max(3))
          .min(2)
          .max(LOAD_LIMITS.vertices)
          .required(),
        height: length().required(),
      }),
    )
    .min(1)
    .max(LOAD_LIMITS.kinds)
    .required(),
}).required();

/** A load that was read, or every fault in it. */
export type LoadReading =
  { readonly kind: 'job'; readonly job: LoadJob } | { readonly kind: 'faults'; readonly faults: readonly Fault[] };

/** An outline as a file has it, counter-clockwise. */
function outlineOf(points: readonly (readonly number[])[]): Outline {
  const drawn = points.map(([x = 0, y = 0, bulge = 0]): Vertex => [x, y, bulge]);
  return area(drawn) < 0 ? backward({ vertices: drawn, closed: true }).vertices : drawn;
}

/** Reads a parsed JSON value as a kiln to be loaded; `clear` has a height for each shelf in turn, or one for all. Never throws. */
export function readLoadJob(value: unknown): LoadReading {
  const shape = readShape(jobSchema, value);
  if ('faults' in shape) return { kind: 'faults', faults: shape.faults };
  const { shelves, clear, gap } = shape.value;
  const faults: Fault[] = [];
  const fault = (path: string, found: unknown, rule: string) =>
    faults.push({ code: 'impossible-piece', path, value: shortValue(found), rule });
  const pieces = shape.value.pieces.map(({ outline, ...piece }, index) => {
    const whole = outlineOf(outline);
    const wrong = validateOutline(whole);
    for (const rule of wrong) fault(`pieces.${index}.outline`, outline, rule);
    if (wrong.length === 0 && crossesItself(whole)) fault(`pieces.${index}.outline`, outline, 'must not cross itself');
    return { ...piece, outline: whole };
  });
  faults.push(
    ...givenOnce(
      pieces.map((piece) => piece.id),
      (index) => `pieces.${index}.id`,
    ),
  );
  faults.push(
    ...givenOnce(
      shelves.map((shelf) => shelf.id),
      (index) => `shelves.${index}.id`,
    ),
  );
  if (clear.length !== 1 && clear.length !== shelves.length) {
    fault('clear', clear.length, `must have one height for each of the ${shelves.length} shelves, or one for all`);
  }
  const copies = pieces.reduce((sum, { count }) => sum + count, 0);
  if (copies > LOAD_LIMITS.copies) fault('pieces', copies, `must be at most ${LOAD_LIMITS.copies} in all`);
  if (faults.length > 0) return { kind: 'faults', faults };
  const cleared = shelves.map((shelf, index): LoadShelf => ({ ...shelf, clear: clear[index] ?? (clear[0] as number) }));
  return { kind: 'job', job: { shelves: cleared, gap, pieces } };
}
