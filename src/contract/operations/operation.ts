import type Joi from 'joi';
import type { ErrorCode } from '../errors.ts';

/** A body in a format of its own, not JSON. */
export interface RawBody {
  readonly type: string;
}

/** One request that the server answers. */
export interface Operation {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  /** Path with its parameters as `:name`. */
  readonly path: string;
  readonly summary: string;
  readonly params?: Joi.ObjectSchema;
  readonly query?: Joi.ObjectSchema;
  readonly body?: Joi.ObjectSchema | RawBody;
  readonly reply: {
    readonly status: 200 | 201 | 204;
    readonly description: string;
    /** The shape of a JSON reply. */
    readonly body?: Joi.Schema;
    /** Media types of a file; without them and without a `body` the reply is empty. */
    readonly types?: readonly string[];
    /** The whole list is longer than a page: `X-Total-Count` gives its length. */
    readonly paged?: true;
  };
  /** Refusals beside those that every operation can give. */
  readonly refuses?: readonly ErrorCode[];
}

/** Refusals that any operation can give. */
export const COMMON_REFUSALS = ['bad-request', 'wrong-host', 'too-large', 'internal'] as const;

/** Status 200 with JSON. */
export const ok = (description: string, body: Joi.Schema): Operation['reply'] => ({ status: 200, description, body });

/** A page of a list. */
export const page = (description: string, body: Joi.Schema): Operation['reply'] => ({
  ...ok(description, body),
  paged: true,
});

/** Status 201 with JSON. */
export const made = (description: string, body: Joi.Schema): Operation['reply'] => ({
  status: 201,
  description,
  body,
});

/** Status 204. */
export const done = (description: string): Operation['reply'] => ({ status: 204, description });

/** A file of one of these types. */
export const file = (description: string, ...types: string[]): Operation['reply'] => ({
  status: 200,
  description,
  types,
});

/** Refusals of what develops a target. */
export const COMPUTES = ['bad-target', 'too-slow', 'busy'] as const;

/** Refusals of what writes to the disk. */
export const KEEPS = ['disk-full', 'read-only'] as const;
