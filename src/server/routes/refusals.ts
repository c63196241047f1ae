import type { ErrorRequestHandler } from 'express';
import type { ErrorReply } from '../../contract/api.ts';
import { ERRORS } from '../../contract/errors.ts';
import { FaultError } from '../../core/errors.ts';
import { Refusal } from '../refusal.ts';

/** Body parser errors that are the caller's. */
const BODY_ERRORS: Readonly<Record<string, 'bad-request' | 'too-large'>> = {
  'entity.parse.failed': 'bad-request',
  'entity.too.large': 'too-large',
  'encoding.unsupported': 'bad-request',
  'charset.unsupported': 'bad-request',
  'request.aborted': 'bad-request',
  'request.size.invalid': 'bad-request',
};

function refusalOf(error: unknown): Refusal {
  if (error instanceof Refusal) return error;
  if (error instanceof FaultError) return new Refusal('bad-target', { faults: error.faults });
  if (error instanceof URIError) return new Refusal('bad-request');
  const type = typeof error === 'object' && error !== null && 'type' in error ? String(error.type) : '';
  return new Refusal(BODY_ERRORS[type] ?? 'internal');
}

/** The one error middleware, last: every error becomes a reply out of the catalogue. */
export const answerRefusals: ErrorRequestHandler = (error, req, res, next) => {
  if (res.headersSent) return next(error);
  const refusal = refusalOf(error);
  if (refusal.code === 'internal') req.log?.error({ err: error }, 'request failed');
  const { status, message, todo } = ERRORS[refusal.code];
  const reply: ErrorReply = { error: refusal.code, message, todo, ...refusal.detail };
  return res.status(status).json(reply);
};
