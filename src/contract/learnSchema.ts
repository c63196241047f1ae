import Joi from 'joi';
import type { Fault } from '../core/errors.ts';
import type { LearnJob } from '../core/studio/learning/learn.ts';
import { readShape } from './targetSchema.ts';

/** Limits of what a clay is learned from; lengths mm. */
export const LEARN_LIMITS = { length: 10_000, thickness: 200, bars: 5000, pieces: 5000, lines: 40 } as const;

const length = () => Joi.number().strict().greater(0).max(LEARN_LIMITS.length).required();
const firing = () => Joi.string().min(1).max(120);
const pair = { wet: length(), fired: length() };

const jobSchema = Joi.object<LearnJob>({
  bars: Joi.array()
    .items(Joi.object({ ...pair, firing: firing() }))
    .max(LEARN_LIMITS.bars)
    .default([]),
  pieces: Joi.array()
    .items(
      Joi.object({
        firing: firing().required(),
        lines: Joi.array().items(Joi.object(pair)).max(LEARN_LIMITS.lines).default([]),
        wrap: Joi.object({
          length: length(),
          thickness: Joi.number().strict().greater(0).max(LEARN_LIMITS.thickness).required(),
          outside: length(),
        }),
      }),
    )
    .max(LEARN_LIMITS.pieces)
    .default([]),
}).required();

/** A clay's measurements as read, or every fault in them. */
export type LearnReading =
  { readonly kind: 'job'; readonly job: LearnJob } | { readonly kind: 'faults'; readonly faults: readonly Fault[] };

/** Reads a parsed JSON value as measurements of one clay. Never throws. */
export function readLearnJob(value: unknown): LearnReading {
  const shape = readShape(jobSchema, value);
  if ('faults' in shape) return { kind: 'faults', faults: shape.faults };
  const { bars, pieces } = shape.value;
  if (bars.length > 0 || pieces.some(({ lines, wrap }) => lines.length > 0 || wrap))
    return { kind: 'job', job: shape.value };
  const rule = 'must have something measured: a bar, or a piece with a line or a wrap';
  return { kind: 'faults', faults: [{ code: 'missing', path: 'pieces', value: '[]', rule }] };
}
