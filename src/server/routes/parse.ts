import type Joi from 'joi';
import { readShape } from '../../contract/targetSchema.ts';
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
