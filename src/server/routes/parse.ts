import type Joi from 'joi';
import { readShape, readTarget } from '../../contract/targetSchema.ts';
import type { Target } from '../../core/piece/target.ts';
import { Refusal } from '../refusal.ts';

/** Reads a body, query or path by its schema; refuses with `bad-request` and the faults. */
export function parse<T>(schema: Joi.ObjectSchema<T>, value: unknown): T {
  const shape = readShape<T>(schema, value ?? {});
  if ('faults' in shape) throw new Refusal('bad-request', { faults: shape.faults });
  return shape.value;
}

/** Like {@link parse} for texts out of an address, where figures arrive as text. */
export function parseText<T>(schema: Joi.ObjectSchema<T>, value: unknown): T {
  const { value: read, error } = schema.validate(value, { abortEarly: false });
  if (!error) return read;
  const faults = error.details.map((detail) => ({
    code: 'wrong-type' as const,
    path: detail.path.join('.'),
    value: String(detail.context?.value ?? ''),
    rule: detail.message,
  }));
  throw new Refusal('bad-request', { faults });
}

/** Reads a target inside a request; refuses with `bad-target` and every fault, its path from the target's root. */
export function parseTarget(value: unknown): Target {
  const reading = readTarget(value);
  if (reading.kind === 'faults') throw new Refusal('bad-target', { faults: reading.faults });
  return reading.target;
}
